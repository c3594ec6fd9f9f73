import { randomUUID } from 'node:crypto'
import { expect, test } from 'vitest'
import { addDays, toDay } from '#core/measure/calendar'
import { countedOf } from '../records/counted'
import { NO_WORK } from '#core/job/nothingDecided'
import { atWork, type Author } from '../records/firms'
import { startJob } from '../records/jobEnds'
import { savePlan } from '../records/jobs'
import { listedLawns } from '../records/listed'
import { addLawn, lawnById, removeLawn, saveLook } from '../records/lawns'
import { markDone, undoMark } from '../records/marks'
import { openSession } from '../records/sessions'
import { addStation, keepForecast, keepReadings, keepWeather, saveStation, stationsOf } from '../records/stations'
import { addStock, keepWanted, moveStock } from '../records/stock'
import { owner } from '../test/database'
import { added, NEW_LAWN, on, PLACE, useTwoFirms } from '../test/firms'
import { stationTold } from '../weather/grounds'
import { countedNow, lawnNow, listNow, stationsNow } from './firmNow'

let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})

/** The firm at work as a request that comes just now sees it. */
async function now(by = ours) {
  const claim = await openSession(by, { device: '', addressHash: '' })
  return (await atWork(claim))!
}

test('what is counted of a firm is of its records as they stand', async () => {
  const { id, job } = await added(ours)
  const itemId = randomUUID()
  const mark = on('dethatch', toDay(new Date().toISOString().slice(0, 10)), { hours: 2, areaM2: 300 })
  const [zoneId] = Object.keys((await lawnById(ours.firmId, id))!.zones) as [string]
  const writes: Record<string, () => Promise<unknown>> = {
    mark: () => markDone(ours, { lawnId: id, jobId: job.id }, mark),
    'mark of an area nobody told': () => owner(`update marks set area_m2 = null where id = $1`, [mark.id]),
    'zone that its pace is reckoned of': async () => {
      const lawn = (await lawnById(ours.firmId, id))!
      return saveLook(ours, id, {
        ...lawn,
        zones: { [zoneId]: { ...lawn.zones[zoneId]!, tapedM2: 200, areaTyped: '' } },
      })
    },
    'mark taken back': () => undoMark(ours.firmId, job.id, mark.id),
    'stock that is wanted': () => keepWanted(ours.firmId, job.id, { 'seed TF': 3 }),
    item: () => addStock(ours, { id: itemId, matter: 'seed TF', name: 'Blend', amount: 20, day: toDay('2026-09-01') }),
    move: () =>
      moveStock(ours, itemId, { id: randomUUID(), why: 'came', day: toDay('2026-09-02'), amount: 10, note: '' }),
  }
  for (const [what, write] of Object.entries(writes)) {
    const before = JSON.stringify(await countedNow(await now()))
    await write()
    const told = await countedNow(await now())
    expect(JSON.stringify(told), what).not.toBe(before)
    expect(told, what).toEqual(await countedOf(ours.firmId))
  }
})

test('a station tells what it told last', async () => {
  await addStation(ours.firmId, { name: 'Ridge', ...PLACE })
  const stands = async () => (await stationsOf(ours.firmId))[0]!
  const { id } = await stands()
  const { today } = await now()
  const warm = { tmaxC: 20, tminC: 9, rainMm: 0 }
  const writes: Record<string, () => Promise<unknown>> = {
    days: () =>
      keepWeather(
        ours.firmId,
        id,
        [-3, -2].map((n) => ({ day: addDays(today, n), ...warm })),
      ),
    'a day corrected': () => keepWeather(ours.firmId, id, [{ day: addDays(today, -2), ...warm, tmaxC: 23 }]),
    forecast: () => keepForecast(ours.firmId, id, today, [{ day: today, ...warm }]),
    reading: () => keepReadings(ours.firmId, id, [{ at: `${addDays(today, -1)}T08:00`, depthMm: 50, tempC: 14 }]),
    place: async () => saveStation(ours.firmId, id, { ...(await stands()), latDeg: 38 }),
    'a day gone': () => owner(`delete from weather_days where day = $1`, [addDays(today, -3)]),
  }
  for (const [what, write] of Object.entries(writes)) {
    const told = async () => {
      const work = await now()
      const [station] = await stationsNow(work)
      return [station, await stationTold(work, station!)]
    }
    const before = await told()
    await write()
    expect(await told(), what).not.toEqual(before)
    expect((await told())[0], what).toEqual(await stands())
  }
  expect(await stands()).toMatchObject({ days: 1, firstDay: addDays(today, -2), lastDay: addDays(today, -2) })
})

