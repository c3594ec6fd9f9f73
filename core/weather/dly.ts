import { say, type Message } from '../explain/message'
import { isDay, type Day } from '../measure/calendar'

/**
 * GHCN-Daily station files of fixed width: a line a month and element, 31 values each with three flags.
 * @source GHCN-Daily readme
 */
const LINE = /^([A-Z0-9_-]{11})(\d{4})(\d\d)([A-Z0-9]{4})/
const [VALUES_AT, VALUE_WIDTH, NUMBER_WIDTH, QUALITY_AT] = [21, 8, 5, 6]
const MISSING = -9999
/** Elements that are read, in the order of `DLY_HEADER`. */
const ELEMENTS = ['TMAX', 'TMIN', 'PRCP'] as const
type Element = (typeof ELEMENTS)[number]

/** Columns that such a file is turned into; temperatures in tenths of °C, rain in tenths of mm. */
export const DLY_HEADER = ['DATE', ...ELEMENTS] as const

/** @returns whether a file begins as a `.dly` file does */
export const isDly = (text: string): boolean => LINE.test(text.slice(0, VALUES_AT))

interface Row {
  /** Of the file, where its highest temperature or else its first element stands. */
  line: number
  values: Partial<Record<Element, string>>
}

/**
 * The days of a `.dly` file in their order, each as the cells of a row. Values that failed a quality check are left empty.
 * @param row told of each day that has any of the three elements
 * @param bad told of each line that is none
 */
export function readDly(
  text: string,
  row: (cells: string[], line: number) => void,
  bad: (line: number, reason: Message) => void,
): void {
  const days = new Map<Day, Row>()
  text.split(/\r?\n/).forEach((line, i) => {
    if (!line.trim()) return
    const [, , year, month, element] = LINE.exec(line) ?? []
    if (!year || !month || !element) {
      bad(i + 1, say('weatherFile.thisIsNoLine'))
      return
    }
    const known = ELEMENTS.find((each) => each === element)
    if (!known) return
    for (let d = 0; d < 31; d++) {
      const at = VALUES_AT + d * VALUE_WIDTH
      const value = line.slice(at, at + NUMBER_WIDTH).trim()
      const failed = (line[at + QUALITY_AT] ?? ' ') !== ' '
      if (!value || Number(value) === MISSING || failed) continue
      const day = `${year}-${month}-${String(d + 1).padStart(2, '0')}`
      if (!isDay(day)) continue
      const told = days.get(day) ?? { line: i + 1, values: {} }
      if (known === 'TMAX') told.line = i + 1
      told.values[known] = value
      days.set(day, told)
    }
  })
  for (const day of [...days.keys()].sort()) {
    const { line, values } = days.get(day)!
    row([day, ...ELEMENTS.map((element) => values[element] ?? '')], line)
  }
}
