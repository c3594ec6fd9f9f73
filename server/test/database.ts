import { afterAll, beforeAll } from 'vitest'
import pg from 'pg'
import { asOwner, closeDatabase } from '../records/db'
import type { Author } from '../records/firms'
import { migrate } from '../records/migrate'

const ONE_FILE_AT_A_TIME = 40_771

/** An empty, migrated database for a test file; files that want one wait for each other. bin/test starts it. */
export function useTestDatabase(): void {
  let turn: pg.Client
  beforeAll(async () => {
    const url = process.env.TEST_DATABASE_URL
    if (!url) throw new Error('TEST_DATABASE_URL is not set. Run bin/test.')
    process.env.DATABASE_URL = url
    turn = new pg.Client({ connectionString: url })
    await turn.connect()
    await turn.query('select pg_advisory_lock($1)', [ONE_FILE_AT_A_TIME])
    await asOwner((client) => client.query('drop schema public cascade; create schema public'))
    await migrate()
  })
  afterAll(async () => {
    await closeDatabase()
    await turn.end()
  })
}

/** As the owner of the tables: what a test sets up around the row locks, or breaks on purpose. */
export const owner = <Row extends pg.QueryResultRow>(sql: string, values: unknown[] = []): Promise<Row[]> =>
  asOwner(async (client) => (await client.query<Row>(sql, values)).rows)

/** A firm with one person in it. */
export async function newFirm(
  name: string,
  role: 'owner' | 'technician' = 'owner',
  createdAt = '2026-01-01',
): Promise<Author> {
  const [firm] = await owner<{ id: string }>('insert into firms (name, created_at) values ($1, $2) returning id', [
    name,
    createdAt,
  ])
  const [person] = await owner<{ id: string }>(
    `insert into people (firm_id, name, email, role) values ($1, $2, $3, $4) returning id`,
    [firm!.id, `Somebody of ${name}`, `${name.toLowerCase().replace(/\W/g, '')}-${firm!.id}@example.org`, role],
  )
  return { firmId: firm!.id, personId: person!.id }
}
