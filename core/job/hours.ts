import { say, type Message } from '../explain/message'
import { figure } from '../measure/figure'
import type { Worked, WorkingLine } from '../explain/working'
import { sourceOf, type Planning } from './planningFigures'

/** m²/h a pass. @source own, editable planning figures */
export const WORK_RATES_M2_PER_H = {
  scalp: 900,
  dethatch: 600,
  core: 1400,
  slit: 700,
  broadcast: 2500,
  rake: 250,
  cover: 200,
  inspect: 2500,
  spray: 1500,
  roll: 1500,
  level: 120,
  fork: 15,
  till: 150,
  fleece: 400,
} as const

const SET_UP_H = 0.25

export interface Pass {
  what: Message
  passes: number
  rateM2PerH: number
}

/** Crew hours of an operation: its passes over the area, and setting up. @returns h */
export function crewHours(title: Message, areaM2: number, passes: readonly Pass[]): Worked {
  const lines: WorkingLine[] = []
  let value = SET_UP_H
  for (const { what, passes: count, rateM2PerH } of passes) {
    const hours = (areaM2 * count) / rateM2PerH
    value += hours
    lines.push(
      {
        what: say('price.area', { what }),
        value: figure('areaM2', areaM2),
        source: { kind: 'user', text: say('price.look') },
      },
      { operator: '×', what: say('price.passes'), value: figure('count', count) },
      {
        operator: '÷',
        what: say('price.workRate'),
        value: figure('areaRateM2PerH', rateM2PerH),
        source: { kind: 'own', text: say('price.aPassOnePerson') },
      },
      { operator: '=', what, value: figure('hours', hours), subtotal: true },
    )
  }
  lines.push(
    {
      operator: '+',
      what: say('price.setUp'),
      value: figure('hours', SET_UP_H),
      source: { kind: 'own', text: say('price.n15MinAMachine') },
    },
    { operator: '=', what: say('price.crewHours'), value: figure('hours', value), subtotal: true },
  )
  return {
    value,
    working: { title, result: figure('hours', value), formula: say('price.areaPassesWorkRate'), lines },
  }
}

/** Crew hours of visits that are all alike, by what the firm reckons for one. @returns h */
export function visitHours(title: Message, visits: number, planning: Planning): Worked {
  const value = visits * planning.roundHours
  return {
    value,
    working: {
      title,
      result: figure('hours', value),
      formula: say('price.visitsByHours'),
      lines: [
        { what: say('price.visits'), value: figure('count', visits) },
        {
          operator: '×',
          what: say('price.hoursOfAVisit'),
          value: figure('hours', planning.roundHours),
          source: sourceOf('roundHours', planning),
        },
        { operator: '=', what: say('price.crewHours'), value: figure('hours', value), subtotal: true },
      ],
    },
  }
}

/** Hours as somebody entered them. */
export const hoursAsEntered = (title: Message, value: number): Worked => ({
  value,
  working: {
    title,
    result: figure('hours', value),
    formula: say('price.asEntered'),
    lines: [
      {
        what: say('price.crewHours'),
        value: figure('hours', value),
        source: { kind: 'user', text: say('price.ownWork') },
      },
    ],
  },
})

/** How fast a firm really is at an operation, from what was marked done. */
export interface Pace {
  m2PerCrewH: number
  jobs: number
}

/** Jobs from which on the firm's own pace counts more than ours. @source own */
export const PACE_FROM_JOBS = 3

/**
 * Crew hours by the firm's own pace, where it has one; those of the work rates otherwise. @param areaM2 ground that
 * is worked on
 */
export function pacedHours(hours: Worked, areaM2: number, pace: Pace | undefined): Worked {
  if (!pace || pace.jobs < PACE_FROM_JOBS || !(pace.m2PerCrewH > 0) || !(areaM2 > 0)) return hours
  const value = areaM2 / pace.m2PerCrewH
  return {
    value,
    working: {
      title: hours.working.title,
      result: figure('hours', value),
      formula: say('price.areaTheFirmsOwn'),
      lines: [
        {
          what: say('price.area2'),
          value: figure('areaM2', areaM2),
          source: { kind: 'user', text: say('price.look') },
        },
        {
          operator: '÷',
          what: say('price.paceTheMiddleOf', { jobs: pace.jobs }),
          value: figure('areaRateM2PerH', pace.m2PerCrewH),
          source: { kind: 'user', text: say('price.hoursMarkedDoneSet') },
        },
        { operator: '=', what: say('price.crewHours'), value: figure('hours', value), subtotal: true },
        {
          what: say('price.byOurWorkRates'),
          value: figure('hours', hours.value),
          source: { kind: 'own', text: say('price.workRates') },
        },
      ],
    },
  }
}
