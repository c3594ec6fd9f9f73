import type { Message } from '#core/explain/message'
import { said } from './said'
import { z } from 'zod'
import { parseAnalysis } from '#core/materials/feed'
import { COVER_MATERIALS } from '#core/materials/covers'
import type { ClientReads } from './firm'
import { MOST_PARTS } from '#core/seed/blends'
import { GRASS_CODES } from '#core/grass/grasses'
import type { Amounts, JobRecord, LawnRecord, Mark } from '#core/job/records'
import { OUTCOMES, type JobState } from '#core/job/states'
import type { Promised } from '#core/job/promise'
import type { PlanSettings } from '#core/job/settings'
import { PROGRAMME_CODES, type ProgrammeCode } from '#core/job/decision/programmes'
import { questionsLeft } from '#core/site/questions'
import type { Day } from '#core/measure/calendar'
import type { ZoneMeasure } from '#core/site/zone'
import { between, daySchema, few, idSchema, noneOr, text, versionSchema } from './fields'
import { MOST_ZONES, type Look } from './look'
import { practicesSchema } from './practices'
import type { SeenNote } from './seen'
import { workSchema, type DoneOperation } from './work'

const lotSchema = z.object({
  purityShare: between(0.01, 1, said('contract.between1And100')),
  germinationShare: between(0.01, 1, said('contract.between1And100')),
  coatingShare: between(0, 0.9, said('contract.between0And90')),
  purityOfBareSeed: z.boolean(),
  /** What was kept before anybody asked has none. */
  testedOn: daySchema.nullable().default(null),
})

const bagSchema = z.object({
  massKg: between(0.1, 1500, said('contract.between01Kg')),
  priceMinor: z.int().min(0, said('contract.notBelow0')).max(100_000_00, said('contract.thatIsTooMuch')).nullable(),
})

export const settingsSchema = z.object({
  seedRateGPerM2: between(0.5, 100, said('contract.between01Lb')),
  lot: lotSchema,
  bags: z.array(bagSchema).min(1, said('contract.atLeastOneBag')).max(4, said('contract.atMostFourBag')),
  starterAnalysis: text(20).refine((t) => parseAnalysis(t) !== undefined, said('contract.threeNumbersSuchAs')),
  starterNGPerM2: noneOr(0.2, 4.887, said('contract.between005And')),
  /** What was kept before anybody asked has none. */
  starterSlowShare: between(0, 1, said('contract.between0And100')).default(0),
  coverMaterial: z.enum(COVER_MATERIALS),
  coverMm: between(0, 25, said('contract.between0And1')),
  rakeMm: between(0, 25, said('contract.between0And1')),
  scalpToMm: between(3, 150, said('contract.betweenIn3Mm')),
})

/** Settings that the season of a lawn is asked for by, without keeping them. */
export const settingsTriedSchema = z.object({ settings: settingsSchema })

/** Shares of mass of a mixture, adding up to 100%. */
const blendSchema = z
  .array(z.object({ grass: z.enum(GRASS_CODES), massShare: between(0.005, 1, said('contract.between05And')) }))
  .max(MOST_PARTS, said('contract.atMostGrasses', { MOST_PARTS }))
  .refine((parts) => parts.length !== 1, said('contract.aMixtureHoldsTwo'))
  .refine((parts) => new Set(parts.map(({ grass }) => grass)).size === parts.length, said('contract.eachGrassOnce'))
  .refine(
    (parts) => !parts.length || Math.abs(parts.reduce((sum, { massShare }) => sum + massShare, 0) - 1) < 0.0015,
    said('contract.sharesHaveToAdd'),
  )

