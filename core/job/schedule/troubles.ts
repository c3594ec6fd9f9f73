import { lowered, say, shortDay, type Message, type MessageValue } from '../../explain/message'
import { addDays, dayFromNumber, dayNumber, daysBetween, type Day } from '../../measure/calendar'
import type { Laying } from './constraints'
import { NOT_AFTER, ORIGIN, spansOf, type Lag } from './network'
import { anchorOf, type PlannedOperation } from '../operations/planned'
import { anchorCode, isAnchorKey, numberOf, operationOf } from '../operations/registry'
import type { ScheduleInput } from './input'
import type { Task } from './task'

/** Something of a plan that cannot be kept, with ways out. */
export interface Trouble {
  text: Message
  /** The first sowing day on which it would be gone. */
  sowOn?: Day
}

/** How far ahead a sowing day is looked for that leaves time for everything. */
const LOOKED_AHEAD_DAYS = 240

const days = (n: number): Message => say('schedule.days', { n })

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
const namesOf = (planned: readonly PlannedOperation[]): Map<string, Message> =>
  new Map(
    planned.map(({ key, operation, number, of }) => [
      key,
      of > 1 ? say('schedule.turn', { turnName: operation.turnName, number }) : operation.name,
    ]),
  )

/** "14 days from kill, first to kill, again (…)" for each lag that asks for days. */
const ringWords = (ring: readonly Lag[], names: ReadonlyMap<string, Message>): Message[] =>
  ring
    .toReversed()
    .filter(({ from, to, leastDays }) => from !== ORIGIN && to !== ORIGIN && leastDays > 0)
    .map(({ from, to, leastDays, why }) =>
      say('schedule.daysFromTo', {
        days: days(leastDays),
        from: lowered(names.get(from)!),
        to: lowered(names.get(to)!),
        why,
      }),
    )

function impossible(input: ScheduleInput, planned: readonly PlannedOperation[], laying: Laying): Trouble[] {
  if (laying.possible) return []
  const names = namesOf(planned)
  const { ring } = laying.base
  const asked = ringWords(ring, names)
  const sowOn = soonest(input, planned, laying)
  const out = [...new Set(ring.flatMap(({ from, to }) => [from, to]))]
    .filter((key) => operationOf(key)?.dispensable || numberOf(key) > 1)
    .map((key) => lowered(names.get(key)!))
  const season = ring.some(({ why }) => why === NOT_AFTER)
  const ways = [
    ...(sowOn
      ? [
          say('schedule.takeDay', {
            anchor: anchorOf(input.parts),
            sowOn: shortDay(sowOn, input.today),
            sooner: sowOn < input.sowOn,
          }),
        ]
      : []),
    ...(season ? [say('schedule.nextGrowingSeason')] : []),
    ...(out.length ? [say('schedule.leaveOut', { out: either(out) })] : []),
    say('schedule.markWhatIsDone'),
  ]
  return [
    {
      text: say('schedule.theDaysLeftDo', {
        asked: asked.length ? say('schedule.asked', { asked }) : '',
        season:
          season && input.growsUntil
            ? say('schedule.growsUntil', { growsUntil: shortDay(input.growsUntil, input.today) })
            : '',
        ways: waysOut(ways),
      }),
      ...(sowOn ? { sowOn } : {}),
    },
  ]
}

/** One or another of several. */
const either = (parts: readonly MessageValue[]): MessageValue =>
  parts.slice(1).reduce<MessageValue>((before, next) => say('schedule.either', { before, next }), parts[0]!)
const waysOut = (parts: readonly MessageValue[]): MessageValue =>
  parts.slice(1).reduce<MessageValue>((before, next) => say('schedule.waysOut', { before, next }), parts[0]!)

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
      text: say('schedule.wasDueByFor', {
        name,
        last: shortDay(last, input.today),
        first: sowOn ? say('schedule.firstThatLeavesTime', { sowOn: shortDay(sowOn, input.today) }) : '',
      }),
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
function fullDays({ hoursADay, today, parts }: ScheduleInput, tasks: readonly Task[]): Trouble[] {
  const byDay = new Map<Day, number>()
  for (const { to, hours, done, operation } of tasks) {
    if (done || operation.mark === 'call' || to < today) continue
    const over = Math.max(1, operation.overDays?.(parts) ?? 1)
    for (let i = 0, day = to; i < over; i++, day = addDays(day, 1))
      byDay.set(day, (byDay.get(day) ?? 0) + hours.value / over)
  }
  return [...byDay]
    .filter(([, hours]) => hours > hoursADay)
    .map(([day, hours]) => ({
      text: say('schedule.takesCrewHoursAnd', { day: shortDay(day, today), hours: hours.toFixed(0), hoursADay }),
    }))
}

/** What of a plan cannot be kept, each with its ways out. */
export function troublesOf(
  input: ScheduleInput,
  planned: readonly PlannedOperation[],
  laying: Laying,
  tasks: readonly Task[],
): Trouble[] {
  const names = new Map([...namesOf(planned)].map(([key, name]) => [key, lowered(name)]))
  const conflicts = laying.base.conflicts.map(({ lag, days: between }): Trouble => {
    const [from, to] = [names.get(lag.from) ?? lag.from, names.get(lag.to) ?? lag.to]
    const order =
      operationOf(lag.from)?.anchors === 'seeding' ? say('schedule.doneBeforeSowing') : say('schedule.doneOutOfOrder')
    if (between < 0)
      return {
        text: say('schedule.andCheckTheDays', { order, from, to, why: lag.why }),
      }
    return {
      text:
        between < lag.leastDays
          ? say('schedule.onlyFromToAre', { between: days(between), from, to, leastDays: lag.leastDays, why: lag.why })
          : say('schedule.liesLieBetweenAnd', {
              between: days(between),
              between2: between,
              from,
              to,
              why: lag.why,
              mostDays: days(lag.mostDays ?? 0),
            }),
    }
  })
  const sow = anchorOf(input.parts) === 'seeding'
  const passed =
    !input.done.has(anchorCode(anchorOf(input.parts))) && daysBetween(input.sowOn, input.today) > 0
      ? [
          {
            text: say('schedule.theSowingDayDay', { hasSow: Boolean(sow), sowOn: shortDay(input.sowOn) }),
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
