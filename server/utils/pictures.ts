import { imageSize } from 'image-size'
import exifr from 'exifr'
import { LONGEST_SIDE_PX, SMALL_SIDE_PX } from '#contract/photo'
import { Refusal } from './refusal'

const refused = (field: string, message: string) => new Refusal(422, 'picture', `${message} Nothing was kept.`, { [field]: message })

/**
 * What a picture is, whatever it says: a JPEG of a size that is kept, with nothing in it of where or by which camera.
 * @throws Refusal in words
 */
async function judged(base64: string, field: string, longestPx: number): Promise<{ widthPx: number; heightPx: number }> {
  const bytes = Buffer.from(base64, 'base64')
  let size: ReturnType<typeof imageSize>
  try {
    size = imageSize(bytes)
  } catch {
    throw refused(field, 'This is no picture, or a damaged one.')
  }
  // A JPEG ends with its own mark: half a picture, of a lost connection, does not.
  if (size.type !== 'jpg' || bytes.at(-2) !== 0xff || bytes.at(-1) !== 0xd9) throw refused(field, 'This is no whole JPEG.')
  if (size.width < 1 || size.height < 1 || Math.max(size.width, size.height) > longestPx) throw refused(field, `A photo is kept at ${longestPx} pixels along its longer side at the most.`)
  const carried: unknown = await exifr.parse(bytes, { tiff: true, xmp: true, iptc: true, icc: false, jfif: false }).catch(() => 'unreadable')
  if (carried) throw refused(field, 'This picture still carries what its camera wrote into it.')
  return { widthPx: size.width, heightPx: size.height }
}

/** Both pictures of a new photo. @returns the size of the larger @throws Refusal in words */
export async function judgedPhoto({ jpeg, small }: { jpeg: string; small: string }): Promise<{ widthPx: number; heightPx: number }> {
  await judged(small, 'small', SMALL_SIDE_PX)
  return judged(jpeg, 'jpeg', LONGEST_SIDE_PX)
}
