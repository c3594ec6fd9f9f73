import { depthLimitOf, mainOf, pureSeed, type Blend } from '../seed/blends'
import { grassByCode, type Grass } from '../grass/grasses'
import { seedNeed, type SeedNeed } from '../seed/liveSeed'
import type { Texture } from '../soil/soil'
import type { Source } from '../explain/working'
import { liftsFor } from '../site/hollow'
import { surveyOver, type Survey } from '../site/survey'
import type { ZoneSurvey } from '../site/zone'
import { ADDABLE, operationByCode } from './operations/catalogue'
import { keyOf, OPERATION_CODES, type Operation, type OperationCode } from './operations/operations'
import { planningOf, type Planning } from './planningFigures'
import { beginningRate, shallowEnough, type PlanSettings } from './settings'
import { PROGRAMMES, type Programme, type ProgrammeCode } from './decision/programmes'
import type { Schools } from './decision/practices'

/** Zones of a lawn that are treated alike: one programme, one grass. */
export interface Part {
  programme: Programme
  /** The grass that makes most of its seed. */
  grass: Grass
  /** What is sown; a mixture of one where it is a grass alone. */
  seed: Blend
  zones: readonly string[]
  /** The ground that is worked on: of a spot repair the bare part alone. */
  survey: Survey
  settings: PlanSettings
  schools: Schools
  planning: Planning
}

export const PLAN_RATE: Source = { kind: 'user', text: 'Bring, live seed' }
/** Least share of a zone that a spot repair works on. @source own: patches are opened a little beyond their edge */
const LEAST_SPOT_SHARE = 0.02

/** Loam brought after stripping, mm: the middle of 2 to 3 in. @source trade */
export const LOAM_MM = 63

function groundOf(programme: ProgrammeCode, zones: readonly ZoneSurvey[], texture: Texture): Survey {
  const survey = surveyOver(zones, texture)
  if (programme !== 'spot') return survey
  return { ...survey, areaM2: survey.areaM2 * Math.max(survey.bareShare, LEAST_SPOT_SHARE) }
}

export interface PlannedZone {
  zone: ZoneSurvey
  programme: ProgrammeCode
}

/** How the settings of the plan read for a part that has another grass or programme than most of the lawn. */
function settingsFor(
  main: boolean,
  grass: Grass,
  seed: Blend,
  programme: Programme,
  settings: PlanSettings,
  schools: Schools,
): PlanSettings {
  if (main) return settings
  return shallowEnough(
    { ...settings, seedRateGPerM2: beginningRate({ grass, programme, schools }) },
    depthLimitOf(seed),
  )
}

/** What is sown on a zone. */
function seedFor({ zone, programme }: PlannedZone, blend: Blend): Blend {
  const own = PROGRAMMES[programme].seed
  return own ? pureSeed(own) : blend.length ? blend : pureSeed(zone.grass)
}

/**
 * Zones gathered into parts, the largest first; that one the settings are made for.
 * @param blend sown in place of the zones' own grass, but for programmes that bring their own seed; none where left out
 * @param planning the firm's figures; ours where left out
 * @throws RangeError without a zone
 */
export function partsOf(
  zones: readonly PlannedZone[],
  texture: Texture,
  settings: PlanSettings,
  schools: Schools,
  blend: Blend = [],
  planning: Planning = planningOf(),
): Part[] {
  if (!zones.length) throw new RangeError('A plan needs one zone at least.')
  const groups = new Map<string, PlannedZone[]>()
  for (const planned of zones) {
    const key = `${planned.programme} ${JSON.stringify(seedFor(planned, blend))}`
    groups.set(key, [...(groups.get(key) ?? []), planned])
  }
  const area = (group: readonly PlannedZone[]) => group.reduce((sum, { zone }) => sum + zone.areaM2, 0)
  return [...groups.values()]
    .sort((a, b) => area(b) - area(a))
    .map((group, i) => {
      const programme = PROGRAMMES[group[0]!.programme]
      const seed = seedFor(group[0]!, blend)
      const grass = grassByCode(mainOf(seed))
      return {
        programme,
        grass,
        seed,
        schools,
        planning,
        zones: group.map(({ zone }) => zone.name),
        survey: groundOf(
          programme.code,
          group.map(({ zone }) => zone),
          texture,
        ),
        settings: settingsFor(i === 0, grass, seed, programme, settings, schools),
      }
    })
}

const bringsLoam = ({ programme, schools }: Part): boolean => programme.code === 'strip' && schools.loam === 'bring'

/**
 * Soil to bring, m³ loose, how deep it lies at the most, mm, and the ground it is dragged over, m². @source settling
 * of 15 % of loose topsoil: mem
 */
export function soilOf(part: Part): { volumeM3: number; deepestMm: number; overM2: number } {
  const { survey, programme } = part
  const loam = bringsLoam(part) ? (survey.areaM2 * LOAM_MM) / 1000 : 0
  const even = programme.code === 'level' && !survey.hollowM3 ? (survey.areaM2 * EVEN_LIFT_MM) / 1000 : 0
  return {
    volumeM3: (survey.hollowM3 + loam + even) * (1 + SETTLING),
    deepestMm: Math.max(survey.deepestMm, loam ? LOAM_MM : even ? EVEN_LIFT_MM : 0),
    overM2: loam || even ? survey.areaM2 : Math.min(survey.areaM2, survey.hollowM2 * FEATHERED),
  }
}
export const SETTLING = 0.15
/** Ground that is dragged about a hollow, times the hollow: soil is feathered out. @source own */
const FEATHERED = 2
/** A dressing all over where no hollow is measured. @source own */
const EVEN_LIFT_MM = 6

