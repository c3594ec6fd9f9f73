import { lowered, say, shortDay, weekdayName } from '../../explain/message'
import { addDays, weekdayIndex, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import { barrierUntil } from '../decision/decide'
import type { Definition } from './definition'
import { codeOf, keyOf, numberOf, operationByCode, OPERATIONS } from './registry'
import { skyGates } from './weatherGates'
import type { GateInput } from './gateInput'
import { ground, growth, services } from './groundGates'

/** The forecast of a device reaches so far ahead; waiting for one is looked at again when it comes into sight. */
const FORECAST_REACH_DAYS = 5

/** Said where work has to fall on a day the firm is off. */
function dayOff({ workingDays, holidays }: GateInput, day: Day): Gate[] {
  const source = { kind: 'user', text: say('operations.firmWorkingDays') } as const
  if (holidays.has(day))
    return [{ state: 'risk', code: 'off', text: say('operations.offText', { day: shortDay(day) }), source }]
  return workingDays.includes(weekdayIndex(day))
    ? []
    : [{ state: 'risk', code: 'off', text: say('operations.isNoWorkingDay', { day: weekdayName(day) }), source }]
}

function label(input: GateInput): Gate[] {
  const { clear, by } = barrierUntil(input.applications, input.today)
  if (!by) return []
  const text = say('operations.labelWait', { ingredient: by.ingredient, waitDays: by.waitDays, clear: shortDay(clear) })
  const source = { kind: 'user', text: say('operations.label') } as const
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
        text: say('operations.dormantText'),
        source: { kind: 'mem', text: say('operations.lossesOfDormantSeedings') },
      },
    ]
  if (!soil) return []
  const { expectedC, lowC, highC } = soil
  const expected = figure('tempC', expectedC, 2)
  if (expectedC < lowC)
    return [
      { state: 'risk', code: 'soil', text: say('operations.soilText', { expected, lowC: figure('tempC', lowC, 2) }) },
    ]
  if (expectedC > highC + 5)
    return [
      {
        state: 'risk',
        code: 'soil',
        text: say('operations.soilAboutWarmerThan', { expected, highC: figure('tempC', highC, 2) }),
      },
    ]
  return [{ state: 'met', text: say('operations.soilAboutThatDay', { expected }) }]
}

/** What comes before it done, and found as it should be. */
function before(
  { done, today }: GateInput,
  key: string,
  { code, after }: Definition,
  has: ReadonlySet<string>,
): Gate[] {
  const number = numberOf(key)
  // A later turn waits for the one before it.
  const previous = number > 1 ? code : after?.find((one) => has.has(one))
  if (!previous) return []
  const { name, check } = operationByCode(previous)
  const made = done.get(number > 1 ? keyOf(code, number - 1) : previous)
  const told = check ? lowered(check) : say('operations.done')
  if (!made) return [{ state: 'waiting', text: say('operations.after', { name: lowered(name), told }) }]
  if (!made.passed)
    return [
      {
        state: 'hold',
        code: 'check',
        again: addDays(today, 1),
        text: say('operations.checkText', { name: lowered(name), told }),
        source: { kind: 'user', text: say('operations.marked', { day: shortDay(made.day) }) },
      },
    ]
  return [{ state: 'met', text: say('operations.seen', { told, day: shortDay(made.day) }) }]
}

/** A sample was taken and its results are not known: two facts. */
function results({ done, extent }: GateInput, { wantsResults }: Definition): Gate[] {
  if (!wantsResults || extent.soilTested) return []
  const sampling = OPERATIONS.find(({ samples, code }) => samples && done.has(code))
  return sampling
    ? [
        {
          state: 'waiting',
          text: say('operations.ofItsResultsGo', {
            name: lowered(sampling.name),
            day: shortDay(done.get(sampling.code)!.day),
          }),
        },
      ]
    : []
}

/** Turns of another operation that are recorded, the first among them. */
export const turnsDone = (done: GateInput['done'], code: string): string[] =>
  [...done.keys()].filter((key) => codeOf(key) === code)

/** So many turns of another have to be recorded first, where the plan has it. */
function turns({ done, practices }: GateInput, { wantsTurns }: Definition, has: ReadonlySet<string>): Gate[] {
  if (!wantsTurns || !has.has(wantsTurns.of)) return []
  const { of, words } = wantsTurns
  const least = typeof wantsTurns.least === 'number' ? wantsTurns.least : wantsTurns.least(practices)
  if (!least) return []
  const count = turnsDone(done, of).length
  return [
    count >= least
      ? { state: 'met', text: say('operations.recorded', { count, words }) }
      : { state: 'waiting', text: say('operations.ofRecorded', { count, least, words }) },
  ]
}

/** Feed, cover and dressing far ahead do not each repeat that the forecast does not reach them; the seed does. */
function weather(input: GateInput, operation: Definition, day: Day): Gate[] {
  const { forecast, today } = input
  const puts = operation.putsDown
  const told = forecast.some((one) => one.day === day)
  const seen = addDays(day, -FORECAST_REACH_DAYS)
  if (puts && puts !== 'seed' && !told) return []
  return skyGates(operation, day, input).map((gate) =>
    gate.state === 'waiting' && seen > today
      ? { ...gate, again: seen }
      : gate.state === 'hold'
        ? { ...gate, again: addDays(today, 1) }
        : gate,
  )
}

/**
 * Everything that holds or releases an operation on its day.
 * @param key of its task, by which notes overrule a gate
 * @param has keys of the plan
 * @param own gates of the operation itself, as its ground sets them
 */
export function gatesOf(
  input: GateInput,
  key: string,
  operation: Definition,
  day: Day,
  has: ReadonlySet<string>,
  own: readonly Gate[],
): Gate[] {
  const gates = [
    ...dayOff(input, day),
    ...(operation.anchors === 'seeding' ? [...label(input), ...soilBand(input)] : []),
    ...growth(input, operation, day),
    ...weather(input, operation, day),
    ...services(input, operation, day, has),
    ...ground(input, operation, day, has),
    ...before(input, key, operation, has),
    ...turns(input, operation, has),
    ...results(input, operation),
    ...own,
  ]
  return gates.map((gate) => {
    const note = gate.code === undefined || gate.binding ? undefined : input.overruled[`${key}:${gate.code}`]
    return note === undefined || gate.state === 'met' || gate.state === 'waiting' ? gate : { ...gate, overruled: note }
  })
}
