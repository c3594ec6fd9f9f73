import { grassByCode } from '../grass/grasses'
import type { Blend } from '../seed/blends'
import { rootingDays } from '../water/rootZone'
import { radiationOf } from '../weather/radiation'
import { runLength, sliceRun } from '../weather/weather'
import { judgeBlend, type BlendYear } from './blendYear'
import { leafCourse } from './growth'
import { bedWater, dryHoursCount, givenAsTold, type GivenWater } from './moisture'
import { SOWN_AHEAD, type Season } from './season'
import type { SeedbedRisk } from './sowing'
import type { Judged } from './sowingDay'
import { soilCourseOf, type Stand } from './stand'
import { weedsByDay } from './weeds'

/** What is read of sowing days. */
interface Asked {
  /** What stands there and what is sown; the cover is not told where left out. */
  stand?: Stand | undefined
  /** Whether dry hours of the bed are counted; they are where left out. */
  dryHours?: boolean
  /** Of so many first days it is told what keeps the bed moist; of all where left out. */
  toldDays?: number
}

/** Each year with its bed and its seed, one after the other: the hours of a bed are let go with its year. */
function followYears(
  { years, ground }: Season,
  blend: Blend,
  risk: SeedbedRisk,
  sownDays: number,
  { dryHours, toldDays = Infinity }: Asked,
) {
  const { bed, slopeShare } = risk
  const [first] = years
  const days = first ? runLength(first.weather) : 0
  const raMJ = first && radiationOf(ground.latDeg, first.weather.first, days)
  const dry = dryHours !== false && bed ? dryHoursCount(days) : undefined
  const asTold = bed?.watering.timesADay === 'as told' && !bed.watering.bannedUntil
  const [judged, told]: [BlendYear[], GivenWater[]] = [[], []]
  for (const year of years) {
    const water = bed && bedWater(year.weather, ground, slopeShare, bed, raMJ)
    judged.push(judgeBlend(year, blend, risk, water, sownDays))
    if (!water) continue
    dry?.add(water.course)
    const { givenMm, times } = water.course
    told.push(
      asTold
        ? { givenMm, times }
        : givenAsTold(sliceRun(year.weather, 0, Math.min(days, toldDays)), ground, slopeShare, bed!, raMJ),
    )
  }
  return { years: judged, told, dryHours: dry?.told }
}

/**
 * A season with its seed sown on every day of each of its years: what sowing days are read from.
 * @param keptMm height the grass will be kept at
 * @param asked what is read of it besides; all but the cover where left out
 */
export function judgedOf(season: Season, blend: Blend, risk: SeedbedRisk, keptMm: number, asked: Asked = {}): Judged {
  const { years } = season
  const { stand } = asked
  const shown = season.todayIndex + SOWN_AHEAD
  const rooting = once(() => years.map(({ soil }) => rootingDays(soil.probeDailyC)))
  const leaves = once(() =>
    years.map(({ weather }) => blend.map(({ grass }) => leafCourse(grassByCode(grass), weather))),
  )
  const oldLeaves = once(() => (stand?.old ? years.map(({ weather }) => leafCourse(stand.old!, weather)) : []))
  const soils = once(() => (stand ? years.map(soilCourseOf) : []))
  const weeds = once(() => weedsByDay(season, shown))
  return {
    season,
    blend,
    ...followYears(season, blend, risk, shown, asked),
    keptMm,
    lowAtOnce: risk.cutsLowAtOnce === true,
    stand,
    get rooting() {
      return rooting()
    },
    get leaves() {
      return leaves()
    },
    get oldLeaves() {
      return oldLeaves()
    },
    get soils() {
      return soils()
    },
    get weeds() {
      return weeds()
    },
  }
}

/** What is made when it is first asked for, and kept. */
function once<T>(make: () => T): () => T {
  let made: { of: T } | undefined
  return () => (made ??= { of: make() }).of
}
