import { addDays, dayFromNumber, dayNumber, daysBetween, nearestWorkingDay, shortDay, weekdayIndex, weekdayName, type Day } from '../quantity/calendar'
import { figure } from '../quantity/figure'
import type { Gate } from '../quantity/judgement'
import type { Application } from '../site/survey'
import type { ForecastDay } from '../climate/weather'
import { briefOf, type Brief } from './briefs'
import { barrierUntil } from './decide'
import { forecastGates, PUTS_DOWN } from './holds'
import { spansOf, type Lag, type Spans } from './network'
import { coreLag, feedLags, LAGS, type Operation, type OperationCode } from './operations'
import { anchorOf, operationsOf, type Part } from './parts'
import { scalpSteps } from './scalping'

/** Days from sowing to the first mowing: early, middle and late of the weather years. */
export interface FirstMow {
  early: number
  middle: number
  late: number
}

export interface SequenceInput {
  /** Zones that are treated alike, the largest part first. */
  parts: readonly Part[]
  applications: readonly Application[]
  /** The day of sowing; of the first lift where nothing is sown. */
  sowOn: Day
  today: Day
  /** What is done, on the day it was finished. */
  done: ReadonlyMap<OperationCode, Day>
  firstMow?: FirstMow
  /** Median modelled soil at probe depth on the sowing day, °C, and the band it should be in. */
  soil?: { expectedC: number; lowC: number; highC: number }
  forecast: readonly ForecastDay[]
  /** Water that the root zone of the standing turf is expected to hold about the sowing day, 0-1; rain alone. */
  groundLeft?: number
  /** Days of the week the firm works, 0 on Sunday; work moves off the others where it can. */
  workingDays: readonly number[]
}

export interface Slip extends Brief {
  operation: Operation
  number: number
  /** First and last day; the same for work of one day. */
  from: Day
  to: Day
  /** Earliest and latest last day while the sowing day stands. */
  earliest: Day
  latest: Day
  /** How far it can slide, in words. */
  floatWords: string
  done?: Day
  overdue: boolean
}

export interface Sequence {
  slips: Slip[]
  crewHours: number
  next?: Slip
  /** What cannot be kept, in words with a way out. */
  troubles: string[]
}

function lagsOf(input: SequenceInput, codes: ReadonlySet<string>): Lag[] {
  const mow = input.firstMow
  const { schools } = input.parts[0]!
  const grown: Lag = mow
    ? { from: 'sow', to: 'mow', leastDays: mow.early, mostDays: mow.late, why: 'the grass has to reach mowing height' }
    : { from: 'sow', to: 'mow', leastDays: 14, why: 'the grass has to reach mowing height' }
  return [...LAGS, coreLag(schools.coreOrder), ...feedLags(schools.feedWhen, anchorOf(input.parts)), grown].filter((lag) => codes.has(lag.from) && codes.has(lag.to))
}

function wantedDay({ firstMow, parts }: SequenceInput, code: OperationCode, preferredDay: number, sowDay: number, days: ReadonlyMap<string, number>): number {
  if (code === 'mow') return sowDay + (firstMow?.middle ?? preferredDay)
  const mown = days.get('mow')
  if (code === 'feed' && parts[0]!.schools.feedWhen === 'after first mow') return (mown ?? sowDay + (firstMow?.middle ?? 28)) + 1
  return sowDay + preferredDay
}

/** Places every operation as near to its preferred day as the lags, today and what is done allow, in order. */
function place(input: SequenceInput, operations: Operation[]): { days: Map<string, number>; base: Spans } {
  const names = operations.map(({ code }) => code as string)
  const lags = lagsOf(input, new Set(names))
  const anchors = (['sow', 'lift'] as const).filter((code) => names.includes(code))
  const sow = input.done.get(anchorOf(input.parts)) ?? input.sowOn
  const fixed = new Map<string, number>(anchors.map((code) => [code, dayNumber(sow)]))
  for (const [code, day] of input.done) if (names.includes(code)) fixed.set(code, dayNumber(day))
  // What is still to do before sowing cannot be placed in the past, unless the sowing day itself has passed.
  const notBefore = new Map<string, number>()
  const todayN = dayNumber(input.today)
  for (const { code, preferredDay } of operations) {
    if (!fixed.has(code) && (preferredDay > 0 || dayNumber(sow) >= todayN)) notBefore.set(code, Math.min(todayN, dayNumber(sow) + Math.max(preferredDay, 0)))
  }
  let base = spansOf(names, lags, fixed, notBefore)
  if (!base.possible) {
    // What cannot all be done from today on is shown where it should have been, and said.
    notBefore.clear()
    base = { ...spansOf(names, lags, fixed), possible: false }
  }
  const days = new Map(fixed)
  // What follows the first mow is placed after it.
  const inOrder = [...operations].sort((a, b) => Number(a.code === 'feed') - Number(b.code === 'feed'))
  for (const { code, preferredDay } of inOrder) {
    if (days.has(code)) continue
    const span = spansOf(names, lags, days, notBefore).spans.get(code)!
    const wanted = wantedDay(input, code, preferredDay, dayNumber(sow), days)
    const day = Math.max(span.earliest, Math.min(span.latest, wanted))
    // A span without an end reaches farther than any search for a working day.
    const [earliest, latest] = [Math.max(span.earliest, day - 7), Math.min(span.latest, day + 7)]
    days.set(code, dayNumber(nearestWorkingDay(dayFromNumber(day), input.workingDays, dayFromNumber(earliest), dayFromNumber(latest))))
  }
  return { days, base }
}

