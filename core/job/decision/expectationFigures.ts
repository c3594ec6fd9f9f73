import { say, type Message } from '../../explain/message'
import type { Source } from '../../explain/working'

export const PROGRAMME_CODES = ['spot', 'bare', 'overseed', 'hard', 'kill', 'strip', 'level', 'winter', 'warm'] as const
export type ProgrammeCode = (typeof PROGRAMME_CODES)[number]

/** When a result is looked at. */
export const HORIZONS = [
  ['6w', say('expected.sixWeeks')],
  ['6m', say('expected.sixMonths')],
  ['2s', say('expected.secondSeason')],
] as const
export type Horizon = (typeof HORIZONS)[number][0]

/**
 * What is told of each: shares of the grass there was, of the weeds there were, and of the rest filled with new
 * grass.
 */
export const EXPECTED = [
  ['kept', say('expected.oldGrassStillThere')],
  ['weeds', say('expected.weedsStill')],
  ['filled', say('expected.ofTheRestFilled')],
] as const
export type Expected = (typeof EXPECTED)[number][0]
export type ExpectCode = `${ProgrammeCode}.${Expected}.${Horizon}`

/**
 * kept, weeds, filled at 6 weeks; 6 months; second season. @source own, planning figures to be replaced by the firm's
 * counts
 */
const SHARES: Record<ProgrammeCode, readonly (readonly [kept: number, weeds: number, filled: number])[]> = {
  spot: [
    [1, 1, 0.5],
    [1, 0.9, 0.8],
    [1, 0.8, 0.9],
  ],
  bare: [
    [0, 0.2, 0.55],
    [0, 0.3, 0.85],
    [0, 0.2, 0.93],
  ],
  overseed: [
    [0.95, 0.75, 0.5],
    [1, 0.55, 0.75],
    [1, 0.35, 0.85],
  ],
  hard: [
    [0.75, 0.5, 0.5],
    [0.9, 0.4, 0.75],
    [0.95, 0.25, 0.85],
  ],
  kill: [
    [0, 0.15, 0.55],
    [0, 0.2, 0.85],
    [0, 0.12, 0.93],
  ],
  strip: [
    [0.05, 0.1, 0.55],
    [0.1, 0.15, 0.85],
    [0.1, 0.12, 0.93],
  ],
  level: [
    [0.95, 1, 0.3],
    [1, 0.9, 0.7],
    [1, 0.8, 0.85],
  ],
  winter: [
    [1, 0.9, 0.85],
    [1, 0.8, 0.6],
    [1, 0.9, 0.2],
  ],
  warm: [
    [0.95, 0.8, 0.5],
    [1, 0.7, 0.75],
    [1, 0.5, 0.9],
  ],
}
const SOURCE: Source = { kind: 'own', text: say('expected.planningFigureToBe') }
const figureOf = (name: Message, value: number) => ({
  name,
  quantity: 'share' as const,
  value,
  least: 0,
  most: 1,
  source: SOURCE,
})

const NAMES: Record<ProgrammeCode, Message> = {
  spot: say('expected.spotRepair'),
  bare: say('expected.newSeedbed'),
  overseed: say('expected.overseed'),
  hard: say('expected.hardRenovation'),
  kill: say('expected.killAndRenovate'),
  strip: say('expected.stripBringSoil'),
  level: say('expected.levelInGrowth'),
  winter: say('expected.winterColour'),
  warm: say('expected.warmSeasonOverseed'),
}

/** The same as planning figures, by code. */
export const EXPECT_FIGURES = Object.fromEntries(
  PROGRAMME_CODES.flatMap((code) =>
    HORIZONS.flatMap(([horizon, when], h) =>
      EXPECTED.map(([what, words], i) => [
        `${code}.${what}.${horizon}`,
        figureOf(say('expected.figureName', { programme: NAMES[code], when, what: words }), SHARES[code][h]![i]!),
      ]),
    ),
  ),
) as Record<ExpectCode, ReturnType<typeof figureOf>>

export const PROGRAMME_NAMES = NAMES
