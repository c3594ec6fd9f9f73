import { z } from 'zod'
import type { DailyWeather, ForecastDay } from '#core/weather/weather'
import type { ProbeReading } from '#core/soil/probe'
import { daySchema } from './fields'

/** The open CSV form: what a weather station and a soil probe deliver. */
export const DAILY_HEADER = 'date,tmax_c,tmin_c,precipitation_mm'
export const FORECAST_HEADER = `${DAILY_HEADER},wind_kmh`
export const PROBE_HEADER = 'time,depth_mm,temp_c'

export const dailyCsv = (days: readonly DailyWeather[]): string =>
  [DAILY_HEADER, ...days.map((d) => `${d.day},${d.tmaxC},${d.tminC},${d.rainMm}`), ''].join('\n')

export const forecastCsv = (days: readonly ForecastDay[]): string =>
  [FORECAST_HEADER, ...days.map((d) => `${d.day},${d.tmaxC},${d.tminC},${d.rainMm},${d.windKmh ?? ''}`), ''].join('\n')

export const probeCsv = (readings: readonly ProbeReading[]): string =>
  [PROBE_HEADER, ...readings.map((r) => `${r.at},${r.depthMm},${r.tempC}`), ''].join('\n')

export const spanSchema = z.object({ from: daySchema, to: daySchema })
export const issuedSchema = z.object({ on: daySchema })
