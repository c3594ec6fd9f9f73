import { MOST_PHOTOS, type NewPhoto, type Photo, type PhotoWords } from '#contract/photo'
import type { KeptPhoto } from '../compute/photo'
import { inFirm, rowsOf } from './db'
import type { Author } from './firms'
import { roomFor } from './quotas'

const SELECT = `
  select f.id, f.job_id as "jobId", f.zone_id as "zoneId", f.note, f.taken_on as "takenOn", f.width_px as "widthPx",
    f.height_px as "heightPx",
    case when f.lat_deg is null then null else json_build_object('latDeg', f.lat_deg, 'lonDeg', f.lon_deg) end as place,
    f.added_at as "savedAt", p.name as "savedBy"
  from photos f left join people p on p.firm_id = f.firm_id and p.id = f.added_by`

/** Photos of a lawn without their pictures, those taken last first. */
export async function photosOf(firmId: string, lawnId: string): Promise<Photo[]> {
  const rows = await rowsOf<Photo>(
    firmId,
    `${SELECT} where f.firm_id = $1 and f.lawn_id = $2 order by coalesce(f.taken_on, f.added_at::date) desc, f.added_at desc`,
    [firmId, lawnId],
  )
  return rows
}

/** The picture itself. */
export async function pictureOf(
  firmId: string,
  lawnId: string,
  id: string,
  size: 'whole' | 'small',
): Promise<Buffer | undefined> {
  const rows = await rowsOf<{ picture: Buffer }>(
    firmId,
    `select ${size === 'small' ? 'small' : 'jpeg'} as picture from photos
        where firm_id = $1 and lawn_id = $2 and id = $3`,
    [firmId, lawnId, id],
  )
  return rows[0]?.picture
}

/**
 * Sent twice under one id, as after a lost answer, it is there once. @returns false when the lawn has as many as it
 * may
 */
export async function addPhoto(
  { firmId, personId }: Author,
  lawnId: string,
  photo: Omit<NewPhoto, 'jpeg' | 'small'>,
  { whole, small }: KeptPhoto,
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    // One at a time for a lawn, so that two browsers cannot both take the last place.
    await client.query(`select 1 from lawns where firm_id = $1 and id = $2 for update`, [firmId, lawnId])
    const { rows } = await client.query<{ count: number; there: boolean }>(
      `select count(*)::integer as count, coalesce(bool_or(id = $3), false) as there from photos
        where firm_id = $1 and lawn_id = $2`,
      [firmId, lawnId, photo.id],
    )
    if (rows[0]!.there) return true
    if (rows[0]!.count >= MOST_PHOTOS) return false
    await client.query(
      `insert into photos (firm_id, lawn_id, id, zone_id, note, taken_on, lat_deg, lon_deg, width_px, height_px, jpeg,
         small, added_by, job_id)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13,
         coalesce((select job_id from zones where firm_id = $1 and lawn_id = $2 and id = $4),
           (select id from jobs where firm_id = $1 and lawn_id = $2 and outcome is null order by number limit 1)))`,
      [
        firmId,
        lawnId,
        photo.id,
        photo.zoneId,
        photo.note,
        photo.takenOn,
        photo.place?.latDeg ?? null,
        photo.place?.lonDeg ?? null,
        whole.widthPx,
        whole.heightPx,
        Buffer.from(whole.bytes),
        Buffer.from(small.bytes),
        personId,
      ],
    )
    await roomFor(client, firmId, 'photos')
    return true
  })
}

export async function describePhoto(
  firmId: string,
  lawnId: string,
  id: string,
  { zoneId, note, takenOn }: PhotoWords,
): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    const { rowCount } = await client.query(
      `update photos set zone_id = $4, note = $5, taken_on = $6 where firm_id = $1 and lawn_id = $2 and id = $3`,
      [firmId, lawnId, id, zoneId, note, takenOn],
    )
    return rowCount === 1
  })
}

/** Takes a photo out; where it lay under the plan, that is bare after. */
export async function removePhoto(firmId: string, lawnId: string, id: string): Promise<boolean> {
  return inFirm(firmId, async (client) => {
    await client.query(
      `update lawns set underlay = null, version = version + 1
        where firm_id = $1 and id = $2 and underlay->>'photoId' = $3`,
      [firmId, lawnId, id],
    )
    const { rowCount } = await client.query(`delete from photos where firm_id = $1 and lawn_id = $2 and id = $3`, [
      firmId,
      lawnId,
      id,
    ])
    return rowCount === 1
  })
}
