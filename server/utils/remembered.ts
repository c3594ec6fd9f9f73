import { LRUCache } from 'lru-cache'

/**
 * What depends on nothing but its key, and so is never stale: the last so many answers. Asked for again while it is
 * still worked out, it is worked out once; a failure is not remembered.
 */
export function remembering<T>(most: number): (key: string, compute: () => Promise<T>) => Promise<T> {
  const kept = new LRUCache<string, Promise<T>>({ max: most })
  return (key, compute) => {
    const known = kept.get(key)
    if (known) return known
    const value = compute()
    kept.set(key, value)
    value.catch(() => {
      if (kept.peek(key) === value) kept.delete(key)
    })
    return value
  }
}
