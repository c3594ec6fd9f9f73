import OlFeature from 'ol/Feature'
import { LineString, Polygon } from 'ol/geom'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { FEATURE_KINDS, outlineOf, type FeatureKind } from '#core/site/sitePlan'
import { labelPlace, middleOf } from '~/utils/labelPlace'
import { draftStyle, stylesOf, throwStyle } from '~/utils/planMap'
import { coverWords, sunLayer } from '~/utils/planLayers'

export const PLAN_OVERLAYS = ['sun', 'cover', 'levels', 'water'] as const
export type PlanOverlay = (typeof PLAN_OVERLAYS)[number]
/** What a line of two points is being clicked for. */
export type BetweenPoints = 'cut' | 'scale' | 'move'

/** What is chosen to be shown and drawn on the plan. */
export interface PlanChoices {
  zone: Ref<string | null>
  overlay: Ref<PlanOverlay | null>
  kind: Ref<FeatureKind | null>
  by: Ref<'corners' | 'tape'>
  between: Ref<BetweenPoints | null>
}

/** The map of the site plan: draws the survey's things, and hands on what is drawn, moved and clicked. */
export function useSitePlanMap(
  { zone, overlay, kind, by, between }: PlanChoices,
  edit: ReturnType<typeof usePlanEdit>,
  sun: ReturnType<typeof useSunMap>,
) {
  const { draft, measured } = useSurveyHere()
  const { text, system } = useUnits()
  const { selected, taped } = edit
  const view = reactive({ left: 0, mPerPx: 0.1, width: 0 })
  const sketchM = ref<number | null>(null)

  const sideWords = (metres: number) =>
    system.value === 'us'
      ? t('plan.ft2', { metres: Math.round(metres / 0.3048), metresOver: metres > 5 })
      : `${metres.toFixed(1)}`
  /** Of several outlines of a zone the first carries its name. */
  const named = computed(() => {
    const seen = new Set<string>()
    const firsts = Object.entries(draft.features).filter(
      ([, { zoneId }]) => zoneId && !seen.has(zoneId) && seen.add(zoneId),
    )
    return new Set(firsts.map(([id]) => id))
  })
  /** Names of zones stand clear of what else is named; looked for once a change, not once a frame. */
  const places = computed(() => {
    const others = Object.values(draft.features)
      .filter(({ kind: of, name }) => of !== 'zone' && (name || of === 'tree' || of === 'hollow' || of === 'bare'))
      .map(({ points }) => middleOf(points))
    return new Map([...named.value].map((id) => [id, labelPlace(outlineOf(draft.features[id]!), others)]))
  })

  function zoneLabel(id: string) {
    const { zoneId } = draft.features[id]!
    const of = zoneId ? draft.zones[zoneId] : undefined
    if (!zoneId || !of || !named.value.has(id)) return undefined
    const areaM2 = measured.value[zoneId]?.areaM2
    const slope = of.slopeShare && overlay.value === 'levels' ? `, ${Math.round(of.slopeShare * 100)}%` : ''
    const area = areaM2 ? text({ quantity: 'areaM2', value: areaM2 }) : ''
    return {
      name: `${of.name}${slope}`,
      area: overlay.value === 'cover' ? coverWords(of) : area,
      at: places.value.get(id),
    }
  }
  function styleOf(id: string) {
    const thing = draft.features[id]
    if (!thing) return []
    const styles = stylesOf(thing, {
      selected: selected.value === id || (thing.zoneId !== null && thing.zoneId === zone.value),
      sides: sideWords,
      units: system.value,
      over: draft.underlay !== null && !picture.missing.value,
      zone: zoneLabel(id),
    })
    return overlay.value === 'water' && thing.kind === 'head' ? [...styles, throwStyle(thing)] : styles
  }

  function lineDrawn([from, to]: readonly [number, number][]): void {
    if (!from || !to || !between.value) return
    if (between.value === 'cut') {
      if (selected.value) edit.split(selected.value, from, to)
    } else {
      if (between.value === 'move') edit.remember()
      picture.between(between.value, from, to)
    }
    between.value = null
  }
  const plan = usePlanMap(
    {
      drawn(shape) {
        if (between.value) lineDrawn(shape.points as [number, number][])
        else if (kind.value) edit.add(kind.value, shape)
        // Points are set one after the other; of everything else one at a time is drawn.
        if (!kind.value || FEATURE_KINDS[kind.value] !== 'point')
          void nextTick(() => {
            kind.value = null
          })
      },
      moved: edit.reshape,
      clicked(id) {
        selected.value = id
        zone.value = id ? (draft.features[id]?.zoneId ?? zone.value) : zone.value
      },
      viewed(left, mPerPx, width) {
        Object.assign(view, { left, mPerPx, width })
      },
      sketching(metres) {
        sketchM.value = metres
      },
    },
    styleOf,
    (id) => draft.features[id]?.kind === 'zone',
  )
  const picture = usePictureUnder(plan.projection)
  plan.map.addLayer(picture.layer)
  const hatching = sunLayer(plan.projection, () => (overlay.value === 'sun' ? sun.map.value : undefined))
  plan.map.addLayer(hatching)
  const tapeSource = new VectorSource()
  plan.map.addLayer(new VectorLayer({ source: tapeSource, zIndex: 30, style: draftStyle() }))

  watch([() => draft.features, selected], () => plan.show(draft.features, selected.value), { deep: true })
  watch(
    [overlay, zone, system, picture.missing, () => draft.underlay === null, () => JSON.stringify(draft.zones)],
    () => plan.redraw(),
  )
  watch([sun.map, overlay], () => hatching.getSource()?.changed())
  watch([kind, by, between], () => {
    if (between.value) plan.startDrawing('line')
    else if (kind.value && (by.value === 'corners' || FEATURE_KINDS[kind.value] === 'point'))
      plan.startDrawing(kind.value)
    else plan.stopDrawing()
  })
  watch(taped, (points) => {
    tapeSource.clear()
    if (points.length < 2) return
    const corners = points.map(([x, y]) => [x, y])
    const closes = points.length > 2 && kind.value && FEATURE_KINDS[kind.value] === 'area'
    tapeSource.addFeature(new OlFeature(closes ? new Polygon([corners]) : new LineString(corners)))
  })

  function mount(target: HTMLElement): void {
    plan.map.setTarget(target)
    plan.show(draft.features, selected.value)
    plan.fit()
    // Type on the map is drawn once; when its faces arrive it is drawn again.
    void document.fonts.ready.then(() => plan.redraw())
  }
  return { plan, picture, view, sketchM, mount }
}
