/** What parts the cells of a table. */
export const DELIMITERS = ['\t', ';', ','] as const
export type Delimiter = (typeof DELIMITERS)[number]

/** By so much of a file, and so many lines, its delimiter is told. */
const [LOOKED_AT_CHARACTERS, LOOKED_AT_LINES] = [40_000, 20]

/** @returns cells of one line, delimiters within quotes apart */
export function cellsIn(line: string, delimiter: string): number {
  let [cells, quoted] = [1, false]
  for (const letter of line) {
    if (letter === '"') quoted = !quoted
    else if (letter === delimiter && !quoted) cells++
  }
  return cells
}

/** The delimiter of a file, found once: what parts its first line and those after it into equally many cells. */
export function delimiterOf(text: string): Delimiter {
  const lines = text
    .slice(0, LOOKED_AT_CHARACTERS)
    .split(/\r?\n/)
    .filter((line) => line.trim())
    .slice(0, LOOKED_AT_LINES)
  const judged = DELIMITERS.map((delimiter) => {
    const counts = lines.map((line) => cellsIn(line, delimiter))
    const header = counts[0] ?? 1
    const alike = counts.filter((count) => count === header).length / Math.max(1, counts.length)
    return { delimiter, score: header < 2 ? 0 : alike >= 0.8 ? 1000 + header : header }
  })
  const best = judged.reduce((one, other) => (other.score > one.score ? other : one))
  return best.score > 0 ? best.delimiter : ','
}

const POINT = /^[-+]?(\d+\.?\d*|\.\d+)$/
const COMMA = /^[-+]?(\d+,\d*|,\d+)$/

/**
 * A number as its file writes it: with a decimal point, and where commas do not part the cells, with a decimal comma
 * too.
 */
export function readNumber(text: string | undefined, delimiter: Delimiter): number | undefined {
  if (text === undefined) return undefined
  if (POINT.test(text)) return Number(text)
  return delimiter !== ',' && COMMA.test(text) ? Number(text.replace(',', '.')) : undefined
}
