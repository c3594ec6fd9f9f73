import { createHash } from 'node:crypto'
import { RateLimiterPostgres } from 'rate-limiter-flexible'
import { askOnce, database } from './db'

/** What is counted by where it comes from, how often it may happen, and for how long it is shut after. */
const LIMITS = {
  'sign in, address': { points: 40, duration: 15 * 60 },
  'new firm, address': { points: 10, duration: 60 * 60 },
  'link, address': { points: 30, duration: 15 * 60 },
  'unknown key, address': { points: 30, duration: 15 * 60 },
  'station key': { points: 240, duration: 60 * 60 },
} as const
export type Limit = keyof typeof LIMITS

/** Wrong tries at one account that cost no wait: people mistype. */
const FREE_TRIES = 5
/** Wait after the sixth wrong try, s; it doubles with each one more, up to the longest. */
const FIRST_WAIT_S = 2
const LONGEST_WAIT_S = 15 * 60
/** Wrong tries are forgotten after this long without one, s. */
const REMEMBERED_S = 24 * 3600
/** Wrong tries at one account from all strange addresses together, before strange addresses have to wait. */
const FREE_TRIES_OF_ALL = 30

const store = () => ({
  storeClient: database(),
  storeType: 'pool',
  tableName: 'attempts',
  tableCreated: true,
  clearExpiredByTimeout: false,
})
const limiter = (limit: Limit): RateLimiterPostgres =>
  new RateLimiterPostgres({ ...store(), keyPrefix: limit, ...LIMITS[limit] })
const wrongTries = (): RateLimiterPostgres =>
  new RateLimiterPostgres({ ...store(), keyPrefix: 'wrong', points: 1_000_000, duration: REMEMBERED_S })
const gate = (): RateLimiterPostgres =>
  new RateLimiterPostgres({ ...store(), keyPrefix: 'gate', points: 1, duration: FIRST_WAIT_S })

/** One try of so many sweeps the table. */
const SWEPT_SHARE = 0.02

/** Keys say nothing to who reads the table. */
export const hashed = (text: string): string => createHash('sha256').update(text).digest('base64url')

/** @returns seconds to wait; 0 when it went through */
async function waitFor(consumed: Promise<unknown>): Promise<number> {
  try {
    await consumed
    return 0
  } catch (refused) {
    if (refused instanceof Error) throw refused
    return Math.max(1, Math.ceil((refused as { msBeforeNext: number }).msBeforeNext / 1000))
  }
}

/** Counts a try, in the database, so all instances count together. @returns seconds to wait; 0 when it may go on */
export async function countTry(limit: Limit, from: string): Promise<number> {
  // Now and then what nobody counts any more is let go.
  if (Math.random() < SWEPT_SHARE)
    await database().query('delete from attempts where expire is not null and expire < $1', [Date.now()])
  return waitFor(limiter(limit).consume(hashed(from)))
}

/** An account at which a password is tried, from an address. */
export interface TriedAt {
  /** As it was typed. */
  account: string
  address: string
  /** The person is signed in from there, or was of late: what others try elsewhere does not count against it. */
  known: boolean
}

/** The keys under which tries count: by account and address together, and for strange addresses by account alone. */
async function keysOf({ account, address, known }: TriedAt): Promise<{ key: string; free: number }[]> {
  // The form by which the database tells accounts apart; a second idea of it would be a way round the count.
  const [row] = await askOnce<{ form: string }>('select address_form($1) as form', [account])
  const pair = { key: hashed(`${row!.form} ${address}`), free: FREE_TRIES }
  return known ? [pair] : [pair, { key: hashed(row!.form), free: FREE_TRIES_OF_ALL }]
}

/**
 * Asks whether a password may be tried, and counts it as wrong until `forgetTries` says otherwise. After some wrong tries
 * each one more is followed by a longer wait, in which not even the right password is looked at; from other addresses it is.
 * @returns seconds to wait; 0 when it may be tried now
 */
export async function countWrongTry(at: TriedAt): Promise<number> {
  const tries = await Promise.all(
    (await keysOf(at)).map(async ({ key, free }) => ({
      key,
      free,
      had: (await wrongTries().get(key))?.consumedPoints ?? 0,
    })),
  )
  for (const { key, free, had } of tries) {
    if (had < free) continue
    const wait = await waitFor(
      gate().consume(key, 1, {
        customDuration: Math.min(LONGEST_WAIT_S, FIRST_WAIT_S * 2 ** Math.min(20, had - free)),
      }),
    )
    if (wait) return wait
  }
  for (const [i, { key, free, had }] of tries.entries()) {
    // Many at one moment all saw the same count; who comes after the free ones waits like everybody.
    const now = (await wrongTries().consume(key)).consumedPoints
    const wait = had < free && now > free ? await waitFor(gate().consume(key, 1, { customDuration: FIRST_WAIT_S })) : 0
    if (!wait) continue
    // Nothing was tried, so nothing counts.
    for (const counted of tries.slice(0, i + 1)) await wrongTries().reward(counted.key)
    return wait
  }
  return 0
}

/** The password was right: what was counted here is forgotten, and among all strangers this one try. */
export async function forgetTries(at: TriedAt): Promise<void> {
  const [pair, all] = await keysOf(at)
  await Promise.all([wrongTries().delete(pair!.key), gate().delete(pair!.key), all && wrongTries().reward(all.key)])
}
