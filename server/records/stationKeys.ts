import type { StationKey } from '#contract/delivery'
import type { Day } from '#core/measure/calendar'
import { dayIn } from '#core/measure/clock'
import { askOnce, inFirm, rowsOf } from './db'
import { roomFor } from './quotas'

/** A station that is delivered to by who is not signed in. */
export interface Delivered {
  firmId: string
  stationId: string
  today: Day
}

type Row = Omit<Delivered, 'today'> & { timeZone: string; now: string }
const delivered = ({ firmId, stationId, timeZone, now }: Row): Delivered => ({
  firmId,
  stationId,
  today: dayIn(timeZone, new Date(now)),
})

/** The station of a key by its hash. @returns undefined where there is none, or it was revoked */
export async function stationOfKey(hash: Buffer): Promise<(Delivered & { keyId: string }) | undefined> {
  const [row] = await askOnce<{ told: (Row & { keyId: string }) | null }>('select station_of_key($1) as told', [hash])
  return row?.told ? { ...delivered(row.told), keyId: row.told.keyId } : undefined
}

/** The station a folder of the operator is named after. */
export async function stationOfFolder(id: string): Promise<Delivered | undefined> {
  const [row] = await askOnce<{ told: Row | null }>('select station_of_folder($1) as told', [id])
  return row?.told ? delivered(row.told) : undefined
}

export const keysOf = (firmId: string, stationId: string): Promise<StationKey[]> =>
  rowsOf<StationKey>(
    firmId,
    `select id, name, made_at as "madeAt", used_at as "usedAt" from station_keys
     where firm_id = $1 and station_id = $2 order by made_at`,
    [firmId, stationId],
  )

export async function addKey(firmId: string, stationId: string, name: string, hash: Buffer): Promise<StationKey> {
  return inFirm(firmId, async (client) => {
    const { rows } = await client.query<StationKey>(
      `insert into station_keys (firm_id, station_id, name, secret_hash) values ($1, $2, $3, $4)
       returning id, name, made_at as "madeAt", used_at as "usedAt"`,
      [firmId, stationId, name, hash],
    )
    await roomFor(client, firmId, 'stationKeys')
    return rows[0]!
  })
}

/** @returns false where there is no such key */
export async function revokeKey(firmId: string, stationId: string, id: string): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      'delete from station_keys where firm_id = $1 and station_id = $2 and id = $3',
      [firmId, stationId, id],
    )
    return rowCount === 1
  })
}

export async function keyUsed(firmId: string, id: string): Promise<void> {
  await inFirm(firmId, (client) =>
    client.query('update station_keys set used_at = now() where firm_id = $1 and id = $2', [firmId, id]),
  )
}
