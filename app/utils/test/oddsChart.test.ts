import fc from 'fast-check'
import { expect, test } from 'vitest'
import { oddsChart, stackOf } from '../oddsChart'

const YEARS = 30
/** Days whose good years and causes add to all years, as the engine counts them. */
const days = fc
  .array(fc.tuple(fc.nat(8), fc.nat(8), fc.nat(5), fc.nat(4), fc.nat(3), fc.nat(2)), { minLength: 20, maxLength: 120 })
  .map((list) =>
    list.map(([heat, washout, frost, cold, dry, weeds]) => ({
      good: YEARS - heat - washout - frost - cold - dry - weeds,
      causes: { heat, washout, frost, cold, dry, weeds, birds: 0 },
    })),
  )

interface Series {
  name: string
  data: number[]
  markPoint?: { symbolSize: [number, number]; data: { coord: [number, number] }[] }
}

test('every year stands in the chart once, and a name lies on its own layer, within the chart', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: 3, max: 14 }), (list, perDay) => {
      const series = oddsChart(
        stackOf(list, YEARS),
        list.map(() => ''),
        { left: 40, right: 8, perDay },
      ).series as Series[]
      list.forEach((_, i) => expect(series.reduce((sum, { data }) => sum + data[i]!, 0)).toBeCloseTo(100, 9))
      series.forEach(({ data, markPoint }, at) => {
        if (!markPoint) return
        const [day, height] = markPoint.data[0]!.coord
        const below = series.slice(0, at).reduce((sum, each) => sum + each.data[day]!, 0)
        expect(height).toBeGreaterThan(below)
        expect(height).toBeLessThan(below + data[day]!)
        const half = markPoint.symbolSize[0] / 2
        expect([
          (day + 0.5) * perDay - half >= -0.5 * perDay,
          (list.length - day - 0.5) * perDay - half >= -0.5 * perDay,
        ]).toEqual([true, true])
      })
    }),
  )
})
