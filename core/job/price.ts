import { blendWords } from '../seed/blends'
import { feedNeed, parseAnalysis } from '../materials/feed'
import { daysBetween, type Day } from '../measure/calendar'
import { figure, type Figure } from '../measure/figure'
import type { Worked, WorkingLine } from '../explain/working'
import { PLANNING, sourceOf, type Planning, type PriceCode } from './planningFigures'
import { seedOf, soilOf, type Part } from './parts'
import { buriedMm } from './settings'
import { firstWork, type Sequence } from './schedule/schedule'

/** What a plan costs in work, money and time off the lawn. */
export interface Estimate {
  crewHours: Worked
  priceMinor: Worked
  seedKg: number
  /** From the first work that closes the lawn to the first mowing. */
  outOfUse: Worked
  outFrom: Day
  outTo: Day
  /** Days from the first work to sowing. */
  leadDays: number
}

interface Line {
  what: string
  price: PriceCode
  amount: Figure
}

/** Materials of a part, each with what it is priced by. */
function materialsOf(part: Part): Line[] {
  const { survey, settings, programme, schools } = part
  const seed = seedOf(part)
  const analysis = parseAnalysis(settings.starterAnalysis)
  const soil = soilOf(part)
  const fleece = settings.coverMaterial === 'fleece'
  const lines: Line[] = []
  if (seed)
    lines.push({ what: `Seed, ${blendWords(part.seed)}`, price: 'seed', amount: figure('massKg', seed.product.value) })
  if (analysis && settings.starterNGPerM2 > 0)
    lines.push({
      what: 'Feed',
      price: 'feed',
      amount: figure('massKg', feedNeed(survey.areaM2, settings.starterNGPerM2, analysis).product.value),
    })
  if (settings.coverMm > 0 && programme.operations.includes('cover')) {
    lines.push(
      fleece
        ? { what: 'Fleece', price: 'fleece', amount: figure('areaM2', survey.areaM2) }
        : {
            what: `Cover, ${settings.coverMaterial}`,
            price: 'coverSoil',
            amount: figure('volumeM3', (survey.areaM2 * (buriedMm(settings) || settings.coverMm)) / 1000),
          },
    )
  }
  if (soil.volumeM3 > 0 && (programme.operations.includes('level') || programme.operations.includes('lift')))
    lines.push({ what: 'Soil for levelling', price: 'loam', amount: figure('volumeM3', soil.volumeM3) })
  for (const code of ['kill1', 'kill2'] as const)
    if (programme.operations.includes(code))
      lines.push({
        what: code === 'kill1' ? 'Herbicide, first' : 'Herbicide, again',
        price: 'herbicide',
        amount: figure('areaM2', survey.areaM2),
      })
  if (schools.additive === 'priced')
    lines.push({ what: 'Additive', price: 'additive', amount: figure('areaM2', survey.areaM2) })
  return lines
}

const money = (minor: number, currency: string): Figure => ({ quantity: 'money', value: Math.round(minor), currency })

function priceOf(parts: readonly Part[], hours: number, planning: Planning, currency: string): Worked {
  const lines: WorkingLine[] = []
  let total = 0
  for (const { what, price, amount } of [
    { what: 'Crew', price: 'crew' as const, amount: figure('hours', hours) },
    ...parts.flatMap(materialsOf),
  ]) {
    const minor = amount.value * planning[price]
    total += minor
    lines.push(
      { ...(lines.length ? { operator: '+' as const } : {}), what, value: amount },
      {
        operator: '×',
        what: 'Price',
        value: { quantity: 'money', value: planning[price], currency, per: PLANNING[price].per! },
        source: sourceOf(price, planning),
      },
      { operator: '=', what, value: money(minor, currency), subtotal: true },
    )
  }
  lines.push({ operator: '=', what: 'Together', value: money(total, currency), subtotal: true })
  return {
    value: total,
    working: {
      title: 'Price of the programme',
      result: money(total, currency),
      formula: 'Crew hours and materials, each at its planning price.',
      lines,
      rounding: 'To plan and compare with; bags, hire and travel come with Bring.',
    },
  }
}

/** Work that ends the use of a lawn until it is mown again. */
const CLOSING = ['kill1', 'scalp', 'dethatch', 'core', 'loosen', 'level', 'lift', 'sow']
/** Days a dressed lawn is kept off. @source own */
const AFTER_LIFT_DAYS = 7

/**
 * Cost, time and upset of a plan whose sequence is laid.
 * @param currency ISO code of the planning prices
 */
export function estimateOf(parts: readonly Part[], sequence: Sequence, planning: Planning, currency: string): Estimate {
  const closing = sequence.slips.filter(({ operation }) => CLOSING.includes(operation.code))
  const first = closing.reduce((a, b) => (b.from < a.from ? b : a), closing[0]!)
  const mow = sequence.slips.find(({ operation }) => operation.code === 'mow')
  const anchor = sequence.slips.find(({ key }) => key === 'sow' || key === 'lift')!
  const days = mow ? daysBetween(first.from, mow.to) : daysBetween(first.from, anchor.to) + AFTER_LIFT_DAYS
  const crew = sequence.crewHours
  return {
    crewHours: {
      value: crew,
      working: {
        title: 'Crew hours',
        result: figure('hours', crew),
        formula: 'Hours of every operation, set-up included.',
        lines: [
          ...sequence.slips.map(({ operation, hours }, i): WorkingLine => ({
            ...(i ? { operator: '+' as const } : {}),
            what: operation.name,
            value: figure('hours', hours.value),
            source: { kind: 'own', text: 'work rates' },
          })),
          { operator: '=', what: 'Crew hours', value: figure('hours', crew), subtotal: true },
        ],
      },
    },
    priceMinor: priceOf(parts, crew, planning, currency),
    seedKg: parts.reduce((sum, part) => sum + (seedOf(part)?.product.value ?? 0), 0),
    outFrom: first.from,
    outTo: mow?.to ?? anchor.to,
    leadDays: daysBetween(firstWork(sequence).from, anchor.to),
    outOfUse: {
      value: days,
      working: {
        title: 'Days out of use',
        result: figure('days', days),
        formula: mow
          ? 'From the first work on it to the first mowing.'
          : 'From the first work on it to a week after the dressing.',
        lines: [
          {
            what: `Before the ${anchor.operation.name.toLowerCase()}`,
            value: figure('days', daysBetween(first.from, anchor.to)),
          },
          {
            operator: '+',
            what: mow ? 'To the first mowing, middle of the weather years' : 'Until it has grown through',
            value: figure('days', days - daysBetween(first.from, anchor.to)),
            source: mow ? { kind: 'computed', text: 'growth after sowing' } : { kind: 'own', text: 'a week' },
          },
          { operator: '=', what: 'Out of use', value: figure('days', days), subtotal: true },
        ],
      },
    },
  }
}
