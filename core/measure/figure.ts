import {
  fahrenheit,
  KMH_PER_MPH,
  G_PER_M2_PER_LB_PER_1000FT2,
  KG_PER_LB,
  KG_PER_OZ,
  KPA_PER_PSI,
  L_PER_US_GAL,
  M2_PER_FT2,
  M3_PER_FT3,
  M3_PER_YD3,
  MM_PER_INCH,
  M_PER_FOOT,
} from './units'
import { showMoney } from './money'

export type UnitSystem = 'us' | 'metric'

/** What a number measures; fixes its SI unit and how people read it. */
export type Quantity =
  | 'areaM2'
  | 'depthMm'
  | 'waterMm'
  | 'distanceM'
  | 'widthMm'
  | 'rateGPerM2'
  | 'massKg'
  /** Of what goes in a pocket: shown in ounces or grams. */
  | 'smallMassKg'
  | 'volumeM3'
  | 'waterL'
  | 'tempC'
  | 'tempStepK'
  | 'thermalCd'
  | 'share'
  | 'days'
  | 'hours'
  | 'minutes'
  | 'count'
  | 'areaRateM2PerH'
  | 'seedsPerCm2'
  | 'holesPerM2'
  | 'money'
  | 'ph'
  | 'ppm'
  | 'kPa'
  | 'flowLPerMin'
  | 'rateMmPerH'
  | 'speedKmh'

/** What prices are for. */
export type PricedBy = 'hours' | 'massKg' | 'volumeM3' | 'areaM2'

export interface Figure {
  quantity: Quantity
  value: number
  /** Significant digits when the measurement bears fewer than the usual number. */
  digits?: number
  /** Only for `money`: the ISO code, and what it is the price of one of, in its SI unit. */
  currency?: string
  per?: PricedBy
}

export const figure = (quantity: Quantity, value: number, digits?: number): Figure =>
  digits === undefined ? { quantity, value } : { quantity, value, digits }

export interface Shown {
  value: string
  unit: string
}

interface Scale {
  unit: string
  from: (value: number) => number
  /** Significant digits shown by default. */
  digits: number
  /** Digits after the point at the most. */
  decimals: number
  /** Trailing zeros say nothing on a tape. */
  trim?: true
}

const times = (factor: number) => (value: number) => value * factor
const same = times(1)

const US: Partial<Record<Quantity, Scale>> = {
  areaM2: { unit: 'ft²', from: times(1 / M2_PER_FT2), digits: 3, decimals: 0 },
  depthMm: { unit: 'in', from: times(1 / MM_PER_INCH), digits: 2, decimals: 2, trim: true },
  waterMm: { unit: 'in', from: times(1 / MM_PER_INCH), digits: 2, decimals: 2, trim: true },
  widthMm: { unit: 'in', from: times(1 / MM_PER_INCH), digits: 3, decimals: 0 },
  distanceM: { unit: 'ft', from: times(1 / M_PER_FOOT), digits: 3, decimals: 1 },
  rateGPerM2: { unit: 'lb/1,000 ft²', from: times(1 / G_PER_M2_PER_LB_PER_1000FT2), digits: 3, decimals: 2 },
  massKg: { unit: 'lb', from: times(1 / KG_PER_LB), digits: 3, decimals: 1 },
  smallMassKg: { unit: 'oz', from: times(1 / KG_PER_OZ), digits: 2, decimals: 1 },
  volumeM3: { unit: 'ft³', from: times(1 / M3_PER_FT3), digits: 3, decimals: 1 },
  waterL: { unit: 'gal', from: times(1 / L_PER_US_GAL), digits: 3, decimals: 0 },
  tempC: { unit: '°F', from: fahrenheit, digits: 4, decimals: 1 },
  tempStepK: { unit: '°F', from: times(1.8), digits: 3, decimals: 1 },
  areaRateM2PerH: { unit: 'ft²/h', from: times(1 / M2_PER_FT2), digits: 3, decimals: 0 },
  kPa: { unit: 'psi', from: times(1 / KPA_PER_PSI), digits: 3, decimals: 0 },
  flowLPerMin: { unit: 'gal/min', from: times(1 / L_PER_US_GAL), digits: 2, decimals: 1 },
  rateMmPerH: { unit: 'in/h', from: times(1 / MM_PER_INCH), digits: 2, decimals: 2 },
  speedKmh: { unit: 'mph', from: times(1 / KMH_PER_MPH), digits: 2, decimals: 0 },
  holesPerM2: { unit: 'holes/ft²', from: times(M2_PER_FT2), digits: 2, decimals: 0 },
  seedsPerCm2: { unit: 'seeds/in²', from: times((MM_PER_INCH / 10) ** 2), digits: 2, decimals: 1 },
}

