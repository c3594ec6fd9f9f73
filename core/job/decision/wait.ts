import { lowered, say, shortDay } from '../../explain/message'
import type { DatedWindow } from '../../establishment/window'
import { addDays, dayOfYear, latestOf, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Application } from '../../site/survey'
import { barrierUntil, type ZoneDecision } from './decide'
import { sourceOf, type Planning } from '../planningFigures'
import { someIn } from '../operations/registry'
import { PROGRAMMES, type ProgrammeCode } from './programmes'
import type { Practices } from './practices'

/** Days from today within which a window is one to plan for now. @source own */
export const PLAN_AHEAD_DAYS = 120
/** Looked at again after so long where no end can be told. @source own */
const LOOK_AGAIN_DAYS = 14
/** Scalped, torn and cored, a machine a day, before its sowing, days. @source own */
const TEAR_LEAD_DAYS = 3
/**
 * From the first spray of a killing to its sowing, days: regrowth, the label interval, the cuts of the scalp. @source
 * own
 */
const KILL_LEAD_DAYS = 26

export interface WaitInput {
  programme: ProgrammeCode
  zones: readonly Pick<ZoneDecision, 'waits' | 'zone'>[]
  applications: readonly Application[]
  /** Asked, and nothing was put on that is known of. */
  nothingPutOn: boolean
  today: Day
  latDeg: number
  /** Windows of sowing ahead, in order, and of growth. */
  windows: readonly DatedWindow[]
  growing: readonly DatedWindow[]
  years: number
  /** Rain of the last four weeks against the usual. */
  rainShare: number | null
  irrigated: boolean
  restriction: { kind: string | null; until: Day | null }
  season: Practices['season']
  planning: Planning
  /** Whether what is sown will live here. */
  lasting?: Gate | undefined
}

/** Whether a programme can be begun now, and if not, when. */
export interface Waiting {
  /** What holds, in the order in which it weighs; empty where nothing does. */
  holds: Gate[]
  /** What was looked at and does not hold. */
  clear: Gate[]
  /** The window to plan for; undefined where none is open within the months ahead. */
  window?: DatedWindow
  /** First day on which seed may go down as things stand; undefined while it depends on a cause. */
  next?: Day
  /** A stop that no note can overrule: law or label. */
  binding: boolean
}

const autumnal = (day: Day, latDeg: number): boolean => dayOfYear(day) > 182 === latDeg >= 0

/** Windows of the season the practice holds to. */
export const inSeason = (windows: readonly DatedWindow[], season: Practices['season'], latDeg: number): DatedWindow[] =>
  windows.filter(({ best }) => season === 'by window' || autumnal(best, latDeg) === (season === 'autumn'))

/** Days of work before sowing that cannot be hurried. */
export const leadDaysOf = (programme: ProgrammeCode): number =>
  programme === 'kill'
    ? KILL_LEAD_DAYS
    : someIn(PROGRAMMES[programme], ({ tearsTurf }) => tearsTurf)
      ? TEAR_LEAD_DAYS
      : 0

function barrier(
  { applications, nothingPutOn, today, windows }: WaitInput,
  horizon: Day,
): { gate: Gate; clear: Day; holds: boolean } {
  const { clear, by } = barrierUntil(applications, today)
  if (!by) {
    return {
      clear,
      holds: false,
      gate: applications.length
        ? {
            state: 'met',
            text: say('rules.everyLabelIntervalHas'),
            source: { kind: 'user', text: say('rules.lookPutOnBefore') },
          }
        : nothingPutOn
          ? {
              state: 'met',
              text: say('rules.askedNothingWasPut'),
              source: { kind: 'user', text: say('rules.lookPutOnBefore') },
            }
          : {
              state: 'waiting',
              text: say('rules.nothingIsWrittenDown'),
              source: { kind: 'user', text: say('rules.lookPutOnBefore') },
            },
    }
  }
  const source = {
    kind: 'user',
    text: say('rules.labelWaitOfDays', { ingredient: by.ingredient, waitDays: by.waitDays }),
  } as const
  const holds = !windows.some((w) => w.to >= clear && w.from <= horizon)
  const text = say('rules.keepsSeedFromGrowing', { ingredient: by.ingredient, clear: shortDay(clear, today) })
  return {
    clear,
    holds,
    gate: holds
      ? { state: 'hold', text: say('rules.barrierActive', { text }), source }
      : { state: 'met', text: say('rules.theWindowReachesPast', { text }), source },
  }
}

