import { describe, expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { aFirm, aPlannedLawn, BACK_ID, inTwoZones } from '../../../contract/test/plannedLawn'
import { aLook, ZONE_ID } from '../../../contract/test/looks'
import type { Glance } from '../../establishment/glance'
import type { Seen } from '../../learning/seen'
import { addDays, toDay, type Day } from '../../measure/calendar'
import type { Look } from '../../../contract/look'
import { inspectionOf, standsAfter } from '../inspection'
import { planJob } from '../planJob'
import { promiseOf } from '../promise'
import { keyOf, OPERATIONS } from '../operations/registry'
import { seasonOfGlance } from '../season'

const SOWN = toDay('2026-09-08')
const on = (days: number) => addDays(SOWN, days)
const MOW = OPERATIONS.find(({ opensLawn }) => opensLawn)!.code

/** An invented season: sown in September, one more window and one more run of growth in spring. */
const glance = (change: Partial<Glance> = {}): Glance => ({
  years: 100,
  windows: [{ from: '2027-04-10', to: '2027-05-02' }] as unknown as Glance['windows'],
  growing: [{ from: '2027-03-28', to: '2027-06-10' }] as unknown as Glance['growing'],
  rainShare: 0.5,
  band: { lowC: 15, highC: 25 },
  sowing: {
    of100: 91,
    dormant: false,
    mow: { early: 26, middle: 30, late: 35 },
    up: { early: 9, middle: 11, late: 14 },
    fourthMow: 58,
    soilC: 20,
    groundLeft: 0.8,
    water: null,
    tall: null,
  },
  ...change,
})

const mark = (key: string, days: number) =>
  ({ id: `${key}${days}`, key, doneOn: on(days), share: 1, passed: true }) as unknown as Lawn['done'][number]
const cover = (zoneId: string, days: number, coverShare: number): Seen => ({
  kind: 'cover',
  seenOn: on(days),
  zoneId,
  coverShare,
  from: 'eye',
  photoId: null,
  note: '',
})
const count = (zoneId: string, days: number, seedlings: number[]): Seen => ({
  kind: 'count',
  seenOn: on(days),
  zoneId,
  frameMm: 76.2,
  seedlings,
  moist: true,
  washed: false,
  birds: false,
  note: '',
})

interface Told {
  look?: Look
  plan?: Partial<Lawn['plan']>
  done?: Lawn['done']
  seen?: Seen[]
  day?: number
  glance?: Partial<Glance>
}
function inspected({ look = inTwoZones(), plan, done = [mark('sow', 0)], seen = [], day = 70, glance: of }: Told = {}) {
  const lawn = aPlannedLawn(
    look,
    { sowOn: SOWN, ...plan },
    { done, seen: seen.map((one, i) => ({ ...one, id: String(i), savedBy: null })) },
  )
  const firm = aFirm({ today: on(day) })
  const [job, ground] = [jobOf(lawn), groundOf(lawn)]
  const planned = planJob(job, ground, firm, seasonOfGlance(glance(of)))
  const promised = promiseOf(planned, { sowOn: SOWN, today: toDay('2026-09-01'), currency: 'USD' })
  return { job, planned, inspection: inspectionOf({ job, lawn: ground, firm, plan: planned }, promised)! }
}
const keys = ({ inspection }: ReturnType<typeof inspected>) => inspection.next.map(({ text }) => text.key)

describe('the final inspection', () => {
  test('nothing is inspected before seed is down, nor of a job that sows none', () => {
    expect(inspected({ done: [] }).inspection).toBeUndefined()
    expect(inspected({ plan: { programme: 'level' }, done: [mark('lift', 0)] }).inspection).toBeUndefined()
  })

  test('cover before and now go by area, of the zones somebody looked at', () => {
    // By hand: 400 m² at 95 % and 100 m² at 70 % are 90 %; both were 91 % green, with weeds.
    const { inspection } = inspected({ seen: [cover(ZONE_ID, 60, 0.95), cover(BACK_ID, 61, 0.7)] })
    expect(inspection.stands).toEqual({
      verdict: 'dense',
      cover: expect.closeTo(0.9, 6),
      coverBefore: expect.closeTo(0.91, 6),
    })
    expect(inspected({ seen: [cover(BACK_ID, 61, 0.69)] }).inspection.stands.verdict).toBe('thin')
    expect(inspected({ seen: [cover(BACK_ID, 61, 0.71)] }).inspection.stands.verdict).toBe('filling')
    expect(inspected().inspection.stands).toMatchObject({ verdict: 'not seen', cover: null })
  })

  test('the latest of a zone counts, and what was seen before sowing does not', () => {
    const { inspection } = inspected({
      seen: [cover(ZONE_ID, -3, 0.2), cover(ZONE_ID, 30, 0.6), cover(ZONE_ID, 60, 0.92)],
    })
    expect(inspection.zones[0]!.cover).toMatchObject({ share: 0.92, seenOn: on(60) })
    expect(inspected({ seen: [cover(ZONE_ID, -3, 0.2)] }).inspection.zones[0]!.cover).toBeNull()
  })

  test('the promise is that of the plan: days after sowing, odds, price and the end of keeping off', () => {
    const { inspection, planned } = inspected()
    expect(inspection.promised).toEqual({
      on: '2026-09-01',
      sowOn: SOWN,
      of100: 91,
      upOn: on(11),
      firstMowOn: on(30),
      inUseOn: planned.price!.outTo,
      priceMinor: planned.price!.priceMinor.value,
      currency: 'USD',
    })
  })

  test('green is the first count with seedlings; in use is the fourth mowing and six weeks after it', () => {
    const seen = [count(ZONE_ID, 6, [0, 0]), count(ZONE_ID, 10, [3, 0]), count(ZONE_ID, 20, [30, 28])]
    const mowed = (days: number[]) => [mark('sow', 0), ...days.map((day, i) => mark(keyOf(MOW, i + 1), day))]
    const came = (days: number[]) => inspected({ seen, done: mowed(days) }).inspection.came
    expect(came([28, 33, 40])).toEqual({ upOn: on(10), firstMowOn: on(28), inUseOn: null })
    // Mowed early: roots are what it waits for. 10 + 42 = 52.
    expect(came([28, 33, 40, 47]).inUseOn).toBe(on(52))
    expect(came([28, 33, 40, 60]).inUseOn).toBe(on(60))
  })

  test('work is told in the order of its days, once it is whole, with what the plan had it use', () => {
    const half = { ...mark('cover', 1), share: 0.5 }
    const { inspection } = inspected({ done: [mark('sow', 0), half, mark('scalp', -2)] })
    expect(inspection.done.map(({ key, on: day }) => [key, day])).toEqual([
      ['scalp', on(-2)],
      ['sow', SOWN],
    ])
    expect(inspection.done[1]!.uses[0]!.amount).toBeGreaterThan(1)
  })

  test('mowings are counted, not each the first again', () => {
    const mown = [0, 1, 2].map((i) => mark(`mow${i ? `-${i + 1}` : ''}`, 30 + 7 * i))
    const { inspection } = inspected({ done: [mark('sow', 0), ...mown] })
    expect(inspection.done.map(({ name }) => told(name))).toEqual(['Sow', 'First mow', 'mowing 2', 'mowing 3'])
  })
})

describe('what the next season wants', () => {
  test('thin ground is sown again in the next window, as much as does not show green', () => {
    const of = inspected({ seen: [cover(ZONE_ID, 60, 0.8), cover(BACK_ID, 60, 0.95)] })
    const [thin] = of.inspection.next
    expect(thin).toMatchObject({ text: { key: 'inspection.nextThin' }, from: '2027-04-10' })
    expect(thin!.text.values!.areaM2).toMatchObject({ value: expect.closeTo(80, 6) })
    expect(keys(inspected({ seen: [cover(ZONE_ID, 60, 0.95)] }))).not.toContain('inspection.nextThin')
  })

  test('each finding of the survey asks for its own, and nothing else is asked for', () => {
    const tested = { ph: 6.4 } as Look['soilTest']
    const clean = { ...aLook({}, { weedShare: 0.02, desirableShare: 0.89, plugsMm: [8] }), soilTest: tested }
    expect(keys(inspected({ look: clean }))).toEqual(['inspection.nextFeed', 'inspection.nextCount'])
    const with_ = (change: object) => ({ ...clean, zones: { [ZONE_ID]: { ...clean.zones[ZONE_ID]!, ...change } } })
    expect(keys(inspected({ look: with_({ wear: 'heavy' }) }))).toContain('inspection.nextCore')
    expect(keys(inspected({ look: with_({ plugsMm: [20] }) }))).toContain('inspection.nextThatch')
    expect(keys(inspected({ look: with_({ sunHours: 3.2 }) }))).toContain('inspection.nextShade')
    const weedy = with_({ weedShare: 0.3, desirableShare: 0.61 })
    expect(keys(inspected({ look: weedy }))).toContain('inspection.nextWeeds')
    expect(keys(inspected({ look: { ...weedy, wishes: { ...weedy.wishes, noSprays: true } } }))).not.toContain(
      'inspection.nextWeeds',
    )
    expect(keys(inspected({ look: { ...clean, soilTest: null } }))).toContain('inspection.nextTest')
  })

  test('seed of spring is told of its first summer, north and south alike', () => {
    const spring = (sowOn: Day, latDeg: number) =>
      keys(
        inspected({
          look: aLook({ latDeg }),
          plan: { sowOn },
          done: [{ ...mark('sow', 0), doneOn: sowOn }],
          seen: [],
        }),
      ).includes('inspection.nextSummer')
    expect([spring(toDay('2026-04-20'), 40), spring(toDay('2026-09-08'), 40)]).toEqual([true, false])
    expect([spring(toDay('2026-04-20'), -37), spring(toDay('2026-09-20'), -37)]).toEqual([false, true])
  })
})

describe('what the survey of the next job says', () => {
  const shares = (of: ReturnType<typeof inspected>) => standsAfter(of.inspection, of.job, of.planned)

  test('shares of each zone make one, and only of zones somebody looked at', () => {
    const after = shares(inspected({ seen: [cover(ZONE_ID, 60, 0.95)] }))
    expect(Object.keys(after)).toEqual([ZONE_ID])
    const { desirableShare, weedShare, coarseShare, bareShare } = after[ZONE_ID]!
    expect(desirableShare + weedShare + coarseShare + bareShare).toBeCloseTo(1, 9)
    expect(bareShare).toBeCloseTo(0.05, 9)
    // Overseeding kills no weed: 35 % stays.
    expect(weedShare).toBeCloseTo(0.35, 9)
  })

  test('where all was killed, what is green is what was sown', () => {
    const of = inspected({
      look: aLook({}, { sward: 'KIK', grass: 'TF' }),
      plan: { programme: 'kill' },
      seen: [cover(ZONE_ID, 60, 0.9)],
    })
    expect(shares(of)[ZONE_ID]).toMatchObject({ sward: 'TF', weedShare: 0, desirableShare: 0.9 })
    // With the turf kept, it is still what stands there.
    const kept = inspected({ look: aLook({}, { sward: 'KBG', grass: 'TF' }), seen: [cover(ZONE_ID, 60, 0.9)] })
    expect(shares(kept)[ZONE_ID]!.sward).toBe('KBG')
  })
})
