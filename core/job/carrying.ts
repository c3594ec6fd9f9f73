import { say, type Message } from '../explain/message'
import type { Worked, WorkingLine } from '../explain/working'
import { figure } from '../measure/figure'

/** The way from where a load is tipped, or a truck stands, to the lawn. */
export interface Way {
  /** One way, m; null where nobody measured. */
  distanceM: number | null
  steps: number
}
export const SHORT_WAY: Way = { distanceM: null, steps: 0 }

/** m³ a trip. @source own */
export const LOADS_M3 = { barrow: 0.08, bucket: 0.012 } as const
/** Filling and emptying, minutes a trip. @source own: 1.2 m³/h by barrow over a short way */
const HANDLING_MIN = { barrow: 3.4, bucket: 0.8 } as const
/** Walking, m a minute; and what a step takes, there and back. @source own */
const WALK_M_PER_MIN = 50
const STEP_MIN = 0.05
/** A way nobody measured, m. @source own */
const SHORT_M = 12
/** A barrow is not taken over more steps. @source own */
const MOST_BARROW_STEPS = 3

/** How loads go over a way: by barrow, or by bucket where there are steps. */
export const meansOver = ({ steps }: Way): keyof typeof LOADS_M3 => (steps > MOST_BARROW_STEPS ? 'bucket' : 'barrow')

/** Trips that a volume takes over a way. */
export const tripsFor = (volumeM3: number, way: Way): number =>
  volumeM3 > 0 ? Math.ceil(volumeM3 / LOADS_M3[meansOver(way)] - 1e-9) : 0

/**
 * Hours with those of carrying a volume over a way added: trips of a barrow, or of a bucket where there are steps.
 * @param volumeM3 loose
 * @source own planning figures
 */
export function carriedHours(hours: Worked, what: Message, volumeM3: number, way: Way): Worked {
  if (!(volumeM3 > 0)) return hours
  const means = meansOver(way)
  const trips = tripsFor(volumeM3, way)
  const distanceM = way.distanceM ?? SHORT_M
  const tripMin = HANDLING_MIN[means] + (2 * distanceM) / WALK_M_PER_MIN + way.steps * STEP_MIN
  const added = (trips * tripMin) / 60
  const value = hours.value + added
  const source = { kind: 'own', text: say('price.carryingFigures') } as const
  const lines: WorkingLine[] = [
    { what, value: figure('volumeM3', volumeM3) },
    { operator: '÷', what: say('price.loadOf', { means }), value: figure('volumeM3', LOADS_M3[means], 2), source },
    { operator: '=', what: say('price.trips'), value: figure('count', trips), subtotal: true },
    {
      operator: '×',
      what: say('price.minutesATrip', { distance: figure('distanceM', distanceM), steps: way.steps }),
      value: figure('minutes', tripMin),
      source: way.distanceM === null ? source : { kind: 'user', text: say('price.lookAccess') },
    },
    { operator: '=', what: say('price.carrying'), value: figure('hours', added), subtotal: true },
  ]
  return {
    value,
    working: {
      ...hours.working,
      result: figure('hours', value),
      formula: say('price.areaPassesWorkRateSet'),
      lines: [
        ...hours.working.lines,
        ...lines,
        { operator: '=', what: say('price.crewHours'), value: figure('hours', value), subtotal: true },
      ],
    },
  }
}