function windowGate(input: WaitInput, usable: DatedWindow | undefined, next: DatedWindow | undefined): Gate {
  const source = { kind: 'computed', text: say('rules.weatherYearsSoilAnd', { years: input.years }) } as const
  if (usable)
    return {
      state: 'met',
      text: say('rules.windowToSeedingBest', {
        from: shortDay(usable.from, input.today),
        to: shortDay(usable.to, input.today),
        anchor: PROGRAMMES[input.programme].anchor,
        of100: usable.chance.of100,
      }),
      source,
    }
  if (!next && input.windows.length)
    return {
      state: 'hold',
      text: say('rules.theWindowsOfThe', { name: lowered(PROGRAMMES[input.programme].name) }),
      source,
    }
  if (!next)
    return {
      state: 'hold',
      text: say('rules.noDayOfThe'),
      source,
    }
  return { state: 'hold', text: say('rules.outsideEveryWindowThe', { from: shortDay(next.from, input.today) }), source }
}

function drought({ rainShare, irrigated, restriction, planning, today }: WaitInput): { gates: Gate[]; until?: Day } {
  if (restriction.kind === 'ban' && (!restriction.until || restriction.until >= today)) {
    const until = restriction.until ? addDays(restriction.until, 1) : addDays(today, LOOK_AGAIN_DAYS)
    return {
      until,
      gates: [
        {
          state: 'hold',
          text: restriction.until
            ? say('rules.wateringIsBannedUntil', { until: shortDay(restriction.until, today) })
            : say('rules.wateringIsBannedAsk', { until: shortDay(until, today) }),
          source: { kind: 'user', text: say('rules.lookWatering') },
        },
      ],
    }
  }
  if (rainShare === null || rainShare >= planning.droughtRain || irrigated) return { gates: [] }
  const until = addDays(today, LOOK_AGAIN_DAYS)
  return {
    until,
    gates: [
      {
        state: 'hold',
        text: say('rules.droughtOfTheUsual', {
          rainShare: figure('share', rainShare, 2),
          until: shortDay(until, today),
        }),
        source: sourceOf('droughtRain', planning),
      },
    ],
  }
}

/** The last of some days. */

/**
 * Whether a programme can be planned for now, or has to wait: for a label, a season, rain, or a cause to be removed.
 * @source trade and turf handbooks
 */
export function waitOf(input: WaitInput): Waiting {
  const { programme, today } = input
  const horizon = addDays(today, PLAN_AHEAD_DAYS)
  const seeded = PROGRAMMES[programme].anchor === 'seeding'
  const windows = seeded ? inSeason(input.windows, input.season, input.latDeg) : [...input.growing]
  const label = barrier({ ...input, windows }, horizon)
  const dry = drought(input)
  const ready = latestOf([
    today,
    addDays(today, leadDaysOf(programme)),
    ...(seeded ? [label.clear] : []),
    ...(dry.until ? [dry.until] : []),
  ])
  const open = windows.find((w) => w.from <= horizon && w.to >= ready)
  const later = windows.find((w) => w.to >= ready)
  const season = windowGate(
    { ...input, windows },
    windows.find((w) => w.from <= horizon && w.to >= addDays(today, leadDaysOf(programme))),
    later,
  )
  const causes = seeded
    ? input.zones.flatMap(({ waits, zone }) =>
        waits.map((gate): Gate =>
          input.zones.length > 1 ? { ...gate, text: say('rules.text', { name: zone.name, text: gate.text }) } : gate,
        ),
      )
    : []
  const gates = [...causes, ...(seeded ? [label.gate] : []), ...dry.gates, season]
  const holds = gates.filter(({ state }) => state === 'hold')
  const opening = later && (later.from > ready ? later.from : ready)
  return {
    holds,
    clear: [...gates.filter(({ state }) => state !== 'hold'), ...(input.lasting ? [input.lasting] : [])],
    binding: seeded && label.holds,
    ...(open && !holds.length ? { window: open } : {}),
    // A cause has no date: no window waits for ground that gets too little light.
    ...(opening && !causes.length ? { next: opening } : {}),
  }
}
