import { mean, sampleStandardDeviation } from 'simple-statistics'
import { Z_90 } from '../measure/proportion'
import type { Outlook } from './outlook'
import { GOOD_SHARE } from './losses'
import type { Established } from './sowing'
import { DAYS_AROUND } from './window'

/** Of 100 years, how many more make a good stand sown on one day than on another, and whether that is more than chance. */
export interface Difference {
  of100: number
  real: boolean
}

/** Good of the days around one, as its chance is counted. */
const shareAround = (year: string, at: number): number => {
  const around = year.slice(Math.max(0, at - DAYS_AROUND), at + DAYS_AROUND + 1)
  return [...around].filter((letter) => letter === 'g').length / Math.max(1, around.length)
}

/**
 * Two sowing days on the same years, as the mean of the years' differences.
 * @param a index of a day @param b of the one it is compared with
 * @returns undefined where either lies outside of what is worked out
 * @source own: real where mean ± 1.645 standard errors leaves zero out
 */
export function compareDays({ grain }: Pick<Outlook, 'grain'>, a: number, b: number): Difference | undefined {
  const days = grain[0]?.length ?? 0
  if (grain.length < 2 || Math.min(a, b) < 0 || Math.max(a, b) >= days) return undefined
  return pairedDifference(
    grain.map((year) => shareAround(year, a)),
    grain.map((year) => shareAround(year, b)),
  )
}

/**
 * Shares of good days of two ways to sow, year by year.
 * @returns their mean difference, real where ± 1.645 standard errors leaves zero out
 * @source own
 */
export function pairedDifference(a: ArrayLike<number>, b: ArrayLike<number>): Difference {
  const differences = Array.from(a, (value, i) => value - b[i]!)
  if (differences.length < 2) return { of100: 0, real: false }
  const middle = mean(differences)
  const error = (Z_90 * sampleStandardDeviation(differences)) / Math.sqrt(differences.length)
  return { of100: Math.round(middle * 100), real: Math.abs(middle) > error }
}

/** By year and sowing day, the share of good days around it. @returns a row a year */
export function goodAround(years: readonly Established[], days: number): Float32Array[] {
  return years.map((year) => {
    const until = new Float64Array(days + 1)
    for (let i = 0; i < days; i++) until[i + 1] = until[i]! + (year.share[i]! >= GOOD_SHARE ? 1 : 0)
    return Float32Array.from({ length: days }, (_, i) => {
      const [from, to] = [Math.max(0, i - DAYS_AROUND), Math.min(days, i + DAYS_AROUND + 1)]
      return (until[to]! - until[from]!) / (to - from)
    })
  })
}
