import type { PlaceDeg } from '#core/site/geodesy'
import type { Day } from '#core/quantity/calendar'
import { daysOfYear, shadedGround, sunMapOf, type ShadedGround } from '#core/site/sun'
import type { Features } from '#core/site/sitePlan'

/** A question to the worker: ground that changed, or another day on the same. */
export interface SunAsked {
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
  if (data.ground) {
    ground = shadedGround(data.ground.features, data.ground.zoneIds, data.ground.place)
    zones = data.ground.zoneIds.length
  }
  const days: [Day, ...Day[]] = data.over === 'year' ? daysOfYear(Number(data.day.slice(0, 4))) : [data.day]
  if (ground) self.postMessage({ number: data.number, map: sunMapOf(ground, zones, ...days) })
}
