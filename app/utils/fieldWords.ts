import { GRASSES } from '#core/grass/grasses'
import { shortDayWithWeekday, isDay } from '#core/quantity/calendar'
import { figure, showText, type Quantity, type UnitSystem } from '#core/quantity/figure'
import { SUN_WORDS } from '#core/site/survey'

/** Name of a field as its form has it, and what it measures. */
const FIELDS: Record<string, readonly [name: string, quantity?: Quantity]> = {
  client: ['Client or lawn'], address: ['Street or place'], areaM2: ['Area', 'areaM2'], areaTyped: ['Area as typed'], growsNow: ['Grows now'], grass: ['Grass wanted'],
  latDeg: ['Latitude'], lonDeg: ['Longitude'], stationId: ['Weather station'], sun: ['Sun'], texture: ['Soil'],
  desirableShare: ['Grass worth keeping', 'share'], weedShare: ['Weeds', 'share'], bareShare: ['Bare soil', 'share'], slopeShare: ['Slope', 'share'],
  thatchMm: ['Thatch', 'depthMm'], mowingHeightMm: ['Mowing height', 'depthMm'], applications: ['What was put on before'],
  programme: ['Programme'], overruleNote: ['Note of the overruling'], sowOn: ['Sowing day'], settings: ['Settings'],
  'settings.seedRateGPerM2': ['Live seed', 'rateGPerM2'], 'settings.lot.purityShare': ['Purity', 'share'], 'settings.lot.germinationShare': ['Germination', 'share'],
  'settings.lot.coatingShare': ['Coating', 'share'], 'settings.lot.purityOfBareSeed': ['Purity of the bare seed'], 'settings.bags': ['Bags and prices'],
  'settings.starterAnalysis': ['Starter analysis'], 'settings.starterNGPerM2': ['Nitrogen wanted', 'rateGPerM2'], 'settings.coverMaterial': ['Cover with'],
  'settings.coverMm': ['Depth of cover', 'depthMm'], 'settings.rakeMm': ['Rake in to', 'depthMm'], 'settings.scalpToMm': ['Scalp down to', 'depthMm'],
}

export const fieldName = (path: string): string => FIELDS[path]?.[0] ?? path

/** A saved value as people read it, whatever field it is of. */
export function fieldText(path: string, value: unknown, units: UnitSystem): string {
  const quantity = FIELDS[path]?.[1]
  if (value === null || value === '') return 'empty'
  if (typeof value === 'number' && quantity) return showText(figure(quantity, value, 3), units)
  if (path === 'grass') return GRASSES.find(({ code }) => code === value)?.name ?? String(value)
  if (path === 'sun') return SUN_WORDS[value as keyof typeof SUN_WORDS]
  if (path === 'sowOn' && typeof value === 'string' && isDay(value)) return shortDayWithWeekday(value)
  if (path === 'settings.bags') return (value as { massKg: number }[]).map(({ massKg }) => showText(figure('massKg', massKg), units)).join(', ')
  if (path === 'applications') return (value as { ingredient: string; appliedOn: string }[]).map(({ ingredient, appliedOn }) => `${ingredient}, ${appliedOn}`).join('; ') || 'nothing'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return typeof value === 'object' ? 'other settings' : String(value)
}
