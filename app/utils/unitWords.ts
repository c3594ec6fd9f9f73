import type { UnitSystem } from '#core/measure/figure'
import { t } from './words'

/** The two systems as a firm calls them. */
export const unitWords = (units: UnitSystem): string =>
  units === 'us' ? t('firm.feetAndPounds') : t('firm.metresAndGrams')

export const unitItems = (): { label: string; value: UnitSystem }[] =>
  (['us', 'metric'] as const).map((value) => ({ label: unitWords(value), value }))
