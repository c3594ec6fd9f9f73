import { addDays, type Day } from '#core/measure/calendar'
import { figure, showText, type UnitSystem } from '#core/measure/figure'
import type { GateState } from '#core/explain/judgement'
import type { GerminationCause } from '#core/learning/cause'
import type { LeafStage } from '#core/learning/leafStage'
import { perFrame } from '#core/learning/germination'
import type { Watch, WatchAction, ZoneWatch } from '#core/job/watch'
import { shortDay } from './days'
import { oneDecimal } from './oneDecimal'
import { t } from './words'

/** Name of a stage of leaves. */
export function leafStageName(stage: LeafStage): string {
  const names: Record<LeafStage, string> = {
    'one leaf': t('watch.leafOne'),
    'second leaf': t('watch.leafSecond'),
    'two to three leaves': t('watch.leafThree'),
    tillering: t('watch.leafTiller'),
  }
  return names[stage]
}

/** How a zone stands, the gravest first. */
const GRAVITY = ['failed', 'behind', 'overfull', 'weak', 'early', 'none', 'on track', 'ahead'] as const
export type ZoneStand = (typeof GRAVITY)[number]

export function standOf({ counts, actions }: ZoneWatch): ZoneStand {
  const last = counts.at(-1)
  if (!last) return 'none'
  if (actions.some(({ code }) => code === 'overfull')) return 'overfull'
  return last.state === 'on track' && last.weak.length ? 'weak' : last.state
}

/** The zone that wants looking at first. */
export const gravest = (zones: readonly ZoneWatch[]): ZoneWatch | undefined =>
  [...zones].sort((a, b) => GRAVITY.indexOf(standOf(a)) - GRAVITY.indexOf(standOf(b)))[0]

export const GLYPH: Record<ZoneStand, GateState> = {
  failed: 'hold',
  behind: 'risk',
  overfull: 'risk',
  weak: 'risk',
  early: 'waiting',
  none: 'waiting',
  'on track': 'met',
  ahead: 'met',
}

/** What is said first of all zones: of those that stand worst. */
export function verdictWords({ zones, sownOn }: Watch, today: Day): string {
  const worst = gravest(zones)
  if (!worst) return t('watch.tooLongAgo')
  const stand = standOf(worst)
  const names = zones.filter((zone) => standOf(zone) === stand).map(({ name }) => name)
  const said = { zones: names.join(', ') }
  if (stand === 'none') {
    const count = worst.actions.find((action) => action.code === 'count')
    return t('watch.verdictNone', { day: shortDay(count?.on ?? addDays(sownOn, 7), today) })
  }
  const WORDS = {
    early: t('watch.verdictEarly'),
    'on track': t('watch.verdictTrack'),
    ahead: t('watch.verdictAhead'),
    behind: t('watch.verdictBehind', said),
    failed: t('watch.verdictFailed', said),
    weak: t('watch.verdictWeak', said),
    overfull: t('watch.verdictOverfull', said),
  }
  return WORDS[stand]
}

/** What the last count of a zone says. */
export function zoneSays(
  { name, counts, covers, learned, perCm2, course }: ZoneWatch,
  sownOn: Day,
  today: Day,
): string[] {
  const seenCover = covers.at(-1)
  const cover = seenCover
    ? [
        t('watch.zoneCover', {
          zone: name,
          percent: Math.round(seenCover.share * 100),
          expected: seenCover.expected === null ? 'none' : String(Math.round(seenCover.expected * 100)),
        }),
      ]
    : []
  const last = counts.at(-1)
  if (!last) return [t('watch.noneCounted', { day: shortDay(addDays(sownOn, course.up50 ?? 10), today) }), ...cover]
  const mean = oneDecimal(last.interval.mean)
  if (last.state === 'early') return [t('watch.zoneEarly', { zone: name, mean }), ...cover]
  const { low, high } = last.interval
  const words = [
    t('watch.zoneLine', {
      zone: name,
      mean,
      low: oneDecimal(low),
      high: oneDecimal(high),
      expected: oneDecimal(last.expected),
    }),
  ]
  const off = last.daysBehind
  if (off) words.push(t(off > 0 ? 'watch.daysBehind' : 'watch.daysAhead', { days: Math.abs(off) }))
  if (!last.sure && last.state !== 'on track') words.push(t('watch.notSure'))
  if (last.interval.patchy) words.push(t('watch.patchy'))
  if (learned) {
    const seedlings = oneDecimal(learned.factor * perFrame(perCm2, last.frameMm))
    const percent = Math.round(learned.factor * 100)
    const [from, to] = [Math.round(learned.factorLow * 100), Math.round(learned.factorHigh * 100)]
    const delay = Math.round(learned.delayDays)
    words.push(
      delay < 0
        ? t('watch.learnedEarly', { seedlings, percent, low: from, high: to, days: -delay })
        : t('watch.learned', { seedlings, percent, low: from, high: to, delay }),
    )
  }
  return [...words, ...cover]
}

/** A cause by its name, as somebody chooses one. */
export function causeName(cause: GerminationCause): string {
  const NAMES: Record<GerminationCause, string> = {
    dry: t('watch.nameDry'),
    washout: t('watch.nameWashout'),
    birds: t('watch.nameBirds'),
    cold: t('watch.nameCold'),
    shade: t('watch.nameShade'),
    unknown: t('watch.nameUnknown'),
  }
  return NAMES[cause]
}

export function causeOfZone({ evidence }: ZoneWatch, cause: GerminationCause): string {
  const WORDS: Record<GerminationCause, string> = {
    dry: t('watch.causeDry', {
      missed: evidence.missed,
      found: evidence.foundDry,
      hours: Math.round(evidence.dryHours),
    }),
    washout: t('watch.causeWashout', { seen: evidence.seenWashed }),
    birds: t('watch.causeBirds'),
    cold: t('watch.causeCold', { days: Math.round(evidence.colderDays) }),
    shade: t('watch.causeShade'),
    unknown: t('watch.causeUnknown'),
  }
  return t('watch.likely', { cause: WORDS[cause] })
}

export function actionWords(action: WatchAction, today: Day, units: UnitSystem): string {
  switch (action.code) {
    case 'count':
      return t('watch.actCount', { day: shortDay(action.on, today) })
    case 'wait':
      return t('watch.actWait', { day: shortDay(action.until, today) })
    case 'water':
      return t('watch.actWater')
    case 'overfull':
      return t('watch.actOverfull')
    case 'nothing':
      return t('watch.actNothing')
    case 'reseed': {
      const areaM2 = showText(figure('areaM2', action.areaM2), units)
      const massKg = showText(figure('massKg', action.massKg), units)
      return action.on
        ? t('watch.actReseed', { areaM2, massKg, day: shortDay(action.on, today) })
        : t('watch.actReseedNoWindow', { areaM2, massKg, day: shortDay(action.from, today) })
    }
  }
}
