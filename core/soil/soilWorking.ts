import { say, shortDay } from '../explain/message'
import { figure } from '../measure/figure'
import type { Day } from '../measure/calendar'
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
    what: say('soil.modelledAt2In'),
    value: figure('tempC', nowC - correctionK),
    source: {
      kind: 'computed',
      text: recordEnds
        ? say('soil.heatConductionTo', { stationName, recordEnds: shortDay(recordEnds) })
        : say('soil.heatConductionNormals', { stationName }),
    },
  }
  const read: WorkingLine[] = reading
    ? [
        {
          what: say('soil.probe', { at: shortDay(reading.at.slice(0, 10) as Day), at2: reading.at.slice(11) }),
          value: figure('tempC', reading.tempC),
          source: {
            kind: 'user',
            text: say('soil.readingAtMmQuestioned', {
              depthMm: Math.round(reading.depthMm),
              hasUsed: Boolean(reading.used),
            }),
          },
        },
        {
          operator: '−',
          what: say('soil.modelledAtItsDepth'),
          value: figure('tempC', reading.modelC),
          source: { kind: 'computed', text: say('soil.theSameConductionUnder') },
        },
      ]
    : []
  return {
    title: say('soil.soilNow'),
    result: figure('tempC', nowC),
    formula: correctionK ? say('soil.theModelMovedBy') : say('soil.theReadingIsLeft', { hasReading: Boolean(reading) }),
    lines: correctionK
      ? [
          ...read,
          modelled,
          {
            operator: '+',
            what: say('soil.whatTheReadingsSo'),
            value: figure('tempStepK', correctionK),
            source: { kind: 'own', text: say('soil.modelGoodTo1') },
          },
          { operator: '=', what: say('soil.soilNowMeanOf'), value: figure('tempC', nowC), subtotal: true },
        ]
      : [...read, modelled],
    fieldCheck: say('soil.pushAThermometer2'),
  }
}
