import { describe, expect, test } from 'vitest'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { doneSchema } from '#contract/work'
import { aFirm, aPlannedLawn, BACK_ID, inTwoZones } from '../../../contract/test/plannedLawn'
import type { Glance } from '../../establishment/glance'
import type { Gate } from '../../explain/judgement'
import { told } from '../../explain/test/told'
import { NO_WORK } from '../nothingDecided'
import { planJob } from '../planJob'
import { seasonOfGlance } from '../season'
import { GLANCE as glance } from './ground'

const NEW_FEATURE = {
  name: '',
  points: [
    [0, 0],
    [5, 0],
  ] as [number, number][],
  holes: [],
  zoneId: null,
  heightM: null,
  radiusM: null,
  depthMm: null,
}
const look = inTwoZones()
const FIRM = aFirm()
const lawn = (plan: Partial<Lawn['plan']> = {}, change: Partial<Lawn> = {}): Lawn => aPlannedLawn(look, plan, change)
const plan = (of: Lawn, firm = FIRM) => planJob(jobOf(of), groundOf(of), firm, seasonOfGlance(glance))

// Each was an answer that changed nothing.
describe('an answer does what it says', () => {
  const words = (gates: readonly Gate[]) => gates.map(({ text }) => told(text)).join('; ')
  const gatesOf = (of: Lawn, key: string, seen = glance) =>
    planJob(jobOf(of), groundOf(of), FIRM, seasonOfGlance(seen)).schedule!.tasks.find((task) => task.key === key)!.gates

  test('that nothing was put on is not asked again', () => {
    const clear = (change: Partial<Lawn>) =>
      words(plan(lawn({}, { applications: [], ...change })).decision!.waiting.clear)
    expect(clear({ nothingPutOn: false })).toContain('Ask the client')
    expect(clear({ nothingPutOn: true })).not.toContain('Ask the client')
  })

  test('that lines are located and marked opens the ground, unless one that is drawn is not', () => {
    const today = lawn({ sowOn: FIRM.today, work: { ...NO_WORK, pins: { core: FIRM.today } } })
    const located = { access: { ...today.access, services: 'located' as const } }
    const line = { ...NEW_FEATURE, kind: 'buried' as const, located: false }
    const held = (of: Lawn) => gatesOf(of, 'core').some(({ code, state }) => code === 'services' && state === 'hold')
    expect(held(today)).toBe(true)
    expect(held({ ...today, ...located })).toBe(false)
    expect(held({ ...today, ...located, features: { [BACK_ID]: line } })).toBe(true)
  })

  test('of soaked ground reaches the gate that says it is too dry; a guess from normals holds nothing', () => {
    const dry = (rainShare: number | null): Glance => ({
      ...glance,
      rainShare,
      sowing: { ...glance.sowing!, groundLeft: 0.1 },
    })
    const skipped = { ...NO_WORK, skipped: { waterAhead: 'the client does' } }
    const state = (of: Lawn, seen: Glance) =>
      gatesOf(of, 'dethatch', seen).find(({ text }) => /ground|watered|pre-soak the soil/.test(told(text)))!.state
    expect(state(lawn({ work: skipped }), dry(0.8))).toBe('hold')
    expect(state(lawn({ work: skipped }), dry(null))).toBe('waiting')
    expect(state(lawn(), dry(0.8))).toBe('waiting')
    const mark = { id: BACK_ID, key: 'waterAhead', savedBy: null, ...doneSchema.parse({ doneOn: '2026-09-15' }) }
    expect(state(lawn({}, { done: [mark] }), dry(0.8))).toBe('met')
  })
})

// Found by planning jobs at random: a plan whose sowing was left out could not be priced, and no page of it opened.
test('what has its day chosen cannot be left out of a plan', () => {
  const { schedule, price } = plan(lawn({ work: { ...NO_WORK, skipped: { sow: 'no', scalp: 'low already' } } }))
  expect(schedule!.tasks.map(({ key }) => key)).toContain('sow')
  expect(schedule!.skipped.map(({ key }) => key)).toEqual(['scalp'])
  expect(price!.priceMinor.value).toBeGreaterThan(0)
})

test('what the bed wants to drink is told at the watering as When tells it, beside what the client can do', () => {
  const asked = (water: Partial<Lawn['water']>) => {
    const one = lawn()
    const { tasks } = plan({ ...one, water: { ...one.water, ...water } }).schedule!
    return told(tasks.find(({ operation }) => operation.code === 'water')!.settings)
  }
  expect(asked({ timesADay: 3 })).toMatch(/a day until nearly all is up, in 3 turns\.$/)
  expect(asked({ timesADay: 1 })).toContain('the client can do one')
  expect(asked({ timesADay: null })).toContain('Ask who waters')
  expect(asked({ source: 'none' })).toContain('rain alone')
})
