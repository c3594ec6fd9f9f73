import { lowered, say, shortDay, type Message } from '../../explain/message'
import { addDays, daysBetween, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Definition } from './definition'
import { OPERATIONS } from './registry'
import type { GateInput } from './gateInput'

/** Soil of turf in growth, °C. @source trade (cool-season), mem (warm-season) */
export const GROWS_FROM_C = { cool: 10, warm: 18 } as const
const DORMANT_K = 5

/**
 * Water of the root zone under which tines bounce, and over which holes smear. @source own for the shares; moist, not
 * wet is trade
 */
export const [WATER_AHEAD_BELOW, TOO_WET_ABOVE] = [0.4, 0.97]
/**
 * Water of the root zone under which turf has stopped and is not torn. @source own; no dethatching in drought is
 * trade
 */
const DROUGHT_BELOW = 0.2
/** Water that was given lasts so many days for tines. @source own, the longest lag from soaking to coring */
const SOAKED_DAYS = 3

/** What was given, or is planned to be, before dry ground is worked. */
function soaked({ done }: GateInput, day: Day, has: ReadonlySet<string>): Gate | undefined {
  const soaking = OPERATIONS.find(({ soaks, code }) => soaks && has.has(code))
  if (!soaking) return undefined
  const made = done.get(soaking.code)
  if (!made) return { state: 'waiting', text: say('operations.afterAPlugComes', { name: lowered(soaking.name) }) }
  return daysBetween(made.day, day) <= SOAKED_DAYS
    ? { state: 'met', text: say('operations.wateredDeepEnoughThat', { day: shortDay(made.day) }) }
    : undefined
}

export function ground(input: GateInput, operation: Definition, day: Day, has: ReadonlySet<string>): Gate[] {
  const { groundOn, groundIsGuess, keepsTurf, today } = input
  const groundLeft = operation.wantsMoistGround ? groundOn?.(day) : undefined
  if (groundLeft === undefined) return []
  const left = figure('share', groundLeft, 2)
  const source = { kind: 'computed', text: say('operations.waterBalanceOfThe') } as const
  const risk = (text: Message): Gate[] => [{ state: 'risk', code: 'ground', text, source }]
  if (groundLeft < WATER_AHEAD_BELOW) {
    const given = soaked(input, day, has)
    if (given) return [given]
    // From normals nobody knows what fell: what is only a guess is looked at, and holds nothing.
    if (groundIsGuess)
      return [
        {
          state: 'waiting',
          text: say('operations.groundMoistAboutFull', { left }),
          source: { kind: 'computed', text: say('operations.waterBalanceOfTheRoot') },
        },
      ]
    const torn = operation.tearsTurf && keepsTurf
    if (torn && groundLeft < DROUGHT_BELOW)
      return [
        {
          state: 'hold',
          code: 'ground',
          again: addDays(today, 1),
          text: say('operations.groundText', { left }),
          source,
        },
      ]
    return torn
      ? risk(say('operations.groundAboutFullBy', { left }))
      : risk(say('operations.groundAboutFullByThen', { left }))
  }
  if (groundLeft > TOO_WET_ABOVE) return risk(say('operations.groundAboutFullByThenToo', { left }))
  return [{ state: 'met', text: say('operations.groundAboutFullByThen2', { left }), source }]
}

export function growth(
  { soilOn, growsFromC: ofPlan, today, keepsTurf, extent }: GateInput,
  { tearsTurf, wantsGrowth }: Definition,
  day: Day,
): Gate[] {
  const torn = tearsTurf && keepsTurf
  const growsFromC = wantsGrowth === 'warm' ? GROWS_FROM_C.warm : ofPlan
  const soilC = torn || wantsGrowth ? soilOn?.(day) : undefined
  if (soilC === undefined) return []
  const source = {
    kind: 'computed',
    text: say('operations.soilAt2In', { growsFromC: figure('tempC', growsFromC) }),
  } as const
  const told = figure('tempC', soilC, 2)
  // Whoever sows for spring opens dormant turf and knows it.
  if (soilC < growsFromC - DORMANT_K && torn && extent.dormant)
    return [
      {
        state: 'risk',
        code: 'growth',
        text: say('operations.growthText', { told }),
        source,
      },
    ]
  if (soilC < growsFromC - DORMANT_K)
    return [
      {
        state: 'hold',
        code: 'growth',
        again: addDays(today, 7),
        text: say('operations.dormantSoilAboutTorn', { told, hasTorn: Boolean(torn) }),
        source,
      },
    ]
  if (soilC < growsFromC)
    return [{ state: 'risk', code: 'growth', text: say('operations.hardlyGrowingSoilAbout', { told }), source }]
  return [{ state: 'met', text: say('operations.growingSoilAbout', { told }), source }]
}

/** Nothing goes into ground whose lines nobody has marked: no note overrules that. */
export function services(
  { done, located, today }: GateInput,
  { breaksGround }: Definition,
  day: Day,
  has: ReadonlySet<string>,
): Gate[] {
  const locating = OPERATIONS.find(({ locates, code }) => locates && has.has(code))
  if (!breaksGround || !locating) return []
  if (done.has(locating.code)) return [{ state: 'met', text: say('operations.linesLocatedHeadsFlagged') }]
  if (located)
    return [
      {
        state: 'met',
        text: say('operations.linesLocatedAndMarked'),
        source: { kind: 'user', text: say('operations.lookBuriedLines') },
      },
    ]
  return day <= today
    ? [
        {
          state: 'hold',
          code: 'services',
          binding: true,
          again: addDays(today, 1),
          text: say('operations.servicesText'),
          source: { kind: 'mem', text: say('operations.localLawSeveralWorking') },
        },
      ]
    : [{ state: 'waiting', text: say('operations.buriedLinesLocatedHeads') }]
}
