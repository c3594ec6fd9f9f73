import { say, type Message } from '../explain/message'
import type { Source } from '../explain/working'

export type GrassCode = 'PRG' | 'TF' | 'KBG' | 'CRF' | 'CHF' | 'HF' | 'RBG' | 'CBG' | 'ARG' | 'IRG' | 'BER' | 'ZOY'
export type Season = 'cool' | 'warm'

/**
 * Thermal-time model of germination: cardinal temperatures °C, thermal time to the median °C·d, spread of its
 * logarithm.
 */
export interface ThermalModel {
  baseC: number
  optimumC: number
  ceilingC: number
  medianCd: number
  spread: number
}

export interface Grass {
  code: GrassCode
  name: Message
  latin: string
  season: Season
  seedsPerG: number
  /** Pure live seed for a new stand, lb/1,000 ft², as the trade quotes it. */
  newRateLbPer1000Ft2: readonly [number, number]
  /** Deepest safe cover of soil and dressing together. */
  depthLimitMm: number
  thermal: ThermalModel
  /** °C·d of 50 mm soil above the base of rooting, from median emergence until the stand can face its next enemy. */
  rootingCd: number
  /** °C·d of air above the same base to leaf heights 25, 50 and 80 mm. */
  growthCd: readonly [number, number, number | null]
  mowingMm: readonly [number, number]
  sunHours: number
  /** Live seeds per cm² that make a full stand. */
  enoughSeedsPerCm2: readonly [number, number]
  /** Days within which 60 % of the emergence has to be reached. */
  emergenceLimitDays: number
}

// A row a grass, its columns in these groups.
// prettier-ignore
type Row = readonly [
  code: GrassCode, latin: string, season: Season, seedsPerG: number, rateLow: number, rateHigh: number,
  depthMm: number, base: number, optimum: number, ceiling: number, median: number, spread: number, rooting: number,
  grow25: number, grow50: number, grow80: number | null, mowLow: number, mowHigh: number, sun: number,
  seedsLow: number, seedsHigh: number, limitDays: number,
]

// prettier-ignore
const ROWS: readonly Row[] = [
  ['PRG', 'Lolium perenne', 'cool', 500, 6, 8, 10, 3, 22, 34, 107, 0.22, 300, 60, 120, 210, 40, 65, 5, 1, 2, 28],
  ['TF', 'Festuca arundinacea', 'cool', 500, 6, 8, 10, 4, 24, 35, 122, 0.22, 350, 65, 130, 230, 65, 100, 4, 1, 2, 28],
  ['KBG', 'Poa pratensis', 'cool', 4800, 2, 3, 6, 5, 23, 38, 200, 0.25, 450, 110, 220, 380, 50, 75, 6, 3, 7, 42],
  ['CRF', 'Festuca rubra', 'cool', 1350, 4, 5, 6, 3.5, 21, 32, 155, 0.23, 400, 90, 180, 320, 50, 90, 3.5, 2, 3, 28],
  ['CHF', 'Festuca rubra ssp. commutata', 'cool', 1350, 4, 5, 6, 3.5, 21, 32, 155, 0.23, 400, 90, 180, 320, 50, 90, 3.5, 2, 3, 28],
  ['HF', 'Festuca brevipila', 'cool', 1250, 4, 5, 6, 3.5, 21, 32, 170, 0.23, 420, 90, 180, 320, 50, 90, 3.5, 2, 3, 28],
  ['RBG', 'Poa trivialis', 'cool', 5600, 1, 2, 6, 4, 22, 32, 130, 0.23, 400, 90, 180, 320, 40, 65, 3, 3, 5, 28],
  ['CBG', 'Agrostis stolonifera', 'cool', 13500, 0.5, 1, 3, 5, 24, 34, 126, 0.22, 450, 120, 260, null, 6, 15, 6, 5, 9, 28],
  ['ARG', 'Lolium multiflorum', 'cool', 500, 5, 10, 10, 2, 24, 35, 93, 0.2, 250, 25, 55, 95, 40, 65, 5, 1, 2, 28],
  // Between its parents, perennial and annual ryegrass: own.
  ['IRG', 'Lolium × hybridum', 'cool', 500, 5, 10, 10, 2.5, 23, 34.5, 100, 0.21, 275, 42, 87, 150, 40, 65, 5, 1, 2, 28],
  ['BER', 'Cynodon dactylon', 'warm', 3900, 1, 2, 3, 12, 32, 42, 138, 0.25, 1000, 90, 180, 300, 12, 50, 7, 3, 5, 28],
  ['ZOY', 'Zoysia japonica', 'warm', 3000, 1, 2, 3, 13, 32, 42, 192, 0.25, 1200, 160, 330, 600, 25, 50, 5, 2, 4, 42],
]

