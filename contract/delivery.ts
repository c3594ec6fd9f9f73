import { z } from 'zod'
import { forecastSchema, readingSchema, type ImportResult } from './station'
import { between, daySchema, required } from './fields'

/** Days and readings of one delivery in JSON; more go as CSV. */
export const [MOST_DELIVERED_DAYS, MOST_DELIVERED_READINGS] = [1000, 1500] as const
const airC = between(-70, 60, 'Between −94 and 140 °F (−70 and 60 °C).')
const dayOf = z
  .object({
    day: daySchema,
    tmaxC: airC,
    tminC: airC,
    rainMm: between(0, 600, 'Between 0 and 24 in (600 mm).'),
  })
  .refine(({ tmaxC, tminC }) => tminC <= tmaxC, { path: ['tminC'], message: 'Above the highest.' })

/** What a station delivers: days gone, a forecast from today on, readings of a soil probe. */
export const deliverySchema = z.object({
  days: z.array(dayOf).max(MOST_DELIVERED_DAYS, `At most ${MOST_DELIVERED_DAYS} days at once.`).default([]),
  forecast: forecastSchema.shape.days.optional(),
  readings: z
    .array(readingSchema)
    .max(MOST_DELIVERED_READINGS, `At most ${MOST_DELIVERED_READINGS} readings at once.`)
    .default([]),
})

/** What became of a delivery; sent again it changes nothing. */
export type DeliveryResult = ImportResult

export const newKeySchema = z.object({ name: required(60, 'Say what delivers by it, such as Yard logger.') })

/** A key by which something delivers to a station. */
export interface StationKey {
  id: string
  name: string
  madeAt: string
  usedAt: string | null
}
/** A key just made: its secret is told once. */
export interface StationKeyMade extends StationKey {
  secret: string
}
