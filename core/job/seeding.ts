import { dayOfYear } from '../measure/calendar'
import { depthLimitOf, pureSeed, type Blend } from '../seed/blends'
import { grassByCode, type GrassCode } from '../grass/grasses'
import { allPractices, type Practices } from './decision/practices'
import { PROGRAMMES, type ProgrammeCode } from './decision/programmes'
import { grassOf, zonesOf } from './lawn'
import type { FirmRecord, JobRecord, LawnRecord } from './records'
import { defaultSettings, shallowEnough, type PlanSettings } from './settings'

/** The practices of a job: the firm's, but where it differs. */
export const practicesOf = (
  { practices }: Pick<JobRecord, 'practices'>,
  firm: { practices: Partial<FirmRecord['practices']> },
): Practices => allPractices({ ...firm.practices, ...practices })

/** The grass a programme brings whatever the zones want; undefined where it brings none, or nothing is decided. */
const ownSeedOf = (programme: ProgrammeCode | null): GrassCode | undefined =>
  programme ? PROGRAMMES[programme].seed : undefined

/** What is sown: the job's mixture, or the grass most of the lawn is to have; undefined while nothing says. */
export function sownOn(
  lawn: Pick<LawnRecord, 'zones' | 'measured'>,
  { programme, blend }: Pick<JobRecord, 'programme' | 'blend'>,
): Blend | undefined {
  const own = ownSeedOf(programme)
  if (own) return pureSeed(own)
  if (blend.length) return blend
  const grass = grassOf(lawn)
  return grass && pureSeed(grass)
}

/** What a job that nobody has set anything of begins with, by the practices. */
export function beginningSettings(
  lawn: Pick<LawnRecord, 'zones' | 'measured' | 'latDeg'>,
  { blend, sowOn }: Pick<JobRecord, 'blend' | 'sowOn'>,
  practices: Practices,
  programme: ProgrammeCode,
): PlanSettings {
  const grass = grassByCode(ownSeedOf(programme) ?? grassOf(lawn) ?? 'TF')
  const shares = zonesOf(lawn).map(([, zone]) => zone.desirableShare ?? 0.5)
  const desirableShare = shares.reduce((sum, share) => sum + share, 0) / shares.length
  const inSpring = sowOn !== null && dayOfYear(sowOn) > 182 !== lawn.latDeg >= 0
  const settings = defaultSettings({
    grass,
    desirableShare,
    programme: PROGRAMMES[programme],
    practices: practices,
    inSpring,
  })
  return blend.length ? shallowEnough(settings, depthLimitOf(blend)) : settings
}

/** Settings of a job, or those it would begin with. */
export const settingsOf = (
  lawn: LawnRecord,
  job: JobRecord,
  firm: { practices: Partial<FirmRecord['practices']> },
): PlanSettings => job.settings ?? beginningSettings(lawn, job, practicesOf(job, firm), job.programme ?? 'overseed')
