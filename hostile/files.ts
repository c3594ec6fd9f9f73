import { randomUUID } from 'node:crypto'
import { readPlan } from '#contract/planFile'
import type { Running } from '#server/test/running/process'
import { parsedFile } from '../app/utils/planFiles'
import type { Report } from './report'
import { aFirm, aPhoto, thing, TODAY, type Firm } from './world'

const MB = 1024 * 1024
const GUESS = JSON.stringify({
  columns: { day: 0, tmax: 1, tmin: 2, rain: 3 },
  temperature: 'C',
  rain: 'mm',
  only: null,
})
const days = (n: number, row: (day: string) => string) =>
  Array.from({ length: n }, (_, i) => row(new Date(Date.UTC(1902, 0, 1 + i)).toISOString().slice(0, 10))).join('\n')

/** Tables that once froze or killed the server, and others as large as are taken. */
const TABLES: Readonly<Record<string, () => string | Uint8Array>> = {
  '4 MB of lines of 1': () => '1\n'.repeat(1_990_000),
  '990,000 lines of commas': () => ',,,\n'.repeat(990_000),
  'one line of 2,000,000 cells': () => '1,'.repeat(1_990_000),
  '2,000 columns named alike, 60,000 lines': () => `${'station,'.repeat(2000)}x\n${'1\n'.repeat(60_000)}`,
  '200 columns named station, as many lines as are taken': () =>
    `${'station,'.repeat(199)}x\n${`${'ab,'.repeat(199)}x\n`.repeat(6000)}`,
  '190,000 rows that are all wrong': () => `date,high,low,rain\n${'soon,1,2,3\n'.repeat(190_000)}`,
  '120 years of days': () => `date,high,low,rain\n${days(43_800, (day) => `${day},20.5,10.1,0.0`)}`,
  'a quote that is never closed': () => `date,high,low,rain\n"${'x,\n'.repeat(900_000)}`,
  'a megabyte of quotes': () => `date,high,low,rain\n${'""""'.repeat(250_000)}`,
  'bytes that are no text': () => new Uint8Array(2 * MB).map((_, i) => i % 251),
  'UTF-16 without end': () => Buffer.from(`\ufeffdate;high;low;rain\n${'1;2;3;4\n'.repeat(200_000)}`, 'utf16le'),
  nothing: () => ' ',
}
const LOGGERS: Readonly<Record<string, () => string>> = {
  'four years of readings every ten minutes': () =>
    `time,depth_mm,temp_c\n${Array.from({ length: 130_000 }, (_, i) => `${new Date(Date.UTC(2021, 0, 1, 0, i * 10)).toISOString().slice(0, 16)},50,11.5`).join('\n')}`,
  '200,000 readings that are none': () => `time,depth_mm,temp_c\n${'2026-02-31 06:40,50,18\n'.repeat(150_000)}`,
}

const ring = (n: number, r: number, x = 0, y = 0) =>
  Array.from({ length: n }, (_, i) => [
    x + r * Math.cos((2 * Math.PI * i) / n),
    y + r * Math.sin((2 * Math.PI * i) / n),
  ])
const comb = (teeth: number, across: boolean) =>
  [
    ...Array.from({ length: teeth * 2 }, (_, i) => [(i >> 1) * 0.2 + (i % 2) * 0.1, i % 4 < 2 ? 0 : 90]),
    [teeth * 0.2 + 5, -20],
    [-5, -20],
  ].map(([x, y]) => (across ? [y!, x!] : [x!, y!]))

/** Plans as large and as intricate as are taken. */
const PLANS: Readonly<Record<string, (zoneId: string) => object[]>> = {
  'the legal survey of 60 buildings, 270 trees and 1,000 corners': (zoneId) => [
    { ...thing, kind: 'zone', zoneId, points: ring(1000, 60) },
    ...Array.from({ length: 29 }, (_, i) => ({
      ...thing,
      kind: 'building',
      points: ring(60, 5, 90 * Math.cos(i), 90 * Math.sin(i)),
      heightM: 12,
    })),
    ...Array.from({ length: 270 }, (_, i) => ({
      ...thing,
      kind: 'tree',
      points: [[(i % 20) * 6 - 60, Math.floor(i / 20) * 9 - 60]],
      heightM: 20,
      radiusM: 8,
    })),
  ],
  'an outline of 4,990 corners': (zoneId) => [{ ...thing, kind: 'zone', zoneId, points: ring(4990, 60) }],
  'two combs of 1,200 teeth through each other': (zoneId) => [
    { ...thing, kind: 'zone', zoneId, points: comb(1200, false) },
    { ...thing, kind: 'bed', points: comb(1200, true) },
  ],
  'a bow tie': (zoneId) => [
    {
      ...thing,
      kind: 'zone',
      zoneId,
      points: [
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ],
    },
  ],
  'twelve holes beside and over each other': (zoneId) => [
    {
      ...thing,
      kind: 'zone',
      zoneId,
      points: ring(300, 30),
      holes: Array.from({ length: 12 }, (_, i) => ring(300, 10, i * 5, 0)),
    },
  ],
}

