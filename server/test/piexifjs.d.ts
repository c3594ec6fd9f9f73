/** Writes EXIF; the package brings no types. */
declare module 'piexifjs' {
  type Tags = Record<number, unknown>
  const piexif: {
    ImageIFD: Record<'Orientation' | 'Make', number>
    ExifIFD: Record<'DateTimeOriginal', number>
    GPSIFD: Record<'GPSLatitudeRef' | 'GPSLatitude' | 'GPSLongitudeRef' | 'GPSLongitude', number>
    GPSHelper: { degToDmsRational: (degrees: number) => unknown }
    dump: (exif: { '0th': Tags; Exif: Tags; GPS: Tags }) => string
    insert: (exif: string, jpeg: string) => string
  }
  export default piexif
}
