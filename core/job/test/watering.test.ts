import { beforeAll, describe, expect, test } from 'vitest'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { aFirm, aPlannedLawn } from '../../../contract/test/plannedLawn'
import { aLook, aZone } from '../../../contract/test/looks'
import { addDays, toDay } from '../../measure/calendar'
import { topLayer } from '../../water/topLayer'
import { cyclesAt } from '../../water/cycles'
import type { IrrigationZone } from '../../water/irrigation'
import { hargreavesEt0Mm, radiationOf } from '../../weather/radiation'
import { COLUMBUS_LAT } from '../../weather/test/stations'
import { timesWatered } from '../lawn'
import { oddsInputOf } from '../oddsInput'
import { planJob } from '../planJob'
import { columbusOutlook, columbusYears } from './columbusSeason'
import { seasonOfOutlook, type SeasonKnown } from '../season'
import type { WateringProgramme } from '../../water/programme'

const TODAY = toDay('2026-09-08')
const built = columbusYears(TODAY, 100)
let season: SeasonKnown
beforeAll(() => {
  season = seasonOfOutlook(columbusOutlook(built), [])
})

const ZONES = {
  '6f9619ff-8b86-4d01-b42d-00cf4fc964a1': aZone({ name: 'Front', sunHours: 9, order: 0 }),
  '6f9619ff-8b86-4d01-b42d-00cf4fc964a2': aZone({ name: 'Yew strip', sunHours: 4, order: 1 }),
}
const [FRONT, STRIP] = Object.keys(ZONES) as [string, string]
const zoneOf = (zoneId: string, change: Partial<IrrigationZone> = {}): IrrigationZone => ({
  id: zoneId.replace(/^6/, '7'),
  name: zoneId === FRONT ? 'Front heads' : 'Strip',
  kind: 'sprinklers',
  heads: 0,
  zoneId,
  areaM2: null,
  tap: '',
  hoseM: null,
  flowLPerMin: null,
  rateMmPerH: 12,
  cans: null,
  timer: 'own',
  sprinklerLent: false,
  ...change,
})
const lawnWith = (water: Partial<Lawn['water']>, plan: Partial<Lawn['plan']> = {}): Lawn => {
  const look = aLook({ zones: ZONES, latDeg: COLUMBUS_LAT, lonDeg: -83 })
  return aPlannedLawn({ ...look, water: { ...look.water, source: 'sprinklers', ...water } as Lawn['water'] }, plan)
}
const programme = (
  water: Partial<Lawn['water']> = {},
  plan: Partial<Lawn['plan']> = {},
  firm: Parameters<typeof aFirm>[0] = {},
): WateringProgramme => {
  const lawn = lawnWith({ irrigation: [zoneOf(FRONT), zoneOf(STRIP)] as never, ...water }, plan)
  return planJob(jobOf(lawn), groundOf(lawn), aFirm(firm), season).watering!
}

