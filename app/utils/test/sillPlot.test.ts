import { expect, test } from 'vitest'
import type { SillData } from '#contract/context'
import { addDays, toDay } from '#core/measure/calendar'
import { lineOf, runsOfLine, sowingFields, type SillPoint } from '../sillPlot'
import type { SillScale } from '../sillScale'

const FROM = toDay('2026-09-01')
/** Ten pixels a day, one a degree. */
const scale = {
  from: FROM,
  to: addDays(FROM, 30),
  left: 0,
  right: 300,
  perDay: 10,
  x: (day: string) => (Date.parse(day) - Date.parse(FROM)) / 8_640_000,
  y: (tempC: number) => -tempC,
  day: () => FROM,
} satisfies SillScale

const point = (n: number, filled: boolean): SillPoint => {
  const C = { modelC: n, median: n, p05: n, p25: n, p75: n, p95: n }
  return { day: addDays(FROM, n), filled, ...C }
}
const windows = (...of: [number, number][]) =>
  ({
    outlook: {
      windows: of.map(([from, to]) => ({
        from: addDays(FROM, from),
        to: addDays(FROM, to),
        best: addDays(FROM, from),
      })),
    },
  }) as unknown as SillData

test('a line goes through every day, and its pieces part where the record does', () => {
  const points = [point(0, false), point(1, false), point(2, true), point(3, true), point(4, false)]
  expect(lineOf(points, scale, ({ median }) => median)).toBe('M0.0 0.0L10.0 -1.0L20.0 -2.0L30.0 -3.0L40.0 -4.0')
  // What leads into a day without a record belongs to it.
  expect(runsOfLine(points, scale, true)).toBe('M10.0 -1.0L20.0 -2.0L30.0 -3.0')
  expect(runsOfLine(points, scale, false)).toBe('M0.0 0.0L10.0 -1.0M30.0 -3.0L40.0 -4.0')
})

test('a window is cut to the ledge, and says what has room', () => {
  const [first, last] = sowingFields(windows([-5, 3], [28, 45]), scale)
  expect(first).toMatchObject({ x: 0, width: 40, words: '' })
  expect(last).toMatchObject({ x: 280, width: 20 })
  expect(sowingFields(windows([-9, -2], [40, 50]), scale)).toEqual([])
  expect(sowingFields(windows([4, 28]), scale)[0]!.words).toMatch(/^Sow .+ to .+, best /)
  expect(sowingFields(windows([4, 18]), scale)[0]!.words).toMatch(/^Sow (?!.*best)/)
})
