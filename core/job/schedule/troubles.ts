import { addDays, dayFromNumber, dayNumber, daysBetween, shortDay, type Day } from '../../measure/calendar'
import type { Laying } from './constraints'
import { ORIGIN, spansOf, type Lag } from './network'
import { anchorOf, type PlannedOperation } from '../operations/planned'
import { anchorCode, isAnchorKey, numberOf, operationOf } from '../operations/registry'
import type { ScheduleInput } from './input'
import type { Task } from './task'

/** Something of a plan that cannot be kept, with ways out. */
export interface Trouble {
  text: string
  /** The first sowing day on which it would be gone. */
  sowOn?: Day
}

/** How far ahead a sowing day is looked for that leaves time for everything. */
const LOOKED_AHEAD_DAYS = 240

const days = (n: number): string => `${n} ${n === 1 ? 'day' : 'days'}`

/**
 * The first later day of sowing, or of the first lift, from which every lag can be kept; where a season ends, the
 * last sooner one.
 */
function soonest(input: ScheduleInput, planned: readonly PlannedOperation[], laying: Laying): Day | undefined {
  const names = planned.map(({ key }) => key)
  const anchors = planned.filter(({ key }) => isAnchorKey(key)).map(({ key }) => key)
  if (input.done.has(anchorCode(anchorOf(input.parts)))) return undefined
  const today = dayNumber(input.today)
  const done = new Map(
    planned.flatMap(({ key }): [string, number][] =>
      input.done.has(key) ? [[key, dayNumber(input.done.get(key)!.day)]] : [],
    ),
  )
  const notBefore = new Map(names.filter((key) => !done.has(key)).map((key) => [key, today]))
  const last = planned.filter(({ operation }) => operation.needsGrowthAfter).at(-1)
  const notAfter = new Map(last && input.growsUntil ? [[last.key, dayNumber(input.growsUntil)]] : [])
  const wanted = Math.max(dayNumber(input.sowOn), today)
  const later = Array.from({ length: LOOKED_AHEAD_DAYS }, (_, i) => wanted + 1 + i)
  const sooner = Array.from({ length: Math.max(0, wanted - today) }, (_, i) => wanted - 1 - i)
  for (const sow of notAfter.size ? sooner : later) {
    const { possible, conflicts } = spansOf(names, laying.lags, {
      fixed: new Map([...done, ...anchors.map((key): [string, number] => [key, sow])]),
      notBefore,
      notAfter,
    })
    // What was done out of time is past mending; only what can still be kept counts.
    if (possible && conflicts.every(({ lag }) => done.has(lag.from) && done.has(lag.to))) return dayFromNumber(sow)
  }
  return undefined
}

/** Tasks by their names, those in several turns by their numbers. */
const namesOf = (planned: readonly PlannedOperation[]): Map<string, string> =>
  new Map(
    planned.map(({ key, operation, number, of }) => [key, of > 1 ? `${operation.turnName} ${number}` : operation.name]),
  )

/** "Kill, again is 14 days after kill, first (…)" for each lag that asks for days. */
function ringWords(ring: readonly Lag[], names: ReadonlyMap<string, string>): string {
  return ring
    .toReversed()
    .filter(({ from, to, leastDays }) => from !== ORIGIN && to !== ORIGIN && leastDays > 0)
    .map(
      ({ from, to, leastDays, why }) =>
        `${days(leastDays)} from ${(names.get(from) ?? from).toLowerCase()} to ${(names.get(to) ?? to).toLowerCase()} (${why})`,
    )
    .join(', ')
}

function impossible(input: ScheduleInput, planned: readonly PlannedOperation[], laying: Laying): Trouble[] {
  if (laying.possible) return []
  const names = namesOf(planned)
  const { ring } = laying.base
  const asked = ringWords(ring, names)
  const sowOn = soonest(input, planned, laying)
  const out = [...new Set(ring.flatMap(({ from, to }) => [from, to]))]
    .filter((key) => operationOf(key)?.dispensable || numberOf(key) > 1)
    .map((key) => names.get(key)!.toLowerCase())
  const season = ring.some(({ why }) => why === 'not after')
  const begins = anchorOf(input.parts) === 'seeding' ? 'sow' : 'begin'
  const ways = [
    sowOn ? `${begins} on ${shortDay(sowOn, input.today)} or ${sowOn < input.sowOn ? 'sooner' : 'later'}` : '',
    season ? 'leave what does not fit to the next growing season' : '',
    out.length ? `leave out ${out.join(' or ')}, with the reason` : '',
    'mark what is done already',
  ].filter(Boolean)
  return [
    {
      text: `The days left do not hold the whole schedule${asked ? `: ${asked}` : ''}${season && input.growsUntil ? `, and turf grows through a dressing only until ${shortDay(input.growsUntil, input.today)}` : ''}. Ways out: ${ways.join('; ')}.`,
      ...(sowOn ? { sowOn } : {}),
    },
  ]
}

