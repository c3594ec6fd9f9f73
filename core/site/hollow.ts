import { SaidError, say, type Message } from '../explain/message'
import { figure } from '../measure/figure'
import type { Worked } from '../explain/working'

/** Depths below a straight line over a hollow: rows of a grid, or the one row of a string. */
export interface HollowSurvey {
  name: string
  /** Distance between depths, and between rows, m. */
  spacingM: number
  /** How wide the string's row stands for, m; for a single row only. */
  widthM: number | null
  /** mm below the line; not below 0. */
  rowsMm: number[][]
}

export interface HollowMeasure {
  volume: Worked
  deepestMm: number
  areaM2: number
}

/** Depth of one dressing over living grass, mm. @source trade */
export const LIFT_MM = 12

/** @returns a sentence where the depths are no grid */
export function hollowProblem({ rowsMm, widthM }: HollowSurvey): Message | undefined {
  const length = rowsMm[0]?.length ?? 0
  if (length < 2) return say('site.twoDepthsInA')
  if (rowsMm.some((row) => row.length !== length)) return say('site.everyRowNeedsAs')
  if (rowsMm.length === 1 && !(widthM && widthM > 0)) return say('site.oneRowNeedsThe')
  if (!rowsMm.flat().some((mm) => mm > 0)) return say('site.noDepthIsAbove')
  return undefined
}

/** Sum over the cells of a grid of the mean of their corners. */
function meanOfCorners(rows: readonly (readonly number[])[]): number {
  let sum = 0
  for (let r = 0; r + 1 < rows.length; r++) {
    for (let c = 0; c + 1 < rows[r]!.length; c++)
      sum += (rows[r]![c]! + rows[r]![c + 1]! + rows[r + 1]![c]! + rows[r + 1]![c + 1]!) / 4
  }
  return sum
}

/**
 * Volume of a hollow: mean of the corners of each cell of a grid, or the section under a string times its width.
 * @throws RangeError where the depths are no grid
 * @source earthwork by unit areas, as surveying textbooks have it
 */
export function measureHollow(hollow: HollowSurvey): HollowMeasure {
  const problem = hollowProblem(hollow)
  if (problem) throw new SaidError(problem)
  const { rowsMm, spacingM, widthM } = hollow
  const string = rowsMm.length === 1
  const cells = (rowsMm[0]!.length - 1) * (string ? 1 : rowsMm.length - 1)
  const cellM2 = string ? spacingM * widthM! : spacingM ** 2
  const meanMm = (string ? meanOfCorners([rowsMm[0]!, rowsMm[0]!]) : meanOfCorners(rowsMm)) / cells
  const areaM2 = cells * cellM2
  const value = (areaM2 * meanMm) / 1000
  return {
    deepestMm: Math.max(...rowsMm.flat()),
    areaM2,
    volume: {
      value,
      working: {
        title: say('site.soilToFill', { name: hollow.name || say('site.theHollow') }),
        result: figure('volumeM3', value, 2),
        formula: say('site.groundUnderTheDepths'),
        lines: [
          {
            what: string ? say('site.groundTheStringStands') : say('site.groundUnderTheGrid'),
            value: figure('areaM2', areaM2),
            source: { kind: 'user', text: say('site.lookHollows') },
          },
          {
            operator: '×',
            what: say('site.meanDepthOfIts'),
            value: figure('depthMm', meanMm),
            source: { kind: 'user', text: say('site.lookHollows') },
          },
          { operator: '=', what: say('site.volumeAsMeasured'), value: figure('volumeM3', value, 2), subtotal: true },
        ],
        rounding: say('site.withoutSettlingThatIs'),
        fieldCheck: say('site.layAStraightEdge'),
      },
    },
  }
}

/** Lifts over living grass: none deeper than half an inch. @returns count */
export const liftsFor = (deepestMm: number): number => Math.ceil(deepestMm / LIFT_MM - 1e-9)

/**
 * What each lift takes of a hollow's volume, where each fills the floor by so much at the most: the first goes over all of
 * it, the last only over the deepest place.
 * @param meanMm volume over area; a hollow that is shaped as the power of depth that has this mean
 * @returns shares that add up to 1, and the share of its area each lift is spread over
 * @source ownlifts clipped to 12 mm; the shape is own
 */
export function liftShares(deepestMm: number, meanMm: number): { volumeShare: number; areaShare: number }[] {
  const count = Math.max(1, liftsFor(deepestMm))
  const power = Math.max(0, deepestMm / Math.max(meanMm, 1e-9) - 1)
  // Area deeper than z is (1 − z/D)^p of it all; the volume below z follows by integration.
  const left = (k: number) => Math.max(0, 1 - (k * LIFT_MM) / deepestMm)
  return Array.from({ length: count }, (_, k) => ({
    volumeShare: left(k) ** (power + 1) - left(k + 1) ** (power + 1),
    areaShare: left(k) ** power,
  }))
}

/** "0 10 25 10 0 / 0 5 10 5 0": rows of depths. @returns rows as typed numbers; undefined where one is none */
export function parseDepthRows(typed: string): number[][] | undefined {
  const rows = typed
    .trim()
    .split(/\s*[/\n]\s*/)
    .filter(Boolean)
    .map((row) =>
      row
        .split(/[\s,;]+/)
        .filter(Boolean)
        .map(Number),
    )
  return rows.length && rows.every((row) => row.length && row.every((n) => Number.isFinite(n) && n >= 0))
    ? rows
    : undefined
}
