import type { Message } from '#core/explain/message'
import { said } from './said'
import { z } from 'zod'
import { isDay, type Day } from '#core/measure/calendar'
import type { Delimiter } from '#core/measure/table'
import type { StationPlace } from '#core/weather/dailyFile'
import type { ForecastDay } from '#core/weather/weather'
import { normalsFromFewFigures, type FewFigures } from '#core/weather/fewFigures'
import type { Normals } from '#core/weather/normals'
import { between, daySchema, heightM, required, versionSchema } from './fields'

const monthly = (least: number, most: number, words: string) =>
  z.array(between(least, most, words)).length(12, said('contract.twelveMonths'))
/** Means of a place by month: °C, mm a month, days a month with 0.01 in (0.25 mm) or more. */
export const normalsSchema: z.ZodType<Normals> = z
  .object({
    tmaxC: monthly(-60, 55, said('contract.between76And131')),
    tminC: monthly(-70, 45, said('contract.between94And113')),
    rainMm: monthly(0, 1500, said('contract.between0And59')),
    wetDays: monthly(0, 31, said('contract.between0And31')),
  })
  .superRefine(({ tmaxC, tminC, rainMm, wetDays }, context) => {
    tmaxC.forEach((high, m) => {
      if (tminC[m]! > high)
        context.addIssue({ code: 'custom', path: ['tminC', m], message: said('contract.aboveTheHighest') })
      if (rainMm[m]! > 0 && wetDays[m] === 0)
        context.addIssue({ code: 'custom', path: ['wetDays', m], message: said('contract.rainFallsOnSome') })
    })
  })

const monthFigures = z
  .object({
    tmaxC: between(-60, 55, said('contract.between76And131')),
    tminC: between(-70, 45, said('contract.between94And113')),
  })
  .refine(({ tmaxC, tminC }) => tminC <= tmaxC, { path: ['tminC'], message: said('contract.aboveItsHigh') })
const yearRain = between(0, 15_000, said('contract.between0And590'))
/** A climate as people know it; monthly normals are made of it. */
export const fewFiguresSchema: z.ZodType<FewFigures> = z
  .object({
    hottest: monthFigures,
    coldest: monthFigures,
    rainMm: yearRain,
    wettest: z.object({ month: z.int().min(0).max(11), rainMm: yearRain }).nullable(),
    lastFrost: daySchema.nullable(),
    firstFrost: daySchema.nullable(),
  })
  .superRefine(({ hottest, coldest, rainMm, wettest }, context) => {
    for (const of of ['tmaxC', 'tminC'] as const)
      if (hottest[of] <= coldest[of])
        context.addIssue({ code: 'custom', path: ['hottest', of], message: said('contract.noWarmerThanThe') })
    if (wettest && (wettest.rainMm < rainMm / 12 || wettest.rainMm > rainMm))
      context.addIssue({
        code: 'custom',
        path: ['wettest', 'rainMm'],
        message: said('contract.aTwelfthOfThe'),
      })
  })

export const newStationSchema = z.object({
  name: required(80, said('contract.enterAName')),
  latDeg: between(-66, 66, said('contract.between66And66')),
  lonDeg: between(-180, 180, said('contract.between180And180')),
  heightM: heightM.nullable(),
  coastal: z.boolean(),
  /** Where normals are made of a few figures; null where they are typed, or there are none. */
  fewFigures: fewFiguresSchema.nullable().default(null),
  normals: normalsSchema.nullable().default(null),
})

/** A century of days with every element and its flags, or hourly readings of twenty years. */
export const MOST_FILE_BYTES = 16_000_000

export const COLUMNS = ['day', 'tmax', 'tmin', 'rain'] as const
export type Column = (typeof COLUMNS)[number]

const columnIndex = z.int().min(0).max(199)

/** Which column of the file is which, and in what units; what the technician confirms before anything is kept. */
export const mappingSchema = z.object({
  columns: z.object({ day: columnIndex, tmax: columnIndex, tmin: columnIndex, rain: columnIndex }),
  temperature: z.enum(['C', 'F', '0.1C']),
  rain: z.enum(['mm', 'in', '0.1mm']),
  /** Flags beside the values, where the file has them: values that failed a check are left out. */
  flags: z.object({ tmax: columnIndex, tmin: columnIndex, rain: columnIndex }).partial().optional(),
  /** Of a forecast, where the file tells it. */
  wind: z.object({ column: columnIndex, unit: z.enum(['km/h', 'mph', 'm/s']) }).optional(),
  /** Only rows with this value in this column are read: files that hold several stations. */
  only: z.object({ column: columnIndex, value: z.string().max(120) }).nullable(),
})

