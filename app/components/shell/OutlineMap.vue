<script setup lang="ts">
import { geoEquirectangular, geoPath } from 'd3-geo'
import { feature, mesh } from 'topojson-client'
import type { Topology, GeometryCollection } from 'topojson-specification'
import type { Place } from '#core/site/placeText'

/** Coasts and borders of the world, coarse: a click says where, nearer with each look closer. */
const place = defineModel<Place | undefined>({ required: true })
const [WIDTH, HEIGHT] = [520, 150]
/** Degrees from the middle to the upper edge, as far as one may look and as near. */
const [FARTHEST_DEG, NEAREST_DEG] = [52, 3]
const world = shallowRef<{ land: ReturnType<typeof feature>; borders: ReturnType<typeof mesh> }>()
const middle = ref<Place>(place.value ?? { latDeg: 20, lonDeg: 0 })
const half = ref(place.value ? 14 : FARTHEST_DEG)

onMounted(async () => {
  const topology = (await import('world-atlas/countries-110m.json')).default as unknown as Topology<{
    land: GeometryCollection
    countries: GeometryCollection
  }>
  world.value = {
    land: feature(topology, topology.objects.land),
    borders: mesh(topology, topology.objects.countries, (a, b) => a !== b),
  }
})
watch(place, (now) => {
  if (!now) return
  const near = Math.abs(now.latDeg - middle.value.latDeg) < half.value * 0.8
  if (!near || half.value === FARTHEST_DEG) [middle.value, half.value] = [now, Math.min(half.value, 14)]
})

const projection = computed(() =>
  geoEquirectangular()
    .scale((HEIGHT / 2 / half.value) * (180 / Math.PI))
    .translate([WIDTH / 2, HEIGHT / 2])
    .rotate([-middle.value.lonDeg, 0])
    .center([0, middle.value.latDeg])
    .precision(0),
)
const path = computed(() => geoPath(projection.value))
const at = computed(() => place.value && projection.value([place.value.lonDeg, place.value.latDeg]))
function look(nearer: boolean): void {
  half.value = Math.min(FARTHEST_DEG, Math.max(NEAREST_DEG, nearer ? half.value / 2 : half.value * 2))
  if (place.value && nearer) middle.value = place.value
}
function pick(event: MouseEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const found = projection.value.invert?.([
    ((event.clientX - box.left) / box.width) * WIDTH,
    ((event.clientY - box.top) / box.height) * HEIGHT,
  ])
  if (!found || Math.abs(found[1]) > 90) return
  const [lonDeg, latDeg] = found
  place.value = { latDeg: Math.round(latDeg * 100) / 100, lonDeg: Math.round(lonDeg * 100) / 100 }
}
</script>

<template>
  <div class="map">
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="t('shell.outlineMapClickWhere')" @click="pick">
      <path v-if="world" :d="path(world.land) ?? ''" class="land" />
      <path v-if="world" :d="path(world.borders) ?? ''" class="borders" />
      <circle v-if="at" :cx="at[0]" :cy="at[1]" r="5" />
    </svg>
    <div class="near">
      <UButton size="sm" variant="outline" :aria-label="t('shell.lookCloser')" @click="look(true)">+</UButton>
      <UButton size="sm" variant="outline" :aria-label="t('shell.seeMoreOfThe')" @click="look(false)">−</UButton>
    </div>
  </div>
</template>

<style scoped>
.map {
  position: relative;
  border: 1px solid var(--rule-2);
  background: var(--lime);
}
svg {
  display: block;
  width: 100%;
  cursor: crosshair;
}
.land {
  fill: #e3e4d6;
  stroke: var(--ink-2);
  stroke-width: 0.8;
}
.borders {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 0.5;
  opacity: 0.6;
}
circle {
  fill: var(--ink);
  stroke: var(--lime);
  stroke-width: 1.5;
}
.near {
  position: absolute;
  right: 6px;
  top: 6px;
  display: grid;
  gap: 4px;
}
</style>
