import { say, type Message } from '../explain/message'
import type { Quantity, UnitSystem } from './figure'
import { unitOf } from './figure'
import {
  celsius,
  KMH_PER_MPH,
  G_PER_M2_PER_LB_PER_1000FT2,
  KG_PER_LB,
  KG_PER_OZ,
  KPA_PER_PSI,
  L_PER_US_GAL,
  M2_PER_ACRE,
  M2_PER_FT2,
  M2_PER_HECTARE,
  M2_PER_YD2,
  M3_PER_FT3,
  M3_PER_YD3,
  M_PER_FOOT,
  M_PER_YARD,
  MM_PER_INCH,
} from './units'

export type Parsed = { ok: true; value: number } | { ok: false; message: Message }

type Converter = (value: number) => number
const times =
  (factor: number): Converter =>
  (value) =>
    value * factor

const LENGTHS_MM: Record<string, Converter> = {
  mm: times(1),
  cm: times(10),
  m: times(1000),
  in: times(MM_PER_INCH),
  inch: times(MM_PER_INCH),
  inches: times(MM_PER_INCH),
  '"': times(MM_PER_INCH),
  ft: times(M_PER_FOOT * 1000),
  feet: times(M_PER_FOOT * 1000),
  foot: times(M_PER_FOOT * 1000),
  "'": times(M_PER_FOOT * 1000),
  yd: times(M_PER_YARD * 1000),
}

/** Length units to metres. */
export const inMetres: Record<string, Converter> = Object.fromEntries(
  Object.entries(LENGTHS_MM).map(([unit, toMm]) => [unit, (v: number) => toMm(v) / 1000]),
)

const UNITS: Partial<Record<Quantity, Record<string, Converter>>> = {
  areaM2: {
    m2: times(1),
    sqm: times(1),
    ha: times(M2_PER_HECTARE),
    acre: times(M2_PER_ACRE),
    acres: times(M2_PER_ACRE),
    ft2: times(M2_PER_FT2),
    sqft: times(M2_PER_FT2),
    yd2: times(M2_PER_YD2),
    sqyd: times(M2_PER_YD2),
  },
  depthMm: LENGTHS_MM,
  waterMm: LENGTHS_MM,
  distanceM: inMetres,
  widthMm: LENGTHS_MM,
  rateGPerM2: {
    'g/m2': times(1),
    'kg/ha': times(0.1),
    'kg/m2': times(1000),
    lb: times(G_PER_M2_PER_LB_PER_1000FT2),
    'lb/1000ft2': times(G_PER_M2_PER_LB_PER_1000FT2),
    'lb/1000sqft': times(G_PER_M2_PER_LB_PER_1000FT2),
    'lb/m': times(G_PER_M2_PER_LB_PER_1000FT2),
    'lb/acre': times((KG_PER_LB * 1000) / M2_PER_ACRE),
  },
  massKg: {
    kg: times(1),
    g: times(0.001),
    lb: times(KG_PER_LB),
    lbs: times(KG_PER_LB),
    oz: times(KG_PER_OZ),
    t: times(1000),
  },
  volumeM3: {
    m3: times(1),
    l: times(0.001),
    yd3: times(M3_PER_YD3),
    yd: times(M3_PER_YD3),
    yard: times(M3_PER_YD3),
    yards: times(M3_PER_YD3),
    ft3: times(M3_PER_FT3),
  },
  tempC: { '°c': times(1), c: times(1), '°f': celsius, f: celsius },
  share: { '%': times(0.01) },
  hours: { h: times(1), hours: times(1), min: times(1 / 60) },
  days: {
    d: times(1),
    days: times(1),
    day: times(1),
    weeks: times(7),
    week: times(7),
    months: times(30.4),
    month: times(30.4),
  },
  count: {},
  ph: {},
  ppm: { ppm: times(1), 'mg/kg': times(1) },
  kPa: { kpa: times(1), mpa: times(1000), psi: times(KPA_PER_PSI) },
  speedKmh: {
    'km/h': times(1),
    kmh: times(1),
    kph: times(1),
    mph: times(KMH_PER_MPH),
    'm/s': times(3.6),
    kn: times(1.852),
    kt: times(1.852),
  },
  rateMmPerH: {
    'mm/h': times(1),
    'mm/hr': times(1),
    mm: times(1),
    'in/h': times(MM_PER_INCH),
    'in/hr': times(MM_PER_INCH),
    in: times(MM_PER_INCH),
  },
  flowLPerMin: {
    'l/min': times(1),
    lpm: times(1),
    'gal/min': times(L_PER_US_GAL),
    gpm: times(L_PER_US_GAL),
    'm3/h': times(1000 / 60),
  },
}

