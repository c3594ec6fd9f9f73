import { describe, expect, test } from 'vitest'
import type { DailyWeather } from '#core/weather/weather'
import { addDays, toDay } from '#core/measure/calendar'
import { dailyCsv, probeCsv } from '#contract/feed'
import { owner } from '../test/database'
import { PLACE, useTwoFirms } from '../test/firms'
import { collect } from '../weather/collect'
import { standinDays, standinForecast, standinReadings } from '../weather/standin'
import type { Author } from './firms'
import { addStation, keepWeather, saveStation, stationById, stationsOf, weatherNow, weatherText } from './stations'

const weatherOf = async (firmId: string, stationId: string) =>
  JSON.parse(await weatherText(firmId, stationId)) as DailyWeather[]
let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})

describe('a station', () => {
  const week = Array.from({ length: 7 }, (_, i) => ({
    day: addDays(toDay('2026-08-01'), i),
    tmaxC: 28 + i,
    tminC: 15,
    rainMm: i,
  }))

  test('keeps a day once: importing again adds nothing, a corrected day changes one', async () => {
    const station = (await addStation(ours.firmId, { name: 'Ridge', ...PLACE }))!
    expect(await keepWeather(ours.firmId, station.id, week)).toEqual({ added: 7, changed: 0 })
    const weatherStamp = async () =>
      (await weatherNow(ours.firmId, station.id, toDay('2026-09-08'), toDay('2026-08-01'))).stamp
    const stamp = await weatherStamp()
    expect(await keepWeather(ours.firmId, station.id, week)).toEqual({ added: 0, changed: 0 })
    expect(await weatherStamp()).toBe(stamp)
    expect(await keepWeather(ours.firmId, station.id, [{ ...week[2]!, rainMm: 9.5 }])).toEqual({ added: 0, changed: 1 })
    expect(await weatherStamp()).not.toBe(stamp)
    expect((await weatherOf(ours.firmId, station.id))[2]).toEqual({ ...week[2]!, rainMm: 9.5 })
    expect(await weatherOf(theirs.firmId, station.id)).toEqual([])
  })

  test('of the same name is refused, and only the first is home', async () => {
    await addStation(ours.firmId, { name: 'Ridge', ...PLACE })
    expect(await addStation(ours.firmId, { name: 'Ridge', ...PLACE })).toBeUndefined()
    await addStation(ours.firmId, { name: 'Airfield', ...PLACE })
    expect((await stationsOf(ours.firmId)).map(({ name, home }) => [name, home])).toEqual([
      ['Ridge', true],
      ['Airfield', false],
    ])
  })

  test('is added first, made home and renamed by several at once: one is home, each has its name, nobody meets an error', async () => {
    const names = Array.from({ length: 12 }, (_, i) => `Station ${i % 6}`)
    const stations = await Promise.all(names.map((name) => addStation(ours.firmId, { name, ...PLACE })))
    expect(stations.filter(Boolean)).toHaveLength(6)
    expect((await stationsOf(ours.firmId)).filter(({ home }) => home)).toHaveLength(1)
    const there = await stationsOf(ours.firmId)
    const edits = await Promise.all(
      there.map((station, i) =>
        saveStation(ours.firmId, station.id, { ...station, home: true, name: i < 3 ? 'Same' : station.name }),
      ),
    )
    expect(edits.filter((outcome) => outcome === 'taken')).toHaveLength(2)
    expect((await stationsOf(ours.firmId)).filter(({ home }) => home)).toHaveLength(1)
  })

  test('takes two imports of the same days in opposite order at once', async () => {
    const station = (await addStation(ours.firmId, { name: 'Ridge', ...PLACE }))!
    const many = Array.from({ length: 900 }, (_, i) => ({
      day: addDays(toDay('2024-01-01'), i),
      tmaxC: 20 + (i % 7),
      tminC: 10,
      rainMm: 0,
    }))
    await Promise.all(
      [
        many,
        [...many].reverse(),
        many.map((day) => ({ ...day, rainMm: 3 })),
        [...many].reverse().map((day) => ({ ...day, rainMm: 4 })),
      ].map((days) => keepWeather(ours.firmId, station.id, days)),
    )
    expect(await weatherOf(ours.firmId, station.id)).toHaveLength(900)
  })

  test('does not take a day whose lowest is above its highest', async () => {
    const station = (await addStation(ours.firmId, { name: 'Ridge', ...PLACE }))!
    await expect(
      keepWeather(ours.firmId, station.id, [...week, { day: toDay('2026-08-09'), tmaxC: 10, tminC: 20, rainMm: 0 }]),
    ).rejects.toMatchObject({ code: '23514' })
    expect(await weatherOf(ours.firmId, station.id)).toEqual([])
  })

  test('is asked only for what it has not delivered yet, and a silent one loses nothing', async () => {
    const ridge = (await addStation(ours.firmId, { name: 'Ridge', ...PLACE }))!
    await owner(`update stations set kind = 'simulated', feed_path = '/standin/pellmoor-ridge' where id = $1`, [
      ridge.id,
    ])
    const asked: string[] = []
    const answer = async (path: string) => {
      asked.push(path)
      const query = new URL(path, 'http://stand.in').searchParams
      const [from, to, on] = ['from', 'to', 'on'].map((name) => query.get(name) ?? '') as [string, string, string]
      if (path.includes('forecast')) return dailyCsv(standinForecast(toDay(on)))
      return path.includes('daily')
        ? dailyCsv(standinDays(toDay(from), toDay(to)))
        : probeCsv(standinReadings(toDay(from), toDay(to)))
    }
    const today = toDay('2026-09-08')
    const station = async () => (await stationById(ours.firmId, ridge.id))!
    expect(await collect(ours.firmId, await station(), today, () => Promise.reject(new Error('no line')))).toBe(false)
    expect(await collect(ours.firmId, await station(), today, answer)).toBe(true)
    expect(await station()).toMatchObject({ days: 500, lastDay: '2026-09-07' })
    expect(await collect(ours.firmId, await station(), today, answer)).toBe(true)
    expect(asked).toHaveLength(3)
    await collect(ours.firmId, await station(), addDays(today, 2), answer)
    expect(asked[3]).toContain('from=2026-09-08&to=2026-09-09')
    expect((await station()).days).toBe(502)
  })
})
