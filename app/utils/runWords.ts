import type { ZoneWatering } from '#core/water/programme'
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
