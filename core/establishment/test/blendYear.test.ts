import { erf } from 'mathjs'
import { beforeAll, describe, expect, test } from 'vitest'
import { climateFromNormals } from '../../weather/climate'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { countShares, pureSeed, standShares, type Blend } from '../../seed/blends'
import { grassByCode } from '../../grass/grasses'
import { toDay } from '../../measure/calendar'
import { judgeBlend } from '../blendYear'
import { emergedShare, normalShare } from '../germination'
import { summarise } from '../outlook'
import { buildSeason, DAYS_BEHIND, type Season } from '../season'
import { causeOf, judgeYear, type SeedbedRisk } from '../sowing'

const RISK: SeedbedRisk = { covering: 'covered', slopeShare: 0 }
const MIXTURE: Blend = [
  { grass: 'TF', massShare: 0.9 },
  { grass: 'KBG', massShare: 0.1 },
]
let season: Season
beforeAll(() => {
  season = buildSeason({
    today: toDay('2026-08-01'),
    observed: [],
    forecast: [],
    climate: climateFromNormals(COLUMBUS),
    years: 20,
    seed: 4,
    ground: { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
  })
})

// General reference library: mathjs, error function.
test('the normal distribution is that of mathjs', () => {
  for (let z = -5; z <= 5; z += 0.37)
    expect(Math.abs(normalShare(z) - (1 + erf(z / Math.SQRT2)) / 2)).toBeLessThan(2e-7)
})

test('half of a grass has emerged at its median thermal time, 5 and 95 % at the times of its table', () => {
  const tall = grassByCode('TF')
  expect(emergedShare(tall, 122)).toBeCloseTo(0.5, 6)
  // Reference §2, check values at 18.3 °C: 8.5 (5.9 to 12.2) days at a rate of 14.3 °C.
  expect(emergedShare(tall, 5.9 * 14.3)).toBeCloseTo(0.05, 2)
  expect(emergedShare(tall, 12.2 * 14.3)).toBeCloseTo(0.95, 2)
  expect(emergedShare(tall, 0)).toBe(0)
})

describe('a mixture in one weather year', () => {
  test('of one grass is that grass', () => {
    const [year] = season.years
    expect(judgeBlend(year!, pureSeed('TF'), RISK).whole).toEqual(judgeYear(year!, grassByCode('TF'), RISK))
  })

  test('comes up between its quickest and its slowest seed, on the first day on which the seedlings counted together reach the share', () => {
    for (const year of season.years.slice(0, 5)) {
      const { whole, parts } = judgeBlend(year, MIXTURE, RISK)
      const counts = countShares(MIXTURE)
      for (let sown = DAYS_BEHIND; sown < DAYS_BEHIND + 60; sown += 7) {
        const days = parts.map(({ up50 }) => up50[sown]!)
        expect(whole.up50[sown]!).toBeGreaterThanOrEqual(Math.min(...days))
        expect(whole.up50[sown]!).toBeLessThanOrEqual(Math.max(...days))
        const emerged = (day: number) =>
          MIXTURE.reduce(
            (sum, { grass }, i) =>
              sum +
              counts[i]! *
                emergedShare(grassByCode(grass), parts[i]!.germinatedCd[day]! - parts[i]!.germinatedCd[sown - 1]!),
            0,
          )
        expect(emerged(whole.up50[sown]!)).toBeGreaterThanOrEqual(0.5 - 1e-6)
        expect(emerged(whole.up50[sown]! - 1)).toBeLessThan(0.5)
      }
    }
  })

  test('stands where every seed stands, fails where every seed fails, and never for a cause that none of them has', () => {
    const stands = standShares(MIXTURE)
    for (const year of season.years) {
      const { whole, parts } = judgeBlend(year, MIXTURE, RISK)
      for (let i = DAYS_BEHIND; i < DAYS_BEHIND + 365; i++) {
        const causes = parts.map((part) => causeOf(part, i))
        if (causes.every((cause) => cause === null)) expect(causeOf(whole, i)).toBeNull()
        if (causes.every((cause) => cause !== null)) expect(causeOf(whole, i)).not.toBeNull()
        expect(parts.map(({ worst }) => worst[i])).toContain(whole.worst[i])
        expect(whole.share[i]).toBeCloseTo(
          parts.reduce((sum, { share }, k) => sum + stands[k]! * share[i]!, 0),
          5,
        )
      }
    }
  })
})

test('the summary of a mixture tells each seed by itself, and the quick one first', () => {
  const { sowing, todayIndex } = summarise(season, MIXTURE, RISK, 75, COLUMBUS)
  const day = sowing[todayIndex + 30]!
  expect(day.parts.map(({ grass }) => grass)).toEqual(['TF', 'KBG'])
  expect(day.parts[0]!.up50!).toBeLessThan(day.parts[1]!.up50!)
  expect(summarise(season, pureSeed('TF'), RISK, 75, COLUMBUS).sowing[todayIndex]!.parts).toEqual([])
})

describe('seed that lies until spring', () => {
  // Dormant sowing (handbook knowledge, from memory): soil below 5 °C, here December to February; it comes up in
  // spring.
  test('is put down in winter alone and comes up after it', () => {
    const outlook = summarise(season, pureSeed('TF'), RISK, 75, COLUMBUS)
    expect(outlook.dormant).not.toBeNull()
    expect(outlook.dormant!.from > toDay('2026-11-10') && outlook.dormant!.from < toDay('2026-12-31')).toBe(true)
    for (const year of season.years) {
      const told = judgeYear(year, grassByCode('TF'), RISK)
      for (let i = 0; i <= DAYS_BEHIND + 300; i++)
        // Day 212 from 1 August is 1 March.
        if (causeOf(told.dormant, i) === null) expect(told.up50[i]! - DAYS_BEHIND).toBeGreaterThan(212)
      expect(told.dormant.share.slice(DAYS_BEHIND, DAYS_BEHIND + 80).every(Number.isNaN)).toBe(true)
    }
  })
  test('is not told of warm-season seed, nor of winter colour', () => {
    expect(judgeYear(season.years[0]!, grassByCode('BER'), RISK).dormant.share.every(Number.isNaN)).toBe(true)
    expect(
      judgeYear(season.years[0]!, grassByCode('ARG'), { ...RISK, winterColour: true }).dormant.share.every(
        Number.isNaN,
      ),
    ).toBe(true)
  })
})

// Extension practice, from memory: autumn first, spring second best.
test('the best day of autumn beats the best of spring, each in its half of the year', () => {
  const { best } = summarise(season, pureSeed('TF'), RISK, 75, COLUMBUS)
  const [autumn, spring] = (['autumn', 'spring'] as const).map((name) => best.find(({ season }) => season === name)!)
  expect(autumn!.chance.of100).toBeGreaterThan(spring!.chance.of100)
  expect([
    autumn!.day > toDay('2026-08-01') && autumn!.day < toDay('2026-11-01'),
    spring!.day > toDay('2027-02-15') && spring!.day < toDay('2027-06-01'),
  ]).toEqual([true, true])
})
