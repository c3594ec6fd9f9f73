import { errorFunction } from 'simple-statistics'
import type { Grass, ThermalModel } from '../grass/grasses'

/**
 * Hourly germination rate, °C above base that count: nothing below the base, rising to the optimum, falling to nothing
 * at the ceiling.
 * @param tempC temperature at the seed
 * @source three cardinal temperatures (Garcia-Huidobro, Monteith & Squire 1982 form), from memory
 */
export const germinationRateC = (tempC: number, { baseC, optimumC, ceilingC }: ThermalModel): number =>
  Math.max(0, Math.min(tempC - baseC, ((optimumC - baseC) / (ceilingC - optimumC)) * (ceilingC - tempC)))

/** Standard normal quantiles used for the early, middle and late seed. */
const Z: Record<string, number> = { '0.05': -1.6448536, '0.5': 0, '0.6': 0.2533471, '0.95': 1.6448536 }

/** Shares of the stand for which the thermal time is asked. */
export type EmergedShare = 0.05 | 0.5 | 0.6 | 0.95

/** So many standard deviations from the mean all is on one side, to a billionth. */
const ALL_WITHIN = 6
/** Standard normal distribution. */
export const normalShare = (z: number): number =>
  Math.abs(z) > ALL_WITHIN ? Number(z > 0) : (1 + errorFunction(z * Math.SQRT1_2)) / 2

/**
 * Share of those of one grass that will emerge that have, by thermal time collected since sowing. @source own
 */
export const emergedShare = ({ thermal }: Grass, collectedCd: number): number =>
  collectedCd > 0 ? normalShare((Math.log(collectedCd) - Math.log(thermal.medianCd)) / thermal.spread) : 0

/** @returns thermal time, °C·d, by which the share of those that will emerge has emerged */
export const thermalTimeTo = (share: EmergedShare, grass: Grass): number =>
  grass.thermal.medianCd * Math.exp(grass.thermal.spread * Z[String(share)]!)

/**
 * Days to emergence at a steady, moist soil.
 * @returns d, or undefined where the seed never comes up at that temperature
 */
export function steadyEmergenceDays(grass: Grass, tempC: number, share: EmergedShare = 0.5): number | undefined {
  const rateC = germinationRateC(tempC, grass.thermal)
  return rateC > 0 ? thermalTimeTo(share, grass) / rateC : undefined
}

/** Thermal time of germination collected on each day, °C·d: with the water that there is, and kept moist. */
export interface DailyGermination {
  watered: Float64Array
  moist: Float64Array
}

/**
 * Thermal time of germination collected on each day.
 * @param seedbedHourlyC 24 values a day at seed depth, °C
 * @param moisture share of its speed that the water of each hour leaves it; kept moist where left out
 * @param warmerK by which seed lies warmer than that, as under fleece
 */
export function dailyGerminationCd(
  seedbedHourlyC: Float32Array,
  grass: Grass,
  moisture?: Float32Array,
  warmerK = 0,
): DailyGermination {
  const days = Math.floor(seedbedHourlyC.length / 24)
  const moist = new Float64Array(days)
  const watered = moisture ? new Float64Array(days) : moist
  const { baseC, optimumC, ceilingC } = grass.thermal
  const falling = (optimumC - baseC) / (ceilingC - optimumC)
  // `germinationRateC` written out: half a million hours a grass.
  for (let d = 0, h = 0; d < days; d++) {
    let [sum, slowed] = [0, 0]
    for (const end = h + 24; h < end; h++) {
      const tempC = seedbedHourlyC[h]! + warmerK
      const rising = tempC - baseC
      const past = falling * (ceilingC - tempC)
      const rateC = rising < past ? rising : past
      if (!(rateC > 0)) continue
      sum += rateC
      if (moisture) slowed += rateC * moisture[h]!
    }
    moist[d] = sum / 24
    if (moisture) watered[d] = slowed / 24
  }
  return { watered, moist }
}
