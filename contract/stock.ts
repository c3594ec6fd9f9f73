import { said } from './said'
import { z } from 'zod'
import { feedMatter, MATTERS, type Matter } from '#core/materials/stock'
import type { Day } from '#core/measure/calendar'
import { daySchema, idSchema, noneOr, required, text, versionSchema } from './fields'

const LISTED: ReadonlySet<string> = new Set(
  Object.values(MATTERS)
    .flat()
    .map(({ matter }) => matter),
)
const isMatter = (typed: string): typed is Matter =>
  LISTED.has(typed) || (typed.startsWith('feed ') && feedMatter(typed.slice(5)) === typed)
export const matterSchema = text(200)
  .refine(isMatter, said('contract.chooseWhatItIs'))
  .transform((typed) => typed as Matter)

/** Kg or m³; more than any shed holds is a slip of the finger. */
const MOST = 100_000
export const amountSchema = noneOr(0.001, MOST, said('contract.between0And220'))

/** Something new in the stock book. Its id is made by the browser, so that asking twice adds once. */
export const newStockSchema = z.object({
  id: idSchema,
  matter: matterSchema,
  name: required(80),
  day: daySchema,
  amount: amountSchema,
})
export type NewStock = z.infer<typeof newStockSchema>

export const stockEditSchema = z.object({ version: versionSchema, name: required(80), putAway: z.boolean() })

/** Something came in, or was counted and is so much. */
export const stockMoveSchema = z.object({
  id: idSchema,
  why: z.enum(['came', 'counted']),
  day: daySchema,
  amount: amountSchema,
  note: text(200),
})
export type NewStockMove = z.infer<typeof stockMoveSchema>

/** A line of the stock book as it stands. */
export interface StockItem {
  id: string
  matter: Matter
  name: string
  /** Kg or m³. */
  onHand: number
  putAway: boolean
  version: number
  /** The last day on which something was written of it. */
  lastDay: Day | null
}

/** What was written of a line, the latest first. */
export interface StockMove {
  id: string
  why: 'came' | 'counted' | 'used'
  day: Day
  /** Kg or m³ by which it moved. */
  amount: number
  note: string
  /** Whose lawn it was used on; null where that is deleted, or it was not used. */
  lawnId: string | null
  client: string | null
  savedBy: string | null
}
