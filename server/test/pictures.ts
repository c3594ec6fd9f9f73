import piexif from 'piexifjs'

/** A green JPEG of 16 by 8 pixels. */
const GREEN =
  '/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDABsSFBcUERsXFhceHBsgKEIrKCUlKFE6PTBCYFVlZF9VXVtqeJmBanGQc1tdhbWGkJ6jq62rZ4C8ybqmx5moq6T/2wBDARweHigjKE4rK06kbl1upKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKSkpKT/wAARCAAIABADASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAT/xAAUEAEAAAAAAAAAAAAAAAAAAAAA/8QAFAEBAAAAAAAAAAAAAAAAAAAAA//EABQRAQAAAAAAAAAAAAAAAAAAAAD/2gAMAwEAAhEDEQA/AIQADf/Z'

export const greenJpeg = (): Buffer => Buffer.from(GREEN, 'base64')

/** The same with another size written into its frame header, as a lying file has it. */
export function claiming(widthPx: number, heightPx: number): Buffer {
  const bytes = greenJpeg()
  const frame = bytes.indexOf(Buffer.from([0xff, 0xc0]))
  bytes.writeUInt16BE(heightPx, frame + 5)
  bytes.writeUInt16BE(widthPx, frame + 7)
  return bytes
}

/** With what a camera writes into it: when, which way up, and where. */
export function taken(
  jpeg: Buffer,
  { orientation = 1, at = '2026:08:19 10:22:31', latDeg = 37.061, lonDeg = -79.382 } = {},
): Buffer {
  const exif = piexif.dump({
    '0th': { [piexif.ImageIFD.Orientation]: orientation, [piexif.ImageIFD.Make]: 'Nobody' },
    Exif: { [piexif.ExifIFD.DateTimeOriginal]: at },
    GPS: {
      [piexif.GPSIFD.GPSLatitudeRef]: latDeg < 0 ? 'S' : 'N',
      [piexif.GPSIFD.GPSLatitude]: piexif.GPSHelper.degToDmsRational(Math.abs(latDeg)),
      [piexif.GPSIFD.GPSLongitudeRef]: lonDeg < 0 ? 'W' : 'E',
      [piexif.GPSIFD.GPSLongitude]: piexif.GPSHelper.degToDmsRational(Math.abs(lonDeg)),
    },
  })
  return Buffer.from(piexif.insert(exif, jpeg.toString('binary')), 'binary')
}
