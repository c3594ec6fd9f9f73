import type { Plan, PlanInput } from '#contract/lawn'
import { planFields } from '~/utils/planFields'
import { fieldName } from '~/utils/fieldWords'

/** What of a plan its season and odds depend on. */
const SEASONAL = ['programme', 'zonePlans', 'practices', 'blend', 'sowOn', 'settings'] as const

/** Saves changes to the plan of a lawn, brought together with those of others. */
export function usePlanSave(id: string) {
  const store = useLawnsStore()
  const sill = useSillStore()
  const merging = useMergingSave<Plan>(
    (plan) => store.savePlan(id, plan),
    planFields,
    (path) => fieldName(path),
  )

  /** The season follows what was saved, by whomever it was brought in; nobody waits for it. */
  async function following(save: () => Promise<boolean>): Promise<boolean> {
    const before = store.byId(id)?.plan
    if (!(await save())) return false
    const after = store.byId(id)?.plan
    if (SEASONAL.some((field) => !sameJson(before?.[field], after?.[field]))) void sill.show(id)
    return true
  }

  /** @returns true when it is saved */
  async function savePlan(change: Partial<PlanInput>): Promise<boolean> {
    const plan = store.byId(id)?.plan
    return plan ? following(() => merging.save(plan, { ...plan, ...change })) : false
  }
  const settleClash = (takeTheirs: ReadonlySet<string>) => following(() => merging.settleClash(takeTheirs))
  return { ...merging, savePlan, settleClash }
}
