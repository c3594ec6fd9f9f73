import { addDays, dayOfYear, type Day } from '../measure/calendar'
import type { Supply } from '../site/soilTest'

/**
 * What the law of a place says to phosphorus: nothing; only where a soil test asks for it; the same, but for seed that is
 * to establish; never.
 */
export const PHOSPHORUS_RULES = ['free', 'with a test', 'exemption', 'banned'] as const
export type PhosphorusRule = (typeof PHOSPHORUS_RULES)[number]

/** Days of every year, "11-15" to "03-01", on which no fertilizer may go down. */
export interface Blackout {
  from: string
  to: string
}

/** The law of the firm's place on fertilizer. */
export interface FeedRules {
  phosphorus: PhosphorusRule
  blackouts: readonly Blackout[]
}

/** Where a firm has said nothing: seed that is to establish is exempt. @source turf handbooks: the usual form of such laws */
export const USUAL_FEED_RULES: FeedRules = { phosphorus: 'exemption', blackouts: [] }

/** The day of a common year, 1-365, of a month and day. */
const ofYear = (monthDay: string): number => dayOfYear(`2001-${monthDay}` as Day)

/** The stretch of the year in which a day falls and nothing may go down; undefined where none does. */
export function blackoutOn(day: Day, { blackouts }: Pick<FeedRules, 'blackouts'>): Blackout | undefined {
  const monthDay = day.slice(5)
  const at = ofYear(monthDay === '02-29' ? '02-28' : monthDay)
  return blackouts.find(({ from, to }) => {
    const [first, last] = [ofYear(from), ofYear(to)]
    return first <= last ? at >= first && at <= last : at >= first || at <= last
  })
}

/** The first day from one on, on which fertilizer may go down; undefined where none of a year is. */
export function firstDayOutside(from: Day, rules: Pick<FeedRules, 'blackouts'>): Day | undefined {
  for (let ahead = 0; ahead <= 366; ahead++) {
    const day = addDays(from, ahead)
    if (!blackoutOn(day, rules)) return day
  }
  return undefined
}

/** Why phosphorus stays in the bag, or that it may go down. */
export type PhosphorusVerdict = 'allowed' | 'law' | 'plenty' | 'not asked for'

/**
 * @param supply what a soil test found, 'not known' where none did
 * @param establishing seed goes down that has to establish
 * @source turf handbooks: only where a test is short of it; laws exempt new seedings as a rule
 */
export function judgePhosphorus(rule: PhosphorusRule, supply: Supply, establishing: boolean): PhosphorusVerdict {
  if (rule === 'banned') return 'law'
  if (rule === 'with a test' && supply !== 'short') return supply === 'not known' ? 'law' : askedFor(supply)
  if (rule === 'exemption' && !establishing && supply !== 'short') return 'law'
  return askedFor(supply)
}
const askedFor = (supply: Supply): PhosphorusVerdict =>
  supply === 'high' ? 'plenty' : supply === 'enough' ? 'not asked for' : 'allowed'

/**
 * Whether a plan begins with phosphorus: where a test is short of it; without one, only where the law exempts seed that is
 * to establish.
 */
export const beginsWithPhosphorus = (rule: PhosphorusRule, supply: Supply, establishing: boolean): boolean =>
  judgePhosphorus(rule, supply, establishing) === 'allowed' &&
  (supply === 'short' || (rule === 'exemption' && establishing))

/** Nitrogen with potassium where a test is short of it, and without. */
export const withoutPhosphorus = (potassium: Supply): string => (potassium === 'short' ? '20-0-10' : '20-0-0')
