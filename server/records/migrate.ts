import { fileURLToPath } from 'node:url'
import Postgrator from 'postgrator'
import { database } from './db'

const FOLDER = fileURLToPath(new URL('../migrations', import.meta.url))
/** Two servers that start together migrate one after the other. */
const LOCK = 7_204_511

/**
 * Brings the schema up to date, forward only, each migration whole or not at all.
 * @returns the version it stands at
 */
export async function migrate(): Promise<number> {
  const client = await database().connect()
  try {
    await client.query('select pg_advisory_lock($1)', [LOCK])
    const postgrator = new Postgrator({
      migrationPattern: `${FOLDER}/*.sql`,
      driver: 'pg',
      schemaTable: 'migrations',
      execQuery: (query) => client.query(query),
      // A migration of several statements is one implicit transaction of the simple protocol.
      execSqlScript: async (script) => { await client.query(script) },
    })
    await postgrator.migrate()
    return await postgrator.getDatabaseVersion()
  } finally {
    await client.query('select pg_advisory_unlock($1)', [LOCK]).catch(() => undefined)
    client.release()
  }
}

/** Empties the demo's database. @throws Error when a firm in it is not the demo's */
export async function wipe(): Promise<void> {
  const { rows: tables } = await database().query(`select from information_schema.tables where table_schema = 'public' and table_name = 'firms'`)
  if (tables.length) {
    const { rows: real } = await database().query('select name from firms where not demo')
    if (real.length) throw new Error('This database holds a firm that is not the demo. Nothing was deleted.')
  }
  await database().query('drop schema public cascade; create schema public')
}
