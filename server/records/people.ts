import type { UnitSystem } from '#core/quantity/figure'
import type { LinkMade, PersonListed, Role } from '#contract/firm'
import { asOwner, database, inFirm, type Queryable } from './db'
import type { Author, Claim } from './firms'

/** Who would sign in under an address. */
export interface AtTheDoor extends Claim {
  passwordHash: string | null
}

export async function personAtTheDoor(email: string): Promise<AtTheDoor | undefined> {
  const { rows } = await database().query<AtTheDoor>(
    `select id as "personId", firm_id as "firmId", password_hash as "passwordHash", session_number as "sessionNumber" from person_at_the_door($1)`, [email],
  )
  return rows[0]
}

export async function passwordHashOf({ firmId, personId }: Author): Promise<string | null> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<{ hash: string | null }>(`select password_hash as hash from people where firm_id = $1 and id = $2`, [firmId, personId])
    return rows[0]?.hash ?? null
  })
}

export async function peopleOf(firmId: string): Promise<PersonListed[]> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<PersonListed>(
      `select id, name, email, role, active from people where firm_id = $1 order by active desc, role, name, id`, [firmId],
    )
    return rows
  })
}

async function nextSession(client: Queryable, firmId: string, personId: string): Promise<Claim> {
  const { rows } = await client.query<{ n: number }>(
    `update people set session_number = session_number + 1 where firm_id = $1 and id = $2 returning session_number as n`, [firmId, personId],
  )
  return { firmId, personId, sessionNumber: rows[0]!.n }
}

/** Ends every session of a person. @returns the claim that a new one may make */
export const endSessions = ({ firmId, personId }: Author): Promise<Claim> => inFirm(firmId, (client) => nextSession(client, firmId, personId))

/** A new password ends every session that was opened with the old one. */
export async function changePassword({ firmId, personId }: Author, passwordHash: string): Promise<Claim> {
  return inFirm(firmId, async (client) => {
    await client.query(`update people set password_hash = $3 where firm_id = $1 and id = $2`, [firmId, personId, passwordHash])
    return nextSession(client, firmId, personId)
  })
}

export async function saveOwnUnits({ firmId, personId }: Author, units: UnitSystem | null): Promise<void> {
  await inFirm(firmId, (client) => client.query(`update people set units = $3 where firm_id = $1 and id = $2`, [firmId, personId, units]))
}

export type PersonChange = 'changed' | 'missing' | 'last owner'

/** Changes what somebody may do, or lets them go; a firm keeps one owner at least. Ends their sessions. */
export async function changePerson(firmId: string, personId: string, change: { role: Role; active: boolean }): Promise<PersonChange> {
  return inFirm(firmId, async (client) => {
    // One at a time, or two owners could let each other go.
    await client.query(`select from firms where id = $1 for update`, [firmId])
    const { rows: owners } = await client.query<{ id: string }>(`select id from people where firm_id = $1 and role = 'owner' and active`, [firmId])
    const stays = change.role === 'owner' && change.active
    if (!stays && owners.length === 1 && owners[0]!.id === personId) return 'last owner'
    const { rowCount } = await client.query(
      `update people set role = $3, active = $4, session_number = session_number + 1 where firm_id = $1 and id = $2`, [firmId, personId, change.role, change.active],
    )
    return rowCount ? 'changed' : 'missing'
  })
}

const LINK_DAYS = 7

/** Keeps a link by the hash of its secret. @returns undefined when the person it would reset is not of the firm */
export async function addLink(
  by: Author, secretHash: Buffer, link: { kind: 'invitation'; role: Role } | { kind: 'reset'; personId: string },
): Promise<Omit<LinkMade, 'secret'> | undefined> {
  return inFirm(by.firmId, async (client) => {
    const personId = link.kind === 'reset' ? link.personId : null
    // Only the newest reset of a person opens.
    if (personId) await client.query(`delete from entry_links where firm_id = $1 and person_id = $2 and used_at is null`, [by.firmId, personId])
    const { rows } = await client.query<Omit<LinkMade, 'secret'>>(
      `insert into entry_links (firm_id, kind, role, person_id, secret_hash, made_by, expires_at)
       select $1, $2, $3, $4::uuid, $5, $6, now() + make_interval(days => $7)
       where $4::uuid is null or exists (select from people where firm_id = $1 and id = $4::uuid and active)
       returning id, kind, expires_at as "expiresAt"`,
      [by.firmId, link.kind, link.kind === 'invitation' ? link.role : null, personId, secretHash, by.personId, LINK_DAYS],
    )
    return rows[0]
  })
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
}

/** The open link of a secret; undefined when it is used, too old, or none. */
export async function linkAtTheDoor(secretHash: Buffer): Promise<Link | undefined> {
  const { rows } = await database().query<Link>(
    `select id, firm_id as "firmId", kind, role, person_id as "personId", firm_name as "firmName", email from link_at_the_door($1)`, [secretHash],
  )
  return rows[0]
}

export type LinkUsed = Claim | 'used' | 'address taken'

/** Uses a link up: a new person of the firm, or a new password; whoever comes second finds it used. */
export async function useLink(link: Link, passwordHash: string, joining?: { name: string; email: string }): Promise<LinkUsed> {
  const { firmId } = link
  return inFirm(firmId, async (client): Promise<LinkUsed> => {
    const { rowCount } = await client.query(
      `update entry_links set used_at = now() where firm_id = $1 and id = $2 and used_at is null and expires_at > now()`, [firmId, link.id],
    )
    if (!rowCount) return 'used'
    if (link.personId) {
      await client.query(`update people set password_hash = $3 where firm_id = $1 and id = $2`, [firmId, link.personId, passwordHash])
      return nextSession(client, firmId, link.personId)
    }
    const { rows } = await client.query<{ id: string }>(
      `insert into people (firm_id, name, email, role, password_hash) values ($1, $2, $3, $4, $5) returning id`,
      [firmId, joining!.name, joining!.email, link.role, passwordHash],
    )
    return { firmId, personId: rows[0]!.id, sessionNumber: 1 }
  }).catch((error: { code?: string }) => {
    // Undone with the rest, so the link still opens for another address.
    if (error.code === '23505') return 'address taken'
    throw error
  })
}

/** A new password for an address, of whatever firm: only for whoever runs the server. Ends every session of it. */
export async function resetByAddress(address: string, passwordHash: string): Promise<boolean> {
  return asOwner(async (client) => {
    const { rowCount } = await client.query(
      `update people set password_hash = $2, session_number = session_number + 1 where lower(email) = lower($1) and active`, [address, passwordHash],
    )
    return rowCount === 1
  })
}
