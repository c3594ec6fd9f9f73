import { createEvents, type DateArray, type EventAttributes } from 'ics'
import { addDays, type Day } from '#core/measure/calendar'
import type { PhasePlan, WateringProgramme, ZoneWatering } from '#core/water/programme'
import { HERE, type Reader } from './words'

interface CalendarOf {
  sowOn: Day
  jobId: string
  place: string
  /** How long a zone runs, in words. */
  minutesOf: (run: ZoneWatering['run']) => string
  /** Who reads it; whoever sits at the screen where left out. */
  reader?: Reader
}

const dateOf = (day: Day): [number, number, number] => {
  const [year, month, date] = day.split('-').map(Number)
  return [year!, month!, date!]
}
/** Who waters needs some minutes, however short the sprinkler runs. */
const LEAST_MINUTES = 10
/** The last phase is told for so long. */
const LAST_PHASE_DAYS = 28

/** Hours of a phase at which anything is watered, with what runs then. */
function turnsOf({ zones }: PhasePlan): [hour: number, zones: ZoneWatering[]][] {
  const hours = [...new Set(zones.flatMap(({ cycles }) => cycles.map(({ hour }) => hour)))].sort((a, b) => a - b)
  return hours.map((hour) => [hour, zones.filter(({ cycles }) => cycles.some((cycle) => cycle.hour === hour))])
}

/** Each watering of a phase comes back on its days, by the clock of whoever reads it. */
function watering(
  phase: PhasePlan,
  { sowOn, jobId, place, minutesOf, reader: { t } = HERE }: CalendarOf,
): EventAttributes[] {
  const from = Math.round(phase.from.middle)
  const days = phase.to ? Math.round(phase.to.middle) - from : LAST_PHASE_DAYS
  const count = Math.ceil(days / phase.everyDays)
  if (count < 1) return []
  return turnsOf(phase).map(([hour, zones]) => ({
    uid: `${jobId}-${phase.code}-${hour}@upper-sill`,
    title: t('water.icsWater'),
    location: place,
    description: [
      ...zones.map(({ name, run }) => t('water.icsZone', { zone: name, minutes: minutesOf(run) })),
      t('water.icsRain'),
    ].join('\n'),
    start: [...dateOf(addDays(sowOn, from)), hour, 0] as DateArray,
    startInputType: 'local' as const,
    startOutputType: 'local' as const,
    duration: {
      minutes: Math.max(LEAST_MINUTES, Math.round(zones.reduce((sum, { run }) => sum + (run?.minutes ?? 0), 0))),
    },
    recurrenceRule: `FREQ=DAILY;INTERVAL=${phase.everyDays};COUNT=${count}`,
  }))
}

/** The client's sheet as events that calendar programs read: each watering, and what to expect when. @throws Error where none can be made of it */
export function sheetCalendar(programme: WateringProgramme, of: CalendarOf): string {
  const { t } = of.reader ?? HERE
  const allDay = (code: string, title: string, days: number): EventAttributes => ({
    uid: `${of.jobId}-${code}@upper-sill`,
    title,
    location: of.place,
    start: dateOf(addDays(of.sowOn, Math.round(days))),
    duration: { days: 1 },
  })
  const { error, value } = createEvents(
    [
      ...programme.phases.flatMap((phase) => watering(phase, of)),
      allDay('up', t('water.icsUp'), programme.up.middle),
      allDay('mow', t('water.icsMow'), programme.mow.middle),
      allDay('use', t('water.icsUse'), programme.fourthMow.middle),
    ],
    { calName: t('water.icsName', { address: of.place }), productId: 'upper-sill' },
  )
  if (error || !value) throw error ?? new Error('No calendar.')
  return value
}