export const planSchema = z.object({
  version: versionSchema,
  programme: z.enum(PROGRAMME_CODES).nullable(),
  overruleNote: text(400).nullable(),
  /** Zones that are treated otherwise than the rest, or left as they are. */
  zonePlans: few(z.object({ programme: z.enum([...PROGRAMME_CODES, 'leave']), note: text(400) }), MOST_ZONES, 'zones'),
  /** Where this plan differs from what the firm holds. */
  practices: practicesSchema.partial(),
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
  /** Saved by confirming the schedule. */
  confirmed: boolean
}

/** A job of a lawn in brief. */
export interface JobBrief {
  id: string
  /** Counted on its lawn from 1. */
  number: number
  state: JobState
  programme: ProgrammeCode | null
  sowOn: Day | null
  begunOn: Day
  /** Null while it is open. */
  endedOn: Day | null
  /** Zones it is on, or was when it ended. */
  zoneIds: string[]
  marks: Mark[]
}

/** The job in view: who confirmed its schedule, and how it ended. */
export interface JobInView extends Omit<JobBrief, 'marks'> {
  confirmed: { on: Day; by: string | null; version: number } | null
  ended: { on: Day; by: string | null; note: string } | null
  /** What could be told of it when its schedule was confirmed; null where it never was. */
  promised: Promised | null
  /** What its tasks still to do will use up, kg or m³ by material, as it was kept last. */
  wanted: Amounts
}

/** A lawn as the browser knows it, with one of its jobs in view. */
export interface Lawn extends Look, Saved {
  id: string
  clientId: string
  clientReads: ClientReads
  /** Day of the firm on which the survey was saved last; null where it never was. */
  surveyedOn: Day | null
  /** Worked out of the survey when it was saved, by zone. */
  measured: Record<string, ZoneMeasure>
  /** The sun over what is drawn is being worked out, and follows. */
  sunAwaited: boolean
  /** Of all zones whose area is known, m². */
  areaM2: number
  /** All its jobs, the latest first. */
  jobs: JobBrief[]
  /** The job in view, with what is decided and done of it. */
  job: JobInView
  plan: Plan
  done: DoneOperation[]
  /** What was seen of it after sowing, the oldest first. */
  seen: SeenNote[]
  /** Other lawns of the client, a dozen at the most. */
  sameClient: { id: string; address: string }[]
}

/** What is decided and done of the job in view, as it is planned. */
export const jobOf = ({ plan, done, seen, job }: Pick<Lawn, 'plan' | 'done' | 'seen' | 'job'>): JobRecord => ({
  ...plan,
  done,
  seen,
  spokenFor: job.wanted,
})

/** The ground of the job in view: its zones only, and what other jobs put down. */
export function groundOf(lawn: Lawn): LawnRecord {
  const inJob = new Set(lawn.job.zoneIds)
  const ofJob = <T>(byZone: Record<string, T>): Record<string, T> =>
    Object.fromEntries(Object.entries(byZone).filter(([id]) => inJob.has(id)))
  return {
    ...lawn,
    zones: ofJob(lawn.zones),
    measured: ofJob(lawn.measured),
    marksElsewhere: lawn.jobs.flatMap(({ id, marks }) => (id === lawn.job.id ? [] : marks)),
  }
}

/** What the plan cannot do without and the survey of the job's zones still lacks, in the words of the form. */
export function missingOf(lawn: Lawn): Message[] {
  const { zones, measured } = groundOf(lawn)
  return questionsLeft({ ...lawn, zones }, measured)
    .filter(({ needed }) => needed)
    .map(({ words }) => words)
}

/** A new job on zones that are in no open one. */
export const newJobSchema = z.object({
  /** Made by the browser, so that asking twice adds once. */
  id: idSchema,
  zoneIds: z
    .array(idSchema)
    .min(1, said('contract.oneZoneAtLeast'))
    .max(MOST_ZONES, said('contract.atMostZones', { MOST_ZONES })),
})
export type NewJob = z.infer<typeof newJobSchema>

/** Confirms the days of a schedule as they stand. */
export const confirmSchema = planSchema.pick({ version: true }).extend({ days: workSchema.shape.days })

export const endJobSchema = planSchema.pick({ version: true }).extend({
  outcome: z.enum(OUTCOMES),
  note: text(1000),
  /** What was seen of the cover goes into the survey, for the next job. */
  takeStands: z.boolean().default(false),
})
export type EndJob = z.infer<typeof endJobSchema>

export const jobAskedSchema = z.object({ job: idSchema.optional() })
