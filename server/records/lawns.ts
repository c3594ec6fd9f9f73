import { randomUUID } from 'node:crypto'
import type { Lawn } from '#contract/lawn'
import type { NewLawn } from '#contract/newLawn'
import type { Look } from '#contract/look'
import type { GrassCode } from '#core/grass/grasses'
import { inFirm, rowsOf, type Queryable } from './db'
import { keptLook, type KeptLook } from './keptLook'
import type { Author } from './firms'
import { clientNamed, forgetClients, giveToClient } from './clients'
import { roomFor } from './quotas'
import { JOBS_FIRST, lawnFrom, LAWN_COLUMNS, type LawnRow } from './lawnRow'
import { replaceSurvey } from './surveys'

/** The job in view: the one asked for, else the first of them. */
const viewing = (asked: string) => `
  join lateral (select id, sow_on from jobs where firm_id = l.firm_id and lawn_id = l.id and (${asked})
    order by ${JOBS_FIRST} limit 1) viewed on true`

/** Lawns by their ids, each with the open job in view, or the last. */
export async function lawnsOf(firmId: string, ids: readonly string[]): Promise<Lawn[]> {
  const rows = await rowsOf<LawnRow>(
    firmId,
    `${LAWN_COLUMNS} ${viewing('true')} where l.firm_id = $1 and l.id = any($2)`,
    [firmId, ids],
  )
  return rows.map(lawnFrom)
}

/** @param jobId the job to look at; without one the open one, or the last */
export async function lawnById(firmId: string, id: string, jobId?: string): Promise<Lawn | undefined> {
  const [row] = await rowsOf<LawnRow>(
    firmId,
    `${LAWN_COLUMNS} ${viewing('$3::uuid is null or id = $3')} where l.firm_id = $1 and l.id = $2`,
    [firmId, id, jobId ?? null],
  )
  return row && lawnFrom(row)
}

/** The grass that most zones of the firm want; undefined while none wants any. */
export async function commonGrass(firmId: string): Promise<GrassCode | undefined> {
  const [row] = await rowsOf<{ grass: GrassCode }>(
    firmId,
    `select grass from zones where firm_id = $1 and grass is not null group by grass
      order by count(*) desc, grass limit 1`,
    [firmId],
  )
  return row?.grass
}

/**
 * A new lawn is one zone, and stands where the firm's home station stands until its own place is entered. Asked twice
 * under one id, as by a double click or after a lost answer, it is there once.
 */
export async function addLawn(by: Author, lawn: NewLawn, { sample = false } = {}): Promise<Lawn | undefined> {
  await inFirm(by.firmId, async (client) => {
    const { rows } = await client.query(`select from lawns where id = $1`, [lawn.id])
    if (rows.length) return
    const { rowCount } = await client.query(
      `insert into lawns (firm_id, id, updated_by, client_id, address, grows_now, sample, lat_deg, lon_deg)
       select $1, $2, $3, $4, $5, $6, $7, coalesce(max(lat_deg) filter (where home), max(lat_deg), 40),
              coalesce(max(lon_deg) filter (where home), max(lon_deg), 0)
       from stations where firm_id = $1
       on conflict (id) do nothing`,
      [
        by.firmId,
        lawn.id,
        by.personId,
        await clientNamed(client, by.firmId, lawn.client),
        lawn.address,
        lawn.growsNow,
        sample,
      ],
    )
    if (rowCount) {
      await roomFor(client, by.firmId, 'lawns')
      const jobId = randomUUID()
      await client.query(
        `insert into jobs (firm_id, lawn_id, id, begun_on, updated_by)
         values ($1, $2, $3, coalesce($4::date, current_date), $5)`,
        [by.firmId, lawn.id, jobId, by.when?.today ?? null, by.personId],
      )
      await client.query(
        `insert into zones (firm_id, lawn_id, name, area_typed, taped_m2, area_m2, job_id)
         values ($1, $2, 'Lawn', $3, $4, $4, $5)`,
        [by.firmId, lawn.id, lawn.areaTyped, lawn.areaM2, jobId],
      )
    } else await forgetClients(client, by.firmId)
  })
  return lawnById(by.firmId, lawn.id)
}

export const saveLook = (by: Author, id: string, look: Look): Promise<boolean> =>
  saveKeptLook(by, { id }, keptLook(look))

/** The open job that new zones join: the one in view where that is open, without one the first; null for none. */
async function openJob(client: Queryable, firmId: string, lawnId: string, jobId?: string): Promise<string | null> {
  const { rows } = await client.query<{ id: string }>(
    `select id from jobs where firm_id = $1 and lawn_id = $2 and outcome is null and ($3::uuid is null or id = $3)
      order by number limit 1`,
    [firmId, lawnId, jobId ?? null],
  )
  return rows[0]?.id ?? null
}

/**
 * Saves a survey; zones that are new join the job in view. Its sun stays where nothing was drawn that it depends on;
 * otherwise it is awaited from then on.
 * @returns false when somebody saved a newer version in the meantime, or the lawn is not the firm's
 */
export async function saveKeptLook(
  { firmId, personId, when }: Author,
  { id, jobId }: { id: string; jobId?: string },
  kept: KeptLook,
): Promise<boolean> {
  const { look, areasM2, sunWanted } = kept
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update lawns set surveyed_on = coalesce($4::date, current_date), address = $5, lat_deg = $6, lon_deg = $7,
         station_id = $8, grows_now = $9, texture = $10, nothing_put_on = $11,
         soil_test = $12, water = $13, access = $14, wishes = $15, underlay = $16, updated_by = $17, height_m = $18,
         sun_wanted = $19, sun_done = case when sun_done = $19 then sun_done end, version = version + 1,
         updated_at = coalesce($20::timestamptz, now()), typed_as = $21
       where firm_id = $1 and id = $2 and version = $3`,
      [
        firmId,
        id,
        look.version,
        when?.today ?? null,
        look.address,
        look.latDeg,
        look.lonDeg,
        look.stationId,
        look.growsNow,
        look.texture,
        look.nothingPutOn,
        look.soilTest,
        look.water,
        look.access,
        look.wishes,
        look.underlay,
        personId,
        look.heightM,
        sunWanted,
        when?.at ?? null,
        look.typedAs,
      ],
    )
    if (!rowCount) return false
    await giveToClient(client, firmId, id, look.client)
    const { rows } = await client.query<{ id: string; sunByMonthH: number[] | null; jobId: string | null }>(
      `select z.id, case when l.sun_done is not null then z.sun_by_month_h end as "sunByMonthH", z.job_id as "jobId"
       from zones z join lawns l on l.firm_id = z.firm_id and l.id = z.lawn_id where z.firm_id = $1 and z.lawn_id = $2`,
      [firmId, id],
    )
    const before = new Map(rows.map((zone) => [zone.id, zone]))
    const joined = await openJob(client, firmId, id, jobId)
    const measured = Object.fromEntries(
      Object.keys(look.zones).map((zoneId) => [
        zoneId,
        {
          areaM2: areasM2[zoneId] ?? null,
          sunByMonthH: before.get(zoneId)?.sunByMonthH ?? null,
          jobId: before.has(zoneId) ? before.get(zoneId)!.jobId : joined,
        },
      ]),
    )
    await replaceSurvey(client, firmId, id, kept, measured)
    await roomFor(client, firmId, 'corners', 'depths')
    return true
  })
}

export async function removeLawn(firmId: string, id: string): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(`delete from lawns where firm_id = $1 and id = $2`, [firmId, id])
    await forgetClients(client, firmId)
    return rowCount === 1
  })
}
