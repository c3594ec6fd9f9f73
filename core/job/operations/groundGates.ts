import { addDays, daysBetween, shortDay, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Phrase } from '../../explain/phrase'
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
  if (!made) return { state: 'waiting', text: [`after ${soaking.name.toLowerCase()}: a plug comes out whole`] }
  return daysBetween(made.day, day) <= SOAKED_DAYS
    ? { state: 'met', text: [`watered ${shortDay(made.day)}: deep enough that a plug comes out`] }
    : undefined
}

export function ground(input: GateInput, operation: Definition, day: Day, has: ReadonlySet<string>): Gate[] {
  const { groundOn, groundIsGuess, keepsTurf, today } = input
  const groundLeft = operation.wantsMoistGround ? groundOn?.(day) : undefined
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
    const torn = operation.tearsTurf && keepsTurf
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
export function services(
  { done, located, today }: GateInput,
  { breaksGround }: Definition,
  day: Day,
  has: ReadonlySet<string>,
): Gate[] {
  const locating = OPERATIONS.find(({ locates, code }) => locates && has.has(code))
  if (!breaksGround || !locating) return []
  if (done.has(locating.code)) return [{ state: 'met', text: ['lines located, heads flagged'] }]
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
