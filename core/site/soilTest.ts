import { say, type Message } from '../explain/message'
import { swardByCode, type SwardCode } from '../grass/swards'
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
/** Range of pH that most lawns are at ease in, and grasses of sourer soil. @source turf handbooks */
const PH_WANTED = [6, 7] as const
const SOUR: Readonly<Partial<Record<SwardCode, readonly [number, number]>>> = {
  CRF: [5.5, 6.5],
  CHF: [5.5, 6.5],
  HF: [5.5, 6.5],
  CBG: [5.5, 6.5],
  CEN: [5, 6],
}

/**
 * pH wanted by grasses that share a lawn: what suits all of them, or from the lowest to the highest where nothing does.
 * @param grasses none: as for most lawns
 */
export function phWanted(grasses: readonly SwardCode[]): readonly [number, number] {
  const ranges = grasses.map((code) => SOUR[code] ?? PH_WANTED)
  if (!ranges.length) return PH_WANTED
  const [low, high] = [Math.max(...ranges.map(([a]) => a)), Math.min(...ranges.map(([, b]) => b))]
  return low <= high ? [low, high] : [Math.min(...ranges.map(([a]) => a)), Math.max(...ranges.map(([, b]) => b))]
}

const REPORT_WINS: Source = { kind: 'mem', text: say('site.mehlich3SufficiencyThe') }

export type Supply = 'short' | 'enough' | 'high' | 'not known'

/** How a nutrient stands; other methods have other numbers, so those are left to the report. */
export function supplyOf(
  test: Partial<Pick<SoilTest, 'method' | 'pPpm' | 'kPpm'>> | null,
  nutrient: 'p' | 'k',
): Supply {
  const ppm = nutrient === 'p' ? test?.pPpm : test?.kPpm
  if (!test || test.method !== 'Mehlich-3' || ppm === null || ppm === undefined) return 'not known'
  const [low, high] = MEHLICH_3_PPM[nutrient]
  return ppm < low ? 'short' : ppm > high ? 'high' : 'enough'
}

/**
 * What a report says of the seedbed, a line for each finding.
 * @param grasses that are wanted there, or stand and stay
 */
export function judgeSoil(test: SoilTest, grasses: readonly SwardCode[] = []): Gate[] {
  const gates: Gate[] = []
  if (test.ph !== null) {
    const [low, high] = phWanted(grasses)
    const names: Message | Message[] = grasses.length
      ? [...new Set(grasses)].map((code) => swardByCode(code).name)
      : say('site.coolSeasonLawns')
    const wanted: Source = {
      kind: 'mem',
      text: say('site.phWantedFrom', { low: figure('ph', low), high: figure('ph', high), names }),
    }
    const ph = figure('ph', test.ph)
    gates.push(
      test.ph < low
        ? {
            state: 'risk',
            text: say('site.phSourLimeBy', { ph }),
            source: wanted,
          }
        : test.ph > high
          ? {
              state: 'risk',
              text: say('site.phAboveNeutralNo', { ph }),
              source: wanted,
            }
          : {
              state: 'met',
              text:
                test.ph < PH_WANTED[0]
                  ? say('site.phSuitsFescue', { ph, names })
                  : say('site.phSuitsGrass', { ph, names }),
              source: wanted,
            },
    )
  }
  for (const [nutrient, name] of [
    ['p', say('site.phosphorus')],
    ['k', say('site.potassium')],
  ] as const) {
    const supply = supplyOf(test, nutrient)
    if (supply === 'not known') continue
    const ppm = figure('ppm', (nutrient === 'p' ? test.pPpm : test.kPpm)!)
    gates.push({
      state: supply === 'short' ? 'risk' : 'met',
      text:
        supply === 'short'
          ? say('site.isShortWanted', { name, ppm, MEHLICH_3_PPM: MEHLICH_3_PPM[nutrient][0] })
          : say('site.highIsPlentyNone', { name, ppm, supply }),
      source: REPORT_WINS,
    })
  }
  if (!gates.length)
    gates.push({
      state: 'waiting',
      text: say('site.readTheRecommendationOf'),
    })
  return gates
}
