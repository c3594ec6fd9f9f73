<script setup lang="ts">
import type { Feature } from '#core/site/sitePlan'
import { extentOf, type PointM } from '#core/site/geometry'
import { figure } from '#core/measure/figure'
import type { ThinSpot } from '#core/job/thinSpots'

/** The lawn as it is drawn with its thin spots, to scale; where one is being put down, a click says where. */
const props = defineProps<{
  features: Readonly<Record<string, Feature>>
  spots: readonly Pick<ThinSpot, 'areaM2' | 'at'>[]
  picking?: boolean
}>()
const at = defineModel<PointM | null>('at', { default: null })
const { text, system } = useUnits()
const SIDE = 300
const MARGIN = 10
const drawn = computed(() =>
  Object.values(props.features).filter(({ kind }) => kind === 'zone' || kind === 'building' || kind === 'bed'),
)
const extent = computed(() => extentOf(drawn.value.flatMap(({ points }) => points)))
const perM = computed(() => {
  const { minX, maxX, minY, maxY } = extent.value!
  return (SIDE - 2 * MARGIN) / Math.max(1, maxX - minX, maxY - minY)
})
const width = computed(() => (extent.value!.maxX - extent.value!.minX) * perM.value + 2 * MARGIN)
const height = computed(() => (extent.value!.maxY - extent.value!.minY) * perM.value + 2 * MARGIN)
const x = (east: number) => MARGIN + (east - extent.value!.minX) * perM.value
const y = (north: number) => MARGIN + (extent.value!.maxY - north) * perM.value
const ring = (points: readonly PointM[]) =>
  `M${points.map(([east, north]) => `${x(east).toFixed(1)} ${y(north).toFixed(1)}`).join('L')}Z`
const shape = ({ points, holes }: Feature) => [points, ...holes].map(ring).join('')
/** A spot is as large as its ground, and never too small to see. */
const radius = (areaM2: number) => Math.max(4, Math.sqrt(areaM2 / Math.PI) * perM.value)
const placed = computed(() => props.spots.flatMap(({ at: spot, areaM2 }) => (spot ? [{ at: spot, areaM2 }] : [])))
const scaleM = computed(() => (system.value === 'us' ? 3.048 : 5))

function pick(event: MouseEvent): void {
  if (!props.picking) return
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const [px, py] = [
    ((event.clientX - box.left) / box.width) * width.value,
    ((event.clientY - box.top) / box.height) * height.value,
  ]
  at.value = [extent.value!.minX + (px - MARGIN) / perM.value, extent.value!.maxY - (py - MARGIN) / perM.value]
}
/** By arrow keys half a meter at a time, from the middle. */
const STEPS: Record<string, PointM> = {
  ArrowLeft: [-0.5, 0],
  ArrowRight: [0.5, 0],
  ArrowUp: [0, 0.5],
  ArrowDown: [0, -0.5],
}
function step(event: KeyboardEvent): void {
  const by = STEPS[event.key]
  if (!by || !props.picking) return
  event.preventDefault()
  const { minX, maxX, minY, maxY } = extent.value!
  const [fromX, fromY] = at.value ?? [(minX + maxX) / 2, (minY + maxY) / 2]
  at.value = [fromX + by[0], fromY + by[1]]
}
</script>

<template>
  <figure v-if="extent" class="plan">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      :style="{ maxWidth: `${width}px` }"
      :role="picking ? 'application' : 'img'"
      :tabindex="picking ? 0 : undefined"
      :aria-label="picking ? t('watch.planPick') : t('watch.planOf', { count: placed.length })"
      :class="{ picking }"
      @click="pick"
      @keydown="step"
    >
      <defs>
        <pattern id="thin" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" class="hatch" />
        </pattern>
      </defs>
      <path v-for="(feature, i) in drawn" :key="i" :d="shape(feature)" :class="feature.kind" fill-rule="evenodd" />
      <circle
        v-for="(spot, i) in placed"
        :key="i"
        :cx="x(spot.at[0])"
        :cy="y(spot.at[1])"
        :r="radius(spot.areaM2)"
        class="thin"
      />
      <path v-if="picking && at" :d="`M${x(at[0]) - 9} ${y(at[1])}h18M${x(at[0])} ${y(at[1]) - 9}v18`" class="cross" />
      <path :d="`M${MARGIN} ${height - 3}h${scaleM * perM}`" class="scale" />
    </svg>
    <figcaption class="small">{{ t('watch.planScale', { length: text(figure('distanceM', scaleM)) }) }}</figcaption>
  </figure>
</template>

<style scoped>
.plan {
  margin: 0;
}
svg {
  width: 100%;
  height: auto;
  background: var(--chalk);
}
.picking {
  cursor: crosshair;
}
.zone {
  fill: var(--color-moss-tint);
  stroke: var(--ink);
}
.building,
.bed {
  fill: var(--rule);
  stroke: var(--ink-3);
}
.hatch {
  stroke: var(--clay);
  stroke-width: 2;
}
.thin {
  fill: url(#thin);
  stroke: var(--clay);
  stroke-width: 2;
}
.cross,
.scale {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
