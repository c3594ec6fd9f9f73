import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { M2_PER_FT2 } from '../../measure/units'
import { coreHolesPerM2, coreSpacingMm, coringPasses, isHard } from '../operations/coring'
import { bladeDepth } from '../operations/dethatching'
import { planningOf } from '../planningFigures'
import { partsOf } from '../parts'
import { buildSchedule } from '../schedule/schedule'
import { planned, scheduleInput, ZONE } from './ground'

const OURS = planningOf()

describe('a corer', () => {
  // A square grid of s inches is 144/s² holes on a square foot (arithmetic): 3 in → 16, 4 in → 9.
  test.each([
    [3, 16],
    [4, 9],
  ])('whose tines and steps are %s in apart makes %s holes on a square foot in one pass', (inches, holes) => {
    expect(coreHolesPerM2(1, inches * 25.4, inches * 25.4) * M2_PER_FT2).toBeCloseTo(holes, 9)
    expect(coringPasses(inches * 25.4, { ...OURS, corerAcross: inches * 25.4, corerAlong: inches * 25.4 }).value).toBe(
      1,
    )
  })

  test('goes over the ground as often as its holes are wanted, two to four times as the trade does', () => {
    // 100 by 130 mm are 76.9 holes on a square metre; 100 mm want 100, 75 mm want 178.
    expect([100, 75].map((spacing) => coringPasses(spacing, OURS).value)).toEqual([2, 3])
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 150 }),
        fc.integer({ min: 40, max: 250 }),
        fc.integer({ min: 40, max: 250 }),
        (spacing, corerAcross, corerAlong) => {
          const corer = { ...OURS, corerAcross, corerAlong }
          const { value } = coringPasses(spacing, corer)
          const wanted = (1000 / spacing) ** 2
          if (value < 6)
            expect(coreHolesPerM2(value, corerAcross, corerAlong)).toBeGreaterThanOrEqual(
              wanted - 0.051 * coreHolesPerM2(1, corerAcross, corerAlong),
            )
          // One pass fewer would not do.
          if (value > 1) expect(coreHolesPerM2(value - 1, corerAcross, corerAlong)).toBeLessThan(wanted)
          expect(coringPasses(spacing - 10, corer).value).toBeGreaterThanOrEqual(value)
        },
      ),
    )
    expect(() => coringPasses(0, OURS)).toThrow(RangeError)
  })

  test('makes closer holes where the ground is hard, or where nobody tried', () => {
    const spacing = (driverMm: number | null, penetrometerKPa: number | null) =>
      coreSpacingMm(planned({ zone: { driverMm, penetrometerKPa } })[0]!)
    // 75 to 100 mm (3 to 4 in), common practice, no source; hard: a screwdriver not in to 75 mm.
    expect([
      spacing(60, null),
      spacing(90, null),
      spacing(null, 2500),
      spacing(null, 900),
      spacing(null, null),
    ]).toEqual([75, 100, 75, 100, 75])
    expect(isHard({ driverMm: 60, penetrometerKPa: null }, planningOf({ driver: 50 }))).toBe(false)
    // The hardest zone stands for all that are cored with it.
    const [part] = partsOf(
      [
        { zone: { ...ZONE, driverMm: 110 }, programme: 'overseed' },
        { zone: { ...ZONE, id: 'y', driverMm: 40 }, programme: 'overseed' },
      ],
      planned()[0]!.settings,
      { texture: 'loam', practices: planned()[0]!.practices },
    )
    expect(part!.survey.driverMm).toBe(40)
  })

  test('asks more of the crew the more often it goes over', () => {
    const hours = (driverMm: number) =>
      buildSchedule(scheduleInput({ parts: planned({ zone: { driverMm } }) })).tasks.find(({ key }) => key === 'core')!
        .hours.value
    // 612 m² at 1,400 m² an hour, one pass more.
    expect(hours(50) - hours(100)).toBeCloseTo(612 / 1400, 9)
  })
})

test('blades go through the thatch and a little into the soil', () => {
  // Common practice, no source: blades just bring up loose soil.
  const blades = (thatchMm: number, programme: 'overseed' | 'kill' = 'overseed') =>
    bladeDepth(planned({ programme, zone: { thatchMm } })[0]!).value
  expect(blades(18)).toBe(21)
  // Handbook value, from memory: about half an inch of thatch a season over turf that stays. Found: 43 mm over 40 of thatch.
  expect([blades(40), blades(40, 'kill')]).toEqual([12, 43])
})

test('the firm’s own limit says from when on turf is lifted to fill a hollow', () => {
  const has = (hollowRelay: number) => {
    const [part] = planned({ zone: { deepestMm: 60, hollowM3: 1, hollowM2: 20 } })
    return buildSchedule(scheduleInput({ parts: [{ ...part!, planning: planningOf({ hollowRelay }) }] })).tasks.some(
      ({ key }) => key === 'relay',
    )
  }
  expect([has(75), has(50)]).toEqual([false, true])
})
