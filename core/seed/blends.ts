import { say, type Message } from '../explain/message'
import type { Gate } from '../explain/judgement'
import { figure } from '../measure/figure'
import type { Source } from '../explain/working'
import { grassByCode, type GrassCode } from '../grass/grasses'

/** One seed of a mixture, by its share of the mass of pure seed. */
export interface BlendPart {
  grass: GrassCode
  massShare: number
}

/** A mixture of seed; one grass alone is a mixture of one. Shares of mass add up to 1. */
export type Blend = readonly BlendPart[]

export const pureSeed = (grass: GrassCode): Blend => [{ grass, massShare: 1 }]

/** Most grasses that one mixture may hold. @source own */
export const MOST_PARTS = 6

/** A mixture of the trade by name. */
export interface NamedBlend {
  code: string
  name: Message
  parts: Blend
}

const blend = (code: string, name: Message, ...parts: [GrassCode, number][]): NamedBlend => ({
  code,
  name,
  parts: parts.map(([grass, percent]) => ({ grass, massShare: percent / 100 })),
})

/** Mixtures to begin from. @source turf handbooks; shares own within what it allows */
export const BLENDS: readonly NamedBlend[] = [
  blend('TF 95 KBG 5', say('seed.tallFescueWithA'), ['TF', 95], ['KBG', 5]),
  blend('TF 90 KBG 10', say('seed.tallFescueWithBluegrass'), ['TF', 90], ['KBG', 10]),
  blend('KBG 60 CRF 25 PRG 15', say('seed.sunnyFamilyLawn'), ['KBG', 60], ['CRF', 25], ['PRG', 15]),
  blend('KBG 85 PRG 15', say('seed.bluegrassWithRyegrassTo'), ['KBG', 85], ['PRG', 15]),
  blend('PRG 50 CRF 50', say('seed.quickCoverSunTo'), ['PRG', 50], ['CRF', 50]),
  blend('CRF 40 CHF 40 HF 20', say('seed.fineFescuesForShade'), ['CRF', 40], ['CHF', 40], ['HF', 20]),
]

const normalised = (weights: readonly number[]): number[] => {
  const sum = weights.reduce((a, b) => a + b, 0)
  return weights.map((weight) => weight / sum)
}

/**
 * Shares of a mixture by number of seeds.
 * @returns shares of 1, in the order of the mixture
 * @source own: share of mass × seeds per gram, over their sum
 */
export const countShares = (parts: Blend): number[] =>
  normalised(parts.map(({ grass, massShare }) => massShare * grassByCode(grass).seedsPerG))

/**
 * Shares of a full stand that each part of a mixture can make: its live seeds over those that are enough of it. Bluegrass is
 * most of the seeds of many mixtures, and wants most of them.
 * @source own, on the counts of turf handbooks
 */
export const standShares = (parts: Blend): number[] =>
  normalised(
    parts.map(({ grass, massShare }) => {
      const {
        seedsPerG,
        enoughSeedsPerCm2: [low, high],
      } = grassByCode(grass)
      return (massShare * seedsPerG) / ((low + high) / 2)
    }),
  )

/** Seeds in a gram of pure seed of a mixture. */
export const seedsPerGOf = (parts: Blend): number =>
  parts.reduce((sum, { grass, massShare }) => sum + massShare * grassByCode(grass).seedsPerG, 0)

/**
 * Live seeds per cm² of a mixture that make a full stand: its parts each make their share of one. @returns low and
 * high end @source turf handbooks; adding shares of a stand is own
 */
export function enoughSeedsPerCm2(parts: Blend): [number, number] {
  const counts = countShares(parts)
  const enough = (end: 0 | 1) =>
    1 / parts.reduce((sum, { grass }, i) => sum + counts[i]! / grassByCode(grass).enoughSeedsPerCm2[end], 0)
  return [enough(0), enough(1)]
}

/** The grass that makes most of a mixture by mass; it gives the lawn its name, height and season. */
export const mainOf = (parts: Blend): GrassCode => parts.reduce((a, b) => (b.massShare > a.massShare ? b : a)).grass

/** The mixture as a name: its parts by weight, whatever order they were written in. */
export const blendCode = (parts: Blend): string =>
  [...parts]
    .sort((a, b) => b.massShare - a.massShare || (a.grass < b.grass ? -1 : 1))
    .map(({ grass, massShare }) => `${grass} ${Math.round(massShare * 100)}`)
    .join(' ')

/** The mixture in words: "90% tall fescue, 10% Kentucky bluegrass". */
export const blendWords = (parts: Blend): Message =>
  !parts.length
    ? say('seed.oneGrassAlone')
    : parts.length === 1
      ? grassByCode(parts[0]!.grass).name
      : say('seed.mixture', {
          parts: [...parts]
            .sort((a, b) => b.massShare - a.massShare)
            .map(({ grass, massShare }) =>
              say('seed.partOf', { percent: Math.round(massShare * 100), name: grassByCode(grass).name }),
            ),
        })

/** Ryegrass above this crowds bluegrass out; less tall fescue than that stands in clumps. @source turf handbooks */
const [MOST_RYEGRASS, LEAST_TALL_FESCUE] = [0.2, 0.8]
const MIXTURES: Source = { kind: 'mem', text: say('seed.mixtures') }

/** What speaks against a mixture. @source turf handbooks */
export function blendFaults(parts: Blend): Gate[] {
  if (parts.length < 2) return []
  const share = (code: GrassCode) =>
    parts.filter(({ grass }) => grass === code).reduce((sum, { massShare }) => sum + massShare, 0)
  const faults: Gate[] = []
  if (share('KBG') > 0 && share('PRG') > MOST_RYEGRASS)
    faults.push({
      state: 'risk',
      text: say('seed.ryegrassAboveAboutOf', { MOST_RYEGRASS: figure('share', MOST_RYEGRASS, 2) }),
      source: MIXTURES,
    })
  if (share('TF') > 0 && share('TF') < LEAST_TALL_FESCUE)
    faults.push({
      state: 'risk',
      text: say('seed.tallFescueBelowAbout', { LEAST_TALL_FESCUE: figure('share', LEAST_TALL_FESCUE, 2) }),
      source: MIXTURES,
    })
  if (new Set(parts.map(({ grass }) => grassByCode(grass).season)).size > 1)
    faults.push({
      state: 'risk',
      text: say('seed.coolSeasonAndWarm'),
      source: { kind: 'trade', text: say('seed.soilTemperatureOfEach') },
    })
  return faults
}

/** Nothing buries seed deeper than the shallowest part of a mixture bears, mm. */
export const depthLimitOf = (parts: Blend): number =>
  Math.min(...parts.map(({ grass }) => grassByCode(grass).depthLimitMm))
