import { figure } from '../measure/figure'
import { shortDay, type Day } from '../measure/calendar'
import type { Working, WorkingLine } from '../explain/working'
import type { JudgedReading } from './probe'

export interface SoilNow {
  /** The last reading of today or yesterday. */
  reading?: JudgedReading
  /** K by which all readings so far move today. */
  correctionK: number
  /** Mean of today with that in it, °C. */
  nowC: number
  stationName: string
  /** Last observed day; null for none. */
  recordEnds: Day | null
}

/** How the soil temperature on the ledge came about. */
export function soilWorking({ reading, correctionK, nowC, stationName, recordEnds }: SoilNow): Working {
  const modelled: WorkingLine = {
    what: 'Modelled at 2 in (50 mm), mean of today',
    value: figure('tempC', nowC - correctionK),
    source: {
      kind: 'computed',
      text: `heat conduction from ${stationName}${recordEnds ? `, days to ${shortDay(recordEnds)}` : ', normals only'}`,
    },
  }
  const read: WorkingLine[] = reading
    ? [
        {
          what: `Probe, ${shortDay(reading.at.slice(0, 10) as Day)} ${reading.at.slice(11)}`,
          value: figure('tempC', reading.tempC),
          source: {
            kind: 'user',
            text: `reading at ${Math.round(reading.depthMm)} mm${reading.used ? '' : ', questioned and left out'}`,
          },
        },
        {
          operator: '−',
          what: 'Modelled at its depth and hour',
          value: figure('tempC', reading.modelC),
          source: { kind: 'computed', text: 'the same conduction, under the station' },
        },
      ]
    : []
  return {
    title: 'Soil now',
    result: figure('tempC', nowC),
    formula: correctionK
      ? 'The model, moved by what probes said: a Kalman filter on an offset that fades in ten days.'
      : `${reading ? 'The reading is left out' : 'No probe'}: heat conducted down from air and sun, hour by hour.`,
    lines: correctionK
      ? [
          ...read,
          modelled,
          {
            operator: '+',
            what: 'What the readings so far move it by',
            value: figure('tempStepK', correctionK),
            source: { kind: 'own', text: 'model good to 1.5 K, a reading to 0.7 K' },
          },
          { operator: '=', what: 'Soil now, mean of today', value: figure('tempC', nowC), subtotal: true },
        ]
      : [...read, modelled],
    fieldCheck: 'Push a thermometer 2 in (50 mm) into the turf between 8 and 10 in the morning and note what it reads.',
  }
}
