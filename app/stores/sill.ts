import { defineStore } from 'pinia'
import type { SillData } from '#contract/context'
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
  let asked = 0

  /** @param job of the lawn; without it the one in view */
  async function show(id: string | null, job = id ? lawns.byId(id)?.job.id : undefined): Promise<void> {
    const turn = ++asked
    try {
      const answer = await $fetch<SillData>(id ? `/api/lawns/${id}/sill` : '/api/sill', { query: { job } })
      // A later question may have been answered first.
      if (turn !== asked) return
      data.value = answer
      lawnId.value = id
      problem.value = undefined
    } catch (error) {
      if (turn === asked) problem.value = problemOf(error)
    }
  }

  return { data, lawnId, problem, hangers, show }
})
