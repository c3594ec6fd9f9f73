import { defineStore } from 'pinia'
import type { PlanSettings } from '#core/job/settings'
import { sillOf, type SillData, type SillLacking, type SillTold } from '#contract/context'
import { problemOf, type Problem } from '~/utils/api'
import type { Hanger } from '~/utils/sillScale'

/** The season on the ledge: of the lawn in view, or of the home station. */
export const useSillStore = defineStore('sill', () => {
  const lawns = useLawnsStore()
  const data = ref<SillData>()
  /** Lawn it is of; null for the home station. */
  const lawnId = ref<string | null>()
  const problem = ref<Problem>()
  /** What stands is of before a change, and follows once all years are worked out anew. */
  const behind = ref(false)
  /** What is missing for a season, in words; empty where nothing is. */
  const lacks = ref('')
  /** What hangs from it: tasks of the lawn in view, or the sowings of all. */
  const hangers = shallowRef<Hanger[]>([])
  /** Settings of a lawn that are tried out: its season is told by them until they are kept or dropped. */
  let tried: { of: string; settings: PlanSettings } | undefined
  let asking: AbortController | undefined

  /** @param job of the lawn; without it the one in view. A later question ends an earlier one. */
  async function show(id: string | null, job = id ? lawns.byId(id)?.job.id : undefined): Promise<void> {
    asking?.abort()
    const { signal } = (asking = new AbortController())
    try {
      const path = id ? `/api/lawns/${id}/sill` : '/api/sill'
      const by = id && tried?.of === id ? ({ method: 'POST', body: { settings: tried.settings } } as const) : {}
      const ask = (query: { coarse?: 'yes' }) =>
        $fetch<SillTold | SillLacking>(path, { query: { job, ...query }, signal, ...by })
      const hear = (told: SillTold | SillLacking) => {
        lacks.value = 'lacks' in told ? tell(told.lacks) : ''
        data.value = 'lacks' in told ? undefined : sillOf(told)
        lawnId.value = id
        problem.value = undefined
        behind.value = false
      }
      // A first look fills an empty page; one that stands stays until all years are worked out.
      const stands = lawnId.value === id && data.value?.jobId === (job ?? null)
      behind.value = stands
      if (!stands) hear(await ask({ coarse: 'yes' }))
      if (stands || data.value?.coarse) hear(await ask({}))
    } catch (error) {
      if (signal.aborted) return
      problem.value = problemOf(error)
      behind.value = false
    }
  }

  /** @param settings undefined for those that are kept */
  async function tryOut(id: string, settings: PlanSettings | undefined): Promise<void> {
    if (!settings && tried?.of !== id) return
    tried = settings && { of: id, settings }
    await show(id)
  }

  /** Another lawn is looked at: what was tried of this one is let go. */
  function letGo(id: string): void {
    if (tried?.of === id) tried = undefined
  }

  return { data, lawnId, problem, behind, lacks, hangers, show, tryOut, letGo }
})
