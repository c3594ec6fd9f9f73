import { said } from './said'
import { z } from 'zod'
import { forecastSchema, readingSchema, type ImportResult } from './station'
import { between, daySchema, required } from './fields'

/** Days and readings of one delivery in JSON; more go as CSV. */
export const [MOST_DELIVERED_DAYS, MOST_DELIVERED_READINGS] = [1000, 1500] as const
const airC = between(-70, 60, said('contract.between94And140'))
const dayOf = z
  .object({
    day: daySchema,
    tmaxC: airC,
    tminC: airC,
    rainMm: between(0, 600, said('contract.between0And24')),
  })
  .refine(({ tmaxC, tminC }) => tminC <= tmaxC, { path: ['tminC'], message: said('contract.aboveTheHighest') })

/** What a station delivers: days gone, a forecast from today on, readings of a soil probe. */
export const deliverySchema = z.object({
  days: z.array(dayOf).max(MOST_DELIVERED_DAYS, said('contract.atMostDaysAt', { MOST_DELIVERED_DAYS })).default([]),
  forecast: forecastSchema.shape.days.optional(),
  readings: z
    .array(readingSchema)
    .max(MOST_DELIVERED_READINGS, said('contract.atMostReadingsAt', { MOST_DELIVERED_READINGS }))
    .default([]),
})

/** What became of a delivery; sent again it changes nothing. */
export type DeliveryResult = Omit<ImportResult, 'rejected'> & { rejected: { line: number; reason: string }[] }

export const newKeySchema = z.object({ name: required(60, said('contract.sayWhatDeliversBy')) })

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
