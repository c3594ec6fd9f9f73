import { describe, expect, test } from 'vitest'
import { joined, lowered, longDay, say, shortDay, weekdayName } from '#core/explain/message'
import { toDay } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import british from '../en-GB.json' with { type: 'json' }
import spanish from '../es.json' with { type: 'json' }
import catalogue from '../en-US'
import type { MessageKey } from '../message'
import { isWorked, tellerOf, type Values } from '../teller'

const american = tellerOf('en-US')
const inBritain = tellerOf('en-GB', british)
const us = (key: MessageKey, values?: Values) => american.text(key, values, 'us')
const metric = (key: MessageKey, values?: Values) => american.text(key, values, 'metric')

describe('a message', () => {
  test('takes figures in the units of who reads, whether it is filled with them or holds them itself', () => {
    expect(us('operations.windOf', { told: figure('speedKmh', 16.1) })).toBe('wind of 10 mph')
    expect(metric('operations.windOf', { told: figure('speedKmh', 16.1) })).toBe('wind of 16 km/h')
    // ½ in is 12.7 mm by definition of the inch (25.4 mm).
    expect([us('operations.holdAtIn12'), metric('operations.holdAtIn12')]).toEqual(['hold at 0.5 in', 'hold at 13 mm'])
    expect([us('look.n5834'), metric('look.n5834')]).toEqual(['5/8, 3/4, 1/2 in', '16, 19, 13 mm'])
  })
  test('takes lists, other messages within it, and pieces one after the other', () => {
    const blend = say('seed.mixture', { parts: [say('grass.TF'), say('grass.KBG')] })
    expect(us('establishment.planWords', { seed: blend })).toBe('as planned, tall fescue, Kentucky bluegrass')
    // Told inside of another it does not begin a sentence, nor end it.
    expect(us('operations.after', { name: lowered(say('operations.coreName')), told: lowered(say('operations.coreCheck')) })).toBe(
      'after core aerate: holes counted in a square foot',
    )
    expect(us('operations.perPart', { parts: joined([say('grass.TF'), ' / ', 2]) })).toBe('tall fescue / 2')
  })
  test('keeps what opens its working apart from the words', () => {
    const worked = {
      value: 2,
      working: { title: say('grass.TF'), result: figure('massKg', 2), formula: say('grass.TF'), lines: [] },
    }
    const pieces = american.parts('load.twoPassesOf', undefined, 'us')
    expect(pieces).toEqual(['two passes of'])
    const [mass, words] = american.parts('operations.orderSeed', { seedKg: worked, blend: say('grass.TF') }, 'us')
    expect([typeof mass === 'object' && isWorked(mass), words]).toEqual([true, ' of tall fescue'])
  })
  test('without a value that it wants, or under a name that nobody knows, is an error and no half sentence', () => {
    expect(() => us('operations.windOf')).toThrow()
    expect(() => us('operations.nobodySaidThis' as MessageKey)).toThrow(/nobodySaidThis/)
  })
})

test('days in Spanish are as Intl has them', () => {
  // Against the CLDR data of Node: weekdays and months of Spanish, by their full names.
  const inSpanish = tellerOf('es', spanish).days
  for (const day of Array.from({ length: 12 }, (_, i) => toDay(`2026-${String(i + 1).padStart(2, '0')}-0${(i % 9) + 1}`))) {
    const date = new Date(`${day}T12:00:00Z`)
    const said = (options: Intl.DateTimeFormatOptions) => date.toLocaleDateString('es', { ...options, timeZone: 'UTC' })
    expect(inSpanish.monthName(day)).toBe(said({ month: 'long' }))
    expect(inSpanish.weekdayName(day)).toBe(said({ weekday: 'long' }))
    expect(inSpanish.longDay(day)).toBe(said({ weekday: 'long', day: 'numeric', month: 'long' }).replace(',', ''))
    expect(said({ month: 'short' })).toContain(inSpanish.shortDay(day).split(' ')[1])
  }
})

test('days are said as people of a language say them', () => {
  const day = toDay('2026-09-18')
  // As style guides of both countries have it: month first in America, day first in Britain.
  expect([american.days.shortDay(day), inBritain.days.shortDay(day)]).toEqual(['Sep 18', '18 Sep'])
  expect(american.days.shortDay(day, toDay('2027-01-01'))).toBe('Sep 18, 2026')
  expect(american.days.shortDayWithWeekday(day)).toBe('Fri Sep 18')
  expect([american.days.longDay(day), inBritain.days.longDay(day)]).toEqual(['Friday, September 18', 'Friday 18 September'])
  // Found on a card of two cuts: "12–Sep 14".
  const runs = (teller: typeof american) =>
    [toDay('2026-09-30'), toDay('2026-10-02'), toDay('2027-01-02')].map((to) =>
      teller.days.daysFromTo(day, to, toDay('2026-09-01')),
    )
  expect(runs(american)).toEqual(['Sep 18–30', 'Sep 18–Oct 2', 'Sep 18–Jan 2, 2027'])
  expect(runs(inBritain)).toEqual(['18–30 Sep', '18 Sep–2 Oct', '18 Sep–2 Jan 2027'])
  const told = (value: ReturnType<typeof shortDay>) => inBritain.text('work.wasDue', { to: value }, 'us')
  expect([told(shortDay(day)), told(longDay(day)), told(weekdayName(day))]).toEqual([
    'was due 18 Sep',
    'was due Friday 18 September',
    'was due Friday',
  ])
})

/** Spellings that only one of the two countries has, as dictionaries of both list them. */
const BRITISH = /\b(colou?red\b(?<!colored)|colours?|programmes?|licences?|metres?|centimetres?|neighbours?|labelled|levelled|levelling|modelled|cancelled|catalogue|autumn|scarif\w+|grey|mould\w*|fibres?|litres?|centre)\b/i
const AMERICAN = /\b(colors?|colored|programs?|license[sd]?|meters?|centimeters?|neighbors?|labeled|leveled|leveling|modeled|canceled|catalog|gray|molds?|fibers?|liters?|center)\b/i

test('each English is spelt in its own way throughout', () => {
  const differing: Record<string, string> = british
  for (const [room, messages] of Object.entries(catalogue as Record<string, Record<string, string>>))
    for (const [name, text] of Object.entries(messages)) {
      const key = `${room}.${name}`
      const words = (said: string) => said.replace(/\{\w+(, (plural|select))?|<[^>]*>/g, '')
      // What is called otherwise elsewhere is named once.
      if (!name.endsWith('AlsoCalled')) expect([key, BRITISH.exec(words(text))?.[0]]).toEqual([key, undefined])
      // Said in both: a program of a computer, and the name of a notation.
      const own = words(differing[key] ?? text).replace(/beside the program,|this program/g, '')
      expect([key, AMERICAN.exec(own)?.[0]]).toEqual([key, undefined])
    }
})