function floatWords(code: OperationCode, day: Day, earliest: Day, latest: Day): string {
  if (code === 'sow' || code === 'lift') return ''
  const later = daysBetween(day, latest)
  const sooner = daysBetween(earliest, day)
  if (later > 200) return 'when it is ready'
  if (later > 0 && code !== 'mow') return `can slide ${later} ${later === 1 ? 'day' : 'days'}`
  if (code === 'mow') return `between ${shortDay(earliest)} and ${shortDay(latest)}`
  return sooner > 0 ? `can start ${sooner} ${sooner === 1 ? 'day' : 'days'} early` : 'cannot slide'
}

function sowingGates(input: SequenceInput): Gate[] {
  const gates: Gate[] = []
  const { clear, by } = barrierUntil(input.applications, input.today)
  if (by) {
    const wait = `${by.ingredient}, ${by.waitDays} days, until ${shortDay(clear)}`
    gates.push({ state: clear > input.sowOn ? 'hold' : 'met', text: [`label wait: ${wait}`], source: { kind: 'user', text: 'label' } })
  }
  if (input.soil) {
    const { expectedC, lowC, highC } = input.soil
    const expected = figure('tempC', expectedC, 2)
    gates.push(
      expectedC < lowC ? { state: 'risk', text: ['soil about ', expected, ', colder than ', figure('tempC', lowC, 2)] }
      : expectedC > highC + 5 ? { state: 'risk', text: ['soil about ', expected, ', warmer than ', figure('tempC', highC, 2)] }
      : { state: 'met', text: ['soil about ', expected, ' that day'] },
    )
  }
  return gates
}

/** What the forecast says to work that puts something down; beyond its reach only sowing says that it waits for one. */
function weatherGates(input: SequenceInput, code: OperationCode, day: Day): Gate[] {
  const what = PUTS_DOWN[code]
  if (!what || day < input.today) return []
  const gates = forecastGates(what, day, input.forecast)
  return what === 'seed' || input.forecast.some((told) => told.day === day) ? gates : []
}

/** Tines and blades want ground that is moist, and neither dust nor mud. @source own shares; moist, not wet is trade */
const [WATER_AHEAD_BELOW, TOO_WET_ABOVE] = [0.4, 0.97]
const WANTS_MOIST_GROUND: ReadonlySet<OperationCode> = new Set(['core', 'loosen', 'dethatch'])

function groundGate({ groundLeft }: SequenceInput, code: OperationCode): Gate[] {
  if (groundLeft === undefined || !WANTS_MOIST_GROUND.has(code)) return []
  const left = figure('share', groundLeft, 2)
  const source = { kind: 'computed', text: 'water balance of the root zone, rain alone' } as const
  if (groundLeft < WATER_AHEAD_BELOW) return [{ state: 'risk', text: ['ground about ', left, code === 'dethatch' ? ' full by then: turf under drought is not torn, water ahead' : ' full by then: water ahead, deep enough that a plug comes out'], source }]
  if (groundLeft > TOO_WET_ABOVE) return [{ state: 'risk', text: ['ground about ', left, ' full by then: too wet smears, let it drain'], source }]
  return [{ state: 'met', text: ['ground about ', left, ' full by then'], source }]
}

/** Said where work has to fall on a day the firm is off. */
function dayOffGate({ workingDays }: SequenceInput, day: Day): Gate[] {
  if (workingDays.includes(weekdayIndex(day))) return []
  return [{ state: 'risk', text: [`${weekdayName(day)} is no working day of the firm`], source: { kind: 'user', text: 'Firm, working days' } }]
}

