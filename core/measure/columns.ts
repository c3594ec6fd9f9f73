/** Values of rows of one shape, by name: each name said once. Objects within the rows are columns again. */
export interface Columns {
  rows: number
  of: Record<string, unknown[] | Columns>
}

type Row = Record<string, unknown>
const isObject = (value: unknown): value is Row => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Names that have a value, as JSON tells them. */
const namesOf = (row: Row): string[] => Object.keys(row).filter((name) => row[name] !== undefined)
const alike = (rows: readonly Row[]): boolean => {
  const names = namesOf(rows[0] ?? {}).join()
  return rows.every((row) => namesOf(row).join() === names)
}

/**
 * Rows as columns, as JSON a fraction of their size: names are not said again for each row.
 * @throws RangeError where a row has other names, or has them in another order, than the first
 */
export function columnsOf(rows: readonly object[]): Columns {
  const all = rows as readonly Row[]
  if (!alike(all)) throw new RangeError('Rows of one table have to be of one shape.')
  const of = namesOf(all[0] ?? {}).map((name): [string, unknown[] | Columns] => {
    const values = all.map((row) => row[name])
    return [name, values.every(isObject) && alike(values) ? columnsOf(values) : values]
  })
  return { rows: rows.length, of: Object.fromEntries(of) }
}

/** The rows that columns were made of. */
export function rowsOfColumns<T extends object>({ rows, of }: Columns): T[] {
  const columns = Object.entries(of).map(
    ([name, column]) => [name, Array.isArray(column) ? column : rowsOfColumns(column)] as const,
  )
  return Array.from(
    { length: rows },
    (_, i) => Object.fromEntries(columns.map(([name, column]) => [name, column[i]])) as T,
  )
}
