import { inFirm, rowsOf } from './db'

export interface KeptOutlook {
  /** An `Outlook` as JSON; null where only its brief was worked out. */
  outlook: string | null
  /** Its `Brief` as JSON. */
  brief: string
  yearsFrom: string
}

/** What the page of a lawn reads of it. */
export interface OutlookText {
  outlook: string
  yearsFrom: string
}

/** Days after which what nobody can ask for any more is let go: today is part of every hash. */
const KEPT_DAYS = 3

/** Outlooks of one firm: its lawns and zones of three days, some times over. */
const MOST_KEPT = 5000

/** @param hash of everything it was worked out from, SHA-256 in hexadecimal */
export async function keptOutlook(firmId: string, hash: string): Promise<OutlookText | undefined> {
  const rows = await rowsOf<OutlookText>(
    firmId,
    `select outlook::text as outlook, years_from as "yearsFrom" from kept_outlooks
      where firm_id = $1 and hash = $2 and outlook is not null`,
    [firmId, hash],
  )
  return rows[0]
}

/** What a list reads of an outlook that is kept. @param hashes the first that is kept is told */
export async function keptBrief(
  firmId: string,
  hashes: readonly string[],
): Promise<{ hash: string; brief: string } | undefined> {
  const rows = await rowsOf<{ hash: string; brief: string }>(
    firmId,
    `select hash, brief::text as brief from kept_outlooks where firm_id = $1 and hash = any($2)
      order by array_position($2, hash) limit 1`,
    [firmId, hashes],
  )
  return rows[0]
}

/** Two servers that worked the same out keep it once. */
export async function keepOutlook(
  firmId: string,
  hash: string,
  { outlook, brief, yearsFrom }: KeptOutlook,
): Promise<void> {
  await inFirm(firmId, async (client) => {
    await client.query(`delete from kept_outlooks where firm_id = $1 and kept_at < now() - make_interval(days => $2)`, [
      firmId,
      KEPT_DAYS,
    ])
    // Of a plan that is changed without end only so many stay; what is let go is worked out again.
    await client.query(
      `delete from kept_outlooks where firm_id = $1
        and hash in (select hash from kept_outlooks where firm_id = $1 order by kept_at desc offset $2)`,
      [firmId, MOST_KEPT],
    )
    await client.query(
      `insert into kept_outlooks (firm_id, hash, outlook, brief, years_from) values ($1, $2, $3, $4, $5)
        on conflict (firm_id, hash) do nothing`,
      [firmId, hash, outlook, brief, yearsFrom],
    )
  })
}
