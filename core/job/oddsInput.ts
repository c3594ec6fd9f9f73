import { keptHeightMm } from '../establishment/growth'
import { bedOf, type Stand } from '../establishment/stand'
import { coveringOf, type SeedbedRisk } from '../establishment/sowing'
import { GRASSES, grassByCode, type Grass } from '../grass/grasses'
import { swardByCode } from '../grass/swards'
import type { Day } from '../measure/calendar'
import { mainOf, pureSeed, type Blend } from '../seed/blends'
import { seedsPerCm2 } from '../seed/liveSeed'
import { surveyOver } from '../site/survey'
import type { ZoneSurvey } from '../site/zone'
import type { Ground } from '../soil/soilCourse'
import { isCutLow } from './decision/practiceFigures'
import type { Practices } from './decision/practices'
import { PROGRAMMES } from './decision/programmes'
import { OPERATIONS } from './operations/registry'
import { isIrrigated, wateringOf, zoneSurveysOf } from './lawn'
import type { Planning } from './planningFigures'
import type { FirmRecord, JobRecord, LawnRecord } from './records'
import { practicesOf, settingsOf, sownOn } from './seeding'
import type { PlanSettings } from './settings'

/** What the odds of a sowing day are counted for: seed, the bed it lies in, and what stands there. */
export interface OddsInput {
  seed: Blend
  ground: Ground
  risk: SeedbedRisk
  /** Height the grass is kept at, mm. */
  mowingMm: number
  /** What stands and what is sown on it; undefined where nothing is surveyed. */
  stand: Stand | undefined
}

/** The grass that stands there as one of the table: what grows like it where it has no row of its own. */
function standingGrass(zones: readonly ZoneSurvey[]): Grass {
  const code = [...zones].sort((a, b) => b.areaM2 - a.areaM2)[0]?.sward ?? 'MIX'
  return GRASSES.find((grass) => grass.code === code) ?? grassByCode(swardByCode(code).season === 'warm' ? 'BER' : 'TF')
}

interface Zones {
  zones: readonly ZoneSurvey[]
  seed: Blend
  settings: PlanSettings
  practices: Practices
  planning: Planning
}

/** What of the old sward stays, and how much live seed comes to it. */
function standOf(lawn: LawnRecord, job: JobRecord, { zones, seed, settings, planning }: Zones): Stand | undefined {
  if (!zones.length) return undefined
  const killed = job.programme !== null && !PROGRAMMES[job.programme].keepsTurf
  const lies = {
    keptShare: killed ? 0 : surveyOver(zones, lawn.texture).desirableShare,
    buried: settings.coverMm > 0 || settings.rakeMm > 0,
  }
  return {
    old: killed ? null : standingGrass(zones),
    ...lies,
    fieldShare: planning[bedOf(lies)],
    scalpToMm: settings.scalpToMm,
    liveSeedsPerCm2: seedsPerCm2(settings.seedRateGPerM2, seed),
  }
}

const PRE_EMERGENTS = OPERATIONS.filter(({ preEmergent }) => preEmergent)

/** A pre-emergent that is safe on seedlings is in the plan: by the practice or put in, and not where the client refuses it. */
const plansPreEmergent = ({ wishes }: LawnRecord, { work }: JobRecord, { practices }: Zones): boolean =>
  wishes.noSprays !== true &&
  (practices.preventer !== 'none' || PRE_EMERGENTS.some(({ code }) => work.added.includes(code))) &&
  PRE_EMERGENTS.every(({ code }) => work.skipped[code] === undefined)

/** @param coastal whether the station's days are of a coast */
function oddsOver(lawn: LawnRecord, job: JobRecord, over: Zones, coastal: boolean): OddsInput {
  const { zones, seed, settings, practices } = over
  const survey = zones.length ? surveyOver(zones, lawn.texture) : undefined
  const grass = grassByCode(mainOf(seed))
  const cover = settings.coverMm > 0 ? settings.coverMaterial : 'none'
  const stand = standOf(lawn, job, over)
  const mowingMm = keptHeightMm(grass, survey?.mowingHeightMm ?? grass.mowingMm[0])
  return {
    seed,
    stand,
    ground: {
      // A tenth of a degree is 11 km: the sun does not tell them apart.
      latDeg: Math.round(lawn.latDeg * 10) / 10,
      coastal,
      texture: lawn.texture,
      sun: survey?.sun ?? 'full',
      cover: (survey?.bareShare ?? 0) >= 0.5 ? 'bare' : 'thin turf',
    },
    risk: {
      covering: coveringOf(cover),
      slopeShare: survey?.slopeShare ?? 0,
      swardCover: stand?.keptShare ?? 0,
      ...(isIrrigated(lawn) ? { irrigated: true } : {}),
      ...(plansPreEmergent(lawn, job, over) ? { preEmergent: true } : {}),
      ...(isWinterColour(lawn, job) ? { winterColour: true } : {}),
      ...(isCutLow(practices, mowingMm) ? { cutsLowAtOnce: true } : {}),
      bed: { cover, coverMm: settings.coverMm, watering: wateringOf(lawn, practices) },
    },
    mowingMm,
  }
}

/** Green for the winter, decided or asked for while nothing is. */
const isWinterColour = ({ wishes }: LawnRecord, { programme }: JobRecord): boolean =>
  programme === 'winter' || (!programme && wishes.goal === 'winter')

const surveyed = (lawn: LawnRecord, job: JobRecord, today: Day) => zoneSurveysOf(lawn, job.sowOn ?? today)
type Firm = Pick<FirmRecord, 'today' | 'planning' | 'feedRules'> & { practices: Partial<FirmRecord['practices']> }

/**
 * What the odds of a job are counted for. Settings that nobody has touched are what the practices begin with, so that
 * saving them changes nothing.
 */
export function oddsInputOf(job: JobRecord, lawn: LawnRecord, firm: Firm, coastal: boolean): OddsInput {
  const programme = isWinterColour(lawn, job) ? 'winter' : job.programme
  const decided = { ...job, programme }
  const practices = practicesOf(job, firm)
  const seed = sownOn(lawn, decided, practices) ?? pureSeed('TF')
  return oddsOver(
    lawn,
    job,
    {
      zones: surveyed(lawn, job, firm.today),
      seed,
      settings: settingsOf(lawn, decided, firm),
      practices,
      planning: firm.planning,
    },
    coastal,
  )
}

/** Each zone by itself, with its own grass and exposure, where there are several. */
export function oddsInputsByZone(
  job: JobRecord,
  lawn: LawnRecord,
  firm: Firm,
  coastal: boolean,
): { id: string; name: string; odds: OddsInput }[] {
  const zones = surveyed(lawn, job, firm.today)
  if (zones.length < 2) return []
  const [settings, practices] = [settingsOf(lawn, job, firm), practicesOf(job, firm)]
  return zones.flatMap((zone) => {
    const own = job.zonePlans[zone.id]?.programme
    if (own === 'leave') return []
    const programme = isWinterColour(lawn, job) ? 'winter' : (own ?? job.programme)
    const brought = programme ? PROGRAMMES[programme].seed?.(practices) : undefined
    const seed = brought ? pureSeed(brought) : job.blend.length ? job.blend : pureSeed(zone.grass)
    return [
      {
        id: zone.id,
        name: zone.name,
        odds: oddsOver(lawn, job, { zones: [zone], seed, settings, practices, planning: firm.planning }, coastal),
      },
    ]
  })
}
