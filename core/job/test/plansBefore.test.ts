import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { glanceOfBrief, type Brief } from '#core/establishment/glance'
import { planningOf } from '#core/job/planningFigures'
import { PROGRAMME_CODES } from '#core/job/decision/programmes'
import type { Sequence } from '#core/job/schedule/schedule'
import { leadDaysOf } from '#core/job/decision/wait'
import { addDays, daysBetween, type Day } from '#core/measure/calendar'
import type { Phrase } from '#core/explain/phrase'
import type { Lawn } from '#contract/lawn'
import { NO_WORK } from '#core/job/nothingDecided'
import { jobOf } from '#contract/lawn'
import { planJob } from '../planJob'
import type { FirmRecord } from '../records'
import type { SeasonKnown } from '../season'

/**
 * The plans of the demo's sixteen lawns, and of all programmes on each, as they stood before the house was rebuilt. What
 * differs since is argued in docs/decisions.
 */
const read = (name: string): unknown => JSON.parse(readFileSync(new URL(name, import.meta.url), 'utf8'))

interface Kept {
  firm: Omit<FirmRecord, 'planning'> & { planning: Parameters<typeof planningOf>[0] }
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
const { firm, lawns } = read('demoLawns.json') as Kept
const before = read('plansBefore.json') as Record<string, unknown>

const exact = (value: number) => Number(value.toPrecision(9))
const words = (phrase: Phrase): string =>
  phrase
    .map((part) => {
      if (typeof part === 'string') return part
      const rounded = Number(part.value.toPrecision(5))
      return 'quantity' in part ? `${rounded}${part.quantity}` : `${rounded}`
    })
    .join('')

const whole = (sequence: Sequence | undefined) =>
  sequence && {
    slips: sequence.slips.map((slip) => ({
      key: slip.key,
      name: slip.name,
      from: slip.from,
      to: slip.to,
      earliest: slip.earliest,
      latest: slip.latest,
      float: slip.floatWords,
      stand: slip.stand,
      done: slip.done,
      begun: slip.begun,
      pinned: slip.pinned,
      overdue: slip.overdue,
      hours: exact(slip.hours.value),
      settings: words(slip.settings),
      gates: slip.gates.map(
        ({ state, code, text, overruled }) =>
          `${state}${code ? `:${code}` : ''} ${words(text)}${overruled ? ` [${overruled}]` : ''}`,
      ),
      wanted: slip.wanted.map(({ matter, amount }) => `${matter} ${exact(amount)}`),
    })),
    skipped: sequence.skipped,
    crewHours: exact(sequence.crewHours),
    next: sequence.next?.key,
    troubles: sequence.troubles,
    moves: sequence.moves.map((move) => ({ ...move, why: words(move.why) })),
  }

function planned({ lawn, weather }: Kept['lawns'][number]) {
  const practice: FirmRecord = { ...firm, planning: planningOf(firm.planning) }
  const { forecast, brief, first } = weather
  const on =
    <T>(series: readonly T[]) =>
    (day: Day) =>
      series[daysBetween(first, day)]
  const glance = (sowOn: Day | null) => glanceOfBrief(brief, sowOn)
  const seen: SeasonKnown = {
    forecast,
    glance,
    soilOn: on(weather.soilC),
    groundOn: on(weather.groundLeft),
    fellOn: on(weather.rainMm),
  }
  const { schedule, settings, decision, price: estimate } = planJob(jobOf(lawn), lawn, practice, seen)
  return {
    plan: whole(schedule),
    settings,
    estimate: estimate && {
      crewHours: exact(estimate.crewHours.value),
      priceMinor: exact(estimate.priceMinor.value),
      seedKg: exact(estimate.seedKg),
      outOfUse: estimate.outOfUse.value,
      outFrom: estimate.outFrom,
      outTo: estimate.outTo,
      leadDays: estimate.leadDays,
    },
    leans: decision?.leans,
    zones: decision?.zones.map(({ zone, leans, verdicts }) => ({
      zone: zone.name,
      leans: leans?.programme,
      fits: PROGRAMME_CODES.filter((code) => verdicts[code].fits),
    })),
    waiting: decision?.waiting.next ?? decision?.waiting.window?.best,
    programmes: Object.fromEntries(
      PROGRAMME_CODES.map((code) => {
        const sowOn = addDays(practice.today, Math.max(30, leadDaysOf(code)))
        const trial = { ...jobOf(lawn), done: [], programme: code, sowOn, settings: null, work: NO_WORK }
        const { schedule: tried, price: cost } = planJob(trial, lawn, practice, { forecast, glance })
        return [
          code,
          tried && {
            slips: tried.slips.map(({ key, from, to, hours }) => `${key} ${from} ${to} ${exact(hours.value)}`),
            troubles: tried.troubles.length,
            price: cost && exact(cost.priceMinor.value),
            out: cost?.outOfUse.value,
          },
        ]
      }),
    ),
  }
}

describe('plans as they stood before the rebuild', () => {
  test.each(lawns.map((one) => [one.lawn.client, one] as const))('%s', (client, one) => {
    expect(JSON.parse(JSON.stringify(planned(one)))).toEqual(before[client])
  })
})
