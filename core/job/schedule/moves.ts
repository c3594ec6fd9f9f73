import { lowered, say, shortDay, weekdayName, type Message } from '../../explain/message'
import { addDays, dayNumber, daysBetween, weekdayIndex, type Day } from '../../measure/calendar'
import { skyGates } from '../operations/weatherGates'
import type { Laying } from './constraints'
import { anchorOf } from '../operations/planned'
import { anchorCode } from '../operations/registry'
import type { ScheduleInput } from './input'
import type { Task } from './task'

/** A day that was agreed and cannot stay, or could be better. */
export interface Move {
  key: string
  name: Message
  from: Day
  to: Day
  why: Message
}

const days = (n: number): Message => say('schedule.days', { n })

/** What a lag between a task and the others says against the day that was agreed for it. */
function brokenLag(
  laying: Laying,
  names: ReadonlyMap<string, Message>,
  anchor: string,
  task: Task,
  was: Day,
): Message | undefined {
  // What binds it to the sowing day itself says more than what binds it to a neighbour.
  const nearest = [...laying.lags].sort(
    (a, b) => Number([b.from, b.to].includes(anchor)) - Number([a.from, a.to].includes(anchor)),
  )
  for (const { from, to, leastDays, mostDays, why } of nearest) {
    const other = from === task.key ? to : to === task.key ? from : undefined
    if (!other) continue
    const otherDay = laying.days.get(other)!
    const between = to === task.key ? dayNumber(was) - otherDay : otherDay - dayNumber(was)
    const name = lowered(names.get(other)!)
    const after = to === task.key
    if (leastDays === 0 && mostDays === 0 && between !== 0) return say('schedule.onTheDayOf', { name })
    if (between < leastDays)
      return leastDays === 0
        ? say('schedule.notBeside', { after, name, why })
        : say('schedule.orMoreBeside', { least: days(leastDays), after, name, why })
    if (between > (mostDays ?? Number.POSITIVE_INFINITY))
      return say('schedule.noMoreThanAfter', { mostDays: days(mostDays!), after, name, why })
  }
  return undefined
}

/** Why a task does not stay on the day that was agreed. */
function reason(
  input: ScheduleInput,
  laying: Laying,
  names: ReadonlyMap<string, Message>,
  task: Task,
  was: Day,
): Message {
  if (task.pinned) return say('schedule.chosenByHand')
  if (was < input.today) return say('schedule.itsDayHasPassed')
  const held = skyGates(task.operation, was, input).find(({ state }) => state === 'hold')
  if (held) return held.text
  if (input.holidays.has(was)) return say('schedule.isAHolidayOf', { was: shortDay(was) })
  if (!input.workingDays.includes(weekdayIndex(was))) return say('schedule.isNoWorkingDay', { was: weekdayName(was) })
  const lag = brokenLag(laying, names, anchorCode(anchorOf(input.parts)), task, was)
  if (lag) return lag
  return say('schedule.nearerToItsBest')
}

/** Agreed days that the plan as it stands now does not keep, in order. */
export function movesOf(input: ScheduleInput, laying: Laying, tasks: readonly Task[]): Move[] {
  const names = new Map(tasks.map(({ key, name }) => [key, name]))
  const anchor = anchorCode(anchorOf(input.parts))
  return tasks.flatMap((task) => {
    const was = input.agreed.get(task.key)
    if (was === undefined || was === task.to || task.done) return []
    const why: Message = task.key === anchor ? say('schedule.theDayWasMoved') : reason(input, laying, names, task, was)
    return [{ key: task.key, name: task.name, from: was, to: task.to, why }]
  })
}

/** "2 days later", "a day sooner". */
export function shiftWords(from: Day, to: Day): Message {
  const away = Math.abs(daysBetween(from, to))
  return say('schedule.shifted', { away, later: addDays(from, 0) < to })
}
