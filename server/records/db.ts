import { Socket } from 'node:net'
import pg from 'pg'
import { failureOf } from './failures'

// Dates stay dates: a day at the lawn has no time zone to be shifted by.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text)
pg.types.setTypeParser(pg.types.builtins.TIMESTAMP, (text) => text.replace(' ', 'T').slice(0, 16))
// An instant leaves as it crosses to the browser.
const asDate = pg.types.getTypeParser(pg.types.builtins.TIMESTAMPTZ) as (text: string) => Date
pg.types.setTypeParser(pg.types.builtins.TIMESTAMPTZ, (text) => asDate(text).toISOString())

/** The role the server works in: it owns nothing, so row locks hold for it. */
const WORK_ROLE = 'upper_sill_work'
const SLOWEST_STATEMENT_MS = Number(process.env.UPPER_SILL_SLOWEST_MS) || 15_000
const LONGEST_LOCK_MS = Math.round(SLOWEST_STATEMENT_MS / 2)

let pool: pg.Pool | undefined

/** Sends what is written to it in one turn as one piece: to hand a piece to the kernel costs more than to make it. */
class GatheringSocket extends Socket {
  private gathering = false

  override write(...piece: unknown[]): boolean {
    if (!this.gathering) {
      this.gathering = true
      this.cork()
      process.nextTick(() => {
        this.gathering = false
        this.uncork()
      })
    }
    return (super.write as (...piece: unknown[]) => boolean)(...piece)
  }
}

export type Queryable = Pick<pg.PoolClient, 'query'>

/** @throws Error when DATABASE_URL is not set */
export function databaseUrl(): string {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set: it says where the database is.')
  return url
}

/** The pool of this process; one for all requests. Rows of firms show through `inFirm` only. */
export function database(): pg.Pool {
  if (!pool) {
    pool = new pg.Pool({
      connectionString: databaseUrl(),
      max: 10,
      // Several questions may be on their way at once, so that what is known beforehand goes out in one exchange.
      pipeline: true,
      stream: () => new GatheringSocket(),
      connectionTimeoutMillis: 4_000,
      query_timeout: SLOWEST_STATEMENT_MS + 2_000,
      keepAlive: true,
      // A question that is planned once stays so: to plan the list costs as much as to answer it.
      options: `-c role=${WORK_ROLE} -c plan_cache_mode=force_generic_plan -c statement_timeout=${SLOWEST_STATEMENT_MS} -c lock_timeout=${LONGEST_LOCK_MS} -c idle_in_transaction_session_timeout=30000`,
    })
    // A connection that dies while idle must not take the server with it; the next query opens another.
    pool.on('error', () => undefined)
  }
  return pool
}

export async function closeDatabase(): Promise<void> {
  const closing = pool
  pool = undefined
  await closing?.end()
}

const names = new Map<string, string>()
function nameOf(text: string): string {
  if (!names.has(text)) names.set(text, `q${names.size}`)
  return names.get(text)!
}

/** A question by a name of its own: each connection plans it once instead of every time it is asked. */
function planned(client: pg.PoolClient): Queryable {
  const query = (text: string, values?: unknown[]) => {
    if (!values) return client.query(text)
    return client.query({ name: nameOf(text), text, values })
  }
  return { query: query as Queryable['query'] }
}

/** The connection went while the end of a transaction was under way: it may have been kept or not. */
export class Uncertain extends Error {}

/** A single question of no firm, asked again where its connection had died unnoticed. */
export async function askOnce<Row extends pg.QueryResultRow>(text: string, values: unknown[] = []): Promise<Row[]> {
  for (let tries = 1; ; tries++) {
    try {
      return (await database().query<Row>({ name: nameOf(text), text, values })).rows
    } catch (error) {
      if (failureOf(error) !== 'unreachable' || tries > 1) throw error
    }
  }
}

const UUID = /^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/i

/**
 * Times a whole transaction is begun: two that waited for each other, or a connection that had died unnoticed, are no
 * reason to bother anybody.
 */
