import type { Language } from '#words/message'
import type { Day } from '#core/measure/calendar'
import type { UnitSystem } from '#core/measure/figure'
import type { FirmSettings, Licence, Role } from '#contract/firm'
import type { Planning } from '#core/job/planningFigures'
import type { Practices } from '#core/job/decision/practices'
import { dayIn, daysLater } from '#core/measure/clock'
import { askOnce, inFirm, oneAtATime } from './db'

export interface Firm {
  id: string
  name: string
  units: UnitSystem
  currency: string
  timeZone: string
  language: Language
  grows: FirmSettings['grows']
  demo: boolean
  practices: Partial<Practices>
  planning: Partial<Planning>
  workingDays: number[]
  holidays: Day[]
  feedRules: FirmSettings['feedRules']
  hoursADay: number
  licences: Licence[]
  homeStationId: string | null
  version: number
}

export interface Person {
  id: string
  name: string
  email: string
  role: Role
  /** Null: the firm's. */
  units: UnitSystem | null
  /** Asked for a second thing when signing in. */
  secondFactor: boolean
}

/** Who is at work, for which firm, on which day. */
export interface AtWork {
  firm: Firm
  person: Person
  session: { id: string; seenAt: string }
  /** The moment by the firm's clock, ISO 8601. */
  now: string
  today: Day
  /** Change with its records, and with its stations and what they tell: until then what was read holds. */
  stamps: { records: number; stations: string }
}

/** What is written under: the firm whose row it becomes, and who wrote it. */
export interface Author {
  firmId: string
  personId: string
  /** When, by the firm's clock; without it by the machine's. */
  when?: { at: string; today: Day }
}

export const authorOf = ({ firm, person, now, today }: AtWork): Author => ({
  firmId: firm.id,
  personId: person.id,
  when: { at: now, today },
})

/** What a session claims; sealed, so it was true once. */
export interface Claim {
  firmId: string
  personId: string
  sessionId: string
}

/** The person of a session at work today; undefined once it was ended, or the person is no longer of the firm. */
export async function atWork({ firmId, personId, sessionId }: Claim): Promise<AtWork | undefined> {
  const [row] = await askOnce<{ work: Omit<AtWork, 'today'> | null }>('select at_work($1, $2, $3) as work', [
    firmId,
    personId,
    sessionId,
  ])
  if (!row?.work) return undefined
  const { work } = row
  return { ...work, today: dayIn(work.firm.timeZone, new Date(work.now)) }
}

/** Both have to know a zone before a firm may live by it: this server does by its contract, the database is asked. */
export async function zoneIsKnown(timeZone: string): Promise<boolean> {
  return (await askOnce(`select from pg_timezone_names where name = $1`, [timeZone])).length > 0
}

/** A new firm with its owner. @returns undefined when the address signs somebody in already */
export async function foundFirm(
  firm: { id: string; name: string; units: UnitSystem; currency: string; timeZone: string; language: Language },
  owner: { name: string; email: string; passwordHash: string },
): Promise<Author | undefined> {
  return inFirm(firm.id, async (client) => {
    await client.query(
      `insert into firms (id, name, units, currency, time_zone, language) values ($1, $2, $3, $4, $5, $6)`,
      [firm.id, firm.name, firm.units, firm.currency, firm.timeZone, firm.language],
    )
    const { rows } = await client.query<{ id: string }>(
      `insert into people (firm_id, name, email, role, password_hash) values ($1, $2, $3, 'owner', $4) returning id`,
      [firm.id, owner.name, owner.email, owner.passwordHash],
    )
    return { firmId: firm.id, personId: rows[0]!.id }
  }).catch((error: { code?: string }) => {
    if (error.code === '23505') return undefined
    throw error
  })
}

/** @returns false when a newer version is there already, or the home station is not the firm's */
export async function saveFirm(firmId: string, settings: FirmSettings): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update firms set name = $3, units = $4, currency = $5, time_zone = $6, practices = $7, working_days = $8, licences = $9, planning = $10, holidays = $11, hours_a_day = $12, language = $13, grows = $14, feed_rules = $15, version = version + 1
       where id = $1 and version = $2`,
      [
        firmId,
        settings.version,
        settings.name,
        settings.units,
        settings.currency,
        settings.timeZone,
        settings.practices,
        settings.workingDays,
        JSON.stringify(settings.licences),
        settings.planning,
        settings.holidays,
        settings.hoursADay,
        settings.language,
        settings.grows,
        settings.feedRules,
      ],
    )
    if (!rowCount) return false
    if (settings.homeStationId) {
      await oneAtATime(client, firmId)
      await client.query(
        `update stations set home = false where firm_id = $1 and home and id <> $2
          and exists (select from stations where firm_id = $1 and id = $2)`,
        [firmId, settings.homeStationId],
      )
      await client.query(`update stations set home = true where firm_id = $1 and id = $2`, [
        firmId,
        settings.homeStationId,
      ])
    }
    return true
  })
}

/** Moves the demo's clock. @returns false for a firm that lives by the machine's time */
export async function stepClock(firmId: string, days: number): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<{ standsAt: string; timeZone: string }>(
      `select clock_stands_at as "standsAt", time_zone as "timeZone" from firms
        where id = $1 and demo and clock_stands_at is not null for update`,
      [firmId],
    )
    const [clock] = rows
    if (!clock) return false
    await client.query(`update firms set clock_stands_at = $2 where id = $1`, [
      firmId,
      daysLater(clock.timeZone, new Date(clock.standsAt), days).toISOString(),
    ])
    return true
  })
}

/** Somebody of the demo, to be let in without a password; undefined where there is no demo. */
export async function demoPerson(role: Role): Promise<Author | undefined> {
  return (
    await askOnce<{ firmId: string; personId: string }>(
      `select firm_id as "firmId", id as "personId" from demo_person($1)`,
      [role],
    )
  )[0]
}
