import { beforeAll, describe, expect, test } from 'vitest'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { aFirm, aPlannedLawn } from '../../../contract/test/plannedLawn'
import { aLook } from '../../../contract/test/looks'
import { briefAt, briefOf, glanceOf, glanceOfBrief, type Brief } from '../../establishment/glance'
import type { Outlook } from '../../establishment/outlook'
import type { Seen } from '../../learning/seen'
import { addDays, toDay, type Day } from '../../measure/calendar'
import { pureSeed } from '../../seed/blends'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'
import { dryTomorrow } from '../dryTomorrow'
import { outlineOf } from '../outline'
import { planJob } from '../planJob'
import { seasonOfGlance, seasonOfOutlook, type SeasonKnown } from '../season'
import { logsOf } from '../watch'
import { BED, columbusOutlook, columbusYears } from './columbusSeason'
import { SEED } from './counted'

const TODAY = toDay('2026-09-08')
const SOWN = toDay('2026-09-02')
const PLANNED = toDay('2026-09-05')
const built = columbusYears(TODAY, 40)
let outlook: Outlook
beforeAll(() => {
  outlook = columbusOutlook(built)
})

const lawnOf = (seen: readonly Seen[] = []): Lawn => {
  const look = aLook({ latDeg: COLUMBUS_LAT, lonDeg: -83 })
  const water = { ...look.water, source: 'sprinklers', timesADay: null, restriction: 'none' } as Lawn['water']
  const lawn = aPlannedLawn({ ...look, water }, { sowOn: PLANNED })
  return { ...lawn, done: [{ ...SEED, doneOn: SOWN }], seen: seen.map((one, i) => ({ id: `s${i}`, ...one })) } as Lawn
}
const firm = aFirm({ today: TODAY })
const askedOf = (lawn: Lawn, season: SeasonKnown) => {
  const [job, ground] = [jobOf(lawn), groundOf(lawn)]
  return { job, lawn: ground, firm, season, plan: planJob(job, ground, firm, season) }
}
const missed = (seenOn: Day, hours: readonly number[]): Seen => ({
  kind: 'watering',
  seenOn,
  zoneId: null,
  given: false,
  hours,
  by: 'client',
  note: '',
})
const whole = () => seasonOfOutlook(outlook, [])

describe('a list is told of a bed that falls dry tomorrow', () => {
  test('by the same bed, days and hours as the page of the lawn', () => {
    const briefs: Brief[] = [briefOf(outlook), briefAt(built, pureSeed('TF'), BED, 75, COLUMBUS, SOWN)].map(
      (brief) => JSON.parse(JSON.stringify(brief)) as Brief,
    )
    const lawn = lawnOf([missed(addDays(TODAY, -1), [6, 12])])
    const page = askedOf(lawn, whole())
    for (const brief of briefs) {
      const listed = askedOf(lawn, seasonOfGlance(glanceOfBrief(brief, SOWN)))
      expect(listed.plan.watering!.wet).toEqual(page.plan.watering!.wet)
      expect(logsOf(listed, SOWN)).toEqual(logsOf(page, SOWN))
      expect(dryTomorrow(listed)).toEqual(dryTomorrow(page))
    }
  })

  test('where a watering was missed today, and not where all were given', () => {
    expect(dryTomorrow(askedOf(lawnOf(), whole()))).toBeUndefined()
    const { plan } = askedOf(lawnOf(), whole())
    const hours = plan.watering!.wet[0]!.day.cycles.map(({ hour }) => hour)
    const all = lawnOf([missed(TODAY, hours)])
    const gate = dryTomorrow(askedOf(all, whole()))!
    expect(gate).toMatchObject({ state: 'risk', text: { key: 'planned.dryTomorrow' } })
    const { half, hour12 } = gate.text.values as { half: string; hour12: number }
    const [log] = logsOf(askedOf(all, whole()), SOWN)
    expect((half === 'pm' ? 12 : 0) + (hour12 % 12)).toBe(log!.tomorrow.unwatered)
    // Missed long ago it has been made good since.
    expect(dryTomorrow(askedOf(lawnOf([missed(addDays(SOWN, 1), hours)]), whole()))).toBeUndefined()
    // The list says it before whatever else the lawn waits for.
    const told = outlineOf({
      job: jobOf(all),
      lawn: groundOf(all),
      firm,
      glance: glanceOf(outlook, SOWN),
      ended: false,
      missing: [],
    })
    expect(told.gate?.text.key).toBe('planned.dryTomorrow')
  })

  test('only while seed is kept wet, and of what is down', () => {
    const lawn = lawnOf([missed(TODAY, [6, 12, 15])])
    expect(dryTomorrow(askedOf({ ...lawn, done: [] }, whole()))).toBeUndefined()
    const early = { ...lawn, done: [{ ...SEED, doneOn: addDays(TODAY, -44) }] } as Lawn
    expect(dryTomorrow(askedOf(early, whole()))).toBeUndefined()
    expect(glanceOf(outlook, SOWN).drying).toBeDefined()
    expect(glanceOf(outlook, addDays(TODAY, 3)).drying).toBeUndefined()
  })
})
