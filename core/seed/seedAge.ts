import { say } from '../explain/message'
import type { Gate } from '../explain/judgement'
import { daysBetween, type Day } from '../measure/calendar'

/** Days of a month, in the mean. */
const MONTH_DAYS = 365.25 / 12
/**
 * Months from the test on a label to the sowing from which it is worth a word, and from which hardly any place lets the seed be
 * sold on it. @source own, over the spans of seed laws, from memory: they differ by state and country
 */
export const LABEL_MONTHS = { aging: 9, old: 15 } as const

/**
 * What the age of a label says of its lot. It warns and judges nothing: limits differ by place, and seed kept cool and dry keeps.
 * @param testedOn day of the germination test on the label
 * @param sowOn day it is sown
 * @returns undefined where the test is fresh
 * @source own
 */
export function labelAge(testedOn: Day, sowOn: Day): Gate | undefined {
  const months = Math.floor(daysBetween(testedOn, sowOn) / MONTH_DAYS)
  if (months < LABEL_MONTHS.aging) return undefined
  return {
    state: 'risk',
    text: say('seed.labelAge', { months, old: months >= LABEL_MONTHS.old }),
    source: { kind: 'mem', text: say('seed.labelAgeLimits') },
  }
}
