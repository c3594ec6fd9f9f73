import type { Cause } from '#core/establishment/sowing'
import type { MessageKey } from '#words/message'

/** Causes of failure in the order of every table and layer: head of a column, and what is lost by it. */
export const CAUSES: readonly { code: Cause; head: MessageKey; lost: MessageKey }[] = [
  { code: 'washout', head: 'sowingDay.washout', lost: 'sowingDay.washedOut' },
  { code: 'dry', head: 'sowingDay.driedOut', lost: 'sowingDay.driedOut2' },
  { code: 'weeds', head: 'sowingDay.summerWeeds', lost: 'sowingDay.toSummerWeeds' },
  { code: 'birds', head: 'sowingDay.birds', lost: 'sowingDay.toBirds' },
  { code: 'heat', head: 'sowingDay.heat', lost: 'sowingDay.toHeat' },
  { code: 'frost', head: 'sowingDay.winter', lost: 'sowingDay.toWinter' },
  { code: 'cold', head: 'sowingDay.coldSoil', lost: 'sowingDay.toColdSoil' },
]
