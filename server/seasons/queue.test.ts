import { queueOptionsSymbol } from 'piscina'
import { describe, expect, it } from 'vitest'
import { groundByGround, placed } from './queue'
import type { SeasonWork } from './seasonWork'

type Queue = ReturnType<typeof groundByGround>
const asked = (key: string, soon = false) =>
  placed({ key } as SeasonWork, soon) as never as Parameters<Queue['taskQueue']['push']>[0]
const keyOf = (task: unknown) => (task as SeasonWork | null)?.key
/** A thread as the pool shows it; this one tells its number and whether it is at work. */
const thread = (id: number, currentUsage = 0) => ({ id, currentUsage, destroyed: false, terminating: false }) as never

/** Gives the first task to one thread, so that it has that ground at hand. */
function begun() {
  const { taskQueue, loadBalancer } = groundByGround()
  const give = (task: unknown, threads: never[]) => loadBalancer(task as Parameters<Queue['loadBalancer']>[0], threads)
  return { taskQueue, give }
}

describe('the order in which seasons are worked out', () => {
  it('is the order of asking, where no thread has anything at hand', () => {
    const { taskQueue } = begun()
    for (const key of ['a', 'b', 'c']) taskQueue.push(asked(key))
    expect([1, 2, 3, 4].map(() => keyOf(taskQueue.shift()))).toEqual(['a', 'b', 'c', undefined])
  })

  it('puts what somebody waits for before what a list fills in', () => {
    const { taskQueue } = begun()
    taskQueue.push(asked('a'))
    taskQueue.push(asked('b', true))
    expect(keyOf(taskQueue.shift())).toBe('b')
  })

  it('takes the ground that a free thread has at hand, and gives it to that thread', () => {
    const { taskQueue, give } = begun()
    const threads = [thread(1), thread(2)]
    expect(give(asked('a'), [thread(1)])).toMatchObject({ id: 1 })
    expect(give(asked('b'), [thread(2)])).toMatchObject({ id: 2 })
    for (const key of ['c', 'b', 'a']) taskQueue.push(asked(key))
    expect(give(asked('b'), threads)).toMatchObject({ id: 2 })
    expect(keyOf(taskQueue.shift())).toBe('b')
    expect(keyOf(taskQueue.shift())).toBe('a')
    expect(keyOf(taskQueue.shift())).toBe('c')
  })

  it('does not wait for the thread that is at work on that ground', () => {
    const { taskQueue, give } = begun()
    give(asked('a'), [thread(1)])
    expect(give(asked('a'), [thread(1, 1), thread(2)])).toMatchObject({ id: 2 })
    expect(give(asked('a'), [thread(1, 1), thread(2, 1)])).toBeNull()
    taskQueue.push(asked('b'))
    taskQueue.push(asked('a'))
    expect(keyOf(taskQueue.shift())).toBe('b')
  })

  it('leaves the ground that a thread is at work on to that thread, while there is another', () => {
    const { taskQueue, give } = begun()
    give(asked('a'), [thread(1), thread(2)])
    // Thread 1 is at work on a, thread 2 is free and has nothing at hand.
    expect(give(asked('c', true), [thread(1, 1), thread(2, 1)])).toBeNull()
    for (const key of ['a', 'b']) taskQueue.push(asked(key))
    expect(keyOf(taskQueue.shift())).toBe('b')
    expect(keyOf(taskQueue.shift())).toBe('a')
    // Who waits in front of a page waits for no thread.
    for (const key of ['a', 'b']) taskQueue.push(asked(key, true))
    expect(keyOf(taskQueue.shift())).toBe('a')
  })

  it('is told by a mark that does not cross into the thread', () => {
    const work = placed({ key: 'a' } as SeasonWork, true)
    expect((work as unknown as Record<symbol, unknown>)[queueOptionsSymbol]).toEqual({ groundKey: 'a', soon: true })
    expect(structuredClone(work)).toEqual({ key: 'a' })
  })
})
