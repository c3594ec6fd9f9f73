import { readFileSync } from 'node:fs'
import { parse } from 'csv-parse/sync'
import { toDay } from '#core/measure/calendar'
import type { DailyWeather } from '#core/weather/weather'

/** Daily observations of 2012-2015, US NOAA, as the npm package vega-datasets ships them (weather.csv). */
export const observedAt = (place: 'Seattle' | 'New York'): DailyWeather[] =>
  (
    parse(readFileSync('node_modules/vega-datasets/data/weather.csv', 'utf8'), { columns: true }) as Record<
      string,
      string
    >[]
  )
    .filter(({ location }) => location === place)
    .map((row) => ({
      day: toDay(row.date!.replaceAll('/', '-')),
      tmaxC: Number(row.temp_max),
      tminC: Number(row.temp_min),
      rainMm: Number(row.precipitation),
    }))
