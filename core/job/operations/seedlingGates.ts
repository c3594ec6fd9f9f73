import { say } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { addDays, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Part } from '../parts'
import type { Definition } from './definition'
import type { Sky } from './weatherGates'

/** Nights and days in which dense seedlings rot, °C and mm. @source own: warm nights, wet leaves */
const DAMPING_OFF = { nightC: 18, dayC: 29, rainMm: 5 } as const
/** Night that takes seedlings of warm-season grass, °C. @source own */
const WARM_FROST_C = 2
/** Days of the forecast that are looked at from a visit on. */
const AHEAD_DAYS = 3

/** What the forecast means for seedlings that a visit looks at: rot in hot wet weather, frost on warm-season grass. */
export function seedlingGates(
  { forecast }: Pick<Sky, 'forecast'>,
  { watchesSeedlings }: Definition,
  on: Day,
  parts: readonly Part[],
): Gate[] {
  if (!watchesSeedlings) return []
  const days = forecast.filter(({ day }) => day >= on && day <= addDays(on, AHEAD_DAYS))
  const gates: Gate[] = []
  const rotting = days.find(
    ({ tminC, tmaxC, rainMm }) =>
      tminC >= DAMPING_OFF.nightC && (tmaxC >= DAMPING_OFF.dayC || rainMm >= DAMPING_OFF.rainMm),
  )
  if (rotting)
    gates.push({
      state: 'risk',
      code: 'damping',
      text: say('operations.dampingOff', { tminC: figure('tempC', rotting.tminC, 2) }),
      source: { kind: 'mem', text: say('operations.dampingOffFrom') },
    })
  const frost = days.find(({ tminC }) => tminC <= WARM_FROST_C)
  if (frost && parts.some(({ grass }) => grass.season === 'warm'))
    gates.push({
      state: 'risk',
      code: 'frost',
      text: say('operations.frostOnWarmSeedlings', { tminC: figure('tempC', frost.tminC, 2) }),
      source: { kind: 'own', text: say('operations.frostOnWarmSeedlingsFrom') },
    })
  return gates
}
