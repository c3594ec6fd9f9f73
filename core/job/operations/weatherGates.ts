import { say } from '../../explain/message'
import type { ForecastDay } from '../../weather/weather'
import type { Source } from '../../explain/working'
import { addDays, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Definition } from './definition'
import { forecastGates, gate, OWN, SCORCH_C } from './putDownGates'

/** What is known of the weather about a day. */
export interface Sky {
  forecast: readonly ForecastDay[]
  /** Rain that fell on a day that is past, mm, as far as it was observed. */
  fellOn?: (day: Day) => number | null | undefined
}

/**
 * Rain of the day, and of the day before, from which grass and surface are taken to be wet, mm. @source own; dry
 * surface is trade
 */
const WET = { dayMm: 1, beforeMm: 6 } as const

/**
 * What the forecast says to work on grass that has to be dry, and not torn in a heat wave.
 * @returns none where the forecast does not reach the day, or the work does not mind
 */
function surfaceGates({ wantsDry, scorches }: Definition, on: Day, { forecast, fellOn }: Sky): Gate[] {
  const told = forecast.find(({ day }) => day === on)
  if (!told || !wantsDry) return []
  const yesterday = addDays(on, -1)
  const beforeMm = forecast.find(({ day }) => day === yesterday)?.rainMm ?? fellOn?.(yesterday) ?? 0
  const gates =
    told.rainMm >= WET.dayMm
      ? [
          gate(
            'surface',
            'hold',
            OWN(say('operations.holdAt004In')),
            say('operations.ofRainThatDayWet', { rainMm: figure('waterMm', told.rainMm) }),
          ),
        ]
      : beforeMm >= WET.beforeMm
        ? [
            gate(
              'surface',
              'risk',
              OWN(say('operations.in6MmThe')),
              say('operations.ofRainTheDay', { beforeMm: figure('waterMm', beforeMm) }),
            ),
          ]
        : [gate('surface', 'met', OWN(say('operations.noRainOnThe')), say('operations.surfaceDryByThe'))]
  if (scorches && told.tmaxC >= SCORCH_C)
    gates.push(
      gate(
        'heat',
        'hold',
        OWN(say('operations.holdAt95F')),
        say('operations.heatOfTornTurf', { tmaxC: figure('tempC', told.tmaxC, 2) }),
      ),
    )
  return gates
}

/** Air at night under which turf is stiff with frost in the morning, °C; and rain in two days that leaves ground sodden, mm. @source own */
const FROZEN_C = -1
const SODDEN_MM = 25

/** Frozen leaves break under feet and wheels, and sodden ground gives way. @source turf handbooks */
function trafficGates({ mark }: Definition, on: Day, { forecast, fellOn }: Sky): Gate[] {
  const told = forecast.find(({ day }) => day === on)
  if (!told || mark === 'call') return []
  const source: Source = { kind: 'mem', text: say('operations.noTrafficOnFrozen') }
  if (told.tminC <= FROZEN_C)
    return [gate('frozen', 'risk', source, say('operations.frozenTurf', { tminC: figure('tempC', told.tminC, 2) }))]
  const yesterday = addDays(on, -1)
  const wetMm = told.rainMm + (forecast.find(({ day }) => day === yesterday)?.rainMm ?? fellOn?.(yesterday) ?? 0)
  const heavy = mark === 'cut' || mark === 'machine'
  return heavy && wetMm >= SODDEN_MM
    ? [gate('sodden', 'hold', source, say('operations.soddenTurf', { wetMm: figure('waterMm', wetMm) }))]
    : []
}

/** What the weather about a day says to an operation: to what it puts down, or to the surface it works on. */
export function skyGates(operation: Definition, on: Day, sky: Sky): Gate[] {
  const puts = operation.putsDown
  const own = puts ? forecastGates(puts, on, sky.forecast) : surfaceGates(operation, on, sky)
  return [...own, ...trafficGates(operation, on, sky)]
}
