import { randomUUID } from 'node:crypto'
import { addDays, daysBetween, toDay } from '#core/measure/calendar'
import { defaultSettings, shallowEnough } from '#core/job/settings'
import { depthLimitOf } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import { sunQuestionOf } from '#core/site/measure'
import { NEW_IRRIGATION_ZONE } from '#core/water/irrigation'
import { sunByMonth } from '#core/site/sun'
import { asOwner, closeDatabase, type Queryable } from '#server/records/db'
import type { Author } from '#server/records/firms'
import { addLawn, lawnById, saveLook } from '#server/records/lawns'
import { savePlan } from '#server/records/jobs'
import { sunWantedOf } from '#server/records/keptLook'
import { keepSun } from '#server/records/sun'
import { addStock } from '#server/records/stock'
import { markDone } from '#server/records/marks'
import { noteSeen } from '#server/records/observations'
import { keepDemand } from '#server/plans/demand'
import type { Lawn } from '#contract/lawn'
import { seenSchema } from '#contract/seen'
import { markSchema } from '#contract/work'
import { NO_WORK } from '#core/job/nothingDecided'
import { DEFAULT_PRACTICES } from '#core/job/decision/usualPractices'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { fullZone, type DemoLawn } from './lawnKit'
import { DEMO_LAWNS } from './lawns'
import { PELLMOOR } from './pellmoor'
import { demoStock } from './shed'

/** The demo stands still here until it is stepped. */
const DEMO_DAY = toDay('2026-09-08')
const DEMO_MORNING = `${DEMO_DAY}T08:20:00`
const TIME_ZONE = PELLMOOR.timeZone
/** What of the firm its plans go by, as a new firm has it. */
const DEMO_FIRM = {
  practices: {},
  planning: {},
  workingDays: [1, 2, 3, 4, 5, 6],
  holidays: [],
  feedRules: { phosphorus: 'exemption' as const, blackouts: [] },
  hoursADay: 24,
  currency: 'USD',
}

/**
 * The firm, its station and its two people, all or nothing. @returns who does the work in it; undefined when there is
 * a firm already
 */
async function createFirm(): Promise<Author | undefined> {
  return asOwner(async (client) => {
    await client.query('begin')
    const { rows: firms } = await client.query<{ id: string }>('select id from firms limit 1')
    if (firms.length) return undefined
    const { rows } = await client.query<{ id: string; at: string }>(
      `insert into firms (name, units, currency, time_zone, demo, clock_stands_at, licences, hours_a_day)
       values ('Quillmarsh Turf', 'us', 'USD', $1, true, $2::timestamp at time zone $1, $3, 24) returning id, clock_stands_at as at`,
      [TIME_ZONE, DEMO_MORNING, JSON.stringify([{ what: 'Pesticide business', number: 'PB-00417' }])],
    )
    const firmId = rows[0]!.id
    await client.query(
      `insert into stations (firm_id, name, kind, lat_deg, lon_deg, home, feed_path, normals, height_m)
        values ($1, $2, 'simulated', $3, $4, true, $5, $6, $7)`,
      [
        firmId,
        PELLMOOR.name,
        PELLMOOR.latDeg,
        PELLMOOR.lonDeg,
        PELLMOOR.feedPath,
        JSON.stringify(PELLMOOR.normals),
        PELLMOOR.heightM,
      ],
    )
    const personId = await addPeople(client, firmId)
    await client.query('commit')
    return { firmId, personId, when: { at: rows[0]!.at, today: DEMO_DAY } }
  })
}

/** The owner and the technician. @returns the technician, who enters the demo */
async function addPeople(client: Queryable, firmId: string): Promise<string> {
  const { rows } = await client.query<{ id: string }>(
    `insert into people (firm_id, name, email, role) values
       ($1, 'Wenna Quillmarsh', 'wenna@quillmarsh.example', 'owner'), ($1, 'Joss Tarn', 'joss@quillmarsh.example', 'technician') returning id`,
    [firmId],
  )
  return rows[1]!.id
}

/** A demo of before people signed in is kept, and gets them. */
async function peopleForOlderDemo(): Promise<void> {
  await asOwner(async (client) => {
    const { rows } = await client.query<{ id: string }>(
      'select id from firms f where demo and not exists (select from people where firm_id = f.id)',
    )
    for (const { id } of rows) await addPeople(client, id)
  })
}

/** Zones under ids of their own, the first under the one the lawn was added with. */
function zonesFor(lawn: Lawn, demo: DemoLawn): Lawn['zones'] {
  const [firstId, begun] = Object.entries(lawn.zones)[0]!
  return Object.fromEntries(
    demo.zones!.map((zone, i) => [
      i ? randomUUID() : firstId,
      fullZone({ areaTyped: i ? '' : begun.areaTyped, tapedM2: i ? null : begun.tapedM2, ...zone }, i),
    ]),
  )
}

