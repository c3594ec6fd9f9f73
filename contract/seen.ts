import { z } from 'zod'
import { GERMINATION_CAUSES } from '#core/learning/cause'
import { LEAF_STAGES } from '#core/learning/leafStage'
import type { Seen } from '#core/learning/seen'
import { answersFit } from '#core/job/operations/asked'
import { operationOf } from '#core/job/operations/registry'
import type { SownZone } from '#core/job/watch'
import type { Day } from '#core/measure/calendar'
import { between, daySchema, idSchema, MOST_AREA_M2, text } from './fields'
import { pointSchema } from './look'
import { said } from './said'
import { taskKeySchema } from './work'

/** Frames of one count, and seedlings of one frame, at the most. */
export const [MOST_FRAMES, MOST_SEEDLINGS] = [30, 2000]
const common = { id: idSchema, seenOn: daySchema, note: text(300).default('') }

const countSchema = z.object({
  ...common,
  kind: z.literal('count'),
  zoneId: idSchema,
  frameMm: between(20, 1000, said('contract.frameSide')),
  seedlings: z
    .array(
      z
        .int(said('contract.aWholeNumber'))
        .min(0, said('contract.notBelow0'))
        .max(MOST_SEEDLINGS, said('contract.mostSeedlings', { most: MOST_SEEDLINGS })),
    )
    .min(1, said('contract.oneFrameAtLeast'))
    .max(MOST_FRAMES, said('contract.mostFrames', { most: MOST_FRAMES })),
  moist: z.boolean().nullable().default(null),
  washed: z.boolean().default(false),
  birds: z.boolean().default(false),
})
const heightSchema = z.object({
  ...common,
  kind: z.literal('height'),
  zoneId: idSchema,
  heightMm: between(1, 600, said('contract.leafHeight')),
})
const checkSchema = z.object({
  ...common,
  kind: z.literal('check'),
  zoneId: idSchema,
  moist: z.boolean(said('contract.moistOrDry')),
  washed: z.boolean().default(false),
  birds: z.boolean().default(false),
})
const leafSchema = z.object({ ...common, kind: z.literal('leaf'), zoneId: idSchema, stage: z.enum(LEAF_STAGES) })
const coverSchema = z.object({
  ...common,
  kind: z.literal('cover'),
  zoneId: idSchema,
  coverShare: between(0, 1, said('contract.between0And100')),
  from: z.enum(['photo', 'eye']),
  photoId: idSchema.nullable().default(null),
})
const wateringSchema = z.object({
  ...common,
  kind: z.literal('watering'),
  zoneId: idSchema.nullable(),
  given: z.boolean(),
  hours: z
    .array(z.int().min(0).max(23))
    .min(1, said('contract.oneWateringAtLeast'))
    .max(24)
    .transform((hours) => [...new Set(hours)].sort((a, b) => a - b)),
  by: z.enum(['firm', 'client']),
})

const spotSchema = z.object({
  ...common,
  kind: z.literal('spot'),
  zoneId: idSchema,
  areaM2: between(0.05, MOST_AREA_M2, said('contract.between1Ft01')),
  missingShare: between(0.05, 1, said('contract.between0And100')),
  cause: z.enum(GERMINATION_CAUSES),
  at: pointSchema.nullable().default(null),
})

const visitSchema = z
  .object({
    ...common,
    kind: z.literal('visit'),
    zoneId: z.null().default(null),
    task: taskKeySchema,
    answers: z.record(
      z.string().regex(/^[a-z]{1,20}$/),
      z.union([z.boolean(), between(0, 1000, said('contract.answersOfTheVisit'))]),
    ),
  })
  .refine(({ task, answers }) => answersFit(operationOf(task)?.asks, answers), {
    error: said('contract.answersOfTheVisit'),
    path: ['answers'],
  })

/** More than falls in a day anywhere that lawns are sown, mm. */
const MOST_RAIN_MM = 400
const rainSchema = z.object({
  ...common,
  kind: z.literal('rain'),
  zoneId: z.null().default(null),
  rainMm: between(0, MOST_RAIN_MM, said('contract.rainOfADay')),
  by: z.enum(['firm', 'client']),
})

/**
 * What was seen of a bed after sowing, under an id made by the device, so that a double click, a lost answer or a second sending
 * makes one of it.
 */
export const seenSchema = z.discriminatedUnion('kind', [
  countSchema,
  heightSchema,
  coverSchema,
  wateringSchema,
  spotSchema,
  rainSchema,
  checkSchema,
  leafSchema,
  visitSchema,
])
export type NewSeen = z.infer<typeof seenSchema>

/** What was seen, as it is read: by whom it was written down. */
export type SeenNote = Seen & { id: string; seenOn: Day; savedBy: string | null }

/** How what was sown comes up, by zone. */
export interface EmergenceTold {
  zones: SownZone[]
}
