import { expect, test } from 'vitest'
import { climateFromNormals } from '#core/weather/climate'
import { toDay } from '#core/measure/calendar'
import { pureSeed } from '#core/seed/blends'
import type { SeasonInput } from '#core/establishment/season'
import { PELLMOOR } from '../../demo/pellmoor'
import { workOut, type SeasonWork } from './seasonWork'
import { warmUps } from './warmUp'

const input: SeasonInput = {
  today: toDay('2026-09-08'),
  observed: [],
  forecast: [],
  climate: climateFromNormals(PELLMOOR.normals),
  ground: { latDeg: PELLMOOR.latDeg, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
  years: 12,
  seed: 1,
}
const asked = (key: string, years: number): SeasonWork => ({
  key,
  input: JSON.stringify(input),
  years,
  seed: pureSeed('TF'),
  risk: { covering: 'covered', slopeShare: 0 },
  mowingMm: 75,
  stand: undefined,
})
const yearsOf = (work: SeasonWork) => (JSON.parse(workOut(work).outlook!) as { years: number; grain: string[] }).grain

test('fewer years are the first of more, whether a thread has more of them at hand or none', () => {
  const [alone, more] = [yearsOf(asked('one', 5)), yearsOf(asked('other', 12))]
  expect([alone.length, more.length]).toEqual([5, 12])
  expect(yearsOf(asked('other', 5))).toEqual(alone)
  expect(more.slice(0, 5)).toEqual(alone)
  expect(yearsOf(asked('other', 100))).toEqual(more)
})

test('a first look is told without a brief, with the odds of all of its years on every day', () => {
  const whole = workOut(asked('first', 8))
  const first = workOut({ ...asked('first', 8), coarse: true })
  const odds = ({ outlook }: typeof whole) =>
    (JSON.parse(outlook!) as { grain: string[]; windows: unknown[] }).grain.map((year) => year.length)
  expect(odds(first)).toEqual(odds(whole))
  expect([first.brief, JSON.parse(whole.brief) !== null]).toEqual(['{}', true])
  expect(yearsOf({ ...asked('first', 8), coarse: true })).toEqual(yearsOf(asked('first', 8)))
})

test('what warms a thread up is work as lists and pages ask for, each on a ground of its own', () => {
  const works = [...warmUps()]
  expect(new Set(works.map(({ key }) => key)).size).toBe(works.length / 2)
  const [page, list] = works
  expect([workOut(page!).outlook !== null, workOut(list!).outlook]).toEqual([true, null])
})
