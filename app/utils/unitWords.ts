import type { UnitSystem } from '#core/measure/figure'

/** The two systems as a firm calls them. */
export const UNIT_WORDS = { us: 'feet and pounds', metric: 'metres and grams' } as const satisfies Record<
  UnitSystem,
  string
>

export const UNIT_ITEMS: { label: string; value: UnitSystem }[] = [
  { label: UNIT_WORDS.us, value: 'us' },
  { label: UNIT_WORDS.metric, value: 'metric' },
]
