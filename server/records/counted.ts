import { said } from '#contract/said'
import type { LeftOut } from '#contract/context'
import type { StockLevels } from '#core/materials/stock'
import type { Pace } from '#core/job/hours'
import type { Amounts } from '#core/job/records'
import { rowsOf } from './db'

/** Crew hours and ground a pace is learned from; what lies outside was mistyped or damaged, and would overflow. */
const SOUND = 'hours between 0.01 and 400 and area_m2 between 0.1 and 200000 and share between 0.01 and 1'
const TOLD = `
  select d.task, regexp_replace(d.task, '-[0-9]+$', '') as code, d.done_on, d.share, d.hours, c.name as client,
    coalesce(d.area_m2, (select sum(z.area_m2) from zones z
      where z.firm_id = d.firm_id and z.lawn_id = d.lawn_id)) as area_m2
  from marks d join lawns l on l.firm_id = d.firm_id and l.id = d.lawn_id
    join clients c on c.firm_id = l.firm_id and c.id = l.client_id
  where d.firm_id = $1 and d.hours > 0 and d.task !~ '^own-' and d.recorded_at > now() - interval '3 years'`

/** The middle of what was marked done with its hours, of the last three years, by operation. */
const PACE = `
  select json_object_agg(code, json_build_object('m2PerCrewH', m2_per_crew_h, 'jobs', jobs)) from (
    select code, percentile_cont(0.5) within group (order by area_m2 * share / hours) as m2_per_crew_h,
      count(*)::integer as jobs from sound group by code) paces`
const UNSOUND = `
  select json_agg(json_build_object('client', client, 'task', task, 'day', done_on)) from (
    select client, task, done_on from told where area_m2 is not null and not (${SOUND})
      order by done_on desc limit 20) unsound`
/** Kg or m³ of each material that is not put away. */
const STOCK = `
  select json_object_agg(matter, on_hand) from (
    select i.matter, coalesce(sum(m.amount), 0) as on_hand
    from stock_items i left join stock_moves m on m.firm_id = i.firm_id and m.item_id = i.id
    where i.firm_id = $1 and not i.put_away group by i.matter) levels`
/** What all open jobs will use up, kg or m³ by material. */
const SPOKEN = `
  select json_object_agg(matter, amount) from (
    select w.key as matter, sum(w.value::text::float8) as amount
    from jobs j, jsonb_each(j.wanted) w where j.firm_id = $1 and j.outcome is null group by w.key) spoken`

/** How a firm works, as far as it is counted: what every plan of it goes by. */
export interface Counted {
  /** Ground a crew hour does, by operation. */
  pace: Record<string, Pace>
  /** Marks that cannot be reckoned with are left out and named; they stop nobody's work. */
  leftOut: LeftOut[]
  stock: StockLevels
  spokenFor: Amounts
}

/** Everything that is counted of a firm's work, in one question. */
export async function countedOf(firmId: string): Promise<Counted> {
  const [row] = await rowsOf<{
    pace: Counted['pace'] | null
    unsound: { client: string; task: string; day: string }[] | null
    stock: StockLevels | null
    spoken: Amounts | null
  }>(
    firmId,
    `with told as materialized (${TOLD}), sound as materialized (select * from told where ${SOUND})
       select (${PACE}) as pace, (${UNSOUND}) as unsound, (${STOCK}) as stock, (${SPOKEN}) as spoken`,
    [firmId],
  )
  const { pace, unsound, stock, spoken } = row!
  return {
    pace: pace ?? {},
    stock: stock ?? {},
    spokenFor: spoken ?? {},
    leftOut: (unsound ?? []).map(({ client: name, task, day }) => ({
      what: `${task} at ${name}, ${day}`,
      why: said('server.lawnsOutOfBounds'),
    })),
  }
}
