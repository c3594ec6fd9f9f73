import { say } from '../explain/message'
import { figure } from '../measure/figure'
import type { Day } from '../measure/calendar'
import { G_PER_M2_PER_LB_PER_1000FT2 } from '../measure/units'
import type { Source, Worked } from '../explain/working'
import { seedsPerGOf, type Blend } from './blends'
import { GRASS_SOURCES, grassByCode, type Grass } from '../grass/grasses'

/** What the label of a seed lot says. Shares are 0-1. */
export interface SeedLot {
  /** Share of the product, coating included, that is this seed. */
  purityShare: number
  germinationShare: number
  /** Share of the product that is coating; only applied where the label states purity of the bare seed. */
  coatingShare: number
  purityOfBareSeed: boolean
  /** Day of the germination test on the label; none where it was not read. */
  testedOn: Day | null
}

/** Share of a new stand's rate that goes into a thin one. @source turf handbooks */
export const OVERSEED_SHARE = 0.5

const LABEL: Source = { kind: 'user', text: say('seed.labelOfTheLot') }

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

/** Pure live seed of a new stand of a mixture: the sum of each part's share by weight of its own rate. @returns g/m² */
export const newRateOf = (seed: Blend): number =>
  seed.reduce((sum, { grass, massShare }) => sum + massShare * newRateGPerM2(grassByCode(grass)), 0)

/** Default pure-live-seed rate of an overseeding: half of the middle of the range for a new stand. */
export function overseedRate(grass: Grass): Worked {
  const [low, high] = grass.newRateLbPer1000Ft2.map((lb) => lb * G_PER_M2_PER_LB_PER_1000FT2) as [number, number]
  const value = newRateGPerM2(grass) * OVERSEED_SHARE
  return {
    value,
    working: {
      title: say('seed.liveSeedWanted', { name: grass.name }),
      result: figure('rateGPerM2', value),
      formula: say('seed.middleOfTheRate'),
      lines: [
        { what: say('seed.newStandLowEnd'), value: figure('rateGPerM2', low), source: GRASS_SOURCES.newRate },
        {
          operator: '+',
          what: say('seed.newStandHighEnd'),
          value: figure('rateGPerM2', high),
          source: GRASS_SOURCES.newRate,
        },
        { operator: '÷', what: say('seed.middleOfTheTwo'), value: figure('count', 2) },
        {
          operator: '×',
          what: say('seed.thinStandAgainstNew'),
          value: figure('share', OVERSEED_SHARE),
          source: { kind: 'mem', text: say('seed.overseedingTakesAboutHalf') },
        },
        { operator: '=', what: say('seed.liveSeed'), value: figure('rateGPerM2', value), subtotal: true },
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
    { what: say('seed.liveSeedWanted2'), value: figure('rateGPerM2', rateGPerM2), source: rateSource },
    { operator: '÷', what: say('seed.purity'), value: figure('share', lot.purityShare), source: LABEL },
    { operator: '÷', what: say('seed.germination'), value: figure('share', lot.germinationShare), source: LABEL },
  ]
  if (lot.purityOfBareSeed && lot.coatingShare > 0) {
    lines.push({
      operator: '÷',
      what: say('seed.seedUnderTheCoating'),
      value: figure('share', 1 - lot.coatingShare),
      source: LABEL,
    })
  }
  lines.push({ operator: '=', what: say('seed.productRate'), value: figure('rateGPerM2', productRate), subtotal: true })
  const loaded: Worked['working']['lines'] = [
    ...lines,
    {
      operator: '×',
      what: say('seed.area'),
      value: figure('areaM2', areaM2),
      source: { kind: 'user', text: say('seed.look') },
    },
    { operator: '=', what: say('seed.seedToLoad'), value: figure('massKg', productKg), subtotal: true },
  ]
  return {
    productRate: {
      value: productRate,
      working: {
        title: say('seed.productRateOfThe'),
        result: figure('rateGPerM2', productRate),
        formula: say('seed.liveSeedWantedPurity'),
        lines,
      },
    },
    product: {
      value: productKg,
      working: {
        title: say('seed.seedToLoad'),
        result: figure('massKg', productKg),
        formula: say('seed.areaLiveSeedWanted'),
        lines: loaded,
        fieldCheck: say('seed.afterTheFirstPass'),
      },
    },
    pass: {
      value: productKg / 2,
      working: {
        title: say('seed.seedForEachPass'),
        result: figure('massKg', productKg / 2),
        formula: say('seed.seedToLoadHalf'),
        lines: [
          ...loaded,
          { operator: '÷', what: say('seed.passesAtRightAngles'), value: figure('count', 2) },
          { operator: '=', what: say('seed.eachPass'), value: figure('massKg', productKg / 2), subtotal: true },
        ],
        fieldCheck: say('seed.weighWhatIsLeft'),
      },
    },
  }
}
