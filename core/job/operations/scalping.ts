import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import type { Part } from '../parts'
import type { Worked } from '../../explain/working'

const MOST_CUTS = 4
const DAYS_BETWEEN = 2

export interface ScalpSteps {
  /** Heights after each cut, mm, falling. */
  heightsMm: number[]
  /** Days from the first cut to the last. */
  spanDays: number
  /** More than a third comes off in a cut, because four cuts are not enough. */
  severe: boolean
}

/**
 * Heights of the cuts from the present height to the lowest, each taking about a third, two to four cuts.
 * @source trade: step by step, two to four cuts
 */
export function scalpSteps(presentMm: number, lowestMm: number): ScalpSteps {
  if (!(presentMm > 0) || !(lowestMm > 0)) throw new RangeError('Mowing heights have to be above zero.')
  if (presentMm <= lowestMm) return { heightsMm: [presentMm], spanDays: 0, severe: false }
  const wanted = Math.ceil(Math.log(presentMm / lowestMm) / Math.log(1.5) - 1e-9)
  const cuts = Math.min(MOST_CUTS, Math.max(1, wanted))
  const ratio = (lowestMm / presentMm) ** (1 / cuts)
  const heightsMm = Array.from({ length: cuts }, (_, i) => (i === cuts - 1 ? lowestMm : presentMm * ratio ** (i + 1)))
  return { heightsMm, spanDays: (cuts - 1) * DAYS_BETWEEN, severe: wanted > MOST_CUTS }
}

/** Loose clippings of a scalp. @returns m³ @source own: 2.25 m³ on 1,000 m² for 50 mm taken off */
export function clippings(areaM2: number, presentMm: number, lowestMm: number): Worked {
  const takenMm = Math.max(0, presentMm - lowestMm)
  const value = (areaM2 / 1000) * 2.25 * (takenMm / 50)
  return {
    value,
    working: {
      title: say('operations.clippingsToHaulOff'),
      result: figure('volumeM3', value, 2),
      formula: say('operations.areaHeightTakenOff'),
      lines: [
        {
          what: say('operations.area'),
          value: figure('areaM2', areaM2),
          source: { kind: 'user', text: say('operations.look') },
        },
        { operator: '×', what: say('operations.heightTakenOff'), value: figure('depthMm', takenMm) },
        {
          operator: '×',
          what: say('operations.looseVolumeOf1'),
          value: figure('volumeM3', 2.25),
          source: { kind: 'own', text: say('operations.n15To3') },
        },
        { operator: '=', what: say('operations.clippings'), value: figure('volumeM3', value, 2), subtotal: true },
      ],
    },
  }
}

/** Days between the first cut of the part that takes most of them and the last. */
export function scalpSpanDays(parts: readonly Part[]): number {
  return Math.max(
    ...parts.map(({ survey, settings }) => scalpSteps(survey.mowingHeightMm, settings.scalpToMm).spanDays),
  )
}
