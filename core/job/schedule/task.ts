import { say, shortDay, type Message } from '../../explain/message'
import { addDays, dayFromNumber, daysBetween, nearestWorkingDay, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import { standOf, type Stand } from '../../explain/judgement'
import type { Brief, Definition, Operation, Wanted } from '../operations/definition'
import { briefOf } from '../operations/briefs'
import type { GateInput } from '../operations/gateInput'
import { seedlingGates } from '../operations/seedlingGates'
import { accessGates } from '../operations/accessGates'
import { feedGates } from '../operations/feedGates'
import { injuryGates, preEmergentGates } from '../operations/injuryGates'
import { askedOf, visitGates, type Asked } from '../operations/asked'
import { gatesOf, turnsDone } from '../operations/gates'
import { pacedHours } from '../hours'
import type { Laying } from './constraints'
import type { PlannedOperation } from '../operations/planned'
import { isAnchorKey, keyOf, numberOf, operationByCode, OPERATIONS } from '../operations/registry'
import type { DoneWork, ScheduleInput } from './input'
import { nextDayFor } from './overdue'
import { stockGates, wantedOf } from '../operations/demand'

export interface Task extends Brief {
  key: string
  operation: Definition
  name: Message
  number: number
  /** First and last day; the same for work of one day. */
  from: Day
  to: Day
  /** Earliest and latest last day while the sowing day stands. */
  earliest: Day
  latest: Day
  /** How far it can slide, in words. */
  floatWords: Message | null
  stand: Stand
  done?: DoneWork
  /** Share that is done of work that goes over several days. */
  begun?: { share: number; day: Day }
  /** Its day was chosen by hand. */
  pinned: boolean
  overdue: boolean
  /** Of overdue work: the next day on which it still fits; null where it can do no good any more. */
  nextDay?: Day | null
  /** What should be done before it and is still open, by name: asked about before it is marked. */
  openBefore: Message[]
  /** The next turn of what it waits for, to be recorded; and the last that is recorded. */
  turn?: { next: string; words: Message; last?: string }
  /** What is asked there on the day, for its ground. */
  asks: readonly Asked[]
  /** Ground it is worked on, m². */
  groundM2: number
  /** What it uses up. */
  wanted: readonly Wanted[]
}

/**
 * The first cut moves off a day the firm is off, to a day sooner: cuts farther apart do no harm. @param earliest what
 * comes before it allows
 */
function firstCutDay({ workingDays }: ScheduleInput, day: Day, earliest: Day): Day {
  const sooner = addDays(day, -6)
  return nearestWorkingDay(day, workingDays, earliest > sooner ? earliest : sooner, day)
}

function floatWords(key: string, operation: Operation, day: Day, earliest: Day, latest: Day): Message | null {
  const later = daysBetween(day, latest)
  const sooner = daysBetween(earliest, day)
  if (isAnchorKey(key)) return null
  if (operation.phase === 'after')
    return later > 200
      ? say('schedule.from', { earliest: shortDay(earliest) })
      : sooner + later > 0
        ? say('schedule.between', { earliest: shortDay(earliest), latest: shortDay(latest) })
        : say('schedule.cannotSlide')
  if (later > 200) return say('schedule.whenItIsReady')
  if (later > 0) return say('schedule.canSlideDayDays', { later })
  return sooner > 0 ? say('schedule.canStartDayDays', { sooner }) : say('schedule.cannotSlide')
}

function briefFor(input: ScheduleInput, { operation, number, of, parts }: PlannedOperation): Brief {
  const brief = briefOf(operation, parts, { number, of })
  return operation.partOfGround
    ? brief
    : { ...brief, hours: pacedHours(brief.hours, groundOf(parts), input.pace[operation.code]) }
}

const groundOf = (parts: PlannedOperation['parts']): number => parts.reduce((sum, { survey }) => sum + survey.areaM2, 0)

/** What is left of the hours of work that is begun. */
function hoursLeft(hours: Brief['hours'], share: number): Brief['hours'] {
  const value = hours.value * (1 - share)
  return {
    value,
    working: {
      ...hours.working,
      result: figure('hours', value),
      formula: say('schedule.lessWhatIsDone', { formula: hours.working.formula }),
      lines: [
        ...hours.working.lines,
        {
          operator: '×',
          what: say('schedule.stillToDo'),
          value: figure('share', 1 - share),
          source: { kind: 'user', text: say('schedule.markedInPart') },
        },
        { operator: '=', what: say('schedule.hoursLeft'), value: figure('hours', value), subtotal: true },
      ],
    },
  }
}

/** Work that is wanted done before it and is not. */
const openBefore = (input: ScheduleInput, { after }: Definition, has: ReadonlySet<string>): Message[] =>
  (after ?? []).filter((code) => has.has(code) && !input.done.has(code)).map((code) => operationByCode(code).name)

/** What it waits for by turns can be recorded once the first of them is done. */
function turnOf({ done }: ScheduleInput, { wantsTurns }: Definition): Pick<Task, 'turn'> {
  if (!wantsTurns?.one || !done.has(wantsTurns.of)) return {}
  const made = turnsDone(done, wantsTurns.of)
  const last = made.toSorted((a, b) => numberOf(a) - numberOf(b)).at(-1)!
  const number = numberOf(last) + 1
  return {
    turn: {
      next: keyOf(wantsTurns.of, number),
      words: say(wantsTurns.one, { number }),
      ...(number > 2 ? { last } : {}),
    },
  }
}

/** An operation with its day, settings, gates and hours. @param has keys of the plan */
export function taskOf(
  input: ScheduleInput,
  gateInput: GateInput,
  laying: Laying,
  has: ReadonlySet<string>,
  one: PlannedOperation,
): Task {
  const { key, operation } = one
  const brief = briefFor(input, one)
  const to = dayFromNumber(laying.days.get(key)!)
  const done = input.done.get(key)
  const begun = done ? undefined : input.begun.get(key)
  const span = laying.base.spans.get(key)!
  const at = laying.days.get(key)!
  const earliest = dayFromNumber(Math.min(Number.isFinite(span.earliest) ? span.earliest : at, at))
  const latest = dayFromNumber(Number.isFinite(span.latest) ? Math.max(span.latest, at) : at + 999)
  const cutsDays = done ? 0 : (operation.spread?.days(input.parts) ?? 0)
  const ordering = OPERATIONS.find(({ orders }) => orders)
  const start = cutsDays ? firstCutDay(input, addDays(to, -cutsDays), addDays(earliest, -cutsDays)) : to
  const wanted = wantedOf(operation, one.parts, one)
  const gates = done
    ? brief.gates.filter(({ state }) => state !== 'waiting')
    : gatesOf(gateInput, key, operation, to, has, [
        ...stockGates(wanted, { ...input, orderedOn: ordering && input.done.get(ordering.code)?.day }),
        ...injuryGates(input.applications, operation, to, one.parts),
        ...preEmergentGates(input.applications, operation, to, one.parts),
        ...feedGates(input, operation, to, one.parts),
        ...seedlingGates(input, operation, to, one.parts),
        ...accessGates(input, operation, one.parts),
        ...visitGates(input, key, operation.asks, one.parts),
        ...brief.gates,
      ])
  return {
    ...brief,
    hours: begun ? hoursLeft(brief.hours, begun.share) : brief.hours,
    gates,
    key,
    operation,
    name: brief.name ?? operation.name,
    number: 0,
    from: start < input.today && to >= input.today && !done ? input.today : start,
    to,
    earliest,
    latest,
    stand: standOf(gates),
    pinned: input.pins.has(key) && !done,
    floatWords: done ? null : floatWords(key, operation, to, earliest, latest),
    overdue: !done && to < input.today,
    ...(!done && to < input.today ? { nextDay: nextDayFor(input, laying, key) } : {}),
    openBefore: done ? [] : openBefore(input, operation, has),
    ...(done ? {} : turnOf(input, operation)),
    asks: askedOf(operation.asks, one.parts),
    groundM2: groundOf(one.parts),
    wanted,
    ...(done ? { done } : {}),
    ...(begun ? { begun } : {}),
  }
}
