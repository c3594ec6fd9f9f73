import { queueOptionsSymbol, type Piscina, type PiscinaTask } from 'piscina'
import type { SeasonWork } from './seasonWork'

type Options = NonNullable<ConstructorParameters<typeof Piscina>[0]>
type TaskQueue = NonNullable<Options['taskQueue']>
type LoadBalancer = NonNullable<Options['loadBalancer']>
type Task = Parameters<TaskQueue['push']>[0]
type Threads = Parameters<LoadBalancer>[1]

/** How a queue sees a task. */
interface Place {
  /** Ground and weather that a thread has at hand once it has worked on them. */
  groundKey: string
  /** Somebody waits for it in front of a page; the others fill in a list by and by. */
  soon: boolean
}

const placeOf = (task: Task | PiscinaTask) => task[queueOptionsSymbol] as unknown as Place

/** A piece of work as the pool is given it: told how the queue is to see it. */
export const placed = (work: SeasonWork, soon: boolean): SeasonWork =>
  Object.assign(work, { [queueOptionsSymbol]: { groundKey: work.key, soon } satisfies Place })

/**
 * The order in which a pool works seasons out: what somebody waits for first, and of that what a free thread has the
 * ground of; then what no other thread has; otherwise who asked first.
 */
export function groundByGround(): { taskQueue: TaskQueue; loadBalancer: LoadBalancer } {
  let waiting: Task[] = []
  /** The ground each thread worked on last, by thread. */
  const atHand = new Map<number, string>()
  let threads: Threads = []
  const free = () =>
    threads.filter(({ currentUsage, destroyed, terminating }) => !currentUsage && !destroyed && !terminating)

  const taskQueue: TaskQueue = {
    get size() {
      return waiting.length
    },
    push: (task) => void waiting.push(task),
    unshift: (task) => void waiting.unshift(task),
    remove: (task) => {
      waiting = waiting.filter((other) => other !== task)
    },
    shift: () => {
      const near = new Set(free().map(({ id }) => atHand.get(id)))
      const elsewhere = new Set(threads.filter(({ currentUsage }) => currentUsage).map(({ id }) => atHand.get(id)))
      const soon = waiting.some((task) => placeOf(task).soon)
      const first = (holds: (groundKey: string) => boolean) =>
        waiting.findIndex((task) => placeOf(task).soon === soon && holds(placeOf(task).groundKey))
      const at = [
        first((ground) => near.has(ground)),
        // Of what nobody waits for, a ground that another thread is at work on is left to that thread.
        soon ? -1 : first((ground) => !elsewhere.has(ground)),
        first(() => true),
      ].find((i) => i >= 0)
      return at === undefined ? null : (waiting.splice(at, 1)[0] ?? null)
    },
  }
  const loadBalancer: LoadBalancer = (task, workers) => {
    threads = workers
    const { groundKey } = placeOf(task)
    const rested = free()
    const thread = rested.find(({ id }) => atHand.get(id) === groundKey) ?? rested[0]
    if (!thread) return null
    atHand.set(thread.id, groundKey)
    return thread
  }
  return { taskQueue, loadBalancer }
}
