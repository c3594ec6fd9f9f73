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
  const nearest = depths.reduce(
    (best, z, i) => (Math.abs(z - PROBE_DEPTH_M) < Math.abs(depths[best]! - PROBE_DEPTH_M) ? i : best),
    0,
  )
  depths[nearest] = PROBE_DEPTH_M
  return depths
}

/** One column of soil and the elimination of its matrix, which never changes. Stepped by `stepColumn`. */
export interface SoilColumn {
  readonly depthsM: Float64Array
  /** °C at each depth, now. */
  readonly tempC: Float64Array
  /** Thickness that each node stands for, m. */
  readonly widthM: Float64Array
  /** Half a step of conduction from the node above (up) and below (down), per K of difference. */
  readonly up: Float64Array
  readonly down: Float64Array
  readonly carried: Float64Array
  readonly pivot: Float64Array
  readonly work: Float64Array
  /** First node that is solved for: 1 under an imposed surface temperature, 0 under an insulated top. */
  readonly first: 0 | 1
}

export interface SoilColumnOptions {
  diffusivityM2PerS: number
  initialC: number | Float64Array
  stepS?: number
  /** A top without exchange, for the conservation check; otherwise the surface temperature is imposed. */
  insulatedTop?: boolean
}

/** @returns a column with no flux through its bottom, ready to be stepped */
export function soilColumn(options: SoilColumnOptions): SoilColumn {
  const { diffusivityM2PerS, initialC, stepS = 3600, insulatedTop = false } = options
  if (!(diffusivityM2PerS > 0)) throw new RangeError('Thermal diffusivity has to be above zero.')
  const depthsM = soilDepthsM()
  const n = depthsM.length
  const tempC = typeof initialC === 'number' ? new Float64Array(n).fill(initialC) : Float64Array.from(initialC)
  const first = insulatedTop ? 0 : 1
  const [up, down, widthM, carried, pivot] = [0, 0, 0, 0, 0].map(() => new Float64Array(n)) as Float64Array[] as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  for (let i = 0; i < n; i++) {
    const above = i > 0 ? depthsM[i]! - depthsM[i - 1]! : 0
    const below = i < n - 1 ? depthsM[i + 1]! - depthsM[i]! : 0
    widthM[i] = (above + below) / 2
    if (above) up[i] = (diffusivityM2PerS * stepS) / (2 * above * widthM[i]!)
    if (below) down[i] = (diffusivityM2PerS * stepS) / (2 * below * widthM[i]!)
  }
  for (let i = first; i < n; i++) {
    pivot[i] = 1 / (1 + up[i]! + down[i]! - (i > first ? up[i]! * carried[i - 1]! : 0))
    carried[i] = down[i]! * pivot[i]!
  }
  return { depthsM, tempC, widthM, up, down, carried, pivot, work: new Float64Array(n), first }
}

/**
 * One step of time. This is the hot loop of the product: millions of nodes for each season.
 * @param surfaceC temperature of the surface at the end of the step; without effect on an insulated top
 */
export function stepColumn(column: SoilColumn, surfaceC: number): void {
  const { tempC, up, down, carried, pivot, work, first } = column
  const last = tempC.length - 1
  // Under an imposed surface the old and the new surface both pull at the first node; insulated, `up` is zero there.
  let above = tempC[0]!
  let solvedAbove = first ? surfaceC : 0
  for (let i = first; i <= last; i++) {
    const here = tempC[i]!
    const below = i < last ? tempC[i + 1]! : here
    solvedAbove = (here + up[i]! * (above - here + solvedAbove) + down[i]! * (below - here)) * pivot[i]!
    work[i] = solvedAbove
    above = here
  }
  let solved = work[last]!
  tempC[last] = solved
  for (let i = last - 1; i >= first; i--) tempC[i] = solved = work[i]! + carried[i]! * solved
  if (first) tempC[0] = surfaceC
}

/** A second column in the same state. */
export const copyColumn = (column: SoilColumn): SoilColumn => ({
  ...column,
  tempC: column.tempC.slice(),
  work: new Float64Array(column.work.length),
})

/** Heat content above 0 °C, K·m; conserved when both ends are insulated. */
export const heatContent = ({ tempC, widthM }: SoilColumn): number =>
  tempC.reduce((sum, t, i) => sum + t * widthM[i]!, 0)