const MOST_TRIES = 4
const pause = (ms: number): Promise<void> =>
  new Promise((go) => {
    setTimeout(go, ms)
  })

/**
 * Runs everything or nothing, seeing this firm's rows and no other's. What lost a race for locks, or its connection before
 * anything was committed, is run again; so `work` does nothing but ask.
 * @throws RangeError when the id is none
 * @throws Uncertain when the connection was lost during the commit
 */
export async function inFirm<T>(firmId: string, work: (client: Queryable) => Promise<T>): Promise<T> {
  return tried(firmId, (client) => transaction(client, firmId, work))
}

async function tried<T>(firmId: string, work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  if (!UUID.test(firmId)) throw new RangeError('Not the id of a firm.')
  for (let tries = 1; ; tries++) {
    // A database that cannot be reached at all is told at once.
    const client = await database().connect()
    try {
      return await withClient(client, work)
    } catch (error) {
      const failure = error instanceof Uncertain ? undefined : failureOf(error)
      const again = failure === 'busy' ? tries < MOST_TRIES : failure === 'unreachable' && tries < 2
      if (!again) throw error
      await pause(20 * tries * (1 + Math.random()))
    }
  }
}

/** Hands a connection back when the work is done; one that cannot be brought back from what went wrong is closed. */
async function withClient<T>(client: pg.PoolClient, work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  // Without a listener an error of a connection in use would end the process.
  const ignore = () => undefined
  client.on('error', ignore)
  let broken: Error | undefined
  try {
    return await work(client)
  } catch (error) {
    await client.query('rollback').catch((failed: Error) => {
      broken = failed
    })
    throw error
  } finally {
    client.off('error', ignore)
    client.release(broken)
  }
}

const beginFor = (client: Queryable, firmId: string, how = '') =>
  client.query(`begin ${how}; set local sill.firm = '${firmId}'`)

/** The second of some answers that were asked for together, once all are there. @throws the first that failed */
async function secondOf<T>(answers: readonly [Promise<unknown>, Promise<T>, ...Promise<unknown>[]]): Promise<T> {
  const told = await Promise.allSettled(answers)
  for (const one of told) if (one.status === 'rejected') throw one.reason
  return answers[1]
}

/**
 * Rows of one question that changes nothing, of this firm and no other: transaction, question and end go out together
 * and cost one exchange with the database.
 * @throws RangeError when the id is none
 */
export async function rowsOf<Row extends pg.QueryResultRow>(
  firmId: string,
  text: string,
  values: readonly unknown[],
): Promise<Row[]> {
  return tried(firmId, async (client) => {
    const begun = beginFor(client, firmId, 'read only')
    const { rows } = await secondOf([begun, planned(client).query<Row>(text, [...values]), client.query('commit')])
    return rows
  })
}

async function transaction<T>(
  client: pg.PoolClient,
  firmId: string,
  work: (client: Queryable) => Promise<T>,
): Promise<T> {
  // The first question of the work follows without waiting: where the beginning fails, it sees no row of any firm.
  const result = await secondOf([beginFor(client, firmId), work(planned(client))])
  try {
    await client.query('commit')
  } catch (error) {
    // A server that still answers has undone it; where none does, it may have been kept.
    await client.query('rollback').catch(() => {
      throw new Uncertain((error as Error).message, { cause: error })
    })
    throw error
  }
  return result
}

/** What concerns a firm as a whole is changed by one at a time; within the caller's transaction. */
export const oneAtATime = (client: Queryable, firmId: string) =>
  client.query('select from firms where id = $1 for update', [firmId])

/** A connection with the owner's rights, for migrations and tools; never for requests. */
export async function asOwner<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: databaseUrl(), connectionTimeoutMillis: 4_000 })
  await client.connect()
  // The server may close the connection under a running statement; the statement's own error tells.
  client.on('error', () => undefined)
  try {
    return await work(client)
  } finally {
    await client.end().catch(() => undefined)
  }
}
