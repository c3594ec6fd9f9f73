import { createHash } from 'node:crypto'
import { RateLimiterPostgres } from 'rate-limiter-flexible'
import { database } from './db'

/** What is counted, how often it may happen, and for how long it is shut after. */
const LIMITS = {
  'sign in, account': { points: 8, duration: 15 * 60 },
  'sign in, address': { points: 40, duration: 15 * 60 },
  'new firm, address': { points: 10, duration: 60 * 60 },
  'link, address': { points: 30, duration: 15 * 60 },
} as const
export type Limit = keyof typeof LIMITS

const limiter = (limit: Limit): RateLimiterPostgres => new RateLimiterPostgres({
  storeClient: database(), storeType: 'pool', tableName: 'attempts', tableCreated: true, clearExpiredByTimeout: false,
  keyPrefix: limit, ...LIMITS[limit],
})

/** Keys say nothing to who reads the table. */
const keyOf = (who: string): string => createHash('sha256').update(who.toLowerCase()).digest('base64url')

/** Counts a try, in the database, so all instances count together. @returns seconds to wait; 0 when it may go on */
export async function countTry(limit: Limit, who: string): Promise<number> {
  try {
    await limiter(limit).consume(keyOf(who))
    return 0
  } catch (refused) {
    if (refused instanceof Error) throw refused
    return Math.max(1, Math.ceil((refused as { msBeforeNext: number }).msBeforeNext / 1000))
  }
}

export async function forgetTries(limit: Limit, who: string): Promise<void> {
  await limiter(limit).delete(keyOf(who))
}
