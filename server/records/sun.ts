import type { ZoneMeasure } from '#core/site/zone'
import { inFirm } from './db'

/**
 * Keeps the sun of a plan; dropped where the plan was drawn anew meanwhile. @param wanted what it was worked out for
 */
export async function keepSun(
  firmId: string,
  lawnId: string,
  wanted: string,
  byZone: Readonly<Record<string, ZoneMeasure['sunByMonthH']>>,
): Promise<void> {
  await inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update lawns set sun_done = $3 where firm_id = $1 and id = $2 and sun_wanted = $3`,
      [firmId, lawnId, wanted],
    )
    if (!rowCount) return
    await client.query(
      `update zones z set sun_by_month_h = case when jsonb_typeof(told.value) = 'array' then array(select jsonb_array_elements_text(told.value)::float8) end
       from jsonb_each($3::jsonb) told where z.firm_id = $1 and z.lawn_id = $2 and z.id::text = told.key`,
      [firmId, lawnId, JSON.stringify(byZone)],
    )
  })
}
