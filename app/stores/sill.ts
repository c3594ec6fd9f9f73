import { defineStore } from 'pinia'
import { sillOf, type SillData, type SillTold } from '#contract/context'
import { problemOf, type Problem } from '~/utils/api'
import type { Hanger } from '~/utils/sillScale'

/** The season on the ledge: of the lawn in view, or of the home station. */
export const useSillStore = defineStore('sill', () => {
  const lawns = useLawnsStore()
  const data = ref<SillData>()
  /** Lawn it is of; null for the home station. */
  const lawnId = ref<string | null>()
  const problem = ref<Problem>()
  /** What hangs from it: tasks of the lawn in view, or the sowings of all. */
  const hangers = shallowRef<Hanger[]>([])
  let asking: AbortController | undefined

  /** @param job of the lawn; without it the one in view. A later question ends an earlier one. */
  async function show(id: string | null, job = id ? lawns.byId(id)?.job.id : undefined): Promise<void> {
    asking?.abort()
    const { signal } = (asking = new AbortController())
    try {
      const path = id ? `/api/lawns/${id}/sill` : '/api/sill'
      data.value = sillOf(await $fetch<SillTold>(path, { query: { job }, signal }))
      lawnId.value = id
      problem.value = undefined
    } catch (error) {
      if (!signal.aborted) problem.value = problemOf(error)
    }
  }

  return { data, lawnId, problem, hangers, show }
})
