import { say, shortDay, type Message, type MessageValue } from '../../explain/message'
import { grassByCode } from '../../grass/grasses'
import { swardByCode } from '../../grass/swards'
import { addDays, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Application } from '../../site/survey'
import type { Texture } from '../../soil/soil'
import type { ZoneSurvey } from '../../site/zone'
import { sourceOf, type LimitCode, type Planning } from '../planningFigures'
import { PROGRAMME_CODES, PROGRAMMES, type ProgrammeCode } from './programmes'
import { MEASURE_QUANTITY, type Condition, type Findings, type Measure, type Rule } from './rule'
import { RULES } from './rules'
import type { Practices } from './practices'

/** What of the whole lawn bears on every zone. */
export interface LawnFindings {
  ph: number | null
  timesADay: number | null
  irrigated: boolean
  goal: string | null
  noSprays: boolean
  upkeep: string | null
  mownBy: string | null
  homeWhen: string | null
  winterOpen: boolean
  texture: Texture
}

/** A programme against one zone. */
export interface Verdict {
  programme: ProgrammeCode
  fits: boolean
  /** Why not, where it does not. */
  refusals: Gate[]
  risks: Gate[]
  adds: Gate[]
}

export interface ZoneDecision {
  zone: ZoneSurvey
  verdicts: Record<ProgrammeCode, Verdict>
  /** The programme the rules recommend, and why; undefined where nothing fits. */
  recommended?: { programme: ProgrammeCode; because: Gate }
  /** Causes that keep seed off this zone until they are dealt with. */
  waits: Gate[]
}

/** Grasses that ask for feed, water and mowing more than others. @source turf handbooks */
const NEEDY: readonly string[] = ['KBG', 'CBG', 'PRG', 'BER']

/** Less sun than this leaves ground that drains slowly wet all day. @source own */
const DAMP_SHADE_H = 5
/** Practices that decide with. */
type Decisive = Pick<Practices, 'kill' | 'hybridBermuda'>

/** The zone as the rules read it. */
export function findingsOf(
  zone: ZoneSurvey,
  lawn: LawnFindings,
  practices: Decisive,
  planning: Pick<Planning, 'hollowLevel'>,
): Findings {
  const grass = grassByCode(zone.grass)
  const sward = zone.sward ? swardByCode(zone.sward) : undefined
  return {
    desirable: zone.desirableShare,
    weeds: zone.weedShare,
    coarse: zone.coarseShare,
    bare: zone.bareShare,
    patchy: zone.barePatchy,
    thatch: zone.thatchMm,
    driver: zone.driverMm,
    penetrometer: zone.penetrometerKPa,
    deepest: zone.deepestMm,
    hollowShare: zone.deepestMm > planning.hollowLevel && zone.areaM2 > 0 ? zone.hollowM2 / zone.areaM2 : 0,
    sunLack: Math.max(0, grass.sunHours - zone.sunHours),
    dampShade: zone.sunHours < DAMP_SHADE_H && zone.drainage === 'slow',
    sun: zone.sunHours,
    sunNeed: grass.sunHours,
    slope: zone.slopeShare,
    kept: zone.keptMm ?? zone.mowingHeightMm,
    wear: zone.wear,
    drainage: zone.drainage,
    killPractice: practices.kill,
    ground: zone.ground,
    stones: zone.stones,
    topsoil: zone.topsoilMm,
    thatchSoft: zone.thatchSoft,
    coredLately: zone.coredLately,
    needy: NEEDY.includes(zone.grass),
    ...lawn,
    // Unsaid, what grows is taken for the season of the grass wanted.
    warmSward: (sward?.season ?? grass.season) === 'warm',
    spreads: sward?.spreads ?? grass.season === 'warm',
    bermuda: (zone.sward ?? zone.grass) === 'BER' || zone.sward === 'HBER',
    warmWanted: grass.season === 'warm',
    hybrid: zone.sward === 'HBER',
    namedSeed: practices.hybridBermuda === 'named seed',
  }
}

function holds([measure, how, against]: Condition, findings: Findings, planning: Planning): boolean {
  const found = findings[measure]
  if (how === 'is') return found === against
  // What nobody has looked at is neither one thing nor the other.
  if (how === 'not') return found !== against
  if (typeof found !== 'number') return false
  const limit = typeof against === 'number' ? against : planning[against as LimitCode]
  return how === '<' ? found < limit : how === '<=' ? found <= limit : how === '>' ? found > limit : found >= limit
}

const applies = ({ when, any }: Rule, findings: Findings, planning: Planning): boolean =>
  when.every((condition) => holds(condition, findings, planning)) &&
  (!any || any.some((condition) => holds(condition, findings, planning)))

