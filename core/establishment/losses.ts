/** What takes of a stand, each by itself a share of what was left. */
export const CAUSES = ['cold', 'dry', 'washout', 'frost', 'heat', 'weeds', 'birds'] as const
export type Cause = (typeof CAUSES)[number]
export type Covering = 'bare' | 'covered' | 'fleece'

/** Share of an established stand from which a year is good. @source own */
export const GOOD_SHARE = 0.7

/** A day's rain that begins to take seed along, mm. @source own */
export const WASHES_FROM_MM: Readonly<Record<Covering, number>> = { bare: 25, covered: 38, fleece: 50 }
/** Slopes on which rain takes more. @source own */
const SLOPES: readonly (readonly [below: number, strength: number])[] = [
  [0.03, 0.3],
  [0.08, 0.6],
  [Infinity, 1.2],
]
const MOST_WASHED = 0.9
/** A full standing sward keeps so much of what bare ground would lose. @source own */
const SWARD_KEEPS = 0.7

/**
 * Share of loose seed that a day's rain takes along.
 * @param swardCover ground that standing grass covers, 0-1
 * @source own: a flat overseed is hardly ever lost to rain, a bare slope often is
 */
export function washedShare(rainMm: number, covering: Covering, slopeShare: number, swardCover = 0): number {
  const from = WASHES_FROM_MM[covering]
  if (rainMm <= from) return 0
  const strength = SLOPES.find(([below]) => slopeShare < below)![1]
  return Math.min(MOST_WASHED, (strength * (rainMm - from)) / from) * (1 - SWARD_KEEPS * swardCover)
}

/** Share of seed that lies open which birds take in a day, raked in. @source own: a cover hides it from them */
const BIRDS_TAKE_A_DAY = 0.005

/**
 * Share of seed that birds leave in the days until it is up; a cover hides it, a standing sward hides some.
 * @param swardCover ground that standing grass covers, 0-1
 */
export const leftByBirds = (days: number, covering: Covering, swardCover = 0): number =>
  covering === 'bare' ? (1 - BIRDS_TAKE_A_DAY * (1 - SWARD_KEEPS * swardCover)) ** Math.max(0, days) : 1

/** Daylight hours of a dry bed that leave 37 % of what sprouts. @source own, fitted to beds watered once a day and by rain alone */
export const DRY_HOURS = { bare: 60, covered: 120 } as const

/** Share of what sprouts that lives through so many dry hours of daylight: a dose, not a switch. @source own */
export const keptMoistShare = (dryHours: number, covered: boolean): number =>
  Math.exp(-dryHours / (covered ? DRY_HOURS.covered : DRY_HOURS.bare))

/** Share of rooting from which winter takes nothing. @source own */
const ROOTED_ENOUGH = 0.6
/** What winter takes of seedlings that have just come up, by its coldest soil, °C. @source own: heave, and hard frost on young leaves */
const WINTERS: readonly (readonly [aboveC: number, loss: number])[] = [
  [2, 0.1],
  [0, 0.25],
  [-Infinity, 0.5],
]
/**
 * Share that lives through a winter; soil under 5 °C stops growth, it kills nothing.
 * @param rooted thermal time of roots at its onset over what a full stand wants, 0-…
 * @param coldestC coldest 5-day mean soil of that winter, °C
 */
export function winteredShare(rooted: number, coldestC: number): number {
  const loss = WINTERS.find(([above]) => coldestC > above)![1]
  return 1 - loss * (1 - Math.min(1, rooted / ROOTED_ENOUGH))
}
/** Night that takes of seedlings within so many days of their emergence, °C, and what it leaves. @source own */
export const HARD_FROST = { airC: -6, days: 10, leaves: 0.7 } as const

/** A day that is too hot for young cool-season roots: air and soil, 5-day means, °C. @source own */
export const HOT_DAY = { airC: 30, soilC: 24 } as const
/** Days after emergence in which heat is looked for, and what one hot day takes of seedlings without roots. @source own */
export const HEAT = { days: 340, hazard: 0.08 } as const
/** Roots for a summer take twice as long as roots for a winter. @source own */
export const SUMMER_ROOTS = 2

/** What summer weeds take of cool-season seed on rising soil, without and with a pre-emergent that is safe on seedlings. @source own */
export const WEEDS_TAKE = { open: 0.2, held: 0.05 } as const
/** Soil is rising where it is so much warmer after so many days, and goes over so much within them. @source own */
export const RISING = { days: 60, byK: 3, overC: 13 } as const

/** Soil under which growth stops before winter, 5-day mean, °C. @source turf handbooks (cool-season), own (warm-season) */
export const GROWS_UNTIL_SOIL_C = { cool: 5, warm: 15 } as const
