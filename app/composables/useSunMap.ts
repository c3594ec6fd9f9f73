import type { Day } from '#core/measure/calendar'
import { zoneOutlines } from '#core/site/drawn'
import type { SunMap } from '#core/site/sun'
import type { MapAsked } from '~/workers/sun.worker'

/**
 * Hours of direct sun over the plan on a day or in the mean of its year, worked out beside the page; an answer that
 * is overtaken is dropped.
 */
export function useSunMap(wanted: Ref<boolean>, day: Ref<Day>, over: Ref<'day' | 'year'>) {
  const { draft } = useSurveyHere()
  const map = shallowRef<SunMap>()
  const working = ref(false)
  const failed = ref('')
  let worker: Worker | undefined
  let asked = 0
  let knows = ''
  const zoneIds = computed(() =>
    Object.keys(draft.zones).filter(
      (id) =>
        Object.values(draft.features).some(({ zoneId }) => zoneId === id) && zoneOutlines(draft.features, id).length,
    ),
  )

  function ask(): void {
    if (!wanted.value || !zoneIds.value.length) {
      map.value = undefined
      return
    }
    if (!worker) {
      worker = new Worker(new URL('../workers/sun.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = ({ data }: MessageEvent<{ number: number; map: SunMap }>) => {
        if (data.number !== asked) return
        map.value = data.map
        working.value = false
      }
      worker.onerror = () => {
        working.value = false
        failed.value = t('plan.theSunCouldNot')
      }
    }
    const place = { latDeg: draft.latDeg, lonDeg: draft.lonDeg }
    const ground = {
      features: JSON.parse(JSON.stringify(draft.features)) as typeof draft.features,
      zoneIds: [...zoneIds.value],
      place,
    }
    const key = JSON.stringify(ground)
    const question: MapAsked = {
      number: ++asked,
      day: day.value,
      over: over.value,
      ...(key === knows ? {} : { ground }),
    }
    knows = key
    working.value = true
    worker.postMessage(question)
  }
  watch([wanted, day, over, () => JSON.stringify([draft.features, draft.latDeg, draft.lonDeg]), zoneIds], ask, {
    immediate: true,
  })
  onUnmounted(() => worker?.terminate())
  return { map, working, failed, zoneIds }
}
