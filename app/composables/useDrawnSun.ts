import { watchDebounced } from '@vueuse/core'
import type { Look } from '#contract/look'
import type { Lawn } from '#contract/lawn'
import { sunQuestionOf, sunKeyText } from '#core/site/measure'
import type { MonthsRead, SunAsked } from '~/workers/sun.worker'

/** A drawing is looked at again when nothing of it has changed for this long, ms. */
const REST_MS = 400

/**
 * Hours of sun over each zone in the middle of every twelfth of the year: as it is kept while the drawing stands, worked out
 * beside the page while it is changed.
 */
export function useDrawnSun(draft: Look, lawn: Lawn) {
  const kept = () => Object.fromEntries(Object.entries(lawn.measured).map(([id, { sunByMonthH }]) => [id, sunByMonthH]))
  const byZone = shallowRef<Record<string, number[] | null>>(kept())
  const questionOf = (of: Look) => sunQuestionOf(JSON.parse(JSON.stringify(of)) as Look)
  const keyOf = (of: Look) => {
    const question = sunQuestionOf(of)
    return question ? sunKeyText(question) : ''
  }
  const saved = keyOf(lawn)
  const working = ref(false)
  let worker: Worker | undefined
  let asked = 0
  function ask(): void {
    const question = questionOf(draft)
    if (!question) {
      byZone.value = {}
      return
    }
    if (keyOf(draft) === saved) {
      byZone.value = kept()
      return
    }
    worker ??= new Worker(new URL('../workers/sun.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<MonthsRead>) => {
      if (data.number !== asked) return
      byZone.value = data.byZone
      working.value = false
    }
    working.value = true
    worker.postMessage({ number: ++asked, months: question } satisfies SunAsked)
  }
  watchDebounced(() => keyOf(draft), ask, { debounce: REST_MS })
  watch(
    () => lawn.measured,
    () => {
      if (keyOf(draft) === saved) byZone.value = kept()
    },
  )
  onUnmounted(() => worker?.terminate())
  return { byZone, working }
}
