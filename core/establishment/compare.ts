import { mean, sampleStandardDeviation } from 'simple-statistics'
import { Z_90 } from '../measure/proportion'
import type { Outlook } from './outlook'
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
  const differences = grain.map((year) => shareAround(year, a) - shareAround(year, b))
  const middle = mean(differences)
  const error = (Z_90 * sampleStandardDeviation(differences)) / Math.sqrt(differences.length)
  return { of100: Math.round(middle * 100), real: Math.abs(middle) > error }
}
