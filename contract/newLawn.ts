import { z } from 'zod'
import { areaM2, idSchema, required, text } from './fields'

/** What a lawn begins with: the dashed row under the list. */
export const newLawnSchema = z.object({
  /** Made by the browser, so that asking twice adds once. */
  id: idSchema,
  client: required(80),
  address: text(160),
  areaM2,
  areaTyped: text(200),
  growsNow: text(120),
})

export type NewLawn = z.infer<typeof newLawnSchema>
