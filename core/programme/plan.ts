import type { Grass } from '../grass/grasses'
import { overseedRate, type SeedLot } from '../materials/seed'
import { STARTER_N_G_PER_M2 } from '../materials/feed'
import type { BagSize } from '../materials/bags'
import { KG_PER_LB } from '../quantity/units'
import { DEFAULT_SCHOOLS, HEAVY_RATE, STARTER_ANALYSIS, type Schools } from './schools'

export const COVER_MATERIALS = ['compost', 'peat', 'screened topsoil'] as const
export type CoverMaterial = (typeof COVER_MATERIALS)[number]

/** The technician's own settings of a plan; everything else is computed from them and the survey. */
export interface PlanSettings {
  seedRateGPerM2: number
  lot: SeedLot
  bags: BagSize[]
  starterAnalysis: string
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
/** From this share of grass to keep on, cut no lower than the grass bears. @source practice §2 */
const MOSTLY_KEPT_SHARE = 0.7

/** Height to scalp to, mm. */
export function defaultScalpMm(grass: Grass, desirableShare: number, school: Schools['scalp']): number {
  const low = Math.min(LOWEST_NOTCH_MM, grass.mowingMm[0])
  const safe = Math.min(grass.mowingMm[0], SHORTEST_SAFE_MM)
  if (school === 'by stand') return desirableShare > MOSTLY_KEPT_SHARE ? safe : low
  return school === 'lowest notch' ? low : safe
}

/**
 * Settings a plan begins with, by the firm's schools. Rake-in and cover together keep to the depth the seed can grow
 * through.
 * @source reference §§2-4, 6; practice §2
 */
export function defaultSettings(grass: Grass, desirableShare: number, schools: Schools = DEFAULT_SCHOOLS): PlanSettings {
  const half = Math.min(5, grass.depthLimitMm / 2)
  return {
    seedRateGPerM2: overseedRate(grass).value * (schools.rate === 'heavy' ? HEAVY_RATE : 1),
    lot: { purityShare: 0.98, germinationShare: 0.85, coatingShare: 0, purityOfBareSeed: false },
    bags: [50, 25, 5].map((lb) => ({ massKg: lb * KG_PER_LB, priceMinor: null })),
    starterAnalysis: STARTER_ANALYSIS[schools.starter],
    starterNGPerM2: STARTER_N_G_PER_M2,
    coverMaterial: schools.coverMaterial,
    coverMm: schools.cover === 'none' ? 0 : half,
    rakeMm: half,
    scalpToMm: defaultScalpMm(grass, desirableShare, schools.scalp),
  }
}
