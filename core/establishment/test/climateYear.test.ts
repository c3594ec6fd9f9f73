import { expect, test } from 'vitest'
import { addDays } from '../../measure/calendar'
import { normalsFromFewFigures } from '../../weather/fewFigures'
import { mirrored } from '../../weather/normals'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { climateYear } from '../climateYear'

const PLACE = { latDeg: COLUMBUS_LAT, coastal: false }
const year = climateYear(COLUMBUS, PLACE, 'TF', 2026)
const warmest = (soilC: number[]) => soilC.indexOf(Math.max(...soilC))

test('the soil of a year is warmest after midsummer, and the years lie about their middle', () => {
  expect(year.soilC.median).toHaveLength(365)
  expect(addDays(year.first, warmest(year.soilC.median)) >= '2026-07-01').toBe(true)
  expect(addDays(year.first, warmest(year.soilC.median)) <= '2026-08-20').toBe(true)
  year.soilC.median.forEach((middle, i) => {
    expect(year.soilC.p05[i]).toBeLessThanOrEqual(middle)
    expect(year.soilC.p95[i]).toBeGreaterThanOrEqual(middle)
  })
})

test('tall fescue takes from late summer to early autumn', () => {
  // Extension calendars, from memory: mid August to mid September in the upper Midwest, into October farther south.
  const autumn = year.windows.find(({ best }) => best >= '2026-08-10' && best <= '2026-10-10')
  expect(autumn).toBeDefined()
})

test('a few figures of the place tell a year within two weeks of that of its normals', () => {
  const few = normalsFromFewFigures(
    {
      hottest: { tmaxC: COLUMBUS.tmaxC[6]!, tminC: COLUMBUS.tminC[6]! },
      coldest: { tmaxC: COLUMBUS.tmaxC[0]!, tminC: COLUMBUS.tminC[0]! },
      rainMm: COLUMBUS.rainMm.reduce((sum, mm) => sum + mm, 0),
      wettest: null,
      lastFrost: null,
      firstFrost: null,
    },
    COLUMBUS_LAT,
  )
  const told = climateYear(few, PLACE, 'TF', 2026)
  /** Day of autumn on which the soil falls below 15 °C for good. */
  const cools = ({ soilC }: typeof year) => soilC.median.findLastIndex((tempC) => tempC >= 15)
  expect(Math.abs(cools(told) - cools(year))).toBeLessThanOrEqual(14)
})

test('south of the equator the year is turned by half', () => {
  const south = climateYear(mirrored(COLUMBUS), { ...PLACE, latDeg: -COLUMBUS_LAT }, 'TF', 2026)
  const apart = (warmest(year.soilC.median) - warmest(south.soilC.median) + 365) % 365
  expect(Math.abs(apart - 182)).toBeLessThanOrEqual(25)
})
