import type { SeasonTold } from '#contract/context'
import type { Variant, VariantOdds } from '#core/establishment/whatIf'
import type { SeasonAnswer, SeasonAsked } from '~/workers/season.worker'
import { problemOf } from '~/utils/api'

/** Other seedbeds beside the plan, worked out in a worker: coarse at first, then whole, one after the other. */
export function useWhatIf(lawnId: string) {
  const lawns = useLawnsStore()
  const variants = ref<Variant[]>([])
  const odds = shallowRef<Record<string, VariantOdds>>({})
  /** The plan's good years of 100 by day, over the years that others are compared on. */
  const compared = shallowRef<number[]>()
  const coarse = ref(false)
  const progress = ref<{ done: number; of: number }>()
  const message = ref('')
  let worker: Worker | undefined
  let asked = 0

  function heard({ data }: MessageEvent<SeasonAnswer>): void {
    if (data.number !== asked) return
    if (data.kind === 'variants') variants.value = data.variants
    else if (data.kind === 'failed') {
      message.value = data.message
      progress.value = undefined
    } else {
      odds.value = { ...odds.value, [data.odds.code]: data.odds }
      if (data.compared) compared.value = data.compared
      coarse.value = data.coarse
      progress.value = data.done === data.of ? undefined : { done: data.done, of: data.of }
    }
  }
  async function ask(): Promise<void> {
    const number = ++asked
    message.value = ''
    progress.value = { done: 0, of: 1 }
    try {
      const told = await $fetch<SeasonTold>(`/api/lawns/${lawnId}/season`, {
        query: { job: lawns.byId(lawnId)?.job.id },
      })
      if (number !== asked) return
      if (!worker) {
        worker = new Worker(new URL('../workers/season.worker.ts', import.meta.url), { type: 'module' })
        worker.onmessage = heard
        worker.onerror = () => {
          message.value = t('sowingDay.thisCouldNotBe')
          progress.value = undefined
        }
      }
      odds.value = {}
      compared.value = undefined
      worker.postMessage({ number, told } satisfies SeasonAsked)
    } catch (error) {
      if (number !== asked) return
      message.value = problemOf(error).message
      progress.value = undefined
    }
  }
  function stop(): void {
    worker?.postMessage({ number: ++asked, told: null } satisfies SeasonAsked)
    progress.value = undefined
  }
  onUnmounted(() => worker?.terminate())
  return { variants, odds, compared, coarse, progress, message, ask, stop }
}
