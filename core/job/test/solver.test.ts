import { say } from '../../explain/message'
import fc from 'fast-check'
import loadHighs from 'highs'
import { beforeAll, describe, expect, test } from 'vitest'
import { spansOf, type Lag } from '../schedule/network'
import { layOut, type Problem, type Activity } from '../schedule/solver'

const NAMES = ['a', 'b', 'c', 'd', 'e', 'f']
const DAYS = 12

/** A random plan: activities with a cost for every day and a window, lags between them, some done already. */
const plans = fc
  .record({
    costs: fc.array(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: DAYS, maxLength: DAYS }), {
      minLength: 2,
      maxLength: NAMES.length,
    }),
    windows: fc.array(fc.tuple(fc.nat(DAYS - 1), fc.integer({ min: 3, max: DAYS })), {
      minLength: NAMES.length,
      maxLength: NAMES.length,
    }),
    visits: fc.array(fc.boolean(), { minLength: NAMES.length, maxLength: NAMES.length }),
    lags: fc.array(
      fc.record({
        from: fc.nat(),
        to: fc.nat(),
        least: fc.integer({ min: -4, max: 4 }),
        width: fc.option(fc.integer({ min: 0, max: 6 }), { nil: undefined }),
      }),
      { maxLength: 7 },
    ),
    done: fc.option(fc.tuple(fc.nat(), fc.integer({ min: 0, max: DAYS - 1 })), { nil: undefined }),
    visitCost: fc.integer({ min: 0, max: 6 }),
  })
  .map(({ costs, windows, visits, lags, done, visitCost }): Problem => {
    const names = NAMES.slice(0, costs.length)
    const named = (n: number) => names[n % names.length]!
    const fixed = new Map(done ? [[named(done[0]), done[1]]] : [])
    return {
      activities: costs.map((row, i): Activity => ({
        name: names[i]!,
        from: fixed.get(names[i]!) ?? Math.min(windows[i]![0], DAYS - 3),
        to: fixed.get(names[i]!) ?? Math.min(windows[i]![0] + windows[i]![1], DAYS) - 1,
        cost: (day) => row[day]!,
        visit: visits[i]!,
      })),
      lags: lags
        .map(({ from, to, least, width }): Lag => ({
          from: named(from),
          to: named(to),
          leastDays: least,
          ...(width === undefined ? {} : { mostDays: least + width }),
          why: say('schedule.fixed'),
        }))
        .filter(({ from, to }) => from !== to),
      bounds: { fixed },
      visitCost,
    }
  })

/** The same plan as a mixed integer program: a switch for every activity and day, and one for every day that is visited. */
function asProgram({ activities, lags, bounds, visitCost }: Problem): string {
  const days = Array.from({ length: DAYS }, (_, d) => d)
  const x = (name: string, d: number) => `x_${name}_${d}`
  const sum = (terms: string[]) => terms.join(' + ').replaceAll('+ -', '- ')
  const dayOf = (name: string, sign: 1 | -1) => days.filter((d) => d > 0).map((d) => `${sign * d} ${x(name, d)}`)
  const objective = sum([
    ...activities.flatMap(({ name, cost }) => days.map((d) => `${cost(d)} ${x(name, d)}`)),
    ...days.map((d) => `${visitCost} v_${d}`),
  ])
  const rules = [
    ...activities.map(({ name }) => `${sum(days.map((d) => x(name, d)))} = 1`),
    ...activities.filter(({ visit }) => visit).flatMap(({ name }) => days.map((d) => `v_${d} - ${x(name, d)} >= 0`)),
    ...activities.flatMap(({ name, from, to }) =>
      days.filter((d) => d < from || d > to).map((d) => `${x(name, d)} = 0`),
    ),
    ...[...bounds.fixed].map(([name, day]) => `${x(name, day)} = 1`),
    ...lags.flatMap(({ from, to, leastDays, mostDays }) => {
      const between = sum([...dayOf(to, 1), ...dayOf(from, -1)])
      return [`${between} >= ${leastDays}`, ...(mostDays === undefined ? [] : [`${between} <= ${mostDays}`])]
    }),
  ]
  const switches = [...activities.flatMap(({ name }) => days.map((d) => x(name, d))), ...days.map((d) => `v_${d}`)]
  return `Minimize\n obj: ${objective}\nSubject To\n${rules.map((rule, i) => ` r${i}: ${rule}`).join('\n')}\nBinary\n ${switches.join(' ')}\nEnd\n`
}

