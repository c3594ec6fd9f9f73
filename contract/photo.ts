import { said } from './said'
import { z } from 'zod'
import { between, daySchema, idSchema, text } from './fields'
import type { Saved } from './lawn'

/** Photos of one lawn. */
export const MOST_PHOTOS = 60
/** The longest side a photo is kept at, px: enough to tell a weed, and to draw over a plot. */
export const LONGEST_SIDE_PX = 2000
/** A photo as it is kept, bytes. */
export const MOST_JPEG_BYTES = 900_000
/** The small picture of the shelf. */
export const SMALL_SIDE_PX = 240
export const MOST_SMALL_BYTES = 40_000
/** A request that brings one: both pictures in base 64, with room for the words. */
export const MOST_PHOTO_REQUEST_BYTES = Math.ceil(((MOST_JPEG_BYTES + MOST_SMALL_BYTES) * 4) / 3) + 4096

const base64 = (mostBytes: number) =>
  z
    .base64()
    .min(100, said('contract.thisPictureIsEmpty'))
    .max(Math.ceil(mostBytes / 3) * 4, said('contract.largerThanKb', { mostBytes: Math.round(mostBytes / 1000) }))
const placeSchema = z.object({
  latDeg: between(-90, 90, said('contract.between90And90')),
  lonDeg: between(-180, 180, said('contract.between180And180')),
})

/** What is said of a photo, and can be changed. */
export const photoWordsSchema = z.object({
  takenOn: daySchema.nullable(),
  zoneId: idSchema.nullable(),
  note: text(200),
})
/** A new photo. Where it was taken comes only where somebody wanted it kept; the picture itself carries nothing. */
export const newPhotoSchema = photoWordsSchema.extend({
  id: idSchema,
  place: placeSchema.nullable(),
  jpeg: base64(MOST_JPEG_BYTES),
  small: base64(MOST_SMALL_BYTES),
})
export const photoSizeSchema = z.object({ small: z.literal('1').optional() })

export type PhotoWords = z.infer<typeof photoWordsSchema>
export type NewPhoto = z.infer<typeof newPhotoSchema>
export interface Photo extends PhotoWords, Saved {
  id: string
  /** The job it was taken in; null where that was never known. */
  jobId: string | null
  place: z.infer<typeof placeSchema> | null
  widthPx: number
  heightPx: number
}
