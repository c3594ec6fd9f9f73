import { say } from '../../explain/message'
import { dayFromNumber, dayNumber, weekdayOfNumber } from '../../measure/calendar'
import { lastGoodDay, nextGoodDay } from '../operations/goodDays'
import { skyGates } from '../operations/weatherGates'
import { LAGS, lagFor } from '../operations/lags'
import { spansOf, type Bounds, type Lag, type Spans } from './network'
import { anchorCode, isAnchorKey, isVisit, keyOf, operationOf } from '../operations/registry'
import { anchorOf, type PlannedOperation } from '../operations/planned'
import { layOut, type Activity } from './solver'
import type { ScheduleInput } from './input'

/** What a day costs an operation besides being off its preferred one. @source own */
const COST = {
  /** Of a visit: as much as most of a day off a preferred one. */
  visit: 0.75,
  /** A day on which the firm is off. */
  off: 20,
  /** A day on which the forecast holds it, and on which it puts it at risk. */
  held: 50,
  risky: 2,
  /** A day other than the one that was agreed. */
  moved: 4,
} as const
/** How far from its preferred day an operation is looked for, and how far where that leaves no plan. */
const REACHES_DAYS = [45, 180, 720]

/** Where the operation of a plan lies, before it is dressed up as a task. */
export interface Laying {
  days: Map<string, number>
  base: Spans
  lags: Lag[]
  /** False where the lags, today and what is done leave no plan; then everything lies where it should have been. */
  possible: boolean
  /** Operations whose latest day has passed, yet without which the plan can go on. */
  late: string[]
}

/**
 * What comes before work of several days comes before the first of them, its own day is the last; once it is begun, the
 * first has been.
 */
function toFirstDay(lag: Lag, { parts, done, begun }: ScheduleInput): Lag {
  const spanDays = done.has(lag.to) || begun.has(lag.to) ? 0 : (operationOf(lag.to)?.spread?.days(parts) ?? 0)
  if (!spanDays) return lag
  return {
    ...lag,
    leastDays: lag.leastDays + spanDays,
    ...(lag.mostDays === undefined ? {} : { mostDays: lag.mostDays + spanDays }),
    why: say('schedule.theFirstCutIs', { why: lag.why, spanDays }),
  }
}

const isCoarse = (parts: ScheduleInput['parts']): boolean =>
  parts.some(({ survey, planning }) => survey.coarseShare > planning.coarseSpot)

/** The lags of a plan by the keys of its tasks. */
export function lagsOf(input: ScheduleInput, planned: readonly PlannedOperation[]): Lag[] {
  const keys = new Set(planned.map(({ key }) => key))
  const has = (key: string) => keys.has(key)
  const plan = {
    practices: input.parts[0]!.practices,
    anchor: anchorOf(input.parts),
    coarse: isCoarse(input.parts),
    has,
  }
  const turns = new Map(planned.map(({ operation, of }) => [operation.code, of]))
  const lags = LAGS.filter(({ from, to, when }) => has(from) && has(to) && (when?.(plan) ?? true))
    .flatMap((rule) => {
      if (rule.eachTurn !== undefined)
        return Array.from({ length: turns.get(rule.from) ?? 1 }, (_, i) => ({
          from: keyOf(rule.from, i + 1),
          to: keyOf(rule.to, i + 1 + rule.eachTurn!),
        }))
          .filter(({ from, to }) => has(from) && has(to))
          .map((pair) => lagFor({ ...rule, ...pair }, input.planning, input))
      // What comes after work in several turns counts from the last of them.
      const from = rule.fromFirst ? rule.from : keyOf(rule.from, turns.get(rule.from))
      return lagFor({ ...rule, from: has(from) ? from : rule.from }, input.planning, input)
    })
    .map((lag) => toFirstDay(lag, input))
  const between = planned.flatMap(({ key, operation, number }): Lag[] => {
    const before = planned.find((one) => one.operation === operation && one.number === number - 1)
    return operation.between && before
      ? [lagFor({ ...operation.between, from: before.key, to: key }, input.planning, input)]
      : []
  })
  return [...lags, ...between]
}

/** Usual days from sowing to the first mowing and to the first green, where no season is worked out. @source own */
const [USUAL_MOW, USUAL_UP] = [28, 12]
/** From the first mowing to the fourth, a week between them, where no season is worked out. @source own */
export const FOURTH_AFTER_DAYS = 21

/** Day number on which an operation would best be, by the sowing day and what the season says. */
function preferred(
  { firstMow, fourthMow, firstGreen, planning, parts }: ScheduleInput,
  { operation, number, of }: PlannedOperation,
  sow: number,
  dressingDays: number,
): number {
  const about = {
    mow: firstMow?.middle ?? USUAL_MOW,
    fourthMow: fourthMow ?? (firstMow?.middle ?? USUAL_MOW) + FOURTH_AFTER_DAYS,
    up: firstGreen?.middle ?? USUAL_UP,
    dressingDays,
    anchor: anchorOf(parts),
    planning,
    parts,
    number,
    of,
  }
  return sow + (operation.day?.(about) ?? operation.preferredDay)
}

