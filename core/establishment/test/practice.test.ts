import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { grassByCode, type GrassCode } from '../../grass/grasses'
import { daysBetween, addDays, toDay, type Day } from '../../measure/calendar'
import type { Ground, Sun } from '../../soil/soilCourse'
import type { Watering } from '../../water/topLayer'
import { climateFromNormals } from '../../weather/climate'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { bedWater, type SeedBed } from '../moisture'
import { buildSeason, type Season } from '../season'
import { coveringOf, judgeYear } from '../sowing'
import { GOOD_SHARE } from '../losses'

const climate = climateFromNormals(COLUMBUS)
/** Cool and by the sea, where fleece is used: lat 54 of the check table. */
const cosine = (cold: number, hot: number) =>
  Array.from({ length: 12 }, (_, m) => (cold + hot) / 2 - ((hot - cold) / 2) * Math.cos((2 * Math.PI * m) / 12))
const even = (year: number) => Array<number>(12).fill(year / 12)
const MARITIME = climateFromNormals({
  tmaxC: cosine(7, 20),
  tminC: cosine(2, 12),
  rainMm: even(750),
  wetDays: even(190),
})
const seasonIn = (sun: Sun, place: 'inland' | 'maritime' = 'inland'): Season => {
  const coastal = place === 'maritime'
  const ground: Ground = { latDeg: coastal ? 54 : COLUMBUS_LAT, coastal, texture: 'loam', cover: 'bare', sun }
  const climate = coastal ? MARITIME : climateFromNormals(COLUMBUS)
  return buildSeason({ today: toDay('2027-04-01'), observed: [], forecast: [], climate, ground, years: 20, seed: 3 })
}
const INLAND = seasonIn('full')
const [SUNNY, SHADED] = [seasonIn('full', 'maritime'), seasonIn('dense', 'maritime')]
const bedOf = (cover: SeedBed['cover'], timesADay: Watering['timesADay']): SeedBed => ({
  cover,
  coverMm: 0,
  watering: { timesADay, bannedUntil: null },
})

/** Days to half of the seedlings and share that stands, as means of the years. */
function sown(season: Season, code: GrassCode, day: Day, bed: SeedBed): { days: number; share: number } {
  const i = daysBetween(season.first, day)
  const risk = { covering: coveringOf(bed.cover), slopeShare: 0, bed }
  const years = season.years.map((year) =>
    judgeYear(year, grassByCode(code), risk, bedWater(year.weather, season.ground, 0, bed)),
  )
  const mean = (of: (year: (typeof years)[number]) => number) =>
    years.reduce((sum, year) => sum + of(year), 0) / years.length
  return { days: mean(({ up50 }) => Math.min(60, up50[i]! - i)), share: mean(({ share }) => share[i]!) }
}

// Said by practitioners (trade): in a warm sunny May bare seed watered by hand comes up in the shade first; under fleece
// in September the sun is ahead.
describe('sun and shade of one lawn', () => {
  test('bare seed in May, watered by hand twice a day: the shade leads', () => {
    for (const code of ['TF', 'PRG', 'KBG'] as const) {
      const [sun, shade] = [SUNNY, SHADED].map((of) => sown(of, code, toDay('2027-05-20'), bedOf('none', 2))) as [
        ReturnType<typeof sown>,
        ReturnType<typeof sown>,
      ]
      expect(shade.days).toBeLessThan(sun.days - 2)
      expect(shade.share).toBeGreaterThan(sun.share)
    }
  })

  test('under fleece in September, kept moist: the sun leads', () => {
    for (const code of ['TF', 'PRG', 'KBG'] as const) {
      const [sun, shade] = [SUNNY, SHADED].map((of) => sown(of, code, toDay('2027-09-20'), bedOf('fleece', 'as told')))
      expect(sun!.days).toBeLessThan(shade!.days)
    }
  })

  test('fleece brings seed up sooner than none where soil is cool, by more than in the shade', () => {
    const day = toDay('2027-10-05')
    const gained = (of: Season) =>
      sown(of, 'TF', day, bedOf('straw', 'as told')).days - sown(of, 'TF', day, bedOf('fleece', 'as told')).days
    expect(gained(SUNNY)).toBeGreaterThan(1)
    expect(gained(SHADED)).toBeGreaterThan(0)
    expect(gained(SHADED)).toBeLessThan(gained(SUNNY))
  })
})

test('more waterings never make fewer good years, on any day and under any cover', () => {
  const good = (day: number, cover: SeedBed['cover'], timesADay: Watering['timesADay']): number => {
    const bed = bedOf(cover, timesADay)
    const risk = { covering: coveringOf(cover), slopeShare: 0, bed }
    return INLAND.years.filter((year) => {
      const { share } = judgeYear(year, grassByCode('TF'), risk, bedWater(year.weather, INLAND.ground, 0, bed))
      return share[daysBetween(INLAND.first, addDays(toDay('2027-04-01'), day))]! >= GOOD_SHARE
    }).length
  }
  fc.assert(
    fc.property(fc.nat(220), fc.constantFrom('none', 'straw', 'compost', 'fleece'), fc.nat(2), (day, cover, times) => {
      expect(good(day, cover, times + 1)).toBeGreaterThanOrEqual(good(day, cover, times))
      expect(good(day, cover, 'as told')).toBeGreaterThanOrEqual(good(day, cover, times))
    }),
    { numRuns: 12 },
  )
})

test('weather that is no number is refused by its day, and rain is never less than none', () => {
  const day = { day: toDay('2027-03-04'), tmaxC: 12, tminC: 3, rainMm: 0 }
  const of = (change: Partial<typeof day>) => () =>
    buildSeason({
      today: toDay('2027-04-01'),
      observed: [{ ...day, ...change }],
      forecast: [],
      climate,
      ground: INLAND.ground,
      years: 1,
      seed: 3,
    })
  expect(of({})).not.toThrow()
  for (const change of [{ tmaxC: NaN }, { tminC: -Infinity }, { rainMm: NaN }, { rainMm: -1 }])
    expect(of(change)).toThrow('No weather on 2027-03-04.')
})
