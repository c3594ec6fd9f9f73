<script setup lang="ts">
import 'ol/ol.css'
import { Polygon, LineString } from 'ol/geom'
import OlFeature from 'ol/Feature'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import type { ReadThing } from '#contract/planFile'
import { shortDay, type Day } from '#core/measure/calendar'
import { FEATURE_KINDS, outlineOf, type FeatureKind } from '#core/site/sitePlan'
import { handSownBorderM } from '#core/site/drawn'
import { stylesOf, throwStyle, draftStyle } from '~/utils/planMap'
import { coverWords, sunLayer } from '~/utils/planLayers'
import { labelPlace, middleOf } from '~/utils/labelPlace'

/** The site plan: drawn, measured and shaded, in register with the ledger beside it. */
const zone = defineModel<string | null>('zone', { required: true })
const { draft, measured } = useSurveyHere()
const context = useContextStore()
const { text, system } = useUnits()
const edit = usePlanEdit(zone)
const { selected, message, past, taped } = edit
const OVERLAYS = ['Sun', 'Cover', 'Levels', 'Water'] as const
const overlay = ref<(typeof OVERLAYS)[number] | null>('Sun')
const kind = ref<FeatureKind | null>(null)
const by = ref<'corners' | 'tape'>('corners')
/** What a line of two points is being clicked for. */
const between = ref<'cut' | 'scale' | 'move' | null>(null)
const view = reactive({ left: 0, mPerPx: 0.1, width: 0 })
const sketchM = ref<number | null>(null)
const target = useTemplateRef<HTMLElement>('target')
const sunDay = ref<Day>(useLawnsStore().byId(String(useRoute().params.id))?.plan.sowOn ?? context.today)
const sunWanted = computed(() => overlay.value === 'Sun')
const sunOver = ref<'day' | 'year'>('day')
const sun = useSunMap(sunWanted, sunDay, sunOver)

const feet = (metres: number) => (system.value === 'us' ? `${Math.round(metres / 0.3048)}${metres > 5 ? '' : ' ft'}` : `${metres.toFixed(1)}`)
const first = computed(() => {
  const seen = new Set<string>()
  return new Set(Object.entries(draft.features).filter(([, { zoneId }]) => zoneId && !seen.has(zoneId) && seen.add(zoneId)).map(([id]) => id))
})
/** Names of zones stand clear of what else is named; looked for once a change, not once a frame. */
const places = computed(() => {
  const others = Object.values(draft.features).filter(({ kind, name }) => kind !== 'zone' && (name || kind === 'tree' || kind === 'hollow' || kind === 'bare')).map(({ points }) => middleOf(points))
  return new Map([...first.value].map((id) => [id, labelPlace(outlineOf(draft.features[id]!), others)]))
})
function styleOf(id: string) {
  const thing = draft.features[id]
  if (!thing) return []
  const of = thing.zoneId ? draft.zones[thing.zoneId] : undefined
  const area = thing.zoneId ? measured.value[thing.zoneId]?.areaM2 : undefined
  const says = overlay.value === 'Cover' && of ? coverWords(of) : area ? text({ quantity: 'areaM2', value: area }) : ''
  const styles = stylesOf(thing, {
    selected: selected.value === id || (thing.zoneId !== null && thing.zoneId === zone.value), sides: feet, units: system.value, over: draft.underlay !== null && !picture.missing.value,
    zone: of && first.value.has(id) ? { name: `${of.name}${of.slopeShare && overlay.value === 'Levels' ? `, ${Math.round(of.slopeShare * 100)}%` : ''}`, area: says, at: places.value.get(id) } : undefined,
  })
  return overlay.value === 'Water' && thing.kind === 'head' ? [...styles, throwStyle(thing)] : styles
}
const plan = usePlanMap({
  drawn(shape) {
    const [from, to] = shape.points
    if (between.value && from && to) {
      if (between.value === 'cut' && selected.value) edit.split(selected.value, from, to)
      else if (between.value !== 'cut') {
        if (between.value === 'move') edit.remember()
        picture.between(between.value, from, to)
      }
      between.value = null
    } else if (kind.value) edit.add(kind.value, shape)
    if (!kind.value || FEATURE_KINDS[kind.value] !== 'point') void nextTick(() => { kind.value = null })
  },
  moved: edit.reshape,
  clicked(id) {
    selected.value = id
    zone.value = id ? (draft.features[id]?.zoneId ?? zone.value) : zone.value
  },
  viewed(left, mPerPx, width) { Object.assign(view, { left, mPerPx, width }) },
  sketching(metres) { sketchM.value = metres },
}, styleOf, (id) => draft.features[id]?.kind === 'zone')
const picture = usePictureUnder(plan.projection)
plan.map.addLayer(picture.layer)
const hatching = sunLayer(plan.projection, () => (sunWanted.value ? sun.map.value : undefined))
plan.map.addLayer(hatching)
const tapeSource = new VectorSource()
plan.map.addLayer(new VectorLayer({ source: tapeSource, zIndex: 30, style: draftStyle() }))

