import type { Day } from '../measure/calendar'
import { figure } from '../measure/figure'
import type { Gate } from '../explain/judgement'
import type { Source } from '../explain/working'

export const SOIL_METHODS = ['Mehlich-3', 'Bray P1', 'Olsen', 'other'] as const
export type SoilMethod = (typeof SOIL_METHODS)[number]

/** A laboratory's report. Null is "not in it". */
export interface SoilTest {
  sampledOn: Day
  method: SoilMethod
  ph: number | null
  bufferPh: number | null
  pPpm: number | null
  kPpm: number | null
  /** 0-1 of dry soil. */
  organicShare: number | null
  note: string
}

/** Range a nutrient is wanted in, ppm, by the Mehlich-3 extract. @source turf handbooks */
export const MEHLICH_3_PPM = { p: [30, 50], k: [100, 150] } as const
/** @source turf handbooks */
export const PH_WANTED = [6, 7] as const

const REPORT_WINS: Source = { kind: 'mem', text: 'Mehlich-3 sufficiency; the report’s own recommendation wins' }

export type Supply = 'short' | 'enough' | 'high' | 'not known'

/** How a nutrient stands; other methods have other numbers, so those are left to the report. */
export function supplyOf(test: SoilTest | null, nutrient: 'p' | 'k'): Supply {
  const ppm = nutrient === 'p' ? test?.pPpm : test?.kPpm
  if (!test || test.method !== 'Mehlich-3' || ppm === null || ppm === undefined) return 'not known'
  const [low, high] = MEHLICH_3_PPM[nutrient]
  return ppm < low ? 'short' : ppm > high ? 'high' : 'enough'
}

/** What a report says of the seedbed, a line for each finding. */
export function judgeSoil(test: SoilTest): Gate[] {
  const gates: Gate[] = []
  if (test.ph !== null) {
    const [low, high] = PH_WANTED
    const wanted: Source = { kind: 'mem', text: 'pH 6.0 to 7.0 for cool-season lawns' }
    const ph = figure('ph', test.ph)
    gates.push(
      test.ph < low
        ? {
            state: 'risk',
            text: ['pH ', ph, ': sour. Lime by the report, in splits of 50 lb/1,000 ft² (244 g/m²) at the most.'],
            source: wanted,
          }
        : test.ph > high
          ? {
              state: 'risk',
              text: ['pH ', ph, ': above neutral. No lime; iron and phosphorus run short.'],
              source: wanted,
            }
          : { state: 'met', text: ['pH ', ph, ' suits grass.'], source: wanted },
    )
  }
  for (const [nutrient, name] of [
    ['p', 'Phosphorus'],
    ['k', 'Potassium'],
  ] as const) {
    const supply = supplyOf(test, nutrient)
    if (supply === 'not known') continue
    const ppm = figure('ppm', (nutrient === 'p' ? test.pPpm : test.kPpm)!)
    gates.push({
      state: supply === 'short' ? 'risk' : 'met',
      text:
        supply === 'short'
          ? [`${name} `, ppm, ` is short, ${MEHLICH_3_PPM[nutrient][0]} wanted.`]
          : [`${name} `, ppm, supply === 'high' ? ' is plenty: none goes on.' : ' is enough.'],
      source: REPORT_WINS,
    })
  }
  if (!gates.length)
    gates.push({
      state: 'waiting',
      text: ['Read the recommendation of the report: this method has numbers of its own.'],
    })
  return gates
}
