import { figure } from '../measure/figure'
import { G_PER_M2_PER_LB_PER_1000FT2 } from '../measure/units'
import type { Source, Worked } from '../explain/working'
import { seedsPerGOf, type Blend } from './blends'
import { GRASS_SOURCES, type Grass } from '../grass/grasses'

/** What the label of a seed lot says. Shares are 0-1. */
export interface SeedLot {
  /** Share of the product, coating included, that is this seed. */
  purityShare: number
  germinationShare: number
  /** Share of the product that is coating; only applied where the label states purity of the bare seed. */
  coatingShare: number
  purityOfBareSeed: boolean
}

/** Share of a new stand's rate that goes into a thin one. @source turf handbooks */
export const OVERSEED_SHARE = 0.5

const LABEL: Source = { kind: 'user', text: 'label of the lot' }

/**
 * Live share of the product in the bag.
 * @returns 0-1
 * @throws RangeError for shares outside 0-1 or a lot without live seed
 * @source US Federal Seed Act regulations, 7 CFR 201: purity × germination; from memory
 */
export function liveShare(lot: SeedLot): number {
  const shares = [lot.purityShare, lot.germinationShare, lot.coatingShare]
  if (shares.some((s) => !(s >= 0 && s <= 1))) throw new RangeError('Shares of a label lie between 0 and 100%.')
  const share = lot.purityShare * lot.germinationShare * (lot.purityOfBareSeed ? 1 - lot.coatingShare : 1)
  if (share <= 0) throw new RangeError('A lot without live seed sows nothing.')
  return share
}

/** Pure live seed of a new stand, the middle of its range. @returns g/m² */
export const newRateGPerM2 = ({ newRateLbPer1000Ft2: [low, high] }: Grass): number =>
  ((low + high) / 2) * G_PER_M2_PER_LB_PER_1000FT2

/** Default pure-live-seed rate of an overseeding: half of the middle of the range for a new stand. */
export function overseedRate(grass: Grass): Worked {
  const [low, high] = grass.newRateLbPer1000Ft2.map((lb) => lb * G_PER_M2_PER_LB_PER_1000FT2) as [number, number]
  const value = newRateGPerM2(grass) * OVERSEED_SHARE
  return {
    value,
    working: {
      title: `Live seed wanted, ${grass.name}`,
      result: figure('rateGPerM2', value),
      formula: 'Middle of the rate for a new stand, halved for a thin one.',
      lines: [
        { what: 'New stand, low end', value: figure('rateGPerM2', low), source: GRASS_SOURCES.newRate },
        {
          operator: '+',
          what: 'New stand, high end',
          value: figure('rateGPerM2', high),
          source: GRASS_SOURCES.newRate,
        },
        { operator: '÷', what: 'Middle of the two', value: figure('count', 2) },
        {
          operator: '×',
          what: 'Thin stand against new stand',
          value: figure('share', OVERSEED_SHARE),
          source: { kind: 'mem', text: 'overseeding takes about half' },
        },
        { operator: '=', what: 'Live seed', value: figure('rateGPerM2', value), subtotal: true },
      ],
    },
  }
}

/** @returns live seeds per cm² that a live-seed rate of a mixture lays down */
export const seedsPerCm2 = (rateGPerM2: number, seed: Blend): number => (rateGPerM2 * seedsPerGOf(seed)) / 10_000

export interface SeedNeed {
  /** Product over the whole lawn, kg. */
  product: Worked
  /** Product rate, g/m². */
  productRate: Worked
  /** One of two passes at right angles, kg. */
  pass: Worked
}

/**
 * Product to load for a live-seed rate.
 * @param rateGPerM2 pure live seed
 * @source own
 */
export function seedNeed(areaM2: number, rateGPerM2: number, lot: SeedLot, rateSource: Source): SeedNeed {
  if (!(areaM2 > 0) || !(rateGPerM2 > 0)) throw new RangeError('Area and rate have to be above zero.')
  const live = liveShare(lot)
  const productRate = rateGPerM2 / live
  const productKg = (productRate * areaM2) / 1000
  const lines: Worked['working']['lines'] = [
    { what: 'Live seed wanted', value: figure('rateGPerM2', rateGPerM2), source: rateSource },
    { operator: '÷', what: 'Purity', value: figure('share', lot.purityShare), source: LABEL },
    { operator: '÷', what: 'Germination', value: figure('share', lot.germinationShare), source: LABEL },
  ]
  if (lot.purityOfBareSeed && lot.coatingShare > 0) {
    lines.push({
      operator: '÷',
      what: 'Seed under the coating',
      value: figure('share', 1 - lot.coatingShare),
      source: LABEL,
    })
  }
  lines.push({ operator: '=', what: 'Product rate', value: figure('rateGPerM2', productRate), subtotal: true })
  const loaded: Worked['working']['lines'] = [
    ...lines,
    { operator: '×', what: 'Area', value: figure('areaM2', areaM2), source: { kind: 'user', text: 'Look' } },
    { operator: '=', what: 'Seed to load', value: figure('massKg', productKg), subtotal: true },
  ]
  return {
    productRate: {
      value: productRate,
      working: {
        title: 'Product rate of the seed',
        result: figure('rateGPerM2', productRate),
        formula: 'Live seed wanted ÷ (purity × germination).',
        lines,
      },
    },
    product: {
      value: productKg,
      working: {
        title: 'Seed to load',
        result: figure('massKg', productKg),
        formula: 'Area × live seed wanted ÷ (purity × germination).',
        lines: loaded,
        fieldCheck: 'After the first pass half of it should be left in the hopper.',
      },
    },
    pass: {
      value: productKg / 2,
      working: {
        title: 'Seed for each pass',
        result: figure('massKg', productKg / 2),
        formula: 'Seed to load, half one way and half at right angles.',
        lines: [
          ...loaded,
          { operator: '÷', what: 'Passes, at right angles', value: figure('count', 2) },
          { operator: '=', what: 'Each pass', value: figure('massKg', productKg / 2), subtotal: true },
        ],
        fieldCheck: 'Weigh what is left after pass 1. Off by more than 5%, move the spreader one setting.',
      },
    },
  }
}
