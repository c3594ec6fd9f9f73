import { blendCode, BLENDS, blendWords, mainOf, pureSeed, type Blend } from '../seed/blends'
import { GRASSES, grassByCode } from '../grass/grasses'
import type { Ground, Sun } from '../soil/soilCourse'
import type { BedCover } from '../water/topLayer'
import { bedWaters, type BedWater } from './moisture'
import { candidateDays } from './candidates'
import { SOWN_AHEAD, type Season } from './season'
import { judgeBlend } from './blendYear'
import { coveringOf, type SeedbedRisk } from './sowing'
import { datedWindow, oddsByDay, sowingWindows, type Chance, type DatedWindow } from './window'

/** The plan's own seedbed, or one that differs from it in one thing. */
export interface Variant {
  code: string
  group: 'plan' | 'zone' | 'water' | 'cover' | 'sun' | 'seed'
  words: string
  seed: Blend
  ground: Ground
  risk: SeedbedRisk
}

const SUNS: Record<Sun, string> = { full: 'full sun', part: 'half shade', dense: 'dense shade' }
/** Covers that are compared, with the depth they are laid at, mm. */
const COVERS: readonly { cover: BedCover; coverMm: number; words: string }[] = [
  { cover: 'none', coverMm: 0, words: 'not covered' },
  { cover: 'compost', coverMm: 5, words: 'compost, raked thin' },
  { cover: 'straw', coverMm: 10, words: 'straw' },
  { cover: 'fleece', coverMm: 1, words: 'under fleece' },
]
const WATERINGS: readonly { timesADay: number | 'as told'; words: string }[] = [
  { timesADay: 'as told', words: 'watered whenever it wants it' },
  { timesADay: 2, words: 'watered twice a day' },
  { timesADay: 1, words: 'watered once a day' },
  { timesADay: 0, words: 'rain alone' },
]

/**
 * Between these latitudes neither cool- nor warm-season grass is at home, and both are sown. @source turf handbooks, drawn
 * roughly by latitude
 */
const [TRANSITION_FROM_DEG, TRANSITION_TO_DEG] = [33, 39]
export const inTransitionZone = (latDeg: number): boolean =>
  Math.abs(latDeg) >= TRANSITION_FROM_DEG && Math.abs(latDeg) <= TRANSITION_TO_DEG

/** Other seed of the season, single and mixed; in the transition zone that of the other season too. */
function seedsBeside(seed: Blend, { latDeg }: Ground): { parts: Blend; words: string }[] {
  const { season } = grassByCode(mainOf(seed))
  const fits = (parts: Blend) => inTransitionZone(latDeg) || grassByCode(mainOf(parts)).season === season
  const own = blendCode(seed)
  return [
    ...GRASSES.filter(({ code }) => code !== 'ARG').map(({ code, name }) => ({ parts: pureSeed(code), words: name })),
    ...BLENDS.map(({ parts, name }) => ({ parts, words: `${name}: ${blendWords(parts)}` })),
  ].filter(({ parts }) => fits(parts) && blendCode(parts) !== own)
}

/**
 * What may be tried beside a plan: each differs from it in water, cover, sun or seed alone; but for the zones of the lawn,
 * which are what they are.
 * @returns the plan itself first
 */
export function variantsOf(
  seed: Blend,
  ground: Ground,
  risk: SeedbedRisk,
  zones: readonly { name: string; seed: Blend; ground: Ground; risk: SeedbedRisk }[] = [],
): Variant[] {
  const plan: Variant = { code: 'plan', group: 'plan', words: `as planned, ${blendWords(seed)}`, seed, ground, risk }
  const { bed } = risk
  if (!bed) return [plan]
  return [
    plan,
    ...zones.map(({ name, seed: own, ...rest }, i): Variant => ({
      ...rest,
      code: `zone ${i}`,
      group: 'zone',
      words: `${name}: ${blendWords(own)}`,
      seed: own,
    })),
    ...WATERINGS.filter(({ timesADay }) => timesADay !== bed.watering.timesADay || bed.watering.bannedUntil).map(
      ({ timesADay, words }): Variant => ({
        ...plan,
        code: `water ${timesADay}`,
        group: 'water',
        words,
        risk: { ...risk, bed: { ...bed, watering: { timesADay, bannedUntil: null } } },
      }),
    ),
    ...COVERS.filter(({ cover }) => cover !== bed.cover).map(({ cover, coverMm, words }): Variant => ({
      ...plan,
      code: `cover ${cover}`,
      group: 'cover',
      words,
      risk: { ...risk, covering: coveringOf(cover), bed: { ...bed, cover, coverMm } },
    })),
    ...(Object.keys(SUNS) as Sun[])
      .filter((sun) => sun !== ground.sun)
      .map((sun): Variant => ({
        ...plan,
        code: `sun ${sun}`,
        group: 'sun',
        words: SUNS[sun],
        ground: { ...ground, sun },
      })),
    ...(risk.winterColour
      ? []
      : seedsBeside(seed, ground).map(({ parts, words }): Variant => ({
          ...plan,
          code: `seed ${blendCode(parts)}`,
          group: 'seed',
          words,
          seed: parts,
        }))),
  ]
}

/** How a variant does, sown on each day ahead. */
export interface VariantOdds {
  code: string
  /** By sowing day from today on. */
  chance: Chance[]
  years: number
  windows: DatedWindow[]
}

/** What of a variant its bed's water follows from; those alike in it share one. */
export const bedKey = ({ ground, risk: { slopeShare, bed } }: Variant): string =>
  JSON.stringify([ground, slopeShare, bed])

/** Water of a variant's bed in each year of a season; undefined where it is kept moist. */
export const watersOf = ({ ground, risk: { slopeShare, bed } }: Variant, season: Season): BedWater[] | undefined =>
  bed &&
  bedWaters(
    season.years.map(({ weather }) => weather),
    ground,
    slopeShare,
    bed,
  )

/** @param season of the variant's own ground @param waters of its bed */
export function oddsOf(variant: Variant, season: Season, waters = watersOf(variant, season)): VariantOdds {
  const judged = season.years.map((year, y) => judgeBlend(year, variant.seed, variant.risk, waters?.[y]).whole)
  const until = season.todayIndex + SOWN_AHEAD
  const odds = oddsByDay(judged, until)
  const grass = grassByCode(mainOf(variant.seed)).season
  const candidate = candidateDays(season, grass, variant.risk.winterColour === true, until)
  return {
    code: variant.code,
    years: season.years.length,
    chance: odds.slice(season.todayIndex).map(({ chance }) => chance),
    windows: sowingWindows(odds, candidate, season.todayIndex, until - 1).map((window) => datedWindow(window, season)),
  }
}
