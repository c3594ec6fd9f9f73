import type { UnitSystem } from '#core/measure/figure'
import type { LinkListed, LinkMade, PersonListed, Role } from '#contract/firm'
import { asOwner, askOnce, inFirm, oneAtATime, rowsOf, type Queryable } from './db'
import type { Author } from './firms'
import { roomFor } from './quotas'
import { endSessionsIn } from './sessions'

/** Who would sign in under an address. */
export interface AtTheDoor extends Author {
  passwordHash: string | null
  secondFactorOn: boolean
  /** Hashes of the addresses from which they are signed in, or were of late. */
  knownAt: string[]
}

/** @param address as it was typed: which addresses are one, `address_form` says */
export async function personAtTheDoor(address: string): Promise<AtTheDoor | undefined> {
  return (
    await askOnce<AtTheDoor & object>(
      `select id as "personId", firm_id as "firmId", password_hash as "passwordHash",
        second_factor_on as "secondFactorOn", known_at as "knownAt" from person_at_the_door($1)`,
      [address],
    )
  )[0]
}

export async function passwordHashOf({ firmId, personId }: Author): Promise<string | null> {
  const rows = await rowsOf<{ hash: string | null }>(
    firmId,
    `select password_hash as hash from people where firm_id = $1 and id = $2`,
    [firmId, personId],
  )
  return rows[0]?.hash ?? null
}

export async function peopleOf(firmId: string): Promise<PersonListed[]> {
  const rows = await rowsOf<PersonListed>(
    firmId,
    `select id, name, email, role, active from people where firm_id = $1 order by active desc, role, name, id`,
    [firmId],
  )
  return rows
}

/** A new password ends every session that was opened with the old one, but the one it is set in. */
export async function changePassword(
  { firmId, personId }: Author,
  passwordHash: string,
  here: string | null,
): Promise<void> {
  await inFirm(firmId, (client) => setPassword(client, { firmId, personId }, passwordHash, here))
}

async function setPassword(client: Queryable, of: Author, passwordHash: string, here: string | null): Promise<void> {
  await client.query(`update people set password_hash = $3 where firm_id = $1 and id = $2`, [
    of.firmId,
    of.personId,
    passwordHash,
  ])
  await endSessionsIn(client, of, here)
}

export async function saveOwnUnits({ firmId, personId }: Author, units: UnitSystem | null): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query(`update people set units = $3 where firm_id = $1 and id = $2`, [firmId, personId, units]),
  )
}

export type PersonChange = 'changed' | 'missing' | 'last owner'

/** Changes what somebody may do, or lets them go; a firm keeps one owner at least. Ends their sessions. */
export async function changePerson(
  firmId: string,
  personId: string,
  change: { role: Role; active: boolean },
): Promise<PersonChange> {
  return inFirm(firmId, async (client) => {
    // One at a time, or two owners could let each other go.
    await oneAtATime(client, firmId)
    const { rows: owners } = await client.query<{ id: string }>(
      `select id from people where firm_id = $1 and role = 'owner' and active`,
      [firmId],
    )
    const stays = change.role === 'owner' && change.active
    if (!stays && owners.length === 1 && owners[0]!.id === personId) return 'last owner'
    const { rowCount } = await client.query(`update people set role = $3, active = $4 where firm_id = $1 and id = $2`, [
      firmId,
      personId,
      change.role,
      change.active,
    ])
    if (!rowCount) return 'missing'
    await endSessionsIn(client, { firmId, personId })
    // What they handed out goes with their right to; what was made out to them goes with them.
    if (!stays)
      await client.query(`delete from entry_links where firm_id = $1 and made_by = $2 and used_at is null`, [
        firmId,
        personId,
      ])
    if (!change.active)
      await client.query(`delete from entry_links where firm_id = $1 and person_id = $2 and used_at is null`, [
        firmId,
        personId,
      ])
    return 'changed'
  })
}

const LINK_DAYS = 7

/** Keeps a link by the hash of its secret. @returns undefined when the person it would reset is not of the firm */
export async function addLink(
  by: Author,
  secretHash: Buffer,
  link: { kind: 'invitation'; role: Role } | { kind: 'reset'; personId: string },
): Promise<Omit<LinkMade, 'secret'> | undefined> {
  return inFirm(by.firmId, async (client) => {
    const personId = link.kind === 'reset' ? link.personId : null
    // Against somebody who is let go at this very moment.
    await oneAtATime(client, by.firmId)
    await client.query(`delete from entry_links where firm_id = $1 and expires_at < now() - interval '30 days'`, [
      by.firmId,
    ])
    // Only the newest reset of a person opens.
    if (personId)
      await client.query(`delete from entry_links where firm_id = $1 and person_id = $2 and used_at is null`, [
        by.firmId,
        personId,
      ])
    const { rows } = await client.query<Omit<LinkMade, 'secret'>>(
      `insert into entry_links (firm_id, kind, role, person_id, secret_hash, made_by, expires_at)
       select $1, $2, $3, $4::uuid, $5, $6, now() + make_interval(days => $7)
       where exists (select from people where firm_id = $1 and id = $6 and active and role = 'owner')
         and ($4::uuid is null or exists (select from people where firm_id = $1 and id = $4::uuid and active))
       returning id, kind, expires_at as "expiresAt"`,
      [
        by.firmId,
        link.kind,
        link.kind === 'invitation' ? link.role : null,
        personId,
        secretHash,
        by.personId,
        LINK_DAYS,
      ],
    )
    await roomFor(client, by.firmId, 'links')
    return rows[0]
  })
}

