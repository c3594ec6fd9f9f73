import type { NewSeen } from '#contract/seen'
import { inFirm, rowsOf } from './db'
import type { Author } from './firms'
import { roomForObservations } from './quotas'

/** 'kept', or the id is that of something else. */
export type Noted = 'kept' | 'other id'

/** Adds what was seen; the same twice, as a double click or a device without signal sends it, is one. */
export async function noteSeen(
  { firmId, personId }: Author,
  { lawnId, jobId }: { lawnId: string; jobId: string },
  { id, kind, seenOn, note, ...what }: NewSeen,
): Promise<Noted> {
  return inFirm(firmId, async (client): Promise<Noted> => {
    const { rowCount } = await client.query(
      `insert into observations (id, firm_id, lawn_id, job_id, kind, seen_on, what, note, recorded_by)
       values ($1, $2, $9, $3, $4, $5, $6, $7, $8) on conflict (id) do nothing`,
      [id, firmId, jobId, kind, seenOn, what, note, personId, lawnId],
    )
    if (rowCount) {
      await roomForObservations(client, firmId, jobId)
      return 'kept'
    }
    const { rowCount: there } = await client.query(
      `select from observations where firm_id = $1 and job_id = $2 and id = $3 and kind = $4`,
      [firmId, jobId, id, kind],
    )
    return there ? 'kept' : 'other id'
  })
}

/** Open jobs in which somebody counted, the latest hundred. */
export const countedJobs = (firmId: string): Promise<{ lawnId: string; jobId: string }[]> =>
  rowsOf(
    firmId,
    `select distinct o.lawn_id as "lawnId", o.job_id as "jobId" from observations o
       join jobs j on j.firm_id = o.firm_id and j.id = o.job_id
      where o.firm_id = $1 and o.kind = 'count' and j.outcome is null limit 100`,
    [firmId],
  )

/** Takes one back; twice is no error. */
export async function forgetSeen(firmId: string, jobId: string, id: string): Promise<void> {
  await inFirm(firmId, async (client) => {
    await client.query(`delete from observations where firm_id = $1 and job_id = $2 and id = $3`, [firmId, jobId, id])
  })
}
