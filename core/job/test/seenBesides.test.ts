import { told } from '../../explain/test/told'
import { describe, expect, test } from 'vitest'
import type { ZoneSurvey } from '../../site/zone'
import { PROGRAMME_CODES } from '../decision/programmes'
import { operationsOf } from '../operations/planned'
import { decided, planned } from './ground'

const cover = (desirableShare: number, weedShare: number, coarseShare: number): Partial<ZoneSurvey> => ({
  desirableShare,
  weedShare,
  coarseShare,
  bareShare: 1 - desirableShare - weedShare - coarseShare,
})

// Common practice, no source: what a client refuses is not planned, whatever the survey says.
describe('a client who refuses sprays', () => {
  test('is offered no killing, and no plan of theirs has a task that sprays', () => {
    const coarse = { ...cover(0.2, 0.2, 0.5) }
    expect(decided(coarse).verdicts.kill.fits).toBe(true)
    const { verdicts } = decided(coarse, { noSprays: true })
    expect(verdicts.kill).toMatchObject({ fits: false })
    expect(verdicts.kill.refusals.map(({ text }) => told(text)).join(' ')).toContain('refuses sprays')
    for (const programme of PROGRAMME_CODES) {
      const parts = planned({ programme })
      const extent = {
        soilTested: false,
        dryGround: true,
        autumnAhead: true,
        dormant: false,
        leavesFall: true,
        added: ['hardWeeds', 'weedControl'],
      }
      const sprays = (noSprays: boolean) =>
        operationsOf(parts, { ...extent, noSprays }).filter(({ operation }) => operation.putsDown === 'spray')
      expect([programme, sprays(true).length]).toEqual([programme, 0])
      expect([programme, sprays(false).length > 0]).toEqual([programme, true])
    }
  })
})

describe('what is seen besides', () => {
  const risks = (zone: Partial<ZoneSurvey>, lawn: Parameters<typeof decided>[1] = {}) =>
    decided(zone, lawn)
      .verdicts.overseed.risks.map(({ text }) => told(text))
      .join(' ')
  test('is said where it bears on the work, and nowhere else', () => {
    expect(risks({ topsoilMm: 30 })).toContain('of loose topsoil')
    expect(risks({ topsoilMm: 120 })).not.toContain('of loose topsoil')
    expect(risks({ ground: 'cut-out' })).toContain('fill it in layers')
    expect(risks({ stones: 'many' })).toContain('stones')
    expect(risks({ grass: 'KBG' }, { upkeep: 'low' })).toContain('little upkeep')
    expect(risks({ grass: 'TF' }, { upkeep: 'low' })).not.toContain('little upkeep')
    expect(risks({}, { mownBy: 'contractor' })).toContain('cut before the visit')
    expect(risks({}, { homeWhen: 'seldom' })).toContain('timer')
    expect(risks({}, { homeWhen: 'seldom', irrigated: true })).not.toContain('timer')
  })
  // Trade: 50 to 150 mm of loose topsoil wanted.
  test('thin topsoil and cut-outs make stripping fit', () => {
    expect(decided({ thatchMm: 5 }).verdicts.strip.fits).toBe(false)
    expect(decided({ thatchMm: 5, topsoilMm: 30 }).verdicts.strip.fits).toBe(true)
    expect(decided({ thatchMm: 5, ground: 'cut-out' }).verdicts.strip.fits).toBe(true)
  })
})