/** Drawings that are read in the browser, by the code that reads them there. */
const DRAWINGS: Readonly<Record<string, () => [name: string, text: string]>> = {
  'a billion laughs': () => [
    'a.kml',
    `<?xml version="1.0"?><!DOCTYPE kml [<!ENTITY a "ha">${Array.from({ length: 9 }, (_, i) => `<!ENTITY ${'bcdefghij'[i]} "${`&${'abcdefghi'[i]};`.repeat(10)}">`).join('')}]><kml xmlns="http://www.opengis.net/kml/2.2"><Document><name>&j;</name></Document></kml>`,
  ],
  'an entity that reads a file': () => [
    'b.kml',
    '<?xml version="1.0"?><!DOCTYPE kml [<!ENTITY x SYSTEM "file:///etc/passwd">]><kml xmlns="http://www.opengis.net/kml/2.2"><Placemark><name>&x;</name><Point><coordinates>0,0</coordinates></Point></Placemark></kml>',
  ],
  '100,000 points': () => [
    'c.gpx',
    `<gpx><trk><trkseg>${Array.from({ length: 100_000 }, (_, i) => `<trkpt lat="${38 + i * 1e-9}" lon="-9"/>`).join('')}</trkseg></trk></gpx>`,
  ],
  'elements a hundred thousand deep': () => ['d.kml', `<kml>${'<Folder>'.repeat(100_000)}`],
  'arrays a hundred thousand deep': () => [
    'e.geojson',
    `{"type":"FeatureCollection","features":[{"type":"Feature","properties":null,"geometry":{"type":"Polygon","coordinates":${'['.repeat(100_000)}`,
  ],
  'a geometry of prototypes': () => [
    'f.geojson',
    '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"__proto__":{"kind":"zone"},"kind":"constructor"},"geometry":{"type":"Point","coordinates":{"length":2,"0":1,"1":2}}}]}',
  ],
  'a bow tie in KML': () => [
    'g.kml',
    '<kml xmlns="http://www.opengis.net/kml/2.2"><Placemark><Polygon><outerBoundaryIs><LinearRing><coordinates>-9,38 -8.9999,38.0001 -8.9999,38 -9,38.0001 -9,38</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></kml>',
  ],
}

/** As large as anybody has it: bounds that refuse it are too narrow. */
const LARGE_AND_HONEST = /120 years of days|four years of readings|the legal survey|4,990 corners/

/** How long the server lets another wait while something is done, ms. */
async function othersWait(server: Running, work: () => Promise<void>): Promise<number> {
  let [going, longest] = [true, 0]
  const asking = (async () => {
    while (going) {
      const began = performance.now()
      await fetch(`${server.url}/healthz`).catch(() => undefined)
      longest = Math.max(longest, performance.now() - began)
      await new Promise((go) => {
        setTimeout(go, 5)
      })
    }
  })()
  await work()
  going = false
  await asking
  return longest
}

async function alone(
  server: Running,
  report: Report,
  what: string,
  work: () => Promise<{ status: number }>,
): Promise<void> {
  let status = 0
  const waited = await report.alone(server, what, () =>
    othersWait(server, async () => {
      ;({ status } = await work())
    }),
  )
  report.heard(what, status)
  if (LARGE_AND_HONEST.test(what)) report.expect(`${what} is taken: ${status}`, status === 200)
  // The attacker shares the machine: this bounds what goes badly wrong, the stall above is the measure.
  if (waited > 1000) report.wrong.push(`others waited ${Math.round(waited)} ms while the server had: ${what}`)
}