/** The first cut moves off a day the firm is off, to a day sooner: cuts farther apart do no harm. */
function firstCutDay({ workingDays }: SequenceInput, day: Day): Day {
  return nearestWorkingDay(day, workingDays, addDays(day, -6), day)
}

/** The part that takes most cuts. */
function longestScalp({ parts }: SequenceInput): ReturnType<typeof scalpSteps> {
  const steps = parts.map(({ survey, settings }) => scalpSteps(survey.mowingHeightMm, settings.scalpToMm))
  return steps.reduce((a, b) => (b.spanDays > a.spanDays ? b : a))
}

/** Cuts need two days between them; said when those left before the last of them are too few. */
function squeezedCuts(input: SequenceInput, days: ReadonlyMap<string, number>): string | undefined {
  const { today, done } = input
  const last = days.get('scalp')
  if (last === undefined || done.has('scalp')) return undefined
  const { heightsMm, spanDays } = longestScalp(input)
  const left = last - dayNumber(today)
  if (left < 0 || left >= spanDays) return undefined
  return `${heightsMm.length} cuts two days apart take ${spanDays} days; ${left === 0 ? 'none is' : left === 1 ? '1 is' : `${left} are`} left before the last. Take a later day, or cut closer together on dry grass.`
}

function troublesOf(input: SequenceInput, spans: Spans, slipDays: ReadonlyMap<string, number>): string[] {
  const troubles = spans.conflicts.map(({ lag, days }) =>
    days < 0
      ? `${lag.from === 'sow' ? 'Done before sowing' : 'Done out of order'}: ${lag.why}. Check the day it was marked done.`
      : `${days} ${days === 1 ? 'day lies' : 'days lie'} between ${lag.from} and ${lag.to}: ${lag.why}. Bring the sowing day nearer, or go over it again.`,
  )
  const squeezed = squeezedCuts(input, slipDays)
  if (squeezed) troubles.push(squeezed)
  if (!spans.possible) troubles.push('The days left do not hold the whole sequence. Move the sowing day later.')
  const anchor = anchorOf(input.parts)
  if (!input.done.has(anchor) && input.sowOn < input.today) {
    troubles.push(`The ${anchor === 'sow' ? 'sowing day' : 'day of the first lift'}, ${shortDay(input.sowOn)}, has passed. Move it, or mark it ${anchor === 'sow' ? 'sown' : 'dressed'}.`)
  }
  return troubles
}

/**
 * The dated run of operations of a plan, from its sowing day, or from the first lift where nothing is sown.
 * @throws RangeError for impossible settings (rates, shares, heights)
 * @source models.md §11; lags of reference §12
 */
export function buildSequence(input: SequenceInput): Sequence {
  const planned = operationsOf(input.parts)
  const { days, base } = place(input, planned.map(({ operation }) => operation))
  const { spanDays } = longestScalp(input)

  const unordered = planned.map(({ operation, parts }): Slip => {
    const { code } = operation
    const brief = briefOf(code, parts)
    const to = dayFromNumber(days.get(code)!)
    const done = input.done.get(code)
    const span = base.spans.get(code)!
    const earliest = dayFromNumber(Math.min(span.earliest, days.get(code)!))
    const latest = dayFromNumber(Number.isFinite(span.latest) ? Math.max(span.latest, days.get(code)!) : days.get(code)! + 999)
    const start = code === 'scalp' && !done ? firstCutDay(input, addDays(to, -spanDays)) : to
    return {
      ...brief, operation, number: 0,
      from: start < input.today && to >= input.today && !done ? input.today : start,
      to, earliest, latest,
      gates: [...(done ? [] : dayOffGate(input, to)), ...(code === 'sow' ? sowingGates(input) : []), ...(done ? [] : [...weatherGates(input, code, to), ...groundGate(input, code)]), ...brief.gates],
      floatWords: done ? '' : floatWords(code, to, earliest, latest),
      overdue: !done && to < input.today,
      ...(done ? { done } : {}),
    }
  })
  const slips = unordered.sort((a, b) => daysBetween(b.to, a.to)).map((slip, i) => ({ ...slip, number: i + 1 }))
  const next = slips.filter((slip) => !slip.done).sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.number - b.number))[0]
  return {
    slips,
    crewHours: slips.reduce((sum, slip) => sum + slip.hours.value, 0),
    troubles: troublesOf(input, base, days),
    ...(next ? { next } : {}),
  }
}
