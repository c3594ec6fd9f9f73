import { addDays, type Day } from '../../measure/calendar'
import { blackoutOn } from '../../materials/feedRules'
import { swardByCode } from '../../grass/swards'
import type { Part } from '../parts'
import type { Definition } from './definition'
import { GROWS_FROM_C } from './groundGates'
import type { GateInput } from './gateInput'

/** How far ahead a follow-up is put off: to the same season of the next year. */
const PUT_OFF_DAYS = 400

/** Soil at 50 mm in which what is worked on grows, °C. */
export function growsFromOf([part]: readonly Part[]): number {
  // Of a dressing what stands has to grow; of seed what is wanted.
  const stands = part!.programme.anchor === 'dressing' ? part!.standing[0]?.sward : undefined
  return GROWS_FROM_C[stands ? swardByCode(stands).season : part!.grass.season]
}

type Seasons = Pick<GateInput, 'soilOn' | 'windows' | 'feedRules'> & { parts: readonly Part[] }

/** Whether the season lets an operation do some good on a day; what is not known stands in no way. */
export function isGoodDay(input: Seasons, operation: Definition, day: Day): boolean {
  const { wantsGrowth, leastSoilC, wantsWindow } = operation
  const wanted = Math.max(
    leastSoilC ?? -Infinity,
    wantsGrowth === 'warm' ? GROWS_FROM_C.warm : wantsGrowth ? growsFromOf(input.parts) : -Infinity,
  )
  const soilC = input.soilOn?.(day)
  if (soilC !== undefined && soilC < wanted) return false
  if (wantsWindow && input.windows?.length && !input.windows.some(({ from, to }) => day >= from && day <= to))
    return false
  return !(operation.feeds && input.feedRules && blackoutOn(day, input.feedRules))
}

/** How far back an application is dated that would not work on its day: into the autumn before. */
const BROUGHT_FORWARD_DAYS = 270

/**
 * Where work before the seed goes that wants growth on a day without: back to the last day that has it.
 * @param today nothing goes before it
 * @returns the day itself where it is good, or where no better is known of
 */
export function lastGoodDay(input: Seasons, operation: Definition, due: Day, today: Day): Day {
  for (let back = 0; back <= BROUGHT_FORWARD_DAYS; back++) {
    const day = addDays(due, -back)
    if (day < today) break
    if (isGoodDay(input, operation, day)) return day
  }
  return due
}

/**
 * Where a follow-up goes that would do no good on the day it is due: to the next that is good.
 * @returns the day itself where it is good, or where no better is known of
 */
export function nextGoodDay(input: Seasons, operation: Definition, due: Day): Day {
  for (let ahead = 0; ahead <= PUT_OFF_DAYS; ahead++) {
    const day = addDays(due, ahead)
    if (isGoodDay(input, operation, day)) return day
  }
  return due
}
