import { createHash, randomBytes } from 'node:crypto'
import { asOwner, databaseUrl } from './db'

/**
 * A user of the database that may only work: it owns nothing and is bound by row locks. For the demo, tests and tools that
 * start a server of their own; whoever runs a real one makes it by hand, as the README says.
 * @returns the address under which the server connects
 * @throws where the owner may not create users
 */
export async function serverAddress(): Promise<string> {
  const url = new URL(databaseUrl())
  const name = `sill_server_${createHash('sha256').update(url.pathname).digest('hex').slice(0, 8)}`
  const password = randomBytes(18).toString('hex')
  await asOwner(async (client) => {
    const { rowCount } = await client.query('select from pg_roles where rolname = $1', [name])
    await client.query(
      `${rowCount ? 'alter' : 'create'} role ${name} login nosuperuser nocreatedb nocreaterole noinherit password '${password}'`,
    )
    await client.query(`grant upper_sill_work to ${name}`)
  })
  url.username = name
  url.password = password
  return url.href
}
