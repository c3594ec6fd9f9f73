import type { NewMark } from '#contract/work'
import { inFirm } from './db'
import type { Author } from './firms'
import { roomForMarks } from './quotas'
import { giveBack, useUp } from './stock'

/** Shares of several marks that make a whole, but for rounding. */
const WHOLE = 0.995
const MOST = 1.005

/**
 * 'kept', or why not: the parts would make more than the whole, somebody made it whole, or the id is another mark's.
 */
export type Marked = 'kept' | 'more than the whole' | 'done already' | 'other mark'

/**
 * Adds a mark; what several people mark of one task, on one day or on several, adds up. The same mark twice, as a double
 * click sends it, is one.
 */
export async function markDone(
  { firmId, personId }: Author,
  { lawnId, jobId }: { lawnId: string; jobId: string },
  { id, task: task, ...told }: NewMark,
): Promise<Marked> {
  return inFirm(firmId, async (client): Promise<Marked> => {
    // Those who mark parts of one task come one after the other.
    await client.query(`select from lawns where firm_id = $1 and id = $2 for update`, [firmId, lawnId])
    const { rows } = await client.query<{ share: number; there: boolean }>(
      `select coalesce(sum(share), 0) as share, coalesce(bool_or(id = $4), false) as there from marks
        where firm_id = $1 and job_id = $2 and task = $3`,
      [firmId, jobId, task, id],
    )
    const { share, there } = rows[0]!
    if (there) return 'kept'
    if (share >= WHOLE) return 'done already'
    if (share + told.share > MOST) return 'more than the whole'
    const { rowCount } = await client.query(
      `insert into marks (firm_id, lawn_id, id, task, done_on, recorded_by, share, passed, hours,
         height_mm, passes, mass_kg, weather, note, volume_m3, area_m2, job_id, against)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18) on conflict (id) do nothing`,
      [
        firmId,
        lawnId,
        id,
        task,
        told.doneOn,
        personId,
        told.share,
        told.passed,
        told.hours,
        told.heightMm,
        told.passes,
        told.massKg,
        told.weather,
        told.note,
        told.volumeM3,
        told.areaM2,
        jobId,
        told.against,
      ],
    )
    if (!rowCount) return 'other mark'
    await roomForMarks(client, firmId, jobId)
    await useUp(client, { firmId, personId }, { id, lawnId, doneOn: told.doneOn }, told.used)
    return 'kept'
  })
}

/** Takes one mark back, and gives back what it used; twice is no error. */
export async function undoMark(firmId: string, jobId: string, id: string): Promise<void> {
  await inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `select from marks where firm_id = $1 and job_id = $2 and id = $3 for update`,
      [firmId, jobId, id],
    )
    if (!rowCount) return
    await giveBack(client, firmId, id)
    await client.query(`delete from marks where firm_id = $1 and id = $2`, [firmId, id])
  })
}
