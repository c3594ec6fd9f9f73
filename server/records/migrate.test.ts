import { randomUUID } from 'node:crypto'
import { cpSync, mkdtempSync, readdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from 'vitest'
import { owner, useTestDatabase } from '../test/database'
import { versionsOf } from './jobs'
import { lawnById } from './lawns'
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

test('what stood as the one plan of a lawn is its first job, with versions, marks, zones and client', async () => {
  const before = mkdtempSync(join(tmpdir(), 'sill-before-'))
  for (const name of readdirSync(FOLDER))
    if (Number.parseInt(name, 10) <= 10) cpSync(join(FOLDER, name), join(before, name))
  await owner('drop schema public cascade; create schema public')
  expect(await migrate(before)).toBe(10)
  const [lawn, bare, zone, mark, person] = Array.from({ length: 5 }, () => randomUUID())
  const [firm] = await owner<{ id: string }>(`insert into firms (name) values ('Older') returning id`)
  const all = [firm!.id, lawn, bare, zone, mark, person]
  for (const sql of [
    `insert into people (firm_id, id, name, email, role) select $1::uuid, $6::uuid, 'Ida', 'ida@example.org', 'owner'`,
    `insert into lawns (firm_id, id, client, lat_deg, lon_deg, updated_by)
       select $1::uuid, unnest(array[$2, $3]::uuid[]), 'Varga', 38, -9, $6::uuid`,
    `insert into zones (firm_id, lawn_id, id, name) select $1::uuid, $2::uuid, $4::uuid, 'Front'`,
    `insert into plans (firm_id, lawn_id, programme, sow_on, version, updated_by, schools)
       select $1::uuid, $2::uuid, 'overseed', '2026-09-18', 2, $6::uuid, '{"mixing": "mixed"}'`,
    `insert into plan_versions (firm_id, lawn_id, version, plan, saved_by)
       select $1::uuid, $2::uuid, v, '{"schools": {"mixing": "mixed"}}', $6::uuid from generate_series(1, 2) v`,
    `insert into operations_done (firm_id, lawn_id, id, slip, done_on, recorded_by)
       select $1::uuid, $2::uuid, $5::uuid, 'scalp', '2026-09-16', $6::uuid`,
  ])
    // Every value is named once, so that one list of them fits all.
    await owner(`with v as (select $1::text, $2::text, $3::text, $4::text, $5::text, $6::text) ${sql}`, all)
  expect(await migrate()).toBe(SCHEMA_VERSION)
  const told = (await lawnById(firm!.id, lawn!))!
  expect(told).toMatchObject({
    client: 'Varga',
    job: { number: 1, state: 'in work', zoneIds: [zone], confirmed: null, ended: null },
    plan: { programme: 'overseed', sowOn: '2026-09-18', version: 2, savedBy: 'Ida', practices: { mixing: 'mixed' } },
    done: [{ id: mark, key: 'scalp', doneOn: '2026-09-16', savedBy: 'Ida' }],
    sameClient: [{ id: bare }],
  })
  expect(await versionsOf(firm!.id, told.job.id)).toMatchObject([
    { plan: { practices: { mixing: 'mixed' } } },
    { plan: { practices: { mixing: 'mixed' } } },
  ])
  // A lawn that nothing was decided about has a job that nothing is decided about.
  expect(await lawnById(firm!.id, bare!)).toMatchObject({
    clientId: told.clientId,
    job: { number: 1, state: 'planned' },
    plan: { version: 0, programme: null, settings: null, savedAt: null },
  })
  // And a firm still goes whole.
  await owner('delete from firms')
})