/** Day number of what is due on a day: a follow-up in its season where that is later, a spray in growth where that is sooner. */
function inSeason(input: ScheduleInput, { operation }: PlannedOperation, due: number): number {
  const day = dayFromNumber(due)
  if (operation.phase === 'after') return dayNumber(nextGoodDay(input, operation, day))
  return operation.wantsGrowth && !operation.anchors ? dayNumber(lastGoodDay(input, operation, day, input.today)) : due
}

/** What a day costs an operation by the calendar, the forecast and what was agreed. */
function costOf(
  input: ScheduleInput,
  { key, operation }: PlannedOperation,
  wanted: number,
  firstDay: number,
): Activity['cost'] {
  const { workingDays, holidays, forecast, agreed } = input
  const { weight } = operation
  const off = new Set([0, 1, 2, 3, 4, 5, 6].filter((day) => !workingDays.includes(day)))
  const closed = new Set([...holidays].map(dayNumber))
  const weather = new Map<number, number>()
  for (const { day } of forecast) {
    const gates = skyGates(operation, day, input).filter((gate) => input.overruled[`${key}:${gate.code}`] === undefined)
    const cost = gates.some(({ state }) => state === 'hold')
      ? COST.held
      : gates.some(({ state }) => state === 'risk')
        ? COST.risky
        : 0
    if (cost) weather.set(dayNumber(day), cost)
  }
  const told = agreed.get(key)
  const was = told === undefined || dayNumber(told) < firstDay ? undefined : dayNumber(told)
  // What has to move goes to its best day; what can stay stays until that is far off.
  return (day) =>
    weight * Math.abs(day - wanted) +
    (off.has(weekdayOfNumber(day)) || closed.has(day) ? COST.off : 0) +
    (weather.get(day) ?? 0) +
    (was !== undefined && day !== was ? COST.moved : 0)
}

/**
 * Places every operation: what is done where it was, what was chosen where it was put, the rest where it costs least.
 */
export function lay(input: ScheduleInput, planned: readonly PlannedOperation[]): Laying {
  const names = planned.map(({ key }) => key)
  const anchors = planned.filter(({ key }) => isAnchorKey(key)).map(({ key }) => key)
  const sow = dayNumber(input.done.get(anchorCode(anchorOf(input.parts)))?.day ?? input.sowOn)
  const today = dayNumber(input.today)
  const fixed = new Map<string, number>(anchors.map((key) => [key, sow]))
  for (const { key } of planned) {
    const pin = input.pins.get(key)
    // A day that was chosen and has passed is chosen no more.
    if (pin !== undefined && dayNumber(pin) >= today && !anchors.includes(key)) fixed.set(key, dayNumber(pin))
    const done = input.done.get(key)
    if (done) fixed.set(key, dayNumber(done.day))
  }
  const dressings = planned.filter(({ operation }) => operation.anchors === 'dressing')
  const dressingDays = (dressings.length - 1) * input.planning.liftGrow
  const due = new Map(planned.map((one) => [one.key, preferred(input, one, sow, dressingDays)]))
  const rules = lagsOf(input, planned)
  const wanted = new Map(planned.map((one) => [one.key, inSeason(input, one, due.get(one.key)!)]))
  // What comes before something that went into its season sooner goes before it there, by its own wait.
  for (const one of planned.toReversed())
    for (const { from, to, leastDays } of rules) {
      const latest = wanted.get(to)! - leastDays
      if (from === one.key && wanted.get(to)! < due.get(to)! && wanted.get(from)! > latest)
        wanted.set(from, inSeason(input, one, latest))
    }
  /** What was due and is done however late: it is due today, and what follows goes by that. */
  const isOverdue = ({ from, to, mostDays = Infinity }: Lag): boolean => {
    const begun = input.done.get(from)
    return Boolean(
      operationOf(to)?.neverTooLate && begun && !input.done.has(to) && dayNumber(begun.day) + mostDays < today,
    )
  }
  const lags = rules.map(({ mostDays, ...lag }): Lag =>
    // What goes into its own season hangs no more on how long ago the seed came up, nor how far ahead it is.
    mostDays === undefined ||
    isOverdue({ ...lag, mostDays }) ||
    wanted.get(lag.to)! > due.get(lag.to)! ||
    wanted.get(lag.from)! < due.get(lag.from)!
      ? lag
      : { ...lag, mostDays },
  )
  const open = planned.filter(({ key }) => !fixed.has(key))
  const notBefore = new Map<string, number>()
  for (const { key, operation } of open) {
    // What is still to do before sowing cannot be placed in the past, unless the sowing day itself has passed.
    if (operation.preferredDay > 0 || operation.phase === 'after' || sow >= today)
      notBefore.set(key, Math.min(today, operation.phase === 'after' ? today : sow))
  }
  const notAfter = new Map<string, number>()
  const last = open.filter(({ operation }) => operation.needsGrowthAfter).at(-1)
  if (last && input.growsUntil) notAfter.set(last.key, dayNumber(input.growsUntil))

  const bound = bindable(names, lags, { fixed, notBefore, notAfter }, open)
  const { bounds, base, lags: kept } = withMissed(input, names, bound)
  const activitiesWithin = (reachDays: number) =>
    planned.map((one): Activity => {
      const at = bounds.fixed.get(one.key)
      const { earliest, latest } = base.spans.get(one.key)!
      const middle = at ?? Math.min(Math.max(wanted.get(one.key)!, earliest), latest)
      return {
        name: one.key,
        visit: isVisit(one.operation) && !input.done.has(one.key),
        cost: at === undefined ? costOf(input, one, wanted.get(one.key)!, today) : () => 0,
        from: at ?? Math.max(earliest, middle - reachDays),
        to: at ?? Math.min(latest, middle + reachDays),
      }
    })
  // Days chosen or done far from where they belong pull what hangs on them beyond the usual reach.
  const laid = REACHES_DAYS.reduce<ReturnType<typeof layOut>>(
    (found, reach) =>
      found ?? layOut({ activities: activitiesWithin(reach), lags: kept, bounds, visitCost: COST.visit }),
    undefined,
  )
  const days = laid?.days ?? new Map([...wanted, ...bounds.fixed])
  return { days, base, lags, possible: bound.possible, late: bound.late }
}

