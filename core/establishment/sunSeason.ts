import { dayOfYear, type Day } from '../measure/calendar'
import { solarDeclination } from '../weather/radiation'

export type SunSeason = 'spring' | 'summer' | 'autumn'

/** Declination from which the sun stands about its highest: some six weeks on either side of the longest day. @source own */
const HIGH_SUN_RAD = (18 * Math.PI) / 180

/**
 * Season of a day by the course of the sun, on both sides of the equator: summer about the longest day, spring while days
 * grow, autumn while they shrink.
 * @source own
 */
export function sunSeason(day: Day, latDeg: number): SunSeason {
  const side = latDeg < 0 ? -1 : 1
  const at = (n: number) => side * solarDeclination(n)
  const n = dayOfYear(day)
  if (at(n) >= HIGH_SUN_RAD) return 'summer'
  return at(n + 1) > at(n) ? 'spring' : 'autumn'
}
