import { describe, expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import { daysBetween } from '../../measure/calendar'
import { PROGRAMME_CODES } from '../decision/programmes'
import { operationByCode } from '../operations/registry'
import { madeOfBareSoil, soilOf } from '../parts'
import { buildSchedule } from '../schedule/schedule'
import { decided, planned, scheduleInput, type Planned } from './ground'

const BARE = { desirableShare: 0.03, weedShare: 0.05, coarseShare: 0, bareShare: 0.92, thatchMm: 0 }
const CUT_OUT = { ...BARE, ground: 'cut-out' as const, areaM2: 8 }

/** What a plan for bare ground says at an operation. */
function brief(code: string, change: Planned = {}) {
  const [part] = planned({ programme: 'bare', ...change, zone: { ...BARE, ...change.zone } })
  const { settings, gates, hours } = operationByCode(code).brief(part!, { number: 1, of: 1 })
  return { settings: told(settings), gates: gates.map(({ text }) => told(text)), hours: hours.value }
}

describe('bare ground', () => {
  test('is given a seedbed, and no turf work is offered on it', () => {
    const { recommended, verdicts } = decided(BARE)
    expect(recommended?.programme).toBe('bare')
    expect(told(recommended!.because.text)).toBe('92% is bare: loosen, level, firm, and sow.')
    expect(PROGRAMME_CODES.filter((code) => verdicts[code].fits)).toEqual(['bare'])
    expect(told(verdicts.hard.refusals[0]!.text)).toContain('no turf to cut, tear, or core')
  })

  test('is asked for before anything that the client wants of turf', () => {
    for (const goal of ['levels', 'winter', 'species', 'thicker'])
      expect([goal, decided(BARE, { goal }).recommended?.programme]).toEqual([goal, 'bare'])
  })

  test('ends where the firm says: at four fifths by our figure', () => {
    expect(decided({ ...BARE, desirableShare: 0.15, bareShare: 0.8 }).recommended?.programme).toBe('bare')
    const under = decided({ ...BARE, desirableShare: 0.16, bareShare: 0.79 })
    expect(under.recommended?.programme).not.toBe('bare')
    expect(told(under.verdicts.bare.refusals[0]!.text)).toBe(
      '16% is desirable grass and 79% bare: turf is there to work on',
    )
  })

  test('of a cut-out may be mended as a spot or made a bed of', () => {
    const { verdicts } = decided(CUT_OUT)
    expect([verdicts.spot.fits, verdicts.bare.fits, verdicts.overseed.fits]).toEqual([true, true, false])
  })
})

describe('a seedbed on bare ground', () => {
  test('is worked in the order of the handbooks, without scalping, tearing, or coring', () => {
    const schedule = buildSchedule({
      ...scheduleInput({ parts: planned({ programme: 'bare', zone: BARE }) }),
      skipped: {},
    })
    // Loosen, grade and firm, seed, cover by raking, roll, mulch, water: the order of extension leaflets, from memory.
    const codes = schedule.tasks.map(({ operation }) => operation.code)
    expect(codes.filter((code) => ['scalp', 'scalpAgain', 'dethatch', 'core', 'fork', 'relay'].includes(code))).toEqual(
      [],
    )
    const run = ['locate', 'loosen', 'level', 'sow', 'rake', 'firm', 'cover', 'water', 'green', 'mow']
    expect(codes.filter((code) => run.includes(code))).toEqual(run)
    const day = (code: string) => schedule.tasks.find(({ operation }) => operation.code === code)!.to
    expect(daysBetween(day('locate'), day('loosen'))).toBeGreaterThanOrEqual(5)
    expect(daysBetween(day('level'), day('sow'))).toBeGreaterThanOrEqual(1)
    expect(schedule.troubles).toEqual([])
  })

  test('is tilled four inches deep both ways, by fork where it is small', () => {
    // 612 m² × 2 passes ÷ 150 m²/h + 15 min, by hand.
    expect(brief('loosen').hours).toBeCloseTo((612 * 2) / 150 + 0.25, 6)
    expect(brief('loosen').settings).toContain('second pass across the first')
    expect(brief('loosen').gates).toContainEqual(expect.stringContaining('crumbles'))
    expect(brief('loosen', { zone: { areaM2: 12 } }).settings).toMatch(/^Fork/)
  })

  test('is leveled and firmed until a footprint goes in no deeper than half an inch, then raked across its furrows', () => {
    // Extension leaflets, from memory: a footprint of no more than half an inch.
    expect(brief('level').gates).toContainEqual(expect.stringMatching(/footprint.*(½|0\.5|1\/2|13 mm)/))
    expect(brief('level').settings).not.toContain('Spread')
    expect(brief('rake').settings).toContain('rake across')
    expect(brief('sow').settings).toContain('half')
  })

  test('is brought the topsoil that it lacks, and none where nobody looked or it has enough', () => {
    const soil = (topsoilMm: number | null) => soilOf(planned({ programme: 'bare', zone: { ...BARE, topsoilMm } })[0]!)
    // 612 m² × (50 − 20) mm, settling of 15 % added: by hand.
    expect(soil(20).volumeM3).toBeCloseTo(612 * 0.03 * 1.15, 6)
    expect([soil(null).volumeM3, soil(80).volumeM3]).toEqual([0, 0])
    expect(brief('level', { zone: { topsoilMm: 20 } }).settings).toMatch(/^Spread .* into the old soil/)
  })

  test('is all seed: the full rate, and no old grass in it', () => {
    const [part] = planned({ programme: 'bare', zone: BARE })
    const [kept] = planned({ programme: 'kill', zone: BARE })
    expect(madeOfBareSoil(part!)).toBe(true)
    expect([part!.programme.keepsTurf, part!.settings.seedRateGPerM2]).toEqual([false, kept!.settings.seedRateGPerM2])
  })
})
