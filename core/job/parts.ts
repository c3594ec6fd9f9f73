import { say } from '../explain/message'
import { blendWords, depthLimitOf, enoughSeedsPerCm2, mainOf, pureSeed, type Blend } from '../seed/blends'
import { grassByCode, type Grass } from '../grass/grasses'
import { seedNeed, type SeedNeed } from '../seed/liveSeed'
import type { Texture } from '../soil/soil'
import type { Gate } from '../explain/judgement'
import type { Source } from '../explain/working'
import { figure } from '../measure/figure'
import { surveyOver, type Survey } from '../site/survey'
import type { ZoneSurvey } from '../site/zone'
import { SHORT_WAY, type Way } from './carrying'
import { planningOf, type Planning } from './planningFigures'
import type { Standing } from './scalpHeight'
import { beginningRate, buriedMm, shallowEnough, type PlanSettings } from './settings'
import type { ThinGround } from './records'
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
  /** What stands in each of its zones. */
  standing: readonly Standing[]
  settings: PlanSettings
  practices: Practices
  planning: Planning
  /** From where a truck stands to the lawn. */
  way: Way
  wet: WetPhase | undefined
  /** What of it counts found too thin; null where nobody counted. */
  thin: ThinGround | null
}

/** Water from sowing until nearly all is up: what the bed wants in the middle year, and what the client can do. */
export interface WetPhase {
  mmADay: number
  timesADay: number
  /** Times a day that the client can water; null where nobody asked. */
  clientTimes: number | null
  /** Days after sowing until it ends, in the middle year. */
  days: number
}

/** Days of it where no season tells them. @source trade: two to three weeks */
export const USUAL_WET_DAYS = 18

export const PLAN_RATE: Source = { kind: 'user', text: say('planned.bringLiveSeed') }
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
function settingsFor(seed: Blend, programme: Programme, settings: PlanSettings, practices: Practices): PlanSettings {
  return shallowEnough(
    { ...settings, seedRateGPerM2: beginningRate({ seed, programme, practices }) },
    depthLimitOf(seed),
  )
}

/** What is sown on a zone. */
function seedFor({ zone, programme }: PlannedZone, blend: Blend, practices: Practices): Blend {
  const own = PROGRAMMES[programme].seed?.(practices)
  return own ? pureSeed(own) : blend.length ? blend : pureSeed(zone.grass)
}

/** What is the same all over a lawn. */
export interface PartsAround {
  texture: Texture
  practices: Practices
  /** Sown in place of the zones' own grass, but for programmes that bring their own seed; none where left out. */
  blend?: Blend
  /** The firm's figures; ours where left out. */
  planning?: Planning
  /** From the truck to the lawn; a short one where left out. */
  way?: Way
  /** Not told where the season is not worked out. */
  wet?: WetPhase | undefined
  /** What of all of them counts found too thin; nothing where left out. */
  thin?: ThinGround | null
}

/**
 * Zones gathered into parts, the largest first; that one the settings are made for.
 * @throws RangeError without a zone
 */
export function partsOf(
  zones: readonly PlannedZone[],
  settings: PlanSettings,
  { texture, practices, blend = [], planning = planningOf(), way = SHORT_WAY, wet, thin = null }: PartsAround,
): Part[] {
  if (!zones.length) throw new RangeError('A plan needs one zone at least.')
  const groups = new Map<string, PlannedZone[]>()
  for (const planned of zones) {
    const key = `${planned.programme} ${JSON.stringify(seedFor(planned, blend, practices))}`
    groups.set(key, [...(groups.get(key) ?? []), planned])
  }
  const area = (group: readonly PlannedZone[]) => group.reduce((sum, { zone }) => sum + zone.areaM2, 0)
  const thinShare = thin && Math.min(1, thin.areaM2 / area(zones))
  return [...groups.values()]
    .sort((a, b) => area(b) - area(a))
    .map((group, i) => {
      const programme = PROGRAMMES[group[0]!.programme]
      const seed = seedFor(group[0]!, blend, practices)
      const grass = grassByCode(mainOf(seed))
      return {
        programme,
        grass,
        seed,
        practices,
        planning,
        way,
        wet,
        thin: thin && { ...thin, areaM2: area(group) * thinShare! },
        zones: group.map(({ zone }) => zone.name),
        standing: group.map(({ zone: { sward, desirableShare } }) => ({ sward, desirableShare })),
        survey: groundOf(
          programme.code,
          group.map(({ zone }) => zone),
          texture,
        ),
        settings: i === 0 ? settings : settingsFor(seed, programme, settings, practices),
      }
    })
}

export const bringsLoam = ({ programme, practices }: Part): boolean =>
  programme.code === 'strip' && practices.loam === 'bring'

