import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dayNumber, toDay } from '../../measure/calendar'
import { grassByCode, GRASS_CODES, type GrassCode } from '../../grass/grasses'
import { newRateGPerM2, seedsPerCm2 } from '../../seed/liveSeed'
import { pureSeed } from '../../seed/blends'
import { buildSeason, DAYS_BEHIND, quantile } from '../season'
import { judgeYear } from '../sowing'
import { leafCourse } from '../growth'
import { climateFromNormals } from '../../weather/climate'
import { WEATHER_SEED } from '../../weather/generator'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import {
  bedOf,
  coverOn,
  coverShare,
  denseIndex,
  oldMowIndex,
  plantCm2,
  seedlingsPerCm2,
  soilCourseOf,
  type Stand,
} from '../stand'
import { planningOf } from '../../job/planningFigures'

const STAND: Stand = {
  old: grassByCode('TF'),
  keptShare: 0.5,
  scalpToMm: 40,
  liveSeedsPerCm2: 1,
  buried: true,
  fieldShare: 0.3,
}
const soil = (meanC: number, days = 300) =>
  soilCourseOf({ soil: { seedbedHourlyC: new Float32Array(0), probeDailyC: new Float64Array(days).fill(meanC) } })
const coming = (code: GrassCode, up50: number) => [{ grass: grassByCode(code), countShare: 1, up50 }]

// Own: a logistic towards the ground one plant covers in the end.
describe('the ground a plant covers', () => {
  test('is half of its largest at the middle, and where a logistic puts it a scale on either side', () => {
    expect(plantCm2('TF', 390)).toBeCloseTo(1.25, 9)
    expect(plantCm2('TF', 510)).toBeCloseTo(2.5 * 0.7310586, 6)
    expect(plantCm2('KBG', 900)).toBeCloseTo(1.5, 9)
    expect(plantCm2('PRG', 0)).toBeLessThan(0.1)
  })

  test('makes a cover that grows with plants, warmth and what stands, and never passes all of it', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(
        fc.constantFrom(...GRASS_CODES),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 2500, noNaN: true }),
        share,
        (grass, perCm2, thermalCd, old) => {
          const of = (n: number, cd: number) => coverShare([{ grass, perCm2: n, thermalCd: cd }], old)
          const cover = of(perCm2, thermalCd)
          expect(cover).toBeGreaterThanOrEqual(old - 1e-12)
          expect(cover).toBeLessThanOrEqual(1)
          expect(of(perCm2 + 1, thermalCd)).toBeGreaterThanOrEqual(cover)
          expect(of(perCm2, thermalCd + 50)).toBeGreaterThanOrEqual(cover)
        },
      ),
    )
  })
  // By hand: 0.6 seedlings a cm², each 1.25 cm²: 1 − exp(−0.75) = 0.5276; half of the ground old grass: 0.7638.
  test('is what a hand makes of it', () => {
    const plants = [{ grass: 'TF', perCm2: 0.6, thermalCd: 390 }] as const
    expect(coverShare(plants)).toBeCloseTo(0.5276, 4)
    expect(coverShare(plants, 0.5)).toBeCloseTo(0.7638, 4)
  })
})

