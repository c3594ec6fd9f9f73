import type { PlaceDeg } from '#core/site/geodesy'
import type { Day } from '#core/measure/calendar'
import type { SunQuestion } from '#core/site/measure'
import { daysOfYear, shadedGround, sunByMonth, sunMapOf, type ShadedGround } from '#core/site/sun'
import type { Features } from '#core/site/sitePlan'

/** A question to the worker: the sun of each zone through the year, or a map of it. */
export type SunAsked = MonthsAsked | MapAsked
interface MonthsAsked {
  number: number
  months: SunQuestion
}
export interface MonthsRead {
  number: number
  byZone: Record<string, number[] | null>
}
/** Ground that changed, or another day on the same. */
export interface MapAsked {
  number: number
  /** Left out while nothing drawn has changed. */
  ground?: { features: Features; zoneIds: string[]; place: PlaceDeg }
  /** One day, or the mean of its whole year. */
  day: Day
  over: 'day' | 'year'
}

let ground: ShadedGround | undefined
let zones = 0
self.onmessage = ({ data }: MessageEvent<SunAsked>) => {
  if ('months' in data) {
    const { features, zoneIds, place } = data.months
    const byMonth = sunByMonth(features, zoneIds, place)
    self.postMessage({
      number: data.number,
      byZone: Object.fromEntries(zoneIds.map((id, i) => [id, byMonth[i] ?? null])),
    } satisfies MonthsRead)
    return
  }
  if (data.ground) {
    ground = shadedGround(data.ground.features, data.ground.zoneIds, data.ground.place)
    zones = data.ground.zoneIds.length
  }
  const days: [Day, ...Day[]] = data.over === 'year' ? daysOfYear(Number(data.day.slice(0, 4))) : [data.day]
  if (ground) self.postMessage({ number: data.number, map: sunMapOf(ground, zones, ...days) })
}
