import { told } from '../../explain/test/told'
import { beforeAll, describe, expect, test } from 'vitest'
import { climateFromNormals } from '../../weather/climate'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import type { Ground } from '../../soil/soilCourse'
import { pureSeed } from '../../seed/blends'
import { toDay } from '../../measure/calendar'
import { AS_TOLD } from '../../water/topLayer'
import { summarise } from '../outlook'
import type { YearsOfTurf } from '../lasting'
import { groundOf, jobOf } from '#contract/lawn'
import { aLook, aZone, ZONE_ID } from '../../../contract/test/looks'
import { aFirm, aPlannedLawn } from '../../../contract/test/plannedLawn'
import { allPractices } from '../../job/decision/usualPractices'
import { oddsInputOf } from '../../job/oddsInput'
import { buildSeason, DAYS_BEHIND, SOWN_AHEAD, type Season, type SeasonInput } from '../season'
import type { SeedbedRisk } from '../sowing'
import { oddsOf, variantsOf, type Variant } from '../whatIf'

const GROUND: Ground = { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' }
const RISK: SeedbedRisk = {
  covering: 'covered',
  slopeShare: 0,
  bed: { cover: 'compost', coverMm: 5, watering: AS_TOLD },
}
const INPUT: SeasonInput = {
  today: toDay('2026-08-01'),
  observed: [],
  forecast: [],
  climate: climateFromNormals(COLUMBUS),
  ground: GROUND,
  years: 12,
  seed: 5,
}
const look = aLook({ zones: { [ZONE_ID]: aZone({ tapedM2: 400, sunHours: 3.5 }) } })
let season: Season
let variants: Variant[]
beforeAll(() => {
  season = buildSeason(INPUT)
  variants = variantsOf(pureSeed('TF'), GROUND, RISK)
})
const named = (code: string) => variants.find((variant) => variant.code === code)!

describe('what may be tried', () => {
  test('begins with the plan, differs from it in one thing each, and names nothing twice', () => {
    expect(variants[0]).toMatchObject({ code: 'plan', seed: pureSeed('TF'), ground: GROUND, risk: RISK })
    expect(new Set(variants.map(({ code }) => code)).size).toBe(variants.length)
    for (const { group, seed, ground, risk } of variants.slice(1)) {
      const differs = [
        JSON.stringify(seed) !== JSON.stringify(pureSeed('TF')),
        JSON.stringify(ground) !== JSON.stringify(GROUND),
        risk.bed!.cover !== 'compost',
        JSON.stringify(risk.bed!.watering) !== JSON.stringify(AS_TOLD),
      ]
      expect([group, differs.filter(Boolean).length]).toEqual([group, 1])
    }
    expect([...new Set(variants.map(({ group }) => group))]).toEqual(['plan', 'water', 'cover', 'sun', 'seed'])
  })

  test('of a warm-season lawn is other warm-season seed, and of winter colour no other seed', () => {
    expect(
      variantsOf(pureSeed('BER'), GROUND, RISK)
        .filter(({ group }) => group === 'seed')
        .map(({ words }) => told(words)),
    ).toEqual(['zoysia'])
    expect(
      variantsOf(pureSeed('ARG'), GROUND, { ...RISK, winterColour: true }).some(({ group }) => group === 'seed'),
    ).toBe(false)
  })
})

describe('odds of a variant', () => {
  // Found: the sun of the lawn went along to a variant in another, so fleece warmed there as it does here.
  test('in other sun are those of a lawn that lies in that sun, under fleece too', () => {
    const bed = { cover: 'fleece', coverMm: 1, watering: AS_TOLD } as const
    const shaded = oddsInputOf(
      jobOf(aPlannedLawn(look)),
      groundOf(aPlannedLawn(look)),
      aFirm({ practices: allPractices({ coverMaterial: 'fleece' }) }),
      false,
    )
    expect([shaded.ground.sun, shaded.risk.covering]).toEqual(['part', 'fleece'])
    const inSun: SeedbedRisk = { ...RISK, covering: 'fleece', bed }
    const moved = variantsOf(pureSeed('TF'), shaded.ground, { ...shaded.risk, ...inSun }).find(
      ({ code }) => code === 'sun full',
    )!
    const there = { ...moved, ground: GROUND }
    const [one] = variantsOf(pureSeed('TF'), GROUND, { ...inSun, swardCover: shaded.risk.swardCover! })
    expect(oddsOf(there, season).odds.chance).toEqual(oddsOf(one!, season).odds.chance)
  })

  test('of the plan are those of its summary, also when its ingredients went through JSON to a browser', () => {
    const summary = summarise(season, pureSeed('TF'), RISK, 75, COLUMBUS)
    const { odds: plan } = oddsOf(named('plan'), season)
    expect(plan.chance).toEqual(summary.sowing.slice(DAYS_BEHIND).map(({ chance }) => chance))
    expect(plan.windows).toEqual(summary.windows)
    const sent = JSON.parse(JSON.stringify({ input: INPUT, variant: named('plan') })) as {
      input: SeasonInput
      variant: Variant
    }
    expect(oddsOf(sent.variant, buildSeason(sent.input)).odds).toEqual(plan)
  })

  test('rain alone makes fewer stands, bare soil is washed out more often, and shade warms less', () => {
    const total = (code: string, of = season) =>
      oddsOf(named(code), of).odds.chance.reduce((sum, { of100 }) => sum + of100, 0)
    expect(total('water 0')).toBeLessThan(total('plan'))
    expect(total('cover none')).toBeLessThan(total('plan'))
    const shaded = buildSeason({ ...INPUT, ground: named('sun dense').ground })
    expect(shaded.years[0]!.soil.probeDailyC[DAYS_BEHIND]!).toBeLessThan(
      season.years[0]!.soil.probeDailyC[DAYS_BEHIND]!,
    )
    expect(oddsOf(named('sun dense'), shaded).odds.chance).toHaveLength(SOWN_AHEAD)
  })
})

describe('zones of a lawn', () => {
  test('stand behind the plan with their own seed and exposure, and are judged by them', () => {
    const shade: Ground = { ...GROUND, sun: 'dense' }
    const all = variantsOf(pureSeed('TF'), GROUND, RISK, [
      { name: 'Front', seed: pureSeed('TF'), ground: GROUND, risk: RISK },
      { name: 'Back', seed: pureSeed('KBG'), ground: shade, risk: RISK },
    ])
    expect(all.slice(0, 3).map(({ group, words }) => [group, told(words)])).toEqual([
      ['plan', 'as planned, tall fescue'],
      ['zone', 'Front: tall fescue'],
      ['zone', 'Back: Kentucky bluegrass'],
    ])
    // The front is the plan's own ground and seed: the same counts.
    expect(oddsOf(all[1]!, season).odds.chance).toEqual(oddsOf(all[0]!, season).odds.chance)
    expect(oddsOf(all[2]!, buildSeason({ ...INPUT, ground: shade })).odds.chance).not.toEqual(
      oddsOf(all[0]!, season).odds.chance,
    )
  })
  // Found: between 33 and 39 degrees of latitude both seasons were offered, elsewhere not, whatever the climate.
  test('may be tried with seed of the other season where it lives on, and what may not is named', () => {
    const offered = (years?: YearsOfTurf) =>
      variantsOf(pureSeed('TF'), GROUND, RISK, [], years).filter(({ group }) => group === 'seed')
    const zoysia = (years?: YearsOfTurf) => offered(years).some(({ words }) => told(words) === 'zoysia')
    expect([zoysia({ hotDays: 52, coldestC: 4 }), zoysia({ hotDays: 1, coldestC: -15 }), zoysia()]).toEqual([
      true,
      false,
      false,
    ])
    const bluegrass = offered({ hotDays: 52, coldestC: 4 }).find(({ words }) => told(words) === 'Kentucky bluegrass')
    expect(bluegrass!.lasting).toBe('will not last')
  })
  test('differ from the plan only where more than chance tells them apart', () => {
    const { years: plan } = oddsOf(named('plan'), season)
    expect(oddsOf(named('plan'), season, undefined, plan).odds.real!.some(Boolean)).toBe(false)
    expect(oddsOf(named('water 0'), season, undefined, plan).odds.real!.some(Boolean)).toBe(true)
  })
})
