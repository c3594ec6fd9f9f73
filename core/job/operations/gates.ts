import { addDays, daysBetween, shortDay, weekdayIndex, weekdayName, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Phrase } from '../../explain/phrase'
import type { Application } from '../../site/survey'
import { barrierUntil } from '../decision/decide'
import { operationByCode } from './catalogue'
import { PUTS_DOWN, skyGates, type Sky } from './weatherGates'
import { keyOf, numberOf, type OperationCode } from './operations'
import type { Extent } from '../parts'

/** What gates are judged by on the day of an operation. */
export interface GateInput extends Sky {
  today: Day
  sowOn: Day
  applications: readonly Application[]
  extent: Pick<Extent, 'dormant'>
  workingDays: readonly number[]
  holidays: ReadonlySet<Day>
  /** Median modelled soil at probe depth on the sowing day, °C, and the band it should be in. */
  soil?: { expectedC: number; lowC: number; highC: number }
  /** The same soil on any day, as far as it is worked out. */
  soilOn?: (day: Day) => number | undefined
  /** Water that the root zone of the standing turf is expected to hold on a day, 0-1; rain alone. */
  groundOn?: (day: Day) => number | undefined
  /** The water in the ground is reckoned from normals alone: no guess holds work. */
  groundIsGuess?: boolean
  /** Whoever looked at the lawn found its lines located and marked. */
  located?: boolean
  /** Turf that is torn is to live on: none where all of it is killed or taken off. */
  keepsTurf: boolean
  /** Soil in which the turf that is worked on grows, °C. */
  growsFromC: number
  /** What is done, on which day, and whether what is looked at then was as it should be. */
  done: ReadonlyMap<string, { day: Day; passed: boolean }>
  /** Notes of the technician by slip and gate: "scalp:surface". */
  overruled: Readonly<Record<string, string>>
}

/** Soil of turf in growth, °C. @source trade (cool-season), mem (warm-season) */
export const GROWS_FROM_C = { cool: 10, warm: 18 } as const
const DORMANT_K = 5

/** The forecast of a device reaches so far ahead; waiting for one is looked at again when it comes into sight. */
const FORECAST_REACH_DAYS = 5

/** Water of the root zone under which tines bounce, and over which holes smear. @source own for the shares; moist, not wet is trade */
export const [WATER_AHEAD_BELOW, TOO_WET_ABOVE] = [0.4, 0.97]
/** Water of the root zone under which turf has stopped and is not torn. @source own; no dethatching in drought is trade */
const DROUGHT_BELOW = 0.2
const WANTS_MOIST_GROUND: ReadonlySet<OperationCode> = new Set(['core', 'fork', 'loosen', 'dethatch'])
/** Work that only growing turf or weeds answer to. */
const WANTS_GROWTH: ReadonlySet<OperationCode> = new Set([
  'hardWeeds',
  'killAutumn',
  'kill1',
  'kill2',
  'kill3',
  'lift',
  'nip',
  'recoveryFeed',
  'regulator',
  'weedControl',
  'feedAgain',
])
/** Steel that goes into the ground. */
const BREAKS_GROUND: ReadonlySet<OperationCode> = new Set(['core', 'fork', 'loosen', 'relay', 'dethatch'])
/** What has to be done and found right before something else is begun; the last of them that a plan has. */
const AFTER: Partial<Record<OperationCode, readonly OperationCode[]>> = {
  scalp: ['kill3', 'kill2', 'kill1'],
  dethatch: ['scalp'],
  core: ['dethatch', 'scalp'],
  clear: ['scalp'],
  level: ['delivery', 'core', 'dethatch'],
  lift: ['delivery', 'core', 'scalp'],
  sow: ['level', 'core', 'dethatch', 'clear', 'loosen', 'scalp'],
  rake: ['sow'],
  firm: ['rake', 'sow'],
  cover: ['delivery', 'rake', 'sow'],
  water: ['cover', 'rake', 'sow', 'lift'],
  check: ['sow'],
  green: ['sow'],
  uncover: ['green'],
  mow: ['green', 'sow'],
  weak: ['green'],
  weedControl: ['mow'],
  feedAgain: ['mow'],
  close: ['mow', 'nip'],
  nip: ['lift'],
  recoveryFeed: ['lift'],
  regulator: ['nip'],
  nextSeason: ['close'],
}

/** Said where work has to fall on a day the firm is off. */
function dayOff({ workingDays, holidays }: GateInput, day: Day): Gate[] {
  const source = { kind: 'user', text: 'Firm, working days' } as const
  if (holidays.has(day))
    return [{ state: 'risk', code: 'off', text: [`${shortDay(day)} is a holiday of the firm`], source }]
  return workingDays.includes(weekdayIndex(day))
    ? []
    : [{ state: 'risk', code: 'off', text: [`${weekdayName(day)} is no working day of the firm`], source }]
}

