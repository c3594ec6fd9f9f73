import { grassByCode } from '../grass/grasses'
import { addDays, dayFromNumber, dayNumber, daysBetween, nearestWorkingDay, shortDay, weekdayIndex, weekdayName, type Day } from '../quantity/calendar'
import { figure } from '../quantity/figure'
import type { Gate } from '../quantity/judgement'
import type { Application, Survey } from '../site/survey'
import type { DailyWeather } from '../climate/weather'
import { BRIEFS, type Brief } from './briefs'
import { barrierUntil } from './decide'
import { spansOf, type Lag, type Spans } from './network'
import { OPERATIONS, OVERSEED_LAGS, type Operation, type OperationCode } from './operations'
import type { PlanSettings } from './plan'
import { scalpSteps } from './scalping'

/** Rain forecast for the four days after sowing that holds it, mm. @source own; four days is trade */
const WASHING_RAIN_MM = 12
const RAIN_LOOK_DAYS = 4

/** Days from sowing to the first mowing: early, middle and late of the weather years. */
export interface FirstMow {
  early: number
  middle: number
  late: number
}

export interface SequenceInput {
  survey: Survey
  applications: readonly Application[]
  settings: PlanSettings
  sowOn: Day
  today: Day
  /** What is done, on the day it was finished. */
  done: ReadonlyMap<OperationCode, Day>
  firstMow?: FirstMow
  /** Median modelled soil at probe depth on the sowing day, °C, and the band it should be in. */
  soil?: { expectedC: number; lowC: number; highC: number }
  forecast: readonly DailyWeather[]
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

/** Operations of this plan, in order: no cover without depth. */
export const operationsOf = (settings: PlanSettings): Operation[] =>
  OPERATIONS.filter(({ code }) => code !== 'cover' || settings.coverMm > 0)

function lagsOf(input: SequenceInput, codes: ReadonlySet<string>): Lag[] {
  const mow = input.firstMow
  const grown: Lag = mow
    ? { from: 'sow', to: 'mow', leastDays: mow.early, mostDays: mow.late, why: 'the grass has to reach mowing height' }
    : { from: 'sow', to: 'mow', leastDays: 14, why: 'the grass has to reach mowing height' }
  return [...OVERSEED_LAGS, grown].filter((lag) => codes.has(lag.from) && codes.has(lag.to))
}

/** Places every operation as near to its preferred day as the lags, today and what is done allow, in order. */
function place(input: SequenceInput, operations: Operation[]): { days: Map<string, number>; base: Spans } {
  const names = operations.map(({ code }) => code as string)
  const lags = lagsOf(input, new Set(names))
  const sow = input.done.get('sow') ?? input.sowOn
  const fixed = new Map<string, number>([['sow', dayNumber(sow)]])
  for (const [code, day] of input.done) if (names.includes(code)) fixed.set(code, dayNumber(day))
  // What is still to do before sowing cannot be placed in the past, unless the sowing day itself has passed.
  const notBefore = new Map<string, number>()
  const todayN = dayNumber(input.today)
  for (const { code, preferredDay } of operations) {
    if (!fixed.has(code) && (preferredDay > 0 || dayNumber(sow) >= todayN)) notBefore.set(code, Math.min(todayN, dayNumber(sow) + Math.max(preferredDay, 0)))
  }
  const base = spansOf(names, lags, fixed, notBefore)
  const days = new Map(fixed)
  for (const { code, preferredDay } of operations) {
    if (days.has(code)) continue
    const span = spansOf(names, lags, days, notBefore).spans.get(code)!
    const wanted = dayNumber(sow) + (code === 'mow' ? (input.firstMow?.middle ?? preferredDay) : preferredDay)
    const day = Math.max(span.earliest, Math.min(span.latest, wanted))
    // A span without an end reaches farther than any search for a working day.
    const [earliest, latest] = [Math.max(span.earliest, day - 7), Math.min(span.latest, day + 7)]
    days.set(code, dayNumber(nearestWorkingDay(dayFromNumber(day), input.workingDays, dayFromNumber(earliest), dayFromNumber(latest))))
  }
  return { days, base }
}

function floatWords(code: OperationCode, day: Day, earliest: Day, latest: Day): string {
  if (code === 'sow') return ''
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
  const days = input.forecast.filter((f) => f.day >= input.sowOn && f.day <= addDays(input.sowOn, RAIN_LOOK_DAYS))
  if (days.length > RAIN_LOOK_DAYS) {
    const rainMm = days.slice(1).reduce((sum, f) => sum + f.rainMm, 0)
    gates.push({ state: rainMm >= WASHING_RAIN_MM ? 'hold' : 'met', text: [figure('waterMm', rainMm), ' of rain forecast for the four days after'], source: { kind: 'own', text: 'hold at ½ in (12 mm)' } })
  } else {
    gates.push({ state: 'waiting', text: ['forecast of the four days after'] })
  }
  return gates
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

/** Cuts need two days between them; said when those left before the last of them are too few. */
function squeezedCuts({ survey, settings, today, done }: SequenceInput, days: ReadonlyMap<string, number>): string | undefined {
  const last = days.get('scalp')
  if (last === undefined || done.has('scalp')) return undefined
  const { heightsMm, spanDays } = scalpSteps(survey.mowingHeightMm, settings.scalpToMm)
  const left = last - dayNumber(today)
  if (left < 0 || left >= spanDays) return undefined
  return `${heightsMm.length} cuts two days apart take ${spanDays} days; ${left === 0 ? 'none is' : left === 1 ? '1 is' : `${left} are`} left before the last. Sow later, or cut closer together on dry grass.`
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
  const sown = input.done.has('sow')
  if (!sown && input.sowOn < input.today) troubles.push(`The sowing day, ${shortDay(input.sowOn)}, has passed. Move it, or mark it sown.`)
  return troubles
}

/**
 * The dated run of operations of an overseeding, from its sowing day.
 * @throws RangeError for impossible settings (rates, shares, heights)
 * @source models.md §11; lags of reference §12
 */
export function buildSequence(input: SequenceInput): Sequence {
  const operations = operationsOf(input.settings)
  const { days, base } = place(input, operations)
  const grass = grassByCode(input.survey.grass)
  const { spanDays } = scalpSteps(input.survey.mowingHeightMm, input.settings.scalpToMm)

  const slips = operations.map((operation, i): Slip => {
    const { code } = operation
    const brief = BRIEFS[code]({ survey: input.survey, grass, settings: input.settings })
    const to = dayFromNumber(days.get(code)!)
    const done = input.done.get(code)
    const span = base.spans.get(code)!
    const earliest = dayFromNumber(Math.min(span.earliest, days.get(code)!))
    const latest = dayFromNumber(Number.isFinite(span.latest) ? Math.max(span.latest, days.get(code)!) : days.get(code)! + 999)
    const start = code === 'scalp' && !done ? firstCutDay(input, addDays(to, -spanDays)) : to
    return {
      ...brief, operation, number: i + 1,
      from: start < input.today && to >= input.today && !done ? input.today : start,
      to, earliest, latest,
      gates: [...(done ? [] : dayOffGate(input, to)), ...(code === 'sow' ? sowingGates(input) : []), ...brief.gates],
      floatWords: done ? '' : floatWords(code, to, earliest, latest),
      overdue: !done && to < input.today,
      ...(done ? { done } : {}),
    }
  })
  const next = slips.filter((slip) => !slip.done).sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.number - b.number))[0]
  return {
    slips,
    crewHours: slips.reduce((sum, slip) => sum + slip.hours.value, 0),
    troubles: troublesOf(input, base, days),
    ...(next ? { next } : {}),
  }
}
