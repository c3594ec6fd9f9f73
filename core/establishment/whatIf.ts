import { say, type Message } from '../explain/message'
import { blendCode, BLENDS, blendWords, mainOf, pureSeed, type Blend } from '../seed/blends'
import { GRASSES, grassByCode, type Grass } from '../grass/grasses'
import { lastingOf, type Lasting, type YearsOfTurf } from './lasting'
import type { Ground, Sun } from '../soil/soilCourse'
import type { BedCover } from '../water/topLayer'
import { bedWater, type SeedWater } from './moisture'
import { radiationOf } from '../weather/radiation'
import { runLength } from '../weather/weather'
import { candidateDays } from './candidates'
import { goodAround, pairedDifference } from './compare'
import { SOWN_AHEAD, type Season, type SeasonYear } from './season'
import { judgeBlend } from './blendYear'
import { coveringOf, type SeedbedRisk } from './sowing'
import { datedWindow, oddsByDay, sowingWindows, type Chance, type DatedWindow } from './window'

/** The plan's own seedbed, or one that differs from it in one thing. */
export interface Variant {
  code: string
  group: 'plan' | 'zone' | 'water' | 'cover' | 'sun' | 'seed'
  words: Message
  seed: Blend
  ground: Ground
  risk: SeedbedRisk
  /** Other seed that may not live here, or will not. */
  lasting?: Exclude<Lasting, 'lasts'>
}

const SUNS: Record<Sun, Message> = {
  full: say('establishment.fullSun'),
  part: say('establishment.halfShade'),
  dense: say('establishment.denseShade'),
}
/** Covers that are compared, with the depth they are laid at, mm. */
const COVERS: readonly { cover: BedCover; coverMm: number; words: Message }[] = [
  { cover: 'none', coverMm: 0, words: say('establishment.notCovered') },
  { cover: 'compost', coverMm: 5, words: say('establishment.compostRakedThin') },
  { cover: 'straw', coverMm: 10, words: say('establishment.straw') },
  { cover: 'fleece', coverMm: 1, words: say('establishment.underFleece') },
]
const WATERINGS: readonly { timesADay: number | 'as told'; words: Message }[] = [
  { timesADay: 'as told', words: say('establishment.wateredWheneverItWants') },
  { timesADay: 2, words: say('establishment.wateredTwiceADay') },
  { timesADay: 1, words: say('establishment.wateredOnceADay') },
  { timesADay: 0, words: say('establishment.rainAlone') },
]

/** How a place treats turf that stands, and whether it is watered through summer. */
export interface Living {
  years: YearsOfTurf | undefined
  irrigated: boolean
}

/** Other seed, single and mixed: of the season, and whatever else lives on at the place. */
function seedsBeside(seed: Blend, { years, irrigated }: Living): { parts: Blend; words: Message }[] {
  const { season } = grassByCode(mainOf(seed))
  const lives = (grass: Grass) => years !== undefined && lastingOf(grass, years, irrigated) !== 'will not last'
  const fits = (parts: Blend) => {
    const grass = grassByCode(mainOf(parts))
    return grass.season === season || lives(grass)
  }
  const own = blendCode(seed)
  return [
    ...GRASSES.filter(({ code }) => code !== 'ARG' && code !== 'IRG').map(({ code, name }) => ({
      parts: pureSeed(code),
      words: name,
    })),
    ...BLENDS.map(({ parts, name }) => ({
      parts,
      words: say('establishment.named', { name, blend: blendWords(parts) }),
    })),
  ].filter(({ parts }) => fits(parts) && blendCode(parts) !== own)
}

function lastingBadly(parts: Blend, { years, irrigated }: Living): Pick<Variant, 'lasting'> {
  const lasting = years && lastingOf(grassByCode(mainOf(parts)), years, irrigated)
  return lasting && lasting !== 'lasts' ? { lasting } : {}
}

