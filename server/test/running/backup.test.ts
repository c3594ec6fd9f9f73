import { execFile } from 'node:child_process'
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createHash, randomUUID } from 'node:crypto'
import { beforeAll, expect, test } from 'vitest'
import { addLawn } from '../../records/lawns'
import { addStation, keepWeather } from '../../records/stations'
import { toDay } from '#core/measure/calendar'
import { newFirm, owner, useTestDatabase } from '../database'

useTestDatabase()
const ROOT = fileURLToPath(new URL('../../..', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'sill-backup-'))
const FILE = join(folder, 'book.dump')

/** Runs one of the commands. @returns its exit code and everything it said */
const bin = (name: string, ...args: string[]) =>
  new Promise<{ code: number; said: string }>((done) => {
    execFile('bash', [join(ROOT, 'bin', name), ...args], { env: process.env, cwd: folder }, (error, out, err) =>
      done({ code: Number(error?.code ?? 0), said: out + err }),
    )
  })

/** What guards the rows, each as a question; brackets apart, which PostgreSQL writes anew. */
const GUARDS = {
  policies: `select tablename, policyname, qual, with_check from pg_policies order by 1, 2`,
  locks: `select relname, relrowsecurity, relacl::text from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' order by 1`,
  constraints: `select conname, translate(pg_get_constraintdef(oid), '()', '') as def from pg_constraint where connamespace = 'public'::regnamespace order by 1, 2`,
  functions: `select proname, prosecdef, proacl::text from pg_proc where pronamespace = 'public'::regnamespace order by 1`,
}

/** A sum of every table's rows, and of what guards them. */
async function everything(): Promise<Record<string, string>> {
  const tables = await owner<{ name: string }>(
    `select table_name as name from information_schema.tables
      where table_schema = 'public' and table_type = 'BASE TABLE'`,
  )
  const sums: Record<string, string> = {}
  for (const { name } of tables)
    sums[name] = JSON.stringify(
      await owner(`select md5(string_agg(t::text, '|' order by t::text)) as sum, count(*) from ${name} t`),
    )
  for (const [name, question] of Object.entries(GUARDS))
    sums[name] = createHash('sha256')
      .update(JSON.stringify(await owner(question)))
      .digest('hex')
  return sums
}

beforeAll(async () => {
  const us = await newFirm('Ours')
  await addLawn(us, {
    id: randomUUID(),
    client: 'Odell',
    address: '',
    areaM2: 612.25,
    areaTyped: '6,590 sq ft',
    growsNow: 'thin “fescue”',
  })
  const station = (await addStation(us.firmId, {
    name: 'Ridge',
    latDeg: 37,
    lonDeg: -79,
    heightM: null,
    coastal: false,
  }))!
  await keepWeather(us.firmId, station.id, [{ day: toDay('2026-09-01'), tmaxC: 28.1, tminC: 15.3, rainMm: 0.1 }])
})

test('a backup goes round: everything is lost, and everything is there again, locks and all', async () => {
  const before = await everything()
  expect(Object.keys(before).length).toBeGreaterThan(15)
  expect(await bin('backup', FILE)).toMatchObject({ code: 0 })
  expect(statSync(FILE).mode & 0o077).toBe(0)
  await owner('drop schema public cascade; create schema public')
  expect(await bin('restore', FILE)).toMatchObject({ code: 0 })
  expect(await everything()).toEqual(before)
})

test('a database that holds a firm is not overwritten unless it is said, and then whole', async () => {
  const before = await everything()
  await owner(`insert into firms (name) values ('Later')`)
  const refused = await bin('restore', FILE)
  expect([refused.code, refused.said]).toEqual([1, expect.stringContaining('--replace')])
  expect(await owner(`select name from firms where name = 'Later'`)).toHaveLength(1)
  expect(await bin('restore', FILE, '--replace')).toMatchObject({ code: 0 })
  expect(await everything()).toEqual(before)
})

test('a file cut short, or none of ours, changes nothing; a backup never writes over another', async () => {
  const before = await everything()
  writeFileSync(join(folder, 'short.dump'), readFileSync(FILE).subarray(0, statSync(FILE).size - 400))
  writeFileSync(join(folder, 'words.dump'), 'hello')
  for (const name of ['short.dump', 'words.dump', 'none.dump'])
    expect(await bin('restore', join(folder, name), '--replace')).toMatchObject({ code: 1 })
  expect(await bin('backup', FILE)).toMatchObject({ code: 1 })
  expect(await everything()).toEqual(before)
})
