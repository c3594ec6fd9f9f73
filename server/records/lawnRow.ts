import { type Lawn, type JobBrief } from '#contract/lawn'
import { NO_ACCESS, NO_WISHES } from '#contract/look'
import { NO_WATER } from '#contract/water'
import type { Day } from '#core/measure/calendar'
import { stateOf, type Outcome } from '#core/job/states'
import { JOB_COLUMNS, planFrom, type JobRow } from './jobs'
import { SURVEY_COLUMNS } from './surveys'

type BriefRow = Omit<JobBrief, 'state'> & { outcome: Outcome | null; confirmedOn: Day | null }

/** A lawn as it is read: its jobs in the plain columns of their table, and what was never asked as nothing. */
export type LawnRow = Omit<Lawn, 'plan' | 'job' | 'jobs' | 'water' | 'access' | 'wishes'> & {
  job: JobRow
  jobs: BriefRow[]
} & {
  [K in 'water' | 'access' | 'wishes']: Partial<Lawn[K]> | null
}

/** Open jobs before those that ended, the oldest open one and the latest ended one first. */
export const JOBS_FIRST = `outcome is not null, case when outcome is null then number else -number end`

const ZONES_OF_JOB = `coalesce(j.zones_then, array(select z.id from zones z
  where z.firm_id = j.firm_id and z.job_id = j.id order by z.id))`

/** Marks of a job by the names of the contract. */
const MARKS = `coalesce((select json_agg(json_build_object('id', d.id, 'key', d.task, 'doneOn', d.done_on, 'share', d.share,
      'passed', d.passed, 'hours', d.hours,
        'heightMm', d.height_mm, 'passes', d.passes, 'massKg', d.mass_kg, 'volumeM3', d.volume_m3, 'areaM2', d.area_m2,
        'used', coalesce((select json_object_agg(m.item_id, -m.amount) from stock_moves m
          where m.firm_id = d.firm_id and m.mark_id = d.id), '{}'), 'weather', d.weather, 'note', d.note, 'against', d.against,
        'savedBy', (select name from people by where by.firm_id = d.firm_id and by.id = d.recorded_by)) order by d.done_on, d.recorded_at)
      from marks d where d.firm_id = l.firm_id and d.job_id = viewed.id), '[]')`

/** What was seen of a job, the oldest first. */
const SEEN = `coalesce((select json_agg(o.what || jsonb_build_object('id', o.id, 'kind', o.kind, 'seenOn', o.seen_on, 'note', o.note,
      'savedBy', (select name from people by where by.firm_id = o.firm_id and by.id = o.recorded_by)) order by o.seen_on, o.recorded_at)
      from observations o where o.firm_id = l.firm_id and o.job_id = viewed.id), '[]')`

const JOBS = `(select json_agg(json_build_object('id', j.id, 'number', j.number, 'programme', j.programme,
      'sowOn', j.sow_on, 'begunOn', j.begun_on, 'endedOn', j.ended_on, 'outcome', j.outcome,
      'confirmedOn', j.confirmed_on, 'zoneIds', ${ZONES_OF_JOB},
      'marks', coalesce((select json_agg(json_build_object('key', d.task, 'doneOn', d.done_on, 'share', d.share,
        'passed', d.passed) order by d.done_on, d.recorded_at) from marks d
        where d.firm_id = j.firm_id and d.job_id = j.id), '[]')) order by j.number desc)
      from jobs j where j.firm_id = l.firm_id and j.lawn_id = l.id)`

/**
 * Everything of a lawn in one question, so that it is of one moment. The job in view is `viewed`, as the caller joins it.
 */
export const LAWN_COLUMNS = `
  select l.id, l.version, l.client_id as "clientId", c.name as client,
    json_build_object('language', c.language, 'units', c.units) as "clientReads", l.address, l.lat_deg as "latDeg",
    l.lon_deg as "lonDeg", l.height_m as "heightM", l.station_id as "stationId", l.grows_now as "growsNow",
    l.texture, l.nothing_put_on as "nothingPutOn", l.soil_test as "soilTest", l.water, l.access, l.wishes, l.underlay, l.typed_as as "typedAs",
    l.updated_at as "savedAt", p.name as "savedBy", l.surveyed_on as "surveyedOn",
    l.sun_wanted is distinct from l.sun_done as "sunAwaited", ${SURVEY_COLUMNS},
    ${MARKS} as done, ${SEEN} as seen, ${JOBS} as jobs,
    (select row_to_json(job) from (${JOB_COLUMNS} where jobs.firm_id = l.firm_id and jobs.id = viewed.id) job) as job,
    coalesce((select json_agg(json_build_object('id', o.id, 'address', o.address) order by o.address, o.id)
      from (select o.id, o.address from lawns o where o.firm_id = l.firm_id and o.client_id = l.client_id
        and o.id <> l.id order by o.address, o.id limit 12) o), '[]') as "sameClient"
  from lawns l join clients c on c.firm_id = l.firm_id and c.id = l.client_id
    left join people p on p.firm_id = l.firm_id and p.id = l.updated_by`

function briefFrom({ outcome, confirmedOn, ...job }: BriefRow): JobBrief {
  const { programme, marks } = job
  return { ...job, state: stateOf({ programme, confirmedOn, outcome, marks }) }
}

export function lawnFrom({ job, jobs, ...row }: LawnRow): Lawn {
  const briefs = jobs.map(briefFrom)
  const { marks: _marks, ...brief } = briefs.find(({ id }) => id === job.id)!
  const { confirmedOn, confirmedBy, confirmedVersion, endedOn, endedBy, endingNote } = job
  return {
    ...row,
    jobs: briefs,
    job: {
      ...brief,
      confirmed: confirmedOn && { on: confirmedOn, by: confirmedBy, version: confirmedVersion! },
      wanted: job.wanted,
      promised: job.promised,
      ended: endedOn && { on: endedOn, by: endedBy, note: endingNote },
    },
    plan: planFrom(job),
    water: { ...NO_WATER, ...row.water },
    access: { ...NO_ACCESS, ...row.access },
    wishes: { ...NO_WISHES, ...row.wishes },
  }
}