const METRIC: Record<Quantity, Scale> = {
  areaM2: { unit: 'm²', from: same, digits: 3, decimals: 0 },
  depthMm: { unit: 'mm', from: same, digits: 2, decimals: 1, trim: true },
  waterMm: { unit: 'mm', from: same, digits: 2, decimals: 1, trim: true },
  widthMm: { unit: 'cm', from: times(0.1), digits: 3, decimals: 0 },
  distanceM: { unit: 'm', from: same, digits: 3, decimals: 1 },
  rateGPerM2: { unit: 'g/m²', from: same, digits: 3, decimals: 1 },
  massKg: { unit: 'kg', from: same, digits: 3, decimals: 2 },
  smallMassKg: { unit: 'g', from: times(1000), digits: 2, decimals: 0 },
  volumeM3: { unit: 'm³', from: same, digits: 3, decimals: 2 },
  waterL: { unit: 'L', from: same, digits: 3, decimals: 0 },
  tempC: { unit: '°C', from: same, digits: 4, decimals: 1 },
  tempStepK: { unit: 'K', from: same, digits: 3, decimals: 1 },
  thermalCd: { unit: '°C·d', from: same, digits: 3, decimals: 0 },
  share: { unit: '%', from: times(100), digits: 3, decimals: 1 },
  days: { unit: 'd', from: same, digits: 3, decimals: 0 },
  hours: { unit: 'h', from: same, digits: 2, decimals: 1 },
  minutes: { unit: 'min', from: same, digits: 2, decimals: 1 },
  count: { unit: '', from: same, digits: 6, decimals: 0 },
  areaRateM2PerH: { unit: 'm²/h', from: same, digits: 3, decimals: 0 },
  holesPerM2: { unit: 'holes/m²', from: same, digits: 3, decimals: 0 },
  seedsPerCm2: { unit: 'seeds/cm²', from: same, digits: 2, decimals: 1 },
  money: { unit: '', from: same, digits: 12, decimals: 0 },
  ph: { unit: '', from: same, digits: 2, decimals: 1 },
  ppm: { unit: 'ppm', from: same, digits: 3, decimals: 0 },
  kPa: { unit: 'kPa', from: same, digits: 3, decimals: 0 },
  flowLPerMin: { unit: 'L/min', from: same, digits: 2, decimals: 1 },
  rateMmPerH: { unit: 'mm/h', from: same, digits: 2, decimals: 1 },
  speedKmh: { unit: 'km/h', from: same, digits: 2, decimals: 0 },
}

const scaleOf = (quantity: Quantity, system: UnitSystem): Scale =>
  (system === 'us' ? US[quantity] : undefined) ?? METRIC[quantity]

const otherSystem = (system: UnitSystem): UnitSystem => (system === 'us' ? 'metric' : 'us')

/** Plain number in people's units, unrounded; for charts and for filling fields. */
export const inUnits = (quantity: Quantity, value: number, system: UnitSystem): number =>
  scaleOf(quantity, system).from(value)

export const unitOf = (quantity: Quantity, system: UnitSystem): string => scaleOf(quantity, system).unit

/** Rounds to what the measurement bears: `digits` significant, and no more than `decimals` after the point. */
export function rounded(value: number, digits: number, decimals: number, trim = false): string {
  if (value === 0 || !Number.isFinite(value)) return '0'
  const magnitude = Math.floor(Math.log10(Math.abs(value)))
  const places = Math.min(decimals, Math.max(0, digits - 1 - magnitude))
  const step = 10 ** Math.max(0, magnitude - digits + 1)
  const whole = Math.round(value / step) * step
  return (places > 0 ? value : whole).toLocaleString('en-US', {
    minimumFractionDigits: trim ? 0 : places,
    maximumFractionDigits: places,
  })
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const

/** Inches as a tape reads them, when within 1 mm of an eighth: 12.7 mm → "½"; otherwise undefined. */
export function tapeInches(depthMm: number): string | undefined {
  const eighths = Math.round((depthMm / MM_PER_INCH) * 8)
  if (eighths === 0 || eighths > 64) return undefined
  const offMm = Math.abs(depthMm - (eighths / 8) * MM_PER_INCH)
  if (offMm > 1 || (eighths < 3 && offMm > 0.4)) return undefined
  const whole = Math.floor(eighths / 8)
  return `${whole || ''}${EIGHTHS[eighths % 8]}`
}

/** Areas and volumes are priced by lots that people think in. */
const LOTS: Partial<Record<PricedBy, Record<UnitSystem, { of: number; unit: string }>>> = {
  areaM2: { us: { of: 1000 * M2_PER_FT2, unit: '1,000 ft²' }, metric: { of: 100, unit: '100 m²' } },
  volumeM3: { us: { of: M3_PER_YD3, unit: 'yd³' }, metric: { of: 1, unit: 'm³' } },
}

/** What people price by: how much of the SI unit it is, and its name. */
export const lotOf = (per: PricedBy, system: UnitSystem): { of: number; unit: string } =>
  LOTS[per]?.[system] ?? { of: 1 / inUnits(per, 1, system), unit: unitOf(per, system) }

/** A number as people read it in their system. */
export function show(f: Figure, system: UnitSystem): Shown {
  const scale = scaleOf(f.quantity, system)
  if (f.quantity === 'money') {
    const lot = f.per && lotOf(f.per, system)
    return {
      value: showMoney(lot ? Math.round(f.value * lot.of) : f.value, f.currency ?? 'USD'),
      unit: lot ? `/ ${lot.unit}` : '',
    }
  }
  const tape = f.quantity === 'depthMm' && system === 'us' ? tapeInches(f.value) : undefined
  return {
    value: tape ?? rounded(scale.from(f.value), f.digits ?? scale.digits, scale.decimals, scale.trim),
    unit: scale.unit,
  }
}

/** "26.4 lb" */
export function showText(f: Figure, system: UnitSystem): string {
  const { value, unit } = show(f, system)
  if (!unit) return value
  return unit === '%' ? `${value}%` : `${value} ${unit}`
}

/** The same number in the other system, or undefined where both read alike. */
export function showOther(f: Figure, system: UnitSystem): string | undefined {
  return US[f.quantity] ? showText(f, otherSystem(system)) : undefined
}

/** Bulk volumes are bought by the yard and carried by the foot. */
export const cubicYards = (volumeM3: number): number => volumeM3 / M3_PER_YD3
