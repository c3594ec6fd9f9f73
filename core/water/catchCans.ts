/** Water caught in cans that stand on the ground while sprinklers run. */
export interface CanTest {
  /** How long the water ran. */
  minutes: number
  read: 'depth' | 'volume'
  /** Of the straight-sided cans, mm; needed where volumes were read. */
  widthMm: number | null
  /** One a can, mm or ml. */
  values: readonly number[]
}

/** What a run of sprinklers puts down. */
export interface Precipitation {
  /** Mean over the cans, mm/h. */
  rateMmPerH: number
  /** Low-quarter distribution uniformity, 0-1. */
  uniformity: number
  /** Depth in each can, mm. */
  depthsMm: number[]
  meanMm: number
  lowQuarterMm: number
  /** Which can caught least. */
  weakest: number
}

/** Cans that say anything of evenness. @source own; an audit sets out two dozen and more */
export const LEAST_CANS = 4

/** Depth of a volume in a straight-sided can. @param ml caught @param widthMm of the can, inside */
export const depthInCanMm = (ml: number, widthMm: number): number => (1000 * ml) / ((Math.PI / 4) * widthMm ** 2)

/** Mean of the lowest quarter; where the cans do not divide by four, the next can counts by its part. */
function lowQuarter(depthsMm: readonly number[]): number {
  const rising = depthsMm.toSorted((a, b) => a - b)
  const count = rising.length / 4
  const sum = rising.reduce((total, depth, i) => total + depth * Math.min(1, Math.max(0, count - i)), 0)
  return sum / count
}

/**
 * Precipitation rate and evenness of a catch-can test.
 * @returns undefined where there are fewer than four cans, no time, no width for volumes, or nothing was caught
 * @source irrigation audit practice (Irrigation Association, landscape irrigation auditor), from memory
 */
export function precipitationOf({ minutes, read, widthMm, values }: CanTest): Precipitation | undefined {
  if (values.length < LEAST_CANS || !(minutes > 0) || (read === 'volume' && !(widthMm && widthMm > 0))) return undefined
  const depthsMm = read === 'volume' ? values.map((ml) => depthInCanMm(ml, widthMm!)) : [...values]
  const meanMm = depthsMm.reduce((sum, depth) => sum + depth, 0) / depthsMm.length
  if (!(meanMm > 0)) return undefined
  const lowQuarterMm = lowQuarter(depthsMm)
  return {
    rateMmPerH: (meanMm * 60) / minutes,
    uniformity: lowQuarterMm / meanMm,
    depthsMm,
    meanMm,
    lowQuarterMm,
    weakest: depthsMm.indexOf(Math.min(...depthsMm)),
  }
}

/** Evenness from which a run is good, and from which it will do. @source irrigation audit practice, from memory */
const [GOOD, FAIR] = [0.7, 0.55]
export type Evenness = 'good' | 'fair' | 'poor'
export const evennessOf = (uniformity: number): Evenness =>
  uniformity >= GOOD ? 'good' : uniformity >= FAIR ? 'fair' : 'poor'

/**
 * Minutes that put a depth down: over the mean, and so that the driest quarter has it too.
 * @source irrigation audit practice, low-quarter rule, from memory
 */
export const runMinutes = (
  depthMm: number,
  { rateMmPerH, uniformity }: Pick<Precipitation, 'rateMmPerH' | 'uniformity'>,
): { mean: number; lowQuarter: number } => {
  const mean = (60 * depthMm) / rateMmPerH
  return { mean, lowQuarter: mean / uniformity }
}
