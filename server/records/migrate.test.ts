import { cpSync, mkdtempSync, readdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from 'vitest'
import { owner, useTestDatabase } from '../test/database'
import { migrate, wipe } from './migrate'
import { SCHEMA_VERSION, versionOfSchema } from './schema'

useTestDatabase()
const FOLDER = fileURLToPath(new URL('../migrations', import.meta.url))

/** The project's migrations with one more. */
function folderWith(sql: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'sill-migrations-'))
  cpSync(FOLDER, folder, { recursive: true })
  writeFileSync(join(folder, `${String(SCHEMA_VERSION + 1).padStart(3, '0')}.do.next.sql`), sql)
  return folder
}
const tables = async () =>
  (
    await owner<{ name: string }>(
      `select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
    )
  ).map(({ name }) => name)

test('the version this server wants is that of the last migration, and again changes nothing', async () => {
  expect(Math.max(...readdirSync(FOLDER).map((name) => Number.parseInt(name, 10)))).toBe(SCHEMA_VERSION)
  expect([await versionOfSchema(), await migrate(), await migrate()]).toEqual([
    SCHEMA_VERSION,
    SCHEMA_VERSION,
    SCHEMA_VERSION,
  ])
})

test('one that fails halfway leaves nothing of itself, and runs whole when it is mended', async () => {
  const before = await tables()
  await expect(
    migrate(folderWith('create table halfway (x integer); insert into nowhere values (1);')),
  ).rejects.toThrow(/nowhere/)
  expect([await tables(), await versionOfSchema()]).toEqual([before, SCHEMA_VERSION])
  expect(await migrate(folderWith('create table halfway (x integer);'))).toBe(SCHEMA_VERSION + 1)
  expect(await tables()).toContain('halfway')
  await owner(`drop table halfway; delete from migrations where version > ${SCHEMA_VERSION}`)
})

test('one whose connection is killed in the middle leaves nothing, and the next run does it whole', async () => {
  const running = migrate(folderWith(`create table interrupted (x integer); select pg_sleep(20);`))
  const refused = expect(running).rejects.toThrow()
  await expect
    .poll(
      async () =>
        (
          await owner(
            `select pg_terminate_backend(pid) from pg_stat_activity
              where query like '%pg_sleep(20)%' and pid <> pg_backend_pid() and state = 'active'`,
          )
        ).length,
      { timeout: 10_000 },
    )
    .toBeGreaterThan(0)
  await refused
  expect(await tables()).not.toContain('interrupted')
  expect(await migrate()).toBe(SCHEMA_VERSION)
})

test('two servers that start together migrate once', async () => {
  const folder = folderWith('create table together (x integer);')
  expect(await Promise.all([migrate(folder), migrate(folder)])).toEqual([SCHEMA_VERSION + 1, SCHEMA_VERSION + 1])
  await owner(`drop table together; delete from migrations where version > ${SCHEMA_VERSION}`)
})

test('a database with a real firm in it is not wiped for the demo', async () => {
  await owner(`insert into firms (name) values ('Real')`)
  await expect(wipe()).rejects.toThrow(/not the demo/)
  expect(await owner('select name from firms')).toEqual([{ name: 'Real' }])
})
