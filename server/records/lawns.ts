import type { Lawn, NewLawn } from '#contract/lawn'
import { NO_ACCESS, NO_WATER, NO_WISHES, type Look } from '#contract/look'
import type { GrassCode } from '#core/grass/grasses'
import { inFirm } from './db'
import { keptLook, type KeptLook } from './keptLook'
import type { Author } from './firms'
import { NO_PLAN, PLAN_COLUMNS, planFrom, type PlanRow } from './plans'
import { roomFor } from './quotas'
import { replaceSurvey, SURVEY_COLUMNS } from './surveys'

/** A lawn as it is read: its plan in the plain columns of its table, and what was never asked as nothing. */
type LawnRow = Omit<Lawn, 'plan' | 'water' | 'access' | 'wishes'> & { plan: PlanRow | null } & {
  [K in 'water' | 'access' | 'wishes']: Partial<Lawn[K]> | null
}

/** Everything of a lawn in one question, so that it is of one moment. */
const SELECT = `
  select l.id, l.version, l.client, l.address, l.lat_deg as "latDeg", l.lon_deg as "lonDeg", l.height_m as "heightM",
    l.station_id as "stationId", l.grows_now as "growsNow",
    l.texture, l.nothing_put_on as "nothingPutOn", l.soil_test as "soilTest", l.water, l.access, l.wishes, l.underlay,
    l.updated_at as "savedAt", p.name as "savedBy", l.sun_wanted is distinct from l.sun_done as "sunAwaited", ${SURVEY_COLUMNS},
    coalesce((select json_agg(json_build_object('id', d.id, 'key', d.slip, 'doneOn', d.done_on, 'share', d.share,
      'passed', d.passed, 'hours', d.hours,
        'heightMm', d.height_mm, 'passes', d.passes, 'massKg', d.mass_kg, 'volumeM3', d.volume_m3, 'areaM2', d.area_m2,
        'used', coalesce((select json_object_agg(m.item_id, -m.amount) from stock_moves m
          where m.firm_id = d.firm_id and m.mark_id = d.id), '{}'), 'weather', d.weather, 'note', d.note,
        'savedBy', (select name from people by where by.firm_id = d.firm_id and by.id = d.recorded_by)) order by d.done_on, d.recorded_at)
      from operations_done d where d.firm_id = l.firm_id and d.lawn_id = l.id), '[]') as done,
    (select row_to_json(plan) from (${PLAN_COLUMNS} where plans.firm_id = l.firm_id and plans.lawn_id = l.id) plan) as plan
  from lawns l left join people p on p.firm_id = l.firm_id and p.id = l.updated_by`

const lawnFrom = (row: LawnRow): Lawn => ({
  ...row,
  plan: row.plan ? planFrom(row.plan) : NO_PLAN,
  water: { ...NO_WATER, ...row.water },
  access: { ...NO_ACCESS, ...row.access },
  wishes: { ...NO_WISHES, ...row.wishes },
})

/** Something the plan cannot do without is missing of one of its zones. */
const HAS_OPEN_ZONE = `exists (select from zones z where z.firm_id = l.firm_id and z.lawn_id = l.id
  and (z.grass is null or z.bare_share is null or z.area_m2 is null or z.mowing_height_mm is null or z.plugs_mm = '{}'
    or coalesce(z.sun_hours, z.sun_by_month_h[1]) is null))`

/** @param which only these, or only the first so many: those to survey before those to sow, by sowing day */
export async function lawnsOf(
  firmId: string,
  which: { ids?: readonly string[]; first?: number } = {},
): Promise<Lawn[]> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<LawnRow>(
      `${SELECT} left join plans due on due.firm_id = l.firm_id and due.lawn_id = l.id
       where l.firm_id = $1 and ($2::uuid[] is null or l.id = any($2))
       order by not ${HAS_OPEN_ZONE}, due.sow_on nulls last, l.client, l.id limit $3`,
      [firmId, which.ids ?? null, which.first ?? null],
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

/** The grass that most zones of the firm want; undefined while none wants any. */
export async function commonGrass(firmId: string): Promise<GrassCode | undefined> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<{ grass: GrassCode }>(
      `select grass from zones where firm_id = $1 and grass is not null group by grass
        order by count(*) desc, grass limit 1`,
      [firmId],
    )
    return rows[0]?.grass
  })
}

/**
 * A new lawn is one zone, and stands where the firm's home station stands until its own place is entered. Asked twice
 * under one id, as by a double click or after a lost answer, it is there once.
 */
export async function addLawn(by: Author, lawn: NewLawn): Promise<Lawn | undefined> {
  await inFirm(by.firmId, async (client) => {
    const { rowCount } = await client.query(
      `insert into lawns (firm_id, id, updated_by, client, address, grows_now, lat_deg, lon_deg)
       select $1, $2, $3, $4, $5, $6, coalesce(max(lat_deg) filter (where home), max(lat_deg), 40),
              coalesce(max(lon_deg) filter (where home), max(lon_deg), 0)
       from stations where firm_id = $1
       on conflict (id) do nothing`,
      [by.firmId, lawn.id, by.personId, lawn.client, lawn.address, lawn.growsNow],
    )
    if (rowCount) {
      await roomFor(client, by.firmId, 'lawns')
      await client.query(
        `insert into zones (firm_id, lawn_id, name, area_typed, taped_m2, area_m2) values ($1, $2, 'Lawn', $3, $4, $4)`,
        [by.firmId, lawn.id, lawn.areaTyped, lawn.areaM2],
      )
    }
  })
  return lawnById(by.firmId, lawn.id)
}

export const saveLook = (by: Author, id: string, look: Look): Promise<boolean> => saveKeptLook(by, id, keptLook(look))

/**
 * Saves a survey. Its sun stays where nothing was drawn that it depends on; otherwise it is awaited from then on.
 * @returns false when somebody saved a newer version in the meantime, or the lawn is not the firm's
 */
export async function saveKeptLook({ firmId, personId }: Author, id: string, kept: KeptLook): Promise<boolean> {
  const { look, areasM2, sunWanted } = kept
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update lawns set client = $4, address = $5, lat_deg = $6, lon_deg = $7, station_id = $8, grows_now = $9, texture = $10, nothing_put_on = $11,
         soil_test = $12, water = $13, access = $14, wishes = $15, underlay = $16, updated_by = $17, height_m = $18,
         sun_wanted = $19, sun_done = case when sun_done = $19 then sun_done end, version = version + 1, updated_at = now()
       where firm_id = $1 and id = $2 and version = $3`,
      [
        firmId,
        id,
        look.version,
        look.client,
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
      ],
    )
    if (!rowCount) return false
    const { rows } = await client.query<{ id: string; sunByMonthH: number[] | null }>(
      `select z.id, z.sun_by_month_h as "sunByMonthH" from zones z join lawns l on l.firm_id = z.firm_id and l.id = z.lawn_id
       where z.firm_id = $1 and z.lawn_id = $2 and l.sun_done is not null`,
      [firmId, id],
    )
    const sunBefore = new Map(rows.map((zone) => [zone.id, zone.sunByMonthH]))
    const measured = Object.fromEntries(
      Object.keys(look.zones).map((zoneId) => [
        zoneId,
        { areaM2: areasM2[zoneId] ?? null, sunByMonthH: sunBefore.get(zoneId) ?? null },
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
    return rowCount === 1
  })
}
