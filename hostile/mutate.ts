import type { z } from 'zod'

/** What no contract asked for and somebody sends all the same. */
const ODD: readonly unknown[] = [
  null,
  true,
  0,
  -0,
  -1,
  1e308,
  -1e308,
  5e-324,
  1e-310,
  2 ** 31,
  2 ** 53,
  0.1,
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud800',
  'x\udc00y',
  '\u202e',
  'İ',
  '𝕏'.repeat(40),
  'x'.repeat(5000),
  '../../etc/passwd',
  "'; drop table firms; --",
  '<img src=x onerror=alert(1)>',
  '2026-02-31',
  '9999-12-31',
  '0001-01-01',
  'NaN',
  'Infinity',
  '${7*7}',
  '__proto__',
  [],
  {},
  [[]],
  { length: -1 },
  { toString: 1 },
  Array(2000).fill(0),
  Object.fromEntries(Array.from({ length: 1500 }, (_, i) => [`k${i}`, i])),
]

/** Arrays in arrays, deeper than any stack that recurses over them likes. */
const deep = (depth: number): string => `${'['.repeat(depth)}${']'.repeat(depth)}`
/** Bodies as text that is hardly JSON, or more of it than anybody types. */
export const ODD_BODIES: readonly string[] = [
  '',
  '{',
  'null',
  '[]',
  '"x"',
  '1e999',
  '{"__proto__":{"admin":true}}',
  '{"constructor":{"prototype":{"admin":true}}}',
  deep(20_000),
  `{"a":${deep(5000)}}`,
  '\ufeff{}',
  '{"a":1,"a":2}',
  `{"x":"${'y'.repeat(140_000)}"}`,
  '{"x":"\\ud800"}',
  '{"x":"\\u0000"}',
]

type Def = { type: string; [key: string]: unknown }
const defOf = (schema: unknown): Def => (schema as { _zod: { def: Def } })._zod.def

/** The bounds of a leaf and what lies just outside them. */
function bounds(schema: z.ZodType | undefined): unknown[] {
  if (!schema) return []
  const def = defOf(schema)
  const inner = (def.innerType ?? def.in) as z.ZodType | undefined
  if (inner) return bounds(inner)
  const bag = (schema as unknown as { _zod: { bag: Record<string, number | undefined> } })._zod.bag
  if (def.type === 'number')
    return [bag.minimum, bag.maximum].flatMap((value) =>
      value === undefined || !Number.isFinite(value) ? [] : [value, value + 1e-7, value - 1e-7, value * 2 + 1],
    )
  if (def.type === 'string')
    return [bag.maximum, (bag.maximum ?? 60) + 1].flatMap((length) =>
      length === undefined ? [] : ['z'.repeat(length), 'é\0'.repeat(length)],
    )
  if (def.type === 'enum') return Object.values(def.entries as Record<string, unknown>)
  if (def.type === 'array') return [[], Array(((bag.maximum as number | undefined) ?? 100) + 1).fill(null)]
  return []
}

/** The schema of what lies at a key of a value, as far as it can be followed. */
function within(schema: z.ZodType | undefined, key: string | number): z.ZodType | undefined {
  if (!schema) return undefined
  const def = defOf(schema)
  if (def.innerType ?? def.in) return within((def.innerType ?? def.in) as z.ZodType, key)
  if (def.type === 'object') return (def.shape as Record<string, z.ZodType>)[key]
  if (def.type === 'array') return def.element as z.ZodType
  if (def.type === 'record') return def.valueType as z.ZodType
  if (def.type === 'tuple') return (def.items as z.ZodType[])[Number(key)]
  if (def.type === 'union') return (def.options as z.ZodType[]).map((option) => within(option, key)).find(Boolean)
  return undefined
}

/** Every place of a value, with the schema that judges it. */
function* places(
  value: unknown,
  schema: z.ZodType | undefined,
  path: (string | number)[] = [],
): Generator<{ path: (string | number)[]; schema: z.ZodType | undefined }> {
  yield { path, schema }
  if (typeof value !== 'object' || value === null) return
  for (const key of Array.isArray(value) ? value.keys() : Object.keys(value))
    yield* places((value as Record<string | number, unknown>)[key], within(schema, key), [...path, key])
}

function replaced(value: unknown, path: readonly (string | number)[], by: unknown): unknown {
  const [key, ...rest] = path
  if (key === undefined) return by
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }) as Record<
    string | number,
    unknown
  >
  copy[key] = replaced(copy[key], rest, by)
  return copy
}

/** A body that is taken, made wrong in one place at a time, by what its schema says and by what nobody says. */
export function* mutations(valid: unknown, schema: z.ZodType): Generator<unknown> {
  yield valid
  for (const { path, schema: at } of places(valid, schema)) {
    for (const value of [...bounds(at), ...ODD]) yield replaced(valid, path, value)
    if (path.length && typeof path.at(-1) === 'string') {
      const [parent, key] = [path.slice(0, -1), path.at(-1)!]
      const of = parent.reduce<unknown>(
        (value, step) => (value as Record<string | number, unknown>)[step],
        valid,
      ) as Record<string, unknown>
      const { [key]: left, ...without } = of
      yield replaced(valid, parent, without)
      yield replaced(valid, parent, { ...without, [`${key} `]: left, ['__proto__x']: left })
    }
  }
}
