import { expect, test } from 'vitest'
import { guessFrom } from '../browserGuess'

test('units, money, zone and words are guessed from a browser, and stay usable where it tells nothing', () => {
  expect(guessFrom('en-US', 'America/Chicago')).toEqual({
    units: 'us',
    currency: 'USD',
    timeZone: 'America/Chicago',
    language: 'en-US',
  })
  expect(guessFrom('en-GB', 'Europe/London')).toMatchObject({ units: 'metric', currency: 'GBP', language: 'en-GB' })
  expect(guessFrom('de', 'Europe/Vienna')).toMatchObject({ units: 'metric', currency: 'EUR', language: 'en-GB' })
  expect(guessFrom('en', 'UTC')).toMatchObject({ units: 'us', currency: 'USD', timeZone: 'America/New_York' })
  expect(guessFrom('not a language', undefined)).toMatchObject({ currency: 'USD', timeZone: 'America/New_York' })
})
