import type { Ending as Waits } from '../water/programme'

/** Leaves of seedlings by day after sowing, mm: straight lines from emergence on. */
export type GrowthLine = readonly (readonly [day: number, heightMm: number])[]

/** What the season says of leaves: days after sowing to half emergence, to 25 mm, and to the height of the first mowing. */
export interface GrowthAsked {
  up: Waits
  tall: Waits | null
  mow: Waits
  firstMowMm: number
}

/** Leaves that stand at an inch, mm: seedlings are stepped down from the wet phase. */
export const TALL_MM = 25

/** @source own: the days at which thermal time of leaves reaches 0, 25 mm and the first mowing, joined by straight lines */
export function growthLine({ up, tall, mow, firstMowMm }: GrowthAsked): GrowthLine {
  const middle = tall && tall.middle > up.middle && tall.middle < mow.middle && firstMowMm > TALL_MM
  return [
    [up.middle, 0],
    ...(middle ? ([[tall.middle, TALL_MM]] as const) : []),
    [Math.max(mow.middle, up.middle + 1), firstMowMm],
  ]
}

/** The two points of a line about a value of one of its sides; the last two beyond its end. */
const about = (
  line: GrowthLine,
  is: (point: GrowthLine[number]) => boolean,
): [GrowthLine[number], GrowthLine[number]] => {
  const i = Math.min(
    line.length - 1,
    Math.max(
      1,
      line.findIndex((point) => !is(point)),
    ),
  )
  return line.some((point) => !is(point)) ? [line[i - 1]!, line[i]!] : [line.at(-2)!, line.at(-1)!]
}

/** Height that the line has on a day, mm; none before emergence. */
export function heightOn(line: GrowthLine, day: number): number {
  const [[d0, h0], [d1, h1]] = about(line, ([of]) => of < day)
  return Math.max(0, h0 + ((day - d0) * (h1 - h0)) / (d1 - d0))
}

/** Day on which the line has a height. */
export function dayOfHeight(line: GrowthLine, heightMm: number): number {
  const [[d0, h0], [d1, h1]] = about(line, ([, of]) => of < heightMm)
  return d0 + ((heightMm - h0) * (d1 - d0)) / (h1 - h0)
}

/**
 * Days by which leaves that were measured lag behind the line; below 0 they are ahead.
 * @param day after sowing
 */
export const lagDays = (line: GrowthLine, day: number, heightMm: number): number => day - dayOfHeight(line, heightMm)

/** No day of a season is moved farther than this by one measured height. @source own */
const MOST_LAG_DAYS = 21

/** A first mowing moved by what was measured; never to before the day it was measured on. */
export function movedBy(mow: Waits, lag: number, measuredOn: number): Waits {
  const by = Math.round(Math.max(-MOST_LAG_DAYS, Math.min(MOST_LAG_DAYS, lag)))
  const early = Math.max(measuredOn, mow.early + by)
  const middle = Math.max(early, mow.middle + by)
  return { early, middle, late: Math.max(middle + 1, mow.late + by) }
}
