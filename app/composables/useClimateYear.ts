import { watchDebounced } from '@vueuse/core'
import type { ClimateYear } from '#core/establishment/climateYear'
import type { ClimateAsked } from '~/workers/climate.worker'

/** The year that a climate makes, worked out beside the screen as it is typed; undefined while nothing is asked. */
export function useClimateYear(asked: () => Omit<ClimateAsked, 'number'> | undefined) {
  const year = shallowRef<ClimateYear>()
  let worker: Worker | undefined
  let latest = 0

  function ask(): void {
    const wanted = asked()
    const number = ++latest
    if (!wanted) {
      year.value = undefined
      return
    }
    if (!worker) {
      worker = new Worker(new URL('../workers/climate.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = ({ data }: MessageEvent<{ number: number; year: ClimateYear }>) => {
        if (data.number === latest) year.value = data.year
      }
    }
    worker.postMessage({ number, ...wanted } satisfies ClimateAsked)
  }
  watchDebounced(() => JSON.stringify(asked()), ask, { debounce: 250, immediate: true })
  onUnmounted(() => worker?.terminate())
  return year
}
