import { beforeAll, describe, expect, test } from 'vitest'
import { climateFromNormals } from '../../weather/climate'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import type { Ground } from '../../soil/soilCourse'
import { grassByCode } from '../../grass/grasses'
import { pureSeed } from '../../seed/blends'
import { toDay } from '../../measure/calendar'
import { AS_TOLD, type Watering } from '../../water/topLayer'
import { bedWater, dryHoursCount, moistureFactor, type SeedBed } from '../moisture'
import { summarise } from '../outlook'
import { buildSeason, DAYS_BEHIND, type Season } from '../season'
import { causeOf, judgeYear, type SeedbedRisk, type YearOutlook } from '../sowing'

const GROUND: Ground = { latDeg: COLUMBUS_LAT, coastal: false, texture: 'sandy loam', cover: 'thin turf', sun: 'full' }
const TF = grassByCode('TF')
const RISK: SeedbedRisk = { covering: 'covered', slopeShare: 0 }
const times = (timesADay: number): Watering => ({ timesADay, bannedUntil: null })
const bed = (watering: Watering, covered = true): SeedBed => ({
  cover: covered ? 'compost' : 'none',
  coverMm: covered ? 5 : 0,
  watering,
})
let season: Season
beforeAll(() => {
  season = buildSeason({
    today: toDay('2026-07-01'),
    observed: [],
    forecast: [],
    climate: climateFromNormals(COLUMBUS),
    ground: GROUND,
    years: 20,
    seed: 8,
  })
})
const judged = (of: SeedBed): YearOutlook[] =>
  season.years.map((year) => judgeYear(year, TF, RISK, bedWater(year.weather, GROUND, 0, of)))
const countOf = (years: readonly YearOutlook[], from: number, days: number, wanted: string | null) =>
  years.reduce(
    (sum, year) =>
      sum + Array.from({ length: days }, (_, k) => causeOf(year, from + k)).filter((c) => c === wanted).length,
    0,
  )
const good = (years: readonly YearOutlook[], from = DAYS_BEHIND + 75, days = 30) => countOf(years, from, days, null)
const dried = (years: readonly YearOutlook[]) => countOf(years, DAYS_BEHIND, 120, 'dry')

test('germination keeps its speed down to three tenths of the water, and stands still at a twentieth', () => {
  expect([1, 0.3, 0.175, 0.05, 0].map(moistureFactor)).toEqual([1, 1, expect.closeTo(0.5, 9), 0, 0])
})

// Common practice, no source: what watering makes of a stand over a warm dry fortnight, reference evaporation 5.5 mm.
test('once a day under a cover costs 15-60 % of a stand, three times under 3 %, rain alone over 60 %', () => {
  const sown = DAYS_BEHIND + 15
  const dry = season.years.map((year) => {
    const set = (values: Float64Array, value: number) =>
      values.map((was, d) => (d >= sown && d < sown + 14 ? value : was))
    const { tmaxC, tminC, rainMm } = year.weather
    const weather = { ...year.weather, tmaxC: set(tmaxC, 31), tminC: set(tminC, 19), rainMm: set(rainMm, 0) }
    return { ...year, weather }
  })
  const share = (watering: Watering) => {
    const shares = dry.map(
      (year) =>
        judgeYear(year, TF, RISK, bedWater(year.weather, { ...GROUND, texture: 'loam' }, 0, bed(watering))).share[
          sown
        ]!,
    )
    return shares.reduce((sum, one) => sum + one, 0) / shares.length
  }
  const moist = share(AS_TOLD)
  const lost = [3, 1, 0].map((timesADay) => 1 - share(times(timesADay)) / moist)
  expect(lost[0]!).toBeLessThan(0.03)
  expect([lost, lost[1]! > 0.15, lost[1]! < 0.6, lost[2]! > 0.6]).toEqual([lost, true, true, true])
})

