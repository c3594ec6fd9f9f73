import { matrix, multiply, add, inv, type Matrix } from 'mathjs'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addDays, toDay } from '../../measure/calendar'
import { correctByProbe, followProfile, profileC, type ProbeReading } from '../probe'
import { soilColumn } from '../soil'

const FIRST = toDay('2026-08-01')
const DAYS = 60
const surface = Float64Array.from(
  { length: DAYS * 24 },
  (_, i) => 20 + 8 * Math.cos((2 * Math.PI * ((i % 24) - 15)) / 24) - i / 400,
)
const profile = followProfile(soilColumn({ diffusivityM2PerS: 0.6e-6, initialC: 20 }), surface, FIRST)
const at = (day: number, time = '06:40') => `${addDays(FIRST, day)}T${time}`
const modelled = (day: number, hour = 6 + 40 / 60, depthM = 0.05) => profileC(profile, depthM, day * 24 + hour)!
const off = (days: readonly number[], byK: (day: number) => number): ProbeReading[] =>
  days.map((day) => ({ at: at(day), depthMm: 50, tempC: modelled(day) + byK(day) }))
const correct = (readings: readonly ProbeReading[], days = DAYS + 30, ahead = 0) =>
  correctByProbe(profile, readings, days, ahead)

describe('the modelled profile', () => {
  test('lies between its nodes, follows the day less the deeper, and tells nothing outside of itself', () => {
    const wave = (depthM: number) =>
      Math.max(...Array.from({ length: 24 }, (_, h) => modelled(30, h, depthM))) -
      Math.min(...Array.from({ length: 24 }, (_, h) => modelled(30, h, depthM)))
    expect(wave(0.05)).toBeGreaterThan(wave(0.1))
    expect(wave(0.1)).toBeGreaterThan(wave(0.3))
    expect(profileC(profile, 0.05, -1)).toBeUndefined()
    expect(profileC(profile, 3, 24)).toBeUndefined()
    expect(modelled(30, 12.5)).toBeCloseTo((modelled(30, 12) + modelled(30, 13)) / 2, 9)
  })
})

describe('readings', () => {
  test('that agree with the model change nothing, and none change nothing', () => {
    expect(correct(off([5, 9, 20], () => 0)).offsetK.every((k) => Math.abs(k) < 1e-9)).toBe(true)
    expect(correct([]).offsetK.every((k) => k === 0)).toBe(true)
  })

  test('move the model by an offset that fades to a third in ten days', () => {
    const { offsetK } = correct(off([20, 21, 22, 23, 24], () => 2))
    expect(offsetK[24]!).toBeGreaterThan(1.5)
    expect(offsetK[24]!).toBeLessThan(2)
    expect(offsetK[34]! / offsetK[24]!).toBeCloseTo(Math.exp(-1), 2)
    expect(offsetK[10]).toBe(0)
  })

  test('are filtered as the matrix form of Kalman’s equations does it', () => {
    // Reference: the same state space through mathjs matrices, x' = F x, P' = F P Fᵀ + Q, K = P Hᵀ (H P Hᵀ + R)⁻¹.
    const days = [3, 4, 7, 12, 13]
    const departs = [1.2, 0.4, 1.9, -0.3, 0.8]
    let [x, p]: [Matrix, Matrix] = [matrix([[0]]), matrix([[1.5 ** 2]])]
    let last = 0
    const expected = days.map((day, i) => {
      const f = matrix([[Math.exp(-(day - last) / 10)]])
      const q = matrix([[1.5 ** 2 * (1 - Math.exp((-2 * (day - last)) / 10))]])
      last = day
      x = multiply(f, x)
      p = add(multiply(multiply(f, p), f), q)
      const k = multiply(p, inv(add(p, matrix([[0.7 ** 2]]))))
      x = add(x, multiply(k, add(matrix([[departs[i]!]]), multiply(-1, x)))) as Matrix
      p = multiply(add(matrix([[1]]), multiply(-1, k)), p) as Matrix
      return x.get([0, 0]) as number
    })
    const { offsetK } = correctByProbe(
      profile,
      days.map((day, i) => ({ at: at(day, '12:00'), depthMm: 50, tempC: modelled(day, 12) + departs[i]! })),
      DAYS,
      0,
    )
    // The offset of a day is of its noon: what was read then is in it from the day after on, faded by a day.
    days.forEach((day, i) => {
      if (days[i + 1] !== day + 1) expect(offsetK[day + 1]!).toBeCloseTo(expected[i]! * Math.exp(-0.1), 6)
    })
  })

  test('that cannot be right are kept and left out, and what is corrected stands as without them', () => {
    const good = off([10, 11, 12], () => 0.8)
    const broken: ProbeReading = { at: at(13), depthMm: 50, tempC: modelled(13) + 15 }
    const { readings, offsetK } = correct([...good, broken])
    expect(readings.map(({ used }) => used)).toEqual([true, true, true, false])
    expect(readings[3]!.surpriseK).toBeGreaterThan(14)
    expect(Array.from(offsetK)).toEqual(Array.from(correct(good).offsetK))
  })

  test('that agree among each other are believed against the model at last', () => {
    const { readings, offsetK } = correct(off([10, 11, 12, 13], () => -8))
    expect(readings.map(({ used }) => used)).toEqual([false, false, true, true])
    expect(offsetK[14]!).toBeLessThan(-6)
  })

  test('of several depths are each held against their own depth and hour, by the sun and not by the clock', () => {
    const readings: ProbeReading[] = [
      { at: at(15, '09:00'), depthMm: 25, tempC: modelled(15, 7.7, 0.025) + 1 },
      { at: at(15, '15:00'), depthMm: 100, tempC: modelled(15, 13.7, 0.1) + 1 },
    ]
    for (const reading of correct(readings, DAYS, 1.3).readings)
      expect(reading.tempC - reading.modelC).toBeCloseTo(1, 9)
  })

  test('in any order and number give the same, never more than they say', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: DAYS - 2 }), { minLength: 1, maxLength: 12 }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (days, k) => {
          const readings = off(days, () => k)
          const { offsetK } = correct(readings)
          expect(Array.from(correct([...readings].reverse()).offsetK)).toEqual(Array.from(offsetK))
          expect(offsetK.every((offset) => Math.abs(offset) <= Math.abs(k) + 1e-9)).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('outside of the season are passed over', () => {
    expect(
      correct([
        { at: '2020-01-01T08:00', depthMm: 50, tempC: 4 },
        { at: at(5), depthMm: 900, tempC: 4 },
      ]).readings,
    ).toEqual([])
  })
})
