import type { Outline } from '#core/job/outline'
import { inFirm, rowsOf } from './db'
import { JOBS_FIRST } from './lawnRow'

/** The job in view: the open one, or the last. */
const VIEWED = `join lateral (select id, number, programme, sow_on, outcome, ended_on from jobs
  where firm_id = l.firm_id and lawn_id = l.id order by ${JOBS_FIRST} limit 1) j on true`

/**
 * Changes with everything that an outline of the job in view is worked out from of the lawn; null while its sun is awaited.
 * The build that works it out is $2: another may say other things of the same.
 */
const OWN = `case when l.sun_wanted is not distinct from l.sun_done then concat_ws('/', $2::text, j.id, l.revision) end`

/** Which lawns of a list: so many from one on, those to survey before those to sow, by sowing day. */
export interface ListPart {
  first: number
  from: number
}

/** A part of the list: `ListedLawn`s as JSON, each with its outline where that still is of the lawn as it stands. */
export async function listedLawns(firmId: string, engine: string, { first, from }: ListPart): Promise<string> {
  // The page is picked before anything else of its lawns is read: what is left out costs nothing.
  const [row] = await rowsOf<{ list: string }>(
    firmId,
    `with page as materialized (
         select l.id, row_number() over (order by l.lacking desc, l.sown_on, c.name, l.id) as place
         from lawns l join clients c on c.firm_id = l.firm_id and c.id = l.client_id
         where l.firm_id = $1 order by l.lacking desc, l.sown_on, c.name, l.id limit $3 offset $4)
       select coalesce(json_agg(json_build_object('id', l.id, 'client', c.name, 'address', l.address,
           'growsNow', l.grows_now, 'sample', l.sample,
           'areaM2', coalesce((select sum(z.area_m2) from zones z where z.firm_id = l.firm_id and z.lawn_id = l.id), 0),
           'job', json_build_object('id', j.id, 'number', j.number, 'programme', j.programme, 'sowOn', j.sow_on,
             'outcome', j.outcome, 'endedOn', j.ended_on),
           'outline', case when k.own = ${OWN} then k.outline end) order by page.place), '[]')::text as list
       from page join lawns l on l.id = page.id join clients c on c.firm_id = l.firm_id and c.id = l.client_id ${VIEWED}
         left join kept_outlines k on k.firm_id = l.firm_id and k.job_id = j.id
       where l.firm_id = $1`,
    [firmId, engine, first, from],
  )
  return row!.list
}

/** What is kept of an outline: by what it was worked out from, of the lawn itself and around it. */
export interface KeptOutline {
  lawnId: string
  jobId: string
  /** Null while the sun over the lawn is awaited: what is worked out meanwhile is not kept. */
  own: string | null
  /** Null where none is kept of the lawn as it stands. */
  around: string | null
  outline: Outline | null
}

export async function keptOutlines(firmId: string, engine: string, lawnIds: readonly string[]): Promise<KeptOutline[]> {
  const rows = await rowsOf<KeptOutline>(
    firmId,
    `select told."lawnId", told."jobId", told.own, case when k.own = told.own then k.around end as around,
         case when k.own = told.own then k.outline end as outline
       from (select l.id as "lawnId", j.id as "jobId", ${OWN} as own from lawns l ${VIEWED}
         where l.firm_id = $1 and l.id = any($3)) told
       left join kept_outlines k on k.firm_id = $1 and k.job_id = told."jobId"`,
    [firmId, engine, lawnIds],
  )
  return rows
}

/** Keeps outlines in the place of earlier ones; a job that is gone meanwhile is passed over. */
export async function keepOutlines(
  firmId: string,
  around: string,
  outlines: readonly { jobId: string; own: string; outline: Outline }[],
): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query(
      `insert into kept_outlines (firm_id, job_id, own, around, outline)
       select $1, j.id, o.own, $2, o.outline
         from json_to_recordset($3::json) as o ("jobId" uuid, own text, outline jsonb)
         join jobs j on j.firm_id = $1 and j.id = o."jobId" order by j.id
       on conflict (job_id) do update set own = excluded.own, around = excluded.around, outline = excluded.outline`,
      [firmId, around, JSON.stringify(outlines)],
    ),
  )
}

/** What a list is told of a job is worked out anew, and stands meanwhile. */
export async function outlineIsOld(firmId: string, jobId: string): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query(`update kept_outlines set around = '' where firm_id = $1 and job_id = $2`, [firmId, jobId]),
  )
}
