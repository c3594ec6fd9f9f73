import { z } from 'zod'
import { IRRIGATION_KINDS, TIMERS } from '#core/water/irrigation'
import { areaM2, between, daySchema, idSchema, required, text } from './fields'
import { said } from './said'

const flow = between(0.1, 2000, said('contract.between003And')).nullable()
const canTestSchema = z
  .object({
    minutes: between(1, 240, said('contract.between1And240Minutes')),
    read: z.enum(['depth', 'volume']),
    widthMm: between(20, 500, said('contract.canWidth')).nullable(),
    values: z.array(between(0, 5000, said('contract.between0And5'))).max(48, said('contract.atMost48Cans')),
  })
  .refine(({ read, widthMm }) => read === 'depth' || widthMm !== null, {
    path: ['widthMm'],
    message: said('contract.canWidthWanted'),
  })
const hourOfDay = z.int().min(0).max(24)
/** A part of the lawn that one tap or valve waters. */
export const irrigationZoneSchema = z.object({
  id: idSchema,
  name: required(40),
  kind: z.enum(IRRIGATION_KINDS),
  heads: z.int().min(0).max(200),
  flowLPerMin: flow,
  zoneId: idSchema.nullable(),
  areaM2: areaM2.nullable(),
  tap: text(40),
  hoseM: between(0, 500, said('contract.between0And500M')).nullable(),
  rateMmPerH: between(0.5, 300, said('contract.rateOfSprinklers')).nullable(),
  cans: canTestSchema.nullable(),
  timer: z.enum(TIMERS),
  sprinklerLent: z.boolean().default(false),
})
export type IrrigationZoneTold = z.infer<typeof irrigationZoneSchema>
export const HOME_WHEN = ['all day', 'mornings and evenings', 'seldom'] as const
export const waterSchema = z.object({
  source: z.enum(['none', 'hose', 'sprinklers']).nullable(),
  flowLPerMin: flow,
  irrigation: z.array(irrigationZoneSchema).max(16, said('contract.atMost16Circuits')).default([]),
  /** Hours of the clock at which it may be watered, from and to; all where none is told. */
  hours: z
    .array(z.tuple([hourOfDay, hourOfDay]).refine(([from, to]) => from < to, said('contract.hoursRise')))
    .max(3)
    .default([]),
  byWhom: text(80),
  /** When whoever waters is at home. */
  homeWhen: z.enum(HOME_WHEN).nullable().default(null),
  /** How often a day they can, honestly. */
  timesADay: between(0, 12, said('contract.between0And12Times')).nullable(),
  restriction: z.enum(['none', 'limited', 'ban']).nullable(),
  restrictedUntil: daySchema.nullable(),
  restrictionNote: text(200),
})

export const NO_WATER: z.infer<typeof waterSchema> = {
  source: null,
  flowLPerMin: null,
  irrigation: [],
  hours: [],
  byWhom: '',
  homeWhen: null,
  timesADay: null,
  restriction: null,
  restrictedUntil: null,
  restrictionNote: '',
}