/** Things from afar whose last day has passed. */
function lateOnes(input: ScheduleInput, planned: readonly PlannedOperation[], laying: Laying): Trouble[] {
  // A visit that was missed says so on its own task.
  const late = laying.late.filter((key) => planned.find((one) => one.key === key)!.operation.phase !== 'after')
  if (!late.length) return []
  const sowOn = soonest(input, planned, laying)
  return late.map((key) => {
    const { name } = planned.find((one) => one.key === key)!.operation
    const last = dayFromNumber(laying.base.spans.get(key)!.latest)
    return {
      text: `${name} was due by ${shortDay(last, input.today)} for this day. Do it today, and mark it done if it is${sowOn ? `; on the usual waits the first day that leaves time is ${shortDay(sowOn, input.today)}` : ''}.`,
      ...(sowOn ? { sowOn } : {}),
    }
  })
}

/** Work of several days for which fewer are left. */
function squeezed(input: ScheduleInput, planned: readonly PlannedOperation[], laying: Laying): Trouble[] {
  return planned.flatMap(({ key, operation: { spread } }): Trouble[] => {
    if (!spread || input.done.has(key)) return []
    const spanDays = spread.days(input.parts)
    const left = laying.days.get(key)! - dayNumber(input.today)
    if (left < 0 || left >= spanDays) return []
    return [{ text: spread.squeezed(input.parts, left), sowOn: addDays(input.sowOn, spanDays - left) }]
  })
}

/** Days that ask for more hands than the firm has. */
function fullDays({ hoursADay, today }: ScheduleInput, tasks: readonly Task[]): Trouble[] {
  const byDay = new Map<Day, number>()
  for (const { to, hours, done, operation } of tasks)
    if (!done && operation.mark !== 'call' && to >= today) byDay.set(to, (byDay.get(to) ?? 0) + hours.value)
  return [...byDay]
    .filter(([, hours]) => hours > hoursADay)
    .map(([day, hours]) => ({
      text: `${shortDay(day, today)} takes ${hours.toFixed(0)} crew hours, and the firm has ${hoursADay} a day. Bring more hands, begin part of it sooner, or mark it done over several days.`,
    }))
}

/** What of a plan cannot be kept, each with its ways out. */
export function troublesOf(
  input: ScheduleInput,
  planned: readonly PlannedOperation[],
  laying: Laying,
  tasks: readonly Task[],
): Trouble[] {
  const names = new Map([...namesOf(planned)].map(([key, name]) => [key, name.toLowerCase()]))
  const conflicts = laying.base.conflicts.map(({ lag, days: between }): Trouble => {
    const [from, to] = [names.get(lag.from) ?? lag.from, names.get(lag.to) ?? lag.to]
    const order = operationOf(lag.from)?.anchors === 'seeding' ? 'Done before sowing' : 'Done out of order'
    if (between < 0)
      return {
        text: `${order}, ${from} and ${to}: ${lag.why}. Check the days they stand on.`,
      }
    return {
      text:
        between < lag.leastDays
          ? `Only ${days(between)} from ${from} to ${to}, ${lag.leastDays} are wanted: ${lag.why}.`
          : `${days(between)} ${between === 1 ? 'lies' : 'lie'} between ${from} and ${to}: ${lag.why} than ${days(lag.mostDays ?? 0)}. Bring the sowing day nearer, or go over it again.`,
    }
  })
  const sow = anchorOf(input.parts) === 'seeding'
  const passed =
    !input.done.has(anchorCode(anchorOf(input.parts))) && daysBetween(input.sowOn, input.today) > 0
      ? [
          {
            text: `The ${sow ? 'sowing day' : 'day of the first lift'}, ${shortDay(input.sowOn)}, has passed. Move it, or mark it ${sow ? 'sown' : 'dressed'}.`,
          },
        ]
      : []
  return [
    ...passed,
    ...conflicts,
    ...squeezed(input, planned, laying),
    ...lateOnes(input, planned, laying),
    ...impossible(input, planned, laying),
    ...fullDays(input, tasks),
  ]
}