onMounted(() => {
  plan.map.setTarget(target.value!)
  plan.show(draft.features, selected.value)
  plan.fit()
  // Type on the map is drawn once; when its faces arrive it is drawn again.
  void document.fonts.ready.then(() => plan.redraw())
})
watch([() => draft.features, selected], () => plan.show(draft.features, selected.value), { deep: true })
watch([overlay, zone, system, picture.missing, () => draft.underlay === null, () => JSON.stringify(draft.zones)], () => plan.redraw())
watch([sun.map, overlay], () => hatching.getSource()?.changed())
watch([kind, by, between], () => {
  if (between.value) plan.startDrawing('line')
  else if (kind.value && (by.value === 'corners' || FEATURE_KINDS[kind.value] === 'point')) plan.startDrawing(kind.value)
  else plan.stopDrawing()
})
watch(taped, (points) => {
  tapeSource.clear()
  if (points.length > 1) tapeSource.addFeature(new OlFeature(points.length > 2 && kind.value && FEATURE_KINDS[kind.value] === 'area' ? new Polygon([points.map(([x, y]) => [x, y])]) : new LineString(points.map(([x, y]) => [x, y]))))
})
watch(zone, (id) => {
  if (id && draft.features[selected.value ?? '']?.zoneId !== id) selected.value = Object.entries(draft.features).find(([, { zoneId }]) => zoneId === id)?.[0] ?? null
})

/** Outlines of a file become zones: of the name they carry, of the one chosen that has none, or new ones. */
function bringIn(things: ReadThing[]): void {
  for (const { feature, zoneName } of things) {
    if (feature.kind !== 'zone') edit.put({ ...feature, zoneId: null })
    else {
      const known = Object.entries(draft.zones).find(([, { name }]) => zoneName && name.toLowerCase() === zoneName.toLowerCase())?.[0]
      if (known) {
        edit.put({ ...feature, zoneId: known })
        draft.zones[known]!.areaFrom = 'drawn'
      } else {
        edit.add('zone', { points: [...feature.points], holes: feature.holes.map((hole) => [...hole]) })
        if (zone.value && zoneName && /^(Lawn|Zone \d+)$/.test(draft.zones[zone.value]!.name)) draft.zones[zone.value]!.name = zoneName
      }
    }
  }
  void nextTick(() => plan.fit())
}
/** The picture as it was before is one undo away. */
const underlay = computed({ get: () => draft.underlay!, set: (placed) => { edit.remember(); draft.underlay = placed } })
const BETWEEN = {
  cut: 'Click two points; the outline is cut along the line through them.',
  scale: 'Click the two ends of a length that you know on the picture: a side of the house, a path, a car.',
  move: 'Click a point of the picture, then where it belongs.',
} as const
const border = computed(() => handSownBorderM(draft.features))
const empty = computed(() => !Object.keys(draft.features).length)
const driest = computed(() => sun.map.value?.zones.flatMap((figures, i) => (figures.neverShadedShare > 0.05 ? [`${draft.zones[sun.zoneIds.value[i]!]?.name ?? ''} ${Math.round(figures.neverShadedShare * 100)}%`] : [])).join(', '))
function keys(event: KeyboardEvent): void {
  if (event.key === 'Escape') { kind.value = null; between.value = null; taped.value = [] }
  if ((event.key === 'Delete' || event.key === 'Backspace') && selected.value && event.target === target.value) edit.remove(selected.value)
  if (event.key === 'z' && (event.ctrlKey || event.metaKey)) edit.undo()
}
</script>