function label(input: GateInput): Gate[] {
  const { clear, by } = barrierUntil(input.applications, input.today)
  if (!by) return []
  const text = [`label wait: ${by.ingredient}, ${by.waitDays} days, until ${shortDay(clear)}`]
  const source = { kind: 'user', text: 'label' } as const
  return [
    clear > input.sowOn
      ? { state: 'hold', code: 'label', binding: true, again: clear, text, source }
      : { state: 'met', text, source },
  ]
}

function soilBand({ soil, extent }: GateInput): Gate[] {
  if (extent.dormant)
    return [
      {
        state: 'risk',
        code: 'dormant',
        text: ['to lie until spring: 30 to 50% of it is lost by then, so a third more to twice as much is sown'],
        source: { kind: 'mem', text: 'losses of dormant seedings' },
      },
    ]
  if (!soil) return []
  const { expectedC, lowC, highC } = soil
  const expected = figure('tempC', expectedC, 2)
  if (expectedC < lowC)
    return [
      { state: 'risk', code: 'soil', text: ['soil about ', expected, ', colder than ', figure('tempC', lowC, 2)] },
    ]
  if (expectedC > highC + 5)
    return [
      { state: 'risk', code: 'soil', text: ['soil about ', expected, ', warmer than ', figure('tempC', highC, 2)] },
    ]
  return [{ state: 'met', text: ['soil about ', expected, ' that day'] }]
}

/** Water that was given lasts so many days for tines. @source own, the longest lag from soaking to coring */
const SOAKED_DAYS = 3

/** What was given, or is planned to be, before dry ground is worked. */
function soaked({ done }: GateInput, day: Day, has: ReadonlySet<string>): Gate | undefined {
  if (!has.has('waterAhead')) return undefined
  const made = done.get('waterAhead')
  const { name } = operationByCode('waterAhead')
  if (!made) return { state: 'waiting', text: [`after ${name.toLowerCase()}: a plug comes out whole`] }
  return daysBetween(made.day, day) <= SOAKED_DAYS
    ? { state: 'met', text: [`watered ${shortDay(made.day)}: deep enough that a plug comes out`] }
    : undefined
}

function ground(input: GateInput, code: OperationCode, day: Day, has: ReadonlySet<string>): Gate[] {
  const { groundOn, groundIsGuess, keepsTurf, today } = input
  const groundLeft = WANTS_MOIST_GROUND.has(code) ? groundOn?.(day) : undefined
  if (groundLeft === undefined) return []
  const left = figure('share', groundLeft, 2)
  const source = { kind: 'computed', text: 'water balance of the root zone, rain alone' } as const
  const risk = (...text: Phrase): Gate[] => [{ state: 'risk', code: 'ground', text, source }]
  if (groundLeft < WATER_AHEAD_BELOW) {
    const given = soaked(input, day, has)
    if (given) return [given]
    // From normals nobody knows what fell: what is only a guess is looked at, and holds nothing.
    if (groundIsGuess)
      return [
        {
          state: 'waiting',
          text: ['ground moist: about ', left, ' full by then is a guess from normals, so try it'],
          source: { kind: 'computed', text: 'water balance of the root zone from normals alone' },
        },
      ]
    const torn = code === 'dethatch' && keepsTurf
    if (torn && groundLeft < DROUGHT_BELOW)
      return [
        {
          state: 'hold',
          code: 'ground',
          again: addDays(today, 1),
          text: [
            'drought, ground about ',
            left,
            ' full by then: torn turf does not come back; water it through, or wait',
          ],
          source,
        },
      ]
    return torn
      ? risk('ground about ', left, ' full by then: turf short of water is not torn, water ahead')
      : risk('ground about ', left, ' full by then: water ahead, deep enough that a plug comes out')
  }
  if (groundLeft > TOO_WET_ABOVE) return risk('ground about ', left, ' full by then: too wet smears, let it drain')
  return [{ state: 'met', text: ['ground about ', left, ' full by then'], source }]
}

