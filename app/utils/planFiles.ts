import type { GeoFile } from '#contract/planFile'
import { say, type Message } from '#core/explain/message'

export type PlanFormat = 'geojson' | 'kml' | 'gpx'
export type ParsedFile = { ok: true; file: unknown } | { ok: false; message: Message }

/** The format by what is in it, since names lie. */
function formatOf(text: string): PlanFormat | undefined {
  const start = text.slice(0, 2000)
  if (/^\s*[[{]/.test(start)) return 'geojson'
  if (/<kml\b/i.test(start)) return 'kml'
  if (/<gpx\b/i.test(start)) return 'gpx'
  return undefined
}

/** Entities and document types are no part of a drawing; a file that brings them may unfold to any size. */
const UNFOLDS = /<!(DOCTYPE|ENTITY)/i

/** KML or GPX as GeoJSON. @throws Error where it is damaged */
async function fromXml(format: 'kml' | 'gpx', text: string): Promise<unknown> {
  const [{ DOMParser }, { kml, gpx }] = await Promise.all([import('@xmldom/xmldom'), import('@tmcw/togeojson')])
  const strict = (level: string, message: string) => {
    if (level !== 'warning') throw new Error(message)
  }
  const document = new DOMParser({ onError: strict }).parseFromString(text, 'text/xml') as unknown as Document
  return format === 'kml' ? kml(document) : gpx(document)
}

/** A drawing of any of the formats as GeoJSON in degrees. Needs no page, so that it can be read beside one. */
export async function parsedFile(name: string, text: string): Promise<ParsedFile> {
  const format = formatOf(text)
  if (!format)
    return {
      ok: false,
      message: /\.kmz$/i.test(name) ? say('plan.aKmzIsPacked') : say('plan.thisIsNeitherGeojson'),
    }
  if (format !== 'geojson' && UNFOLDS.test(text))
    return {
      ok: false,
      message: say('plan.thisDeclaresADocument', { format: format.toUpperCase() }),
    }
  try {
    return { ok: true, file: format === 'geojson' ? JSON.parse(text) : await fromXml(format, text) }
  } catch {
    return {
      ok: false,
      message: say('plan.thisBreaksOffOr', { value: format === 'geojson' ? 'GeoJSON' : format.toUpperCase() }),
    }
  }
}

/** GPX knows no areas: an outline leaves as a track that closes. */
const asTracks = (file: GeoFile): GeoFile => ({
  ...file,
  features: file.features.map((feature) =>
    feature.geometry?.type === 'Polygon'
      ? { ...feature, geometry: { type: 'MultiLineString', coordinates: feature.geometry.coordinates } }
      : feature,
  ),
})

export async function exportedFile(format: PlanFormat, file: GeoFile): Promise<string> {
  if (format === 'geojson') return JSON.stringify(file, null, 1)
  const [{ default: GeoJSON }, { default: Format }] = await Promise.all([
    import('ol/format/GeoJSON'),
    format === 'kml' ? import('ol/format/KML') : import('ol/format/GPX'),
  ])
  const features = new GeoJSON().readFeatures(format === 'gpx' ? asTracks(file) : file)
  return new Format().writeFeatures(features as never)
}
