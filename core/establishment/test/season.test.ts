import fc from 'fast-check'
import { quantileSeq } from 'mathjs'
import { beforeAll, describe, expect, test } from 'vitest'
import { climateFromNormals } from '../../weather/climate'
import { dailyNormals, mirrored, type Normals } from '../../weather/normals'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { surfaceHourlyC, type Ground } from '../../soil/soilCourse'
import { gaplessRun } from '../../weather/gaps'
import type { DailyWeather } from '../../weather/weather'
import { alternatingC, grassByCode } from '../../grass/grasses'
import { pureSeed } from '../../seed/blends'
import { addDays, dayNumber, toDay, type Day } from '../../measure/calendar'
import { emergenceWorked } from '../emergenceWorking'
import { dayReached, leafCourse } from '../growth'
import { briefAt, briefOf, glanceOf, glanceOfBrief } from '../glance'
import { indexOf, readingOnLine, summarise, type Outlook } from '../outlook'
import { readOutlook, tellOutlook } from '../outlookTold'
import { buildSeason, DAYS_BEHIND, fiveDayMean, quantile } from '../season'
import { causeOf, judgeYear, type SeedbedRisk } from '../sowing'
import type { Blend } from '../../seed/blends'
import { AS_TOLD } from '../../water/topLayer'

