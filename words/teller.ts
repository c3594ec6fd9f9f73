import { IntlMessageFormat } from 'intl-messageformat'
import { figure, showText, type Figure, type Quantity, type UnitSystem } from '#core/measure/figure'
import type { Message, MessageValue } from '#core/explain/message'
import type { Worked } from '#core/explain/working'
import catalogue from './en-US'
import { dayWordsOf, type DayWords } from './days'
import type { Differences, MessageKey, SheetLanguage } from './message'

/** A piece of a told message: words, a figure to be shown in anybody's units, or one that opens its working. */
export type Part = string | Figure | Worked
export type Values = Readonly<Record<string, MessageValue | null>>

/** Tells messages of the catalogue in one language. */
export interface Teller {
  /** In pieces, its figures still figures; a message may say one thing in feet and another in metres. */
  parts: (key: MessageKey, values: Values | undefined, units: UnitSystem) => Part[]
  /** As one text, its figures in these units. */
  text: (key: MessageKey, values: Values | undefined, units: UnitSystem) => string
  days: DayWords
}

export const isWorked = (part: Part): part is Worked => typeof part === 'object' && 'working' in part

const american = (key: MessageKey): string | undefined => {
  const at = key.indexOf('.')
  return (catalogue as Record<string, Record<string, string>>)[key.slice(0, at)]?.[key.slice(at + 1)]
}

/** Figures that stand in a message itself, as "<depth-mm>12</depth-mm>": in the reader's units like all others. */
export const TAGS = {
  'depth-mm': 'depthMm',
  'water-mm': 'waterMm',
  'distance-m': 'distanceM',
  'temp-c': 'tempC',
  'temp-step-k': 'tempStepK',
  'speed-kmh': 'speedKmh',
  'k-pa': 'kPa',
  'area-m2': 'areaM2',
  'rate-g-per-m2': 'rateGPerM2',
  'rate-mm-per-h': 'rateMmPerH',
  'mass-kg': 'massKg',
  'volume-m3': 'volumeM3',
  'holes-per-m2': 'holesPerM2',
} as const satisfies Record<string, Quantity>
const FIGURES = Object.fromEntries(
  Object.entries(TAGS).map(([tag, quantity]) => [tag, ([value]: unknown[]) => figure(quantity, Number(value))]),
)

/** A piece that does not begin its sentence, nor end it. */
function within(parts: Part[]): Part[] {
  return parts.map((part, i) => {
    if (typeof part !== 'string') return part
    const begun = i === 0 ? part.charAt(0).toLowerCase() + part.slice(1) : part
    return i === parts.length - 1 ? begun.replace(/\.$/, '') : begun
  })
}

/**
 * @param differences what this language says otherwise than American English, by the syntax of ICU MessageFormat
 * @throws Error by the teller for a key that no catalogue has, or a value that a message wants and does not get
 */
export function tellerOf(language: SheetLanguage, differences: Differences = {}): Teller {
  const formats = new Map<MessageKey, IntlMessageFormat>()
  function formatOf(key: MessageKey): IntlMessageFormat {
    let format = formats.get(key)
    if (!format) {
      const message = differences[key] ?? american(key)
      if (message === undefined) throw new Error(`No message "${key}"`)
      formats.set(key, (format = new IntlMessageFormat(message, language)))
    }
    return format
  }

  function pieces(value: MessageValue | null, units: UnitSystem): Part[] {
    const told = ({ key, values }: Message): Part[] => parts(key, values, units)
    if (value === null || value === undefined) return []
    if (typeof value !== 'object') return [String(value)]
    if (Array.isArray(value)) return value.flatMap((one, i) => [...(i ? [', '] : []), ...pieces(one, units)])
    if ('key' in value) return told(value)
    if ('lowered' in value) return within(told(value.lowered))
    if ('joined' in value) return value.joined.flatMap((one) => pieces(one, units))
    if ('day' in value) {
      const { day, as, near } = value
      return [as === 'long' ? days.longDay(day) : as === 'weekday' ? days.weekdayName(day) : days.shortDay(day, near)]
    }
    return [value as Figure | Worked]
  }
  /** Numbers choose a plural, flags and words a branch; all else is put in as it is. */
  const filled = (value: MessageValue | null, units: UnitSystem) =>
    typeof value === 'number'
      ? value
      : typeof value === 'object' && value !== null
        ? pieces(value, units)
        : String(value ?? '')

  function parts(key: MessageKey, values: Values | undefined, units: UnitSystem): Part[] {
    const into = Object.fromEntries(Object.entries(values ?? {}).map(([name, value]) => [name, filled(value, units)]))
    const made = formatOf(key).format<Part | Part[]>({ ...FIGURES, units, ...into })
    const flat = (Array.isArray(made) ? made : [made]).flat() as Part[]
    return flat.reduce<Part[]>((joined, part) => {
      const last = joined.at(-1)
      if (typeof part === 'string' && typeof last === 'string') joined[joined.length - 1] = last + part
      else if (part !== '') joined.push(part)
      return joined
    }, [])
  }

  const days = dayWordsOf((key, values) => parts(key, values, 'us').join(''))
  return {
    parts,
    text: (key, values, units) =>
      parts(key, values, units)
        .map((part) => (typeof part === 'string' ? part : showText(isWorked(part) ? part.working.result : part, units)))
        .join(''),
    days,
  }
}
