import { beforeEach, describe, expect, test } from 'vitest'
import { toDay } from '#core/measure/calendar'
import { newFirm, owner, useTestDatabase } from '../test/database'
import type { Author } from './firms'
import { keepOutlook, keptBrief, keptOutlook } from './outlooks'
import { addStation, keepReadings, weatherNow } from './stations'

useTestDatabase()
const HASH = 'ab'.repeat(32)
const outlook = (years: number) => `{"grain": ["g"], "years": ${years}, "windows": []}`
const made = (years: number, yearsFrom: string) => ({
  outlook: outlook(years),
  brief: `{"years": ${years}}`,
  yearsFrom,
})
let us: Author
beforeEach(async () => {
  await owner('delete from firms')
  us = await newFirm('Ours')
})

describe('a season that was worked out', () => {
  test('is kept once and read back as it was, by its firm alone', async () => {
    await keepOutlook(us.firmId, HASH, made(30, 'normals'))
    await keepOutlook(us.firmId, HASH, made(99, 'another'))
    expect(await keptOutlook(us.firmId, HASH)).toEqual({ outlook: outlook(30), yearsFrom: 'normals' })
    const other = 'cd'.repeat(32)
    expect(await keptBrief(us.firmId, [other, HASH])).toEqual({ hash: HASH, brief: '{"years": 30}' })
    await keepOutlook(us.firmId, other, made(12, 'normals'))
    expect(await keptBrief(us.firmId, [other, HASH])).toEqual({ hash: other, brief: '{"years": 12}' })
    expect(await keptOutlook((await newFirm('Theirs')).firmId, HASH)).toBeUndefined()
    expect(await keptOutlook(us.firmId, 'ef'.repeat(32))).toBeUndefined()
  })

  test('goes after three days, when the next is kept, and only the old one', async () => {
    await keepOutlook(us.firmId, HASH, made(30, 'normals'))
    await owner(`update kept_outlooks set kept_at = now() - interval '4 days'`)
    await keepOutlook(us.firmId, 'cd'.repeat(32), made(12, 'normals'))
    expect(await owner('select hash from kept_outlooks')).toEqual([{ hash: 'cd'.repeat(32) }])
  })

  test('is refused under what is no hash', async () => {
    await expect(keepOutlook(us.firmId, 'nonsense', made(1, ''))).rejects.toMatchObject({ code: '23514' })
  })
})

test('a reading noted again for the same depth and minute corrects the first', async () => {
  const station = (await addStation(us.firmId, {
    name: 'Yard',
    latDeg: 37,
    lonDeg: -79,
    heightM: null,
    coastal: false,
  }))!
  const read = async (tempC: number) => {
    await keepReadings(us.firmId, station.id, [{ at: '2026-09-08T11:00', depthMm: 50, tempC }])
    return JSON.parse((await weatherNow(us.firmId, station.id, toDay('2026-09-08'), toDay('2026-09-01'))).readings)
  }
  await read(47)
  expect(await read(19)).toEqual([{ at: '2026-09-08T11:00', depthMm: 50, tempC: 19 }])
})