const GROUND: Ground = { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' }
const TODAY = toDay('2026-09-08')
const COVERED = { covering: 'covered', slopeShare: 0 } as const
const climate = climateFromNormals(COLUMBUS)

function record(from: Day, days: number, shiftK: number): DailyWeather[] {
  return Array.from({ length: days }, (_, i) => {
    const day = addDays(from, i)
    const { tmaxC, tminC } = dailyNormals(COLUMBUS, day)
    return { day, tmaxC: tmaxC + shiftK, tminC: tminC + shiftK, rainMm: 3 }
  })
}
const season = (change: Partial<Parameters<typeof buildSeason>[0]> = {}) =>
  buildSeason({ today: TODAY, observed: [], forecast: [], climate, ground: GROUND, years: 20, seed: 3, ...change })

describe('the days behind', () => {
  test('stand as observed; a gap takes the normals, no rain, and is marked', () => {
    const observed = record(toDay('2026-08-01'), 10, 5)
    const { run, filled } = gaplessRun(observed, toDay('2026-07-30'), 14, climate)
    expect(Array.from(filled)).toEqual([1, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1, 1])
    expect(run.tmaxC[2]).toBe(observed[0]!.tmaxC)
    expect(run.tmaxC[0]).toBeCloseTo(dailyNormals(COLUMBUS, toDay('2026-07-30')).tmaxC, 9)
    expect(run.rainMm[13]).toBe(0)
  })

  test('are the same in every year, and a warm month leaves the soil of today warmer', () => {
    const [warm, cool] = [4, -4].map((shift) => season({ observed: record(addDays(TODAY, -60), 60, shift) }))
    for (const year of warm!.years)
      expect(year.soil.probeDailyC[DAYS_BEHIND - 1]).toBe(warm!.years[0]!.soil.probeDailyC[DAYS_BEHIND - 1])
    const soil = (each: typeof warm) => each!.years[0]!.soil.probeDailyC[DAYS_BEHIND - 1]!
    expect(soil(warm) - soil(cool)).toBeGreaterThan(5)
    expect(soil(warm) - soil(cool)).toBeLessThan(8)
  })
})

describe('the days ahead', () => {
  test('begin with the forecast and part from it over ten days', () => {
    const forecast = Array.from({ length: 10 }, (_, i) => ({
      day: addDays(TODAY, i),
      tmaxC: 31,
      tminC: 19,
      rainMm: i === 1 ? 20 : 0,
    }))
    const { years } = season({ forecast })
    const spread = (lead: number) => {
      const values = years.map(({ weather }) => weather.tmaxC[DAYS_BEHIND + lead]!)
      return Math.max(...values) - Math.min(...values)
    }
    expect(years[0]!.weather.tmaxC[DAYS_BEHIND]).toBe(31)
    expect(spread(0)).toBe(0)
    expect(spread(2)).toBeLessThan(spread(8))
    for (const { weather } of years) expect(weather.rainMm[DAYS_BEHIND + 1]).toBe(20)
  })
})

test('more sun warms the ground, shade and dense turf keep it cooler', () => {
  const { run } = gaplessRun([], toDay('2026-07-01'), 5, climate)
  const noon = (change: Partial<Ground>) => surfaceHourlyC(run, { ...GROUND, ...change })[12]!
  expect(noon({ cover: 'bare' })).toBeGreaterThan(noon({ cover: 'dark organic cover' }))
  expect(noon({ cover: 'dark organic cover' })).toBeGreaterThan(noon({}))
  expect(noon({})).toBeGreaterThan(noon({ cover: 'dense turf' }))
  expect(noon({})).toBeGreaterThan(noon({ sun: 'dense' }))
})

describe('the outlook', () => {
  let outlook: Outlook
  beforeAll(() => {
    outlook = summarise(season({ years: 30 }), pureSeed('TF'), COVERED, 75, COLUMBUS)
  })

  test('spreads with distance and never crosses its own quantiles', () => {
    const { p05, p25, median, p75, p95 } = outlook.soilC
    median.forEach((middle, i) =>
      expect(p05[i]! <= p25[i]! && p25[i]! <= middle && middle <= p75[i]! && p75[i]! <= p95[i]!).toBe(true),
    )
    const width = (lead: number) => p95[outlook.todayIndex + lead]! - p05[outlook.todayIndex + lead]!
    expect(width(60)).toBeGreaterThan(width(1))
  })

  test('sees the first frost of Columbus in October or early November', () => {
    // Published median first 0 °C of the normals is about mid October at the station; from memory.
    expect(outlook.frost!.kind).toBe('first')
    expect(outlook.frost!.p10 <= outlook.frost!.p50 && outlook.frost!.p50 <= outlook.frost!.p90).toBe(true)
    expect(outlook.frost!.p50 >= '2026-10-01' && outlook.frost!.p50 <= '2026-11-10').toBe(true)
  })

  test('lights the band while the median soil is inside it', () => {
    for (const { from, to } of outlook.insideBand) {
      expect(outlook.soilC.median[from]).toBeGreaterThanOrEqual(10)
      expect(outlook.soilC.median[to]).toBeLessThanOrEqual(18.3)
    }
    expect(outlook.insideBand.length).toBeGreaterThan(0)
  })

  test('brings the first mow of a quick grass three to six weeks after sowing', () => {
    // Common practice, no source: 3-6 weeks for quick mixtures.
    const day = outlook.sowing[indexOf(outlook, toDay('2026-09-12'))]!
    expect(day.mow!.middle).toBeGreaterThanOrEqual(21)
    expect(day.mow!.middle).toBeLessThanOrEqual(42)
    expect(day.up05! <= day.up50! && day.up50! <= day.up95!).toBe(true)
    expect(day.up50Early! <= day.up50! && day.up50! <= day.up50Late!).toBe(true)
  })

  test('is brief for the list, and empty for a day it does not hold', () => {
    expect(glanceOf(outlook, toDay('2026-09-12')).sowing?.of100).toBe(
      outlook.sowing[indexOf(outlook, toDay('2026-09-12'))]!.chance.of100,
    )
    expect(glanceOf(outlook, toDay('2030-01-01')).sowing).toBeNull()
    expect(glanceOf(outlook, null).sowing).toBeNull()
    // Kept in brief it tells the same of any day, also after a way through text.
    const brief = JSON.parse(JSON.stringify(briefOf(outlook))) as ReturnType<typeof briefOf>
    for (const day of [null, toDay('2026-09-12'), toDay('2026-12-20'), toDay('2026-06-01'), toDay('2030-01-01')])
      expect(glanceOfBrief(brief, day)).toEqual(glanceOf(outlook, day))
    expect(JSON.stringify(brief).length * 5).toBeLessThan(JSON.stringify(outlook).length)
  })

  test('is told a list of one sowing day, a mixture under sprinklers as well, as it is told its own page', () => {
    const mixed: Blend = [
      { grass: 'KBG', massShare: 0.7 },
      { grass: 'PRG', massShare: 0.3 },
    ]
    const bed = { cover: 'compost', coverMm: 5, watering: { ...AS_TOLD, timesADay: 2 } } as const
    const risk: SeedbedRisk = { covering: 'covered', slopeShare: 0.05, irrigated: true, bed }
    const lasting = { hotDays: 20, coldestC: 1 }
    const of = [season(), mixed, risk, 60, COLUMBUS] as const
    const whole = summarise(...of, { lasting })
    for (const day of [null, toDay('2026-09-12'), toDay('2026-12-20'), toDay('2026-06-01'), toDay('2030-01-01')]) {
      const brief = JSON.parse(JSON.stringify(briefAt(...of, day, lasting))) as ReturnType<typeof briefAt>
      expect(glanceOfBrief(brief, day)).toEqual(JSON.parse(JSON.stringify(glanceOf(whole, day))))
    }
  })

  test('opens the working of its emergence with the constants of the grass', () => {
    const day = outlook.sowing[indexOf(outlook, toDay('2026-09-12'))]!
    const { working, value } = emergenceWorked(grassByCode('TF'), toDay('2026-09-12'), day, 30)!
    expect(value).toBe(day.up50)
    expect(working.lines.map(({ value: line }) => line.value)).toEqual(expect.arrayContaining([4, 24, 35, 122]))
    // ISTA Rules, table 5A, from memory: 15/25 °C, bluegrass also 15/30, warm-season grass 20/35.
    expect((['TF', 'KBG', 'BER'] as const).map((code) => alternatingC(grassByCode(code)))).toEqual([
      [15, 25],
      [15, 30],
      [20, 35],
    ])
    expect(day.seedbedSwing.lowC).toBeLessThan(day.seedbedC)
    expect(day.seedbedSwing.highC).toBeGreaterThan(day.seedbedC + 2)
    const bluegrass = emergenceWorked(grassByCode('KBG'), toDay('2026-09-12'), day, 30)!
    expect(bluegrass.working.rounding).toEqual({ key: 'establishment.bluegrassWantsTheSwing' })
    expect(emergenceWorked(grassByCode('TF'), TODAY, { ...day, up50: null }, 30)).toBeUndefined()
  })
})

test('frost is looked for from mild nights forward, and from cold ones until the last', () => {
  const spring = summarise(season({ today: toDay('2026-03-01') }), pureSeed('TF'), COVERED, 75, COLUMBUS)
  expect(spring.frost?.kind).toBe('last')
  const south: Normals = mirrored(COLUMBUS)
  const autumn = buildSeason({
    today: toDay('2026-03-20'),
    observed: [],
    forecast: [],
    climate: climateFromNormals(south),
    ground: { ...GROUND, latDeg: -COLUMBUS_LAT },
    years: 10,
    seed: 3,
  })
  expect(summarise(autumn, pureSeed('TF'), COVERED, 75, south).frost?.kind).toBe('first')
})

test('a first mowing is not reached by seed that never emerged', () => {
  const [year] = season({ years: 1 }).years
  const course = leafCourse(grassByCode('TF'), year!.weather)
  expect(dayReached(course, Number.POSITIVE_INFINITY, 50)).toBe(Number.POSITIVE_INFINITY)
  const bermuda = judgeYear(year!, grassByCode('BER'), COVERED)
  expect(causeOf(bermuda, DAYS_BEHIND + (dayNumber(toDay('2026-12-15')) - dayNumber(TODAY)))).toBe('cold')
})

test('quantiles lie between neighbours, and five days are averaged', () => {
  expect(quantile([3, 1, 2], 0.5)).toBe(2)
  expect(quantile([0, 10], 0.25)).toBe(2.5)
  expect(() => quantile([], 0.5)).toThrow(RangeError)
  // mathjs, from the registry: quantiles of the same type, by another hand.
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 1 }),
      fc.integer({ min: 0, max: 20 }),
      (values, n) => {
        expect(quantile(values, n / 20)).toBeCloseTo(Number(quantileSeq(values, n / 20)), 9)
      },
    ),
  )
  expect(fiveDayMean([1, 2, 3, 4, 5, 6], 5)).toBe(4)
  expect(fiveDayMean([1, 3], 1)).toBe(2)
})

