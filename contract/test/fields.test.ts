import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { z } from 'zod'
import { between, cleaned, noneOr, text } from '../fields'
import * as firm from '../firm'
import * as lawn from '../lawn'
import { newLawnSchema } from '../newLawn'
import { lookSchema } from '../look'
import { newPhotoSchema, photoWordsSchema } from '../photo'
import * as station from '../station'
import * as stock from '../stock'
import { markSchema } from '../work'

/** Everything that is written down of what people send. */
const KEPT: Record<string, z.ZodType> = {
  signUp: firm.signUpSchema,
  join: firm.joinSchema,
  settings: firm.firmSettingsSchema,
  newLawn: newLawnSchema,
  look: lookSchema,
  plan: lawn.planSchema,
  mark: markSchema,
  photo: newPhotoSchema,
  words: photoWordsSchema,
  station: station.newStationSchema,
  stationEdit: station.stationEditSchema,
  forecast: station.forecastSchema,
  reading: station.readingSchema,
  stock: stock.newStockSchema,
  stockEdit: stock.stockEditSchema,
  move: stock.stockMoveSchema,
}
type Def = { type: string; checks?: { _zod: { def: { check: string } } }[]; format?: string } & Record<string, unknown>
const defOf = (schema: unknown): Def => (schema as { _zod: { def: Def } })._zod.def

/** Every leaf of a schema, by its path. */
function* leaves(schema: unknown, path: string): Generator<[path: string, schema: z.ZodType]> {
  const def = defOf(schema)
  if (def.type === 'object')
    for (const [key, value] of Object.entries(def.shape as object)) yield* leaves(value, `${path}.${key}`)
  else if (def.type === 'union') for (const option of def.options as unknown[]) yield* leaves(option, path)
  else if (def.type === 'array') yield* leaves(def.element, `${path}[]`)
  else if (def.type === 'tuple') for (const item of def.items as unknown[]) yield* leaves(item, `${path}[]`)
  else if (def.type === 'record') {
    yield* leaves(def.keyType, `${path}{key}`)
    yield* leaves(def.valueType, `${path}{}`)
  } else if (def.innerType ?? def.in) yield* leaves(def.innerType ?? def.in, path)
  else yield [path, schema as z.ZodType]
}

describe('every text that is kept', () => {
  const strings = Object.entries(KEPT).flatMap(([name, schema]) =>
    [...leaves(schema, name)].filter(([, leaf]) => defOf(leaf).type === 'string'),
  )

  test('is bounded, and holds nothing a database cannot: cleaned, or of a form that has no place for it', () => {
    expect(strings.length).toBeGreaterThan(60)
    // A password is kept as its hash only.
    for (const [path, leaf] of strings.filter(([name]) => !name.endsWith('.password'))) {
      expect([path, leaf.safeParse('x'.repeat(2_000_000)).success]).toEqual([path, false])
      for (const wrong of ['a\0b', 'a\ud800b', '\udfffab', 'a\u0007b']) {
        const read = leaf.safeParse(wrong)
        if (read.success) expect([path, /[\0\u0007]|\p{Surrogate}/u.test(read.data as string)]).toEqual([path, false])
      }
    }
  })
})

describe('every number that is kept', () => {
  test('is bounded on both sides and never so small that dividing by it overflows', () => {
    const numbers = Object.entries(KEPT).flatMap(([name, schema]) =>
      [...leaves(schema, name)].filter(([path, leaf]) => defOf(leaf).type === 'number' && !path.includes('planning')),
    )
    expect(numbers.length).toBeGreaterThan(60)
    for (const [path, leaf] of numbers) {
      for (const huge of [1e300, -1e300, 2 ** 60, Number.POSITIVE_INFINITY, Number.NaN])
        expect([path, huge, leaf.safeParse(huge).success]).toEqual([path, huge, false])
      for (const tiny of [1e-310, 5e-324]) {
        const read = leaf.safeParse(tiny)
        if (read.success) expect([path, read.data]).toEqual([path, 0])
      }
    }
  })
  test('that may be nothing is nothing or enough', () => {
    const hours = noneOr(0.01, 400, 'x')
    expect([0, 1e-9, 0.01, 400, 0.009, 400.1, -1].map((value) => hours.safeParse(value).success)).toEqual([
      true,
      true,
      true,
      true,
      false,
      false,
      false,
    ])
    expect(between(-5, 5, 'x').parse(-1e-300)).toBe(0)
  })
})

test('a heap of accents is refused before it is cleaned', () => {
  // Bringing them into their order took 1.6 s for 60,000, and the server's own thread with it.
  expect(text(80).safeParse(`a${'\u0315\u0300'.repeat(30_000)}`).error?.issues).toMatchObject([{ code: 'too_big' }])
  expect(text(80).safeParse(` ${'x'.repeat(80)} `).success).toBe(true)
})

test('cleaning keeps every letter of every script, line breaks and tabs, and is done once', () => {
  expect(cleaned('  4 Quarry\u0000 Rise\ud83d ')).toBe('4 Quarry Rise')
  expect(cleaned('Ärger 芝生 🌱\n\tzweite Zeile')).toBe('Ärger 芝生 🌱\n\tzweite Zeile')
  expect(text(20).parse('e\u0301te\u0301')).toBe('\u00e9t\u00e9')
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (any) => {
      const once = cleaned(any)
      expect(cleaned(once)).toBe(once)
      expect(/\p{Surrogate}/u.test(once)).toBe(false)
      expect(once).not.toContain('\0')
    }),
  )
})
