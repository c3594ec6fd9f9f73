import { lowered, say } from '../explain/message'
import { kindOf, STOCK_QUANTITY, type StockKind } from '../materials/stock'
import { addDays, daysBetween, type Day } from '../measure/calendar'
import { figure, type Figure } from '../measure/figure'
import type { Worked, WorkingLine } from '../explain/working'
import { PLANNING, sourceOf, type Planning, type PriceCode } from './planningFigures'
import type { Charge } from './operations/definition'
import { isAnchorKey } from './operations/registry'
import { seedOf, type Part } from './parts'
import { firstWork, type Schedule, type Task } from './schedule/schedule'

/** What a plan costs in work, money and time off the lawn. */
export interface Estimate {
  crewHours: Worked
  priceMinor: Worked
  seedKg: number
  /** From the first work that closes the lawn to the fourth mowing, and six weeks after emergence at the soonest. */
  outOfUse: Worked
  outFrom: Day
  outTo: Day
  /** Days from the first work to sowing. */
  leadDays: number
}

/** What material of each kind is priced by. */
const PRICED_BY: Record<StockKind, PriceCode> = { seed: 'seed', feed: 'feed', cover: 'coverSoil', soil: 'loam' }

/**
 * Materials of a task, each with what it is priced by: what is left out of a plan is not paid for, what is added is.
 */
function materialsOf(task: Task, parts: readonly Part[]): Charge[] {
  const lines = task.wanted.map(({ matter, words, amount }): Charge => {
    const kind = kindOf(matter)
    return {
      what: say('price.materialOf', { name: task.operation.name, words }),
      price: PRICED_BY[kind],
      amount: figure(STOCK_QUANTITY[kind], amount),
    }
  })
  return [...lines, ...(task.operation.charges?.(task, parts) ?? [])]
}

/** What goes on all ground of a part, whatever its tasks. */
const additivesOf = ({ practices, survey }: Part): Charge[] =>
  practices.additive === 'priced'
    ? [{ what: say('price.additive'), price: 'additive', amount: figure('areaM2', survey.areaM2) }]
    : []

const money = (minor: number, currency: string): Figure => ({ quantity: 'money', value: Math.round(minor), currency })

function priceOf(parts: readonly Part[], { tasks, crewHours }: Schedule, planning: Planning, currency: string): Worked {
  const lines: WorkingLine[] = []
  let total = 0
  for (const { what, price, amount } of [
    { what: say('price.crew'), price: 'crew' as const, amount: figure('hours', crewHours) },
    ...tasks.flatMap((task) => materialsOf(task, parts)),
    ...parts.flatMap(additivesOf),
  ]) {
    const minor = amount.value * planning[price]
    total += minor
    lines.push(
      { ...(lines.length ? { operator: '+' as const } : {}), what, value: amount },
      {
        operator: '×',
        what: say('price.price'),
        value: { quantity: 'money', value: planning[price], currency, per: PLANNING[price].per! },
        source: sourceOf(price, planning),
      },
      { operator: '=', what, value: money(minor, currency), subtotal: true },
    )
  }
  lines.push({ operator: '=', what: say('price.together'), value: money(total, currency), subtotal: true })
  return {
    value: total,
    working: {
      title: say('price.priceOfTheProgramme'),
      result: money(total, currency),
      formula: say('price.crewHoursAndMaterials'),
      lines,
      rounding: say('price.toPlanAndCompare'),
    },
  }
}

/** From emergence until young grass bears feet. @source trade */
export const AFTER_EMERGENCE_DAYS = 42
/** Days a dressed lawn is kept off. @source own */
const AFTER_LIFT_DAYS = 7

/**
 * Cost, time and upset of a plan whose schedule is laid.
 * @param currency ISO code of the planning prices
 */
export function estimateOf(parts: readonly Part[], schedule: Schedule, planning: Planning, currency: string): Estimate {
  const closing = schedule.tasks.filter(({ operation }) => operation.closesLawn)
  const first = closing.reduce((a, b) => (b.from < a.from ? b : a), closing[0]!)
  const mow = schedule.tasks.find(({ operation }) => operation.opensLawn)
  const up = schedule.tasks.find(({ operation }) => operation.seesEmergence)
  const mown = mow && addDays(mow.to, schedule.mowingsDays)
  const rooted = up && addDays(up.to, AFTER_EMERGENCE_DAYS)
  const byRoots = mown !== undefined && rooted !== undefined && rooted > mown
  const opens = byRoots ? rooted : mown
  const anchor = schedule.tasks.find(({ key }) => isAnchorKey(key))!
  const days = opens ? daysBetween(first.from, opens) : daysBetween(first.from, anchor.to) + AFTER_LIFT_DAYS
  const crew = schedule.crewHours
  return {
    crewHours: {
      value: crew,
      working: {
        title: say('price.crewHours'),
        result: figure('hours', crew),
        formula: say('price.hoursOfEveryOperation'),
        lines: [
          ...schedule.tasks.map(({ operation, hours }, i): WorkingLine => ({
            ...(i ? { operator: '+' as const } : {}),
            what: operation.name,
            value: figure('hours', hours.value),
            source: { kind: 'own', text: say('price.workRates') },
          })),
          { operator: '=', what: say('price.crewHours'), value: figure('hours', crew), subtotal: true },
        ],
      },
    },
    priceMinor: priceOf(parts, schedule, planning, currency),
    seedKg: parts.reduce((sum, part) => sum + (seedOf(part)?.product.value ?? 0), 0),
    outFrom: first.from,
    outTo: opens ?? addDays(anchor.to, AFTER_LIFT_DAYS),
    leadDays: daysBetween(firstWork(schedule).from, anchor.to),
    outOfUse: {
      value: days,
      working: {
        title: say('price.daysOutOfUse'),
        result: figure('days', days),
        formula: opens ? say('price.fromTheFirstWork') : say('price.fromTheFirstWorkOn'),
        lines: [
          {
            what: say('price.beforeThe', { name: lowered(anchor.operation.name) }),
            value: figure('days', daysBetween(first.from, anchor.to)),
          },
          {
            operator: '+',
            what: !opens
              ? say('price.untilItHasGrown')
              : byRoots
                ? say('price.toSixWeeksAfter')
                : say('price.toTheFourthMowing'),
            value: figure('days', days - daysBetween(first.from, anchor.to)),
            source: opens
              ? { kind: 'computed', text: say('price.growthAfterSowing') }
              : { kind: 'own', text: say('price.aWeek') },
          },
          { operator: '=', what: say('price.keepOffTheLawn'), value: figure('days', days), subtotal: true },
        ],
      },
    },
  }
}
