import { expect } from 'vitest'
import { owner } from './database'

/** Makes waits that have begun outlast a slow machine, on which one try at a password may take as long as the first wait. */
export async function waitsHold(): Promise<void> {
  const begun = await owner<{ left: number }>(
    `with begun as (select key, expire from attempts where key like 'gate:%' for update)
     update attempts set expire = $1::bigint + 30000 from begun where attempts.key = begun.key
     returning (begun.expire - $1::bigint)::integer as left`,
    [Date.now()],
  )
  expect(begun.length).toBe(1)
  expect(begun[0]!.left).toBeLessThanOrEqual(2000)
}
