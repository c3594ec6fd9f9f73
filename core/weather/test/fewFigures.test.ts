import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toDay } from '../../measure/calendar'
import { celsius } from '../../measure/units'
import { normalsFromFewFigures, type FewFigures } from '../fewFigures'
import { meanOf, mirrored, type Normals } from '../normals'
import { ATLANTA, ATLANTA_LAT, COLUMBUS, COLUMBUS_LAT } from './stations'

/** What somebody who lives there would say of a place. */
const saidOf = ({ tmaxC, tminC, rainMm }: Normals): FewFigures => ({
  hottest: { tmaxC: tmaxC[6]!, tminC: tminC[6]! },
  coldest: { tmaxC: tmaxC[0]!, tminC: tminC[0]! },
  rainMm: rainMm.reduce((sum, mm) => sum + mm, 0),
  wettest: null,
  lastFrost: null,
  firstFrost: null,
})
const apart = (a: readonly number[], b: readonly number[]) => a.map((value, i) => value - b[i]!)

describe('normals from a few figures', () => {
  // Normals of 1991 to 2020 of two stations, from memory; the bounds are those the model was asked for.
  test.each([
    ['Columbus', COLUMBUS, COLUMBUS_LAT],
    ['Atlanta', ATLANTA, ATLANTA_LAT],
  ])('of %s come back within 2.5 K, root mean square 1.5 K', (_, normals, latDeg) => {
    const made = normalsFromFewFigures(saidOf(normals), latDeg)
    for (const of of ['tmaxC', 'tminC'] as const) {
      const errors = apart(made[of], normals[of])
      expect(Math.max(...errors.map(Math.abs))).toBeLessThanOrEqual(2.5)
      expect(Math.sqrt(meanOf(errors.map((e) => e * e)))).toBeLessThanOrEqual(1.5)
    }
    expect(made.rainMm.reduce((sum, mm) => sum + mm, 0)).toBeCloseTo(saidOf(normals).rainMm, 9)
  })

  test('frost dates move the nights towards them, and by half a month at most', () => {
    const said = saidOf(COLUMBUS)
    const march = (figures: FewFigures) => normalsFromFewFigures(figures, COLUMBUS_LAT).tminC[2]!
    const plain = march(said)
    // Last frost in the middle of May: a late spring; early March: an early one.
    expect(march({ ...said, lastFrost: toDay('2026-05-15') })).toBeLessThan(plain)
    expect(march({ ...said, lastFrost: toDay('2026-03-01') })).toBeGreaterThan(plain)
    expect(march({ ...said, lastFrost: toDay('2026-07-01') })).toBe(march({ ...said, lastFrost: toDay('2026-06-10') }))
    // Average last frost 20 April, first 17 October at Columbus, from memory: the nights of its normals stay within 1.5 K.
    const frosts = { lastFrost: toDay('2026-04-20'), firstFrost: toDay('2026-10-17') }
    const errors = apart(normalsFromFewFigures({ ...said, ...frosts }, COLUMBUS_LAT).tminC, COLUMBUS.tminC)
    expect(Math.max(...errors.map(Math.abs))).toBeLessThan(1.5)
  })

  test('the wettest month is the wettest, and wet days follow its rain', () => {
    const said = { ...saidOf(COLUMBUS), rainMm: 600, wettest: { month: 1, rainMm: 120 } }
    const { rainMm, wetDays } = normalsFromFewFigures(said, COLUMBUS_LAT)
    expect(rainMm.indexOf(Math.max(...rainMm))).toBe(1)
    expect(rainMm[1]).toBeCloseTo(120, 9)
    expect(wetDays[1]).toBeCloseTo(15, 9)
    expect(Math.min(...wetDays)).toBe(3)
  })

  test('south of the equator the year is the same half a year later', () => {
    const north = normalsFromFewFigures(saidOf(ATLANTA), ATLANTA_LAT)
    const south = normalsFromFewFigures(saidOf(ATLANTA), -ATLANTA_LAT)
    expect(apart(mirrored(north).tmaxC, south.tmaxC).every((d) => Math.abs(d) < 1e-9)).toBe(true)
  })

  test('whatever is said, lows stay below highs and rain is none below nothing', () => {
    const temp = fc.double({ min: -30, max: 40, noNaN: true })
    const range = fc.double({ min: 1, max: 15, noNaN: true })
    fc.assert(
      fc.property(
        temp,
        range,
        range,
        range,
        fc.double({ min: 0, max: 4000, noNaN: true }),
        (cold, day, rise, more, mm) => {
          const figures: FewFigures = {
            coldest: { tminC: cold, tmaxC: cold + day },
            hottest: { tminC: cold + rise, tmaxC: cold + day + rise + more },
            rainMm: mm,
            wettest: { month: 4, rainMm: mm / 3 },
            lastFrost: toDay('2026-05-30'),
            firstFrost: toDay('2026-09-05'),
          }
          const made = normalsFromFewFigures(figures, 50)
          expect(made.tminC.every((low, m) => low <= made.tmaxC[m]!)).toBe(true)
          expect(made.rainMm.every((rain) => rain >= 0)).toBe(true)
        },
      ),
    )
  })

  test('what cannot be is refused', () => {
    const said = saidOf(COLUMBUS)
    expect(() => normalsFromFewFigures({ ...said, hottest: said.coldest }, 40)).toThrow(RangeError)
    expect(() => normalsFromFewFigures({ ...said, hottest: { tmaxC: celsius(70), tminC: celsius(80) } }, 40)).toThrow(
      RangeError,
    )
  })
})
