import { describe, expect, test } from 'vitest'
import { grassByCode, type GrassCode } from '../../grass/grasses'
import { dayNumber, toDay } from '../../measure/calendar'
import { AS_TOLD } from '../../water/topLayer'
import { climateFromRecord } from '../../weather/climate'
import type { PlainRun } from '../../weather/stationYears'
import { observedAt } from '../../../contract/test/observed'
import { bedWater } from '../moisture'
import { buildSeason, DAYS_AHEAD, type Season } from '../season'
import { judgeYear } from '../sowing'

// Four observed years of Seattle (vega-datasets), closed to a ring and replayed one after the other, against years that are
// drawn from the same record. Four years say little of odds: how far they lie apart is printed and not asserted.
const TODAY = toDay('2026-01-01')
const BED = { cover: 'compost', coverMm: 5, watering: AS_TOLD } as const
const RISK = { covering: 'covered', slopeShare: 0, bed: BED } as const
const record = observedAt('Seattle')
const YEARS = [0, 1, 2, 3]

const replayed = (year: number): PlainRun => {
  const start = record.findIndex(({ day }) => day === `${2012 + year}-01-01`)
  const days = Array.from({ length: DAYS_AHEAD }, (_, d) => record[(start + d) % record.length]!)
  return {
    tmaxC: days.map(({ tmaxC }) => tmaxC),
    tminC: days.map(({ tminC }) => tminC),
    rainMm: days.map(({ rainMm }) => rainMm),
  }
}
const seasonOf = (own?: PlainRun[]): Season =>
  buildSeason({
    today: TODAY,
    observed: [],
    forecast: [],
    climate: climateFromRecord(record)!,
    ground: { latDeg: 47.6, coastal: true, texture: 'loam', cover: 'thin turf', sun: 'full' },
    years: own?.length ?? 60,
    own,
    seed: 3,
  })

/** Established share of seed sown on each of some days, a mean over the years; the shares themselves lie within 0 and 1. */
function sharesOf(season: Season, code: GrassCode, ahead: readonly number[]): number[] {
  const years = season.years.map((year) =>
    judgeYear(year, grassByCode(code), RISK, bedWater(year.weather, season.ground, 0, BED)),
  )
  for (const { share } of years) for (const value of share) expect(value >= 0 && value <= 1).toBe(true)
  return ahead.map((d) => years.reduce((sum, { share }) => sum + share[season.todayIndex + d]!, 0) / years.length)
}

describe('observed years of Seattle, replayed', () => {
  const days = ['2026-04-15', '2026-05-15', '2026-08-15', '2026-09-15', '2026-10-15', '2026-11-15'].map((day) =>
    toDay(day),
  )
  test.each(['PRG', 'TF', 'KBG'] as const)('%s: printed beside drawn years', (code) => {
    const ahead = days.map((day) => dayNumber(day) - dayNumber(TODAY))
    const [seen, drawn] = [seasonOf(YEARS.map(replayed)), seasonOf()].map((season) => sharesOf(season, code, ahead))
    console.log(
      `${code} in Seattle, share of a stand, observed years | drawn years: ` +
        days.map((day, i) => `${day} ${seen![i]!.toFixed(2)} | ${drawn![i]!.toFixed(2)}`).join(', '),
    )
    // What no seeding calendar doubts: mid-September stands, mid-November is late.
    expect(Math.min(seen![3]!, drawn![3]!)).toBeGreaterThan(0.9)
    expect(seen![5]!).toBeLessThan(seen![3]!)
  })

  test('begin on the days that were observed', () => {
    const { years, todayIndex } = seasonOf(YEARS.map(replayed))
    // The forecast's days fade in; after them the replay is the record itself.
    const i = record.findIndex(({ day }) => day === '2014-03-01')
    const at = todayIndex + dayNumber(toDay('2014-03-01')) - dayNumber(toDay('2014-01-01'))
    expect(years[2]!.weather.tmaxC[at]).toBe(record[i]!.tmaxC)
  })
})
