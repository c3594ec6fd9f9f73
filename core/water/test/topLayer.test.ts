import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { climateFromNormals } from '../../weather/normals'
import { generateWeather } from '../../weather/generator'
import { TEXTURES } from '../../soil/soil'
import { emptyRun, type WeatherRun } from '../../weather/weather'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { toDay } from '../../measure/calendar'
import { AS_TOLD, evaporatedMm, followTopLayer, topLayer, type BedCover, type Watering } from '../topLayer'

const GROUND = { latDeg: COLUMBUS_LAT, sun: 'full' } as const
const NO_WATER: Watering = { timesADay: 0, bannedUntil: null }
const weather = (days = 120, seed = 4): WeatherRun =>
  generateWeather(climateFromNormals(COLUMBUS), toDay('2026-06-01'), days, seed)
const COVER: readonly BedCover[] = ['none', 'straw', 'peat', 'compost', 'screened topsoil', 'fleece']
const sum = (values: ArrayLike<number>) => Array.from(values).reduce((a, b) => a + b, 0)

describe('the bucket', () => {
  test('of a centimetre of sandy loam holds 1.8 mm', () => {
    // FAO-56 eq. 73 with field capacity 0.23 and wilting point 0.10 of its table 19: 1000 (0.23 − 0.05) 0.01.
    expect(topLayer('sandy loam', 'none', 0, 0).capacityMm).toBeCloseTo(1.8, 9)
    expect(topLayer('sandy loam', 'compost', 5, 0).capacityMm).toBeCloseTo(4.3, 9)
    expect(topLayer('clay', 'none', 0, 0.1).infiltrationMmPerH).toBe(2.5)
  })

  test('dries as a morning worked by hand', () => {
    // By eq. 71 and 74: 0.72 of 1.8 mm leave freely, the rest in proportion to what is left; wet soil evaporates 1.2 of
    // the reference. 0.5, 0.6 and 0.7 mm of reference: 0.6; 0.72 (0.6 gone is still under 0.72); then of 0.84 the share
    // (1.8 − 1.32) / 1.08 = 0.4444, 0.3733.
    const layer = topLayer('sandy loam', 'none', 0, 0)
    let depleted = 0
    const hours = [0.5, 0.6, 0.7].map((et0) => {
      const out = evaporatedMm(layer, depleted, et0)
      depleted += out
      return out
    })
    expect(hours[0]).toBeCloseTo(0.6, 9)
    expect(hours[1]).toBeCloseTo(0.72, 9)
    expect(hours[2]).toBeCloseTo(0.37333, 4)
    expect(depleted).toBeCloseTo(1.69333, 4)
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
  test('of bare sandy loam in a hot week is dry by the evening, and covered it is not', () => {
    const hot = emptyRun(toDay('2026-07-10'), 3)
    hot.tmaxC.fill(33)
    hot.tminC.fill(19)
    const once: Watering = { timesADay: 1, bannedUntil: null }
    const evening = (cover: BedCover, mm: number) =>
      followTopLayer(hot, GROUND, topLayer('sandy loam', cover, mm, 0), once).leftShare[24 + 18]!
    expect(evening('none', 0)).toBeLessThan(0.15)
    expect(evening('compost', 5)).toBeGreaterThan(evening('none', 0) + 0.2)
  })

  test('watered as told is moist in the hours of the day, and covered it takes fewer goes than bare', () => {
    const run = weather()
    const of = (cover: BedCover, mm: number) => followTopLayer(run, GROUND, topLayer('loam', cover, mm, 0), AS_TOLD)
    const bare = of('none', 0)
    const covered = of('compost', 5)
    expect(bare.leftShare.filter((left, i) => i % 24 >= 7 && left < 0.35)).toHaveLength(0)
    expect(sum(covered.times)).toBeLessThan(sum(bare.times))
    // Common practice, no source: two to three goes a day for a covered bed, three to seven for a bare one, in summer.
    expect(sum(covered.times) / 120).toBeLessThan(3.01)
    expect(sum(bare.times) / 120).toBeGreaterThan(sum(covered.times) / 120)
    expect(sum(bare.times) / 120).toBeLessThan(7.01)
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