/** Writes that a row of the list shows. */
const LISTED = new Set(['survey', 'plan', 'name of the client', 'another lawn of the client', 'its address', 'its end'])

test('a lawn from memory is the lawn as it stands, whatever was written of it', async () => {
  const { id } = await added(ours)
  const sibling = randomUUID()
  const list = async () => listNow(await now(), 'a build', { first: 10, from: 0 })
  const stands = async () => (await lawnById(ours.firmId, id))!
  const { job } = await stands()
  const mark = on('dethatch', '2026-09-16', { hours: 2 })
  const plan = async (changes: object) =>
    savePlan(ours, job.id, { ...(await stands()).plan, programme: 'overseed', ...changes })
  const look = async (changes: object) => saveLook(ours, id, { ...(await stands()), ...changes })
  const [zoneId] = Object.keys((await stands()).zones) as [string]
  const writes: Record<string, () => Promise<unknown>> = {
    survey: () => look({ growsNow: 'weeds' }),
    zone: async () => look({ zones: { [zoneId]: { ...(await stands()).zones[zoneId]!, bareShare: 0.4 } } }),
    plan: () => plan({ sowOn: toDay('2026-09-18') }),
    work: () => plan({ work: { ...NO_WORK, days: { scalp: toDay('2026-09-17') } } }),
    'stock that is wanted': () => keepWanted(ours.firmId, job.id, { 'seed TF': 3 }),
    mark: () => markDone(ours, { lawnId: id, jobId: job.id }, mark),
    'mark taken back': () => undoMark(ours.firmId, job.id, mark.id),
    'name of the client': () => look({ client: 'Hale' }),
    'name of who saved it': () => owner(`update people set name = 'Another' where firm_id = $1`, [ours.firmId]),
    'another lawn of the client': () => addLawn(ours, { id: sibling, ...NEW_LAWN, client: 'Hale', address: 'behind' }),
    'its address': async () =>
      saveLook(ours, sibling, { ...(await lawnById(ours.firmId, sibling))!, address: 'round the corner' }),
    'its end': () => removeLawn(ours.firmId, sibling),
    'the end of the job': async () =>
      owner(
        `with freed as (update zones set job_id = null where job_id = $1)
         update jobs set outcome = 'called off', ended_on = '2026-09-20', zones_then = $2, record = '{}' where id = $1`,
        [job.id, [zoneId]],
      ),
    'the next job': () => startJob(ours, id, { id: randomUUID(), zoneIds: [zoneId], begunOn: toDay('2026-10-01') }),
    'sun over it': () => owner(`update zones set sun_by_month_h = $2 where id = $1`, [zoneId, Array(12).fill(5)]),
  }
  for (const [what, write] of Object.entries(writes)) {
    const before = JSON.stringify(await lawnNow(await now(), id))
    const listed = await list()
    await write()
    if (LISTED.has(what)) expect(await list(), what).not.toBe(listed)
    expect(await list(), what).toBe(await listedLawns(ours.firmId, 'a build', { first: 10, from: 0 }))
    const told = await lawnNow(await now(), id)
    expect(JSON.stringify(told), what).not.toBe(before)
    expect(told, what).toEqual(await stands())
  }
  expect(await lawnNow(await now(), id)).toBe(await lawnNow(await now(), id))
  expect(await lawnNow(await now(theirs), id)).toBeUndefined()
})

test('whoever is handed a lawn cannot change it for others', async () => {
  const { id } = await added(ours)
  const lawn = (await lawnNow(await now(), id))!
  expect(() => {
    lawn.job.number = 7
  }).toThrow(TypeError)
})
