import type { Plan, PlanInput } from '#contract/lawn'
import { fieldName } from '~/utils/fieldWords'

/** What of a plan is edited. */
const planFields = ({
  version,
  programme,
  overruleNote,
  zonePlans,
  schools,
  blend,
  sowOn,
  settings,
  work,
}: Plan): Plan => ({
  version,
  programme,
  overruleNote,
  zonePlans,
  schools,
  blend,
  sowOn,
  settings,
  work,
  savedAt: null,
  savedBy: null,
})

/** Saves changes to the plan of a lawn, brought together with those of others. */
export function usePlanSave(id: string) {
  const store = useLawnsStore()
  const merging = useMergingSave<Plan>(
    (plan) => store.savePlan(id, plan),
    planFields,
    (path) => fieldName(path),
  )

  /** @returns true when it is saved */
  async function savePlan(change: Partial<PlanInput>): Promise<boolean> {
    const plan = store.byId(id)?.plan
    return plan ? merging.save(plan, { ...plan, ...change }) : false
  }
  return { ...merging, savePlan }
}
