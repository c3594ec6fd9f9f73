import { say } from '../explain/message'
import { figure } from '../measure/figure'
import { G_PER_M2_PER_LB_PER_1000FT2, K_PER_K2O, P_PER_P2O5 } from '../measure/units'
import type { Worked } from '../explain/working'

/** Analysis on the bag: shares of N, P₂O₅ and K₂O by weight, 0-1. */
export interface FeedAnalysis {
  nShare: number
  p2o5Share: number
  k2oShare: number
}

/** Nitrogen at sowing or first feed, g/m². @source turf handbooks: 0.5-1 lb/1,000 ft², of soluble no more than 0.7 */
export const STARTER_N_G_PER_M2 = 0.7 * G_PER_M2_PER_LB_PER_1000FT2
/** Nitrogen in one go, g/m², at the most. @source turf handbooks */
export const MOST_N_G_PER_M2 = G_PER_M2_PER_LB_PER_1000FT2

export interface FeedNeed {
  product: Worked
  productRateGPerM2: number
  /** Delivered with it, g/m². */
  p2o5GPerM2: number
  k2oGPerM2: number
  pGPerM2: number
  kGPerM2: number
}

/** "18-24-12" → shares; undefined when it is not an analysis. */
export function parseAnalysis(text: string): FeedAnalysis | undefined {
  const parts = /^\s*(\d{1,2}(?:\.\d)?)\s*-\s*(\d{1,2}(?:\.\d)?)\s*-\s*(\d{1,2}(?:\.\d)?)\s*$/.exec(text)
  if (!parts) return undefined
  const [nShare, p2o5Share, k2oShare] = parts.slice(1).map((part) => Number(part) / 100) as [number, number, number]
  return nShare > 0 && nShare + p2o5Share + k2oShare <= 1 ? { nShare, p2o5Share, k2oShare } : undefined
}

/** "18-24-12" of shares, written alike however it was typed. */
export const analysisText = ({ nShare, p2o5Share, k2oShare }: FeedAnalysis): string =>
  [nShare, p2o5Share, k2oShare].map((share) => Math.round(share * 1000) / 10).join('-')

/**
 * Feed by its nitrogen.
 * @throws RangeError without nitrogen in the bag, or above 1 lb N/1,000 ft² in one go
 */
export function feedNeed(areaM2: number, targetNGPerM2: number, analysis: FeedAnalysis): FeedNeed {
  if (!(analysis.nShare > 0)) throw new RangeError('A feed without nitrogen cannot be measured by nitrogen.')
  if (!(areaM2 > 0) || !(targetNGPerM2 > 0)) throw new RangeError('Area and nitrogen have to be above zero.')
  if (targetNGPerM2 > MOST_N_G_PER_M2 * 1.001)
    throw new RangeError('Not above 1 lb of nitrogen on 1,000 ft² in one go.')
  const rate = targetNGPerM2 / analysis.nShare
  const productKg = (rate * areaM2) / 1000
  return {
    productRateGPerM2: rate,
    p2o5GPerM2: rate * analysis.p2o5Share,
    k2oGPerM2: rate * analysis.k2oShare,
    pGPerM2: rate * analysis.p2o5Share * P_PER_P2O5,
    kGPerM2: rate * analysis.k2oShare * K_PER_K2O,
    product: {
      value: productKg,
      working: {
        title: say('materials.starterToLoad'),
        result: figure('massKg', productKg),
        formula: say('materials.areaNitrogenWantedNitrogen'),
        lines: [
          {
            what: say('materials.nitrogenWanted'),
            value: figure('rateGPerM2', targetNGPerM2),
            source: { kind: 'mem', text: say('materials.n05To1') },
          },
          {
            operator: '÷',
            what: say('materials.nitrogenInTheBag'),
            value: figure('share', analysis.nShare),
            source: { kind: 'user', text: say('materials.analysisOnTheBag') },
          },
          { operator: '=', what: say('materials.productRate'), value: figure('rateGPerM2', rate), subtotal: true },
          {
            operator: '×',
            what: say('materials.area'),
            value: figure('areaM2', areaM2),
            source: { kind: 'user', text: say('materials.look') },
          },
          { operator: '=', what: say('materials.starterToLoad'), value: figure('massKg', productKg), subtotal: true },
        ],
        fieldCheck: say('materials.halfInEachDirection'),
      },
    },
  }
}