const concerns = ({ of }: Rule, code: ProgrammeCode): boolean =>
  of === 'all' || (of === 'seeded' ? PROGRAMMES[code].rateShare > 0 : of.includes(code))

/** What a rule tells: a measure as it was found, and by its own name or with "Limit" behind that of a measure the limit. */
function toldOf([key, ...tells]: Rule['says'], findings: Findings, planning: Planning): Message {
  if (!tells.length) return say(key)
  const told = (name: string): MessageValue => {
    if (name in findings) {
      const value = findings[name as Measure]
      const quantity = MEASURE_QUANTITY[name as Measure]
      return typeof value === 'number' && quantity ? figure(quantity, value, 2) : String(value)
    }
    const limit = name.replace(/Limit$/, '') as LimitCode
    return figure(RULES_LIMIT_QUANTITY[limit], planning[limit], 2)
  }
  return say(key, Object.fromEntries(tells.map((name) => [name, told(name)])))
}
/** What each limit measures, read off the rules that use it. */
const RULES_LIMIT_QUANTITY = Object.fromEntries(
  RULES.flatMap(({ when, any = [] }) => [...when, ...any]).flatMap(([measure, , against]) =>
    typeof against === 'string' && MEASURE_QUANTITY[measure] ? [[against, MEASURE_QUANTITY[measure]]] : [],
  ),
) as Record<LimitCode, NonNullable<(typeof MEASURE_QUANTITY)[Measure]>>

function gateOf(rule: Rule, state: Gate['state'], findings: Findings, planning: Planning): Gate {
  const limits = [...rule.when, ...(rule.any ?? [])].flatMap(([, how, against]) =>
    typeof against === 'string' && how !== 'is' && how !== 'not' ? [against as LimitCode] : [],
  )
  const changed = limits.map((code) => sourceOf(code, planning)).find(({ kind }) => kind === 'user')
  return {
    state,
    text: toldOf(rule.says, findings, planning),
    source: changed ?? { kind: rule.kind, text: say(rule.from) },
  }
}

function judge(code: ProgrammeCode, findings: Findings, planning: Planning): Verdict {
  const of = RULES.filter((rule) => concerns(rule, code))
  const told = (effect: Rule['effect'], state: Gate['state'], holding = true) =>
    of
      .filter((rule) => rule.effect === effect && applies(rule, findings, planning) === holding)
      .map((rule) => gateOf(rule, state, findings, planning))
  const refusals = [...told('needs', 'hold', false), ...told('refuses', 'hold')]
  return { programme: code, fits: !refusals.length, refusals, risks: told('risk', 'risk'), adds: told('adds', 'met') }
}

/**
 * Every programme judged against one zone.
 * @source turf handbooks and trade, rules as data; the planning figures may be the firm's own
 */
export function decideZone(
  zone: ZoneSurvey,
  lawn: LawnFindings,
  practices: Decisive,
  planning: Planning,
): ZoneDecision {
  const findings = findingsOf(zone, lawn, practices, planning)
  const verdicts = Object.fromEntries(PROGRAMME_CODES.map((code) => [code, judge(code, findings, planning)])) as Record<
    ProgrammeCode,
    Verdict
  >
  const waits = RULES.filter((rule) => rule.effect === 'waits' && applies(rule, findings, planning)).map((rule) =>
    gateOf(rule, 'hold', findings, planning),
  )
  for (const rule of RULES) {
    if (rule.effect !== 'recommends' || rule.of === 'all' || rule.of === 'seeded') continue
    const programme = rule.of.find((code) => verdicts[code].fits)
    if (programme && applies(rule, findings, planning))
      return { zone, verdicts, waits, recommended: { programme, because: gateOf(rule, 'met', findings, planning) } }
  }
  // Shade refuses all seed; what would be done in the light is still worth knowing.
  return { zone, verdicts, waits }
}

/** The first day clear of every label interval, and what holds until then. */
export function barrierUntil(applications: readonly Application[], today: Day): { clear: Day; by?: Application } {
  let clear = today
  let by: Application | undefined
  for (const application of applications) {
    const until = addDays(application.appliedOn, application.waitDays)
    if (until > clear) [clear, by] = [until, application]
  }
  return by ? { clear, by } : { clear }
}

/**
 * What the label forbids of a sowing day; undefined where it forbids nothing. The label is the law: no note overrules
 * it.
 */
export function labelForbids(applications: readonly Application[], sowOn: Day): Message | undefined {
  const { clear, by } = barrierUntil(applications, sowOn)
  return by && say('rules.theLabelKeepsSeedOff', { ingredient: by.ingredient, clear: shortDay(clear, sowOn) })
}
