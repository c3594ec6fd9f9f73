import type { OpenSession } from '#contract/firm'
import { inFirm, rowsOf, type Queryable } from './db'
import type { Author, Claim } from './firms'

/** Browsers of one person that stay signed in; the longest unused goes first. */
const MOST_SESSIONS = 100
/** Days after which a browser signs in anew, as `at_work` counts them. */
const SESSION_DAYS = 30

/** From where and by what a session is opened. */
export interface OpenedBy {
  /** The browser in a few words. */
  device: string
  /** Of the address it asks from; tells a known place from a strange one, and nothing else. */
  addressHash: string
}

/** Signs a browser in. @returns what its cookie may claim */
export async function openSession({ firmId, personId }: Author, { device, addressHash }: OpenedBy): Promise<Claim> {
  return inFirm(firmId, async (client) => {
    await client.query(
      `delete from sessions where firm_id = $1 and person_id = $2 and (opened_at < now() - make_interval(days => $3) or id in
         (select id from sessions where firm_id = $1 and person_id = $2 order by seen_at desc, id offset $4))`,
      [firmId, personId, SESSION_DAYS, MOST_SESSIONS - 1],
    )
    const { rows } = await client.query<{ id: string }>(
      `insert into sessions (firm_id, person_id, device, address_hash) values ($1, $2, $3, $4) returning id`,
      [firmId, personId, device, addressHash],
    )
    return { firmId, personId, sessionId: rows[0]!.id }
  })
}

/** Notes that a session is in use; asked for now and then, not with every request. */
export async function seen({ firmId, sessionId }: Claim): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query(`update sessions set seen_at = now() where firm_id = $1 and id = $2`, [firmId, sessionId]),
  )
}

/** One's signed-in browsers, the one used last first. @param here the session that asks */
export async function sessionsOf({ firmId, personId }: Author, here: string): Promise<OpenSession[]> {
  const rows = await rowsOf<OpenSession>(
    firmId,
    `select id, device, opened_at as "openedAt", seen_at as "seenAt", id = $3 as here from sessions
     where firm_id = $1 and person_id = $2 and opened_at > now() - make_interval(days => $4) order by here desc, seen_at desc, id`,
    [firmId, personId, here, SESSION_DAYS],
  )
  return rows
}

/** Ends one session of a person; twice is no error. */
export async function endSession({ firmId, personId }: Author, sessionId: string): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query(`delete from sessions where firm_id = $1 and person_id = $2 and id = $3`, [
      firmId,
      personId,
      sessionId,
    ]),
  )
}

/** Ends all of a person's sessions but one, within the caller's transaction. @param but null for none */
export const endSessionsIn = (client: Queryable, { firmId, personId }: Author, but: string | null = null) =>
  client.query(`delete from sessions where firm_id = $1 and person_id = $2 and ($3::uuid is null or id <> $3)`, [
    firmId,
    personId,
    but,
  ])

/** Ends every session of a person. */
export async function endSessions(of: Author): Promise<void> {
  await inFirm(of.firmId, (client) => endSessionsIn(client, of))
}
