import { said } from './said'
import { z } from 'zod'
import { isDay, type Day } from '#core/measure/calendar'

/**
 * Control characters but tab and line breaks, and halves of surrogate pairs: no text is made of them, and no database
 * keeps them.
 */
const UNKEEPABLE = /(?![\t\n\r])[\p{Cc}\p{Cs}]/gu

/**
 * The one cleaning of everything people type: what cannot be kept is dropped, one spelling for each letter, trimmed.
 */
export const cleaned = (typed: string): string => typed.replace(UNKEEPABLE, '').normalize('NFC').trim()

/** Fields that several contracts are made of, each bounded. */
export const daySchema = z
  .string()
  .max(10, said('contract.aDateSuchAs'))
  .refine(isDay, said('contract.aDateSuchAs'))
  .transform((text) => text as Day)
export const idSchema = z.uuid()
/** Far beyond what is kept nothing is cleaned: bringing letters into one spelling takes long for a heap of accents. */
export const text = (most: number) =>
  z
    .string()
    .max(most * 4, { error: said('contract.atMostCharacters', { most }), abort: true })
    .overwrite(cleaned)
    .max(most, said('contract.atMostCharacters', { most }))
export const required = (most: number, empty = said('contract.enterSomethingHere')) => text(most).min(1, empty)
/** Counts the saves of one thing, as the database counts. */
export const versionSchema = z.int().min(0).max(2_147_483_647)

/** Less than this of any unit is nothing: it was not measured, and dividing by it overflows. */
const NOTHING = 1e-6
const nothingIsNothing = (value: number): number => (Math.abs(value) < NOTHING ? 0 : value)
export const between = (least: number, most: number, words: string) =>
  z.number(words).overwrite(nothingIsNothing).min(least, words).max(most, words)
/** Nothing at all, or as much as can be told apart from it. */
export const noneOr = (least: number, most: number, words: string) =>
  between(0, most, words).refine((value) => value === 0 || value >= least, words)
export const share = noneOr(0.0001, 1, said('contract.between001And'))
export const hours = noneOr(0.01, 400, said('contract.between001And400'))
/** Of ground above the sea; lowest shore and highest towns. */
export const heightM = between(-430, 6000, said('contract.between1400And'))
/** The largest lawn, 20 ha. */
export const MOST_AREA_M2 = 200_000
export const areaM2 = between(1, MOST_AREA_M2, said('contract.between10Ft1'))
/** A record with no more entries than a person makes. */
export const few = <T extends z.ZodType>(schema: T, most: number, what: string) =>
  z.record(idSchema, schema).refine((all) => Object.keys(all).length <= most, said('contract.atMost', { most, what }))
