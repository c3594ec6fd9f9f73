import type { Projection } from 'ol/proj'
import type { PointM } from '#core/site/geometry'
import { movedFrom } from '#core/site/underlay'
import { pictureLayer } from '~/utils/planLayers'

/** The picture under the plan: fetched when there is one, drawn below all else, moved and scaled by two points. */
export function usePictureUnder(projection: Projection) {
  const { lawn, draft } = useSurveyHere()
  const image = shallowRef<HTMLImageElement>()
  const missing = ref(false)
  /** Two points clicked for a length that is typed next. */
  const line = ref<[PointM, PointM] | null>(null)
  const layer = pictureLayer(projection, () =>
    draft.underlay && image.value ? { image: image.value, placed: draft.underlay } : undefined,
  )

  watch(
    () => draft.underlay?.photoId,
    (id) => {
      image.value = undefined
      missing.value = false
      line.value = null
      if (!id) return
      const fetched = new Image()
      fetched.onload = () => {
        if (draft.underlay?.photoId === id) image.value = fetched
      }
      fetched.onerror = () => {
        missing.value = draft.underlay?.photoId === id
      }
      fetched.src = `/api/lawns/${lawn.id}/photos/${id}`
    },
    { immediate: true },
  )
  watch([image, () => JSON.stringify(draft.underlay)], () => layer.getSource()?.changed())

  function between(what: 'scale' | 'move', from: PointM, to: PointM): void {
    if (!draft.underlay) return
    if (what === 'scale') line.value = [from, to]
    else draft.underlay = movedFrom(draft.underlay, from, to)
  }
  return { layer, missing, line, between }
}
