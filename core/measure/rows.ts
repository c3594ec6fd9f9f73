/** Rows a thread hands on at once. */
const ROWS_A_PIECE = 4000

/** Many rows as text: a thread passes it on without reading it, where objects would be built anew for each. */
export type RowPieces = readonly string[]

/** @returns JSON arrays of some thousand rows each, in their order */
export const inPieces = (rows: readonly object[]): RowPieces =>
  Array.from({ length: Math.ceil(rows.length / ROWS_A_PIECE) }, (_, i) =>
    JSON.stringify(rows.slice(i * ROWS_A_PIECE, (i + 1) * ROWS_A_PIECE)),
  )
