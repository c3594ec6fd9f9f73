import { expect, test } from 'vitest'
import { planSchema, settingsSchema } from '#contract/lawn'
import { lookSchema, zoneSchema } from '#contract/look'
import { aLook, aZone, ZONE_ID } from '../../../contract/test/looks'
import { toDay } from '#core/measure/calendar'
import { fieldName, fieldText } from '../fieldWords'
import { PLACES } from '../places'

test('every field that two people can change has a name in words', () => {
  const paths = [
    ...Object.keys(lookSchema.shape),
    ...Object.keys(planSchema.shape),
    ...Object.keys(settingsSchema.shape)
      .filter((key) => key !== 'lot')
      .map((key) => `settings.${key}`),
    ...Object.keys(zoneSchema.shape).map((key) => `zones.${ZONE_ID}.${key}`),
    `zones.${ZONE_ID}`,
    'water.timesADay',
    'features.x.points',
    ...Object.keys(settingsSchema.shape.lot.shape).map((key) => `settings.lot.${key}`),
  ].filter((path) => path !== 'version')
  expect(paths.length).toBeGreaterThan(25)
  expect(paths.filter((path) => fieldName(path) === path)).toEqual([])
})

test('its values are told as people read them', () => {
  expect(fieldText(`zones.${ZONE_ID}.mowingHeightMm`, 76.2, 'us')).toBe('3 in')
  expect(fieldText(`zones.${ZONE_ID}.mowingHeightMm`, 76.2, 'metric')).toBe('76.2 mm')
  expect(fieldText(`zones.${ZONE_ID}.desirableShare`, 0.56, 'us')).toBe('56.0%')
  expect(fieldText('sowOn', toDay('2026-09-18'), 'us')).toBe('Fri Sep 18')
  expect(fieldText(`zones.${ZONE_ID}.grass`, 'TF', 'us')).toBe('tall fescue')
  expect([fieldText('address', '', 'us'), fieldText('zones.x.plugsMm', [], 'us')]).toEqual(['empty', 'empty'])
  expect(fieldText('applications', [{ ingredient: 'prodiamine', appliedOn: '2026-05-04', waitDays: 184 }], 'us')).toBe(
    'prodiamine, 2026-05-04',
  )
  expect(fieldText('settings', { bags: [] }, 'us')).toBe('changed')
  const two = aLook({
    zones: {
      [ZONE_ID]: aZone({ name: 'Front' }),
      '5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e02': aZone({ name: 'Back', order: 1 }),
    },
  })
  expect(fieldName(`zones.${ZONE_ID}.plugsMm`, two)).toBe('Thatch, Front')
  expect(fieldText(`zones.${ZONE_ID}.plugsMm`, [12.7, 15.9], 'us')).toBe('½ in, ⅝ in')
})

test('every place has a key of its own', () => {
  expect(new Set(PLACES.map(({ key }) => key)).size).toBe(PLACES.length)
})
