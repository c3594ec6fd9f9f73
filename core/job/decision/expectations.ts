import { say, type Message } from '../../explain/message'
import { figure } from '../../measure/figure'
import type { Worked } from '../../explain/working'
import type { Survey } from '../../site/survey'
import { HORIZONS, type Horizon } from './expectationFigures'
import { sourceOf, type Planning } from '../planningFigures'
import type { ProgrammeCode } from './programmes'

/** What a lawn may look like some while after sowing, shares of its area. */
export interface Expectation {
  horizon: Horizon
  when: Message
  grass: Worked
  weeds: number
  bare: number
}

/**
 * Coarse weed grasses come back whole unless they are killed. @source trade: they survive everything but
 * killing
 */
const KILLS: readonly ProgrammeCode[] = ['kill']

/**
 * Expected cover after 6 weeks, 6 months and in the second season: what is kept of the old grass, what is left of the
 * weeds, and how much of the rest has filled.
 * @source own planning figures, which the firm may put its own in place of
 */
export function expectOf(programme: ProgrammeCode, survey: Survey, planning: Planning): Expectation[] {
  return HORIZONS.map(([horizon, when]) => {
    const code = (what: 'kept' | 'weeds' | 'filled') => `${programme}.${what}.${horizon}` as const
    const [kept, left, filled] = [planning[code('kept')], planning[code('weeds')], planning[code('filled')]]
    const old = survey.desirableShare * kept
    const coarse = survey.coarseShare * (KILLS.includes(programme) ? left : 1)
    const weeds = Math.min(1 - old, survey.weedShare * left + coarse)
    const open = 1 - old - weeds
    const value = old + open * filled
    return {
      horizon,
      when,
      weeds,
      bare: open * (1 - filled),
      grass: {
        value,
        working: {
          title: say('expected.grassExpectedAfter', { when }),
          result: figure('share', value, 2),
          formula: say('expected.oldGrassKeptAnd'),
          lines: [
            {
              what: say('expected.desirableGrassNow'),
              value: figure('share', survey.desirableShare, 2),
              source: { kind: 'user', text: say('expected.look') },
            },
            {
              operator: '×',
              what: say('expected.stillThere'),
              value: figure('share', kept, 2),
              source: sourceOf(code('kept'), planning),
            },
            { operator: '=', what: say('expected.oldGrass'), value: figure('share', old, 2), subtotal: true },
            {
              what: say('expected.weedsStillThere'),
              value: figure('share', weeds, 2),
              source: sourceOf(code('weeds'), planning),
            },
            { what: say('expected.groundLeftOpen'), value: figure('share', open, 2) },
            {
              operator: '×',
              what: say('expected.filledByNewGrass'),
              value: figure('share', filled, 2),
              source: sourceOf(code('filled'), planning),
            },
            { operator: '=', what: say('expected.grass'), value: figure('share', value, 2), subtotal: true },
          ],
          rounding: say('expected.aPlanningFigureGood'),
        },
      },
    }
  })
}
