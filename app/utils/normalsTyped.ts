import type { Normals } from '#core/weather/normals'
import { inUnits, type Quantity, type UnitSystem } from '#core/measure/figure'
import type { MessageKey } from '#words/message'
import { parseQuantity } from '#core/measure/parse'
import { readTyped } from './readTyped'

/** Rows of a table of monthly means, with what each measures. */
export const NORMAL_ROWS: readonly { key: keyof Normals; label: MessageKey; quantity: Quantity; decimals: number }[] = [
  { key: 'tmaxC', label: 'weather.highest', quantity: 'tempC', decimals: 1 },
  { key: 'tminC', label: 'weather.lowest', quantity: 'tempC', decimals: 1 },
  { key: 'rainMm', label: 'weather.rain', quantity: 'waterMm', decimals: 2 },
  { key: 'wetDays', label: 'weather.wetDays', quantity: 'count', decimals: 1 },
]
/** Twelve texts a row. */
export type TypedNormals = Record<keyof Normals, string[]>

const plainNumber = (value: number, decimals: number) => String(Math.round(value * 10 ** decimals) / 10 ** decimals)

export const typedNormals = (normals: Normals | null, units: UnitSystem): TypedNormals =>
  Object.fromEntries(
    NORMAL_ROWS.map(({ key, quantity, decimals }) => [
      key,
      Array.from({ length: 12 }, (_, m) =>
        normals ? plainNumber(inUnits(quantity, normals[key][m]!, units), decimals) : '',
      ),
    ]),
  ) as TypedNormals

const NUMBER = /^[-−+]?[\d.,]+$/
/** Rows of a copied piece of a sheet, without the names of months or rows beside their numbers. */
function numbersOf(text: string): string[][] {
  return text
    .trim()
    .split(/\r?\n/)
    .map((line) =>
      line
        .trim()
        .split(/[\t;]+|\s+/)
        .filter((cell) => NUMBER.test(cell)),
    )
    .filter((cells) => cells.length > 0)
}

/**
 * A piece of a sheet pasted into one cell: a row from its month on, several rows below each other, or months one below the
 * other with their values beside them.
 * @returns the whole table with it; undefined for a single value or what is no table of months
 */
export function pasteInto(
  typed: TypedNormals,
  { key, month }: { key: keyof Normals; month: number },
  text: string,
): TypedNormals | undefined {
  const found = numbersOf(text)
  const upright = found.length === 12 && found[0]!.length <= NORMAL_ROWS.length && found[0]!.length > 0
  const rows = upright ? found[0]!.map((_, column) => found.map((cells) => cells[column] ?? '')) : found
  const from = NORMAL_ROWS.findIndex((row) => row.key === key)
  const single = rows.length === 1 && rows[0]!.length < 2
  if (!rows.length || single || rows.length > NORMAL_ROWS.length - from || rows.some((row) => row.length > 12))
    return undefined
  const start = upright ? 0 : month
  return Object.fromEntries(
    NORMAL_ROWS.map((row, r) => {
      const cells = rows[r - from]
      return [row.key, typed[row.key].map((cell, m) => (r >= from && cells?.[m - start]) || cell)]
    }),
  ) as TypedNormals
}

/**
 * Reads a table of normals; what was only shown and never typed keeps its exact value.
 * @returns null for an empty table, or the fields that cannot be read
 */
export function readNormals(
  typed: TypedNormals,
  before: Normals | null,
  units: UnitSystem,
): { ok: true; normals: Normals | null } | { ok: false; wrong: Record<string, string> } {
  const shown = typedNormals(before, units)
  if (NORMAL_ROWS.every(({ key }) => typed[key].every((cell) => !cell.trim()))) return { ok: true, normals: null }
  const wrong: Record<string, string> = {}
  const normals = Object.fromEntries(
    NORMAL_ROWS.map(({ key, quantity }) => [
      key,
      typed[key].map((cell, m) => {
        if (before && cell === shown[key][m]) return before[key][m]!
        const read = readTyped(parseQuantity(quantity, cell, units))
        if (!read.ok) wrong[`normals.${key}.${m}`] = read.message
        return read.ok ? read.value : 0
      }),
    ]),
  ) as unknown as Normals
  return Object.keys(wrong).length ? { ok: false, wrong } : { ok: true, normals }
}
