import { randomUUID } from 'node:crypto'
import type { Lawn } from '#contract/lawn'
import { owner as database } from '#server/test/database'
import type { Heard, Running } from '#server/test/running/process'
import type { Report } from './report'
import { aFirm, thing } from './world'

/** Everything a firm may keep, kept; and single requests that are small and cost much. */
export async function heaps(server: Running, report: Report, short: boolean): Promise<string> {
  const { owner, lawn, station } = await aFirm(server, 'Heaps')
  const alone = async <T>(what: string, send: () => Promise<Heard<T>>): Promise<Heard<T>> => {
    const heard = await report.alone(server, what, send)
    report.heard(what, heard.status)
    return heard
  }
  const newLawn = (change: object) => ({
    id: randomUUID(),
    client: 'Heap',
    address: '',
    areaM2: 50,
    areaTyped: '',
    growsNow: '',
    ...change,
  })
  // Bringing accents into their order takes as long as their number squared.
  await alone('60,000 accents on one letter', () =>
    owner.ask(server, 'POST', '/api/lawns', newLawn({ client: `a${'\u0315\u0300'.repeat(20_000)}` })),
  )
  for (const field of ['holidays', 'workingDays', 'licences'])
    await alone(`60,000 nothings for ${field}`, () =>
      owner.ask(server, 'PUT', '/api/firm', { [field]: Array(60_000).fill(0) }),
    )
  await alone('10,000 keys where ids are wanted', () =>
    owner.ask(server, 'PUT', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/plan`, {
      ...lawn.plan,
      zonePlans: Object.fromEntries(Array.from({ length: 9000 }, (_, i) => [`k${i}`, 0])),
    }),
  )

  const lawns = short ? 12 : 150
  let refused = 0
  for (let i = 0; i < lawns; i++) {
    const { body: added } = await owner.ask<Lawn>(server, 'POST', '/api/lawns', newLawn({}))
    const [zoneId] = Object.keys(added.zones) as [string]
    const points = Array.from({ length: 900 }, (_, k) => [40 * Math.cos(k / 143.3), 40 * Math.sin(k / 143.3)])
    const { status } = await owner.ask(server, 'PUT', `/api/lawns/${added.id}`, {
      ...added,
      features: { [randomUUID()]: { ...thing, kind: 'zone', zoneId, points } },
    })
    report.heard('one more plan of 900 corners', status)
    if (status === 409) refused++
    else if (status !== 200) report.wrong.push(`a plan of 900 corners is answered with ${status}`)
  }
  if (!short) report.expect('a firm that draws without end is told to stop', refused > 0)
  await alone(`the list of ${lawns} lawns with plans of 900 corners`, () => owner.ask(server, 'GET', '/api/lawns'))
  if (!short) {
    // As many as a firm may have, put there by the database's owner: the way through the door takes a while.
    await database(
      `with more as (insert into lawns (firm_id, client_id, lat_deg, lon_deg) select firm_id, client_id, 38, -9
        from lawns, generate_series(1, $2) i where id = $1 returning firm_id, id),
      work as (insert into jobs (id, firm_id, lawn_id, begun_on) select gen_random_uuid(), firm_id, id, current_date
        from more returning firm_id, lawn_id, id)
      insert into zones (firm_id, lawn_id, name, taped_m2, area_m2, grass, sun_hours, job_id)
        select firm_id, lawn_id, 'Lawn', 50, 50, 'TF', 8, id from work`,
      [lawn.id, 2490 - lawns],
    )
    await alone('a page of the list of 2,490 lawns', () => owner.ask(server, 'GET', '/api/lawns?from=2000'))
    await alone('the seasons of sixty of them', async () => {
      const some = (await owner.ask<Lawn[]>(server, 'GET', '/api/lawns?first=60')).body.map(({ id }) => id)
      return owner.ask(server, 'GET', `/api/outlines?of=${some.join()}`)
    })
  }

  const now = Date.now()
  const files = short ? 1 : 5
  for (let file = 0; file < files; file++) {
    const rows = Array.from(
      { length: 120_000 },
      (_, i) =>
        `${new Date(now - 60_000 - (i % 4000) * 60_000).toISOString().slice(0, 16)},${(i / 4000 + file * 30).toFixed(1)},11.5`,
    )
    await alone('120,000 readings of the last three days', () =>
      owner.sendFile(server, `/api/stations/${station.id}/readings-file`, `time,depth_mm,temp_c\n${rows.join('\n')}`),
    )
  }
  await owner.ask(server, 'PUT', `/api/stations/${station.id}`, {
    ...station,
    version: 1,
    home: true,
    normals: {
      tmaxC: Array(12).fill(20),
      tminC: Array(12).fill(10),
      rainMm: Array(12).fill(60),
      wetDays: Array(12).fill(9),
    },
  })
  await alone('the ledge over a heap of readings', () => owner.ask(server, 'GET', '/api/sill'))
  let full = 0
  for (let i = 0; i < 70; i++)
    if (
      (
        await owner.ask(server, 'POST', '/api/stations', {
          name: `Heap ${i}`,
          latDeg: 38,
          lonDeg: -9,
          heightM: null,
          coastal: false,
        })
      ).status === 409
    )
      full++
  report.expect('a firm that adds stations without end is told to stop', full > 0)
  await alone('the list of stations', () => owner.ask(server, 'GET', '/api/stations'))
  return `small requests that cost much, ${lawns} plans of 900 corners, ${files * 120_000} readings, 70 stations.`
}
