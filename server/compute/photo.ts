import { say, type Message } from '#core/explain/message'
import { imageSize } from 'image-size'
import { LONGEST_SIDE_PX, SMALL_SIDE_PX } from '#contract/photo'
import { barePicture } from './jpeg'

/** A picture that cannot be kept, in words for a field. */
export class BadPicture extends Error {
  constructor(
    readonly field: string,
    readonly said: Message,
  ) {
    super(said.key)
  }
}

export interface KeptPicture {
  bytes: Uint8Array
  widthPx: number
  heightPx: number
}

/** What a picture is, whatever it says: a JPEG of a size that is kept, with nothing else in it. */
function kept(base64: string, field: string, longestPx: number): KeptPicture {
  const sent = Buffer.from(base64, 'base64')
  const bytes = barePicture(sent)
  if (!bytes) throw new BadPicture(field, say('server.thisIsNoWhole'))
  let size: ReturnType<typeof imageSize>
  try {
    size = imageSize(bytes)
  } catch {
    throw new BadPicture(field, say('server.thisIsNoPicture'))
  }
  if (size.width < 1 || size.height < 1 || Math.max(size.width, size.height) > longestPx)
    throw new BadPicture(field, say('server.aPhotoIsKept', { longestPx }))
  return { bytes, widthPx: size.width, heightPx: size.height }
}

export interface KeptPhoto {
  whole: KeptPicture
  small: KeptPicture
}

/** Both pictures of a new photo, bare. @throws BadPicture in words */
export const keptPhoto = ({ jpeg, small }: { jpeg: string; small: string }): KeptPhoto => ({
  small: kept(small, 'small', SMALL_SIDE_PX),
  whole: kept(jpeg, 'jpeg', LONGEST_SIDE_PX),
})
