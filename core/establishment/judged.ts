import { grassByCode } from '../grass/grasses'
import type { Blend } from '../seed/blends'
import { rootingDays } from '../water/rootZone'
import { radiationOf } from '../weather/radiation'
import { runLength } from '../weather/weather'
import { judgeBlend, type BlendYear } from './blendYear'
import { leafCourse } from './growth'
import { bedWater, dryHoursCount, givenAsTold, type GivenWater } from './moisture'
import { SOWN_AHEAD, type Season } from './season'
import type { SeedbedRisk } from './sowing'
import type { Judged } from './sowingDay'
import { soilCourseOf, type Stand } from './stand'
import { weedsByDay } from './weeds'

/** Each year with its bed and its seed, one after the other: the hours of a bed are let go with its year. */
function followYears({ years, ground }: Season, blend: Blend, risk: SeedbedRisk, sownDays: number) {
  const { bed, slopeShare } = risk
  const [first] = years
  const days = first ? runLength(first.weather) : 0
  const raMJ = first && radiationOf(ground.latDeg, first.weather.first, days)
  const dry = bed && dryHoursCount(days)
  const asTold = bed?.watering.timesADay === 'as told' && !bed.watering.bannedUntil
  const [judged, told]: [BlendYear[], GivenWater[]] = [[], []]
  for (const year of years) {
    const water = bed && bedWater(year.weather, ground, slopeShare, bed, raMJ)
    judged.push(judgeBlend(year, blend, risk, water, sownDays))
    if (!water) continue
    dry!.add(water.course)
    const { givenMm, times } = water.course
    told.push(asTold ? { givenMm, times } : givenAsTold(year.weather, ground, slopeShare, bed!, raMJ))
  }
  return { years: judged, told, dryHours: dry?.told }
}

/**
 * A season with its seed sown on every day of each of its years: what sowing days are read from.
 * @param keptMm height the grass will be kept at
 * @param stand what stands there and what is sown; the cover is not told where left out
 */
export function judgedOf(season: Season, blend: Blend, risk: SeedbedRisk, keptMm: number, stand?: Stand): Judged {
  const shown = season.todayIndex + SOWN_AHEAD
  return {
    season,
    blend,
    ...followYears(season, blend, risk, shown),
    rooting: season.years.map(({ soil }) => rootingDays(soil.probeDailyC)),
    keptMm,
    stand,
    leaves: season.years.map(({ weather }) => blend.map(({ grass }) => leafCourse(grassByCode(grass), weather))),
    oldLeaves: stand?.old ? season.years.map(({ weather }) => leafCourse(stand.old!, weather)) : [],
    soils: stand ? season.years.map(soilCourseOf) : [],
    weeds: weedsByDay(season, shown),
  }
}