/** A soil temperature read by hand, at local time. */
export const readingSchema = z.object({
  at: z
    .string()
    .regex(/^(19|20|21)\d\d-[01]\d-[0-3]\dT[0-2]\d:[0-5]\d$/, said('contract.aDayAndA'))
    .refine((at) => isDay(at.slice(0, 10)) && Number(at.slice(11, 13)) < 24, said('contract.aDayAndATime')),
  depthMm: between(0, 500, said('contract.between0And20')),
  tempC: between(-20, 60, said('contract.between4And140')),
})

export const stationEditSchema = newStationSchema.extend({
  version: versionSchema,
  home: z.boolean(),
  normals: normalsSchema.nullable(),
})
export type StationEdit = Sent<z.output<typeof stationEditSchema>>

/** The normals a station is kept with: those of its few figures, or the typed ones. */
export const normalsKept = (station: {
  latDeg: number
  fewFigures?: FewFigures | null
  normals?: Normals | null
}): Normals | null =>
  station.fewFigures ? normalsFromFewFigures(station.fewFigures, station.latDeg) : (station.normals ?? null)

/** Days that a forecast may reach. */
export const MOST_FORECAST_DAYS = 10
const airC = between(-70, 60, said('contract.between94And140'))
export const forecastSchema = z.object({
  days: z
    .array(
      z
        .object({
          day: daySchema,
          tmaxC: airC,
          tminC: airC,
          rainMm: between(0, 600, said('contract.between0And24')),
          windKmh: between(0, 250, said('contract.between0And155')).nullable(),
        })
        .refine(({ tmaxC, tminC }) => tminC <= tmaxC, { path: ['tminC'], message: said('contract.aboveTheHighest') }),
    )
    .min(1, said('contract.oneDayAtLeast'))
    .max(MOST_FORECAST_DAYS, said('contract.atMostDays', { MOST_FORECAST_DAYS }))
    .refine((days) => new Set(days.map(({ day }) => day)).size === days.length, said('contract.eachDayOnce')),
})

/**
 * What is told of a file of soil temperatures besides: a unit and a depth, where its header names none. The file is
 * the body.
 */
export const readingsFileSchema = z.object({
  temperature: z.enum(['C', 'F']).optional(),
  depthMm: z.coerce
    .number()
    .pipe(between(0, 500, said('contract.between0And20')))
    .optional(),
})
export interface ReadingsResult {
  kept: number
  rejected: RejectedRow[]
  rejectedCount: number
}

/** Lawns that lie nearer to a station than to the one they read. */
export interface NearerLawns {
  stationId: string
  lawns: { id: string; client: string }[]
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

/** What is told of a file of days besides; the file itself is the body. */
export const importSchema = z.object({
  /** What the rows are: days that were observed, or days that are forecast. */
  what: z.enum(['days', 'forecast']).default('days'),
  /** The mapping as JSON. */
  mapping: z
    .string()
    .max(2000)
    .transform((json, context): unknown => {
      try {
        return JSON.parse(json)
      } catch {
        context.addIssue({ code: 'custom', message: said('contract.chooseTheColumnsAgain') })
        return z.NEVER
      }
    })
    .pipe(mappingSchema),
})

/** Figures may be left out where there are none. */
type Sent<T extends { fewFigures: unknown }> = Omit<T, 'fewFigures'> & { fewFigures?: FewFigures | null }
export type NewStation = Omit<Sent<z.output<typeof newStationSchema>>, 'normals'> & { normals?: Normals | null }
export type Mapping = z.infer<typeof mappingSchema>

export interface Station extends Omit<z.output<typeof newStationSchema>, 'normals'> {
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
  reason: Message
}

/** What a file holds, before anything is kept. */
export interface ImportPreview {
  /** A table of days, a station's file of fixed width, or hours of a typical year, which is no record. */
  form: 'table' | 'dly' | 'epw'
  /** Where the file says that its station stands. */
  station: StationPlace | null
  /** Monthly means of a typical year; null where the file is a record. */
  climate: Pick<Normals, 'tmaxC' | 'tminC'> | null
  header: string[]
  /** Found once for the whole file; where it is no comma, decimal commas are read. */
  delimiter: Delimiter
  sample: string[][]
  guess: Mapping | null
  /** Distinct values of columns that look like a station name, for files that hold several. */
  choices: { column: number; values: string[] }[]
  rows: number
}

/** A look into a file, with what of it could be used by the guess; null where columns or a place have to be chosen. */
export interface WeatherFileTold extends ImportPreview {
  counted: {
    days: number
    first: Day | null
    last: Day | null
    rejected: RejectedRow[]
    rejectedCount: number
    /** Monthly means of its days; null where some month has too few. */
    normals: Normals | null
  } | null
}

export interface ImportResult {
  added: number
  changed: number
  unchanged: number
  rejected: RejectedRow[]
  rejectedCount: number
}
