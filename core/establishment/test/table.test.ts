import { beforeAll, describe, expect, test } from 'vitest'
import { addDays, dayNumber, toDay, type Day } from '../../measure/calendar'
import { grassByCode, type GrassCode } from '../../grass/grasses'
import { pureSeed } from '../../seed/blends'
import { climateFromNormals } from '../../weather/climate'
import { WEATHER_SEED } from '../../weather/generator'
import { mirrored, type Normals } from '../../weather/normals'
import { ATLANTA, ATLANTA_LAT, COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import type { Ground } from '../../soil/soilCourse'
import { AS_TOLD } from '../../water/topLayer'
import { candidateDays } from '../candidates'
import { bedWater, type SeedWater } from '../moisture'
import { summarise } from '../outlook'
import { buildSeason, DAYS_BEHIND, SOWN_AHEAD, type Season } from '../season'
import { judgeYear, type SeedbedRisk } from '../sowing'
import { oddsByDay, sowingWindows, type DayOdds } from '../window'

// Years of 100 with a good stand, from handbook seeding calendars (from memory) and an independent calculation: a covered
// bed, watered as told, flat, no sward, no pre-emergent. Where two months are given, sines with the coldest day in the
// middle of January, July in the south.
const YEARS = 200
const TODAY = toDay('2026-07-25')
const BED = { cover: 'compost', coverMm: 5, watering: AS_TOLD } as const
const RISK: SeedbedRisk = { covering: 'covered', slopeShare: 0, bed: BED }

/** Monthly means between the highs and lows of two months. */
function sines(
  latDeg: number,
  [coldHigh, coldLow]: [number, number],
  [hotHigh, hotLow]: [number, number],
  rainMm: number,
  wetDays: number,
): Normals {
  const course = (cold: number, hot: number) =>
    Array.from(
      { length: 12 },
      (_, m) => (cold + hot) / 2 - ((hot - cold) / 2) * Math.cos((2 * Math.PI * (latDeg < 0 ? m + 6 : m)) / 12),
    )
  const even = (year: number) => Array<number>(12).fill(year / 12)
  return {
    tmaxC: course(coldHigh, hotHigh),
    tminC: course(coldLow, hotLow),
    rainMm: even(rainMm),
    wetDays: even(wetDays),
  }
}

interface Place {
  latDeg: number
  normals: Normals
  coastal?: boolean
  season?: Season
  waters?: SeedWater[]
}
const PLACES = {
  maritime: { latDeg: 54, normals: sines(54, [7, 2], [20, 12], 750, 190), coastal: true },
  Columbus: { latDeg: COLUMBUS_LAT, normals: COLUMBUS },
  continental: { latDeg: 44, normals: sines(44, [-5, -14], [28, 17], 700, 110) },
  Atlanta: { latDeg: ATLANTA_LAT, normals: ATLANTA },
  subtropical: { latDeg: 28, normals: sines(28, [22, 10], [33, 24], 1200, 120) },
  south: { latDeg: -33, normals: sines(-33, [16, 6], [29, 18], 700, 110) },
} satisfies Record<string, Place>

function season({ latDeg, normals, coastal = false }: Place): { season: Season; waters: SeedWater[] } {
  const ground: Ground = { latDeg, coastal, texture: 'loam', cover: 'thin turf', sun: 'full' }
  const of = buildSeason({
    today: TODAY,
    observed: [],
    forecast: [],
    climate: climateFromNormals(normals),
    ground,
    years: YEARS,
    seed: WEATHER_SEED,
  })
  const waters = of.years.map(({ weather }) => {
    const { factor, dryHours, warmerK } = bedWater(weather, ground, 0, BED)
    return { factor, dryHours, warmerK }
  })
  return { season: of, waters }
}
const shown = DAYS_BEHIND + SOWN_AHEAD
const oddsOf = ({ season: of, waters }: ReturnType<typeof season>, code: GrassCode): DayOdds[] =>
  oddsByDay(
    of.years.map((year, y) => judgeYear(year, grassByCode(code), RISK, waters[y])),
    shown,
  )
const at = (day: string) => DAYS_BEHIND + dayNumber(toDay(day)) - dayNumber(TODAY)

describe.each([
  [
    'maritime',
    [
      ['PRG', '2027-04-16', 80, 100],
      ['PRG', '2026-09-13', 90, 100],
      ['PRG', '2026-10-13', 75, 100],
      ['PRG', '2026-11-12', 0, 30],
    ],
  ],
  [
    'Columbus',
    [
      ['TF', '2027-04-16', 60, 90],
      ['TF', '2027-05-16', 0, 60],
      ['TF', '2026-08-14', 45, 80],
      ['TF', '2026-08-29', 90, 100],
      ['TF', '2026-09-13', 90, 100],
      ['TF', '2026-09-28', 90, 100],
      ['TF', '2026-10-28', 0, 20],
      ['KBG', '2027-04-16', 30, 65],
      ['KBG', '2026-08-29', 85, 100],
      ['KBG', '2026-09-13', 85, 100],
      ['KBG', '2026-10-13', 0, 20],
      ['PRG', '2026-10-13', 65, 100],
      ['PRG', '2026-10-28', 0, 30],
    ],
  ],
  [
    'continental',
    [
      ['KBG', '2026-08-14', 85, 100],
      ['KBG', '2026-09-10', 20, 70],
      ['KBG', '2026-09-25', 0, 15],
    ],
  ],
  [
    'Atlanta',
    [
      ['TF', '2027-03-17', 70, 95],
      ['TF', '2027-05-16', 0, 30],
      ['TF', '2026-08-14', 0, 30],
      ['TF', '2026-09-28', 85, 100],
      ['TF', '2026-10-13', 85, 100],
      ['TF', '2026-10-28', 85, 100],
      ['BER', '2027-05-16', 80, 100],
      ['BER', '2027-06-15', 80, 100],
      ['BER', '2027-07-15', 80, 100],
      ['BER', '2026-08-29', 0, 35],
    ],
  ],
] as const)('good stands of 200 years, %s', (place, rows) => {
  let odds: Partial<Record<GrassCode, DayOdds[]>> = {}
  beforeAll(() => {
    const made = season(PLACES[place])
    odds = Object.fromEntries([...new Set(rows.map(([code]) => code))].map((code) => [code, oddsOf(made, code)]))
  })
  test.each(rows.map((row) => row))('%s sown %s: %i to %i of 100', (code, day, least, most) => {
    const { of100 } = odds[code]![at(day)]!.chance
    expect(of100).toBeGreaterThanOrEqual(least)
    expect(of100).toBeLessThanOrEqual(most)
  })
  test('the best of spring is below the best of autumn where winters are cold, and weeds and heat are its first causes', () => {
    const [code] = rows[0]
    if (place === 'maritime') return
    const best = (from: string, to: string) => {
      const days = odds[code]!.slice(at(from), at(to))
      return days.reduce((a, b) => (b.chance.of100 > a.chance.of100 ? b : a))
    }
    const [autumn, spring] = [best('2026-08-01', '2026-11-15'), best('2027-03-01', '2027-06-15')]
    expect(spring.chance.of100).toBeLessThan(autumn.chance.of100)
    const may = odds[code]![at('2027-05-01')]!.causes
    expect(may.weeds + may.heat).toBeGreaterThan(may.cold + may.frost + may.washout + may.dry)
  })
})

test('annual ryegrass as winter color at 28° opens between the middle of October and the tenth of November', () => {
  const { season: of } = season(PLACES.subtropical)
  const { windows } = summarise(of, pureSeed('ARG'), { ...RISK, winterColour: true }, 50, PLACES.subtropical.normals)
  const [first] = windows
  expect(first!.from >= '2026-10-15' && first!.from <= '2026-11-10').toBe(true)
  expect(first!.chance.of100).toBeGreaterThanOrEqual(85)
})

test('tall fescue at 33° south has its windows from March to October, and none of summer', () => {
  const made = season(PLACES.south)
  const odds = oddsOf(made, 'TF')
  const candidate = candidateDays(made.season, 'cool', false, shown)
  const windows = sowingWindows(odds, candidate, DAYS_BEHIND, shown - 1)
  const day = (i: number): Day => addDays(TODAY, i - DAYS_BEHIND)
  const ofYear = windows.filter(({ best }) => day(best) >= '2027-01-01' && day(best) <= '2027-12-31')
  expect(ofYear.length >= 1 && ofYear.length <= 2).toBe(true)
  expect(ofYear.every(({ best }) => day(best) >= '2027-03-01' && day(best) <= '2027-10-31')).toBe(true)
  expect(Math.max(...ofYear.map(({ chance }) => chance.of100))).toBeGreaterThanOrEqual(95)
  const mean = (month: string) => {
    const days = Array.from({ length: 28 }, (_, d) => odds[at(`2027-${month}-01`) + d]!.chance.of100)
    return days.reduce((sum, of100) => sum + of100, 0) / days.length
  }
  expect(Math.min(mean('04'), mean('05'))).toBeGreaterThanOrEqual(odds[at('2026-09-15')]!.chance.of100 - 0.5)
  expect(odds[at('2027-01-15')]!.chance.of100).toBeLessThanOrEqual(60)
})

test('at Columbus mirrored to the south every window moves by half a year, within five days', () => {
  const middles = (place: Place, from: Day) => {
    const { season: of } = season(place)
    const { windows } = summarise(of, pureSeed('TF'), RISK, 75, place.normals)
    return windows
      .filter(({ best }) => best >= from && best < addDays(from, 365))
      .map(({ from: a, to: b }) => (dayNumber(a) + dayNumber(b)) / 2)
  }
  const north = middles({ latDeg: COLUMBUS_LAT, normals: COLUMBUS }, toDay('2026-07-25'))
  const south = middles({ latDeg: -COLUMBUS_LAT, normals: mirrored(COLUMBUS) }, toDay('2027-01-23'))
  expect(south).toHaveLength(north.length)
  south.forEach((middle, i) => expect(Math.abs(middle - north[i]! - 182.6)).toBeLessThanOrEqual(5))
})