let highs: Awaited<ReturnType<typeof loadHighs>>
beforeAll(async () => {
  highs = await loadHighs()
})

describe('days laid out', () => {
  // HiGHS (Huangfu & Hall 2018), an exact solver of mixed integer programs, from the registry.
  test('cost what an exact solver says is the least, on random plans', () => {
    let [solved, impossible] = [0, 0]
    fc.assert(
      fc.property(plans, (problem) => {
        const laid = layOut(problem)
        const exact = highs.solve(asProgram(problem), { output_flag: false, mip_rel_gap: 0, mip_abs_gap: 0 })
        if (exact.Status === 'Infeasible') {
          impossible++
          expect(laid).toBeUndefined()
          return
        }
        solved++
        expect(exact.Status).toBe('Optimal')
        expect(laid!.exact).toBe(true)
        expect(laid!.cost).toBeCloseTo(exact.ObjectiveValue, 6)
      }),
      // So many that more than a hundred of them can be solved, whatever is drawn.
      { numRuns: 400 },
    )
    expect(solved).toBeGreaterThan(100)
    expect(impossible).toBeGreaterThan(5)
  }, 60_000)

  test('keep every lag, leave what is done where it was, and cost what they are said to cost', () => {
    fc.assert(
      fc.property(plans, (problem) => {
        const laid = layOut(problem)
        if (!laid) return
        const { days } = laid
        for (const { from, to, leastDays, mostDays } of problem.lags) {
          const between = days.get(to)! - days.get(from)!
          expect(between >= leastDays && between <= (mostDays ?? Infinity)).toBe(true)
        }
        for (const [name, day] of problem.bounds.fixed) expect(days.get(name)).toBe(day)
        const visited = new Set(problem.activities.filter(({ visit }) => visit).map(({ name }) => days.get(name)))
        const cost =
          problem.activities.reduce((sum, { name, cost: of }) => sum + of(days.get(name)!), 0) +
          visited.size * problem.visitCost
        expect(laid.cost).toBeCloseTo(cost, 9)
      }),
    )
  })

  test('a search cut short still gives a plan that keeps every lag', () => {
    fc.assert(
      fc.property(plans, (problem) => {
        const [whole, short] = [layOut(problem), layOut({ ...problem, mostSteps: 0 })]
        expect(short === undefined).toBe(whole === undefined)
        if (whole) expect(short!.cost).toBeGreaterThanOrEqual(whole.cost - 1e-9)
      }),
    )
  })
})

describe('a network that cannot be kept', () => {
  const lag = fc.record({
    from: fc.constantFrom(...NAMES),
    to: fc.constantFrom(...NAMES),
    leastDays: fc.integer({ min: -3, max: 5 }),
    width: fc.integer({ min: 0, max: 4 }),
  })
  test('names a ring of lags that together ask for more days than there are', () => {
    let found = 0
    fc.assert(
      fc.property(fc.array(lag, { minLength: 3, maxLength: 10 }), (raw) => {
        const lags: Lag[] = raw
          .filter(({ from, to }) => from !== to)
          .map(({ width, ...rest }) => ({ ...rest, mostDays: rest.leastDays + width, why: say('schedule.fixed') }))
        const { possible, ring } = spansOf(NAMES, lags, { fixed: new Map() })
        expect(ring.length > 0).toBe(!possible)
        if (possible) return
        found++
        // Nothing but the ring is needed to make it impossible.
        expect(spansOf(NAMES, ring, { fixed: new Map() }).possible).toBe(false)
      }),
    )
    expect(found).toBeGreaterThan(20)
  })
})
