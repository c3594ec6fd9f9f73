import { figure } from '../quantity/figure'
import { shortDay, type Day } from '../quantity/calendar'
import type { Working } from '../quantity/working'

export interface SoilNow {
  /** The probe's reading, where there is one of today or yesterday. */
  probe?: { tempC: number; at: string }
  modelC: number
  stationName: string
  /** Last observed day; null for none. */
  recordEnds: Day | null
}

/** How the soil temperature on the ledge came about. */
export function soilWorking({ probe, modelC, stationName, recordEnds }: SoilNow): Working {
  const nowC = probe?.tempC ?? modelC
  const modelled = {
    what: 'Modelled at 2 in (50 mm), mean of the day', value: figure('tempC', modelC),
    source: { kind: 'computed' as const, text: `heat conduction from ${stationName}${recordEnds ? `, days to ${shortDay(recordEnds)}` : ', normals only'}` },
  }
  return {
    title: 'Soil now', result: figure('tempC', nowC),
    formula: probe ? 'The probe is read; the line beside it is modelled and not yet corrected by it.' : 'No probe: heat conducted down from air and sun, hour by hour.',
    lines: probe
      ? [
          { what: `Probe, ${probe.at.slice(11)}`, value: figure('tempC', probe.tempC), source: { kind: 'user', text: 'probe at 2 in (50 mm)' }, subtotal: true },
          modelled,
          { operator: '−', what: 'Probe against the model', value: figure('tempStepK', probe.tempC - modelC), source: { kind: 'computed', text: 'a morning reading lies below the mean of its day' } },
        ]
      : [modelled],
    fieldCheck: 'Push a thermometer 2 in (50 mm) into the turf between 8 and 10 in the morning and compare.',
  }
}
