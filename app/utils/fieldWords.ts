import type { Look } from '#contract/look'
import { blendWords, type Blend } from '#core/seed/blends'
import { GRASSES } from '#core/grass/grasses'
import { SWARDS } from '#core/grass/swards'
import { operationOf } from '#core/job/operations/registry'
import { PROGRAMME_NAMES } from '#core/job/decision/programmes'
import { shortDayWithWeekday, isDay } from '#core/measure/calendar'
import { figure, showText, type Quantity, type UnitSystem } from '#core/measure/figure'

/** Name of a field as its form has it, and what it measures. */
type Words = Record<string, readonly [name: string, quantity?: Quantity]>
const FIELDS: Words = {
  client: ['Client or lawn'],
  address: ['Address'],
  growsNow: ['In a few words'],
  latDeg: ['Latitude'],
  lonDeg: ['Longitude'],
  stationId: ['Weather station'],
  texture: ['Soil'],
  zones: ['Zones'],
  features: ['Site plan'],
  underlay: ['Picture under the plan'],
  applications: ['What was put on before'],
  nothingPutOn: ['Nothing put on'],
  soilTest: ['Soil test'],
  water: ['Water'],
  access: ['Access'],
  wishes: ['What the client wants'],
  typedAs: ['As it was typed'],
  programme: ['Programme'],
  overruleNote: ['Note of the overruling'],
  zonePlans: ['Programmes of zones'],
  practices: ['Practices'],
  blend: ['Mixture'],
  heightM: ['Height'],
  sowOn: ['Sowing day'],
  settings: ['Settings'],
  work: ['Run of operations'],
  'work.added': ['Put in'],
  'settings.seedRateGPerM2': ['Live seed', 'rateGPerM2'],
  'settings.lot.purityShare': ['Purity', 'share'],
  'settings.lot.germinationShare': ['Germination', 'share'],
  'settings.lot.coatingShare': ['Coating', 'share'],
  'settings.lot.purityOfBareSeed': ['Purity of the bare seed'],
  'settings.bags': ['Bags and prices'],
  'settings.starterAnalysis': ['Starter analysis'],
  'settings.starterNGPerM2': ['Nitrogen wanted', 'rateGPerM2'],
  'settings.coverMaterial': ['Cover with'],
  'settings.coverMm': ['Depth of cover', 'depthMm'],
  'settings.rakeMm': ['Rake in to', 'depthMm'],
  'settings.scalpToMm': ['Scalp down to', 'depthMm'],
}
/** Fields of a zone, below its id. */
const ZONE_FIELDS: Words = {
  name: ['Name'],
  order: ['Order'],
  areaFrom: ['Which area counts'],
  areaTyped: ['Area as typed'],
  tapedM2: ['Area', 'areaM2'],
  errorShare: ['Measuring error', 'share'],
  sward: ['Grows now'],
  grass: ['Grass wanted'],
  desirableShare: ['Desirable grass', 'share'],
  weedShare: ['Weeds', 'share'],
  coarseShare: ['Coarse weed grasses', 'share'],
  bareShare: ['Bare soil', 'share'],
  counted: ['Counted points'],
  barePatchy: ['Bare in patches'],
  plugsMm: ['Thatch', 'depthMm'],
  driverMm: ['Screwdriver', 'depthMm'],
  penetrometerKPa: ['Penetrometer', 'kPa'],
  mowingHeightMm: ['Mowing height', 'depthMm'],
  keptMm: ['Kept at', 'depthMm'],
  sunHours: ['Hours of sun', 'hours'],
  slopeShare: ['Slope', 'share'],
  wear: ['Wear'],
  drainage: ['Drainage'],
  grubs: ['Grubs'],
  ground: ['Kind of ground'],
  stones: ['Stones'],
  topsoilMm: ['Loose topsoil', 'depthMm'],
  thatchSoft: ['Thatch a finger goes through'],
  coredOn: ['Last cored'],
  swardMix: ['Mixed grasses'],
  levelsSeen: ['Levels looked at'],
  hollows: ['Hollows'],
}

const WORK_FIELDS = {
  days: 'Day',
  pins: 'Day by hand',
  own: 'Own work',
  skipped: 'Left out',
  overruled: 'Overridden',
} as const
/** A task, or a gate of it, by its name. */
function taskWords(key: string): string {
  return operationOf(key.split(':')[0]!)?.name.toLowerCase() ?? 'own work'
}

function wordsOf(path: string): { words: Words[string] | undefined; zoneId?: string } {
  const [first, id, field] = path.split('.')
  if (first === 'zones' && id) return { zoneId: id, words: field ? ZONE_FIELDS[field] : ['The zone'] }
  if (first === 'work' && field !== undefined)
    return { words: [`${WORK_FIELDS[id as keyof typeof WORK_FIELDS] ?? 'Work'}, ${taskWords(field)}`] }
  return {
    words:
      FIELDS[path] ??
      (['features', 'underlay', 'water', 'access', 'wishes', 'soilTest', 'zonePlans', 'practices'].includes(first!)
        ? FIELDS[first!]
        : undefined),
  }
}

/** @param look where zones can be called by their names */
export function fieldName(path: string, look?: Look): string {
  const { words, zoneId } = wordsOf(path)
  const zone = zoneId && look && Object.keys(look.zones).length > 1 ? look.zones[zoneId]?.name : undefined
  return (words?.[0] ?? path) + (zone ? `, ${zone}` : '')
}

/** A saved value as people read it, whatever field it is of. */
export function fieldText(path: string, value: unknown, units: UnitSystem): string {
  const quantity = wordsOf(path).words?.[1]
  const last = path.split('.').at(-1)
  if (value === null || value === undefined || value === '') return 'empty'
  if (quantity && Array.isArray(value))
    return value.map((one: number) => showText(figure(quantity, one, 3), units)).join(', ') || 'empty'
  if (typeof value === 'number' && quantity) return showText(figure(quantity, value, 3), units)
  if (last === 'grass' || last === 'sward')
    return [...GRASSES, ...SWARDS].find(({ code }) => code === value)?.name ?? String(value)
  if (last === 'programme') return PROGRAMME_NAMES[value as keyof typeof PROGRAMME_NAMES] ?? String(value)
  if (typeof value === 'string' && isDay(value)) return shortDayWithWeekday(value)
  if (path === 'settings.bags')
    return (value as { massKg: number }[]).map(({ massKg }) => showText(figure('massKg', massKg), units)).join(', ')
  if (path === 'blend') return blendWords(value as Blend)
  if (path === 'applications')
    return (
      (value as { ingredient: string; appliedOn: string }[])
        .map(({ ingredient, appliedOn }) => `${ingredient}, ${appliedOn}`)
        .join('; ') || 'nothing'
    )
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return typeof value === 'object' ? 'changed' : String(value)
}
