import type { Feature } from '#core/site/sitePlan'
import type { Zone, ZoneMeasure } from '#core/site/zone'
import type { Queryable } from './db'
import { rowsOf, type KeptLook } from './keptLook'

/** Columns of a zone by the names of its contract; one list serves reading and writing. */
const ZONE = {
  name: 'name',
  order: 'place_in_list',
  areaFrom: 'area_from',
  areaTyped: 'area_typed',
  tapedM2: 'taped_m2',
  errorShare: 'error_share',
  sward: 'sward',
  grass: 'grass',
  desirableShare: 'desirable_share',
  weedShare: 'weed_share',
  coarseShare: 'coarse_share',
  bareShare: 'bare_share',
  counted: 'counted',
  barePatchy: 'bare_patchy',
  plugsMm: 'plugs_mm',
  driverMm: 'driver_mm',
  penetrometerKPa: 'penetrometer_kpa',
  mowingHeightMm: 'mowing_height_mm',
  keptMm: 'kept_mm',
  sunHours: 'sun_hours',
  slopeShare: 'slope_share',
  wear: 'wear',
  drainage: 'drainage',
  grubs: 'grubs',
  ground: 'ground',
  stones: 'stones',
  topsoilMm: 'topsoil_mm',
  thatchSoft: 'thatch_soft',
  coredOn: 'cored_on',
  swardMix: 'sward_mix',
  levelsSeen: 'levels_seen',
  hollows: 'hollows',
} as const satisfies Record<keyof Zone, string>
const MEASURE = { areaM2: 'area_m2', sunByMonthH: 'sun_by_month_h' } as const satisfies Record<
  keyof ZoneMeasure,
  string
>
const FEATURE = {
  kind: 'kind',
  name: 'name',
  points: 'points',
  holes: 'holes',
  zoneId: 'zone_id',
  heightM: 'height_m',
  radiusM: 'radius_m',
  depthMm: 'depth_mm',
  located: 'located',
} as const satisfies Record<keyof Feature, string>

const asObject = (columns: Record<string, string>, table: string): string =>
  `json_build_object(${Object.entries(columns)
    .map(([name, column]) => `'${name}', ${table}.${column}`)
    .join(', ')})`

/** Zones, what was worked out of them, and the plan of the lawn `l`, each by id. */
export const SURVEY_COLUMNS = `
    coalesce((select json_object_agg(z.id, ${asObject(ZONE, 'z')}) from zones z
      where z.firm_id = l.firm_id and z.lawn_id = l.id), '{}') as zones,
    coalesce((select json_object_agg(z.id, ${asObject(MEASURE, 'z')}) from zones z
      where z.firm_id = l.firm_id and z.lawn_id = l.id), '{}') as measured,
    coalesce((select sum(z.area_m2) from zones z where z.firm_id = l.firm_id and z.lawn_id = l.id), 0) as "areaM2",
    coalesce((select json_object_agg(f.id, ${asObject(FEATURE, 'f')}) from site_features f
      where f.firm_id = l.firm_id and f.lawn_id = l.id), '{}') as features,
    coalesce((select json_agg(json_build_object('ingredient', a.ingredient, 'product', a.product, 'rate', a.rate,
      'appliedOn', a.applied_on, 'waitDays', a.wait_days) order by a.applied_on, a.id)
      from applications a where a.firm_id = l.firm_id and a.lawn_id = l.id), '[]') as applications`

const ZONE_TYPES: Record<string, string> = {
  order: 'smallint',
  errorShare: 'double precision',
  sward: 'text',
  grass: 'text',
  counted: 'integer[]',
  barePatchy: 'boolean',
  levelsSeen: 'boolean',
  hollows: 'jsonb',
  name: 'text',
  areaFrom: 'text',
  areaTyped: 'text',
  wear: 'text',
  drainage: 'text',
  grubs: 'text',
  ground: 'text',
  stones: 'text',
  thatchSoft: 'boolean',
  coredOn: 'date',
  swardMix: 'jsonb',
  plugsMm: 'double precision[]',
  driverMm: 'double precision[]',
  penetrometerKPa: 'double precision[]',
  sunByMonthH: 'double precision[]',
}
const FEATURE_TYPES: Record<string, string> = {
  kind: 'text',
  name: 'text',
  points: 'jsonb',
  holes: 'jsonb',
  zoneId: 'uuid',
  located: 'boolean',
}

/** Rows from one JSON array: every name of the contract as a typed column. */
function insertFrom(table: string, columns: Record<string, string>, types: Record<string, string>): string {
  const names = Object.keys(columns)
  const typed = names.map((name) => `"${name}" ${types[name] ?? 'double precision'}`)
  return `insert into ${table} (firm_id, lawn_id, id, ${Object.values(columns).join(', ')})
    select $1, $2, r.id, ${names.map((name) => `r."${name}"`).join(', ')} from jsonb_to_recordset($3::jsonb) as r (id uuid, ${typed.join(', ')})`
}
const INSERT_ZONES = insertFrom('zones', { ...ZONE, ...MEASURE, jobId: 'job_id' }, { ...ZONE_TYPES, jobId: 'uuid' })
const INSERT_FEATURES = insertFrom('site_features', FEATURE, FEATURE_TYPES)

/** Puts zones, plan and history of a survey in place of those that were, within the caller's transaction. */
export async function replaceSurvey(
  client: Queryable,
  firmId: string,
  lawnId: string,
  { look, features }: KeptLook,
  measured: Record<string, ZoneMeasure & { jobId: string | null }>,
): Promise<void> {
  for (const table of ['applications', 'site_features', 'zones'])
    await client.query(`delete from ${table} where firm_id = $1 and lawn_id = $2`, [firmId, lawnId])
  await client.query(INSERT_ZONES, [firmId, lawnId, rowsOf(look.zones, measured)])
  // A photo of a zone that is gone stays, as one of the lawn.
  await client.query(
    `update photos set zone_id = null where firm_id = $1 and lawn_id = $2 and zone_id is not null
      and zone_id <> all($3::uuid[])`,
    [firmId, lawnId, Object.keys(look.zones)],
  )
  await client.query(INSERT_FEATURES, [firmId, lawnId, features])
  await client.query(
    `insert into applications (firm_id, lawn_id, ingredient, product, rate, applied_on, wait_days)
     select $1, $2, r.ingredient, r.product, r.rate, r."appliedOn", r."waitDays"
     from jsonb_to_recordset($3::jsonb) as r (ingredient text, product text, rate text, "appliedOn" date,
       "waitDays" integer)`,
    [firmId, lawnId, JSON.stringify(look.applications)],
  )
}
