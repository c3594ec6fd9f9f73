import { describe, expect, test } from 'vitest'
import { toDay } from '../../measure/calendar'
import { pureSeed, type Blend } from '../../seed/blends'
import { climateFromNormals } from '../../weather/climate'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { emergenceCourse } from '../emergenceCourse'
import { judgedOf } from '../judged'
import { oddsByDay } from '../window'
import { buildSeason } from '../season'
import { sowingDay } from '../sowingDay'
import { COVER_AFTER_DAYS } from '../stand'

const season = buildSeason({
  today: toDay('2026-09-08'),
  observed: [],
  forecast: [],
  climate: climateFromNormals(COLUMBUS),
  ground: { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
  years: 25,
  seed: 11,
})
const RISK = { covering: 'covered', slopeShare: 0 } as const
const STAND = { old: null, keptShare: 0, scalpToMm: 30, liveSeedsPerCm2: 2, buried: true, fieldShare: 0.6 }
const of = (blend: Blend) => judgedOf(season, blend, RISK, 75, { stand: STAND })
const SOWN = season.todayIndex + 10

describe('emergence of one sowing, day by day', () => {
  test('says the same days as the sowing day itself', () => {
    const judged = of(pureSeed('TF'))
    const odds = oddsByDay(
      judged.years.map(({ whole }) => whole),
      SOWN + 1,
    )
    const day = sowingDay(judged, odds[SOWN]!, SOWN)
    const { middle, parts, up50, perCm2 } = emergenceCourse(judged, SOWN)
    expect(up50).toBe(day.up50)
    expect(parts[0]).toMatchObject({ up05: day.up05, up50: day.up50, up95: day.up95 })
    // By the end of that day half of them are up, by the end of the day before they are not.
    expect(middle[day.up50!]).toBeGreaterThanOrEqual(0.5)
    expect(middle[day.up50! - 1]).toBeLessThan(0.5)
    // 0.6 of live seed under a cover stands up: field share of models §7.
    expect(perCm2).toBeCloseTo(1.2, 9)
  })

  test('rises from none to all, slow years never ahead of fast ones', () => {
    const { slow, middle, fast } = emergenceCourse(of(pureSeed('KBG')), SOWN)
    expect(middle[0]).toBe(0)
    for (let d = 1; d < middle.length; d++) {
      expect(middle[d]).toBeGreaterThanOrEqual(middle[d - 1]!)
      expect(slow[d]).toBeLessThanOrEqual(middle[d]!)
      expect(middle[d]).toBeLessThanOrEqual(fast[d]!)
    }
    expect(slow.at(-1)).toBeGreaterThan(0.95)
  })

  test('of a mixture is its seeds by number, the ryegrass first', () => {
    const { middle, parts } = emergenceCourse(
      of([
        { grass: 'KBG', massShare: 0.85 },
        { grass: 'PRG', massShare: 0.15 },
      ]),
      SOWN,
    )
    expect(parts.reduce((sum, { countShare }) => sum + countShare, 0)).toBeCloseTo(1, 9)
    expect(parts[1]!.up50!).toBeLessThan(parts[0]!.up50!)
    const late = parts[0]!.up50! + 20
    expect(middle[late]).toBeCloseTo(
      parts.reduce((sum, { countShare, middle: own }) => sum + countShare * own[late]!, 0),
      1,
    )
  })

  test('green cover is what the sowing day says of it six weeks on, and never falls', () => {
    const judged = of(pureSeed('TF'))
    const odds = oddsByDay(
      judged.years.map(({ whole }) => whole),
      SOWN + 1,
    )
    const cover = emergenceCourse(judged, SOWN).cover!
    expect(cover[COVER_AFTER_DAYS]).toBeCloseTo(sowingDay(judged, odds[SOWN]!, SOWN).stand!.cover, 2)
    expect(cover[0]).toBe(0)
    for (let d = 1; d < cover.length; d++) expect(cover[d]).toBeGreaterThanOrEqual(cover[d - 1]!)
    expect(emergenceCourse({ ...judged, stand: undefined }, SOWN)).toMatchObject({ cover: null, perCm2: null })
  })

  test('behind today all years are one, and a usual year is told beside it', () => {
    const judged = of(pureSeed('TF'))
    const sown = season.todayIndex - 40
    const { slow, fast, usual50, up50 } = emergenceCourse(judged, sown)
    expect(slow.slice(0, 38)).toEqual(fast.slice(0, 38))
    // Days without observation are normals: nearly a usual year.
    expect(Math.abs(usual50! - up50!)).toBeLessThanOrEqual(2)
    expect(() => emergenceCourse(judged, -1)).toThrow(RangeError)
  })
})