// prettier-ignore
export const GRASSES: readonly Grass[] = ROWS.map(
  ([
    code, latin, season, seedsPerG, rateLow, rateHigh, depthLimitMm, baseC, optimumC, ceilingC, medianCd, spread,
    rootingCd, grow25, grow50, grow80, mowLow, mowHigh, sunHours, seedsLow, seedsHigh, emergenceLimitDays,
  ]) => ({
    code, name: say(`grass.${code}`), latin, season, seedsPerG, depthLimitMm, rootingCd, sunHours, emergenceLimitDays,
    newRateLbPer1000Ft2: [rateLow, rateHigh],
    thermal: { baseC, optimumC, ceilingC, medianCd, spread },
    growthCd: [grow25, grow50, grow80],
    mowingMm: [mowLow, mowHigh],
    enoughSeedsPerCm2: [seedsLow, seedsHigh],
  }),
)

export const GRASS_CODES = ROWS.map(([code]) => code) as [GrassCode, ...GrassCode[]]

const BY_CODE = new Map(GRASSES.map((grass) => [grass.code, grass]))

/** @throws RangeError for a code that is not in the table */
export function grassByCode(code: string): Grass {
  const grass = BY_CODE.get(code as GrassCode)
  if (!grass) throw new RangeError(`There is no grass "${code}".`)
  return grass
}

/**
 * Night of 16 h and day of 8 h at which laboratories germinate seed of a grass, °C; for bluegrass the wider of two.
 * @source ISTA International Rules for Seed Testing, table 5A, from memory
 */
export const alternatingC = ({ code, season }: Grass): readonly [nightC: number, dayC: number] =>
  season === 'warm' ? [20, 35] : code === 'KBG' ? [15, 30] : [15, 25]

/** Where each column of the table is from; shown with the value. */
export const GRASS_SOURCES = {
  seedsPerG: { kind: 'std', text: say('grass.aosaRulesForTesting') },
  newRate: { kind: 'mem', text: say('grass.seedingRateForA') },
  depth: { kind: 'mem', text: say('grass.deepestSafeCover') },
  thermal: { kind: 'own', text: say('grass.thermalTimeCalibratedTo') },
  growth: { kind: 'own', text: say('grass.thermalTimeToLeaf') },
  sun: { kind: 'mem', text: say('grass.hoursOfSunNeeded') },
  mowing: { kind: 'mem', text: say('grass.mowingHeights') },
} as const satisfies Record<string, Source>

/** Soil band in which the trade sows: lowest, and best or highest. */
export interface GerminationBand {
  lowC: number
  highC: number
  source: Source
}

/** @returns the band of soil temperature, °C, that is lit across the season */
export function germinationBand(grass: Grass): GerminationBand {
  return grass.season === 'cool'
    ? { lowC: 10, highC: 18.3, source: { kind: 'trade', text: say('grass.coolSeasonSeedAt') } }
    : { lowC: 18, highC: 35, source: { kind: 'mem', text: say('grass.warmSeasonSeedSoil') } }
}

/** Base temperature, °C, of rooting and leaf growth. */
export const growthBaseC = (grass: Grass): number => (grass.season === 'cool' ? 5 : 10)