describe('a bed after sowing', () => {
  test('counts on fewer seedlings among standing grass, and on the surface', () => {
    const planning = planningOf()
    const of = (lies: Partial<Stand>) => planning[bedOf({ ...STAND, ...lies })]
    expect([of({}), of({ keptShare: 0 }), of({ keptShare: 0, buried: false })]).toEqual([0.3, 0.6, 0.4])
    expect(seedlingsPerCm2({ ...STAND, liveSeedsPerCm2: 2, fieldShare: 0.35 })).toBeCloseTo(0.7, 12)
  })
  test('is the old grass alone until it comes up, and more the sooner it does', () => {
    const of = (up50: number) => coverOn(STAND, soil(16), coming('TF', up50), 42)
    expect(of(60)).toBe(0.5)
    expect(of(8)).toBeGreaterThan(of(20))
  })
  test('is dense on the first day that covers nine tenths, and never where that does not come', () => {
    const bare = { ...STAND, keptShare: 0, liveSeedsPerCm2: 2, fieldShare: 0.6 }
    const day = denseIndex(bare, soil(16), coming('TF', 8), 0)
    expect(coverOn(bare, soil(16), coming('TF', 8), day)).toBeGreaterThanOrEqual(0.9)
    expect(coverOn(bare, soil(16), coming('TF', 8), day - 1)).toBeLessThan(0.9)
    expect(denseIndex({ ...bare, liveSeedsPerCm2: 0.01 }, soil(16), coming('TF', 8), 0)).toBe(Infinity)
  })
  // Reference table, tall fescue: 65 °C·d to 25 mm, 130 to 50, 230 to 80 above 5 °C; at 15 °C ten a day. From 50 mm to
  // 80 mm: 100 °C·d, ten days from the cut three days ahead.
  test('has its old grass up to mowing height when its thermal time is over, counted from the cut', () => {
    const leaves = (meanC: number) =>
      leafCourse(grassByCode('TF'), {
        tmaxC: new Float64Array(200).fill(meanC + 5),
        tminC: new Float64Array(200).fill(meanC - 5),
      })
    expect(oldMowIndex({ ...STAND, scalpToMm: 50 }, leaves(15), 10, 80 / 1.5)).toBe(16)
    expect(oldMowIndex({ ...STAND, old: null }, leaves(15), 10, 60)).toBe(Infinity)
    expect(oldMowIndex(STAND, leaves(2), 10, 60)).toBe(Infinity)
  })
})

// Common practice, from memory: at the full rate in mid September half to three quarters of the ground after six weeks, four
// fifths and more after ten, over nine tenths next May; bluegrass takes eight weeks and more from first sprouts to a dense sward.
describe('cover at Columbus, by its published normals', () => {
  const of = buildSeason({
    today: toDay('2026-06-01'),
    observed: [],
    forecast: [],
    climate: climateFromNormals(COLUMBUS),
    ground: { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
    years: 60,
    seed: WEATHER_SEED,
  })
  const at = (day: string) => DAYS_BEHIND + dayNumber(toDay(day)) - dayNumber(toDay('2026-06-01'))
  const sown = at('2026-09-15')
  const courses = of.years.map(soilCourseOf)
  const standOf = (code: GrassCode): Stand => ({
    ...STAND,
    keptShare: 0,
    fieldShare: 0.6,
    old: null,
    liveSeedsPerCm2: seedsPerCm2(newRateGPerM2(grassByCode(code)), pureSeed(code)),
  })
  const ups = (code: GrassCode) =>
    of.years.map((year) => judgeYear(year, grassByCode(code), { covering: 'covered', slopeShare: 0 }).up50[sown]!)
  const middle = (values: number[]) => quantile(values, 0.5)
  const cover = (code: GrassCode, day: number) => {
    const days = ups(code)
    return middle(courses.map((course, y) => coverOn(standOf(code), course, coming(code, days[y]!), day)))
  }

  test.each(['TF', 'PRG'] as const)('%s', (code) => {
    expect(cover(code, sown + 42)).toBeGreaterThanOrEqual(0.5)
    expect(cover(code, sown + 42)).toBeLessThanOrEqual(0.75)
    expect(cover(code, sown + 70)).toBeGreaterThanOrEqual(0.8)
    expect(cover(code, at('2027-05-15'))).toBeGreaterThan(0.9)
  })

  test('bluegrass is dense eight weeks or more after its first sprouts', () => {
    const days = ups('KBG')
    const waits = courses.map(
      (course, y) => denseIndex(standOf('KBG'), course, coming('KBG', days[y]!), sown) - days[y]!,
    )
    expect(middle(waits)).toBeGreaterThanOrEqual(56)
  })
})
