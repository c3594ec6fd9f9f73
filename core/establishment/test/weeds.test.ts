import { expect, test } from 'vitest'
import { climateFromNormals } from '../../weather/climate'
import { mirrored } from '../../weather/normals'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { daysBetween, toDay, type Day } from '../../measure/calendar'
import { buildSeason } from '../season'
import { weedsByDay } from '../weeds'

const season = (on: Day, latDeg: number, normals = COLUMBUS) =>
  buildSeason({
    today: on,
    observed: [],
    forecast: [],
    climate: climateFromNormals(normals),
    years: 20,
    seed: 2,
    ground: { latDeg, coastal: false, texture: 'loam', cover: 'bare', sun: 'full' },
  })

// Crabgrass from 13 °C of rising soil: mid to late April in the Midwest; annual bluegrass from late summer on, as
// soil cools below 21 °C. Extension knowledge, from memory.
test('crabgrass comes with spring sowings, annual bluegrass with autumn ones, on both sides of the equator', () => {
  const north = season(toDay('2026-03-01'), COLUMBUS_LAT)
  const told = weedsByDay(north, north.todayIndex + 300)
  const on = (day: string) => told[daysBetween(north.first, toDay(day))]!
  expect(on('2026-05-01')).toEqual(['crabgrass'])
  expect(on('2026-09-20')).toEqual(['annual bluegrass'])
  expect(on('2026-12-20')).toEqual([])
  const first = told.findIndex((weeds, i) => i >= north.todayIndex && weeds.includes('crabgrass'))
  expect(first - daysBetween(north.first, toDay('2026-03-01'))).toBeLessThan(45)
  const south = season(toDay('2026-09-01'), -COLUMBUS_LAT, mirrored(COLUMBUS))
  expect(weedsByDay(south, south.todayIndex + 100)[daysBetween(south.first, toDay('2026-11-01'))]).toEqual([
    'crabgrass',
  ])
})
