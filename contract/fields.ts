import { z } from 'zod'
import { isDay, type Day } from '#core/quantity/calendar'

/** Fields that several contracts are made of, each bounded. */
export const daySchema = z.string().refine(isDay, 'A date such as 2026-09-24.').transform((text) => text as Day)
export const idSchema = z.uuid()
export const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`)
export const required = (most: number) => text(most).min(1, 'Enter something here.')
export const between = (least: number, most: number, words: string) => z.number(words).min(least, words).max(most, words)
export const share = between(0, 1, 'Between 0 and 100%.')
/** Of ground above the sea; lowest shore and highest towns. */
export const heightM = between(-430, 6000, 'Between −1,400 and 19,700 ft (−430 and 6,000 m).')
export const areaM2 = between(1, 200_000, 'Between 10 ft² (1 m²) and 50 acres (20 ha).')
/** A record with no more entries than a person makes. */
export const few = <T extends z.ZodType>(schema: T, most: number, what: string) =>
  z.record(idSchema, schema).refine((all) => Object.keys(all).length <= most, `At most ${most} ${what}.`)
