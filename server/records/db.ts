import pg from 'pg'

// Dates stay dates: a day at the lawn has no time zone to be shifted by.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text)
pg.types.setTypeParser(pg.types.builtins.TIMESTAMP, (text) => text.replace(' ', 'T').slice(0, 16))

let pool: pg.Pool | undefined

export type Queryable = Pick<pg.PoolClient, 'query'>

/** The pool of this process; one for all requests. @throws Error when DATABASE_URL is not set */
export function database(): pg.Pool {
  if (!pool) {
    const connectionString = process.env.DATABASE_URL
    if (!connectionString) throw new Error('DATABASE_URL is not set: it says where the database is.')
    pool = new pg.Pool({ connectionString, max: 10, connectionTimeoutMillis: 4000 })
    // A connection that dies while idle must not take the server with it; the next query opens another.
    pool.on('error', () => undefined)
  }
  return pool
}

export async function closeDatabase(): Promise<void> {
  await pool?.end()
  pool = undefined
}

/** Runs everything or nothing. */
export async function inTransaction<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
  const client = await database().connect()
  try {
    await client.query('begin')
    const result = await work(client)
    await client.query('commit')
    return result
  } catch (error) {
    await client.query('rollback').catch(() => undefined)
    throw error
  } finally {
    client.release()
  }
}
