import { say, type Message } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { addDays, type Day } from '../../measure/calendar'
import { NO_WORK } from '../nothingDecided'
import type { Part } from '../parts'
import { planJob, waitingOf, type JobPlan, type LawnDecision } from '../planJob'
import type { Estimate } from '../price'
import type { FirmRecord, JobRecord, LawnRecord } from '../records'
import type { Schedule } from '../schedule/schedule'
import type { SeasonKnown } from '../season'
import { beginningSettings, practicesOf } from '../seeding'
import { surveyOf } from '../lawn'
import type { PlanSettings } from '../settings'
import { conversionOf, type Conversion } from './conversion'
import { expectOf, type Expectation } from './expectations'
import { PRACTICE_CODES, PRACTICES, type PracticeCode, type Practices } from './practices'
import { PROGRAMME_CODES, PROGRAMMES, type Programme, type ProgrammeCode } from './programmes'
import { leadDaysOf, type Waiting } from './wait'

/** A programme as it would be on this lawn. */
export interface Candidate {
  programme: Programme
  parts: Part[]
  schedule: Schedule
  estimate: Estimate
  expect: Expectation[]
  /** Where another species is wanted: what of the ground it holds after each of the first seasons. */
  conversion: Conversion | undefined
  waiting: Waiting
  sowOn: Day
  of100: number | undefined
  /** Something in the survey calls for it; otherwise it is possible and no more. */
  calledFor: boolean
  why: Gate
  risks: Gate[]
  /** Zones it does not fit, with the reason. */
  butNot: { zone: string; why: Gate }[]
}

/** A programme that fits nowhere. */
export interface Refused {
  programme: Programme
  why: Gate
}

/** What another practice would change in the chosen programme. */
export interface Difference {
  question: PracticeCode
  asks: Message
  choices: {
    code: string
    name: Message
    own: boolean
    firm: boolean
    changes: Message
    hours: number
    minor: number
    seedKg: number
    days: number
  }[]
}

/** A job in its lawn, firm and season, with what was decided of it. */
export interface Considered {
  job: JobRecord
  lawn: LawnRecord
  firm: FirmRecord
  season: SeasonKnown
  decision: LawnDecision
}

/** Days before sowing that a plan is given where nothing says better. @source own */
const USUAL_LEAD_DAYS = 14

/** Day that a programme would be sown on: the job's own, else the best of its window, else the next possible one. */
function dayFor(job: JobRecord, code: ProgrammeCode, { window, next }: Waiting, today: Day): Day {
  if (job.programme === code && job.sowOn) return job.sowOn
  const soonest = addDays(today, leadDaysOf(code))
  if (window && window.best >= soonest) return window.best
  if (next) return next
  return window && window.to >= soonest ? soonest : addDays(today, Math.max(USUAL_LEAD_DAYS, leadDaysOf(code)))
}

/** Settings as they would be under other practices: what those decide follows them, the rest stays typed. */
export function settingsUnder(
  { job, lawn, firm }: Pick<Considered, 'job' | 'lawn' | 'firm'>,
  before: Practices,
  after: Practices,
  programme: ProgrammeCode,
): PlanSettings {
  const [was, becomes] = [before, after].map((practices) =>
    beginningSettings(lawn, job, practices, programme, firm),
  ) as [PlanSettings, PlanSettings]
  const changed = (Object.keys(was) as (keyof PlanSettings)[]).filter(
    (key) => JSON.stringify(was[key]) !== JSON.stringify(becomes[key]),
  )
  return { ...(job.settings ?? was), ...Object.fromEntries(changed.map((key) => [key, becomes[key]])) }
}

const unique = (gates: readonly Gate[]): Gate[] =>
  gates.filter((gate, i) => gates.findIndex((other) => JSON.stringify(other.text) === JSON.stringify(gate.text)) === i)

