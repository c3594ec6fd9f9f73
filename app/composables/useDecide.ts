import { surveyOf, type Lawn } from '#contract/lawn'
import { NO_WORK } from '#contract/work'
import { glanceOf } from '#core/establishment/glance'
import type { Outlook } from '#core/establishment/outlook'
import { estimateOf, type Estimate } from '#core/job/price'
import { expectOf, type Expectation } from '#core/job/decision/expectations'
import { partsOf, type Part } from '#core/job/parts'
import { PROGRAMME_CODES, PROGRAMMES, type Programme, type ProgrammeCode } from '#core/job/decision/programmes'
import type { Sequence } from '#core/job/schedule/schedule'
import { SCHOOL_CODES, SCHOOLS, type School, type Schools } from '#core/job/decision/practices'
import { leadDaysOf, type Waiting } from '#core/job/decision/wait'
import { addDays, type Day } from '#core/measure/calendar'
import type { Gate } from '#core/explain/judgement'
import { beginningSettings, plannedZones, schoolsIn, sequenceOfParts, settingsOf, waitingFor, type LawnDecision, type Practice } from '~/utils/planOf'

/** A programme as it would be on this lawn. */
export interface Candidate {
  programme: Programme
  parts: Part[]
  sequence: Sequence
  estimate: Estimate
  expect: Expectation[]
  waiting: Waiting
  sowOn: Day
  good: number | undefined
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

/** What another school would change in the chosen programme. */
export interface Difference {
  question: School
  asks: string
  choices: { code: string; name: string; own: boolean; firm: boolean; changes: string; hours: number; minor: number; seedKg: number; days: number }[]
}

/** Days that were agreed belong to the plan as it stands; another programme is laid out afresh. */
const asPlanned = (lawn: Lawn, change: Partial<Lawn['plan']>): Lawn => ({ ...lawn, plan: { ...lawn.plan, ...change, ...(change.programme === lawn.plan.programme ? {} : { work: NO_WORK }) } })

/** Day that a programme would be sown on: the plan's own, else the best of its window, else the next possible one. */
function dayFor(lawn: Lawn, code: ProgrammeCode, waiting: Waiting, today: Day): Day {
  if (lawn.plan.programme === code && lawn.plan.sowOn) return lawn.plan.sowOn
  const soonest = addDays(today, leadDaysOf(code))
  const best = waiting.window?.best
  if (best && best >= soonest) return best
  return waiting.next ?? (waiting.window && waiting.window.to >= soonest ? soonest : addDays(today, Math.max(14, leadDaysOf(code))))
}

/** The settings of a plan as they would be under other schools: what those schools decide follows them, the rest stays typed. */
export function settingsUnder(lawn: Lawn, before: Schools, after: Schools, programme: ProgrammeCode) {
  const now = lawn.plan.settings ?? beginningSettings(lawn, before, programme)
  const [was, becomes] = [beginningSettings(lawn, before, programme), beginningSettings(lawn, after, programme)]
  const changed = (Object.keys(was) as (keyof typeof was)[]).filter((key) => JSON.stringify(was[key]) !== JSON.stringify(becomes[key]))
  return { ...now, ...Object.fromEntries(changed.map((key) => [key, becomes[key]])) }
}

export function useDecide(lawn: Ref<Lawn | undefined>, outlook: Ref<Outlook | undefined>, decision: Ref<LawnDecision | undefined>) {
  const context = useContextStore()
  const sill = useSillStore()

  function candidate(of: Lawn, code: ProgrammeCode, seen: Outlook, judged: LawnDecision, practice: Practice): Candidate | undefined {
    const zones = judged.zones.filter(({ zone }) => of.plan.zonePlans[zone.id]?.programme !== 'leave')
    const fitting = zones.filter(({ verdicts }) => verdicts[code].fits)
    const waiting = waitingFor(of, glanceOf(seen, null), practice, code, zones)
    const sowOn = dayFor(of, code, waiting, practice.today)
    const trial = asPlanned(of, { programme: code, sowOn, settings: of.plan.programme === code ? settingsOf(of, practice) : null })
    const planned = plannedZones(trial, practice.today, code)
    const survey = surveyOf(of, practice.today)
    if (!planned.length || !survey) return undefined
    const parts = partsOf(planned, of.texture, settingsOf(trial, practice), schoolsIn(of, practice), of.plan.blend, practice.planning)
    const glance = glanceOf(seen, sowOn)
    const sequence = sequenceOfParts(trial, parts, sowOn, glance, practice, { forecast: sill.data?.forecast ?? [] })
    const verdicts = (fitting.length ? fitting : zones).map(({ verdicts }) => verdicts[code])
    const leaning = zones.find(({ leans }) => leans?.programme === code)
    const unique = (gates: Gate[]) => gates.filter((gate, i) => gates.findIndex((other) => JSON.stringify(other.text) === JSON.stringify(gate.text)) === i)
    return {
      programme: PROGRAMMES[code], parts, sequence, sowOn, waiting, good: PROGRAMMES[code].anchor === 'sow' ? glance.sowing?.good : undefined,
      estimate: estimateOf(parts, sequence, practice.planning, context.currency), expect: expectOf(code, survey, practice.planning),
      why: leaning?.leans?.because ?? { state: 'met', text: [PROGRAMMES[code].about[0]!.toUpperCase() + PROGRAMMES[code].about.slice(1) + '. Nothing here asks for it, nothing forbids it.'] },
      risks: unique(verdicts.flatMap(({ risks }) => risks)),
      butNot: zones.filter(({ verdicts: of }) => !of[code].fits).map(({ zone, verdicts: of }) => ({ zone: zone.name, why: of[code].refusals[0]! })),
    }
  }

  /** Those that fit somewhere, the chosen or leaned-to first, then by how much work they are. */
  const candidates = computed<Candidate[]>(() => {
    const [of, seen, judged, practice] = [lawn.value, outlook.value, decision.value, context.practice]
    if (!of || !seen || !judged) return []
    const first = of.plan.programme ?? judged.leans
    return PROGRAMME_CODES.filter((code) => code === of.plan.programme || judged.zones.some(({ verdicts }) => verdicts[code].fits))
      .sort((a, b) => Number(b === first) - Number(a === first) || Number(b === judged.leans) - Number(a === judged.leans) || PROGRAMMES[a].work - PROGRAMMES[b].work)
      .flatMap((code) => candidate(of, code, seen, judged, practice) ?? [])
  })
  const refused = computed<Refused[]>(() => PROGRAMME_CODES.flatMap((code) => {
    const zones = decision.value?.zones ?? []
    const [largest] = [...zones].sort((a, b) => b.zone.areaM2 - a.zone.areaM2)
    return largest && code !== lawn.value?.plan.programme && !zones.some(({ verdicts }) => verdicts[code].fits) ? [{ programme: PROGRAMMES[code], why: largest.verdicts[code].refusals[0]! }] : []
  }))

  /** One that the rules refuse, for a technician who knows better and says why. */
  const candidateFor = (code: ProgrammeCode): Candidate | undefined =>
    (lawn.value && outlook.value && decision.value ? candidate(lawn.value, code, outlook.value, decision.value, context.practice) : undefined)

  /** Each school with what the other choice would change, by planning it so. */
  const differences = computed<Difference[]>(() => {
    const [of, seen, judged, practice] = [lawn.value, outlook.value, decision.value, context.practice]
    const base = candidates.value[0]
    if (!of || !seen || !judged || !base) return []
    const { code } = base.programme
    const schools = schoolsIn(of, practice)
    return SCHOOL_CODES.map((question) => ({
      question, asks: SCHOOLS[question].asks,
      choices: SCHOOLS[question].choices.map((choice) => {
        const own = schools[question] === choice.code
        const other = { ...schools, [question]: choice.code } as Schools
        const trial = asPlanned(of, { programme: code, sowOn: base.sowOn, schools: other, settings: settingsUnder(of, schools, other, code) })
        const changed = own ? base : candidate(trial, code, seen, judged, practice)
        const by = (value: (estimate: Estimate) => number) => (changed ? value(changed.estimate) - value(base.estimate) : 0)
        return {
          code: choice.code, name: choice.name, changes: choice.changes, own, firm: practice.schools[question] === choice.code,
          hours: by(({ crewHours }) => crewHours.value), minor: by(({ priceMinor }) => priceMinor.value), seedKg: by(({ seedKg }) => seedKg), days: by(({ outOfUse }) => outOfUse.value),
        }
      }),
    }))
  })

  return { candidates, refused, differences, candidateFor }
}
