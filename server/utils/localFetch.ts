import type { Fetch } from '../weather/collect'

/** Asks the stand-in devices, which answer in this very process. */
export const localFetch: Fetch = (path) => $fetch<string>(path, { responseType: 'text' })