const GLYPHS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
}

const NUMBER = String.raw`-?(?:\d{1,3}(?:,\d{3})+|\d+)?(?:\.\d+)?`

/** The one spelling that everything typed is read in. */
export function plain(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (glyph) => ` ${GLYPHS[glyph]}`)
    .replace(/[−–]/g, '-')
    .replace(/²/g, '2')
    .replace(/³/g, '3')
    .replace(/×/g, 'x')
    .replace(/sq(?:uare|\.)?\s*(?:feet|foot|ft)\b\.?/g, 'ft2')
    .replace(/sq(?:uare|\.)?\s*(?:metres?|meters?|m)\b\.?/g, 'm2')
    .replace(/sq(?:uare|\.)?\s*(?:yards?|yd)\b\.?/g, 'yd2')
    .replace(/cu(?:bic|\.)?\s*(?:yards?|yd)\b\.?/g, 'yd3')
    .replace(/cu(?:bic|\.)?\s*(?:feet|foot|ft)\b\.?/g, 'ft3')
    .trim()
}

/** "1 1/2" → 1.5, "6,590" → 6590; undefined when it is not a number. */
function readNumber(text: string): number | undefined {
  const mixed = /^(-?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text)
  if (mixed) {
    const bottom = Number(mixed[4])
    if (bottom === 0) return undefined
    const size = Number(mixed[2] ?? 0) + Number(mixed[3]) / bottom
    return mixed[1] ? -size : size
  }
  if (!new RegExp(`^${NUMBER}$`).test(text) || !/\d/.test(text)) return undefined
  return Number(text.replace(/,/g, ''))
}

export const finite = (value: number): Parsed =>
  Number.isFinite(value) ? { ok: true, value } : { ok: false, message: say('measure.thatNumberIsToo') }

/** "1 1/2 in" → 1.5 and "in"; undefined when there is no number in front. */
export function splitUnit(text: string): { number: number; unit: string } | undefined {
  const parts = /^([-\d.,/\s]*\d)\s*(.*)$/.exec(text.replace(/^\./, '0.'))
  if (!parts) return undefined
  const number = readNumber(parts[1]!.trim())
  if (number === undefined) return undefined
  return { number, unit: parts[2]!.replace(/\s+|\.$/g, '').replace(/1,000/, '1000') }
}

function refuse(quantity: Quantity, text: string, system: UnitSystem): Parsed {
  if (/^\d+,\d{1,2}\b/.test(text)) return { ok: false, message: say('measure.useAPointFor') }
  const units = Object.keys(UNITS[quantity] ?? {})
    .slice(0, 4)
    .join(', ')
  const example = unitOf(quantity, system)
  return {
    ok: false,
    message: units ? say('measure.notUnderstoodANumber', { example, known: units }) : say('measure.notANumber'),
  }
}

/**
 * Reads what people type: "25 g/m2", "5 lb", "1/2 in", "12mm", "6,590 sq ft". A bare number is in the reader's own unit.
 * @returns the SI value of the quantity, or a sentence on what is wrong; never NaN.
 */
export function parseQuantity(quantity: Quantity, typed: string, system: UnitSystem): Parsed {
  const text = plain(typed)
  if (!text) return { ok: false, message: say('measure.nothingEntered') }
  const split = splitUnit(text)
  if (!split) return refuse(quantity, text, system)
  const unit = split.unit || plain(unitOf(quantity, system)).replace(/\s+|,/g, '')
  if (!unit) return finite(split.number)
  const convert = UNITS[quantity]?.[unit]
  return convert ? finite(convert(split.number)) : refuse(quantity, text, system)
}

/**
 * Reads several measurements typed in a row: "⅝, ¾, ½ in"; a unit at the end stands for all before it.
 * @returns SI values, none for nothing typed, or a sentence on what is wrong
 */
export function parseList(
  quantity: Quantity,
  typed: string,
  system: UnitSystem,
): { ok: true; values: number[] } | { ok: false; message: Message } {
  const pieces = typed
    .split(/[,;](?!\d{3})/)
    .map((piece) => piece.trim())
    .filter(Boolean)
  const unit = splitUnit(plain(pieces.at(-1) ?? ''))?.unit ?? ''
  const values: number[] = []
  for (const piece of pieces) {
    const bare = splitUnit(plain(piece))
    const parsed = parseQuantity(quantity, bare && !bare.unit ? `${piece} ${unit}` : piece, system)
    if (!parsed.ok) return parsed
    values.push(parsed.value)
  }
  return { ok: true, values }
}
