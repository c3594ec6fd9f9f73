import type { Day } from '#core/quantity/calendar'
import type { DoneTold } from '#contract/work'
import type { Pace } from '#core/programme/hours'
import { inFirm } from './db'
import type { Author } from './firms'
import { giveBack, useUp } from './stock'

/**
 * Marking a day twice, as a double click does, keeps one mark; marking the whole again on another day corrects it.
 * @returns false where the shares of several days would make more than the whole
 */
export async function markDone({ firmId, personId }: Author, lawnId: string, slip: string, told: DoneTold): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    // Two people who mark parts of one slip come one after the other.
    await client.query(`select from lawns where firm_id = $1 and id = $2 for update`, [firmId, lawnId])
    if (told.share === 1) await client.query(`delete from operations_done where firm_id = $1 and lawn_id = $2 and slip = $3 and done_on <> $4`, [firmId, lawnId, slip, told.doneOn])
    const { rows } = await client.query<{ share: number }>(`select coalesce(sum(share), 0) as share from operations_done where firm_id = $1 and lawn_id = $2 and slip = $3 and done_on <> $4`, [firmId, lawnId, slip, told.doneOn])
    if (rows[0]!.share + told.share > 1.005) return false
    await giveBack(client, firmId, { lawnId, slip, doneOn: told.share === 1 ? null : told.doneOn })
    await client.query(
      `insert into operations_done (firm_id, lawn_id, slip, done_on, recorded_by, share, passed, hours, height_mm, passes, mass_kg, weather, note, volume_m3, area_m2)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15)
       on conflict (lawn_id, slip, done_on) do update set share = excluded.share, passed = excluded.passed, hours = excluded.hours, height_mm = excluded.height_mm,
         passes = excluded.passes, mass_kg = excluded.mass_kg, weather = excluded.weather, note = excluded.note, volume_m3 = excluded.volume_m3, area_m2 = excluded.area_m2, recorded_by = excluded.recorded_by, recorded_at = now()`,
      [firmId, lawnId, slip, told.doneOn, personId, told.share, told.passed, told.hours, told.heightMm, told.passes, told.massKg, told.weather, told.note, told.volumeM3, told.areaM2],
    )
    await useUp(client, { firmId, personId }, { lawnId, slip, doneOn: told.doneOn }, told.used)
    return true
  })
}

/** Takes the last mark of a slip back, or that of a day. */
export async function undoDone(firmId: string, lawnId: string, slip: string, day: Day | null = null): Promise<void> {
  await inFirm(firmId, async (client) => {
    const { rows } = await client.query<{ doneOn: Day }>(
      `delete from operations_done where firm_id = $1 and lawn_id = $2 and slip = $3
         and done_on = coalesce($4, (select max(done_on) from operations_done where firm_id = $1 and lawn_id = $2 and slip = $3))
       returning done_on as "doneOn"`, [firmId, lawnId, slip, day],
    )
    for (const { doneOn } of rows) await giveBack(client, firmId, { lawnId, slip, doneOn })
  })
}

/** Ground a crew hour does, by operation: the middle of what was marked done with its hours, of the last three years. */
export async function paceOf(firmId: string): Promise<Record<string, Pace>> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<Pace & { code: string }>(
      `select code, percentile_cont(0.5) within group (order by area_m2 * share / hours) as "m2PerCrewH", count(*)::integer as jobs
       from (select regexp_replace(d.slip, '-[0-9]+$', '') as code, d.share, d.hours,
               coalesce(d.area_m2, (select sum(z.area_m2) from zones z where z.firm_id = d.firm_id and z.lawn_id = d.lawn_id)) as area_m2
             from operations_done d
             where d.firm_id = $1 and d.hours > 0 and d.slip !~ '^own-' and d.recorded_at > now() - interval '3 years') told
       where area_m2 > 0 group by code`, [firmId],
    )
    return Object.fromEntries(rows.map(({ code, m2PerCrewH, jobs }) => [code, { m2PerCrewH, jobs }]))
  })
}
