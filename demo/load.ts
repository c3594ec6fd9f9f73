import { addDays, daysBetween, toDay } from '#core/quantity/calendar'
import { defaultSettings } from '#core/programme/plan'
import { grassByCode } from '#core/grass/grasses'
import { closeDatabase, inTransaction } from '#server/records/db'
import { addLawn, lawnById, saveLook } from '#server/records/lawns'
import { markDone, savePlan } from '#server/records/plans'
import { DEMO_LAWNS, type DemoLawn } from './lawns'
import { PELLMOOR } from './pellmoor'

/** The demo stands still here until it is stepped. */
const DEMO_DAY = toDay('2026-09-08')
const DEMO_NOON = `${DEMO_DAY}T08:20:00`
const TIME_ZONE = 'America/New_York'

async function createFirm(): Promise<string | undefined> {
  return inTransaction(async (client) => {
    const { rows: firms } = await client.query<{ id: string }>('select id from firms limit 1')
    if (firms.length) return undefined
    const { rows } = await client.query<{ id: string }>(
      `insert into firms (name, units, currency, time_zone, demo) values ('Quillmarsh Turf', 'us', 'USD', $1, true) returning id`, [TIME_ZONE],
    )
    const firmId = rows[0]!.id
    await client.query(`update clock set stands_at = $1::timestamp at time zone $2`, [DEMO_NOON, TIME_ZONE])
    await client.query(
      `insert into stations (firm_id, name, kind, lat_deg, lon_deg, home, feed_path, normals) values ($1, $2, 'simulated', $3, $4, true, $5, $6)`,
      [firmId, PELLMOOR.name, PELLMOOR.latDeg, PELLMOOR.lonDeg, PELLMOOR.feedPath, JSON.stringify(PELLMOOR.normals)],
    )
    return firmId
  })
}

async function load(firmId: string, demo: DemoLawn): Promise<void> {
  const lawn = await addLawn(firmId, { client: demo.client, address: demo.address, areaM2: demo.areaM2, areaTyped: demo.areaTyped, growsNow: demo.growsNow })
  if (!demo.survey) return
  await saveLook(firmId, lawn.id, {
    ...lawn, ...demo.survey, latDeg: PELLMOOR.latDeg + demo.northDeg, lonDeg: PELLMOOR.lonDeg + 0.02, applications: demo.applications ?? [],
  })
  if (!demo.sowOn) return
  const grass = grassByCode(demo.survey.grass)
  await savePlan(firmId, lawn.id, {
    version: 0, programme: 'overseed', overruleNote: null, sowOn: demo.sowOn,
    settings: { ...defaultSettings(grass, demo.survey.desirableShare), ...demo.settings },
  })
  const saved = (await lawnById(firmId, lawn.id))!
  for (const [code, daysFromSowing] of demo.done ?? []) {
    const day = addDays(saved.plan.sowOn!, daysFromSowing)
    if (daysBetween(day, DEMO_DAY) >= 0) await markDone(firmId, lawn.id, code, day)
  }
}

const firmId = await createFirm()
if (firmId) {
  for (const lawn of DEMO_LAWNS) await load(firmId, lawn)
  console.log(`• Loaded the demo firm with ${DEMO_LAWNS.length} lawns; its clock stands at ${DEMO_DAY}.`)
} else {
  console.log('• The database has a firm already; the demo was not loaded again.')
}
await closeDatabase()
