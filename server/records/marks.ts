import type { LeftOut } from '#contract/context'
import type { NewMark } from '#contract/work'
import type { Pace } from '#core/job/hours'
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
  { id, slip: task, ...told }: NewMark,
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
      `insert into marks (firm_id, lawn_id, id, task, done_on, recorded_by, share, passed, hours, height_mm, passes, mass_kg, weather, note, volume_m3, area_m2, job_id, against)
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

/** Crew hours and ground a pace is learned from; what lies outside was mistyped or damaged, and would overflow. */
const SOUND = 'hours between 0.01 and 400 and area_m2 between 0.1 and 200000 and share between 0.01 and 1'
const TOLD = `
  select d.id, d.task, regexp_replace(d.task, '-[0-9]+$', '') as code, d.done_on, d.share, d.hours, c.name as client,
    coalesce(d.area_m2, (select sum(z.area_m2) from zones z
      where z.firm_id = d.firm_id and z.lawn_id = d.lawn_id)) as area_m2
  from marks d join lawns l on l.firm_id = d.firm_id and l.id = d.lawn_id
    join clients c on c.firm_id = l.firm_id and c.id = l.client_id
  where d.firm_id = $1 and d.hours > 0 and d.task !~ '^own-' and d.recorded_at > now() - interval '3 years'`

/**
 * Ground a crew hour does, by operation: the middle of what was marked done with its hours, of the last three years.
 * A mark that cannot be reckoned with is left out and named; it stops nobody's work.
 */
export async function paceOf(firmId: string): Promise<{ pace: Record<string, Pace>; leftOut: LeftOut[] }> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<Pace & { code: string }>(
      `with told as materialized (${TOLD}), sound as materialized (select * from told where ${SOUND})
       select code, percentile_cont(0.5) within group (order by area_m2 * share / hours) as "m2PerCrewH",
         count(*)::integer as jobs from sound group by code`,
      [firmId],
    )
    const { rows: bad } = await client.query<{ client: string; task: string; day: string }>(
      `with told as materialized (${TOLD}) select client, task, done_on as day from told
        where area_m2 is not null and not (${SOUND}) order by done_on desc limit 20`,
      [firmId],
    )
    return {
      pace: Object.fromEntries(rows.map(({ code, m2PerCrewH, jobs }) => [code, { m2PerCrewH, jobs }])),
      leftOut: bad.map(({ client: name, task, day }) => ({
        what: `${task} at ${name}, ${day}`,
        why: 'its hours or area are out of bounds; take the mark back and mark it again',
      })),
    }
  })
}