const photoLies = () => {
  const honest = aPhoto()
  const bytes = Buffer.from(honest.jpeg, 'base64')
  const of = (jpeg: Buffer) => ({ ...honest, id: randomUUID(), jpeg: jpeg.toString('base64') })
  return [
    of(Buffer.concat([bytes, Buffer.from('PK\x03\x04<script>alert(1)</script>')])),
    of(
      Buffer.concat([
        bytes.subarray(0, 2),
        Buffer.from('\xff\xfe\xff\xff', 'latin1'),
        Buffer.alloc(65_533, 65),
        bytes.subarray(2),
      ]),
    ),
    of(Buffer.from('GIF89a/*\xff\xd8*/=1;alert(1)//'.padEnd(300))),
    of(Buffer.alloc(800_000, 0xff)),
    of(Buffer.concat([bytes.subarray(0, -2), Buffer.alloc(700_000), bytes.subarray(-2)])),
  ]
}

async function plan(server: Running, firm: Firm, features: object[]): Promise<{ status: number }> {
  const { body: lawn } = await firm.owner.ask<Firm['lawn']>(server, 'GET', `/api/lawns/${firm.lawn.id}`)
  return firm.owner.ask(server, 'PUT', `/api/lawns/${lawn.id}`, {
    ...lawn,
    features: Object.fromEntries(features.map((feature) => [randomUUID(), feature])),
  })
}

/** Files one by one, each while others ask; then all at once. */
export async function files(server: Running, report: Report, short: boolean): Promise<string> {
  const firm = await aFirm(server, 'Files')
  const [zoneId] = Object.keys(firm.lawn.zones) as [string]
  const path = `/api/stations/${firm.station.id}`
  const some = <T>(all: Readonly<Record<string, T>>): [string, T][] =>
    Object.entries(all).slice(0, short ? 5 : undefined)
  for (const [what, make] of some(TABLES)) {
    const file = make()
    await alone(server, report, `look into ${what}`, () => firm.owner.sendFile(server, '/api/weather-files', file))
    await alone(server, report, `import ${what}`, () =>
      firm.owner.sendFile(server, `${path}/import`, file, { mapping: GUESS }),
    )
  }
  for (const [what, make] of some(LOGGERS))
    await alone(server, report, `readings: ${what}`, () => firm.owner.sendFile(server, `${path}/readings-file`, make()))
  for (const [what, features] of some(PLANS))
    await alone(server, report, `survey: ${what}`, () => plan(server, firm, features(zoneId)))
  for (const photo of photoLies())
    await alone(server, report, 'a picture that is more or less than one', () =>
      firm.owner.ask(server, 'POST', `/api/lawns/${firm.lawn.id}/photos`, photo),
    )
  // A season over the longest record there may be.
  await alone(server, report, 'the season of a long record', () => firm.owner.ask(server, 'GET', '/api/sill'))
  await alone(server, report, 'the ground of a season', () =>
    firm.owner.ask(server, 'GET', `/api/lawns/${firm.lawn.id}/season`),
  )
  for (const [what, make] of some(DRAWINGS)) {
    const [name, text] = make()
    const began = performance.now()
    const parsed = await parsedFile(name, text)
    if (parsed.ok) readPlan(parsed.file, undefined, { latDeg: 38, lonDeg: -9 })
    const seconds = (performance.now() - began) / 1000
    report.expect(`${what} took the reader ${seconds.toFixed(1)} s`, seconds < 10)
    report.expect(`${what} was unfolded`, !JSON.stringify(parsed).includes('root:'))
  }
  await server.stall()
  const storm = Object.values(TABLES).slice(0, short ? 4 : undefined)
  await Promise.all([
    ...storm.flatMap((make) =>
      [1, 2].map(() =>
        firm.technician
          .sendFile(server, `${path}/import`, make(), { mapping: GUESS })
          .then(({ status }) => stormed(report, status)),
      ),
    ),
    ...Object.values(PLANS).map((features) =>
      plan(server, firm, features(zoneId)).then(({ status }) => stormed(report, status)),
    ),
    ...Array.from({ length: 60 }, () =>
      firm.owner.ask(server, 'GET', '/api/context').then(({ status }) => report.heard('context in the storm', status)),
    ),
  ])
  report.stall('storm', await server.stall())
  return `${TODAY}: files one by one while others ask, then ${storm.length * 2} at once among surveys and honest requests.`
}

/** In a storm a 503 that says to come again is an answer too. */
const stormed = (report: Report, status: number): void => {
  report.heard('a file in the storm', status === 503 ? 429 : status)
}