describe('the watering programme of a sowing', () => {
  test('goes by phases, each ended by what is seen and dated with its spread', () => {
    const { phases } = programme()
    expect(phases.map(({ code }) => code)).toEqual(['wet', 'seedling', 'rooting', 'established'])
    phases.forEach(({ from, to }, i) => {
      expect(from.early).toBeLessThanOrEqual(from.middle)
      expect(from.middle).toBeLessThanOrEqual(from.late)
      if (to) expect(phases[i + 1]!.from).toEqual(to)
    })
    // Deeper and less often by and by.
    expect(phases.map(({ everyDays }) => everyDays)).toEqual(
      phases.map(({ everyDays }) => everyDays).toSorted((a, b) => a - b),
    )
    // An inch a week once it stands (turf handbooks), and no more than it uses by late autumn.
    const last = phases.at(-1)!
    const from = addDays(toDay('2026-09-18'), last.from.middle)
    const usesMm = 7 * 0.95 * season.dryingOver!(from, 28)!.usual
    expect(usesMm).toBeLessThan(25.4)
    expect((last.depthMm * last.timesADay * 7) / last.everyDays).toBeCloseTo(usesMm, 6)
    const weekly = programme({}, { practices: { stepDown: 'weekly' }, sowOn: toDay('2027-05-10') }).phases.at(-1)!
    expect((weekly.depthMm * weekly.timesADay * 7) / weekly.everyDays).toBeCloseTo(25.4, 6)
  })

  // FAO-56, eq. 82 and 83 with loam of its table 19 and p = 0.4 of table 22 (from memory), by hand: roots of 100 mm reach
  // 1000 (0.25 − 0.12) 0.1 = 13 mm, of which 5.2 mm are readily available.
  test('waters young roots when the readily available water is gone, and gives back what was used', () => {
    const { sowOn } = aPlannedLawn(aLook({})).plan
    const { phases } = programme()
    const rooting = phases.find(({ code }) => code === 'rooting')!
    const days = rooting.to!.middle - rooting.from.middle
    const usedMm = 0.95 * season.dryingOver!(addDays(sowOn!, rooting.from.middle), days)!.usual
    expect(rooting.everyDays).toBe(Math.min(4, Math.max(2, Math.floor(5.2 / usedMm))))
    expect(rooting.depthMm).toBeCloseTo(rooting.everyDays * usedMm, 6)
  })

  test('is what Do asks for at the first watering', () => {
    const lawn = lawnWith({ irrigation: [zoneOf(FRONT), zoneOf(STRIP)] as never })
    const { parts, watering } = planJob(jobOf(lawn), groundOf(lawn), aFirm(), season)
    const worst = watering!.wet.find(({ id }) => id === watering!.worst)!
    expect(parts[0]!.wet!.timesADay).toBe(worst.day.cycles.length)
    expect(parts[0]!.wet!.mmADay).toBeCloseTo(
      worst.day.cycles.reduce((sum, { depthMm }) => sum + depthMm, 0),
      9,
    )
  })

  test('waters sun more often than shade, by the minutes that the driest quarter wants', () => {
    const { phases, wet, worst } = programme()
    const [sun, shade] = phases[0]!.zones
    expect(sun!.cycles.length).toBeGreaterThan(shade!.cycles.length)
    expect(wet.find(({ id }) => id === worst)!.name).toBe('Front heads')
    const deepest = Math.max(...sun!.cycles.map(({ depthMm }) => depthMm))
    // Twelve millimetres an hour at the usual evenness of heads nobody measured, 0.65.
    expect(sun!.run!.minutes * sun!.run!.runs).toBeCloseTo((60 * deepest) / 12 / 0.65, 9)
  })

  test('keeps to hours that are allowed, and none comes late in the evening', () => {
    const hoursOf = (of: WateringProgramme) =>
      of.phases.flatMap(({ zones }) => zones.flatMap(({ cycles }) => cycles.map(({ hour }) => hour)))
    for (const hours of [
      [],
      [[5, 10]],
      [
        [6, 9],
        [17, 21],
      ],
    ] as [number, number][][]) {
      const found = hoursOf(programme({ hours }))
      expect(found.length).toBeGreaterThan(0)
      for (const hour of found) {
        expect(hour).toBeLessThanOrEqual(18)
        if (hours.length) expect(hours.some(([from, to]) => hour >= from && hour < to)).toBe(true)
      }
    }
    // The clock of Columbus is an hour and a half ahead of its sun in summer: shown in clock hours, still allowed.
    for (const hour of hoursOf(programme({ hours: [[5, 10]] }, {}, { timeZone: 'America/New_York' })))
      expect(hour).toBeLessThan(10)
    expect(hoursOf(programme({ restriction: 'ban', restrictedUntil: toDay('2026-12-01') }))).toEqual([])
  })

  test('does what whoever is there can do, and says what that costs', () => {
    const byHand = { irrigation: [zoneOf(FRONT, { timer: 'none' })] as never }
    const [once, thrice] = [1, 3].map((timesADay) =>
      programme({ ...byHand, timesADay, source: 'hose' }, { settings: null, practices: { cover: 'none' } }),
    )
    expect(once!.wet[0]!.day.cycles).toHaveLength(1)
    expect(once!.wet[0]!.wants).toBeGreaterThan(1)
    expect(once!.wet[0]!.lostShare).toBeGreaterThan(thrice!.wet[0]!.lostShare + 0.1)
    const away = programme({ ...byHand, homeWhen: 'mornings and evenings', source: 'hose' })
    for (const { hour } of away.wet[0]!.day.cycles) expect(hour < 8 || hour >= 16).toBe(true)
  })

  test('follows the practice: three a day, mornings for six weeks, deeper from first green, straight to weekly', () => {
    const by = (practices: Lawn['plan']['practices']) => programme({}, { practices })
    expect(by({ wetBy: 'three' }).phases[0]!.zones[0]!.cycles.map(({ hour }) => hour)).toEqual([6, 12, 18])
    // Found: where the clock is ahead of the sun, six, noon and six were told as seven and one, and the last was lost.
    const inZone = programme({}, { practices: { wetBy: 'three' } }, { timeZone: 'America/New_York' })
    expect(inZone.phases[0]!.zones[0]!.cycles.map(({ hour }) => hour)).toEqual([6, 12, 18])
    const weeks = by({ wetBy: 'six weeks' }).phases[0]!
    expect([weeks.timesADay, weeks.to]).toEqual([1, { early: 42, middle: 42, late: 42 }])
    const evening = { hours: [[18, 21]] as [number, number][] }
    const latest = (of: WateringProgramme) =>
      Math.max(0, ...of.phases[0]!.zones.flatMap(({ cycles }) => cycles.map(({ hour }) => hour)))
    expect(latest(programme(evening))).toBe(18)
    expect(latest(programme({ hours: [[19, 21]] }, { practices: { wateringHours: 'early evening too' } }))).toBe(19)
    const weekly = by({ stepDown: 'weekly' })
    expect(weekly.phases.map(({ code, endedBy }) => [code, endedBy])).toEqual([
      ['wet', 'leaf'],
      ['established', null],
    ])
    // Found: the sheet took the last phase for the day on which the lawn is used again.
    expect(weekly.fourthMow.middle).toBeGreaterThan(weekly.phases.at(-1)!.from.middle + 28)
    expect(by({ stepDown: 'deeper' }).phases[0]!.endedBy).toBe('up')
    expect(weeks.endedBy).toBe('six weeks')
    expect(by({ stepDown: 'deeper' }).phases[0]!.to!.middle).toBeLessThan(programme().phases[0]!.to!.middle)
  })

  test('holds more where the firm comes by to water, and the plan has its visits, hours and price', () => {
    const alone = { homeWhen: 'seldom', timesADay: 1, irrigation: [zoneOf(FRONT, { timer: 'none' })] } as never
    const lawn = lawnWith(alone)
    const by = (wateringRounds: 'none' | 'once a day' | 'twice a day') =>
      planJob({ ...jobOf(lawn), practices: { wateringRounds } }, groundOf(lawn), aFirm(), season)
    const [none, twice] = [by('none'), by('twice a day')]
    expect(none.watering!.wet[0]!.day.cycles).toHaveLength(1)
    expect(twice.watering!.wet[0]!.day.cycles.length).toBeGreaterThan(1)
    expect(twice.watering!.wet[0]!.lostShare).toBeLessThan(none.watering!.wet[0]!.lostShare)
    const rounds = ({ schedule }: typeof none) => schedule!.tasks.find(({ key }) => key === 'waterRounds')
    expect(rounds(none)).toBeUndefined()
    const visits = 2 * Math.round(twice.watering!.phases[0]!.to!.middle)
    const { hours, to } = rounds(twice)!
    expect(hours.value).toBeCloseTo(visits * aFirm().planning.roundHours, 6)
    expect(to > twice.schedule!.tasks.find(({ key }) => key === 'sow')!.to).toBe(true)
    // Its hours at the crew's price, and nothing else, come to the price of the plan.
    expect(twice.price!.priceMinor.value - none.price!.priceMinor.value).toBeCloseTo(
      (twice.price!.crewHours.value - none.price!.crewHours.value) * aFirm().planning.crew,
      4,
    )
    // Somebody who leaves at eight cannot water by day; the firm can.
    const clock = ({ watering }: typeof none) => watering!.wet[0]!.day.cycles.map(({ hour }) => hour)
    expect(clock(none).every((hour) => hour < 8)).toBe(true)
    expect(clock(twice).some((hour) => hour >= 8 && hour < 16)).toBe(true)
    const odds = (wateringRounds: 'none' | 'once a day') =>
      oddsInputOf({ ...jobOf(lawn), practices: { wateringRounds } }, groundOf(lawn), aFirm(), false).risk.bed!.watering
    expect([odds('none').timesADay, odds('once a day').timesADay]).toEqual([1, 2])
    const dry = lawnWith({ source: 'none', irrigation: [] })
    expect(timesWatered(dry, { wateringRounds: 'twice a day' })).toBe(0)
  })

  test('is one a zone of the lawn where nobody told of irrigation, and none of what nobody waters', () => {
    expect(programme({ irrigation: [] }).wet.map(({ name }) => name)).toEqual(['Front', 'Yew strip'])
    const none = programme({ irrigation: [], source: 'none' })
    expect(none.phases.every(({ litres }) => litres === 0)).toBe(true)
    expect(none.wet[0]!.lostShare).toBeGreaterThan(0.3)
  })

  test('keeps its bed from drying out in 200 random weeks, but for one day in fifty', () => {
    const { wet } = programme()
    const sun = wet.find(({ name }) => name === 'Front heads')!
    const layer = topLayer('loam', 'compost', 5, 0)
    const raMJ = radiationOf(COLUMBUS_LAT, built.first, 220)
    const hours = sun.day.cycles.map(({ hour }) => hour)
    // The two weeks after sowing, in each of a hundred years.
    const sown = built.todayIndex + 10
    let [days, dry] = [0, 0]
    for (const { weather } of built.years)
      for (let i = sown; i < sown + 14; i++, days++) {
        const et0Mm = hargreavesEt0Mm(weather.tmaxC[i]!, weather.tminC[i]!, raMJ[i]!)
        if (cyclesAt({ layer, sun: 'full', et0Mm, hours, aheadH: 0 }, hours).dryHours > 1) dry++
      }
    expect(days).toBe(1400)
    expect(dry / days).toBeLessThanOrEqual(0.02)
  })
})
