import type { Day } from '#core/measure/calendar'
import type { PlanSettings } from '#core/job/settings'
import type { Plan, PlanInput, PlanVersion } from '#contract/lawn'
import type { Work } from '#contract/work'
import { NO_WORK } from '#core/job/nothingDecided'
import type { Amounts } from '#core/job/records'
import type { Promised } from '#core/job/promise'
import type { Outcome } from '#core/job/states'
import { inFirm, rowsOf } from './db'
import type { Author } from './firms'

/** A plan as its table has it. */
export interface PlanRow {
  version: number
  programme: Plan['programme']
  overruleNote: string | null
  zonePlans: Plan['zonePlans']
  practices: Plan['practices']
  blend: Plan['blend']
  sowOn: Day | null
  seedRate: number | null
  purity: number
  germination: number
  coating: number
  ofBareSeed: boolean
  testedOn: Day | null
  bags: PlanSettings['bags']
  analysis: string
  nitrogen: number
  slow: number
  coverMaterial: PlanSettings['coverMaterial']
  coverMm: number
  rakeMm: number
  scalpToMm: number
  work: Partial<Work>
  savedAt: string
  savedBy: string | null
}

/** A job as its table has it, without its marks. */
export interface JobRow extends PlanRow {
  id: string
  number: number
  begunOn: Day
  confirmedOn: Day | null
  confirmedBy: string | null
  confirmedVersion: number | null
  outcome: Outcome | null
  endedOn: Day | null
  endedBy: string | null
  endingNote: string
  promised: Promised | null
  wanted: Amounts
}

export const planFrom = (row: PlanRow): Plan => ({
  version: row.version,
  programme: row.programme,
  overruleNote: row.overruleNote,
  zonePlans: row.zonePlans,
  practices: row.practices,
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
            testedOn: row.testedOn,
          },
          bags: row.bags,
          starterAnalysis: row.analysis,
          starterNGPerM2: row.nitrogen,
          starterSlowShare: row.slow,
          coverMaterial: row.coverMaterial,
          coverMm: row.coverMm,
          rakeMm: row.rakeMm,
          scalpToMm: row.scalpToMm,
        },
})

const nameOf = (column: string): string =>
  `(select name from people author where author.firm_id = jobs.firm_id and author.id = jobs.${column})`

/** The columns of a job by the names above. */
export const JOB_COLUMNS = `
  select jobs.id, number, begun_on as "begunOn", version, programme, overrule_note as "overruleNote",
    zone_plans as "zonePlans", practices, blend, sow_on as "sowOn",
    seed_rate_g_per_m2 as "seedRate", purity_share as purity, germination_share as germination, coating_share as coating,
    purity_of_bare_seed as "ofBareSeed", seed_tested_on as "testedOn", bags, starter_analysis as analysis, starter_n_g_per_m2 as nitrogen, starter_slow_share as slow,
    cover_material as "coverMaterial", cover_mm as "coverMm", rake_mm as "rakeMm", scalp_to_mm as "scalpToMm", work,
    case when version > 0 then updated_at end as "savedAt", ${nameOf('updated_by')} as "savedBy",
    confirmed_on as "confirmedOn", ${nameOf('confirmed_by')} as "confirmedBy", confirmed_version as "confirmedVersion",
    outcome, ended_on as "endedOn", ${nameOf('ended_by')} as "endedBy", ending_note as "endingNote", wanted, promised
  from jobs`

/** Versions of a plan that are kept. */
const KEPT_VERSIONS = 200

/**
 * Saves the next version of a job's plan.
 * @param confirmed the day, where this confirms its schedule, with what could be told of it; null leaves what was told before
 * @returns false when a newer version is there already, or the job has ended
 */
export async function savePlan(
  { firmId, personId, when }: Author,
  jobId: string,
  plan: PlanInput,
  confirmed?: { on: Day; promised: Promised | null },
): Promise<boolean> {
  const s = plan.settings
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update jobs set programme = $4, overrule_note = $5, sow_on = $6, seed_rate_g_per_m2 = $7, purity_share = $8,
         germination_share = $9, coating_share = $10, purity_of_bare_seed = $11, bags = $12, starter_analysis = $13,
         starter_n_g_per_m2 = $14, cover_material = $15, cover_mm = $16, rake_mm = $17, scalp_to_mm = $18,
         updated_by = $19, zone_plans = $20, practices = $21, blend = $22, work = $23, version = version + 1,
         updated_at = coalesce($24::timestamptz, now()),
         confirmed_on = coalesce($25, confirmed_on), confirmed_by = case when $25::date is null then confirmed_by else $19 end,
         confirmed_version = case when $25::date is null then confirmed_version else version + 1 end,
         starter_slow_share = $26, promised = coalesce($27, promised),
         seed_tested_on = $28
       where firm_id = $1 and id = $2 and version = $3 and outcome is null`,
      [
        firmId,
        jobId,
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
        plan.practices,
        JSON.stringify(plan.blend),
        plan.work,
        when?.at ?? null,
        confirmed?.on ?? null,
        s?.starterSlowShare ?? 0,
        confirmed?.promised ?? null,
        s?.lot.testedOn ?? null,
      ],
    )
    if (!rowCount) return false
    const version = plan.version + 1
    // So far back nobody looks; the rest stays.
    await client.query(`delete from plan_versions where firm_id = $1 and job_id = $2 and version <= $3`, [
      firmId,
      jobId,
      version - KEPT_VERSIONS,
    ])
    await client.query(
      `insert into plan_versions (firm_id, job_id, version, plan, saved_by, saved_at, confirmed)
       values ($1, $2, $3, $4, $5, coalesce($6::timestamptz, now()), $7)`,
      [firmId, jobId, version, { ...plan, version }, personId, when?.at ?? null, confirmed !== undefined],
    )
    return true
  })
}

/** Versions looked back at, at once. */
const MOST_VERSIONS = 40

/** The plan of a job as it was saved each time, the latest first. */
export async function versionsOf(firmId: string, jobId: string): Promise<PlanVersion[]> {
  const rows = await rowsOf<PlanVersion>(
    firmId,
    `select v.plan, v.saved_at as "savedAt", p.name as "savedBy", v.confirmed
       from plan_versions v left join people p on p.firm_id = v.firm_id and p.id = v.saved_by
       where v.firm_id = $1 and v.job_id = $2 order by v.version desc limit $3`,
    [firmId, jobId, MOST_VERSIONS],
  )
  return rows
}
