import { lastingOf } from '../establishment/lasting'
import { sunSeason } from '../establishment/sunSeason'
import { DENSE_SHARE } from '../establishment/stand'
import { say, type Message } from '../explain/message'
import { grassByCode } from '../grass/grasses'
import { figure } from '../measure/figure'
import type { Day } from '../measure/calendar'
import { mainOf } from '../seed/blends'
import type { ZoneSurvey } from '../site/zone'
import type { Glance } from '../establishment/glance'
import { isIrrigated } from './lawn'
import { PROGRAMMES } from './decision/programmes'
import { operationOf } from './operations/registry'
import type { JobPlan } from './planJob'
import type { JobRecord, LawnRecord } from './records'

/** Something for the season after the job, and the day it can be begun on; null where no day follows from anything. */
export interface NextStep {
  text: Message
  from: Day | null
}

/** A zone with what stands on it now, 0-1; null where nobody looked. */
export interface ZoneNow {
  survey: ZoneSurvey
  cover: number | null
}

interface Asked {
  job: JobRecord
  lawn: LawnRecord
  plan: Pick<JobPlan, 'practices' | 'parts' | 'glance'>
  zones: readonly ZoneNow[]
  sownOn: Day
  today: Day
  mowings: { done: number; of: number }
}

/** Weeds on so much of a lawn are worth a treatment of their own. @source own */
const WEEDS_FROM = 0.1
/** Thatch that is left where turf was kept and that slows water. @source turf handbooks: half an inch */
const THATCH_FROM_MM = 12.7

const names = (zones: readonly ZoneNow[]) => zones.map(({ survey }) => survey.name).join(', ')
/** The first run of days that begins after one. */
const opensAfter = (runs: Glance['windows'] | undefined, today: Day): Day | null =>
  runs?.find(({ from }) => from > today)?.from ?? null

function thinSteps({ zones, plan, today }: Asked): NextStep[] {
  const thin = zones.filter(({ cover }) => cover !== null && cover < DENSE_SHARE)
  if (!thin.length) return []
  const open = plan.glance?.windows.find(({ to }) => to >= today)
  const from = open ? (open.from > today ? open.from : today) : null
  const areaM2 = thin.reduce((sum, { survey, cover }) => sum + survey.areaM2 * (1 - cover!), 0)
  return [{ text: say('inspection.nextThin', { zones: names(thin), areaM2: figure('areaM2', areaM2) }), from }]
}

function groundSteps({ zones, plan, job, lawn, today }: Asked): NextStep[] {
  const growing = opensAfter(plan.glance?.growing, today)
  const tested = lawn.soilTest !== null || job.done.some(({ key }) => operationOf(key)?.samples)
  const worn = zones.filter(
    ({ survey }) => survey.wear === 'heavy' || survey.drainage === 'slow' || survey.drainage === 'standing',
  )
  const kept = job.programme !== null && PROGRAMMES[job.programme].keepsTurf
  const thatched = kept ? zones.filter(({ survey }) => survey.thatchMm > THATCH_FROM_MM) : []
  return [
    ...(worn.length ? [{ text: say('inspection.nextCore', { zones: names(worn) }), from: growing }] : []),
    ...(thatched.length ? [{ text: say('inspection.nextThatch', { zones: names(thatched) }), from: growing }] : []),
    ...(tested ? [] : [{ text: say('inspection.nextTest'), from: null }]),
  ]
}

function standSteps({ zones, plan, lawn, sownOn, today, mowings }: Asked): NextStep[] {
  const steps: NextStep[] = []
  const part = plan.parts[0]
  const grass = part && grassByCode(mainOf(part.seed))
  const shaded = zones.filter(({ survey }) => survey.sunHours < grassByCode(survey.grass).sunHours)
  if (shaded.length) steps.push({ text: say('inspection.nextShade', { zones: names(shaded) }), from: null })
  if (grass?.season === 'cool' && sunSeason(sownOn, lawn.latDeg) === 'spring')
    steps.push({ text: say('inspection.nextSummer'), from: null })
  const weedy = zones.filter(({ survey }) => survey.weedShare + survey.coarseShare >= WEEDS_FROM)
  // Not where the client refuses sprays: by hand and by density then, which is what mowing and feeding are for.
  if (weedy.length && lawn.wishes.noSprays !== true)
    steps.push({
      text: say('inspection.nextWeeds', { zones: names(weedy), mowed: mowings.done >= mowings.of }),
      from: mowings.done >= mowings.of ? opensAfter(plan.glance?.growing, today) : null,
    })
  if (grass && plan.glance?.lasting) {
    const lasting = lastingOf(grass, plan.glance.lasting, isIrrigated(lawn))
    if (lasting !== 'lasts')
      steps.push({
        text: say('inspection.nextLasting', { grass: grass.name, never: lasting !== 'doubtful' }),
        from: null,
      })
  }
  return steps
}

/**
 * What a lawn wants in the season after it was brought up: what stands thin, its ground, its feeding, and what the place does
 * to the grass.
 * @source own, of rules of the trade: each is said with the finding it follows from
 */
export function nextSeasonOf(asked: Asked): NextStep[] {
  const { plan, today } = asked
  const grows = opensAfter(plan.glance?.growing, today)
  return [
    ...thinSteps(asked),
    ...standSteps(asked),
    ...groundSteps(asked),
    { text: say('inspection.nextFeed'), from: grows },
    { text: say('inspection.nextCount'), from: grows },
  ]
}
