import { figure } from '../measure/figure'
import { G_PER_M2_PER_LB_PER_1000FT2, K_PER_K2O, P_PER_P2O5 } from '../measure/units'
import type { Worked } from '../explain/working'

/** Analysis on the bag: shares of N, P₂O₅ and K₂O by weight, 0-1. */
export interface FeedAnalysis {
  nShare: number
  p2o5Share: number
  k2oShare: number
}

/** Nitrogen at sowing or first feed, g/m². @source turf handbooks: 0.5-1 lb/1,000 ft² */
export const STARTER_N_G_PER_M2 = 0.75 * G_PER_M2_PER_LB_PER_1000FT2
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
        title: 'Starter to load',
        result: figure('massKg', productKg),
        formula: 'Area × nitrogen wanted ÷ nitrogen in the bag.',
        lines: [
          {
            what: 'Nitrogen wanted',
            value: figure('rateGPerM2', targetNGPerM2),
            source: { kind: 'mem', text: '0.5 to 1 lb N/1,000 ft² at sowing' },
          },
          {
            operator: '÷',
            what: 'Nitrogen in the bag',
            value: figure('share', analysis.nShare),
            source: { kind: 'user', text: 'analysis on the bag' },
          },
          { operator: '=', what: 'Product rate', value: figure('rateGPerM2', rate), subtotal: true },
          { operator: '×', what: 'Area', value: figure('areaM2', areaM2), source: { kind: 'user', text: 'Look' } },
          { operator: '=', what: 'Starter to load', value: figure('massKg', productKg), subtotal: true },
        ],
        fieldCheck: 'Half in each direction: half should be left after the first pass.',
      },
    },
  }
}
