import type { Look } from '#contract/look'
import { blendWords, type Blend } from '#core/seed/blends'
import { GRASSES } from '#core/grass/grasses'
import { SWARDS } from '#core/grass/swards'
import { operationOf } from '#core/job/operations/registry'
import { PROGRAMME_NAMES } from '#core/job/decision/programmes'
import { isDay } from '#core/measure/calendar'
import { shortDayWithWeekday } from './days'
import { figure, showText, type Quantity, type UnitSystem } from '#core/measure/figure'
import type { Message } from '#core/explain/message'
import type { MessageKey } from '#words/message'
import { t, tell } from './words'

/** Name of a field as its form has it, and what it measures. */
type Words = Record<string, readonly [name: MessageKey, quantity?: Quantity]>
const FIELDS: Words = {
  client: ['look.clientOrLawn'],
  address: ['look.address'],
  growsNow: ['look.inAFewWords'],
  latDeg: ['look.latitude'],
  lonDeg: ['look.longitude'],
  stationId: ['look.weatherStation'],
  texture: ['look.soil'],
  zones: ['look.zones'],
  features: ['look.sitePlan'],
  underlay: ['look.pictureUnderThePlan'],
  applications: ['look.whatWasPutOn'],
  nothingPutOn: ['look.nothingPutOn'],
  soilTest: ['look.soilTest'],
  water: ['look.water'],
  access: ['look.access'],
  wishes: ['look.whatTheClientWants'],
  typedAs: ['look.asItWasTyped'],
  programme: ['look.programme'],
  overruleNote: ['look.noteOfTheOverruling'],
  zonePlans: ['look.programmesOfZones'],
  practices: ['look.practices'],
  blend: ['look.mixture'],
  heightM: ['look.height'],
  sowOn: ['look.sowingDay'],
  settings: ['look.settings'],
  work: ['look.runOfOperations'],
  'work.added': ['look.putIn'],
  'settings.seedRateGPerM2': ['look.liveSeed', 'rateGPerM2'],
  'settings.lot.purityShare': ['look.purity', 'share'],
  'settings.lot.germinationShare': ['look.germination', 'share'],
  'settings.lot.coatingShare': ['look.coating', 'share'],
  'settings.lot.purityOfBareSeed': ['look.purityOfTheBare'],
  'settings.lot.testedOn': ['look.seedTestedOn'],
  'settings.bags': ['look.bagsAndPrices'],
  'settings.starterAnalysis': ['look.starterAnalysis'],
  'settings.starterNGPerM2': ['look.nitrogenWanted', 'rateGPerM2'],
  'settings.starterSlowShare': ['load.slowShare', 'share'],
  'settings.coverMaterial': ['look.coverWith'],
  'settings.coverMm': ['look.depthOfCover', 'depthMm'],
  'settings.rakeMm': ['look.rakeInTo', 'depthMm'],
  'settings.scalpToMm': ['look.scalpDownTo', 'depthMm'],
}
/** Fields of a zone, below its id. */
const ZONE_FIELDS: Words = {
  name: ['look.name'],
  order: ['look.order'],
  areaFrom: ['look.whichAreaCounts'],
  areaTyped: ['look.areaAsTyped'],
  tapedM2: ['look.area', 'areaM2'],
  errorShare: ['look.measuringError', 'share'],
  sward: ['look.growsNow'],
  grass: ['look.grassWanted'],
  desirableShare: ['look.desirableGrass2', 'share'],
  weedShare: ['look.weeds2', 'share'],
  coarseShare: ['look.coarseWeedGrasses2', 'share'],
  bareShare: ['look.bareSoil2', 'share'],
  counted: ['look.countedPoints'],
  barePatchy: ['look.bareInPatches'],
  plugsMm: ['look.thatch', 'depthMm'],
  driverMm: ['look.screwdriver', 'depthMm'],
  penetrometerKPa: ['look.penetrometer', 'kPa'],
  mowingHeightMm: ['look.mowingHeight', 'depthMm'],
  keptMm: ['look.keptAt', 'depthMm'],
  sunHours: ['look.hoursOfSun', 'hours'],
  slopeShare: ['look.slope2', 'share'],
  wear: ['look.wear'],
  drainage: ['look.drainage'],
  grubs: ['look.grubs'],
  ground: ['look.kindOfGround'],
  stones: ['look.stones'],
  topsoilMm: ['look.looseTopsoil', 'depthMm'],
  thatchSoft: ['look.thatchAFingerGoes'],
  coredOn: ['look.lastCored'],
  swardMix: ['look.mixedGrasses'],
  levelsSeen: ['look.levelsLookedAt'],
  hollows: ['look.hollows'],
}

