import { expect, test } from 'vitest'
import { hourWords, readHours } from '../hourWords'

test('an hour is said as its clock says it', () => {
  // The narrow no-break space of Unicode's locale data stands before AM.
  expect([0, 6, 12, 18].map((hour) => hourWords(hour).replace(/\s/g, ' '))).toEqual(['12 AM', '6 AM', '12 PM', '6 PM'])
})

test.each([
  ['', []],
  ['5-10', [[5, 10]]],
  [
    '5-10, 17-20',
    [
      [5, 10],
      [17, 20],
    ],
  ],
  [
    '05:00 to 9:00; 20–24',
    [
      [5, 9],
      [20, 24],
    ],
  ],
  ['whenever', undefined],
  ['10-5', undefined],
  ['5-25', undefined],
  ['5-6, 7-8, 9-10, 11-12', undefined],
  ['5-10,,', [[5, 10]]],
])('hours typed as %j are read', (typed, hours) => {
  expect(readHours(typed)).toEqual(hours)
})
