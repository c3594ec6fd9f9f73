import type { Language } from '#words/message'
import type { UnitSystem } from '#core/measure/figure'

/** Currencies by region; others begin with dollars. @source ISO 4217 and ISO 3166, from memory */
const CURRENCIES: Readonly<Record<string, string>> = {
  US: 'USD',
  CA: 'CAD',
  GB: 'GBP',
  AU: 'AUD',
  NZ: 'NZD',
  ZA: 'ZAR',
  CH: 'CHF',
  SE: 'SEK',
  NO: 'NOK',
  DK: 'DKK',
  JP: 'JPY',
  ...Object.fromEntries(
    ['AT', 'BE', 'DE', 'ES', 'FI', 'FR', 'GR', 'IE', 'IT', 'LU', 'NL', 'PT', 'SI', 'SK'].map((region) => [
      region,
      'EUR',
    ]),
  ),
}
/** Regions that measure in feet and pounds. */
const CUSTOMARY = ['US', 'LR', 'MM']

export interface Guess {
  units: UnitSystem
  currency: string
  timeZone: string
  language: Language
}

/**
 * How a browser's owner most likely counts, until they say otherwise.
 * @param language of the browser, such as "en-GB" @param timeZone as it tells it; a machine set to UTC tells nothing
 */
export function guessFrom(language: string, timeZone: string | undefined): Guess {
  let region: string | undefined
  try {
    region = new Intl.Locale(language).maximize().region
  } catch {
    region = undefined
  }
  return {
    units: CUSTOMARY.includes(region ?? 'US') ? 'us' : 'metric',
    currency: CURRENCIES[region ?? 'US'] ?? 'USD',
    timeZone: timeZone && timeZone !== 'UTC' ? timeZone : 'America/New_York',
    language: region === 'US' || region === 'CA' || !region ? 'en-US' : 'en-GB',
  }
}
