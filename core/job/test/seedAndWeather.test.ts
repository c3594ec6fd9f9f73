import { told } from '../../explain/test/told'
import { describe, expect, test } from 'vitest'
import type { ForecastDay } from '../../weather/weather'
import { BLENDS, depthLimitOf, type Blend } from '../../seed/blends'
import { addDays, toDay, type Day } from '../../measure/calendar'
import { depthGate, partsOf, type PlannedZone } from '../parts'
import { buriedMm, shallowEnough } from '../settings'
import type { ProgrammeCode } from '../decision/programmes'
import { buildSchedule, type ScheduleInput } from '../schedule/schedule'
import { doneOn, planned, scheduleInput, TODAY, ZONE } from './ground'

const SOW_ON = toDay('2026-09-18')
const MIXTURE: Blend = BLENDS.find(({ code }) => code === 'TF 90 KBG 10')!.parts
const zones: PlannedZone[] = [
  { zone: ZONE, programme: 'overseed' },
  { zone: { ...ZONE, id: 'b', name: 'Gate', grass: 'PRG', areaM2: 60 }, programme: 'overseed' },
]
const [{ settings, practices }] = planned() as [ReturnType<typeof planned>[number]]

describe('a mixture in a plan', () => {
  test('is sown on all zones as one part, named by its largest grass, where without it each zone has its own', () => {
    expect(partsOf(zones, settings, { texture: 'loam', practices }).map(({ grass }) => grass.code)).toEqual([
      'TF',
      'PRG',
    ])
    const [one, ...others] = partsOf(zones, settings, { texture: 'loam', practices, blend: MIXTURE })
    expect([one!.grass.code, one!.zones, others]).toEqual(['TF', ['Lawn', 'Gate'], []])
    expect(one!.seed).toEqual(MIXTURE)
  })
  test('does not take the place of seed that a programme brings itself', () => {
    const winter = partsOf([{ zone: { ...ZONE, sward: 'BER' }, programme: 'winter' }], settings, {
      texture: 'loam',
      practices,
      blend: MIXTURE,
    })
    expect(winter[0]!.seed).toEqual([{ grass: 'ARG', massShare: 1 }])
  })
  // Reference §2: tall fescue bears 10 mm of cover, bluegrass 6; they lie in one bed.
  test('lies no deeper than its shallowest seed: what is right for tall fescue alone is held', () => {
    const [alone, mixed] = [
      partsOf(zones.slice(0, 1), settings, { texture: 'loam', practices }),
      partsOf(zones.slice(0, 1), settings, { texture: 'loam', practices, blend: MIXTURE }),
    ].map(([part]) => part!)
    expect([depthGate(alone!).state, depthGate(mixed!).state]).toEqual(['met', 'hold'])
    const mended = shallowEnough(settings, depthLimitOf(MIXTURE))
    expect(mended.rakeMm + buriedMm(mended)).toBeLessThanOrEqual(6)
    expect(depthGate({ seed: MIXTURE, settings: mended }).state).toBe('met')
    // What is shallow already stays as it is.
    expect(shallowEnough({ rakeMm: 1, coverMm: 2 }, 6)).toEqual({ rakeMm: 1, coverMm: 2 })
  })
})

describe('gates of the weather', () => {
  const quiet = (from = TODAY): ForecastDay[] =>
    Array.from({ length: 15 }, (_, i) => ({ day: addDays(from, i), tmaxC: 24, tminC: 12, rainMm: 0, windKmh: 8 }))
  const input = (change: Partial<ScheduleInput> = {}) => scheduleInput({ sowOn: SOW_ON, forecast: quiet(), ...change })
  const states = (code: string, change: Partial<ScheduleInput> = {}) =>
    buildSchedule(input(change))
      .tasks.find(({ operation }) => operation.code === code)!
      .gates.map(({ state }) => state)
  const wet = (day: number, rainMm: number) => quiet().map((one, i) => (i === day ? { ...one, rainMm } : one))

  test('hold the seed and the feed on one task each, and say nothing where the forecast does not reach', () => {
    expect(states('sow')).not.toContain('hold')
    expect(states('sow', { forecast: wet(12, 20) })).toContain('hold')
    expect(states('feed', { forecast: wet(11, 20) })).toContain('hold')
    const none = buildSchedule(input({ forecast: [] })).tasks.find(({ operation }) => operation.code === 'feed')!
    expect(none.gates.some(({ text }) => told(text).includes('forecast'))).toBe(false)
  })
  test('are looked at no more for what is done', () => {
    const done = doneOn(['feed', SOW_ON], ['sow', SOW_ON])
    expect(states('feed', { done, today: addDays(SOW_ON, 1), forecast: wet(10, 30) })).not.toContain('hold')
  })
  // Moist, not wet, is common practice, no source; the shares are ours.
  test('ask coring for ground that is neither dry nor full', () => {
    const risks = (groundLeft: number) =>
      states('core', { groundOn: () => groundLeft }).filter((state) => state === 'risk').length
    expect([risks(0.2), risks(0.6), risks(0.99)]).toEqual([1, 0, 1])
  })
  test('judge the ground on the day of the work, not on that of the sowing', () => {
    const drying = (day: Day) => (day < addDays(SOW_ON, -1) ? 0.6 : 0.2)
    expect(states('dethatch', { groundOn: drying })).not.toContain('risk')
    expect(states('core', { groundOn: drying })).toContain('risk')
  })
  // No drought, no heat wave, not dormant; common practice, no source.
  test('do not tear turf that is to live on in drought or dormancy; what is killed may be', () => {
    const held = (programme: ProgrammeCode, change: Partial<ScheduleInput>) =>
      states('dethatch', {
        parts: planned({ programme }),
        sowOn: addDays(TODAY, 45),
        forecast: [],
        ...change,
      }).includes('hold')
    expect([
      held('overseed', { groundOn: () => 0.1 }),
      held('overseed', { soilOn: () => 3 }),
      held('overseed', { groundOn: () => 0.6, soilOn: () => 14 }),
    ]).toEqual([true, true, false])
    expect([held('kill', { groundOn: () => 0.1 }), held('kill', { soilOn: () => 3 })]).toEqual([false, false])
    const dormant = {
      soilTested: true,
      dryGround: false,
      autumnAhead: false,
      dormant: true,
      leavesFall: false,
      added: [],
    }
    expect(held('overseed', { soilOn: () => 3, extent: dormant })).toBe(false)
  })
  test('know of rain that has fallen already on the day before', () => {
    const scalped = (fell: number) =>
      buildSchedule(input({ fellOn: () => fell, pins: new Map([['scalp', TODAY]]) }))
        .tasks.find(({ key }) => key === 'scalp')!
        .gates.some(({ code, state }) => code === 'surface' && state === 'risk')
    expect([scalped(0), scalped(9)]).toEqual([false, true])
  })
})