function growth({ soilOn, growsFromC, today, keepsTurf, extent }: GateInput, code: OperationCode, day: Day): Gate[] {
  const torn = code === 'dethatch' && keepsTurf
  const soilC = torn || WANTS_GROWTH.has(code) ? soilOn?.(day) : undefined
  if (soilC === undefined) return []
  const source = {
    kind: 'computed',
    text: `soil at 2 in (50 mm), middle of the years; growing from ${growsFromC} °C`,
  } as const
  const told = figure('tempC', soilC, 2)
  // Whoever sows for spring opens dormant turf and knows it.
  if (soilC < growsFromC - DORMANT_K && torn && extent.dormant)
    return [
      {
        state: 'risk',
        code: 'growth',
        text: ['dormant, soil about ', told, ': torn turf stays open until spring, one light direction'],
        source,
      },
    ]
  if (soilC < growsFromC - DORMANT_K)
    return [
      {
        state: 'hold',
        code: 'growth',
        again: addDays(today, 7),
        text: [
          'dormant, soil about ',
          told,
          torn ? ': torn turf does not close' : ': it takes nothing up and grows through nothing',
        ],
        source,
      },
    ]
  if (soilC < growsFromC)
    return [{ state: 'risk', code: 'growth', text: ['hardly growing, soil about ', told], source }]
  return [{ state: 'met', text: ['growing, soil about ', told], source }]
}

/** Nothing goes into ground whose lines nobody has marked: no note overrules that. */
function services(
  { done, located, today }: GateInput,
  code: OperationCode,
  day: Day,
  has: ReadonlySet<string>,
): Gate[] {
  if (!BREAKS_GROUND.has(code) || !has.has('locate')) return []
  if (done.has('locate')) return [{ state: 'met', text: ['lines located, heads flagged'] }]
  if (located)
    return [
      {
        state: 'met',
        text: ['lines located and marked at the survey; marks fade after two weeks'],
        source: { kind: 'user', text: 'Look, buried lines' },
      },
    ]
  return day <= today
    ? [
        {
          state: 'hold',
          code: 'services',
          binding: true,
          again: addDays(today, 1),
          text: ['buried lines are not located: nothing goes into the ground'],
          source: { kind: 'mem', text: 'local law, several working days ahead' },
        },
      ]
    : [{ state: 'waiting', text: ['buried lines located, heads flagged'] }]
}

/** What comes before it done, and found as it should be. */
function before({ done, today }: GateInput, key: string, code: OperationCode, has: ReadonlySet<string>): Gate[] {
  const number = numberOf(key)
  // A later lift waits for the one before it.
  const previous = number > 1 ? code : AFTER[code]?.find((one) => has.has(one))
  if (!previous) return []
  const { name, check } = operationByCode(previous)
  const made = done.get(number > 1 ? keyOf(code, number - 1) : previous)
  const told = check ? `${check.charAt(0).toLowerCase()}${check.slice(1).replace(/\.$/, '')}` : 'done'
  if (!made) return [{ state: 'waiting', text: [`after ${name.toLowerCase()}: ${told}`] }]
  if (!made.passed)
    return [
      {
        state: 'hold',
        code: 'check',
        again: addDays(today, 1),
        text: [`${name.toLowerCase()} did not pass its check: ${told}`],
        source: { kind: 'user', text: `marked ${shortDay(made.day)}` },
      },
    ]
  return [{ state: 'met', text: [`${told}, seen ${shortDay(made.day)}`] }]
}

/** Feed, cover and dressing far ahead do not each repeat that the forecast does not reach them; the seed does. */
function weather(input: GateInput, code: OperationCode, day: Day): Gate[] {
  const { forecast, today } = input
  const puts = PUTS_DOWN[code]
  const told = forecast.some((one) => one.day === day)
  const seen = addDays(day, -FORECAST_REACH_DAYS)
  if (puts && puts !== 'seed' && !told) return []
  return skyGates(code, day, input).map((gate) =>
    gate.state === 'waiting' && seen > today
      ? { ...gate, again: seen }
      : gate.state === 'hold'
        ? { ...gate, again: addDays(today, 1) }
        : gate,
  )
}

/**
 * Everything that holds or releases an operation on its day.
 * @param key of its slip, by which notes overrule a gate
 * @param has keys of the plan
 * @param own gates of the operation itself, as its ground sets them
 */
export function gatesOf(
  input: GateInput,
  key: string,
  code: OperationCode,
  day: Day,
  has: ReadonlySet<string>,
  own: readonly Gate[],
): Gate[] {
  const gates = [
    ...dayOff(input, day),
    ...(code === 'sow' ? [...label(input), ...soilBand(input)] : []),
    ...growth(input, code, day),
    ...weather(input, code, day),
    ...services(input, code, day, has),
    ...ground(input, code, day, has),
    ...before(input, key, code, has),
    ...own,
  ]
  return gates.map((gate) => {
    const note = gate.code === undefined || gate.binding ? undefined : input.overruled[`${key}:${gate.code}`]
    return note === undefined || gate.state === 'met' || gate.state === 'waiting' ? gate : { ...gate, overruled: note }
  })
}