/** A programme planned on a lawn; undefined where no zone is left to do it on. */
export function candidateOf(considered: Considered, code: ProgrammeCode): Candidate | undefined {
  const { job, lawn, firm, season, decision } = considered
  const glance = season.glance?.(null)
  const survey = surveyOf(lawn, firm.today)
  if (!glance || !survey) return undefined
  const zones = decision.zones.filter(({ zone }) => job.zonePlans[zone.id]?.programme !== 'leave')
  const waiting = waitingOf(job, lawn, firm, { glance, programme: code, zones })
  const same = job.programme === code
  const sowOn = dayFor(job, code, waiting, firm.today)
  // Days that were confirmed belong to the job as it stands; another programme is planned afresh.
  const trial: JobRecord = { ...job, programme: code, sowOn, ...(same ? {} : { settings: null, work: NO_WORK }) }
  const { parts, schedule, price, glance: there } = planJob(trial, lawn, firm, season)
  if (!schedule || !price) return undefined
  const fitting = zones.filter(({ verdicts }) => verdicts[code].fits)
  const leaning = zones.find(({ recommended }) => recommended?.programme === code)
  const programme = PROGRAMMES[code]
  const conversion = lawn.wishes.goal === 'species' ? conversionOf(code, firm.planning) : undefined
  const isWay = conversion !== undefined && fitting.length > 0
  return {
    programme,
    parts,
    schedule,
    estimate: price,
    sowOn,
    waiting,
    of100: programme.anchor === 'seeding' ? there?.sowing?.of100 : undefined,
    expect: expectOf(code, survey, firm.planning),
    conversion,
    calledFor: leaning !== undefined || isWay,
    why: isWay
      ? { state: 'met', text: conversion.why, source: { kind: 'trade', text: say('rules.speciesChange') } }
      : (leaning?.recommended?.because ?? {
          state: 'met',
          text: say('rules.possibleButNothingCalls', { about: programme.about }),
        }),
    risks: unique((fitting.length ? fitting : zones).flatMap(({ verdicts }) => verdicts[code].risks)),
    butNot: zones
      .filter(({ verdicts }) => !verdicts[code].fits)
      .map(({ zone, verdicts }) => ({ zone: zone.name, why: verdicts[code].refusals[0]! })),
  }
}

/** Those that fit somewhere, the chosen or recommended first, then what something calls for, then by how much work they are. */
export function candidatesOf(considered: Considered): Candidate[] {
  const { job, decision } = considered
  const first = job.programme ?? decision.recommended
  const isFirst = (code: ProgrammeCode) => Number(code === first) * 2 + Number(code === decision.recommended)
  return PROGRAMME_CODES.filter(
    (code) => code === job.programme || decision.zones.some(({ verdicts }) => verdicts[code].fits),
  )
    .flatMap((code) => candidateOf(considered, code) ?? [])
    .sort(
      (a, b) =>
        isFirst(b.programme.code) - isFirst(a.programme.code) ||
        Number(b.calledFor) - Number(a.calledFor) ||
        a.programme.work - b.programme.work,
    )
}

/** Programmes that fit no zone, each with what the largest zone says against it. */
export function refusedOf({ job, decision: { zones } }: Pick<Considered, 'job' | 'decision'>): Refused[] {
  const [largest] = [...zones].sort((a, b) => b.zone.areaM2 - a.zone.areaM2)
  return PROGRAMME_CODES.flatMap((code) =>
    largest && code !== job.programme && !zones.some(({ verdicts }) => verdicts[code].fits)
      ? [{ programme: PROGRAMMES[code], why: largest.verdicts[code].refusals[0]! }]
      : [],
  )
}

/** Each practice with what the other choices would change of a candidate, by planning it so. */
export function differencesOf(considered: Considered, base: Candidate): Difference[] {
  const { job, firm } = considered
  const practices = practicesOf(job, firm)
  const { code } = base.programme
  const under = (question: PracticeCode, choice: string): Pick<JobPlan, 'price'> => {
    const other = { ...practices, [question]: choice } as Practices
    const settings = settingsUnder(considered, practices, other, code)
    const trial: JobRecord = {
      ...job,
      programme: code,
      sowOn: base.sowOn,
      practices: other,
      settings,
      ...(job.programme === code ? {} : { work: NO_WORK }),
    }
    return planJob(trial, considered.lawn, firm, considered.season)
  }
  return PRACTICE_CODES.map((question) => ({
    question,
    asks: PRACTICES[question].asks,
    choices: PRACTICES[question].choices.map((choice) => {
      const own = practices[question] === choice.code
      const price = own ? base.estimate : under(question, choice.code).price
      const by = (of: (estimate: Estimate) => number) => (price ? of(price) - of(base.estimate) : 0)
      return {
        code: choice.code,
        name: choice.name,
        changes: choice.changes,
        own,
        firm: firm.practices[question] === choice.code,
        hours: by(({ crewHours }) => crewHours.value),
        minor: by(({ priceMinor }) => priceMinor.value),
        seedKg: by(({ seedKg }) => seedKg),
        days: by(({ outOfUse }) => outOfUse.value),
      }
    }),
  }))
}
