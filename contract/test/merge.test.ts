import fc from 'fast-check'
import { expect, test } from 'vitest'
import { mergeEdits, settle } from '../merge'

/** Edits of a small form: numbers, words, empties, a nested part and a list. */
const edits = fc.record({
  a: fc.oneof(fc.integer({ min: 0, max: 3 }), fc.constant(null)),
  b: fc.constantFrom('x', 'y', ''),
  part: fc.record({ c: fc.integer({ min: 0, max: 2 }), d: fc.boolean() }),
  list: fc.array(fc.record({ n: fc.integer({ min: 0, max: 1 }) }), { maxLength: 2 }),
})

test('who alone edits, edits as if there were nobody else, from either side', () => {
  fc.assert(
    fc.property(edits, edits, (base, changed) => {
      for (const [mine, theirs] of [
        [changed, base],
        [base, changed],
        [changed, changed],
      ] as const) {
        const merged = mergeEdits(base, mine, theirs)
        expect(merged.clashes).toEqual([])
        expect(merged.value).toEqual(changed)
      }
    }),
  )
})

test('no edit of either is lost: each is in the result or in a clash, and settling gives either whole', () => {
  fc.assert(
    fc.property(edits, edits, edits, (base, mine, theirs) => {
      const merged = mergeEdits(base, mine, theirs)
      const paths = new Set(merged.clashes.map(({ path }) => path))
      const read = (thing: object, path: string) =>
        path.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], thing)
      const same = (x: unknown, y: unknown) => JSON.stringify(x) === JSON.stringify(y)
      const settled = settle(merged, paths)
      for (const path of ['a', 'b', 'part.c', 'part.d', 'list']) {
        const [was, own, other] = [base, mine, theirs].map((thing) => read(thing, path))
        const both = !same(own, was) && !same(other, was) && !same(own, other)
        expect(paths.has(path)).toBe(both)
        if (both) expect([read(merged.value, path), read(settled, path)]).toEqual([own, other])
        else expect(read(merged.value, path)).toEqual(same(own, was) ? other : own)
      }
    }),
  )
})

test('what one took out is gone, unless the other changed it: then it is asked', () => {
  const base = { version: 1, zones: { a: { name: 'front' }, b: { name: 'back' } } as Record<string, { name: string }> }
  const without = { ...base, zones: { a: { name: 'front' } } }
  expect(mergeEdits(base, { ...base, version: 1 }, without).value.zones).toEqual({ a: { name: 'front' } })
  expect(Object.keys(mergeEdits(base, without, base).value.zones)).toEqual(['a'])
  const renamed = { ...base, zones: { ...base.zones, b: { name: 'rear' } } }
  const asked = mergeEdits(base, renamed, without)
  expect(asked.clashes.map(({ path }) => path)).toEqual(['zones.b'])
  expect(settle(asked, new Set(['zones.b'])).zones).toEqual({ a: { name: 'front' } })
})
