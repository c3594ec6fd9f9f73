import { expect, test } from 'vitest'
import { placeIn } from '../placeText'

test.each([
  // Examples of RFC 5870, sections 6.1 and 6.2.
  ['geo:48.2010,16.3695,183', 48.201, 16.3695],
  ['geo:48.198634,16.371648;crs=wgs84;u=40', 48.198634, 16.371648],
  ['geo:13.4125,103.8667', 13.4125, 103.8667],
  ['37.06, -79.38', 37.06, -79.38],
  ['37.06 -79.38', 37.06, -79.38],
  ['(-33.9;18.4)', -33.9, 18.4],
  ['37.06 N 79.38 W', 37.06, -79.38],
  [`37°03'36"N 79°22'48"W`, 37.06, -79.38],
  ['37°3.6′ N, 79°22.8′ W', 37.06, -79.38],
  ['https://maps.example/?mlat=37.06&mlon=-79.38#map=15/0/0', 37.06, -79.38],
  ['https://maps.example/#map=15/37.06/-79.38', 37.06, -79.38],
  ['https://maps.example/maps/@37.06,-79.38,15z', 37.06, -79.38],
  ['https://maps.example/?q=37.06%2C-79.38', 37.06, -79.38],
  ['https://maps.example/?ll=37.06,-79.38&z=9', 37.06, -79.38],
])('%s is a place', (text, latDeg, lonDeg) => {
  const place = placeIn(text)
  expect(place?.latDeg).toBeCloseTo(latDeg, 6)
  expect(place?.lonDeg).toBeCloseTo(lonDeg, 6)
})

test.each([
  '',
  'Quarry Rise',
  '37',
  '97, 12',
  '12, 200',
  'geo:ninety,4',
  'https://maps.example/place/Odell',
  '37 N 38 N',
])('“%s” is none', (text) => {
  expect(placeIn(text)).toBeUndefined()
})

test('no text holds it up', () => {
  const start = performance.now()
  for (const text of ['1'.repeat(1e6), '1.'.repeat(1e5), "1°1'".repeat(1e5), `https://x/?lat=${'1'.repeat(1e6)}`])
    placeIn(text)
  // A backtracking pattern over a megabyte would take minutes.
  expect(performance.now() - start).toBeLessThan(2000)
})
