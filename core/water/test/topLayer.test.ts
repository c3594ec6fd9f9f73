import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { climateFromNormals } from '../../weather/climate'
import { generateWeather } from '../../weather/generator'
import { TEXTURES } from '../../soil/soil'
import { hargreavesEt0Mm, radiationOf } from '../../weather/radiation'
import { emptyRun, type WeatherRun } from '../../weather/weather'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { toDay } from '../../measure/calendar'
import { AS_TOLD, evaporatedMm, followTopLayer, topLayer, type BedCover, type Watering } from '../topLayer'

const GROUND = { latDeg: COLUMBUS_LAT, sun: 'full' } as const
const NO_WATER: Watering = { timesADay: 0, bannedUntil: null }
const weather = (days = 120, seed = 4): WeatherRun =>
  generateWeather(climateFromNormals(COLUMBUS), toDay('2026-06-01'), days, seed)
/** One and the same day over and over, whose reference evaporation is so much. */
function dayOver(et0Mm: number, day: string, days: number): WeatherRun {
  const run = emptyRun(toDay(day), days)
  const raMJ = radiationOf(COLUMBUS_LAT, run.first, 1)[0]!
  let [low, high] = [-20, 60]
  for (let k = 0; k < 50; k++) {
    const middle = (low + high) / 2
    if (hargreavesEt0Mm(middle + 6, middle - 6, raMJ) < et0Mm) low = middle
    else high = middle
  }
  run.tmaxC.fill(low + 6)
  run.tminC.fill(low - 6)
  return run
}
const COVER: readonly BedCover[] = ['none', 'straw', 'peat', 'compost', 'screened topsoil', 'fleece']
const sum = (values: ArrayLike<number>) => Array.from(values).reduce((a, b) => a + b, 0)

describe('the bucket', () => {
  test('of 6 mm of sandy loam holds 1.1 mm', () => {
    // FAO-56 eq. 73 with field capacity 0.23 and wilting point 0.10 of its table 19: 1000 (0.23 − 0.05) 0.006.
    expect(topLayer('sandy loam', 'none', 0, 0).capacityMm).toBeCloseTo(1.08, 9)
    expect(topLayer('sandy loam', 'compost', 5, 0).capacityMm).toBeCloseTo(1.83, 9)
    expect(topLayer('clay', 'none', 0, 0.1).infiltrationMmPerH).toBe(2.5)
  })

  test('dries as a morning worked by hand', () => {
    // By eq. 71 and 74: 0.486 of 1.08 mm leave freely, the rest in proportion to what is left; wet soil evaporates 1.1 of
    // the reference. 0.2, 0.3 and 0.3 mm of reference: 0.22; 0.33 (0.22 gone is still under 0.486); then of 0.33 the share
    // (1.08 − 0.55) / 0.594 = 0.8923, 0.2944.
    const layer = topLayer('sandy loam', 'none', 0, 0)
    let depleted = 0
    const hours = [0.2, 0.3, 0.3].map((et0) => {
      const out = evaporatedMm(layer, depleted, et0)
      depleted += out
      return out
    })
    expect(hours[0]).toBeCloseTo(0.22, 9)
    expect(hours[1]).toBeCloseTo(0.33, 9)
    expect(hours[2]).toBeCloseTo(0.29444, 4)
    expect(depleted).toBeCloseTo(0.84444, 4)
  })

  test('never holds less than nothing or more than it can, and water is conserved', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TEXTURES),
        fc.constantFrom(...COVER),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 0, max: 8 }),
        fc.integer({ min: 1, max: 500 }),
        (texture, cover, coverMm, timesADay, seed) => {
          const { leftShare, givenMm, times } = followTopLayer(
            weather(40, seed),
            GROUND,
            topLayer(texture, cover, coverMm, 0),
            { timesADay, bannedUntil: null },
          )
          expect(leftShare.every((left) => left >= -1e-6 && left <= 1 + 1e-6)).toBe(true)
          expect(times.every((count) => count === timesADay)).toBe(true)
          // What is given is never more than what had left.
          expect(givenMm.every((mm) => mm >= 0)).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('without sun, rain and watering stays as it is', () => {
    const dark = emptyRun(toDay('2026-06-01'), 5)
    dark.tmaxC.fill(-20)
    dark.tminC.fill(-20)
    expect(
      followTopLayer(dark, GROUND, topLayer('loam', 'none', 0, 0), NO_WATER).leftShare.every((left) => left === 1),
    ).toBe(true)
  })
})

