import { describe, expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import { GRASSES, grassByCode } from '../../grass/grasses'
import { toDay } from '../../measure/calendar'
import { climateFromNormals, climateFromRecord, type Climate } from '../../weather/climate'
import { WEATHER_SEED } from '../../weather/generator'
import { observedAt } from '../../../contract/test/observed'
import { ATLANTA, ATLANTA_LAT, COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { lastingGate, lastingOf, yearsOfTurf, type YearsOfTurf } from '../lasting'

const years = (climate: Climate, latDeg: number, coastal = false): YearsOfTurf =>
  yearsOfTurf({
    today: toDay('2026-09-08'),
    observed: [],
    forecast: [],
    climate,
    ground: { latDeg, coastal, texture: 'loam', cover: 'thin turf', sun: 'full' },
    years: 30,
    seed: WEATHER_SEED,
  })
const cool = GRASSES.filter(({ season }) => season === 'cool')
const verdicts = (of: YearsOfTurf) => cool.map((grass) => lastingOf(grass, of, false))

// Regions of grasses in turf handbooks, from memory; an independent calculation gave 8, 50 and 87 hot days a year at
// Columbus, Atlanta and 28° north.
describe('turf that stands', () => {
  const columbus = years(climateFromNormals(COLUMBUS), COLUMBUS_LAT)
  const atlanta = years(climateFromNormals(ATLANTA), ATLANTA_LAT)
  test('lasts at Columbus, every cool-season grass', () => {
    expect(Math.abs(columbus.hotDays - 8)).toBeLessThanOrEqual(5)
    expect(new Set(verdicts(columbus))).toEqual(new Set(['lasts']))
  })
  test('lasts or is doubtful at Atlanta as tall fescue, and will not as fine fescue; bermuda does', () => {
    expect(Math.abs(atlanta.hotDays - 50)).toBeLessThanOrEqual(5)
    expect(lastingOf(grassByCode('TF'), atlanta, false)).not.toBe('will not last')
    expect(lastingOf(grassByCode('TF'), atlanta, true)).toBe('lasts')
    expect(lastingOf(grassByCode('CRF'), atlanta, false)).toBe('will not last')
    expect(lastingOf(grassByCode('BER'), atlanta, false)).toBe('lasts')
  })
  test('will not last at 28° north, any cool-season grass', () => {
    const course = (cold: number, hot: number) =>
      Array.from({ length: 12 }, (_, m) => (cold + hot) / 2 - ((hot - cold) / 2) * Math.cos((2 * Math.PI * m) / 12))
    const even = (value: number) => Array<number>(12).fill(value)
    const normals = { tmaxC: course(22, 33), tminC: course(10, 24), rainMm: even(100), wetDays: even(10) }
    const of = years(climateFromNormals(normals), 28)
    expect(Math.abs(of.hotDays - 87)).toBeLessThanOrEqual(6)
    expect(new Set(verdicts(of))).toEqual(new Set(['will not last']))
  })
  test('lasts at Seattle, every cool-season grass', () => {
    const record = observedAt('Seattle')
    expect(new Set(verdicts(years(climateFromRecord(record)!, 47.6, true)))).toEqual(new Set(['lasts']))
  })
})

test('what may not last is said with its figures, and what lasts is not spoken of', () => {
  const gate = lastingGate(grassByCode('TF'), { hotDays: 60, coldestC: 3 }, false)!
  expect([gate.state, told(gate.text)]).toEqual([
    'risk',
    'tall fescue may not last here: soil under turf is over 27 °C on 60 days a year, and it bears about 50. Establishing it is another matter.',
  ])
  expect(lastingGate(grassByCode('TF'), { hotDays: 60, coldestC: 3 }, true)).toBeUndefined()
  expect(told(lastingGate(grassByCode('ZOY'), { hotDays: 0, coldestC: -9 }, false)!.text)).toContain('will not last')
})