describe('a probe', () => {
  const observed = record(addDays(TODAY, -400), 400, 0)
  const probe = (readings: { at: string; depthMm: number; tempC: number }[]) => ({
    readings,
    ground: GROUND,
    clockAheadH: 0,
  })
  const plain = season({ observed, years: 3 })
  const mornings = (shiftK: number) =>
    [-6, -5, -4, -3, -2, -1].map((d) => {
      const day = addDays(TODAY, d)
      // The model's own value at that hour, told by a season with one reading that is judged and not believed.
      const [judged] = season({
        observed,
        years: 1,
        probe: probe([{ at: `${day}T08:00`, depthMm: 50, tempC: -19 }]),
      }).readings
      return { at: `${day}T08:00`, depthMm: 50, tempC: judged!.modelC + shiftK }
    })

  test('that reads warmer brings the seed up sooner, and ahead it counts for less and less', () => {
    const warmer = season({ observed, years: 3, probe: probe(mornings(2)) })
    expect(warmer.readings.every(({ used }) => used)).toBe(true)
    const [today, later] = [0, 30].map((ahead) => warmer.correctionK[DAYS_BEHIND + ahead]!)
    expect(today!).toBeGreaterThan(1.3)
    expect(later!).toBeLessThan(0.1)
    const up = (of: typeof plain) => judgeYear(of.years[0]!, grassByCode('TF'), COVERED).up50[DAYS_BEHIND]!
    expect(up(warmer)).toBeLessThanOrEqual(up(plain))
    expect(
      warmer.years[0]!.soil.probeDailyC[DAYS_BEHIND]! - plain.years[0]!.soil.probeDailyC[DAYS_BEHIND]!,
    ).toBeCloseTo(today!, 9)
    // The seedbed is kept in single precision: 2e-6 K at 20 °C.
    expect(
      warmer.years[1]!.soil.seedbedHourlyC[DAYS_BEHIND * 24 + 5]! -
        plain.years[1]!.soil.seedbedHourlyC[DAYS_BEHIND * 24 + 5]!,
    ).toBeCloseTo(today!, 5)
  })

  test('of this very morning is judged, and stands on the line of any ground as far off as it was read', () => {
    const read = season({ observed, years: 2, probe: probe([{ at: `${TODAY}T06:40`, depthMm: 50, tempC: 20 }]) })
    expect(read.readings).toHaveLength(1)
    const outlook = summarise(read, pureSeed('TF'), COVERED, 75, COLUMBUS)
    const at = indexOf(outlook, TODAY)
    expect(
      readingOnLine(outlook, outlook.readings[0]!)! - (outlook.soilC.median[at]! - outlook.correctionK[at]!),
    ).toBeCloseTo(20 - outlook.readings[0]!.modelC, 6)
  })
})