/** Links that would still open, the newest first. */
export async function openLinks(firmId: string): Promise<LinkListed[]> {
  const rows = await rowsOf<LinkListed>(
    firmId,
    `select l.id, l.kind, l.role, p.name as "forWhom", m.name as "madeBy", l.made_at as "madeAt", l.expires_at as "expiresAt"
     from entry_links l join people m on m.firm_id = l.firm_id and m.id = l.made_by and m.active and m.role = 'owner'
     left join people p on p.firm_id = l.firm_id and p.id = l.person_id
     where l.firm_id = $1 and l.used_at is null and l.expires_at > now() and (l.person_id is null or p.active)
       order by l.made_at desc, l.id limit 100`,
    [firmId],
  )
  return rows
}

/** Takes a link back before it is used. @returns false where it was used, or taken back already */
export async function revokeLink(firmId: string, id: string): Promise<boolean> {
  const { rowCount } = await inFirm(firmId, (client) =>
    client.query(`delete from entry_links where firm_id = $1 and id = $2 and used_at is null`, [firmId, id]),
  )
  return rowCount === 1
}

export interface Link {
  id: string
  firmId: string
  kind: 'invitation' | 'reset'
  role: Role | null
  personId: string | null
  firmName: string
  /** Of the person to be reset. */
  email: string | null
  madeBy: string
  secondFactorOn: boolean
}

/** The open link of a secret; undefined when it is used, too old, or none. */
export async function linkAtTheDoor(secretHash: Buffer): Promise<Link | undefined> {
  return (
    await askOnce<Link & object>(
      `select id, firm_id as "firmId", kind, role, person_id as "personId", firm_name as "firmName", email,
        made_by as "madeBy", second_factor_on as "secondFactorOn" from link_at_the_door($1)`,
      [secretHash],
    )
  )[0]
}

export type LinkUsed = Author | 'used' | 'address taken'

/** Uses a link up: a new person of the firm, or a new password; whoever comes second finds it used. */
export async function useLink(
  link: Link,
  passwordHash: string,
  joining?: { name: string; email: string },
): Promise<LinkUsed> {
  const { firmId } = link
  return inFirm(firmId, async (client): Promise<LinkUsed> => {
    const { rowCount } = await client.query(
      `update entry_links l set used_at = now() where firm_id = $1 and id = $2 and used_at is null and expires_at > now()
         and exists (select from people where firm_id = $1 and id = l.made_by and active and role = 'owner')
         and (person_id is null or exists (select from people where firm_id = $1 and id = l.person_id and active))`,
      [firmId, link.id],
    )
    if (!rowCount) return 'used'
    if (link.personId) {
      const person = { firmId, personId: link.personId }
      await setPassword(client, person, passwordHash, null)
      return person
    }
    const { rows } = await client.query<{ id: string }>(
      `insert into people (firm_id, name, email, role, password_hash) values ($1, $2, $3, $4, $5) returning id`,
      [firmId, joining!.name, joining!.email, link.role, passwordHash],
    )
    await roomFor(client, firmId, 'people')
    return { firmId, personId: rows[0]!.id }
  }).catch((error: { code?: string }) => {
    // Undone with the rest, so the link still opens for another address.
    if (error.code === '23505') return 'address taken'
    throw error
  })
}

/**
 * A new password for an address, of whatever firm, and no second factor: only for whoever runs the server. Ends every
 * session of it.
 */
export async function resetByAddress(address: string, passwordHash: string): Promise<boolean> {
  return asOwner(async (client) => {
    const { rows } = await client.query<{ id: string }>(
      `update people set password_hash = $2, second_factor = null, second_factor_on = false, second_factor_step = null
        where address_form(email) = address_form($1) and active returning id`,
      [address, passwordHash],
    )
    for (const table of ['sessions', 'recovery_codes'])
      await client.query(`delete from ${table} where person_id = any($1)`, [rows.map(({ id }) => id)])
    return rows.length === 1
  })
}
