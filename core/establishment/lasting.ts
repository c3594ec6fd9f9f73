import { say, type Message } from '../explain/message'
import type { Gate } from '../explain/judgement'
import { figure } from '../measure/figure'
import type { Grass, GrassCode } from '../grass/grasses'
import type { SwardCode } from '../grass/swards'
import { buildSeason, fiveDayMeans, type SeasonInput } from './season'

/** What the years of a place do to turf that stands: the mean of all of them. */
export interface YearsOfTurf {
  /** Days a year on which the soil under dense turf is over 27 °C, 5-day mean at probe depth. */
  hotDays: number
  /** Its coldest 5-day mean of a year, °C. */
  coldestC: number
}

export type Lasting = 'lasts' | 'doubtful' | 'will not last'

/** Soil from which roots of cool-season turf give way, °C. @source own */
const HOT_SOIL_C = 27
/** So many years say enough of a mean. @source own */
export const LASTING_YEARS = 15
/** Days a year of such soil that cool-season turf bears. @source own */
const BEARS_HOT_DAYS: Readonly<Partial<Record<GrassCode, number>>> = {
  TF: 50,
  KBG: 38,
  PRG: 30,
  IRG: 30,
  ARG: 30,
  CBG: 25,
}
const OTHERS_BEAR_HOT_DAYS = 18
/** Watered through summer it bears so much more, and is doubtful up to so much beyond. @source own */
const [IRRIGATED, DOUBTFUL] = [1.2, 1.3]
/** Coldest soil that warm-season turf bears, °C. @source own */
const BEARS_SOIL_C: Readonly<Partial<Record<SwardCode, number>>> = {
  BER: -4,
  HBER: -4,
  ZOY: -6,
  SAG: -1,
  CEN: -2,
  BAH: -2,
}
/** K below it in which it is doubtful. @source own */
const DOUBTFUL_K = 2

/** What the years of a place do to standing dense turf on some ground. */
export function yearsOfTurf(input: SeasonInput): YearsOfTurf {
  const season = buildSeason({
    ...input,
    ground: { ...input.ground, cover: 'dense turf' },
    years: Math.min(LASTING_YEARS, input.years),
    probe: undefined,
  })
  let [hot, coldest, years] = [0, 0, 0]
  for (const { soil } of season.years) {
    const means = fiveDayMeans(soil.probeDailyC)
    for (let from = season.todayIndex; from + 365 <= means.length; from += 365, years++) {
      const year = means.subarray(from, from + 365)
      hot += year.filter((soilC) => soilC > HOT_SOIL_C).length
      coldest += Math.min(...year)
    }
  }
  return { hotDays: Math.round(hot / years), coldestC: Math.round((coldest / years) * 10) / 10 }
}

/** What a grass bears: days a year of hot soil, or its coldest soil, °C. */
function bearsOf({ code, season }: Turf, irrigated: boolean): number {
  if (season === 'warm') return BEARS_SOIL_C[code] ?? BEARS_SOIL_C.BER!
  return (BEARS_HOT_DAYS[code as GrassCode] ?? OTHERS_BEAR_HOT_DAYS) * (irrigated ? IRRIGATED : 1)
}
type Turf = Pick<Grass, 'season'> & { code: SwardCode }

/**
 * Whether a grass lives on at a place, once it stands: apart from whether it can be established there.
 * @param irrigated through the summer
 * @source own; nothing is refused by it
 */
export function lastingOf(turf: Turf, { hotDays, coldestC }: YearsOfTurf, irrigated: boolean): Lasting {
  const bears = bearsOf(turf, irrigated)
  if (turf.season === 'warm')
    return coldestC >= bears ? 'lasts' : coldestC >= bears - DOUBTFUL_K ? 'doubtful' : 'will not last'
  return hotDays <= bears ? 'lasts' : hotDays <= DOUBTFUL * bears ? 'doubtful' : 'will not last'
}

/** The same in words, with the figures; undefined where it lasts. */
export function lastingGate(turf: Turf & { name: Message }, years: YearsOfTurf, irrigated: boolean): Gate | undefined {
  const verdict = lastingOf(turf, years, irrigated)
  if (verdict === 'lasts') return undefined
  const [bears, never] = [bearsOf(turf, irrigated), verdict === 'will not last']
  return {
    state: 'risk',
    text:
      turf.season === 'warm'
        ? say('establishment.wintersTooCold', {
            name: turf.name,
            never,
            coldest: figure('tempC', years.coldestC, 2),
            bears: figure('tempC', bears, 2),
          })
        : say('establishment.summersTooHot', {
            name: turf.name,
            never,
            over: figure('tempC', HOT_SOIL_C, 2),
            hotDays: years.hotDays,
            bears: Math.round(bears),
          }),
    source: { kind: 'computed', text: say('establishment.yearsOfStandingTurf') },
  }
}
