import type { ClientReads } from '#contract/firm'
import { inFirm, oneAtATime, type Queryable } from './db'

/** The client of a firm by name, there from now on. */
export async function clientNamed(client: Queryable, firmId: string, name: string): Promise<string> {
  // Two who write one new name at once make one client.
  await oneAtATime(client, firmId)
  const { rows } = await client.query<{ id: string }>(
    `select id from clients where firm_id = $1 and address_form(name) = address_form($2) order by created_at, id limit 1`,
    [firmId, name],
  )
  if (rows[0]) return rows[0].id
  const { rows: added } = await client.query<{ id: string }>(
    `insert into clients (firm_id, name) values ($1, $2) returning id`,
    [firmId, name],
  )
  return added[0]!.id
}

/**
 * Gives a lawn the client of this name. One who has this lawn alone is renamed, unless somebody is called so already; of
 * several lawns only this one goes to the other name.
 */
export async function giveToClient(client: Queryable, firmId: string, lawnId: string, name: string): Promise<void> {
  const { rows } = await client.query<{ id: string; name: string; alone: boolean; taken: boolean }>(
    `select c.id, c.name, (select count(*) = 1 from lawns where firm_id = $1 and client_id = c.id) as alone,
       exists (select from clients o where o.firm_id = $1 and o.id <> c.id and address_form(o.name) = address_form($3)) as taken
     from lawns l join clients c on c.firm_id = l.firm_id and c.id = l.client_id where l.firm_id = $1 and l.id = $2`,
    [firmId, lawnId, name],
  )
  const [now] = rows
  if (!now || now.name === name) return
  if (now.alone && !now.taken) {
    await client.query(`update clients set name = $3 where firm_id = $1 and id = $2`, [firmId, now.id, name])
    return
  }
  await client.query(`update lawns set client_id = $3 where firm_id = $1 and id = $2`, [
    firmId,
    lawnId,
    await clientNamed(client, firmId, name),
  ])
  await forgetClients(client, firmId)
}

/** How the client of a lawn reads, on all lawns of theirs. */
export async function clientReads(firmId: string, lawnId: string, { language, units }: ClientReads): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query(
      `update clients set language = $3, units = $4
        where firm_id = $1 and id = (select client_id from lawns where firm_id = $1 and id = $2)`,
      [firmId, lawnId, language, units],
    ),
  )
}

/** Clients without a lawn are nobody's any more. */
export const forgetClients = (client: Queryable, firmId: string) =>
  client.query(
    `delete from clients c where firm_id = $1 and not exists (select from lawns where firm_id = $1 and client_id = c.id)`,
    [firmId],
  )
