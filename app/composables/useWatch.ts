import type { EmergenceTold } from '#contract/seen'
import { watchOf, type Watch } from '#core/job/watch'
import { putDownOn } from '#core/job/states'
import { problemOf, type Problem } from '~/utils/api'

/** What becomes of what was sown on the lawn that is open, and writing down what is seen of it. */
export function useWatch({ id, lawn, job, ground, plan, season }: OpenLawn) {
  const context = useContextStore()
  const emergence = shallowRef<EmergenceTold>()
  const problem = ref<Problem>()

  const sownOn = computed(
    () => lawn.value && putDownOn({ programme: lawn.value.plan.programme, marks: lawn.value.done }),
  )
  let asked = 0
  async function load(): Promise<void> {
    const number = ++asked
    problem.value = undefined
    if (!sownOn.value || !lawn.value) return
    try {
      const told = await $fetch<EmergenceTold>(`/api/lawns/${id}/jobs/${lawn.value.job.id}/emergence`)
      if (number === asked) emergence.value = told
    } catch (error) {
      if (number === asked) problem.value = problemOf(error)
    }
  }
  watch([sownOn, () => lawn.value?.job.id, () => lawn.value?.version, () => context.today], load, { immediate: true })

  const watched = computed<Watch | undefined>(() =>
    job.value && ground.value && plan.value && emergence.value
      ? watchOf({
          job: job.value,
          lawn: ground.value,
          firm: context.firmRecord,
          plan: plan.value,
          season: season.value,
          beds: emergence.value.zones,
        })
      : undefined,
  )

  return { sownOn, watched, emergence, problem, load, ...useWatchNotes(id) }
}
