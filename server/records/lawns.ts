import type { Application } from '#core/site/survey'
import type { Lawn, Look, NewLawn } from '#contract/lawn'
import { database, inTransaction, type Queryable } from './db'
import { donesOf, plansOf, NO_PLAN } from './plans'

type LawnRow = Omit<Lawn, 'plan' | 'done' | 'applications'>

const COLUMNS = `
  id, version, client, address, lat_deg as "latDeg", lon_deg as "lonDeg", station_id as "stationId", area_m2 as "areaM2",
  area_typed as "areaTyped", grows_now as "growsNow", grass, desirable_share as "desirableShare",
  weed_share as "weedShare", bare_share as "bareShare", thatch_mm as "thatchMm", mowing_height_mm as "mowingHeightMm",
  sun, texture, slope_share as "slopeShare"`

async function applicationsOf(client: Queryable, firmId: string, lawnIds: readonly string[]): Promise<Map<string, Application[]>> {
  const { rows } = await client.query<Application & { lawnId: string }>(
    `select lawn_id as "lawnId", ingredient, applied_on as "appliedOn", wait_days as "waitDays"
     from applications where firm_id = $1 and lawn_id = any($2) order by applied_on, id`, [firmId, lawnIds],
  )
  const byLawn = new Map<string, Application[]>()
  for (const { lawnId, ...application } of rows) byLawn.set(lawnId, [...(byLawn.get(lawnId) ?? []), application])
  return byLawn
}

async function completed(client: Queryable, firmId: string, rows: LawnRow[]): Promise<Lawn[]> {
  const ids = rows.map((row) => row.id)
  const applications = await applicationsOf(client, firmId, ids)
  const plans = await plansOf(client, firmId, ids)
  const dones = await donesOf(client, firmId, ids)
  return rows.map((row) => ({
    ...row,
    applications: applications.get(row.id) ?? [],
    plan: plans.get(row.id) ?? NO_PLAN,
    done: dones.get(row.id) ?? [],
  }))
}

export async function lawnsOf(firmId: string): Promise<Lawn[]> {
  const { rows } = await database().query<LawnRow>(`select ${COLUMNS} from lawns where firm_id = $1 order by client, id`, [firmId])
  return completed(database(), firmId, rows)
}

export async function lawnById(firmId: string, id: string, client: Queryable = database()): Promise<Lawn | undefined> {
  const { rows } = await client.query<LawnRow>(`select ${COLUMNS} from lawns where firm_id = $1 and id = $2`, [firmId, id])
  return (await completed(client, firmId, rows))[0]
}

/** A new lawn stands where the firm's home station stands until its own place is entered. */
export async function addLawn(firmId: string, lawn: NewLawn): Promise<Lawn> {
  const { rows } = await database().query<{ id: string }>(
    `insert into lawns (firm_id, client, address, area_m2, area_typed, grows_now, lat_deg, lon_deg)
     select $1, $2, $3, $4, $5, $6, coalesce(max(lat_deg) filter (where home), max(lat_deg), 40),
            coalesce(max(lon_deg) filter (where home), max(lon_deg), 0)
     from stations where firm_id = $1 returning id`,
    [firmId, lawn.client, lawn.address, lawn.areaM2, lawn.areaTyped, lawn.growsNow],
  )
  return (await lawnById(firmId, rows[0]!.id))!
}

/** @returns false when somebody saved a newer version in the meantime */
export async function saveLook(firmId: string, id: string, look: Look): Promise<boolean> {
  return inTransaction(async (client) => {
    const { rowCount } = await client.query(
      `update lawns set client = $4, address = $5, lat_deg = $6, lon_deg = $7, station_id = $8, area_m2 = $9, area_typed = $10,
         grows_now = $11, grass = $12, desirable_share = $13, weed_share = $14, bare_share = $15, thatch_mm = $16,
         mowing_height_mm = $17, sun = $18, texture = $19, slope_share = $20, version = version + 1, updated_at = now()
       where firm_id = $1 and id = $2 and version = $3`,
      [
        firmId, id, look.version, look.client, look.address, look.latDeg, look.lonDeg, look.stationId, look.areaM2,
        look.areaTyped, look.growsNow, look.grass, look.desirableShare, look.weedShare, look.bareShare, look.thatchMm,
        look.mowingHeightMm, look.sun, look.texture, look.slopeShare,
      ],
    )
    if (!rowCount) return false
    await client.query(`delete from applications where firm_id = $1 and lawn_id = $2`, [firmId, id])
    for (const { ingredient, appliedOn, waitDays } of look.applications) {
      await client.query(
        `insert into applications (firm_id, lawn_id, ingredient, applied_on, wait_days) values ($1, $2, $3, $4, $5)`,
        [firmId, id, ingredient, appliedOn, waitDays],
      )
    }
    return true
  })
}

export async function removeLawn(firmId: string, id: string): Promise<boolean> {
  const { rowCount } = await database().query(`delete from lawns where firm_id = $1 and id = $2`, [firmId, id])
  return rowCount === 1
}
