import { LRUCache } from 'lru-cache'

/** Answers by their key: asked for with how they are worked out, or only where they are known. */
export type Remembered<T> = ((key: string, compute: () => Promise<T>) => Promise<T>) & {
  known: (key: string) => Promise<T> | undefined
}

/**
 * What depends on nothing but its key, and so is never stale: the last so many answers. Asked for again while it is
 * still worked out, it is worked out once; a failure is not remembered.
 */
export function remembering<T>(most: number): Remembered<T> {
  const kept = new LRUCache<string, Promise<T>>({ max: most })
  const ask = (key: string, compute: () => Promise<T>): Promise<T> => {
    const known = kept.get(key)
    if (known) return known
    const value = compute()
    kept.set(key, value)
    value.catch(() => {
      if (kept.peek(key) === value) kept.delete(key)
    })
    return value
  }
  return Object.assign(ask, { known: (key: string) => kept.get(key) })
}
