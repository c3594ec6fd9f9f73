import type { ForecastDay } from '../../weather/weather'
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
            OWN('hold at 0.04 in (1 mm) on the day'),
            figure('waterMm', told.rainMm),
            ' of rain that day: wet grass clogs and tears',
          ),
        ]
      : beforeMm >= WET.beforeMm
        ? [
            gate(
              'surface',
              'risk',
              OWN('¼ in (6 mm) the day before'),
              figure('waterMm', beforeMm),
              ' of rain the day before: begin late, or blow it dry',
            ),
          ]
        : [gate('surface', 'met', OWN('no rain on the day'), 'surface dry by the forecast')]
  if (scorches && told.tmaxC >= SCORCH_C)
    gates.push(
      gate(
        'heat',
        'hold',
        OWN('hold at 95 °F (35 °C)'),
        'heat of ',
        figure('tempC', told.tmaxC, 2),
        ': torn turf burns',
      ),
    )
  return gates
}

/** What the weather about a day says to an operation: to what it puts down, or to the surface it works on. */
export function skyGates(operation: Definition, on: Day, sky: Sky): Gate[] {
  const puts = operation.putsDown
  return puts ? forecastGates(puts, on, sky.forecast) : surfaceGates(operation, on, sky)
}
