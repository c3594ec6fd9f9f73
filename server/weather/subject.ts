import type { Ground } from '#core/soil/soilCourse'
import type { Stand } from '#core/establishment/stand'
import { coveringOf, type SeedbedRisk } from '#core/establishment/sowing'
import { mainOf, pureSeed, type Blend } from '#core/seed/blends'
import { GRASSES, grassByCode, type Grass, type GrassCode } from '#core/grass/grasses'
import { swardByCode } from '#core/grass/swards'
import { overseedRate, seedsPerCm2 } from '#core/seed/liveSeed'
import { defaultScalpMm } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import type { Day } from '#core/measure/calendar'
import { surveyOver } from '#core/site/survey'
import type { ZoneSurvey } from '#core/site/zone'
import { AS_TOLD } from '#core/water/topLayer'
import { seedOf, wateringOf, zoneSurveysOf, type Lawn } from '#contract/lawn'
import type { StationRecord } from '../records/stations'

/** Cover of a bed that nothing is settled for yet, mm. */
const USUAL_COVER_MM = 5

/** What a season is computed for: a lawn, one of its zones, or the home station's own ground. */
export interface Subject {
  place: string
  seed: Blend
  ground: Ground
  risk: SeedbedRisk
  mowingMm: number
  /** What stands and what is sown on it; undefined for a station's own ground. */
  stand: Stand | undefined
  /** Above the sea, m; null where nobody said. */
  heightM: number | null
}

/** The grass that stands there as one of the table: what grows like it where it has no row of its own. */
function standingGrass(zones: readonly ZoneSurvey[]): Grass {
  const code = [...zones].sort((a, b) => b.areaM2 - a.areaM2)[0]?.sward ?? 'MIX'
  return GRASSES.find((grass) => grass.code === code) ?? grassByCode(swardByCode(code).season === 'warm' ? 'BER' : 'TF')
}

/** What of the old sward stays, and how much live seed comes to it. */
function standOf(lawn: Lawn, zones: readonly ZoneSurvey[], seed: Blend): Stand | undefined {
  if (!zones.length) return undefined
  const { programme, settings } = lawn.plan
  const survey = surveyOver(zones, lawn.texture)
  const grass = grassByCode(mainOf(seed))
  const killed = programme !== null && !PROGRAMMES[programme].keepsTurf
  return {
    old: killed ? null : standingGrass(zones),
    keptShare: killed ? 0 : survey.desirableShare,
    scalpToMm: settings?.scalpToMm ?? defaultScalpMm(grass, survey.desirableShare, 'by stand'),
    liveSeedsPerCm2: seedsPerCm2(settings?.seedRateGPerM2 ?? overseedRate(grass).value, seed),
    buried: (settings?.coverMm ?? USUAL_COVER_MM) > 0 || (settings?.rakeMm ?? 1) > 0,
  }
}

/** The season of some zones: of the grass and the ground most of them have, as far as they are surveyed. */
function subjectOver(
  lawn: Lawn,
  station: StationRecord,
  zones: readonly ZoneSurvey[],
  seed: Blend | undefined,
): Subject {
  const survey = zones.length ? surveyOver(zones, lawn.texture) : undefined
  const { plan, wishes } = lawn
  const coverMm = plan.settings?.coverMm ?? USUAL_COVER_MM
  const cover = coverMm > 0 ? (plan.settings?.coverMaterial ?? 'compost') : 'none'
  const winterColour = plan.programme === 'winter' || (!plan.programme && wishes.goal === 'winter')
  const sown = winterColour ? pureSeed('ARG') : (seed ?? pureSeed(survey?.grass ?? 'TF'))
  const grass = grassByCode(mainOf(sown))
  const kept = survey?.mowingHeightMm ?? grass.mowingMm[0]
  return {
    place: lawn.client,
    seed: sown,
    heightM: lawn.heightM,
    stand: standOf(lawn, zones, sown),
    ground: {
      // A tenth of a degree is 11 km: the sun does not tell them apart.
      latDeg: Math.round(lawn.latDeg * 10) / 10,
      coastal: station.coastal,
      texture: lawn.texture,
      sun: survey?.sun ?? 'full',
      cover: (survey?.bareShare ?? 0) >= 0.5 ? 'bare' : 'thin turf',
    },
    risk: {
      covering: coveringOf(cover),
      slopeShare: survey?.slopeShare ?? 0,
      ...(winterColour ? { winterColour } : {}),
      bed: { cover, coverMm, watering: wateringOf(lawn) },
    },
    mowingMm: Math.min(Math.max(kept, grass.mowingMm[0]), grass.mowingMm[1]),
  }
}

const surveyed = (lawn: Lawn, today: Day) => zoneSurveysOf(lawn, lawn.plan.sowOn ?? today)

/** The season of a lawn. */
export const subjectOf = (lawn: Lawn, station: StationRecord, today: Day): Subject =>
  subjectOver(lawn, station, surveyed(lawn, today), seedOf(lawn))

/** Each zone by itself, with its own grass and exposure, where there are several. */
export function zoneSubjects(lawn: Lawn, station: StationRecord, today: Day): { name: string; subject: Subject }[] {
  const zones = surveyed(lawn, today)
  if (zones.length < 2) return []
  const { plan } = lawn
  return zones
    .filter(({ id }) => plan.zonePlans[id]?.programme !== 'leave')
    .map((zone) => {
      const own = plan.zonePlans[zone.id]?.programme
      const programme = own && own !== 'leave' ? own : plan.programme
      const seed = (programme ? PROGRAMMES[programme].seed : undefined) ?? zone.grass
      return {
        name: zone.name,
        subject: subjectOver(lawn, station, [zone], plan.blend.length ? plan.blend : pureSeed(seed)),
      }
    })
}

/** Ground that a station and its probe stand on. */
export const groundOf = ({ latDeg, coastal }: StationRecord): Ground => ({
  latDeg,
  coastal,
  texture: 'loam',
  cover: 'thin turf',
  sun: 'full',
})

export function homeSubject(station: StationRecord, code: GrassCode): Subject {
  return {
    place: station.name,
    seed: pureSeed(code),
    mowingMm: grassByCode(code).mowingMm[0],
    heightM: station.heightM,
    stand: undefined,
    risk: { covering: 'covered', slopeShare: 0, bed: { cover: 'compost', coverMm: USUAL_COVER_MM, watering: AS_TOLD } },
    ground: groundOf(station),
  }
}