/** Smaller ground is forked, not cored. @source own */
const FORK_BELOW_M2 = 20
/** Heaps of cover from here on come by truck, m³. @source own */
const TRUCK_FROM_M3 = 1
/** Less soil than this comes in buckets on the van, m³: three barrow loads. @source own */
const TIPPED_FROM_M3 = 0.25

/** What the whole lawn, the season and the technician say about what a plan has to hold. */
export interface Extent {
  soilTested: boolean
  /** The ground will be too dry for tines. */
  dryGround: boolean
  /** A killing in the autumn before is still to be had. */
  autumnAhead: boolean
  /** Seed is to lie until spring: it is not watered in, and nothing swells in the first days. */
  dormant: boolean
  /** Operations that the technician put in besides. */
  added: readonly OperationCode[]
}
const PLAIN: Extent = { soilTested: true, dryGround: false, autumnAhead: false, dormant: false, added: [] }

const small = ({ survey }: Part): boolean => survey.areaM2 < FORK_BELOW_M2
/** Deeper than grass grows through lift by lift, under turf that stays. */
const wantsRelaying = ({ survey, programme, planning }: Part): boolean =>
  survey.deepestMm > planning.hollowRelay && programme.keepsTurf
/** Cover over all of a part, m³ loose. */
export const coverM3 = ({ survey, settings }: Part): number => (survey.areaM2 * settings.coverMm) / 1000
/** Enough cover material that it comes as a load. */
export const coverByTruck = (part: Part): boolean =>
  has(part, 'cover', PLAIN) &&
  part.settings.coverMaterial !== 'straw' &&
  part.settings.coverMaterial !== 'fleece' &&
  coverM3(part) >= TRUCK_FROM_M3
/** Slits take seed into the old sward without tearing it first. Where it is to be torn out, slits do not do it. */
export const slitSeeded = ({ schools, programme }: Part): boolean =>
  schools.sowing === 'slit' && programme.dethatchPasses > 0 && programme.dethatchPasses <= 2

/** What decides whether a part has an operation that its programme may have; the others it always has. */
const CONDITIONS: Partial<Record<OperationCode, (part: Part, extent: Extent) => boolean>> = {
  soilTest: (_, { soilTested }) => !soilTested,
  killAutumn: ({ grass }, { autumnAhead }) => grass.season === 'warm' && autumnAhead,
  locate: (part, extent) =>
    (['core', 'fork', 'loosen', 'relay', 'dethatch'] as const).some((code) => has(part, code, extent)),
  waterAhead: (part, extent) => extent.dryGround && (has(part, 'core', extent) || has(part, 'fork', extent)),
  relay: wantsRelaying,
  delivery: (part) => soilOf(part).volumeM3 >= TIPPED_FROM_M3 || coverByTruck(part),
  dethatch: (part) => !slitSeeded(part),
  core: (part) => !bringsLoam(part) && !small(part),
  fork: (part) => !bringsLoam(part) && small(part),
  level: (part) => part.survey.hollowM3 > 0 || bringsLoam(part),
  rake: (part) => !slitSeeded(part),
  firm: (part, extent) =>
    part.schools.firming === 'firm' && (has(part, 'level', extent) || has(part, 'loosen', extent)),
  feed: ({ settings }) => settings.starterNGPerM2 > 0,
  preventer: ({ schools }) => schools.preventer === 'apart',
  water: (_, { dormant }) => !dormant,
  check: (_, { dormant }) => !dormant,
  cover: ({ settings }) => settings.coverMm > 0,
  uncover: ({ settings }) => settings.coverMm > 0 && settings.coverMaterial === 'fleece',
}

/** Does this part have this operation, as surveyed, by its schools and by what was put in? */
function has(part: Part, code: OperationCode, extent: Extent): boolean {
  if (extent.added.includes(code) && (ADDABLE as readonly OperationCode[]).includes(code)) return true
  return part.programme.operations.includes(code) && (CONDITIONS[code]?.(part, extent) ?? true)
}

export interface PlannedOperation {
  key: string
  operation: Operation
  /** Which of several, 1 for the only one. */
  number: number
  of: number
  parts: Part[]
}

/** Lifts until the deepest hollow of some parts is full. */
const liftsOf = (parts: readonly Part[]): number =>
  Math.max(
    1,
    ...parts.map((part) =>
      liftsFor(Math.min(soilOf(part).deepestMm, wantsRelaying(part) ? part.planning.hollowRelay : Infinity)),
    ),
  )

/** Operations of a plan, in order, each with the parts that have it; a dressing once for every lift. */
export const operationsOf = (all: readonly Part[], extent: Extent = PLAIN): PlannedOperation[] =>
  OPERATION_CODES.flatMap((code) => {
    if (code === 'own') return []
    const parts = all.filter((part) => has(part, code, extent))
    if (!parts.length) return []
    const of = code === 'lift' ? liftsOf(parts) : 1
    return Array.from({ length: of }, (_, i) => ({
      key: keyOf(code, i + 1),
      operation: operationByCode(code),
      number: i + 1,
      of,
      parts,
    }))
  })

/** The operation whose day is chosen: the first lift only where nothing is sown. */
export const anchorOf = (parts: readonly Part[]): 'sow' | 'lift' =>
  parts.some(({ programme }) => programme.anchor === 'sow') ? 'sow' : 'lift'

/** Seed of a part; undefined where none is sown. */
export const seedOf = ({ programme, survey, settings }: Part): SeedNeed | undefined =>
  programme.anchor === 'sow' ? seedNeed(survey.areaM2, settings.seedRateGPerM2, settings.lot, PLAN_RATE) : undefined
