import { figure } from '#core/measure/figure'
import type { PhasePlan, ZoneWatering } from '#core/water/programme'
import { HERE, type Reader } from './words'

/** How long an irrigation zone runs, in words. */
export const runWords = (run: ZoneWatering['run'], { t }: Pick<Reader, 't'> = HERE): string =>
  !run
    ? t('water.nobody')
    : run.runs > 1
      ? t('water.cycleSoak', {
          runs: run.runs,
          minutes: Math.max(1, Math.round(run.minutes)),
          soak: Math.max(1, Math.round(run.soakMinutes)),
        })
      : t('water.minutesOf', { minutes: Math.max(1, Math.round(run.minutes)) })

/** How often a phase is watered, in words. */
export const oftenWords = (
  { everyDays, timesADay, code, depthMm }: PhasePlan,
  { t, text }: Pick<Reader, 't' | 'text'> = HERE,
): string =>
  code === 'established'
    ? t('water.weekly', { depth: text(figure('waterMm', (depthMm * timesADay * 7) / everyDays)) })
    : everyDays > 1
      ? t('water.everyDays', { days: everyDays })
      : t('water.everyDay', { times: timesADay })
