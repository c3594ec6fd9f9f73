import { z } from 'zod'
import { parseAnalysis } from '#core/materials/feed'
import { COVER_MATERIALS } from '#core/materials/covers'
import { MOST_PARTS } from '#core/seed/blends'
import { GRASS_CODES } from '#core/grass/grasses'
import type { JobRecord } from '#core/job/records'
import type { PlanSettings } from '#core/job/settings'
import { PROGRAMME_CODES } from '#core/job/decision/programmes'
import { questionsLeft } from '#core/site/questions'
import type { ZoneMeasure } from '#core/site/zone'
import { areaM2, between, daySchema, few, idSchema, noneOr, required, text, versionSchema } from './fields'
import { MOST_ZONES, type Look } from './look'
import { schoolsSchema } from './schools'
import { workSchema, type DoneOperation } from './work'

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
  starterAnalysis: text(20).refine(
    (t) => parseAnalysis(t) !== undefined,
    'Three numbers such as 18-24-12, nitrogen above 0.',
  ),
  starterNGPerM2: noneOr(0.2, 4.887, 'Between 0.05 and 1 lb N/1,000 ft² (0.2 to 4.9 g/m²) in one go, or 0 for none.'),
  coverMaterial: z.enum(COVER_MATERIALS),
  coverMm: between(0, 25, 'Between 0 and 1 in (25 mm).'),
  rakeMm: between(0, 25, 'Between 0 and 1 in (25 mm).'),
  scalpToMm: between(3, 150, 'Between ⅛ in (3 mm) and 6 in (150 mm).'),
})

/** Shares of mass of a mixture, adding up to 100%. */
const blendSchema = z
  .array(z.object({ grass: z.enum(GRASS_CODES), massShare: between(0.005, 1, 'Between 0.5 and 100%.') }))
  .max(MOST_PARTS, `At most ${MOST_PARTS} grasses.`)
  .refine((parts) => parts.length !== 1, 'A mixture holds two grasses at least.')
  .refine((parts) => new Set(parts.map(({ grass }) => grass)).size === parts.length, 'Each grass once.')
  .refine(
    (parts) => !parts.length || Math.abs(parts.reduce((sum, { massShare }) => sum + massShare, 0) - 1) < 0.0015,
    'Shares have to add up to 100%.',
  )

export const planSchema = z.object({
  version: versionSchema,
  programme: z.enum(PROGRAMME_CODES).nullable(),
  overruleNote: text(400).nullable(),
  /** Zones that are treated otherwise than the rest, or left as they are. */
  zonePlans: few(z.object({ programme: z.enum([...PROGRAMME_CODES, 'leave']), note: text(400) }), MOST_ZONES, 'zones'),
  /** Where this plan differs from what the firm holds. */
  schools: schoolsSchema.partial(),
  /** Seed sown together in place of the zones' one grass; empty where that alone is sown. */
  blend: blendSchema,
  sowOn: daySchema.nullable(),
  settings: settingsSchema.nullable(),
  work: workSchema,
})

/** Prices are the owner's: the bag sizes at which a plan puts another price than it had. */
export function pricesChanged(before: PlanSettings | null, after: PlanSettings | null): number[] {
  const had = new Map(before?.bags.map(({ massKg, priceMinor }) => [massKg, priceMinor]))
  return (after?.bags ?? [])
    .filter(({ massKg, priceMinor }) => priceMinor !== (had.get(massKg) ?? null))
    .map(({ massKg }) => massKg)
}

/** A page of the list: what is asked for at once, by number or by name. */
export const LIST_PAGE = 60
const listPage = z.coerce.number().int().min(1).max(LIST_PAGE)
export const lawnsAskedSchema = z.object({ first: listPage.optional() })
export const glancesAskedSchema = z.object({
  of: z
    .string()
    .max(LIST_PAGE * 37)
    .transform((ids) => ids.split(',').filter(Boolean))
    .pipe(z.array(idSchema).max(LIST_PAGE, `At most ${LIST_PAGE} lawns at once.`)),
})

export type NewLawn = z.infer<typeof newLawnSchema>
export type PlanInput = z.infer<typeof planSchema>

/** Who saved last, and when; null where nobody has. */
export interface Saved {
  savedAt: string | null
  savedBy: string | null
}

export type Plan = PlanInput & Saved

/** A plan as it was saved once. */
export interface PlanVersion extends Saved {
  plan: PlanInput
}

/** A lawn as the browser knows it. */
export interface Lawn extends Look, Saved {
  id: string
  /** Worked out of the survey when it was saved, by zone. */
  measured: Record<string, ZoneMeasure>
  /** The sun over what is drawn is being worked out, and follows. */
  sunAwaited: boolean
  /** Of all zones whose area is known, m². */
  areaM2: number
  plan: Plan
  done: DoneOperation[]
}

/** What the plan cannot do without and the survey still lacks, in the words of the form. */
export const missingOf = (lawn: Lawn): string[] =>
  questionsLeft(lawn, lawn.measured)
    .filter(({ needed }) => needed)
    .map(({ words }) => words)

/** What is decided and done of a lawn, as a job on it is planned. */
export const jobOf = ({ plan, done }: Pick<Lawn, 'plan' | 'done'>): JobRecord => ({ ...plan, done })