describe('drought', () => {
  test('is no cause where the bed is watered as told, and seed comes up as in moist soil', () => {
    const told = judged(bed(AS_TOLD))
    expect(dried(told)).toBe(0)
    const moist = season.years.map((year) => judgeYear(year, TF, RISK))
    told.forEach(({ up50 }, y) => {
      expect(up50[DAYS_BEHIND + 70]! - moist[y]!.up50[DAYS_BEHIND + 70]!).toBeLessThanOrEqual(1)
    })
  })

  // From mid September on: before that, seed that lies dry comes up later and so meets less heat, which is another
  // matter.
  test('takes more stands the less is watered, and more from a bare bed than from a covered one', () => {
    const counts = [AS_TOLD, times(2), times(1), times(0)].map((watering) => good(judged(bed(watering))))
    expect([...counts].sort((a, b) => b - a)).toEqual(counts)
    expect(counts[0]! - counts[3]!).toBeGreaterThan(100)
    expect(dried(judged(bed(times(0))))).toBeGreaterThan(100)
    expect(good(judged(bed(times(1), false)))).toBeLessThanOrEqual(good(judged(bed(times(1)))))
  })

  test('holds back what moist soil would have brought up, and is named for it, not the cold', () => {
    const none = judged(bed(times(0), false))
    const told = judged(bed(AS_TOLD, false))
    const july = DAYS_BEHIND + 10
    const causes = (years: readonly YearOutlook[]) => years.map((year) => causeOf(year, july))
    expect(causes(none).filter((cause) => cause === 'cold')).toHaveLength(0)
    expect(causes(none).filter((cause) => cause === 'dry').length).toBeGreaterThan(
      causes(told).filter((cause) => cause === 'dry').length,
    )
  })

  test('counts in the summary with all other causes, and the water a bed wants is told by sowing day', () => {
    const outlook = summarise(season, pureSeed('TF'), { ...RISK, bed: bed(times(1)) }, 75, COLUMBUS)
    for (const { good: stands, causes } of outlook.sowing)
      expect(stands + Object.values(causes).reduce((a, b) => a + b, 0)).toBe(20)
    const [july, october] = [DAYS_BEHIND + 14, DAYS_BEHIND + 110].map((i) => outlook.sowing[i]!.water!)
    // Hot weeks want more than cool ones.
    expect(july!.mmADay).toBeGreaterThan(october!.mmADay)
    expect(july!.timesADay).toBeGreaterThan(october!.timesADay)
    expect(july!.mmADay).toBeLessThan(7)
    expect(summarise(season, pureSeed('TF'), RISK, 75, COLUMBUS).sowing[DAYS_BEHIND]!.water).toBeNull()
  })
})

describe('hours of the day the bed is too dry', () => {
  const waters = (timesADay: number) =>
    season.years.map(({ weather }) => bedWater(weather, GROUND, 0, bed(times(timesADay))))
  const hours = (timesADay: number) => {
    const count = dryHoursCount(season.years[0]!.soil.probeDailyC.length)
    for (const { course } of waters(timesADay)) count.add(course)
    return count.told(DAYS_BEHIND + 20, DAYS_BEHIND + 34)
  }

  test('agree with counting them one by one', () => {
    let dry = 0
    for (const { course } of waters(1))
      for (let i = (DAYS_BEHIND + 20) * 24; i < (DAYS_BEHIND + 34) * 24; i++) if (course.leftShare[i]! < 0.3) dry++
    expect(dry).toBeGreaterThan(500)
    expect(hours(1).hoursADay).toBeCloseTo(dry / (14 * season.years.length), 1)
  })

  test('are fewer the more is watered, and lie after noon where it is watered at six', () => {
    const [none, once, four] = [0, 1, 4].map(hours)
    expect(none!.hoursADay).toBeGreaterThan(once!.hoursADay)
    expect(once!.hoursADay).toBeGreaterThan(four!.hoursADay)
    // Common practice, no source: a bed watered in the morning alone is dry by the afternoon. It stays so until the
    // next.
    expect(once!.between![0]).toBeGreaterThanOrEqual(11)
    expect(once!.between![0]).toBeLessThanOrEqual(16)
    expect(once!.between![1]).toBe(6)
    expect(dryHoursCount(1).told(0, 0)).toEqual({ hoursADay: 0, between: null })
  })
})