<template>
  <section class="plan" aria-label="Site plan" @keydown="keys">
    <header>
      <h2>Site plan</h2>
      <label v-if="overlay === 'Sun' && !empty" class="small day">Sun on <input v-model="sunDay" type="date" aria-label="Day whose sun is shown" :disabled="sunOver === 'year'"> <button type="button" class="opens" :aria-pressed="sunOver === 'year'" @click="sunOver = sunOver === 'year' ? 'day' : 'year'">{{ sunOver === 'year' ? 'mean of the year' : 'or its year' }}</button> <span><i class="hatch dense" /> under 3 h <i class="hatch open" /> 3 to 6 h</span></label>
      <span class="overlays" role="group" aria-label="Show on the plan"><span class="small">Show</span><button v-for="one in OVERLAYS" :key="one" type="button" :aria-pressed="overlay === one" @click="overlay = overlay === one ? null : one">{{ one }}</button></span>
    </header>
    <div class="frame">
      <div ref="target" class="map" tabindex="0" role="application" aria-label="Plan of the lawn; what is on it is listed and edited below it and in the ledger" />
      <span class="north" aria-hidden="true"><svg width="12" height="34"><path d="M6 34V4M6 2L2 10M6 2L10 10" stroke="#172019" stroke-width="1.6" fill="none" /></svg>N</span>
      <span class="zoom"><UButton size="xs" variant="outline" icon="i-lucide-plus" aria-label="Closer" @click="plan.zoom(1 / 1.5)" /><UButton size="xs" variant="outline" icon="i-lucide-minus" aria-label="Farther" @click="plan.zoom(1.5)" /><UButton size="xs" variant="outline" icon="i-lucide-maximize" aria-label="All of it" @click="plan.fit()" /><UButton size="xs" variant="outline" icon="i-lucide-undo-2" aria-label="Undo the last change of the plan" :disabled="!past.length" @click="edit.undo()" /></span>
      <span v-if="sun.working.value" class="small working" role="status">working out the sun</span>
      <p v-if="empty && !kind" class="empty">Nothing is drawn yet. Choose zone below and click its corners, lay it out by tape and turn, or bring in a track. An area typed in the ledger does as well.</p>
    </div>
    <TapeScale v-bind="view" />
    <ThingFields v-if="selected && draft.features[selected]" :id="selected" :key="selected" @side="(side, metres) => edit.setSide(selected!, side, metres)" @remove="edit.remove(selected!)" @split="between = 'cut'" @join="(other) => edit.join(draft.features[selected!]!.zoneId!, other)" />
    <PictureUnder v-if="draft.underlay" v-model="underlay" v-model:line="picture.line.value" :missing="picture.missing.value" :doing="between" @draw="(what) => { kind = null; between = between === what ? null : what }" @away="edit.remember(); draft.underlay = null" />
    <DrawStrip v-model:kind="kind" v-model:by="by" :taped="taped" :sketch-m="sketchM" @tape="edit.tape" @close="kind && edit.closeTape(kind)" @drop="taped = []" @back="plan.undoPoint()" />
    <p v-if="message || between" class="small said" role="status">{{ between ? BETWEEN[between] : message }}</p>
    <p v-if="!empty" class="small said">
      Edges sown by hand: <b>{{ text({ quantity: 'distanceM', value: border, digits: 3 }) }}</b> all round.
      <template v-if="overlay === 'Sun' && sun.map.value">Open ground gets {{ sun.map.value.openHours.toFixed(1) }} h {{ sunOver === 'year' ? 'a day over the year' : `on ${shortDay(sunDay, context.today)}` }}.<template v-if="driest"> Never shaded, so first to dry: {{ driest }}.</template></template>
      <template v-if="sun.failed.value">{{ sun.failed.value }}</template>
    </p>
    <PlanFiles @things="bringIn" />
  </section>
</template>

<style scoped>
/* As high without the date as with it: the plan must not jump under a click that draws its first thing. */
header { display: flex; align-items: center; gap: 6px 16px; flex-wrap: wrap; padding-bottom: 5px; min-height: 39px; }
.day { display: flex; gap: 8px; align-items: center; flex-wrap: wrap; }
.day input { border: 1px solid var(--rule-2); background: var(--lime); padding: 1px 4px; min-height: 26px; }
.hatch { display: inline-block; width: 15px; height: 11px; border: 1px solid var(--ink); vertical-align: -1px; }
.dense { background: repeating-linear-gradient(-45deg, #172019 0 1px, transparent 1px 3px); }
.open { background: repeating-linear-gradient(-45deg, #172019 0 1px, transparent 1px 7px); }
.overlays { margin-left: auto; display: flex; gap: 12px; align-items: baseline; }
.overlays button { cursor: pointer; padding: 2px 0; min-height: 26px; }
.overlays button[aria-pressed=true] { font-weight: 700; border-bottom: 2.5px solid var(--moss); }
.frame { position: relative; border: 1px solid var(--rule-2); border-bottom: 0; background: var(--lime); }
.map { height: clamp(300px, calc(100vh - 458px), 640px); touch-action: none; }
.map:focus-visible { outline: 2.5px solid var(--frost); outline-offset: -3px; }
.north { position: absolute; left: 12px; top: 12px; display: grid; justify-items: center; font-weight: 700; font-size: 12px; pointer-events: none; }
.zoom { position: absolute; right: 8px; top: 8px; display: grid; gap: 4px; }
.zoom button { background: var(--lime); min-height: 32px; min-width: 32px; justify-content: center; }
.empty { pointer-events: none; position: absolute; inset: auto 60px 16px 60px; background: var(--lime); border: 1.5px dashed var(--ink); padding: 10px 14px; }
.working { position: absolute; left: 10px; bottom: 6px; background: var(--lime); padding: 1px 6px; pointer-events: none; }
.said { padding: 5px 2px 0; }
@media (max-width: 700px) { .overlays { margin: 0; } .overlays button { min-height: 44px; padding: 8px 4px; } .zoom button { min-height: 44px; min-width: 44px; } .empty { inset: auto 12px 12px 12px; } }
</style>
