import { defineStore } from 'pinia'
import type { SillData } from '#contract/context'
import { problemOf, type Problem } from '~/utils/api'

/** The season on the ledge: of the lawn in view, or of the home station. */
export const useSillStore = defineStore('sill', () => {
  const lawns = useLawnsStore()
  const data = ref<SillData>()
  /** Lawn it is of; null for the home station. */
  const lawnId = ref<string | null>()
  /** Job of the lawn it is of. */
  const jobId = ref<string>()
  const problem = ref<Problem>()
  let asked = 0

  async function show(id: string | null): Promise<void> {
    const turn = ++asked
    try {
      const job = id ? lawns.byId(id)?.job.id : undefined
      const answer = await $fetch<SillData>(id ? `/api/lawns/${id}/sill` : '/api/sill', { query: { job } })
      // A later question may have been answered first.
      if (turn !== asked) return
      data.value = answer
      lawnId.value = id
      jobId.value = job
      problem.value = undefined
    } catch (error) {
      if (turn === asked) problem.value = problemOf(error)
    }
  }

  return { data, lawnId, jobId, problem, show }
})
