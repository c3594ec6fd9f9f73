import type { Phase } from '#core/job/operations/definition'
import type { Task } from '#core/job/schedule/schedule'
import type { MessageKey } from '#words/message'
import { t } from './words'
import { addDays, daysBetween, weekdayIndex, type Day } from '#core/measure/calendar'

const PHASES: { phase: Phase; name: MessageKey }[] = [
  { phase: 'before', name: 'work.beforeTheVisit' },
  { phase: 'work', name: 'work.onSite' },
  { phase: 'after', name: 'work.followUp' },
]

/** Tasks of a phase; those of one day are one task, torn by dots. */
export interface WorkPhase {
  phase: Phase
  name: string
  cards: Task[][]
  /** What is done, by its day, each day a line. */
  done: { day: Day; tasks: Task[] }[]
}

const together = (a: Task, b: Task): boolean =>
  a.from === b.from && a.to === b.to && Boolean(a.done) === Boolean(b.done)

function cardsOf(tasks: readonly Task[]): Task[][] {
  const cards: Task[][] = []
  for (const task of tasks) {
    const last = cards.at(-1)
    if (last && together(last[0]!, task)) last.push(task)
    else cards.push([task])
  }
  return cards
}

/** Finished tasks by the day they ended on, the last first. */
function doneOf(tasks: readonly Task[]): WorkPhase['done'] {
  const days = new Map<Day, Task[]>()
  for (const task of tasks) days.set(task.to, [...(days.get(task.to) ?? []), task])
  return [...days].map(([day, of]) => ({ day, tasks: of })).sort((a, b) => (a.day < b.day ? 1 : -1))
}

/** @param folds whether a finished task stands in the line of its day; one that was just marked stays in sight */
export const phasesOf = (tasks: readonly Task[], folds: (task: Task) => boolean = () => true): WorkPhase[] =>
  PHASES.map((one) => {
    const own = tasks.filter(({ operation }) => operation.phase === one.phase)
    const folded = (task: Task) => Boolean(task.done) && folds(task)
    return {
      phase: one.phase,
      name: t(one.name),
      cards: cardsOf(own.filter((task) => !folded(task))),
      done: doneOf(own.filter(folded)),
    }
  }).filter(({ cards, done }) => cards.length || done.length)

/** Days that the float rules of the work stand over. */
export interface WorkScale {
  from: Day
  days: number
  mondays: Day[]
}

/** A wait without a near end is not drawn to it. */
const LONGEST_FLOAT_DAYS = 60

/** One scale for the float rules of the work; what comes before and after stands in words. */
export function workScale(tasks: readonly Task[], today: Day): WorkScale {
  const drawn = tasks.filter(({ operation }) => operation.phase === 'work' && !operation.autumnBefore)
  if (!drawn.length) return { from: today, days: 7, mondays: [] }
  const from = drawn.flatMap((task) => [task.from, task.earliest]).sort()[0]!
  const to = drawn
    .map((task) => (daysBetween(task.to, task.latest) < LONGEST_FLOAT_DAYS ? task.latest : task.to))
    .sort()
    .at(-1)!
  const days = Math.max(7, daysBetween(from, to) + 4)
  const mondays = Array.from({ length: days }, (_, i) => addDays(from, i)).filter((day) => weekdayIndex(day) === 1)
  return { from, days, mondays }
}

/** As many dates over the rules as can be read beside each other. */
const MOST_TICKS = 3

/** Mondays over the rules, with the place of each in per cent. */
export function workTicks({ from, days, mondays }: WorkScale): { day: Day; percent: number }[] {
  const every = Math.max(1, Math.ceil(mondays.length / MOST_TICKS))
  return mondays
    .filter((_, i) => i % every === 0)
    .map((day) => ({ day, percent: ((daysBetween(from, day) + 0.5) / days) * 100 }))
}
