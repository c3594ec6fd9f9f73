/**
 * Soil temperature by one-dimensional heat conduction, ∂T/∂t = κ ∂²T/∂z², Crank-Nicolson on a graded grid.
 */
export type Texture = 'sand' | 'sandy loam' | 'loam' | 'clay loam' | 'clay'
export const TEXTURES = ['sand', 'sandy loam', 'loam', 'clay loam', 'clay'] as const satisfies readonly Texture[]

const SAND_SHARE: Record<Texture, number> = { sand: 1, 'sandy loam': 0.75, loam: 0.5, 'clay loam': 0.25, clay: 0 }
/** 10⁻⁶ m²/s at volumetric water 0, 0.2 and 0.4. */
const SAND = [0.24, 0.85, 0.74] as const
const CLAY = [0.18, 0.53, 0.51] as const

/**
 * Thermal diffusivity, m²/s. Textures between sand and clay are mixed by share [own].
 * @param waterShare volumetric water, 0-0.4
 * @source van Wijk & de Vries table as printed in environmental physics textbooks, from memory
 */
export function thermalDiffusivityM2PerS(texture: Texture, waterShare = 0.2): number {
  const w = Math.min(0.4, Math.max(0, waterShare)) / 0.2
  const at = (row: readonly [number, number, number]) =>
    w <= 1 ? row[0] + (row[1] - row[0]) * w : row[1] + (row[2] - row[1]) * (w - 1)
  const sand = SAND_SHARE[texture]
  return (sand * at(SAND) + (1 - sand) * at(CLAY)) * 1e-6
}

export const SEED_DEPTH_M = 0.005
export const PROBE_DEPTH_M = 0.05
const COLUMN_DEPTH_M = 8
const NODES = 24

/**
 * Node depths, m: 5 mm apart at the top, widening geometrically to 8 m, with a node at seed depth and one at probe depth.
 */
export function soilDepthsM(): Float64Array {
  let ratio = 1.3
  for (let i = 0; i < 60; i++) {
    const reach = (SEED_DEPTH_M * (ratio ** (NODES - 1) - 1)) / (ratio - 1)
    ratio *= (COLUMN_DEPTH_M / reach) ** (1 / (2 * NODES))
  }
  const depths = Float64Array.from({ length: NODES }, (_, i) => (SEED_DEPTH_M * (ratio ** i - 1)) / (ratio - 1))
  const nearest = depths.reduce((best, z, i) => (Math.abs(z - PROBE_DEPTH_M) < Math.abs(depths[best]! - PROBE_DEPTH_M) ? i : best), 0)
  depths[nearest] = PROBE_DEPTH_M
  return depths
}

export interface SoilColumn {
  readonly depthsM: Float64Array
  /** °C at each depth, now. */
  readonly tempC: Float64Array
  /** Heat content above 0 °C, K·m; conserved when both ends are insulated. */
  heat: () => number
  /** One step of time. @param surfaceC the temperature of the surface at its end; without effect on an insulated top */
  step: (surfaceC: number) => void
  copy: () => SoilColumn
}

export interface SoilColumnOptions {
  diffusivityM2PerS: number
  initialC: number | Float64Array
  stepS?: number
  /** A top without exchange, for the conservation check; otherwise the surface temperature is imposed. */
  insulatedTop?: boolean
  depthsM?: Float64Array
}

/** @returns a column with no flux through its bottom, ready to be stepped */
export function soilColumn(options: SoilColumnOptions): SoilColumn {
  const { diffusivityM2PerS, initialC, stepS = 3600, insulatedTop = false, depthsM = soilDepthsM() } = options
  if (!(diffusivityM2PerS > 0)) throw new RangeError('Thermal diffusivity has to be above zero.')
  const n = depthsM.length
  const temp = typeof initialC === 'number' ? new Float64Array(n).fill(initialC) : Float64Array.from(initialC)
  const first = insulatedTop ? 0 : 1

  // Half a step of conduction from the node above (up) and below (down), per K of difference.
  const up = new Float64Array(n)
  const down = new Float64Array(n)
  const width = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    const above = i > 0 ? depthsM[i]! - depthsM[i - 1]! : 0
    const below = i < n - 1 ? depthsM[i + 1]! - depthsM[i]! : 0
    width[i] = (above + below) / 2
    if (above) up[i] = (diffusivityM2PerS * stepS) / (2 * above * width[i]!)
    if (below) down[i] = (diffusivityM2PerS * stepS) / (2 * below * width[i]!)
  }

  // The matrix never changes, so its elimination is done once.
  const carried = new Float64Array(n)
  const pivot = new Float64Array(n)
  for (let i = first; i < n; i++) {
    pivot[i] = 1 / (1 + up[i]! + down[i]! - (i > first ? up[i]! * carried[i - 1]! : 0))
    carried[i] = down[i]! * pivot[i]!
  }
  const work = new Float64Array(n)

  const step = (surfaceC: number): void => {
    let previous = temp[0]!
    for (let i = first; i < n; i++) {
      const here = temp[i]!
      const above = i > 0 ? (i === first ? temp[i - 1]! : previous) : here
      const below = i < n - 1 ? temp[i + 1]! : here
      let known = here + up[i]! * (above - here) + down[i]! * (below - here)
      if (i > first) known += up[i]! * work[i - 1]!
      else if (i > 0) known += up[i]! * surfaceC
      work[i] = known * pivot[i]!
      previous = here
    }
    temp[n - 1] = work[n - 1]!
    for (let i = n - 2; i >= first; i--) temp[i] = work[i]! + carried[i]! * temp[i + 1]!
    if (!insulatedTop) temp[0] = surfaceC
  }

  return {
    depthsM,
    tempC: temp,
    heat: () => temp.reduce((sum, t, i) => sum + t * width[i]!, 0),
    step,
    copy: () => soilColumn({ ...options, depthsM, initialC: temp }),
  }
}
