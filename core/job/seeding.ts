import { dayOfYear } from '../measure/calendar'
import { beginsWithPhosphorus, USUAL_FEED_RULES, type FeedRules } from '../materials/feedRules'
import { supplyOf } from '../site/soilTest'
import { depthLimitOf, pureSeed, type Blend } from '../seed/blends'
import { grassByCode, type GrassCode } from '../grass/grasses'
import type { Practices } from './decision/practices'
import { allPractices } from './decision/usualPractices'
import { PROGRAMMES, type ProgrammeCode } from './decision/programmes'
import { grassOf, zonesOf } from './lawn'
import { PLANNING, type Planning } from './planningFigures'
import type { FirmRecord, JobRecord, LawnRecord } from './records'
import { swardByCode } from '../grass/swards'
import { lowestCutMm } from './scalpHeight'
import { defaultSettings, shallowEnough, type CutLimits, type PlanSettings } from './settings'

/** The practices of a job: the firm's, but where it differs. */
export const practicesOf = (
  { practices }: Pick<JobRecord, 'practices'>,
  firm: { practices: Partial<FirmRecord['practices']> },
): Practices => allPractices({ ...firm.practices, ...practices })

/** The grass a programme brings whatever the zones want; undefined where it brings none, or nothing is decided. */
const ownSeedOf = (programme: ProgrammeCode | null, practices: Practices): GrassCode | undefined =>
  programme ? PROGRAMMES[programme].seed?.(practices) : undefined

/** What is sown: the job's mixture, or the grass most of the lawn is to have; undefined while nothing says. */
export function sownOn(
  lawn: Pick<LawnRecord, 'zones' | 'measured'>,
  { programme, blend }: Pick<JobRecord, 'programme' | 'blend'>,
  practices: Practices,
): Blend | undefined {
  const own = ownSeedOf(programme, practices)
  if (own) return pureSeed(own)
  if (blend.length) return blend
  const grass = grassOf(lawn)
  return grass && pureSeed(grass)
}

/** What a scalp of the whole lawn may go down to: as low as its tenderest zone bears. */
function cutLimits(lawn: Pick<LawnRecord, 'zones'>, programme: ProgrammeCode, notchMm: number): Partial<CutLimits> {
  const standing = Object.values(lawn.zones).flatMap(({ sward, desirableShare }) =>
    sward ? [{ sward, desirableShare: desirableShare ?? 0.5 }] : [],
  )
  if (!standing.length) return { notchMm }
  return {
    notchMm,
    standingMm: Math.min(...standing.map(({ sward }) => swardByCode(sward).mowingMm[0])),
    floorMm: Math.max(...standing.map((one) => lowestCutMm(one, PROGRAMMES[programme]))),
  }
}

/** How low the firm's mower is set, and the law of its place. */
type Habits = { planning: Pick<Planning, 'mowerNotch'>; feedRules: FeedRules }
const USUAL_HABITS: Habits = { planning: { mowerNotch: PLANNING.mowerNotch.value }, feedRules: USUAL_FEED_RULES }

/** What a job that nobody has set anything of begins with, by the practices. */
export function beginningSettings(
  lawn: Pick<LawnRecord, 'zones' | 'measured' | 'latDeg' | 'soilTest'>,
  { blend, sowOn }: Pick<JobRecord, 'blend' | 'sowOn'>,
  practices: Practices,
  programme: ProgrammeCode,
  { planning: { mowerNotch }, feedRules }: Habits = USUAL_HABITS,
): PlanSettings {
  const own = ownSeedOf(programme, practices)
  const grass = grassByCode(own ?? grassOf(lawn) ?? 'TF')
  const shares = zonesOf(lawn).map(([, zone]) => zone.desirableShare ?? 0.5)
  const desirableShare = shares.reduce((sum, share) => sum + share, 0) / shares.length
  const inSpring = sowOn !== null && dayOfYear(sowOn) > 182 !== lawn.latDeg >= 0
  const [p, k] = [supplyOf(lawn.soilTest, 'p'), supplyOf(lawn.soilTest, 'k')]
  const settings = defaultSettings({
    grass,
    ...(own || !blend.length ? {} : { seed: blend }),
    desirableShare,
    programme: PROGRAMMES[programme],
    practices: practices,
    inSpring,
    phosphorus: beginsWithPhosphorus(feedRules.phosphorus, p, PROGRAMMES[programme].anchor === 'seeding'),
    potassium: k,
    cut: cutLimits(lawn, programme, mowerNotch),
  })
  return blend.length ? shallowEnough(settings, depthLimitOf(blend)) : settings
}

/** Settings of a job, or those it would begin with. */
export const settingsOf = (
  lawn: LawnRecord,
  job: JobRecord,
  firm: { practices: Partial<FirmRecord['practices']> } & Habits,
): PlanSettings =>
  job.settings ?? beginningSettings(lawn, job, practicesOf(job, firm), job.programme ?? 'overseed', firm)
