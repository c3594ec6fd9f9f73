import type { Lag } from '../schedule/network'
import type { Planning } from '../planningFigures'
import type { LagDays, LagRule, SeasonWaits } from './definition'
import { OPERATIONS } from './registry'

/**
 * Lags of all operations; those of operations that a plan has not fall away.
 * @source own unless said there; first mow and first green come from the computed season
 */
export const LAGS: readonly LagRule[] = OPERATIONS.flatMap(({ lags }) => lags ?? [])

/** A lag with the firm's days and the season's in it. @param from its ends by their keys in the network */
export function lagFor(
  { from, to, least, most, why }: Pick<LagRule, 'from' | 'to' | 'least' | 'most' | 'why'>,
  figures: Planning,
  season: SeasonWaits,
): Lag {
  const days = (told: LagDays) =>
    typeof told === 'number' ? told : typeof told === 'string' ? figures[told] : told(season)
  const leastDays = days(least) ?? 0
  const mostDays = most === undefined ? undefined : days(most)
  return { from, to, leastDays, why, ...(mostDays === undefined ? {} : { mostDays: Math.max(leastDays, mostDays) }) }
}
