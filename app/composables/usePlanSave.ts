import type { Plan, PlanInput } from '#contract/lawn'
import { planFields } from '~/utils/planFields'
import { fieldName } from '~/utils/fieldWords'

/** What of a plan its season and odds depend on. */
const SEASONAL = ['programme', 'zonePlans', 'practices', 'blend', 'sowOn', 'settings'] as const
const sameJson = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** Saves changes to the plan of a lawn, brought together with those of others. */
export function usePlanSave(id: string) {
  const store = useLawnsStore()
  const sill = useSillStore()
  const merging = useMergingSave<Plan>(
    (plan) => store.savePlan(id, plan),
    planFields,
    (path) => fieldName(path),
  )

  /** @returns true when it is saved */
  async function savePlan(change: Partial<PlanInput>): Promise<boolean> {
    const plan = store.byId(id)?.plan
    if (!plan || !(await merging.save(plan, { ...plan, ...change }))) return false
    if (SEASONAL.some((field) => field in change && !sameJson(change[field], plan[field]))) await sill.show(id)
    return true
  }
  return { ...merging, savePlan }
}