test('an outlook reads back as it was told, its years by runs', () => {
  const outlook = summarise(season({ years: 6 }), pureSeed('KBG'), COVERED, 75, COLUMBUS)
  const told = tellOutlook(outlook)
  expect(readOutlook(JSON.parse(JSON.stringify(told)) as typeof told)).toEqual(JSON.parse(JSON.stringify(outlook)))
  expect(told.grain.join('').length).toBeLessThan(outlook.grain.join('').length / 5)
})

test('a first look has the odds of every day, and reads one of four closely', () => {
  const of = [season({ years: 6 }), pureSeed('TF'), COVERED, 75, COLUMBUS] as const
  const [whole, first] = [summarise(...of), summarise(...of, { everyDays: 4 })]
  const odds = ({ sowing }: typeof whole) =>
    sowing.map(({ good, share, causes, chance }) => ({ good, share, causes, chance }))
  expect(odds(first)).toEqual(odds(whole))
  expect(first.windows).toEqual(whole.windows)
  const close = whole.sowing.filter((_, i) => i % 4 === 0)
  expect(first.sowing.filter((_, i) => i % 4 === 0)).toEqual(close)
  first.sowing.forEach(({ up50, mow }, i) => {
    expect({ up50, mow }).toEqual({ up50: close[i >> 2]!.up50, mow: close[i >> 2]!.mow })
  })
})