/**
 * What may be tried beside a plan: each differs from it in water, cover, sun or seed alone; but for the zones of the lawn,
 * which are what they are.
 * @param years what they do to turf that stands; without them seed of the other season is not offered
 * @returns the plan itself first
 */
export function variantsOf(
  seed: Blend,
  ground: Ground,
  risk: SeedbedRisk,
  zones: readonly { name: string; seed: Blend; ground: Ground; risk: SeedbedRisk }[] = [],
  years?: YearsOfTurf,
): Variant[] {
  const plan: Variant = {
    code: 'plan',
    group: 'plan',
    words: say('establishment.planWords', { seed: blendWords(seed) }),
    seed,
    ground,
    risk,
  }
  const { bed } = risk
  const living = { years, irrigated: risk.irrigated === true }
  if (!bed) return [plan]
  return [
    plan,
    ...zones.map(({ name, seed: own, ...rest }, i): Variant => ({
      ...rest,
      code: `zone ${i}`,
      group: 'zone',
      words: say('establishment.named', { name, blend: blendWords(own) }),
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
      : seedsBeside(seed, living).map(({ parts, words }): Variant => ({
          ...plan,
          ...lastingBadly(parts, living),
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
  /** By sowing day, whether it differs from the plan by more than chance; not told of the plan itself. */
  real?: boolean[]
}

/** Years of a variant, to compare others with: the share of good days around each day. */
export type GoodYears = Float32Array[]

/** What of a variant its bed's water follows from; those alike in it share one. */
export const bedKey = ({ ground, risk: { slopeShare, bed } }: Variant): string =>
  JSON.stringify([ground, slopeShare, bed])

/** Water of a variant's bed in a year of a season; undefined where it is kept moist. */
function waterOf({ ground, risk: { slopeShare, bed } }: Variant, { years: [first] }: Season) {
  const raMJ = first && radiationOf(ground.latDeg, first.weather.first, runLength(first.weather))
  return ({ weather }: SeasonYear): SeedWater | undefined => {
    if (!bed) return undefined
    const { factor, dryHours, warmerK } = bedWater(weather, ground, slopeShare, bed, raMJ)
    return { factor, dryHours, warmerK }
  }
}

/** Water of a variant's bed in each year of a season, for all that lie in it; undefined where it is kept moist. */
export function watersOf(variant: Variant, season: Season): SeedWater[] | undefined {
  const of = waterOf(variant, season)
  return variant.risk.bed && season.years.map((year) => of(year)!)
}

/**
 * @param season of the variant's own ground
 * @param waters of its bed, where others lie in it too; otherwise each year's is let go with the year
 * @param plan years of the plan on the same weather, to compare it with
 */
export function oddsOf(
  variant: Variant,
  season: Season,
  waters?: SeedWater[],
  plan?: GoodYears,
): { odds: VariantOdds; years: GoodYears } {
  const until = season.todayIndex + SOWN_AHEAD
  const own = waterOf(variant, season)
  const judged = season.years.map(
    (year, y) => judgeBlend(year, variant.seed, variant.risk, waters ? waters[y] : own(year), until).whole,
  )
  const odds = oddsByDay(judged, until)
  const grass = grassByCode(mainOf(variant.seed)).season
  const candidate = candidateDays(season, grass, variant.risk.winterColour === true, until)
  const years = goodAround(judged, until)
  const real = (i: number) =>
    pairedDifference(
      years.map((year) => year[i]!),
      plan!.map((year) => year[i]!),
    ).real
  return {
    years,
    odds: {
      code: variant.code,
      years: season.years.length,
      chance: odds.slice(season.todayIndex).map(({ chance }) => chance),
      windows: sowingWindows(odds, candidate, season.todayIndex, until - 1).map((window) =>
        datedWindow(window, season),
      ),
      ...(plan
        ? { real: Array.from({ length: until - season.todayIndex }, (_, i) => real(season.todayIndex + i)) }
        : {}),
    },
  }
}
