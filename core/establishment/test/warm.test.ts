import { beforeAll, describe, expect, test } from 'vitest'
import { ATLANTA, ATLANTA_LAT } from '../../weather/test/stations'
import { climateFromNormals } from '../../weather/climate'
import { mirrored } from '../../weather/normals'
import { pureSeed } from '../../seed/blends'
import { addDays, dayOfYear, daysBetween, toDay } from '../../measure/calendar'
import { growingRuns } from '../growing'
import { glanceOf } from '../glance'
import { summarise } from '../outlook'
import { buildSeason, fiveDayMean, middleSoilCs, type Season } from '../season'

const seasonOf = (normals: typeof ATLANTA, latDeg: number, today: string): Season =>
  buildSeason({
    today: toDay(today),
    observed: [],
    forecast: [],
    climate: climateFromNormals(normals),
    ground: { latDeg, coastal: false, texture: 'sandy loam', cover: 'dense turf', sun: 'full' },
    years: 80,
    seed: 7,
  })

// Atlanta, normals of 1991-2020, from memory.
describe('warm-season turf at Atlanta', () => {
  let north: Season
  let south: Season
  beforeAll(() => {
    north = seasonOf(ATLANTA, ATLANTA_LAT, '2026-03-10')
    south = seasonOf(mirrored(ATLANTA), -ATLANTA_LAT, '2026-09-09')
  }, 60_000)

  test('is dressed from spring on, and last some three weeks before its soil falls below 15 °C', () => {
    const [run] = growingRuns(north, 'warm')
    // Bermuda grows from about late April to mid October there, as growers have it (common practice, no source).
    expect(dayOfYear(run!.from)).toBeGreaterThan(dayOfYear(toDay('2026-04-01')))
    expect(dayOfYear(run!.from)).toBeLessThan(dayOfYear(toDay('2026-05-25')))
    expect(dayOfYear(run!.to)).toBeGreaterThan(dayOfYear(toDay('2026-09-15')))
    expect(dayOfYear(run!.to)).toBeLessThan(dayOfYear(toDay('2026-10-31')))
    const at = daysBetween(north.first, run!.to) + 21
    const means = north.years.map(({ soil }) => fiveDayMean(soil.probeDailyC, at)).sort((a, b) => a - b)
    expect(Math.abs(means[40]! - 15)).toBeLessThan(1)
  })

  test('grows half a year later on the other side of the equator', () => {
    const [here, there] = [growingRuns(north, 'warm')[0]!, growingRuns(south, 'warm')[0]!]
    const apart = (a: string, b: string) => Math.abs(((dayOfYear(toDay(b)) - dayOfYear(toDay(a)) + 365) % 365) - 182)
    expect(apart(here.from, there.from)).toBeLessThan(8)
    expect(apart(here.to, there.to)).toBeLessThan(8)
  })

  test('takes winter colour only on falling soil below 22 °C: never in spring, and not in the heat', () => {
    const winter = { covering: 'bare', slopeShare: 0, winterColour: true } as const
    const windows = summarise(north, pureSeed('ARG'), winter, 40, ATLANTA).windows
    expect(windows.length).toBeGreaterThan(0)
    for (const { from, best } of windows) {
      expect(dayOfYear(best)).toBeGreaterThan(dayOfYear(toDay('2026-09-01')))
      const at = daysBetween(north.first, from)
      const middle = middleSoilCs(north, at + 1)
      expect(middle[at]).toBeLessThan(23)
      expect(middle[at]).toBeLessThan(middle[at - 20]!)
    }
  })

  test('tells in brief when it grows, and how wet the last four weeks were where they were observed', () => {
    const outlook = summarise(north, pureSeed('BER'), { covering: 'covered', slopeShare: 0 }, 40, ATLANTA)
    expect(glanceOf(outlook, null)).toMatchObject({ growing: growingRuns(north, 'warm'), rainShare: null })
    const today = toDay('2026-03-10')
    const observed = Array.from({ length: 40 }, (_, i) => ({
      day: addDays(today, i - 40),
      tmaxC: 16,
      tminC: 5,
      rainMm: i % 4 === 0 ? 8 : 0,
    }))
    const wet = buildSeason({
      today,
      observed,
      forecast: [],
      climate: climateFromNormals(ATLANTA),
      ground: { latDeg: ATLANTA_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
      years: 2,
      seed: 1,
    })
    const share = (season: Season) =>
      summarise(season, pureSeed('BER'), { covering: 'covered', slopeShare: 0 }, 40, ATLANTA).rainShare
    // 7 days of 8 mm in four weeks of February and March, where 4.6 in (117 mm) a month are usual: some 105 mm.
    expect(share(wet)!).toBeGreaterThan(0.45)
    expect(share(wet)!).toBeLessThan(0.62)
  })
})
