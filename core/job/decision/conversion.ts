import { say, type Message } from '../../explain/message'
import type { Worked, WorkingLine } from '../../explain/working'
import { figure } from '../../measure/figure'
import { sourceOf, type Planning, type PlanningCode } from '../planningFigures'
import type { ProgrammeCode } from './programmes'

/** Ways from one species to another: what each is, and what of the ground it turns over in its first season. */
const WAYS: Partial<Record<ProgrammeCode, { why: Message; figure: PlanningCode }>> = {
  overseed: { why: say('rules.wayOverseed'), figure: 'convertOverseed' },
  hard: { why: say('rules.wayHard'), figure: 'convertHard' },
  kill: { why: say('rules.wayKill'), figure: 'convertKill' },
}

/** A way to another species, with the share of the ground that it holds after each of `CONVERSION_SEASONS`. */
export interface Conversion {
  why: Message
  bySeason: Worked[]
}

/** Seasons that are told. */
const CONVERSION_SEASONS = [1, 2, 3] as const

/**
 * Share of the ground that the wanted species holds after each season: the first as the programme does it, every later one
 * by overseeding again.
 * @returns undefined for a programme that is no way to another species
 * @source own planning figures, which the firm may put its own in place of
 */
export function conversionOf(code: ProgrammeCode, planning: Planning): Conversion | undefined {
  const way = WAYS[code]
  if (!way) return undefined
  const [first, again] = [planning[way.figure], planning.convertOverseed]
  const bySeason = CONVERSION_SEASONS.map((season): Worked => {
    const value = 1 - (1 - first) * (1 - again) ** (season - 1)
    const lines: WorkingLine[] = [
      {
        what: say('expected.turnedOverFirst'),
        value: figure('share', first, 2),
        source: sourceOf(way.figure, planning),
      },
      ...(season > 1
        ? [
            {
              what: say('expected.turnedOverLater'),
              value: figure('share', again, 2),
              source: sourceOf('convertOverseed', planning),
            },
            { operator: '×' as const, what: say('expected.seasonsAfter'), value: figure('count', season - 1) },
          ]
        : []),
      { operator: '=', what: say('expected.wantedSpecies'), value: figure('share', value, 2), subtotal: true },
    ]
    return {
      value,
      working: {
        title: say('expected.wantedSpeciesAfter', { season }),
        result: figure('share', value, 2),
        formula: say('expected.whatIsLeftTimes'),
        lines,
        rounding: say('expected.aPlanningFigureGood'),
      },
    }
  })
  return { why: way.why, bySeason }
}
