import { expect, test } from 'vitest'
import { planSchema, settingsSchema } from '#contract/lawn'
import { lookSchema } from '#contract/look'
import { toDay } from '#core/quantity/calendar'
import { fieldName, fieldText } from '../fieldWords'
import { PLACES } from '../places'

test('every field that two people can change has a name in words', () => {
  const paths = [
    ...Object.keys(lookSchema.shape), ...Object.keys(planSchema.shape), ...Object.keys(settingsSchema.shape).filter((key) => key !== 'lot').map((key) => `settings.${key}`),
    ...Object.keys(settingsSchema.shape.lot.shape).map((key) => `settings.lot.${key}`),
  ].filter((path) => path !== 'version')
  expect(paths.length).toBeGreaterThan(25)
  expect(paths.filter((path) => fieldName(path) === path)).toEqual([])
})

test('its values are told as people read them', () => {
  expect(fieldText('mowingHeightMm', 76.2, 'us')).toBe('3 in')
  expect(fieldText('mowingHeightMm', 76.2, 'metric')).toBe('76.2 mm')
  expect(fieldText('desirableShare', 0.56, 'us')).toBe('56.0%')
  expect(fieldText('sowOn', toDay('2026-09-18'), 'us')).toBe('Fri 18 Sep')
  expect(fieldText('grass', 'TF', 'us')).toBe('tall fescue')
  expect([fieldText('address', '', 'us'), fieldText('thatchMm', null, 'us')]).toEqual(['empty', 'empty'])
  expect(fieldText('applications', [{ ingredient: 'prodiamine', appliedOn: '2026-05-04', waitDays: 184 }], 'us')).toBe('prodiamine, 2026-05-04')
  expect(fieldText('settings', { bags: [] }, 'us')).toBe('other settings')
})

test('every place has a key of its own', () => {
  expect(new Set(PLACES.map(({ key }) => key)).size).toBe(PLACES.length)
})
