import type { Day } from '#core/quantity/calendar'
import type { UnitSystem } from '#core/quantity/figure'
import { database } from './db'

export interface Firm {
  id: string
  name: string
  units: UnitSystem
  currency: string
  timeZone: string
  demo: boolean
}

/** The firm at work. Until people sign in there is one: the oldest. */
export async function firmAtWork(): Promise<Firm | undefined> {
  const { rows } = await database().query<Firm>(
    `select id, name, units, currency, time_zone as "timeZone", demo from firms order by created_at, id limit 1`,
  )
  return rows[0]
}

/** Today in the firm's time zone, by the one clock. */
export async function todayOf(firm: Pick<Firm, 'timeZone'>): Promise<Day> {
  const { rows } = await database().query<{ today: Day }>(
    `select (coalesce(stands_at, now()) at time zone $1)::date as today from clock`, [firm.timeZone],
  )
  return rows[0]!.today
}
