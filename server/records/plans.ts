import type { Day } from '#core/measure/calendar'
import type { PlanSettings } from '#core/job/settings'
import type { Plan, PlanInput, PlanVersion } from '#contract/lawn'
import type { Work } from '#contract/work'
import { NO_WORK } from '#core/job/nothingDecided'
import { inFirm } from './db'
import type { Author } from './firms'

/** A lawn that nothing is decided about. */
export const NO_PLAN: Plan = {
  version: 0,
  programme: null,
  overruleNote: null,
  zonePlans: {},
  schools: {},
  blend: [],
  sowOn: null,
  settings: null,
  work: NO_WORK,
  savedAt: null,
  savedBy: null,
}

/** A plan as its table has it. */
export interface PlanRow {
  version: number
  programme: Plan['programme']
  overruleNote: string | null
  zonePlans: Plan['zonePlans']
  schools: Plan['schools']
  blend: Plan['blend']
  sowOn: Day | null
  seedRate: number | null
  purity: number
  germination: number
  coating: number
  ofBareSeed: boolean
  bags: PlanSettings['bags']
  analysis: string
  nitrogen: number
  coverMaterial: PlanSettings['coverMaterial']
  coverMm: number
  rakeMm: number
  scalpToMm: number
  work: Partial<Work>
  savedAt: string
  savedBy: string | null
}

export const planFrom = (row: PlanRow): Plan => ({
  version: row.version,
  programme: row.programme,
  overruleNote: row.overruleNote,
  zonePlans: row.zonePlans,
  schools: row.schools,
  blend: row.blend,
  sowOn: row.sowOn,
  savedAt: row.savedAt,
  savedBy: row.savedBy,
  work: { ...NO_WORK, ...row.work },
  settings:
    row.seedRate === null
      ? null
      : {
          seedRateGPerM2: row.seedRate,
          lot: {
            purityShare: row.purity,
            germinationShare: row.germination,
            coatingShare: row.coating,
            purityOfBareSeed: row.ofBareSeed,
          },
          bags: row.bags,
          starterAnalysis: row.analysis,
          starterNGPerM2: row.nitrogen,
          coverMaterial: row.coverMaterial,
          coverMm: row.coverMm,
          rakeMm: row.rakeMm,
          scalpToMm: row.scalpToMm,
        },
})

/** The columns of a plan by the names above. */
export const PLAN_COLUMNS = `
  select version, programme, overrule_note as "overruleNote", zone_plans as "zonePlans", schools, blend,
    sow_on as "sowOn",
    seed_rate_g_per_m2 as "seedRate", purity_share as purity, germination_share as germination, coating_share as coating,
    purity_of_bare_seed as "ofBareSeed", bags, starter_analysis as analysis, starter_n_g_per_m2 as nitrogen,
    cover_material as "coverMaterial", cover_mm as "coverMm", rake_mm as "rakeMm", scalp_to_mm as "scalpToMm", work,
    updated_at as "savedAt", (select name from people author where author.firm_id = plans.firm_id and author.id = plans.updated_by) as "savedBy"
  from plans`

/** Versions of a plan that are kept. */
const KEPT_VERSIONS = 200

/** Saves the first plan of a lawn or the next version of it. @returns false when a newer version is there already */
export async function savePlan({ firmId, personId }: Author, lawnId: string, plan: PlanInput): Promise<boolean> {
  const s = plan.settings
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<{ version: number }>(
      `insert into plans as p (lawn_id, firm_id, programme, overrule_note, sow_on, seed_rate_g_per_m2, purity_share,
         germination_share, coating_share, purity_of_bare_seed, bags, starter_analysis, starter_n_g_per_m2, cover_material,
         cover_mm, rake_mm, scalp_to_mm, updated_by, zone_plans, schools, blend, work)
       select $2, $1, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20, $21, $22, $23
       from lawns where firm_id = $1 and id = $2 and ($3 = 0 or exists (select from plans where lawn_id = $2))
       on conflict (lawn_id) do update set programme = excluded.programme, overrule_note = excluded.overrule_note,
         sow_on = excluded.sow_on, seed_rate_g_per_m2 = excluded.seed_rate_g_per_m2, purity_share = excluded.purity_share,
         germination_share = excluded.germination_share, coating_share = excluded.coating_share,
         purity_of_bare_seed = excluded.purity_of_bare_seed, bags = excluded.bags, starter_analysis = excluded.starter_analysis,
         starter_n_g_per_m2 = excluded.starter_n_g_per_m2, cover_material = excluded.cover_material, cover_mm = excluded.cover_mm,
         rake_mm = excluded.rake_mm, scalp_to_mm = excluded.scalp_to_mm, zone_plans = excluded.zone_plans, schools = excluded.schools, blend = excluded.blend, work = excluded.work, updated_by = excluded.updated_by, version = p.version + 1, updated_at = now()
       where p.version = $3::integer
       returning version`,
      [
        firmId,
        lawnId,
        plan.version,
        plan.programme,
        plan.overruleNote,
        plan.sowOn,
        s?.seedRateGPerM2 ?? null,
        s?.lot.purityShare ?? null,
        s?.lot.germinationShare ?? null,
        s?.lot.coatingShare ?? null,
        s?.lot.purityOfBareSeed ?? null,
        s ? JSON.stringify(s.bags) : null,
        s?.starterAnalysis ?? null,
        s?.starterNGPerM2 ?? null,
        s?.coverMaterial ?? null,
        s?.coverMm ?? null,
        s?.rakeMm ?? null,
        s?.scalpToMm ?? null,
        personId,
        plan.zonePlans,
        plan.schools,
        JSON.stringify(plan.blend),
        plan.work,
      ],
    )
    const version = rows[0]?.version
    if (version === undefined) return false
    // So far back nobody looks; the rest stays.
    await client.query(`delete from plan_versions where firm_id = $1 and lawn_id = $2 and version <= $3`, [
      firmId,
      lawnId,
      version - KEPT_VERSIONS,
    ])
    await client.query(
      `insert into plan_versions (firm_id, lawn_id, version, plan, saved_by) values ($1, $2, $3, $4, $5)`,
      [firmId, lawnId, version, { ...plan, version }, personId],
    )
    return true
  })
}

/** Versions looked back at, at once. */
const MOST_VERSIONS = 40

/** The plan of a lawn as it was saved each time, the latest first. */
export async function versionsOf(firmId: string, lawnId: string): Promise<PlanVersion[]> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<PlanVersion>(
      `select v.plan, v.saved_at as "savedAt", p.name as "savedBy" from plan_versions v left join people p on p.firm_id = v.firm_id and p.id = v.saved_by
       where v.firm_id = $1 and v.lawn_id = $2 order by v.version desc limit $3`,
      [firmId, lawnId, MOST_VERSIONS],
    )
    return rows
  })
}
