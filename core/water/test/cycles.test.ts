import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { TEXTURES } from '../../soil/soil'
import { cyclesAt, fewestCycles, KEPT_ABOVE, spreadHours, type BedAsked } from '../cycles'
import { topLayer, type BedCover } from '../topLayer'

const DAY = Array.from({ length: 13 }, (_, i) => i + 6)
const bed = (et0Mm: number, cover: BedCover, change: Partial<BedAsked> = {}): BedAsked => ({
  layer: topLayer('loam', cover, cover === 'none' ? 0 : 5, 0),
  sun: 'full',
  et0Mm,
  hours: DAY,
  aheadH: 0,
  ...change,
})
const times = (asked: BedAsked) => fewestCycles(asked).cycles.length

describe('the cycles of a day', () => {
  // How practitioners water, of the trade, no source: on loam, 5 mm of cover or none, full sun.
  test.each([
    ['a clear September day, covered', 4.5, 'compost', 2, 3],
    ['a clear September day, bare', 4.5, 'none', 4, 6],
    ['a dull cool day, covered', 1.75, 'compost', 1, 1],
    ['a dull cool day, bare', 1.75, 'none', 1, 2],
    ['brutal heat, covered', 7, 'compost', 3, 4],
    ['brutal heat, bare', 7, 'none', 6, 8],
  ] as const)('are on %s as many as practitioners give', (_, et0Mm, cover, least, most) => {
    expect(times(bed(et0Mm, cover))).toBeGreaterThanOrEqual(least)
    expect(times(bed(et0Mm, cover))).toBeLessThanOrEqual(most)
  })
  test('are two or three on bare ground in half shade', () => {
    expect([2, 3]).toContain(times(bed(4.5, 'none', { sun: 'part' })))
  })

  const asked = fc.record({
    texture: fc.constantFrom(...TEXTURES),
    cover: fc.constantFrom<BedCover>('none', 'compost', 'straw', 'screened topsoil'),
    et0Mm: fc.double({ min: 0.5, max: 7, noNaN: true }),
    hours: fc.subarray(
      Array.from({ length: 24 }, (_, i) => i),
      { minLength: 1 },
    ),
  })
  test('keep to the hours allowed, and to the margin wherever those make it possible', () => {
    fc.assert(
      fc.property(asked, ({ texture, cover, et0Mm, hours }) => {
        const of = bed(et0Mm, cover, { layer: topLayer(texture, cover, 5, 0), hours })
        const day = fewestCycles(of)
        for (const { hour, depthMm } of day.cycles) {
          expect(hours).toContain(hour)
          expect(depthMm).toBeGreaterThan(0)
        }
        const all = cyclesAt(of, hours)
        // Where watering at every hour allowed holds the margin, so does the programme.
        if (all.lowest >= KEPT_ABOVE) expect(day.lowest).toBeGreaterThanOrEqual(KEPT_ABOVE - 1e-9)
        expect(day.cycles.length).toBeLessThanOrEqual(all.cycles.length)
      }),
      { numRuns: 300 },
    )
  })

  test('cost the seed hours of drought where one is left out at noon', () => {
    for (const [et0Mm, cover, least] of [
      [4.5, 'none', 1],
      [7, 'none', 1],
      [7, 'compost', 1],
    ] as const) {
      const of = bed(et0Mm, cover)
      const { cycles, dryHours } = fewestCycles(of)
      const hours = cycles.map(({ hour }) => hour)
      const fewer = cyclesAt(
        of,
        hours.filter((hour) => hour !== hours[Math.floor(hours.length / 2)]),
      )
      expect(fewer.dryHours - dryHours, `${cover} at ${et0Mm}`).toBeGreaterThanOrEqual(least)
    }
  })

  test('that are left out never leave it wetter, and cost hours of drought where none is left', () => {
    const of = bed(5.5, 'none')
    const [six, one, none] = [[6, 8, 10, 12, 14, 16], [6], []].map((hours) => cyclesAt(of, hours))
    expect(one!.dryHours).toBeGreaterThan(six!.dryHours + 3)
    expect(none!.dryHours).toBeGreaterThan(one!.dryHours)
  })

  test('are spread evenly where fewer are possible', () => {
    expect(spreadHours(DAY, 3)).toEqual([6, 12, 18])
    expect(spreadHours(DAY, 1)).toEqual([6])
    expect(spreadHours(DAY, 0)).toEqual([])
    expect(spreadHours([5, 6], 9)).toEqual([5, 6])
  })
})
