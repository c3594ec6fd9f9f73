import { expect, test } from 'vitest'
import type { Author } from './firms'
import { inFirm, rowsOf } from './db'
import { added, useTwoFirms } from '../test/firms'

let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})

test('a question sees the rows of its firm alone, and changes nothing', async () => {
  const { id } = await added(ours)
  expect(await rowsOf(ours.firmId, 'select id from lawns', [])).toEqual([{ id }])
  expect(await rowsOf(theirs.firmId, 'select id from lawns', [])).toEqual([])
  await expect(rowsOf(ours.firmId, 'delete from lawns where id = $1', [id])).rejects.toThrow('read-only')
  await expect(rowsOf('nobody', 'select 1', [])).rejects.toThrow(RangeError)
  expect(await rowsOf(ours.firmId, 'select id from lawns', [])).toHaveLength(1)
})

test('a question that fails leaves its connection fit for the next', async () => {
  for (let i = 0; i < 12; i++)
    await expect(rowsOf(ours.firmId, 'select 1 / $1::int as one', [0])).rejects.toThrow('zero')
  expect(await rowsOf(ours.firmId, 'select 1 as one', [])).toEqual([{ one: 1 }])
})

test('of work that fails nothing is kept, and what it asked for first saw its firm', async () => {
  const failing = inFirm(ours.firmId, async (client) => {
    const { rowCount } = await client.query(`insert into clients (firm_id, name) values ($1, 'Hale')`, [ours.firmId])
    expect(rowCount).toBe(1)
    throw new Error('halfway')
  })
  await expect(failing).rejects.toThrow('halfway')
  expect(await rowsOf(ours.firmId, 'select from clients', [])).toEqual([])
  const elsewhere = inFirm(theirs.firmId, (client) =>
    client.query(`insert into clients (firm_id, name) values ($1, 'Hale')`, [ours.firmId]),
  )
  await expect(elsewhere).rejects.toThrow('row-level security')
})
