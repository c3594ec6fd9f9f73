import { beforeAll, describe, expect, test } from 'vitest'
import { ATLANTA, ATLANTA_LAT, COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { climateFromNormals } from '../../weather/climate'
import { mirrored, type Normals } from '../../weather/normals'
import { grassByCode, type GrassCode } from '../../grass/grasses'
import { pureSeed } from '../../seed/blends'
import { addDays, dayOfYear, daysBetween, toDay, type Day } from '../../measure/calendar'
import { buildSeason, DAYS_BEHIND, SOWN_AHEAD, type Season } from '../season'
import { causeOf, judgeYear, type SeedbedRisk, type YearOutlook } from '../sowing'
import { candidateDays } from '../candidates'
import { sunSeason } from '../sunSeason'
import { oddsByDay, sowingWindows, type SowingWindow } from '../window'
import { summarise } from '../outlook'

const YEARS = 80
const COVERED: SeedbedRisk = { covering: 'covered', slopeShare: 0 }

const seasonOf = (normals: Normals, latDeg: number, today: Day, years = YEARS, seed = 5): Season =>
  buildSeason({
    today,
    observed: [],
    forecast: [],
    climate: climateFromNormals(normals),
    ground: { latDeg, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
    years,
    seed,
  })

const countCauses = (year: YearOutlook, wanted: string): number =>
  Array.from(year.share, (_, i) => causeOf(year, i)).filter((cause) => cause === wanted).length

interface Dated extends SowingWindow {
  first: Day
  last: Day
  top: Day
  share: number
}
function windowsOf(season: Season, code: GrassCode, risk = COVERED): Dated[] {
  const odds = oddsByDay(
    season.years.map((year) => judgeYear(year, grassByCode(code), risk)),
    DAYS_BEHIND + 365,
  )
  const candidate = candidateDays(season, grassByCode(code).season, false, DAYS_BEHIND + 365)
  return sowingWindows(odds, candidate, DAYS_BEHIND, DAYS_BEHIND + 364).map((w) => ({
    ...w,
    first: addDays(season.first, w.from),
    last: addDays(season.first, w.to),
    top: addDays(season.first, w.best),
    share: w.chance.of100 / 100,
  }))
}

// Extension practice of the upper Midwest, from memory: PRG and TF about the middle of September, KBG from the end of
// August; dates are held to a fortnight. How often each stands is checked in table.test.ts.
describe('Columbus, Ohio', () => {
  let autumn: Season
  beforeAll(() => {
    autumn = seasonOf(COLUMBUS, COLUMBUS_LAT, toDay('2026-07-01'))
  })

  test.each([
    ['PRG', '2026-09-17'],
    ['TF', '2026-09-14'],
    ['KBG', '2026-08-30'],
  ] as const)('%s is best sown within a fortnight of %s', (code, middle) => {
    const [window] = windowsOf(autumn, code)
    const centre = addDays(window!.first, Math.round(daysBetween(window!.first, window!.last) / 2))
    expect(Math.abs(daysBetween(toDay(middle), centre))).toBeLessThanOrEqual(14)
  })

  test('windows of tall fescue and bluegrass lie between mid August and the end of September', () => {
    // Extension practice, from memory: mid August to mid September in the upper Midwest.
    for (const code of ['TF', 'KBG'] as const) {
      const [window] = windowsOf(autumn, code)
      expect(window!.first <= '2026-09-30' && window!.last >= '2026-08-15').toBe(true)
    }
  })

  test('bluegrass has to be in before ryegrass', () => {
    expect(windowsOf(autumn, 'KBG')[0]!.last < windowsOf(autumn, 'PRG')[0]!.last).toBe(true)
  })

  test('on the other side of the equator every date moves by half a year, within 5 days', () => {
    const south = seasonOf(mirrored(COLUMBUS), -COLUMBUS_LAT, toDay('2026-12-30'))
    const [here] = windowsOf(autumn, 'TF')
    const [there] = windowsOf(south, 'TF')
    const halfYear = (a: Day, b: Day) => Math.abs(((dayOfYear(b) - dayOfYear(a) + 365) % 365) - 182)
    // Other months have other lengths, and other days are drawn: the middle of the window is compared.
    expect(
      halfYear(
        addDays(here!.first, (here!.to - here!.from) >> 1),
        addDays(there!.first, (there!.to - there!.from) >> 1),
      ),
    ).toBeLessThanOrEqual(5)
  })

  test('bare seedbeds on a slope are never washed out less often than covered level ones', () => {
    for (const year of autumn.years.slice(0, 10)) {
      const washed = (risk: SeedbedRisk) => countCauses(judgeYear(year, grassByCode('TF'), risk), 'washout')
      expect(washed({ covering: 'bare', slopeShare: 0.1 })).toBeGreaterThanOrEqual(washed(COVERED))
    }
  })
})

describe('Atlanta', () => {
  const season = seasonOf(ATLANTA, ATLANTA_LAT, toDay('2026-04-01'), 30)
  test('bermuda is sown between May and July', () => {
    // Extension practice, from memory: late May to July.
    const [window] = windowsOf(season, 'BER')
    expect(window!.top >= '2026-05-01' && window!.top <= '2026-07-31').toBe(true)
  })

  test('a colder soil never brings seed up sooner', () => {
    const [year] = season.years
    const colder = {
      ...year!,
      soil: { ...year!.soil, seedbedHourlyC: year!.soil.seedbedHourlyC.map((t) => Math.min(t, 24) - 2) },
    }
    const mild = {
      ...year!,
      soil: { ...year!.soil, seedbedHourlyC: year!.soil.seedbedHourlyC.map((t) => Math.min(t, 24)) },
    }
    const [slow, quick] = [colder, mild].map((y) => judgeYear(y, grassByCode('TF'), COVERED).up50)
    slow!.forEach((day, i) => expect(day).toBeGreaterThanOrEqual(quick![i]!))
  })

  test('the summary tells the same odds, and names a window only where half of the years are good', () => {
    const outlook = summarise(season, pureSeed('TF'), COVERED, 75, ATLANTA)
    expect(
      outlook.sowing.every(({ good, causes }) => good + Object.values(causes).reduce((sum, n) => sum + n, 0) === 30),
    ).toBe(true)
    expect(outlook.windows.every(({ chance }) => chance.of100 >= 50)).toBe(true)
    expect(outlook.soilC.median).toHaveLength(DAYS_BEHIND + SOWN_AHEAD)
  })
})

test('the same seed gives the same season, and impossible numbers of years are refused', () => {
  const probe = (seed: number) =>
    Array.from(seasonOf(COLUMBUS, COLUMBUS_LAT, toDay('2026-07-01'), 2, seed).years[1]!.soil.probeDailyC)
  expect(probe(1)).toEqual(probe(1))
  expect(probe(1)).not.toEqual(probe(2))
  expect(() => seasonOf(COLUMBUS, COLUMBUS_LAT, toDay('2026-07-01'), 0)).toThrow(RangeError)
})

describe('windows', () => {
  const odds = (values: readonly number[]) => values.map((of100) => ({ chance: { of100, low: of100, high: of100 } }))
  const all = (values: readonly number[]) => values.map(() => true)
  const spans = (values: readonly number[], candidate = all(values)) =>
    sowingWindows(odds(values), candidate, 0, values.length - 1).map(({ from, best, to, cut }) => [from, best, to, cut])

  test('hold the days within ten points of their best, and split at a dip of more than ten', () => {
    expect(spans([10, 40, 60, 75, 80, 75, 60, 40, 10])).toEqual([[3, 4, 5, false]])
    expect(spans([0, 60, 70, 62, 70, 0])).toEqual([[1, 2, 4, false]])
    expect(spans([0, 60, 80, 60, 90, 60, 0])).toEqual([
      [2, 2, 2, false],
      [4, 4, 4, false],
    ])
  })
  test('are none below half of the years, nor on days that are no candidates', () => {
    expect(spans([0, 30, 49, 30, 0])).toEqual([])
    expect(spans([0, 80, 80, 80, 0], [true, false, false, false, true])).toEqual([])
    expect(spans([90, 90, 90, 90, 90], [false, true, true, true, false])).toEqual([[1, 2, 3, false]])
  })
  test('take the middle of a level top, and are marked where the horizon cuts them', () => {
    expect(spans([0, 100, 100, 100, 100, 100, 0])).toEqual([[1, 3, 5, false]])
    expect(spans([0, 0, 60, 70, 80])).toEqual([[3, 4, 4, true]])
    // What is open today has no dip before it and is a window all the same.
    expect(spans([90, 85, 70, 40, 0])).toEqual([[0, 0, 1, false]])
  })
  test('are named by the sun and not by months, on both sides of the equator', () => {
    expect(sunSeason(toDay('2026-04-15'), 40)).toBe('spring')
    expect(sunSeason(toDay('2026-06-21'), 40)).toBe('summer')
    expect(sunSeason(toDay('2026-09-15'), 40)).toBe('autumn')
    expect(sunSeason(toDay('2026-04-15'), -33)).toBe('autumn')
    expect(sunSeason(toDay('2026-12-21'), -33)).toBe('summer')
    expect(sunSeason(toDay('2026-09-15'), -33)).toBe('spring')
  })
})
