import { inFirm, rowsOf } from './db'

/** Where a lawn lies and which station it was told to read. */
export interface LawnPlace {
  id: string
  client: string
  latDeg: number
  lonDeg: number
  heightM: number | null
  stationId: string | null
}

export const lawnPlaces = (firmId: string): Promise<LawnPlace[]> =>
  rowsOf<LawnPlace>(
    firmId,
    `select l.id, c.name as client, l.lat_deg as "latDeg", l.lon_deg as "lonDeg", l.height_m as "heightM",
       l.station_id as "stationId"
     from lawns l join clients c on c.firm_id = l.firm_id and c.id = l.client_id where l.firm_id = $1 order by c.name`,
    [firmId],
  )

/** Tells lawns which station to read. @param readsBy the station of each lawn by its id */
export async function readFrom(firmId: string, readsBy: Readonly<Record<string, string>>): Promise<void> {
  if (!Object.keys(readsBy).length) return
  await inFirm(firmId, (client) =>
    client.query(
      `update lawns l set station_id = t.station::uuid, version = version + 1
       from json_each_text($2::json) as t (lawn, station)
       where l.firm_id = $1 and l.id = t.lawn::uuid and l.station_id is distinct from t.station::uuid`,
      [firmId, JSON.stringify(readsBy)],
    ),
  )
}
