import { dayNumber, type Day } from '../measure/calendar'
import type { SoilColumn } from './soil'
import { stepColumn } from './soil'

/** A soil temperature read on the ground. */
export interface ProbeReading {
  /** Local time, "2026-09-08T06:40". */
  at: string
  depthMm: number
  tempC: number
}

/** Departures of the ground from the model fade with this time constant, d. @source own*/
const FADE_DAYS = 10
/** How far the ground usually is from the model, K. @source own */
const MODEL_SD_K = 1.5
/** How far a reading is from the ground around it: the instrument, its place, its depth, K. @source own */
const PROBE_SD_K = 0.7
/**
 * Farther than this from what was to be expected, in standard deviations and at least in K, a reading is questioned.
 * @source own
 */
const QUESTIONED = { deviations: 3, leastK: 4 } as const
/** So many questioned readings that agree, within days of each other, are believed over the model. @source own */
const AGREEING = { readings: 3, withinK: 2, days: 6 } as const
/** Deepest that readings are compared, m. */
const DEEPEST_M = 0.55

/** Modelled soil by hour at the depths where probes are pushed in. */
export interface SoilProfile {
  first: Day
  depthsM: Float64Array
  /** By depth, 24 values a day, °C. */
  hourlyC: Float64Array[]
}

/** Steps a column through hourly surface temperatures and notes all its upper depths. The column is moved on. */
export function followProfile(column: SoilColumn, surfaceC: Float64Array, first: Day): SoilProfile {
  const nodes = column.depthsM.findIndex((z) => z > DEEPEST_M) + 1
  const hourlyC = Array.from({ length: nodes }, () => new Float64Array(surfaceC.length))
  for (let i = 0; i < surfaceC.length; i++) {
    stepColumn(column, surfaceC[i]!)
    for (let n = 0; n < nodes; n++) hourlyC[n]![i] = column.tempC[n]!
  }
  return { first, depthsM: column.depthsM.slice(0, nodes), hourlyC }
}

/** Modelled temperature at a depth and hour, between its neighbours linearly, °C; undefined outside of the profile. */
export function profileC({ depthsM, hourlyC }: SoilProfile, depthM: number, hour: number): number | undefined {
  const before = Math.floor(hour)
  const last = depthsM.length - 1
  if (before < 0 || before + 1 >= hourlyC[0]!.length || depthM < 0 || depthM > depthsM[last]!) return undefined
  let below = depthsM.findIndex((z) => z >= depthM)
  if (below === 0) below = 1
  const weight = (depthM - depthsM[below - 1]!) / (depthsM[below]! - depthsM[below - 1]!)
  const at = (h: number) => hourlyC[below - 1]![h]! * (1 - weight) + hourlyC[below]![h]! * weight
  return at(before) + (at(before + 1) - at(before)) * (hour - before)
}

/** A reading against the model. */
export interface JudgedReading extends ProbeReading {
  /** Modelled at its depth and hour, before any correction, °C. */
  modelC: number
  /** How far it is from what the model and the readings before it say, K; too far, and it is left out. */
  surpriseK: number
  used: boolean
}

/** What readings say of the model: by how much the ground departs from it. */
export interface ProbeCorrection {
  readings: JudgedReading[]
  /** K to add to the model at noon of each day from the profile's first, on past its end. */
  offsetK: Float64Array
}

/** Offset and its variance some days later: both go back to where they were before anything was read. */
function faded(offsetK: number, variance: number, days: number): { offsetK: number; variance: number } {
  const keeps = Math.exp(-days / FADE_DAYS)
  return { offsetK: offsetK * keeps, variance: MODEL_SD_K ** 2 + (variance - MODEL_SD_K ** 2) * keeps ** 2 }
}

/**
 * Corrects the model by what was read: a one-dimensional Kalman filter on an offset that fades in ten days. A reading
 * that cannot be right is kept in the list and left out of the sum.
 * @param days how many the offset is wanted for, from the profile's first
 * @param clockAheadH by how much the clock of the readings is ahead of the sun, h
 * @source Kalman 1960, scalar form; constants own
 */
export function correctByProbe(
  profile: SoilProfile,
  readings: readonly ProbeReading[],
  days: number,
  clockAheadH: number,
): ProbeCorrection {
  const base = dayNumber(profile.first)
  const hourOf = ({ at }: ProbeReading) =>
    (dayNumber(at.slice(0, 10) as Day) - base) * 24 +
    Number(at.slice(11, 13)) +
    Number(at.slice(14, 16)) / 60 -
    clockAheadH
  const sorted = [...readings].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.depthMm - b.depthMm))
  const judged: JudgedReading[] = []
  const offsets = new Float64Array(days)
  let [offsetK, variance, hour, filled] = [0, MODEL_SD_K ** 2, 0, 0]
  let doubted: { hour: number; departsK: number }[] = []
  const fillUntil = (untilHour: number) => {
    for (; filled < days && filled * 24 + 12 < untilHour; filled++)
      offsets[filled] = faded(offsetK, variance, Math.max(0, filled * 24 + 12 - hour) / 24).offsetK
  }
  for (const reading of sorted) {
    const readAt = hourOf(reading)
    const modelC = profileC(profile, reading.depthMm / 1000, readAt)
    if (modelC === undefined) continue
    fillUntil(readAt)
    const prior = faded(offsetK, variance, Math.max(0, readAt - hour) / 24)
    const departsK = reading.tempC - modelC
    const surprise = departsK - prior.offsetK
    const limit = Math.max(QUESTIONED.leastK, QUESTIONED.deviations * Math.sqrt(prior.variance + PROBE_SD_K ** 2))
    doubted = doubted.filter(
      (other) => readAt - other.hour < AGREEING.days * 24 && Math.abs(other.departsK - departsK) < AGREEING.withinK,
    )
    const questioned = Math.abs(surprise) > limit && doubted.length < AGREEING.readings - 1
    if (questioned) doubted.push({ hour: readAt, departsK })
    else {
      // Where several agree against the model, what was held before counts for nothing.
      const believed = Math.abs(surprise) > limit ? { offsetK: departsK, variance: PROBE_SD_K ** 2 } : prior
      const gain = believed.variance / (believed.variance + PROBE_SD_K ** 2)
      offsetK = believed.offsetK + gain * (departsK - believed.offsetK)
      variance = (1 - gain) * believed.variance
      hour = readAt
    }
    judged.push({ ...reading, modelC, surpriseK: surprise, used: !questioned })
  }
  fillUntil(Number.POSITIVE_INFINITY)
  return { readings: judged, offsetK: offsets }
}
