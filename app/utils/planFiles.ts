import type { GeoFile } from '#contract/planFile'

export type PlanFormat = 'geojson' | 'kml' | 'gpx'
export type ParsedFile = { ok: true; file: unknown } | { ok: false; message: string }

/** The format by what is in it, since names lie. */
function formatOf(text: string): PlanFormat | undefined {
  const start = text.slice(0, 2000)
  if (/^\s*[[{]/.test(start)) return 'geojson'
  if (/<kml\b/i.test(start)) return 'kml'
  if (/<gpx\b/i.test(start)) return 'gpx'
  return undefined
}

/** A drawing of any of the formats as GeoJSON in degrees. XML is read by OpenLayers, which loads only when it is wanted. */
export async function parsedFile(name: string, text: string): Promise<ParsedFile> {
  const format = formatOf(text)
  if (!format) return { ok: false, message: /\.kmz$/i.test(name) ? 'A KMZ is packed: save it as KML.' : 'This is neither GeoJSON, KML nor GPX.' }
  try {
    if (format === 'geojson') return { ok: true, file: JSON.parse(text) }
    if (new DOMParser().parseFromString(text, 'text/xml').querySelector('parsererror')) return { ok: false, message: `This ${format.toUpperCase()} breaks off or is damaged.` }
    const [{ default: GeoJSON }, { default: Format }] = await Promise.all([import('ol/format/GeoJSON'), format === 'kml' ? import('ol/format/KML') : import('ol/format/GPX')])
    const reader = format === 'kml' ? new Format({ extractStyles: false } as never) : new Format()
    const features = reader.readFeatures(text)
    return { ok: true, file: new GeoJSON().writeFeaturesObject(features) }
  } catch {
    return { ok: false, message: `This ${format === 'geojson' ? 'GeoJSON' : format.toUpperCase()} breaks off or is damaged.` }
  }
}

/** GPX knows no areas: an outline leaves as a track that closes. */
const asTracks = (file: GeoFile): GeoFile => ({
  ...file,
  features: file.features.map((feature) => (feature.geometry?.type === 'Polygon' ? { ...feature, geometry: { type: 'MultiLineString', coordinates: feature.geometry.coordinates } } : feature)),
})

export async function exportedFile(format: PlanFormat, file: GeoFile): Promise<string> {
  if (format === 'geojson') return JSON.stringify(file, null, 1)
  const [{ default: GeoJSON }, { default: Format }] = await Promise.all([import('ol/format/GeoJSON'), format === 'kml' ? import('ol/format/KML') : import('ol/format/GPX')])
  const features = new GeoJSON().readFeatures(format === 'gpx' ? asTracks(file) : file)
  return new Format().writeFeatures(features as never)
}
