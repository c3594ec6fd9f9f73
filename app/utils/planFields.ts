import { planSchema, type Plan, type PlanInput } from '#contract/lawn'

const FIELDS = planSchema.omit({ version: true }).keyof().options

/** A plan without the number of its version and who saved it. */
export const whatIsPlanned = (plan: PlanInput): Omit<PlanInput, 'version'> =>
  Object.fromEntries(FIELDS.map((field) => [field, plan[field]])) as Omit<PlanInput, 'version'>

/** What of a plan is edited. */
export const planFields = (plan: Plan): Plan => ({
  ...whatIsPlanned(plan),
  version: plan.version,
  savedAt: null,
  savedBy: null,
})
