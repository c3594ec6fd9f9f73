import type { Grass } from '../grass/grasses'
import type { CoverMaterial } from '../materials/covers'
import { enoughSeedsPerCm2, pureSeed, seedsPerGOf, type Blend } from '../seed/blends'
import { newRateOf, OVERSEED_SHARE, type SeedLot } from '../seed/liveSeed'
import { STARTER_N_G_PER_M2 } from '../materials/feed'
import { withoutPhosphorus } from '../materials/feedRules'
import type { Supply } from '../site/soilTest'
import type { BagSize } from '../materials/bags'
import { KG_PER_LB } from '../measure/units'
import type { Programme } from './decision/programmes'
import { MOSTLY_KEPT_SHARE } from './scalpHeight'
import { PLANNING } from './planningFigures'
import { HEAVY_RATE, SPRING_RATE, STARTER_ANALYSIS } from './decision/practiceFigures'
import type { Practices } from './decision/practices'
import { DEFAULT_PRACTICES } from './decision/usualPractices'

/** The technician's own settings of a plan; everything else is computed from them and the survey. */
export interface PlanSettings {
  seedRateGPerM2: number
  lot: SeedLot
  bags: BagSize[]
  starterAnalysis: string
  /** 0 for no feed. */
  starterNGPerM2: number
  /** Of its nitrogen, the share that dissolves slowly, 0-1. */
  starterSlowShare: number
  coverMaterial: CoverMaterial
  /** 0 for none. */
  coverMm: number
  rakeMm: number
  scalpToMm: number
}

/** Deepest a scalp goes on a lawn whose stand is mostly renewed. @source trade: the lowest notch */
const SCALP_MM = 25
/** Tall grasses bear a cut to here before sowing. @source own */
const SHORTEST_SAFE_MM = 50
/** What a scalp may go down to, mm. */
export interface CutLimits {
  /** Lowest mowing height of what stands. */
  standingMm: number
  /** What it is cut to at the least where it is to live. */
  floorMm: number
  /** Lowest that the firm's mower is set to. */
  notchMm: number
}

/** Height to scalp to, mm, by what stands there and not by what is wanted. */
export function defaultScalpMm(
  { standingMm, floorMm, notchMm }: CutLimits,
  desirableShare: number,
  practice: Practices['scalp'],
): number {
  const least = Math.max(notchMm, floorMm)
  const low = Math.max(least, Math.min(SCALP_MM, standingMm))
  const safe = Math.max(least, Math.min(standingMm, SHORTEST_SAFE_MM))
  if (practice === 'by stand') return desirableShare > MOSTLY_KEPT_SHARE ? safe : low
  return practice === 'lowest notch' ? low : safe
}

/** Depth of soil or dressing over the seed, mm; straw and fleece bury nothing. */
export const buriedMm = ({ coverMaterial, coverMm }: Pick<PlanSettings, 'coverMaterial' | 'coverMm'>): number =>
  coverMaterial === 'straw' || coverMaterial === 'fleece' ? 0 : coverMm

/**
 * Settings whose raking in and cover together keep to what the seed grows through; deeper ones are shared by halves.
 * @param limitMm deepest safe cover
 */
export function shallowEnough<S extends Pick<PlanSettings, 'rakeMm' | 'coverMm'>>(settings: S, limitMm: number): S {
  const half = Math.min(5, limitMm / 2)
  return { ...settings, rakeMm: Math.min(settings.rakeMm, half), coverMm: Math.min(settings.coverMm, half) }
}

export interface Beginning {
  grass: Grass
  /** A mixture sown in place of that grass alone. */
  seed?: Blend
  desirableShare: number
  programme: Pick<Programme, 'rateShare'>
  practices?: Practices
  /** Sown on rising soil. */
  inSpring?: boolean
  /** Phosphorus is asked for and allowed; left out where nobody looked. */
  phosphorus?: boolean
  potassium?: Supply
  /** What a scalp may go down to; by the grass itself where left out. */
  cut?: Partial<CutLimits>
}

/** More live seed than this many times a full stand's helps no more. @source own */
const MOST_OF_ENOUGH = 2

/**
 * Pure live seed a programme begins with, g/m², by the practices: of a mixture the sum of each part's share of its own
 * rate. Practices of more seed together never pass the mark beyond which more stops helping.
 */
export function beginningRate({
  seed,
  programme,
  practices = DEFAULT_PRACTICES,
  inSpring = false,
}: Pick<Beginning, 'programme' | 'practices' | 'inSpring'> & { seed: Blend }): number {
  // Another grass than the programme was made for, or none sown: as for thickening.
  const share = programme.rateShare || OVERSEED_SHARE
  const wanted =
    newRateOf(seed) *
    share *
    (practices.rate === 'heavy' ? HEAVY_RATE : 1) *
    (inSpring && practices.springRate === 'more' ? SPRING_RATE : 1)
  const crowdedGPerM2 = (MOST_OF_ENOUGH * enoughSeedsPerCm2(seed)[1] * 10_000) / seedsPerGOf(seed)
  return Math.min(wanted, crowdedGPerM2)
}

/**
 * Settings a plan begins with, by the practices. Rake-in and cover together keep to the depth the seed can grow through.
 * @source turf handbooks and trade
 */
export function defaultSettings(beginning: Beginning): PlanSettings {
  const { grass, desirableShare, practices = DEFAULT_PRACTICES } = beginning
  const limits = { standingMm: grass.mowingMm[0], floorMm: 0, notchMm: PLANNING.mowerNotch.value, ...beginning.cut }
  const half = Math.min(5, grass.depthLimitMm / 2)
  const analysis = STARTER_ANALYSIS[practices.starter === 'none' ? 'starter' : practices.starter]
  return {
    seedRateGPerM2: beginningRate({ ...beginning, seed: beginning.seed ?? pureSeed(grass.code) }),
    lot: { purityShare: 0.98, germinationShare: 0.85, coatingShare: 0, purityOfBareSeed: false, testedOn: null },
    bags: [50, 25, 5].map((lb) => ({ massKg: lb * KG_PER_LB, priceMinor: null })),
    starterAnalysis: beginning.phosphorus === false ? withoutPhosphorus(beginning.potassium ?? 'not known') : analysis,
    starterNGPerM2: practices.starter === 'none' ? 0 : STARTER_N_G_PER_M2,
    starterSlowShare: 0,
    coverMaterial: practices.coverMaterial,
    coverMm: practices.cover === 'none' ? 0 : half,
    rakeMm: half,
    scalpToMm: defaultScalpMm(limits, desirableShare, practices.scalp),
  }
}