describe('a bed', () => {
  test('of bare sandy loam in a hot week is dry by noon, and covered it is not', () => {
    const hot = emptyRun(toDay('2026-07-10'), 3)
    hot.tmaxC.fill(33)
    hot.tminC.fill(19)
    const once: Watering = { timesADay: 1, bannedUntil: null }
    const noon = (cover: BedCover, mm: number) =>
      followTopLayer(hot, GROUND, topLayer('sandy loam', cover, mm, 0), once).leftShare[24 + 10]!
    expect(noon('none', 0)).toBeLessThan(0.15)
    expect(noon('compost', 5)).toBeGreaterThan(noon('none', 0) + 0.2)
  })

  test('watered as told is moist in the hours of the day, and covered it takes fewer goes than bare', () => {
    const run = weather()
    const of = (cover: BedCover, mm: number) => followTopLayer(run, GROUND, topLayer('loam', cover, mm, 0), AS_TOLD)
    const bare = of('none', 0)
    const covered = of('compost', 5)
    expect(bare.leftShare.filter((left, i) => i % 24 >= 7 && left < 0.25)).toHaveLength(0)
    expect(sum(covered.times)).toBeLessThan(sum(bare.times))
    // Common practice, no source: two to three goes a day for a covered bed, three to seven for a bare one, in summer.
    expect(sum(covered.times) / 120).toBeLessThan(3.01)
    expect(sum(bare.times) / 120).toBeGreaterThan(sum(covered.times) / 120)
    expect(sum(bare.times) / 120).toBeLessThan(7.01)
  })

  // Common practice, no source: how often a bed of loam is watered in full sun, covered or bare, by the day.
  test.each([
    ['a dull cool day', 1.75, '2026-09-10', [0.5, 1.2], [1, 2.2]],
    ['a clear September day', 4.5, '2026-09-10', [1.4, 3], [4, 6]],
    ['brutal heat', 7, '2026-07-01', [2.5, 4], [6, 8]],
  ] as const)('on %s wants as many waterings as practitioners give', (_, et0Mm, day, covered, bare) => {
    const times = (cover: BedCover, mm: number, sun: 'full' | 'part' = 'full') => {
      const given = followTopLayer(dayOver(et0Mm, day, 12), { ...GROUND, sun }, topLayer('loam', cover, mm, 0), AS_TOLD)
      return sum(given.times.slice(3)) / 9
    }
    const between = (value: number, [low, high]: readonly [number, number]) => value >= low && value <= high
    expect([times('compost', 5), between(times('compost', 5), covered)]).toEqual([times('compost', 5), true])
    expect([times('none', 0), between(times('none', 0), bare)]).toEqual([times('none', 0), true])
    if (et0Mm === 4.5) expect(between(times('none', 0, 'part'), [2, 3])).toBe(true)
  })

  test('covered never dries faster, watered or rained on more is never drier, shaded it is never drier', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TEXTURES),
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 0, max: 3 }),
        (texture, seed, timesADay) => {
          const run = weather(30, seed)
          const wetter: WeatherRun = { ...run, rainMm: run.rainMm.map((mm) => mm + 2) }
          const left = (of: WeatherRun, cover: BedCover, times: number, sun: 'full' | 'part' = 'full') =>
            followTopLayer(of, { ...GROUND, sun }, topLayer(texture, cover, 0, 0), {
              timesADay: times,
              bannedUntil: null,
            }).leftShare
          const plain = left(run, 'none', timesADay)
          const never = (other: Float32Array) => other.every((share, i) => share >= plain[i]! - 1e-5)
          expect([
            never(left(run, 'straw', timesADay)),
            never(left(wetter, 'none', timesADay)),
            never(left(run, 'none', timesADay, 'part')),
          ]).toEqual([true, true, true])
          if (timesADay === 0) expect(never(left(run, 'none', 3))).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('is given nothing while watering is banned, and every other day when that is all', () => {
    const { times } = followTopLayer(weather(20), GROUND, topLayer('loam', 'none', 0, 0), {
      timesADay: 2,
      bannedUntil: toDay('2026-06-11'),
    })
    expect([sum(times.slice(0, 10)), sum(times.slice(10))]).toEqual([0, 20])
    expect(
      sum(
        followTopLayer(weather(20), GROUND, topLayer('loam', 'none', 0, 0), { timesADay: 0.5, bannedUntil: null })
          .times,
      ),
    ).toBe(10)
  })
})
