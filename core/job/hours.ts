import { figure } from '../measure/figure'
import type { Worked, WorkingLine } from '../explain/working'

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
  fleece: 400,
  /** m³/h, not m². */
  barrowM3PerH: 1.2,
} as const

const SET_UP_H = 0.25

export interface Pass {
  what: string
  passes: number
  rateM2PerH: number
}

/** Crew hours of an operation: its passes over the area, and setting up. @returns h */
export function crewHours(title: string, areaM2: number, passes: readonly Pass[]): Worked {
  const lines: WorkingLine[] = []
  let value = SET_UP_H
  for (const { what, passes: count, rateM2PerH } of passes) {
    const hours = (areaM2 * count) / rateM2PerH
    value += hours
    lines.push(
      { what: `${what}: area`, value: figure('areaM2', areaM2), source: { kind: 'user', text: 'Look' } },
      { operator: '×', what: 'Passes', value: figure('count', count) },
      {
        operator: '÷',
        what: 'Work rate',
        value: figure('areaRateM2PerH', rateM2PerH),
        source: { kind: 'own', text: 'a pass, one person' },
      },
      { operator: '=', what, value: figure('hours', hours), subtotal: true },
    )
  }
  lines.push(
    {
      operator: '+',
      what: 'Set-up',
      value: figure('hours', SET_UP_H),
      source: { kind: 'own', text: '15 min a machine' },
    },
    { operator: '=', what: 'Crew hours', value: figure('hours', value), subtotal: true },
  )
  return {
    value,
    working: { title, result: figure('hours', value), formula: 'Area × passes ÷ work rate, and set-up.', lines },
  }
}

/** Hours as somebody entered them. */
export const hoursAsEntered = (title: string, value: number): Worked => ({
  value,
  working: {
    title,
    result: figure('hours', value),
    formula: 'As entered.',
    lines: [{ what: 'Crew hours', value: figure('hours', value), source: { kind: 'user', text: 'own work' } }],
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
      formula: 'Area ÷ the firm’s own pace.',
      lines: [
        { what: 'Area', value: figure('areaM2', areaM2), source: { kind: 'user', text: 'Look' } },
        {
          operator: '÷',
          what: `Pace, the middle of ${pace.jobs} jobs`,
          value: figure('areaRateM2PerH', pace.m2PerCrewH),
          source: { kind: 'user', text: 'hours marked done, set-up included' },
        },
        { operator: '=', what: 'Crew hours', value: figure('hours', value), subtotal: true },
        {
          what: 'By our work rates it would be',
          value: figure('hours', hours.value),
          source: { kind: 'own', text: 'work rates' },
        },
      ],
    },
  }
}

/** Hours with those of moving a volume by barrow added. */
export function addedHours(hours: Worked, what: string, volumeM3: number, rateM3PerH: number): Worked {
  const added = volumeM3 / rateM3PerH
  const value = hours.value + added
  const { working } = hours
  return {
    value,
    working: {
      ...working,
      result: figure('hours', value),
      formula: 'Area × passes ÷ work rate, set-up, and the barrow.',
      lines: [
        ...working.lines,
        {
          operator: '+',
          what: `${what}: volume ÷ ${rateM3PerH} m³/h`,
          value: figure('hours', added),
          source: { kind: 'own', text: 'one barrow, short way' },
        },
        { operator: '=', what: 'Crew hours', value: figure('hours', value), subtotal: true },
      ],
    },
  }
}
