import { addDays, dayNumber, daysBetween, shortDay, weekdayIndex, weekdayName, type Day } from '../../measure/calendar'
import type { Phrase } from '../../explain/phrase'
import { skyGates } from '../operations/weatherGates'
import type { Laying } from './constraints'
import { anchorOf } from '../operations/planned'
import { anchorCode } from '../operations/registry'
import type { ScheduleInput } from './input'
import type { Task } from './task'

/** A day that was agreed and cannot stay, or could be better. */
export interface Move {
  key: string
  name: string
  from: Day
  to: Day
  why: Phrase
}

const days = (n: number): string => `${n} ${n === 1 ? 'day' : 'days'}`

/** What a lag between a task and the others says against the day that was agreed for it. */
function brokenLag(
  laying: Laying,
  names: ReadonlyMap<string, string>,
  anchor: string,
  task: Task,
  was: Day,
): Phrase | undefined {
  // What binds it to the sowing day itself says more than what binds it to a neighbour.
  const nearest = [...laying.lags].sort(
    (a, b) => Number([b.from, b.to].includes(anchor)) - Number([a.from, a.to].includes(anchor)),
  )
  for (const { from, to, leastDays, mostDays, why } of nearest) {
    const other = from === task.key ? to : to === task.key ? from : undefined
    if (!other) continue
    const otherDay = laying.days.get(other)!
    const between = to === task.key ? dayNumber(was) - otherDay : otherDay - dayNumber(was)
    const name = (names.get(other) ?? '').toLowerCase()
    const after = to === task.key
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

/** Why a task does not stay on the day that was agreed. */
function reason(
  input: ScheduleInput,
  laying: Laying,
  names: ReadonlyMap<string, string>,
  task: Task,
  was: Day,
): Phrase {
  if (task.pinned) return ['chosen by hand']
  if (was < input.today) return ['its day has passed and it is not marked done']
  const held = skyGates(task.operation, was, input).find(({ state }) => state === 'hold')
  if (held) return held.text
  if (input.holidays.has(was)) return [`${shortDay(was)} is a holiday of the firm`]
  if (!input.workingDays.includes(weekdayIndex(was))) return [`${weekdayName(was)} is no working day of the firm`]
  const lag = brokenLag(laying, names, anchorCode(anchorOf(input.parts)), task, was)
  if (lag) return lag
  return ['nearer to its best day from the sowing day']
}

/** Agreed days that the plan as it stands now does not keep, in order. */
export function movesOf(input: ScheduleInput, laying: Laying, tasks: readonly Task[]): Move[] {
  const names = new Map(tasks.map(({ key, name }) => [key, name]))
  const anchor = anchorCode(anchorOf(input.parts))
  return tasks.flatMap((task) => {
    const was = input.agreed.get(task.key)
    if (was === undefined || was === task.to || task.done) return []
    const why: Phrase = task.key === anchor ? ['the day was moved'] : reason(input, laying, names, task, was)
    return [{ key: task.key, name: task.name, from: was, to: task.to, why }]
  })
}

/** "2 days later", "a day sooner". */
export function shiftWords(from: Day, to: Day): string {
  const away = Math.abs(daysBetween(from, to))
  return `${away === 1 ? 'a day' : days(away)} ${addDays(from, 0) < to ? 'later' : 'sooner'}`
}
