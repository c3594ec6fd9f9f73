import { say, type Message } from '#core/explain/message'
import { parse } from 'csv-parse/sync'
import { cellsIn, delimiterOf, type Delimiter } from '#core/measure/table'
import { DLY_HEADER, isDly, readDly } from '#core/weather/dly'

/** A file that is not a table at all, or a larger one than anybody's station writes. */
export class UnreadableFile extends Error {
  constructor(readonly said: Message) {
    super(said.key)
  }
}

/** 200 years of days, or hourly readings of twenty. */
const MOST_LINES = 200_000
const MOST_COLUMNS = 200
const MOST_CELLS = 6_000_000
const MOST_LINE_CHARACTERS = 20_000
/** Lines between two words on how far it is. */
const REPORT_EVERY = 2000

export interface TableLine {
  cells: string[]
  /** As an editor counts, the header being line 1. */
  line: number
}

/** What a row came to that cannot be used whole. */
export interface BadLine {
  line: number
  reason: Message
}

export interface TableReader {
  header: (names: string[], delimiter: Delimiter) => void
  line: (line: TableLine) => void
  bad: (bad: BadLine) => void
}

/** UTF-8, or UTF-16 as some spreadsheets write it. @throws UnreadableFile where it is no text */
export function decoded(bytes: Uint8Array): string {
  const wide =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? 'utf-16le'
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? 'utf-16be'
        : undefined
  const text = new TextDecoder(wide ?? 'utf-8').decode(bytes)
  if (text.includes('\0')) throw new UnreadableFile(say('server.thisIsNoText'))
  return text.startsWith('\ufeff') ? text.slice(1) : text
}

/** Counts lines and their length before anything is built of them. @throws UnreadableFile in words */
function boundsHeld(text: string): void {
  let [lines, start] = [0, 0]
  for (let end = 0; end >= 0; start = end + 1) {
    end = text.indexOf('\n', start)
    if ((end < 0 ? text.length : end) - start > MOST_LINE_CHARACTERS)
      throw new UnreadableFile(
        say('server.lineIsLongerThan', {
          lines: lines + 1,
          MOST_LINE_CHARACTERS: MOST_LINE_CHARACTERS.toLocaleString('en-US'),
        }),
      )
    if (++lines > MOST_LINES)
      throw new UnreadableFile(say('server.theFileHasMore', { MOST_LINES: MOST_LINES.toLocaleString('en-US') }))
    if (end < 0) break
  }
  const columns = cellsIn(text.slice(0, text.indexOf('\n') < 0 ? text.length : text.indexOf('\n')), delimiterOf(text))
  if (columns > MOST_COLUMNS)
    throw new UnreadableFile(
      say('server.theFirstLineNames', { columns: columns.toLocaleString('en-US'), MOST_COLUMNS }),
    )
  if (columns * lines > MOST_CELLS)
    throw new UnreadableFile(say('server.linesOfColumnsAre', { lines: lines.toLocaleString('en-US'), columns }))
}

/**
 * Reads a table, or a station's file of fixed width as one, line by line; no more of it is held than what the reader keeps.
 * @param progress told now and then how much of it is read, 0-1
 * @throws UnreadableFile when it is not a table, or a larger one than is read
 */
export function readTable(bytes: Uint8Array, reader: TableReader, progress?: (share: number) => void): void {
  const text = decoded(bytes)
  boundsHeld(text)
  if (isDly(text)) {
    reader.header([...DLY_HEADER], ',')
    readDly(
      text,
      (cells, line) => {
        reader.line({ cells, line })
      },
      (line, reason) => {
        reader.bad({ line, reason })
      },
    )
    return
  }
  const delimiter = delimiterOf(text)
  let header: string[] | undefined
  let seen = 0
  try {
    parse(text, {
      bom: true,
      delimiter,
      info: true,
      relax_column_count: true,
      skip_empty_lines: true,
      trim: true,
      max_record_size: MOST_LINE_CHARACTERS,
      on_record: ({ record, info }: { record: string[]; info: { lines: number; bytes: number } }) => {
        if (++seen % REPORT_EVERY === 0) progress?.(info.bytes / text.length)
        if (!header) {
          header = record
          if (header.length < 2) throw new UnreadableFile(say('server.theFirstLineHasTo'))
          reader.header(header, delimiter)
          return null
        }
        // A delimiter at the end of each line is no cell.
        while (record.length > header.length && record.at(-1) === '') record.pop()
        if (record.length > header.length)
          reader.bad({
            line: info.lines,
            reason: say('server.cellsWhereNamed', { cells: record.length, columns: header.length }),
          })
        else reader.line({ cells: record, line: info.lines })
        return null
      },
    } as never)
  } catch (error) {
    if (error instanceof UnreadableFile) throw error
    throw new UnreadableFile(say('server.fileNotCsv', { reason: (error as Error).message.slice(0, 200) }))
  }
  if (!header) throw new UnreadableFile(say('server.theFirstLineHasTo'))
}
