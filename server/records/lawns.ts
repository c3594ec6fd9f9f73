import type { GrassCode } from '#core/grass/grasses'
import type { Lawn, Look, NewLawn } from '#contract/lawn'
import { inFirm } from './db'
import type { Author } from './firms'
import { NO_PLAN, PLAN_COLUMNS, planFrom, type PlanRow } from './plans'

/** A lawn as it is read: its plan in the plain columns of its table. */
type LawnRow = Omit<Lawn, 'plan'> & { plan: PlanRow | null }

const COLUMNS = `
  l.id, l.version, l.client, l.address, l.lat_deg as "latDeg", l.lon_deg as "lonDeg", l.station_id as "stationId", l.area_m2 as "areaM2",
  l.area_typed as "areaTyped", l.grows_now as "growsNow", l.grass, l.desirable_share as "desirableShare",
  l.weed_share as "weedShare", l.bare_share as "bareShare", l.thatch_mm as "thatchMm", l.mowing_height_mm as "mowingHeightMm",
  l.sun, l.texture, l.slope_share as "slopeShare", l.updated_at as "savedAt", p.name as "savedBy"`
/** Everything of a lawn in one question, so that it is of one moment. */
const SELECT = `
  select ${COLUMNS},
    coalesce((select json_agg(json_build_object('ingredient', a.ingredient, 'appliedOn', a.applied_on, 'waitDays', a.wait_days) order by a.applied_on, a.id)
      from applications a where a.firm_id = l.firm_id and a.lawn_id = l.id), '[]') as applications,
    coalesce((select json_agg(json_build_object('code', d.code, 'doneOn', d.done_on) order by d.done_on, d.recorded_at)
      from operations_done d where d.firm_id = l.firm_id and d.lawn_id = l.id), '[]') as done,
    (select row_to_json(plan) from (${PLAN_COLUMNS} where plans.firm_id = l.firm_id and plans.lawn_id = l.id) plan) as plan
  from lawns l left join people p on p.firm_id = l.firm_id and p.id = l.updated_by`

const lawnFrom = (row: LawnRow): Lawn => ({ ...row, plan: row.plan ? planFrom(row.plan) : NO_PLAN })

/** @param which only these, or only the first so many: those to survey before those to sow, by sowing day */
export async function lawnsOf(firmId: string, which: { ids?: readonly string[]; first?: number } = {}): Promise<Lawn[]> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<LawnRow>(
      `${SELECT} left join plans due on due.firm_id = l.firm_id and due.lawn_id = l.id
       where l.firm_id = $1 and ($2::uuid[] is null or l.id = any($2))
       order by l.sun is not null, due.sow_on nulls last, l.client, l.id limit $3`, [firmId, which.ids ?? null, which.first ?? null],
    )
    return rows.map(lawnFrom)
  })
}

export async function lawnById(firmId: string, id: string): Promise<Lawn | undefined> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<LawnRow>(`${SELECT} where l.firm_id = $1 and l.id = $2`, [firmId, id])
    return rows[0] && lawnFrom(rows[0])
  })
}

/** The grass that most lawns of the firm want; undefined while none wants any. */
export async function commonGrass(firmId: string): Promise<GrassCode | undefined> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<{ grass: GrassCode }>(
      `select grass from lawns where firm_id = $1 and grass is not null group by grass order by count(*) desc, grass limit 1`, [firmId],
    )
    return rows[0]?.grass
  })
}

/**
 * A new lawn stands where the firm's home station stands until its own place is entered. Asked twice under one id, as by
 * a double click or after a lost answer, it is there once.
 */
export async function addLawn(by: Author, lawn: NewLawn): Promise<Lawn | undefined> {
  await inFirm(by.firmId, (client) => client.query(
    `insert into lawns (firm_id, id, updated_by, client, address, area_m2, area_typed, grows_now, lat_deg, lon_deg)
     select $1, $2, $3, $4, $5, $6, $7, $8, coalesce(max(lat_deg) filter (where home), max(lat_deg), 40),
            coalesce(max(lon_deg) filter (where home), max(lon_deg), 0)
     from stations where firm_id = $1
     on conflict (id) do nothing`,
    [by.firmId, lawn.id, by.personId, lawn.client, lawn.address, lawn.areaM2, lawn.areaTyped, lawn.growsNow],
  ))
  return lawnById(by.firmId, lawn.id)
}

/** @returns false when somebody saved a newer version in the meantime */
export async function saveLook({ firmId, personId }: Author, id: string, look: Look): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update lawns set client = $4, address = $5, lat_deg = $6, lon_deg = $7, station_id = $8, area_m2 = $9, area_typed = $10,
         grows_now = $11, grass = $12, desirable_share = $13, weed_share = $14, bare_share = $15, thatch_mm = $16,
         mowing_height_mm = $17, sun = $18, texture = $19, slope_share = $20, updated_by = $21, version = version + 1, updated_at = now()
       where firm_id = $1 and id = $2 and version = $3`,
      [
        firmId, id, look.version, look.client, look.address, look.latDeg, look.lonDeg, look.stationId, look.areaM2,
        look.areaTyped, look.growsNow, look.grass, look.desirableShare, look.weedShare, look.bareShare, look.thatchMm,
        look.mowingHeightMm, look.sun, look.texture, look.slopeShare, personId,
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
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(`delete from lawns where firm_id = $1 and id = $2`, [firmId, id])
    return rowCount === 1
  })
}
