import { addDays, type Day } from '../measure/calendar'
import type { JobPlan } from './planJob'

/** What a client could be told on the day a schedule was confirmed; kept, since later plans know more. */
export interface Promised {
  on: Day
  sowOn: Day
  /** Years of 100 in which the stand would be good; null where nothing is sown or the season was not worked out. */
  of100: number | null
  /** Half of the seedlings up, first mowing, and lawn in use again, in the middle of the weather years. */
  upOn: Day | null
  firstMowOn: Day | null
  inUseOn: Day | null
  priceMinor: number | null
  /** ISO code of the price. */
  currency: string
}

/** What a plan promises, as it stands. @param today the day it is told */
export function promiseOf(
  { glance, price }: Partial<Pick<JobPlan, 'glance' | 'price'>>,
  { sowOn, today, currency }: { sowOn: Day; today: Day; currency: string },
): Promised {
  const sowing = glance?.sowing
  const after = (waits: { middle: number } | null | undefined) =>
    waits ? addDays(sowOn, Math.round(waits.middle)) : null
  return {
    on: today,
    sowOn,
    of100: sowing?.of100 ?? null,
    upOn: after(sowing?.up),
    firstMowOn: after(sowing?.mow),
    inUseOn: price?.outTo ?? null,
    priceMinor: price?.priceMinor.value ?? null,
    currency,
  }
}