const WORK_FIELDS = {
  days: 'look.day',
  pins: 'look.dayByHand',
  own: 'look.ownWork',
  skipped: 'look.leftOut',
  overruled: 'look.overridden',
} as const satisfies Record<string, MessageKey>
/** A task, or a gate of it, by its name. */
function taskWords(key: string): string {
  const operation = operationOf(key.split(':')[0]!)
  return operation ? tell(operation.name).toLowerCase() : t('look.ownWork2')
}

interface Field {
  /** In the words of its form; undefined for what has none. */
  name: string | undefined
  quantity?: Quantity
  zoneId?: string
}
function fieldOf(path: string): Field {
  const [first, id, field] = path.split('.')
  const said = (words: Words[string] | undefined): Pick<Field, 'name' | 'quantity'> => ({
    name: words && t(words[0]),
    quantity: words?.[1],
  })
  if (first === 'zones' && id)
    return field ? { zoneId: id, ...said(ZONE_FIELDS[field]) } : { zoneId: id, name: t('look.theZone') }
  if (first === 'work' && field !== undefined) {
    const what: MessageKey | undefined = WORK_FIELDS[id as keyof typeof WORK_FIELDS]
    return { name: `${t(what ?? 'look.work')}, ${taskWords(field)}` }
  }
  const whole = ['features', 'underlay', 'water', 'access', 'wishes', 'soilTest', 'zonePlans', 'practices'].includes(
    first!,
  )
  return said(FIELDS[path] ?? (whole ? FIELDS[first!] : undefined))
}

/** @param look where zones can be called by their names */
export function fieldName(path: string, look?: Look): string {
  const { name, zoneId } = fieldOf(path)
  const zone = zoneId && look && Object.keys(look.zones).length > 1 ? look.zones[zoneId]?.name : undefined
  return (name ?? path) + (zone ? `, ${zone}` : '')
}

/** A saved value as people read it, whatever field it is of. */
export function fieldText(path: string, value: unknown, units: UnitSystem): string {
  const { quantity } = fieldOf(path)
  const last = path.split('.').at(-1)
  if (value === null || value === undefined || value === '') return t('look.empty')
  if (quantity && Array.isArray(value))
    return value.map((one: number) => showText(figure(quantity, one, 3), units)).join(', ') || t('look.empty')
  if (typeof value === 'number' && quantity) return showText(figure(quantity, value, 3), units)
  if (last === 'grass' || last === 'sward') {
    const grass = [...GRASSES, ...SWARDS].find(({ code }) => code === value)
    return grass ? tell(grass.name) : String(value)
  }
  if (last === 'programme') {
    const name = PROGRAMME_NAMES[value as keyof typeof PROGRAMME_NAMES] as Message | undefined
    return name ? tell(name) : String(value)
  }
  if (typeof value === 'string' && isDay(value)) return shortDayWithWeekday(value)
  if (path === 'settings.bags')
    return (value as { massKg: number }[]).map(({ massKg }) => showText(figure('massKg', massKg), units)).join(', ')
  if (path === 'blend') return tell(blendWords(value as Blend))
  if (path === 'applications')
    return (
      (value as { ingredient: string; appliedOn: string }[])
        .map(({ ingredient, appliedOn }) => `${ingredient}, ${appliedOn}`)
        .join('; ') || t('look.nothing')
    )
  if (typeof value === 'boolean') return value ? t('look.yes') : t('look.no')
  return typeof value === 'object' ? t('look.changed') : String(value)
}
