import { addDays, dayNumber, daysBetween, shortDay, weekdayIndex, weekdayName, type Day } from '../../measure/calendar'
import type { Phrase } from '../../explain/phrase'
import { skyGates } from '../operations/weatherGates'
import type { Laying } from './constraints'
import { anchorOf } from '../operations/planned'
import { anchorCode } from '../operations/registry'
import type { SequenceInput } from './input'
import type { Slip } from './task'

/** A day that was agreed and cannot stay, or could be better. */
export interface Move {
  key: string
  name: string
  from: Day
  to: Day
  why: Phrase
}

const days = (n: number): string => `${n} ${n === 1 ? 'day' : 'days'}`

/** What a lag between a slip and the others says against the day that was agreed for it. */
function brokenLag(
  laying: Laying,
  names: ReadonlyMap<string, string>,
  anchor: string,
  slip: Slip,
  was: Day,
): Phrase | undefined {
  // What binds it to the sowing day itself says more than what binds it to a neighbour.
  const nearest = [...laying.lags].sort(
    (a, b) => Number([b.from, b.to].includes(anchor)) - Number([a.from, a.to].includes(anchor)),
  )
  for (const { from, to, leastDays, mostDays, why } of nearest) {
    const other = from === slip.key ? to : to === slip.key ? from : undefined
    if (!other) continue
    const otherDay = laying.days.get(other)!
    const between = to === slip.key ? dayNumber(was) - otherDay : otherDay - dayNumber(was)
    const name = (names.get(other) ?? '').toLowerCase()
    const after = to === slip.key
    if (leastDays === 0 && mostDays === 0 && between !== 0) return [`on the day of ${name}`]
    if (between < leastDays)
      return [
        leastDays === 0
          ? `not ${after ? 'before' : 'after'} ${name}: ${why}`
          : `${days(leastDays)} or more ${after ? 'after' : 'before'} ${name}: ${why}`,
      ]
    if (between > (mostDays ?? Number.POSITIVE_INFINITY))
      return [`no more than ${days(mostDays!)} ${after ? 'after' : 'before'} ${name}: ${why}`]
  }
  return undefined
}

/** Why a slip does not stay on the day that was agreed. */
function reason(
  input: SequenceInput,
  laying: Laying,
  names: ReadonlyMap<string, string>,
  slip: Slip,
  was: Day,
): Phrase {
  if (slip.pinned) return ['chosen by hand']
  if (was < input.today) return ['its day has passed and it is not marked done']
  const held = skyGates(slip.operation, was, input).find(({ state }) => state === 'hold')
  if (held) return held.text
  if (input.holidays.has(was)) return [`${shortDay(was)} is a holiday of the firm`]
  if (!input.workingDays.includes(weekdayIndex(was))) return [`${weekdayName(was)} is no working day of the firm`]
  const lag = brokenLag(laying, names, anchorCode(anchorOf(input.parts)), slip, was)
  if (lag) return lag
  return ['nearer to its best day from the sowing day']
}

/** Agreed days that the plan as it stands now does not keep, in order. */
export function movesOf(input: SequenceInput, laying: Laying, slips: readonly Slip[]): Move[] {
  const names = new Map(slips.map(({ key, name }) => [key, name]))
  const anchor = anchorCode(anchorOf(input.parts))
  return slips.flatMap((slip) => {
    const was = input.agreed.get(slip.key)
    if (was === undefined || was === slip.to || slip.done) return []
    const why: Phrase = slip.key === anchor ? ['the day was moved'] : reason(input, laying, names, slip, was)
    return [{ key: slip.key, name: slip.name, from: was, to: slip.to, why }]
  })
}

/** "2 days later", "a day sooner". */
export function shiftWords(from: Day, to: Day): string {
  const away = Math.abs(daysBetween(from, to))
  return `${away === 1 ? 'a day' : days(away)} ${addDays(from, 0) < to ? 'later' : 'sooner'}`
}
