import { z } from 'zod'
import type { Day } from '#core/quantity/calendar'
import type { ForecastDay } from '#core/climate/weather'
import type { Normals } from '#core/climate/normals'
import { between, daySchema, heightM } from './fields'

export const newStationSchema = z.object({
  name: z.string().trim().min(1, 'Enter a name.').max(80, 'At most 80 characters.'),
  latDeg: z.number('Between −66 and 66 degrees.').min(-66, 'Between −66 and 66 degrees.').max(66, 'Between −66 and 66 degrees.'),
  lonDeg: z.number('Between −180 and 180 degrees.').min(-180, 'Between −180 and 180 degrees.').max(180, 'Between −180 and 180 degrees.'),
  heightM: heightM.nullable(),
  coastal: z.boolean(),
})

export const MOST_CSV_CHARACTERS = 4_000_000

export const COLUMNS = ['day', 'tmax', 'tmin', 'rain'] as const
export type Column = (typeof COLUMNS)[number]

const columnIndex = z.int().min(0).max(199)

/** Which column of the file is which, and in what units; what the technician confirms before anything is kept. */
export const mappingSchema = z.object({
  columns: z.object({ day: columnIndex, tmax: columnIndex, tmin: columnIndex, rain: columnIndex }),
  temperature: z.enum(['C', 'F']),
  rain: z.enum(['mm', 'in']),
  /** Of a forecast, where the file tells it. */
  wind: z.object({ column: columnIndex, unit: z.enum(['km/h', 'mph', 'm/s']) }).optional(),
  /** Only rows with this value in this column are read: files that hold several stations. */
  only: z.object({ column: columnIndex, value: z.string().max(120) }).nullable(),
})

/** A soil temperature read by hand, at local time. */
export const readingSchema = z.object({
  at: z.string().regex(/^(19|20|21)\d\d-[01]\d-[0-3]\dT[0-2]\d:[0-5]\d$/, 'A day and a time.').refine((at) => Number.isFinite(Date.parse(`${at}:00Z`)), 'A day and a time that exist.'),
  depthMm: z.number('Between 0 and 20 in (500 mm).').min(0, 'Between 0 and 20 in (500 mm).').max(500, 'Between 0 and 20 in (500 mm).'),
  tempC: z.number('Between −4 and 140 °F (−20 and 60 °C).').min(-20, 'Between −4 and 140 °F (−20 and 60 °C).').max(60, 'Between −4 and 140 °F (−20 and 60 °C).'),
})

const monthly = (least: number, most: number, words: string) => z.array(between(least, most, words)).length(12, 'Twelve months.')
/** Means of a place by month: °C, mm a month, days a month with 0.01 in (0.25 mm) or more. */
export const normalsSchema: z.ZodType<Normals> = z.object({
  tmaxC: monthly(-60, 55, 'Between −76 and 131 °F (−60 and 55 °C).'), tminC: monthly(-70, 45, 'Between −94 and 113 °F (−70 and 45 °C).'),
  rainMm: monthly(0, 1500, 'Between 0 and 59 in (1,500 mm).'), wetDays: monthly(0, 31, 'Between 0 and 31 days.'),
}).superRefine(({ tmaxC, tminC, rainMm, wetDays }, context) => {
  tmaxC.forEach((high, m) => {
    if (tminC[m]! > high) context.addIssue({ code: 'custom', path: ['tminC', m], message: 'Above the highest.' })
    if (rainMm[m]! > 0 && wetDays[m] === 0) context.addIssue({ code: 'custom', path: ['wetDays', m], message: 'Rain falls on some day.' })
  })
})

export const stationEditSchema = newStationSchema.extend({ version: z.int(), home: z.boolean(), normals: normalsSchema.nullable() })
export type StationEdit = z.infer<typeof stationEditSchema>

/** Days that a forecast may reach. */
export const MOST_FORECAST_DAYS = 10
const airC = between(-70, 60, 'Between −94 and 140 °F (−70 and 60 °C).')
export const forecastSchema = z.object({
  days: z.array(z.object({
    day: daySchema, tmaxC: airC, tminC: airC, rainMm: between(0, 600, 'Between 0 and 24 in (600 mm).'),
    windKmh: between(0, 250, 'Between 0 and 155 mph (250 km/h).').nullable(),
  }).refine(({ tmaxC, tminC }) => tminC <= tmaxC, { path: ['tminC'], message: 'Above the highest.' })).min(1, 'One day at least.').max(MOST_FORECAST_DAYS, `At most ${MOST_FORECAST_DAYS} days.`),
})

/** Soil temperatures as a file: read by its own header, or at a depth and in a unit that are told. */
export const readingsFileSchema = z.object({
  csv: z.string().min(1, 'The file is empty.').max(MOST_CSV_CHARACTERS, 'The file is larger than 4 MB. Split it by years.'),
  temperature: z.enum(['C', 'F']).nullable(),
  depthMm: between(0, 500, 'Between 0 and 20 in (500 mm).').nullable(),
})
export interface ReadingsResult {
  kept: number
  rejected: RejectedRow[]
  rejectedCount: number
}

/** What a station's record lacks, and the forecast that counts today. */
export interface StationDetail {
  gaps: Gap[]
  missingDays: number
  forecast: ForecastDay[]
  forecastIssued: Day | null
  readings: number
}
export interface Gap {
  from: Day
  to: Day
  days: number
}

export const importSchema = z.object({
  /** What the rows are: days that were observed, or days that are forecast. */
  what: z.enum(['days', 'forecast']).default('days'),
  csv: z.string().min(1, 'The file is empty.').max(MOST_CSV_CHARACTERS, 'The file is larger than 4 MB. Split it by years.'),
  mapping: mappingSchema.nullable(),
})

export type NewStation = z.infer<typeof newStationSchema>
export type Mapping = z.infer<typeof mappingSchema>

export interface Station extends NewStation {
  id: string
  kind: 'simulated' | 'imported'
  home: boolean
  version: number
  normals: Normals | null
  days: number
  firstDay: Day | null
  lastDay: Day | null
}

export interface RejectedRow {
  line: number
  reason: string
}

/** What a file holds, before anything is kept. */
export interface ImportPreview {
  header: string[]
  sample: string[][]
  guess: Mapping | null
  /** Distinct values of columns that look like a station name, for files that hold several. */
  choices: { column: number; values: string[] }[]
  rows: number
}

export interface ImportResult {
  added: number
  changed: number
  unchanged: number
  rejected: RejectedRow[]
  rejectedCount: number
}