interface Bound {
  bounds: Bounds
  base: Spans
  late: string[]
  possible: boolean
  lags: readonly Lag[]
}

/**
 * What can no longer be done in time stays on the confirmed day on which it was missed, and is not dated anew in the past.
 * Nothing waits any more for how long ago that was.
 */
function withMissed(
  { agreed, done, today }: ScheduleInput,
  names: readonly string[],
  { bounds, base, lags }: Bound,
): Pick<Bound, 'bounds' | 'base' | 'lags'> {
  const bindsToday = (key: string) => (bounds.notBefore?.get(key) ?? Number.NEGATIVE_INFINITY) >= dayNumber(today)
  const missed = new Map(
    [...agreed].flatMap(([key, day]): [string, number][] =>
      names.includes(key) && day < today && !done.has(key) && !bounds.fixed.has(key) && !bindsToday(key)
        ? [[key, dayNumber(day)]]
        : [],
    ),
  )
  if (!missed.size) return { bounds, base, lags }
  const eased = lags.flatMap(({ mostDays, ...lag }): Lag[] =>
    missed.has(lag.to) ? [] : [{ ...lag, ...(mostDays === undefined || missed.has(lag.from) ? {} : { mostDays }) }],
  )
  const placed = { ...bounds, fixed: new Map([...bounds.fixed, ...missed]) }
  const spans = spansOf(names, eased, placed)
  return spans.possible
    ? { bounds: placed, lags: eased, base: { ...spans, conflicts: base.conflicts, ring: base.ring } }
    : { bounds, base, lags }
}

/**
 * Bounds under which the lags can be kept. Ordering late, or a visit missed, is a trouble and not the end of a plan: what is
 * too late already lies where it should have been. Where even that does not help, today binds nothing.
 */
function bindable(
  names: readonly string[],
  lags: readonly Lag[],
  bounds: Bounds,
  open: readonly PlannedOperation[],
): Bound {
  const strict = spansOf(names, lags, bounds)
  if (strict.possible) return { bounds, base: strict, late: [], possible: true, lags }
  const afar = open.filter(({ operation }) => operation.phase !== 'work' || operation.mayBeLate).map(({ key }) => key)
  const without = (keys: readonly string[]) => ({
    ...bounds,
    notBefore: new Map([...(bounds.notBefore ?? [])].filter(([key]) => !keys.includes(key))),
  })
  const free = spansOf(names, lags, without(afar))
  const late = afar.filter(
    (key) => free.spans.get(key)!.latest < (bounds.notBefore?.get(key) ?? Number.NEGATIVE_INFINITY),
  )
  const eased = without(late)
  const base = spansOf(names, lags, eased)
  if (base.possible) return { bounds: eased, base, late, possible: true, lags }
  const loose = { fixed: bounds.fixed }
  // Where chosen days contradict each other, as few limits as it takes give way, those that only bound a wait first.
  let kept = [...lags]
  let spans = spansOf(names, kept, loose)
  while (!spans.possible) {
    const round = spans.ring.filter((lag) => kept.includes(lag))
    const weakest = round.find(({ mostDays }) => mostDays !== undefined) ?? round[0]
    if (!weakest) break
    kept = kept.filter((lag) => lag !== weakest)
    spans = spansOf(names, kept, loose)
  }
  return {
    bounds: loose,
    base: { ...spans, conflicts: base.conflicts, ring: base.ring },
    late: [],
    possible: false,
    lags: kept,
  }
}
