import { say } from '../../explain/message'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { spansOf, type Lag } from '../schedule/network'

describe('network of lags', () => {
  test('earliest and latest agree with trying every day, on random networks', () => {
    const names = ['a', 'b', 'c', 'd']
    const lag = fc.record({
      from: fc.constantFrom(...names),
      to: fc.constantFrom(...names),
      leastDays: fc.integer({ min: -3, max: 4 }),
      width: fc.integer({ min: 0, max: 4 }),
    })
    let examined = 0
    fc.assert(
      fc.property(fc.array(lag, { minLength: 3, maxLength: 6 }), (raw) => {
        const lags: Lag[] = raw
          .filter(({ from, to }) => from !== to)
          .map(({ width, ...rest }) => ({ ...rest, mostDays: rest.leastDays + width, why: say('schedule.fixed') }))
        const { spans, possible } = spansOf(names, lags, { fixed: new Map([['a', 0]]) })
        const solutions: number[][] = []
        const DAYS = Array.from({ length: 49 }, (_, i) => i - 24)
        const tryDays = (chosen: number[]): void => {
          const fits = lags.every((l) => {
            const [from, to] = [chosen[names.indexOf(l.from)], chosen[names.indexOf(l.to)]]
            return from === undefined || to === undefined || (to - from >= l.leastDays && to - from <= l.mostDays!)
          })
          if (!fits || solutions.length > 4000) return
          if (chosen.length === names.length) solutions.push(chosen)
          else for (const day of DAYS) tryDays([...chosen, day])
        }
        const bounded = names.every(
          (n) => Number.isFinite(spans.get(n)!.earliest) && Number.isFinite(spans.get(n)!.latest),
        )
        if (!bounded) return
        examined++
        tryDays([0])
        expect(possible).toBe(solutions.length > 0)
        if (!possible || solutions.length > 4000) return
        names.forEach((n, i) => {
          expect(spans.get(n)!.earliest).toBe(Math.min(...solutions.map((s) => s[i]!)))
          expect(spans.get(n)!.latest).toBe(Math.max(...solutions.map((s) => s[i]!)))
        })
      }),
      { numRuns: 150 },
    )
    expect(examined).toBeGreaterThan(10)
  })
})
