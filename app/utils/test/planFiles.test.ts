import { describe, expect, test } from 'vitest'
import { readPlan } from '#contract/planFile'
import { parsedFile } from '../planFiles'

const NEAR = { latDeg: 37, lonDeg: -79 }
const things = async (name: string, text: string) => {
  const parsed = await parsedFile(name, text)
  return parsed.ok ? readPlan(parsed.file, undefined, NEAR) : parsed
}
const KML = (inner: string, before = '') =>
  `<?xml version="1.0"?>${before}<kml xmlns="http://www.opengis.net/kml/2.2"><Document><Placemark><name>Front</name>${inner}</Placemark></Document></kml>`

describe('a drawing from outside', () => {
  test('in KML and GPX is read without a page: outlines with their holes, tracks that close, places', async () => {
    const ring = (d: number) =>
      `<LinearRing><coordinates>-79,37 ${-79 + d},37 ${-79 + d},${37 + d} -79,${37 + d} -79,37</coordinates></LinearRing>`
    expect(
      await things('a.kml', KML(`<Polygon><outerBoundaryIs>${ring(0.0005)}</outerBoundaryIs></Polygon>`)),
    ).toMatchObject({ ok: true, things: [{ feature: { kind: 'zone', name: 'Front' }, zoneName: 'Front' }] })
    expect(await things('b.kml', KML('<Point><coordinates>-79,37,0</coordinates></Point>'))).toMatchObject({
      ok: true,
      things: [{ feature: { kind: 'tree' } }],
    })
    const track = [
      [37, -79],
      [37.0002, -79],
      [37.0002, -78.9997],
      [37, -78.9997],
      [37, -79],
    ]
      .map(([lat, lon]) => `<trkpt lat="${lat}" lon="${lon}"/>`)
      .join('')
    expect(
      await things(
        'c.gpx',
        `<gpx xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${track}</trkseg></trk></gpx>`,
      ),
    ).toMatchObject({ ok: true, things: [{ feature: { kind: 'zone' } }] })
  })

  test('that unfolds, breaks off or has no end is refused in words', async () => {
    const laughs = `<!DOCTYPE kml [<!ENTITY a "ha"><!ENTITY b "${'&a;'.repeat(10)}">]>`
    expect(await things('a.kml', KML('<name>&b;</name>', laughs))).toEqual({
      ok: false,
      message: { key: 'plan.thisDeclaresADocument', values: { format: 'KML' } },
    })
    for (const [name, text] of [
      ['b.gpx', '<gpx><trk>'],
      ['c.kml', '<kml><Placemark></kml>'],
      ['d.geojson', '{"type":"Feature'],
      ['e.geojson', `[${'['.repeat(100_000)}`],
    ] as const)
      expect([name, await things(name, text)]).toEqual([
        name,
        { ok: false, message: { key: 'plan.thisBreaksOffOr', values: expect.anything() } },
      ])
    const points = Array.from({ length: 60_000 }, (_, i) => `<trkpt lat="${37 + i * 1e-8}" lon="-79"/>`).join('')
    expect(await things('f.gpx', `<gpx><trk><trkseg>${points}</trkseg></trk></gpx>`)).toMatchObject({
      ok: false,
      message: { key: 'contract.thisFileHasPoints', values: { all: 60_000 } },
    })
  })

  test('with a bow tie, or prototypes for properties, leaves that out and takes the rest', async () => {
    const square = [
      [-79, 37],
      [-78.9995, 37],
      [-78.9995, 37.0005],
      [-79, 37.0005],
      [-79, 37],
    ]
    const bow = [
      [-79, 37],
      [-78.9995, 37.0005],
      [-78.9995, 37],
      [-79, 37.0005],
      [-79, 37],
    ]
    const file = JSON.stringify({
      type: 'FeatureCollection',
      features: [square, bow].map((ring) => ({
        type: 'Feature',
        properties: { kind: 'constructor', name: 7 },
        geometry: { type: 'Polygon', coordinates: [ring] },
      })),
    }).replace('{"kind"', '{"__proto__":{"kind":"bed"},"kind"')
    expect(await things('a.geojson', file)).toMatchObject({
      ok: true,
      things: [{ feature: { kind: 'zone' } }],
      left: [{ values: { problem: { key: 'site.itsEdgeCrossesItself' } } }],
    })
    expect(({} as { kind?: string }).kind).toBeUndefined()
  })
})
