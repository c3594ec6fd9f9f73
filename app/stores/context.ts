import { defineStore } from 'pinia'
import type { Context } from '#contract/context'
import type { Day } from '#core/quantity/calendar'
import { problemOf, type Problem } from '~/utils/api'

/** Who is at work, in which units, on what day. */
export const useContextStore = defineStore('context', () => {
  const context = ref<Context>()
  const problem = ref<Problem>()
  const request = useRequestFetch()

  async function load(): Promise<void> {
    try {
      context.value = await request<Context>('/api/context')
      problem.value = undefined
    } catch (error) {
      problem.value = problemOf(error)
    }
  }

  const today = computed<Day>(() => context.value?.today ?? ('1970-01-01' as Day))
  const units = computed(() => context.value?.firm.units ?? 'us')
  const currency = computed(() => context.value?.firm.currency ?? 'USD')
  return { context, problem, load, today, units, currency }
})
