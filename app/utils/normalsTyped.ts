import type { Normals } from '#core/weather/normals'
import { inUnits, type Quantity, type UnitSystem } from '#core/measure/figure'
import { parseQuantity } from '#core/measure/parse'

/** Rows of a table of monthly means, with what each measures. */
export const NORMAL_ROWS: readonly { key: keyof Normals; label: string; quantity: Quantity; decimals: number }[] = [
  { key: 'tmaxC', label: 'Highest', quantity: 'tempC', decimals: 1 },
  { key: 'tminC', label: 'Lowest', quantity: 'tempC', decimals: 1 },
  { key: 'rainMm', label: 'Rain', quantity: 'waterMm', decimals: 2 },
  { key: 'wetDays', label: 'Wet days', quantity: 'count', decimals: 1 },
]
export const MONTH_LETTERS = [
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sep',
  'Oct',
  'Nov',
  'Dec',
] as const

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

/** A whole row pasted into one cell: numbers parted by tabs, spaces or semicolons. */
export const pastedRow = (text: string): string[] | undefined => {
  const cells = text
    .trim()
    .split(/[\t;]+|\s{1,}/)
    .filter(Boolean)
  return cells.length > 1 && cells.length <= 12 && cells.every((cell) => /^[-−+]?[\d.,]+$/.test(cell))
    ? cells
    : undefined
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
        const read = parseQuantity(quantity, cell, units)
        if (!read.ok) wrong[`normals.${key}.${m}`] = read.message
        return read.ok ? read.value : 0
      }),
    ]),
  ) as unknown as Normals
  return Object.keys(wrong).length ? { ok: false, wrong } : { ok: true, normals }
}
