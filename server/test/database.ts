import { afterAll, beforeAll } from 'vitest'
import pg from 'pg'
import { closeDatabase, database } from '../records/db'
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
    await database().query('drop schema public cascade; create schema public')
    await migrate()
  })
  afterAll(async () => {
    await closeDatabase()
    await turn.end()
  })
}
