import type { Grass } from '../grass/grasses'
import type { CoverMaterial } from '../materials/covers'
import { newRateGPerM2, OVERSEED_SHARE, type SeedLot } from '../seed/liveSeed'
import { STARTER_N_G_PER_M2 } from '../materials/feed'
import type { BagSize } from '../materials/bags'
import { KG_PER_LB } from '../measure/units'
import type { Programme } from './decision/programmes'
import { DEFAULT_PRACTICES, HEAVY_RATE, SPRING_RATE, STARTER_ANALYSIS, type Practices } from './decision/practices'

/** The technician's own settings of a plan; everything else is computed from them and the survey. */
export interface PlanSettings {
  seedRateGPerM2: number
  lot: SeedLot
  bags: BagSize[]
  starterAnalysis: string
  /** 0 for no feed. */
  starterNGPerM2: number
  coverMaterial: CoverMaterial
  /** 0 for none. */
  coverMm: number
  rakeMm: number
  scalpToMm: number
}

/** Deepest a scalp goes on a lawn whose stand is mostly renewed. @source trade: the lowest notch */
const LOWEST_NOTCH_MM = 25
/** Tall grasses bear a cut to here before sowing. @source own */
const SHORTEST_SAFE_MM = 50
/** From this share of grass to keep on, cut no lower than the grass bears. @source trade */
const MOSTLY_KEPT_SHARE = 0.7

/** Height to scalp to, mm. */
export function defaultScalpMm(grass: Grass, desirableShare: number, practice: Practices['scalp']): number {
  const low = Math.min(LOWEST_NOTCH_MM, grass.mowingMm[0])
  const safe = Math.min(grass.mowingMm[0], SHORTEST_SAFE_MM)
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
  desirableShare: number
  programme: Pick<Programme, 'rateShare'>
  practices?: Practices
  /** Sown on rising soil. */
  inSpring?: boolean
}

/** Pure live seed a programme begins with, g/m², by the practices. */
export function beginningRate({
  grass,
  programme,
  practices = DEFAULT_PRACTICES,
  inSpring = false,
}: Omit<Beginning, 'desirableShare'>): number {
  // Another grass than the programme was made for, or none sown: as for thickening.
  const share = programme.rateShare || OVERSEED_SHARE
  return (
    newRateGPerM2(grass) *
    share *
    (practices.rate === 'heavy' ? HEAVY_RATE : 1) *
    (inSpring && practices.springRate === 'more' ? SPRING_RATE : 1)
  )
}

/**
 * Settings a plan begins with, by the practices. Rake-in and cover together keep to the depth the seed can grow through.
 * @source turf handbooks and trade
 */
export function defaultSettings(beginning: Beginning): PlanSettings {
  const { grass, desirableShare, practices = DEFAULT_PRACTICES } = beginning
  const half = Math.min(5, grass.depthLimitMm / 2)
  return {
    seedRateGPerM2: beginningRate(beginning),
    lot: { purityShare: 0.98, germinationShare: 0.85, coatingShare: 0, purityOfBareSeed: false },
    bags: [50, 25, 5].map((lb) => ({ massKg: lb * KG_PER_LB, priceMinor: null })),
    starterAnalysis: STARTER_ANALYSIS[practices.starter === 'none' ? 'starter' : practices.starter],
    starterNGPerM2: practices.starter === 'none' ? 0 : STARTER_N_G_PER_M2,
    coverMaterial: practices.coverMaterial,
    coverMm: practices.cover === 'none' ? 0 : half,
    rakeMm: half,
    scalpToMm: defaultScalpMm(grass, desirableShare, practices.scalp),
  }
}
