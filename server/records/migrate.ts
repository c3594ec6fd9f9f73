import { fileURLToPath } from 'node:url'
import Postgrator from 'postgrator'
import { asOwner } from './db'

const FOLDER = fileURLToPath(new URL('../migrations', import.meta.url))
/** Two servers that start together migrate one after the other. */
const LOCK = 7_204_511

/**
 * Brings the schema up to date, forward only, in one transaction: interrupted anywhere, nothing of it stays.
 * @returns the version it stands at
 */
export async function migrate(folder = FOLDER): Promise<number> {
  return asOwner(async (client) => {
    await client.query('begin')
    await client.query('select pg_advisory_xact_lock($1)', [LOCK])
    const postgrator = new Postgrator({
      migrationPattern: `${folder}/*.sql`,
      driver: 'pg',
      schemaTable: 'migrations',
      execQuery: (query) => client.query(query),
      execSqlScript: async (script) => {
        await client.query(script)
      },
    })
    await postgrator.migrate()
    const version = await postgrator.getDatabaseVersion()
    await client.query('commit')
    return version
  })
}

/** Empties the demo's database. @throws Error when a firm in it is not the demo's */
export async function wipe(): Promise<void> {
  await asOwner(async (client) => {
    const { rows: tables } = await client.query(
      `select from information_schema.tables where table_schema = 'public' and table_name = 'firms'`,
    )
    if (tables.length) {
      const { rows: real } = await client.query('select name from firms where not demo')
      if (real.length) throw new Error('This database holds a firm that is not the demo. Nothing was deleted.')
    }
    await client.query('drop schema public cascade; create schema public')
  })
}
