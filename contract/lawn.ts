import { z } from 'zod'
import { TEXTURES } from '#core/climate/soil'
import { GRASS_CODES } from '#core/grass/grasses'
import { isDay, type Day } from '#core/quantity/calendar'
import { parseAnalysis } from '#core/materials/feed'
import { COVER_MATERIALS, type PlanSettings } from '#core/programme/plan'
import { OPERATION_CODES } from '#core/programme/operations'
import { coverProblem, type Survey } from '#core/site/survey'

export const daySchema = z.string().refine(isDay, 'A date such as 2026-09-24.').transform((text) => text as Day)
export const idSchema = z.uuid()

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`)
const required = (most: number) => text(most).min(1, 'Enter something here.')
const between = (least: number, most: number, words: string) => z.number(words).min(least, words).max(most, words)
const share = between(0, 1, 'Between 0 and 100%.')

export const applicationSchema = z.object({
  ingredient: required(80),
  appliedOn: daySchema,
  waitDays: z.int('Whole days.').min(0, 'Not below 0 days.').max(800, 'At most 800 days.'),
})

const areaM2 = between(1, 200_000, 'Between 10 ft² (1 m²) and 50 acres (20 ha).')

/** What a lawn begins with: the dashed row under the list. */
export const newLawnSchema = z.object({
  /** Made by the browser, so that asking twice adds once. */
  id: idSchema,
  client: required(80),
  address: text(160),
  areaM2,
  areaTyped: text(80),
  growsNow: text(120),
})

/** The survey, short form. Null is "not looked at yet". */
export const lookSchema = z
  .object({
    version: z.int(),
    client: required(80),
    address: text(160),
    latDeg: between(-66, 66, 'Between −66 and 66 degrees.'),
    lonDeg: between(-180, 180, 'Between −180 and 180 degrees.'),
    stationId: idSchema.nullable(),
    areaM2,
    areaTyped: text(80),
    growsNow: text(120),
    grass: z.enum(GRASS_CODES).nullable(),
    desirableShare: share.nullable(),
    weedShare: share.nullable(),
    bareShare: share.nullable(),
    thatchMm: between(0, 150, 'Between 0 and 6 in (150 mm).').nullable(),
    mowingHeightMm: between(3, 300, 'Between ⅛ in (3 mm) and 12 in (300 mm).').nullable(),
    sun: z.enum(['full', 'part', 'dense']).nullable(),
    texture: z.enum(TEXTURES),
    slopeShare: between(0, 1, 'Between 0 and 100%.'),
    applications: z.array(applicationSchema).max(40, 'At most 40 lines.'),
  })
  .superRefine(({ desirableShare, weedShare, bareShare }, context) => {
    if (desirableShare === null || weedShare === null || bareShare === null) return
    const problem = coverProblem(desirableShare, weedShare, bareShare)
    if (problem) context.addIssue({ code: 'custom', path: ['bareShare'], message: problem })
  })

const lotSchema = z.object({
  purityShare: between(0.01, 1, 'Between 1 and 100%.'),
  germinationShare: between(0.01, 1, 'Between 1 and 100%.'),
  coatingShare: between(0, 0.9, 'Between 0 and 90%.'),
  purityOfBareSeed: z.boolean(),
})

const bagSchema = z.object({
  massKg: between(0.1, 1500, 'Between 0.1 kg and 1,500 kg.'),
  priceMinor: z.int().min(0, 'Not below 0.').max(100_000_00, 'That is too much for a bag.').nullable(),
})

export const settingsSchema = z.object({
  seedRateGPerM2: between(0.5, 100, 'Between 0.1 lb/1,000 ft² (0.5 g/m²) and 20 lb/1,000 ft² (100 g/m²).'),
  lot: lotSchema,
  bags: z.array(bagSchema).min(1, 'At least one bag size.').max(4, 'At most four bag sizes.'),
  starterAnalysis: z.string().refine((t) => parseAnalysis(t) !== undefined, 'Three numbers such as 18-24-12, nitrogen above 0.'),
  starterNGPerM2: between(0.2, 4.887, 'Between 0.05 and 1 lb N/1,000 ft² (0.2 to 4.9 g/m²) in one go.'),
  coverMaterial: z.enum(COVER_MATERIALS),
  coverMm: between(0, 25, 'Between 0 and 1 in (25 mm).'),
  rakeMm: between(0, 25, 'Between 0 and 1 in (25 mm).'),
  scalpToMm: between(3, 150, 'Between ⅛ in (3 mm) and 6 in (150 mm).'),
})

export const planSchema = z.object({
  version: z.int(),
  programme: z.enum(['overseed']).nullable(),
  overruleNote: text(400).nullable(),
  sowOn: daySchema.nullable(),
  settings: settingsSchema.nullable(),
})

/** Prices are the owner's: the bag sizes at which a plan puts another price than it had. */
export function pricesChanged(before: PlanSettings | null, after: PlanSettings | null): number[] {
  const had = new Map(before?.bags.map(({ massKg, priceMinor }) => [massKg, priceMinor]))
  return (after?.bags ?? []).filter(({ massKg, priceMinor }) => priceMinor !== (had.get(massKg) ?? null)).map(({ massKg }) => massKg)
}

/** A page of the list: what is asked for at once, by number or by name. */
export const LIST_PAGE = 60
const listPage = z.coerce.number().int().min(1).max(LIST_PAGE)
export const lawnsAskedSchema = z.object({ first: listPage.optional() })
export const glancesAskedSchema = z.object({
  of: z.string().max(LIST_PAGE * 37).transform((ids) => ids.split(',').filter(Boolean)).pipe(z.array(idSchema).max(LIST_PAGE, `At most ${LIST_PAGE} lawns at once.`)),
})

export const doneSchema = z.object({ doneOn: daySchema })
export const operationCodeSchema = z.enum(OPERATION_CODES)

export type NewLawn = z.infer<typeof newLawnSchema>
export type Look = z.infer<typeof lookSchema>
export type PlanInput = z.infer<typeof planSchema>

export interface DoneOperation {
  code: z.infer<typeof operationCodeSchema>
  doneOn: Day
}

/** Who saved last, and when; null where nobody has. */
export interface Saved {
  savedAt: string | null
  savedBy: string | null
}

export type Plan = PlanInput & Saved

/** A lawn as the browser knows it. */
export interface Lawn extends Look, Saved {
  id: string
  plan: Plan
  done: DoneOperation[]
}

/** What the survey still lacks, in the words of the form. */
export function missingOf(lawn: Look): string[] {
  const asked: [string, unknown][] = [
    ['grass wanted', lawn.grass], ['share of grass worth keeping', lawn.desirableShare], ['share of weeds', lawn.weedShare],
    ['share of bare soil', lawn.bareShare], ['thatch', lawn.thatchMm], ['mowing height', lawn.mowingHeightMm], ['sun', lawn.sun],
  ]
  return asked.filter(([, value]) => value === null).map(([words]) => words)
}

/** The survey as the plan reads it; undefined while something is missing. */
export function surveyOf(lawn: Look): Survey | undefined {
  const { grass, desirableShare, weedShare, bareShare, thatchMm, mowingHeightMm, sun, areaM2, texture, slopeShare } = lawn
  if (grass === null || desirableShare === null || weedShare === null || bareShare === null) return undefined
  if (thatchMm === null || mowingHeightMm === null || sun === null) return undefined
  return { grass, desirableShare, weedShare, bareShare, thatchMm, mowingHeightMm, sun, areaM2, texture, slopeShare }
}
