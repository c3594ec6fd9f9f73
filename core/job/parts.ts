import { blendWords, depthLimitOf, mainOf, pureSeed, type Blend } from '../seed/blends'
import { grassByCode, type Grass } from '../grass/grasses'
import { seedNeed, type SeedNeed } from '../seed/liveSeed'
import type { Texture } from '../soil/soil'
import type { Gate } from '../explain/judgement'
import type { Source } from '../explain/working'
import { figure } from '../measure/figure'
import { surveyOver, type Survey } from '../site/survey'
import type { ZoneSurvey } from '../site/zone'
import { planningOf, type Planning } from './planningFigures'
import { beginningRate, buriedMm, shallowEnough, type PlanSettings } from './settings'
import { PROGRAMMES, type Programme, type ProgrammeCode } from './decision/programmes'
import type { Practices } from './decision/practices'

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
  practices: Practices
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
  practices: Practices,
): PlanSettings {
  if (main) return settings
  return shallowEnough(
    { ...settings, seedRateGPerM2: beginningRate({ grass, programme, practices }) },
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
  practices: Practices,
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
        practices,
        planning,
        zones: group.map(({ zone }) => zone.name),
        survey: groundOf(
          programme.code,
          group.map(({ zone }) => zone),
          texture,
        ),
        settings: settingsFor(i === 0, grass, seed, programme, settings, practices),
      }
    })
}

export const bringsLoam = ({ programme, practices }: Part): boolean =>
  programme.code === 'strip' && practices.loam === 'bring'

/**
 * Soil to bring, m³ loose, how deep it lies at the most, mm, and the ground it is dragged over, m². @source turf
 * handbooks: loose topsoil settles by 15 %
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

/** Deeper than grass grows through lift by lift, under turf that stays. */
export const wantsRelaying = ({ survey, programme, planning }: Part): boolean =>
  survey.deepestMm > planning.hollowRelay && programme.keepsTurf
/** Cover over all of a part, m³ loose. */
export const coverM3 = ({ survey, settings }: Part): number => (survey.areaM2 * settings.coverMm) / 1000
/** Slits take seed into the old sward without tearing it first. Where it is to be torn out, slits do not do it. */
export const slitSeeded = ({ practices, programme }: Part): boolean =>
  practices.sowing === 'slit' && programme.dethatchPasses > 0 && programme.dethatchPasses <= 2

/** Seed of a part; undefined where none is sown. */
export const seedOf = ({ programme, survey, settings }: Part): SeedNeed | undefined =>
  programme.anchor === 'seeding' ? seedNeed(survey.areaM2, settings.seedRateGPerM2, settings.lot, PLAN_RATE) : undefined

/** Rake-in and cover together against what the seed can grow through. */
export function depthGate({ seed, settings }: Pick<Part, 'seed' | 'settings'>): Gate {
  const limitMm = depthLimitOf(seed)
  const totalMm = settings.rakeMm + buriedMm(settings)
  const limit = figure('depthMm', limitMm)
  const source = { kind: 'mem', text: `deepest safe cover of ${blendWords(seed)}` } as const
  return totalMm > limitMm + 0.05
    ? {
        state: 'hold',
        code: 'depth',
        text: [
          'raked in and covered ',
          figure('depthMm', totalMm),
          ', deeper than ',
          limit,
          `, the most ${seed.length > 1 ? 'the shallowest of the mixture' : blendWords(seed)} grows through`,
        ],
        source,
      }
    : {
        state: 'met',
        text: ['raked in and covered ', figure('depthMm', totalMm), ' of ', limit, ' at the most'],
        source,
      }
}
