import { say } from '#core/explain/message'
import type { EndJob, NewJob } from '#contract/lawn'
import type { KeptJob, ZoneStood } from '#contract/keptJob'
import type { FieldCount } from '#core/learning/fieldShare'
import type { Day } from '#core/measure/calendar'
import { inFirm, rowsOf, type Queryable } from './db'
import type { Author } from './firms'
import { NoRoom } from './quotas'

/** Jobs of one lawn; two a year for half a century. */
const MOST_JOBS = 100

/** Those who begin or end jobs of one lawn come one after the other. */
const oneByOne = (client: Queryable, firmId: string, lawnId: string) =>
  client.query(`select from lawns where firm_id = $1 and id = $2 for update`, [firmId, lawnId])

/** Zones of a lawn that are in no open job, of those asked for. */
async function freeZones(client: Queryable, firmId: string, lawnId: string, ids: readonly string[]): Promise<number> {
  const { rows } = await client.query<{ free: number }>(
    `select count(*)::integer as free from zones where firm_id = $1 and lawn_id = $2 and id = any($3) and job_id is null`,
    [firmId, lawnId, ids],
  )
  return rows[0]!.free
}

/**
 * Begins a job on zones of a lawn. Asked twice under one id, it is there once.
 * @returns false where one of the zones is gone or in another open job
 */
export async function startJob(
  { firmId, personId }: Author,
  lawnId: string,
  { id, zoneIds, begunOn }: NewJob & { begunOn: Day },
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    await oneByOne(client, firmId, lawnId)
    const { rows } = await client.query<{ count: number; there: boolean }>(
      `select count(*)::integer as count, coalesce(bool_or(id = $3), false) as there from jobs
        where firm_id = $1 and lawn_id = $2`,
      [firmId, lawnId, id],
    )
    if (rows[0]!.there) return true
    if (rows[0]!.count >= MOST_JOBS) throw new NoRoom(say('server.thisLawnHasJobs', { MOST_JOBS }))
    if ((await freeZones(client, firmId, lawnId, zoneIds)) < new Set(zoneIds).size) return false
    const { rowCount } = await client.query(
      `insert into jobs (firm_id, lawn_id, id, number, begun_on, updated_by)
       select $1, $2, $3, coalesce(max(number), 0) + 1, $4, $5 from jobs where firm_id = $1 and lawn_id = $2
       on conflict (id) do nothing`,
      [firmId, lawnId, id, begunOn, personId],
    )
    if (!rowCount) return false
    await client.query(`update zones set job_id = $3 where firm_id = $1 and lawn_id = $2 and id = any($4)`, [
      firmId,
      lawnId,
      id,
      zoneIds,
    ])
    return true
  })
}

/**
 * Puts what stands on zones into the survey of a lawn, as its next version.
 * @param where only where this still stands, for what is taken back; nobody's later answer is lost
 */
async function putStands(
  client: Queryable,
  of: [firmId: string, lawnId: string],
  stands: Record<string, ZoneStood>,
  where?: Record<string, ZoneStood>,
): Promise<void> {
  const rows = Object.entries(stands).map(([id, stood]) => ({ id, ...stood, was: where?.[id] ?? null }))
  const { rowCount } = await client.query(
    `update zones z set sward = r.sward, sward_mix = '[]', counted = '{}', desirable_share = r."desirableShare",
       weed_share = r."weedShare", coarse_share = r."coarseShare", bare_share = r."bareShare"
     from jsonb_to_recordset($3::jsonb) as r (id uuid, sward text, "desirableShare" double precision,
       "weedShare" double precision, "coarseShare" double precision, "bareShare" double precision, was jsonb)
     where z.firm_id = $1 and z.lawn_id = $2 and z.id = r.id and (r.was is null
       or (z.sward = r.was->>'sward' and z.bare_share = (r.was->>'bareShare')::double precision))`,
    [...of, JSON.stringify(rows)],
  )
  // Whoever edits the survey meanwhile is shown both.
  if (rowCount) await client.query(`update lawns set version = version + 1 where firm_id = $1 and id = $2`, of)
}

/**
 * Ends a job and keeps how it was; its zones are free for the next.
 * @returns false when a newer version is there, or it has ended
 */
export async function endJob(
  { firmId, personId }: Author,
  { lawnId, jobId }: { lawnId: string; jobId: string },
  { version, outcome, note, endedOn, record }: Omit<EndJob, 'takeStands'> & { endedOn: Day; record: KeptJob },
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    await oneByOne(client, firmId, lawnId)
    const { rowCount } = await client.query(
      `update jobs set outcome = $4, ending_note = $5, ended_on = $6, ended_by = $7, record = $8,
         zones_then = array(select id from zones where firm_id = $1 and job_id = $2)
       where firm_id = $1 and id = $2 and version = $3 and outcome is null`,
      [firmId, jobId, version, outcome, note, endedOn, personId, record],
    )
    if (!rowCount) return false
    if (record.stands) await putStands(client, [firmId, lawnId], record.stands.after)
    await client.query(`update zones set job_id = null where firm_id = $1 and job_id = $2`, [firmId, jobId])
    return true
  })
}

/**
 * Takes the end of a job back.
 * @returns false where it is open, or one of its zones is gone or in another job by now
 */
export async function reopenJob(
  firmId: string,
  { lawnId, jobId }: { lawnId: string; jobId: string },
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    await oneByOne(client, firmId, lawnId)
    const { rows } = await client.query<{ zoneIds: string[]; stands: KeptJob['stands'] | null }>(
      `select zones_then as "zoneIds", record->'stands' as stands from jobs where firm_id = $1 and id = $2 and outcome is not null`,
      [firmId, jobId],
    )
    const zoneIds = rows[0]?.zoneIds
    if (!zoneIds || (await freeZones(client, firmId, lawnId, zoneIds)) < zoneIds.length) return false
    await client.query(
      `update jobs set outcome = null, ending_note = '', ended_on = null, ended_by = null, record = null, zones_then = null
       where firm_id = $1 and id = $2`,
      [firmId, jobId],
    )
    await client.query(`update zones set job_id = $3 where firm_id = $1 and lawn_id = $2 and id = any($4)`, [
      firmId,
      lawnId,
      jobId,
      zoneIds,
    ])
    const stands = rows[0]!.stands
    if (stands) await putStands(client, [firmId, lawnId], stands.before, stands.after)
    return true
  })
}

/** Closed jobs whose counts the firm's own figures are proposed from, the latest. */
const MOST_COUNTED = 400

/** What the counts of closed jobs say of the firm's beds. */
export async function fieldCountsIn(firmId: string): Promise<FieldCount[]> {
  const rows = await rowsOf<{ counts: FieldCount[] }>(
    firmId,
    `select record #> '{kept,fieldCounts}' as counts from jobs
      where firm_id = $1 and outcome = 'closed' and jsonb_array_length(record #> '{kept,fieldCounts}') > 0
      order by ended_on desc limit $2`,
    [firmId, MOST_COUNTED],
  )
  return rows.flatMap(({ counts }) => counts)
}

/** How a job was when it ended; undefined while it is open. */
export async function recordOf(firmId: string, jobId: string): Promise<KeptJob | undefined> {
  const rows = await rowsOf<{ record: KeptJob | null }>(
    firmId,
    `select record from jobs where firm_id = $1 and id = $2`,
    [firmId, jobId],
  )
  return rows[0]?.record ?? undefined
}
