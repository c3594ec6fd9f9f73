import { z } from 'zod'
import type { Day } from '#core/quantity/calendar'

export const newStationSchema = z.object({
  name: z.string().trim().min(1, 'Enter a name.').max(80, 'At most 80 characters.'),
  latDeg: z.number('Between −66 and 66 degrees.').min(-66, 'Between −66 and 66 degrees.').max(66, 'Between −66 and 66 degrees.'),
  lonDeg: z.number('Between −180 and 180 degrees.').min(-180, 'Between −180 and 180 degrees.').max(180, 'Between −180 and 180 degrees.'),
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
  /** Only rows with this value in this column are read: files that hold several stations. */
  only: z.object({ column: columnIndex, value: z.string().max(120) }).nullable(),
})

/** A soil temperature read by hand, at local time. */
export const readingSchema = z.object({
  at: z.string().regex(/^(19|20|21)\d\d-[01]\d-[0-3]\dT[0-2]\d:[0-5]\d$/, 'A day and a time.').refine((at) => Number.isFinite(Date.parse(`${at}:00Z`)), 'A day and a time that exist.'),
  depthMm: z.number('Between 0 and 20 in (500 mm).').min(0, 'Between 0 and 20 in (500 mm).').max(500, 'Between 0 and 20 in (500 mm).'),
  tempC: z.number('Between −4 and 140 °F (−20 and 60 °C).').min(-20, 'Between −4 and 140 °F (−20 and 60 °C).').max(60, 'Between −4 and 140 °F (−20 and 60 °C).'),
})

export const importSchema = z.object({
  csv: z.string().min(1, 'The file is empty.').max(MOST_CSV_CHARACTERS, 'The file is larger than 4 MB. Split it by years.'),
  mapping: mappingSchema.nullable(),
})

export type NewStation = z.infer<typeof newStationSchema>
export type Mapping = z.infer<typeof mappingSchema>

export interface Station extends NewStation {
  id: string
  kind: 'simulated' | 'imported'
  home: boolean
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