/** The sun over what is drawn, as the server works it out beside its own thread. */
async function keepSunOf(by: Author, lawnId: string): Promise<void> {
  const question = sunQuestionOf((await lawnById(by.firmId, lawnId))!)
  if (!question) return
  const byMonth = sunByMonth(question.features, question.zoneIds, question.place)
  await keepSun(
    by.firmId,
    lawnId,
    sunWantedOf(question)!,
    Object.fromEntries(question.zoneIds.map((id, i) => [id, byMonth[i] ?? null])),
  )
}

async function load(by: Author, demo: DemoLawn): Promise<void> {
  const lawn = (await addLawn(by, {
    id: randomUUID(),
    client: demo.client,
    address: demo.address,
    areaM2: demo.areaM2,
    areaTyped: demo.areaTyped,
    growsNow: demo.growsNow,
  }))!
  if (!demo.zones) return
  const zones = zonesFor(lawn, demo)
  const { water, access, wishes, ...look } = demo.look ?? {}
  await saveLook(by, lawn.id, {
    ...lawn,
    ...look,
    zones,
    features: Object.fromEntries(
      (demo.plan?.(Object.keys(zones)) ?? []).map((feature) => [randomUUID(), feature]),
    ) as Lawn['features'],
    water: {
      ...lawn.water,
      ...water,
      irrigation: (demo.irrigation?.(Object.keys(zones)) ?? []).map((zone) => ({
        id: randomUUID(),
        ...NEW_IRRIGATION_ZONE,
        ...zone,
      })),
    },
    access: { ...lawn.access, ...access },
    wishes: { ...lawn.wishes, ...wishes },
    latDeg: PELLMOOR.latDeg + demo.northDeg,
    lonDeg: PELLMOOR.lonDeg + 0.02,
    applications: (demo.applications ?? []).map((line) => ({ product: '', rate: '', ...line })),
  })
  await keepSunOf(by, lawn.id)
  if (!demo.sowOn) return
  const programme = PROGRAMMES[demo.programme ?? 'overseed']
  const grass = grassByCode(programme.seed?.(DEFAULT_PRACTICES) ?? demo.zones[0]!.grass!)
  const usual = defaultSettings({ grass, desirableShare: demo.zones[0]!.desirableShare!, programme })
  const beginning = demo.blend ? shallowEnough(usual, depthLimitOf(demo.blend)) : usual
  const plan = {
    version: 0,
    programme: programme.code,
    overruleNote: null,
    zonePlans: {},
    practices: {},
    blend: [...(demo.blend ?? [])],
    sowOn: demo.sowOn,
    work: { ...NO_WORK, ...demo.work },
    settings: { ...beginning, ...demo.settings },
  }
  await savePlan(by, lawn.job.id, plan, demo.promised && { on: demo.promised.on, promised: demo.promised })
  const saved = (await lawnById(by.firmId, lawn.id))!
  for (const [code, daysFromSowing, told] of demo.done ?? []) {
    const day = addDays(saved.plan.sowOn!, daysFromSowing)
    if (daysBetween(day, DEMO_DAY) >= 0)
      await markDone(
        by,
        { lawnId: lawn.id, jobId: lawn.job.id },
        markSchema.parse({ id: randomUUID(), task: code, doneOn: day, ...told }),
      )
  }
  for (const [daysFromSowing, told] of demo.seen?.(Object.keys(zones)) ?? []) {
    const seenOn = addDays(saved.plan.sowOn!, daysFromSowing)
    if (daysBetween(seenOn, DEMO_DAY) >= 0)
      await noteSeen(
        by,
        { lawnId: lawn.id, jobId: lawn.job.id },
        seenSchema.parse({ id: randomUUID(), seenOn, ...told }),
      )
  }
  await keepDemand((await lawnById(by.firmId, lawn.id))!, { firm: { ...DEMO_FIRM, id: by.firmId }, today: DEMO_DAY })
}

const by = await createFirm()
if (by) {
  for (const line of demoStock(DEMO_DAY)) await addStock(by, { id: randomUUID(), ...line })
  for (const lawn of DEMO_LAWNS) await load(by, lawn)
  console.log(`• Loaded the demo firm with ${DEMO_LAWNS.length} lawns; its clock stands at ${DEMO_DAY}.`)
} else {
  await peopleForOlderDemo()
  console.log('• The database has a firm already; the demo was not loaded again.')
}
await closeDatabase()
