import { told } from '../../explain/test/told'
import { expect, test } from 'vitest'
import { SOWN_AHEAD } from '../../establishment/season'
import { addDays, toDay } from '../../measure/calendar'
import { dayOutOfReach } from '../decision/dayInReach'

const TODAY = toDay('2026-09-08')

test('from today to the last day that is worked out can be planned, and no day besides', () => {
  expect(dayOutOfReach(TODAY, TODAY)).toBeUndefined()
  expect(dayOutOfReach(addDays(TODAY, SOWN_AHEAD - 1), TODAY)).toBeUndefined()
  expect(told(dayOutOfReach(addDays(TODAY, -1), TODAY)!)).toMatch(/has passed/)
  expect(told(dayOutOfReach(addDays(TODAY, SOWN_AHEAD), TODAY)!)).toMatch(/too far ahead/)
})