/** A seedbed where nothing grows: no turf is cut, torn or cored for it. */
export const madeOfBareSoil = ({ programme }: Pick<Part, 'programme'>): boolean => programme.code === 'bare'

/** Topsoil that bare ground lacks of the least that roots want, mm; 0 where nobody looked. */
const topsoilLackMm = ({ survey, planning }: Part): number =>
  Math.max(0, planning.topsoilLeast - (survey.topsoilMm ?? Infinity))

/**
 * Soil to bring, m³ loose, how deep it lies at the most, mm, and the ground it is dragged over, m². @source turf
 * handbooks: loose topsoil settles by 15 %
 */
export function soilOf(part: Part): { volumeM3: number; deepestMm: number; overM2: number } {
  const { survey, programme } = part
  const loamMm = bringsLoam(part) ? LOAM_MM : madeOfBareSoil(part) ? topsoilLackMm(part) : 0
  const loam = (survey.areaM2 * loamMm) / 1000
  const even = programme.code === 'level' && !survey.hollowM3 ? (survey.areaM2 * EVEN_LIFT_MM) / 1000 : 0
  return {
    volumeM3: (survey.hollowM3 + loam + even) * (1 + SETTLING),
    deepestMm: Math.max(survey.deepestMm, loam ? loamMm : even ? EVEN_LIFT_MM : 0),
    overM2: loam || even ? survey.areaM2 : Math.min(survey.areaM2, survey.hollowM2 * FEATHERED),
  }
}
export const SETTLING = 0.15
/** Ground that is dragged about a hollow, times the hollow: soil is feathered out. @source own */
export const FEATHERED = 2
/** A dressing all over where no hollow is measured. @source own */
const EVEN_LIFT_MM = 6

/** Deeper than grass grows through lift by lift, under turf that stays. */
export const wantsRelaying = ({ survey, programme, planning }: Part): boolean =>
  survey.deepestMm > planning.hollowRelay && programme.keepsTurf
/** Cover over all of a part, m³ loose. */
export const coverM3 = ({ survey, settings }: Part): number => (survey.areaM2 * settings.coverMm) / 1000
/** Slits take seed in by the practice: into the old sward without tearing it first, or after it was torn out. */
export const slitSeeded = ({ practices, programme }: Part): boolean =>
  practices.sowing === 'slit' && programme.dethatchPasses > 0

/** Bermuda seed dragged into a thin topdressing over cores, without tearing the turf or covering the seed. */
export const dragsIn = ({ practices, programme }: Part): boolean =>
  programme.code === 'warm' && practices.warmSowing === 'core and drag'

/** Seed of a part; undefined where none is sown. */
export const seedOf = ({ programme, survey, settings }: Part): SeedNeed | undefined =>
  programme.anchor === 'seeding' ? seedNeed(survey.areaM2, settings.seedRateGPerM2, settings.lot, PLAN_RATE) : undefined

/** Seed finds room for itself in so much of a sward at the least. @source own */
const LEAST_OPEN_SHARE = 0.25

/**
 * Live seeds per cm² that are enough on a part: of a full stand what the grass that stays leaves room for.
 * @returns low and high end, and the share of the ground that is open
 * @source own, over the counts of turf handbooks
 */
export function enoughHere({ seed, survey, programme }: Pick<Part, 'seed' | 'survey' | 'programme'>): {
  seedsPerCm2: readonly [number, number]
  openShare: number
} {
  const thickens = programme.keepsTurf && programme.rateShare < 1
  const openShare = thickens ? Math.max(LEAST_OPEN_SHARE, 1 - survey.desirableShare) : 1
  const [low, high] = enoughSeedsPerCm2(seed)
  return { seedsPerCm2: [low * openShare, high * openShare], openShare }
}

/** Rake-in and cover together against what the seed can grow through. */
export function depthGate({ seed, settings }: Pick<Part, 'seed' | 'settings'>): Gate {
  const limitMm = depthLimitOf(seed)
  const totalMm = settings.rakeMm + buriedMm(settings)
  const limit = figure('depthMm', limitMm)
  const source = { kind: 'mem', text: say('planned.deepestSafeCoverOf', { seed: blendWords(seed) }) } as const
  return totalMm > limitMm + 0.05
    ? {
        state: 'hold',
        code: 'depth',
        text: say('planned.depthText', {
          totalMm: figure('depthMm', totalMm),
          limit,
          value: seed.length > 1 ? say('planned.theShallowestOfThe') : blendWords(seed),
        }),
        source,
      }
    : {
        state: 'met',
        text: say('planned.rakedInAndCovered', { totalMm: figure('depthMm', totalMm), limit }),
        source,
      }
}
