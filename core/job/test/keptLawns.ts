import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { glanceOfBrief, type Brief } from '#core/establishment/glance'
import { USUAL_FEED_RULES } from '#core/materials/feedRules'
import { planningOf } from '#core/job/planningFigures'
import { daysBetween, type Day } from '#core/measure/calendar'
import { oneJob } from '../../../contract/test/looks'
import { planJob } from '../planJob'
import type { FirmRecord, JobRecord } from '../records'
import type { SeasonKnown } from '../season'

/** The demo's lawns and firm as they were kept in demoLawns.json.gz, each with what was known of its weather. */
export interface Kept {
  firm: Omit<FirmRecord, 'planning' | 'spokenFor' | 'feedRules'> & { planning: Parameters<typeof planningOf>[0] }
  lawns: {
    lawn: Lawn
    weather: Pick<SeasonKnown, 'forecast'> & {
      brief: Brief
      first: Day
      soilC: number[]
      groundLeft: number[]
      rainMm: (number | null)[]
    }
  }[]
}

export const firmOfKept = ({ firm }: Kept): FirmRecord => ({
  feedRules: USUAL_FEED_RULES,
  ...firm,
  spokenFor: {},
  planning: planningOf(firm.planning),
})

/** They were kept before a lawn had jobs. */
export const withJob = (lawn: Lawn): Lawn => ({ ...lawn, ...oneJob(lawn) })

export function seasonOfKept({ forecast, brief, first, ...weather }: Kept['lawns'][number]['weather']): SeasonKnown {
  const on =
    <T>(series: readonly T[]) =>
    (day: Day) =>
      series[daysBetween(first, day)]
  return {
    forecast,
    glance: (sowOn) => glanceOfBrief(brief, sowOn),
    soilOn: on(weather.soilC),
    groundOn: on(weather.groundLeft),
    fellOn: on(weather.rainMm),
  }
}

/** A job at random, in plain data: which lawn, and what of its job and firm is otherwise. */
export interface RandomJob {
  lawn: number
  job: Partial<JobRecord>
  firm: Partial<Pick<FirmRecord, 'today' | 'workingDays'>>
}

/** Everything of a plan that has to come out alike wherever it is made: codes, days, order and numbers. */
export function planInBrief(kept: Kept, { lawn: at, job, firm }: RandomJob): unknown {
  const { lawn: found, weather } = kept.lawns[at]!
  const lawn = withJob(found)
  const given = { ...jobOf(lawn), ...job }
  const plan = planJob(given, groundOf(lawn), { ...firmOfKept(kept), ...firm }, seasonOfKept(weather))
  const { schedule, decision, price, settings, practices, parts } = plan
  return {
    practices,
    settings,
    parts: parts.map(({ programme, zones, survey }) => ({ programme: programme.code, zones, survey })),
    decision: decision?.zones.map(({ recommended, verdicts }) => ({ recommended, verdicts })),
    waiting: decision?.waiting.next,
    tasks: schedule?.tasks.map(({ key, from, to, earliest, latest, stand, hours, gates, wanted, overdue }) => ({
      key,
      from,
      to,
      earliest,
      latest,
      stand,
      overdue,
      hours: hours.value,
      gates: gates.map(({ state, code, text }) => ({ state, code, text })),
      wanted,
    })),
    troubles: schedule?.troubles,
    price: price && [price.priceMinor.value, price.crewHours.value, price.seedKg, price.outOfUse.value],
  }
}
