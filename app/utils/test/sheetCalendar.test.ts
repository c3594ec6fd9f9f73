import ICAL from 'ical.js'
import { describe, expect, test } from 'vitest'
import { toDay } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { wateringProgramme, type Ending, type WateredBed } from '#core/water/programme'
import { sheetCalendar } from '../sheetCalendar'
import { hourIn } from '../hourWords'
import { runWords } from '../runWords'
import { readerOf } from '../words'

const at = (middle: number): Ending => ({ early: middle - 2, middle, late: middle + 2 })
const bed: WateredBed = {
  id: 'a',
  name: 'Front; by the "gate", left',
  areaM2: 100,
  texture: 'loam',
  sun: 'full',
  cover: 'compost',
  coverMm: 5,
  aheadH: 1,
  slopeShare: 0,
  supply: { rateMmPerH: 12, uniformity: 0.7, known: 'typed' },
  hours: [6, 9, 12, 15, 18],
  mostTimes: null,
}
const drying = { usual: 3, dry: 4.5, hot: 6 }
const programme = wateringProgramme({
  beds: [bed],
  wetBy: 'computed',
  stepDown: 'gradual',
  up: at(10),
  tall: at(18),
  mow: at(30),
  fourthMow: at(60),
  drying: { wet: drying, seedling: drying, rooting: drying, established: drying },
  season: 'cool',
})!
const text = sheetCalendar(programme, {
  sowOn: toDay('2026-10-20'),
  jobId: '5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e09',
  place: '3 Lark Bank, Pellmoor',
  minutesOf: () => '12 minutes',
})
const events = new ICAL.Component(ICAL.parse(text) as unknown[])
  .getAllSubcomponents('vevent')
  .map((one) => new ICAL.Event(one))

describe('the calendar of a watering sheet, read back by ical.js', () => {
  test('has each watering of each phase, by the clock of whoever reads it', () => {
    const wet = events.filter(({ uid }) => uid.includes('-wet-'))
    expect(wet.map(({ startDate }) => startDate.hour)).toEqual(
      programme.phases[0]!.zones[0]!.cycles.map(({ hour }) => hour),
    )
    for (const event of wet) {
      expect(event.startDate.zone.tzid).toBe('floating')
      // Sown on the twentieth, an inch tall eighteen days on: over the end of summer time, at the same hour.
      const days: string[] = []
      const all = event.iterator()
      for (let next = all.next(); next; next = all.next()) days.push(`${next.toJSDate().toDateString()} ${next.hour}`)
      expect(days).toHaveLength(18)
      expect(days[0]).toBe(`Tue Oct 20 2026 ${event.startDate.hour}`)
      expect(days.at(-1)).toBe(`Fri Nov 06 2026 ${event.startDate.hour}`)
    }
  })

  test('keeps names as they were written, and says where', () => {
    expect(events[0]!.description).toContain('Front; by the "gate", left: 12 minutes')
    expect(events[0]!.location).toBe('3 Lark Bank, Pellmoor')
    expect(events[0]!.summary).toBe('Water the new seed')
  })

  test('later phases come back on their days only, and what to expect is of whole days', () => {
    const rooting = events.find(({ uid }) => uid.includes('-rooting-'))!
    expect(rooting.component.getFirstPropertyValue('rrule')!.toString()).toContain(
      `INTERVAL=${programme.phases[2]!.everyDays}`,
    )
    const mow = events.find(({ uid }) => uid.includes('-mow@'))!
    expect([mow.startDate.isDate, mow.startDate.toString()]).toEqual([true, '2026-11-19'])
  })

  test('every event has an id of its own, the same when it is made again', () => {
    const ids = events.map(({ uid }) => uid)
    expect(new Set(ids).size).toBe(ids.length)
  })
})

test('a client who reads Spanish and counts in millimetres has both, on paper and in the calendar', async () => {
  const reader = await readerOf('es', 'metric')
  const spanish = sheetCalendar(programme, {
    sowOn: toDay('2026-10-20'),
    jobId: '5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e09',
    place: '3 Lark Bank, Pellmoor',
    minutesOf: (run) => runWords(run, reader),
    reader,
  })
  const titles = new ICAL.Component(ICAL.parse(spanish) as unknown[])
    .getAllSubcomponents('vevent')
    .map((one) => String(one.getFirstPropertyValue('summary')))
  expect(new Set(titles.filter((title) => title.startsWith('Regar')))).toEqual(new Set(['Regar la semilla nueva']))
  expect(titles.some((title) => /[Ww]ater|seed|mow/.test(title))).toBe(false)
  expect(titles).toHaveLength(events.length)
  expect(hourIn(reader, 6)).toMatch(/^6(:00)?\sa\.\s?m\.$/)
  expect(reader.t('water.weekly', { depth: reader.text(figure('waterMm', 25)) })).toBe('25 mm por semana')
})
