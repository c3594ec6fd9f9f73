<script setup lang="ts">
import { figure } from '#core/measure/figure'
import { addDays, type Day } from '#core/measure/calendar'
import { heightOn } from '#core/learning/height'
import type { Watch } from '#core/job/watch'

/** Leaves of the seedlings by the season, moved by what was measured. */
const props = defineProps<{
  growth: NonNullable<Watch['growth']>
  sownOn: Day
  day: number
}>()
const context = useContextStore()
const { text } = useUnits()
const [WIDTH, HEIGHT, LEFT, TOP, FOOT] = [600, 130, 44, 14, 22]
const last = computed(() => Math.max(props.growth.mow.middle + 7, props.day + 4))
const most = computed(
  () => Math.max(props.growth.firstMowMm, ...props.growth.heights.map(({ heightMm }) => heightMm)) * 1.15,
)
const x = (day: number) => LEFT + (day / last.value) * (WIDTH - LEFT - 8)
const y = (mm: number) => TOP + (1 - mm / most.value) * (HEIGHT - TOP - FOOT)
const lineBy = (lag: number) =>
  Array.from({ length: Math.round(last.value) + 1 }, (_, day) => day)
    .map(
      (day) =>
        `${day ? 'L' : 'M'}${x(day).toFixed(1)} ${y(Math.min(most.value, heightOn(props.growth.line, day - lag))).toFixed(1)}`,
    )
    .join('')
/** The old grass from its cut before sowing until it wants mowing. */
const oldLine = computed(() => {
  const { old, firstMowMm } = props.growth
  if (!old) return ''
  const end = Math.min(last.value, old.mowDay)
  const mm = old.fromMm + ((firstMowMm - old.fromMm) * end) / old.mowDay
  return `M${x(0)} ${y(old.fromMm)}L${x(end).toFixed(1)} ${y(mm).toFixed(1)}`
})
const lag = computed(() => Math.round(props.growth.lag ?? 0))
const mowDay = computed(() => shortDay(addDays(props.sownOn, Math.round(props.growth.mow.middle)), context.today))
const says = computed(() => {
  if (props.growth.lag === undefined) return t('watch.firstMow', { day: mowDay.value })
  const days = Math.abs(lag.value)
  if (!days) return t('watch.heightFits', { day: mowDay.value })
  return t(lag.value > 0 ? 'watch.heightLate' : 'watch.heightEarly', { days, day: mowDay.value })
})
const height = (mm: number) => text(figure('depthMm', mm))
</script>

<template>
  <section>
    <h2>{{ t('watch.heights') }}</h2>
    <p class="small">{{ t('watch.heightsOf', { kept: height(growth.keptMm), first: height(growth.firstMowMm) }) }}</p>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="drawn-chart" role="img" :aria-label="t('watch.heights')">
      <rect :x="LEFT" :y="TOP" :width="WIDTH - LEFT - 8" :height="HEIGHT - TOP - FOOT" class="ground" />
      <path :d="`M${LEFT} ${y(growth.firstMowMm)}H${WIDTH - 8}`" class="first" />
      <text :x="LEFT - 6" :y="y(growth.firstMowMm) + 4" text-anchor="end">{{ height(growth.firstMowMm) }}</text>
      <text :x="LEFT - 6" :y="y(0) + 4" text-anchor="end">{{ 0 }}</text>
      <path v-if="growth.old" :d="oldLine" class="old" />
      <path v-if="lag" :d="lineBy(0)" class="line planned" />
      <path :d="lineBy(lag)" class="line" />
      <path v-if="day <= last" :d="`M${x(day)} ${TOP}V${HEIGHT - FOOT}`" class="today" />
      <circle
        v-for="(seen, i) in growth.heights"
        :key="i"
        :cx="x(seen.day)"
        :cy="y(seen.heightMm)"
        r="4.5"
        class="seen"
      />
      <text :x="LEFT" :y="HEIGHT - 6">{{ shortDay(sownOn, context.today) }}</text>
      <text :x="x(growth.mow.middle)" :y="HEIGHT - 6" text-anchor="middle">{{ mowDay }}</text>
    </svg>
    <p v-if="growth.old" class="small key">
      <span><i class="line-key" />{{ t('watch.seedlingsLine') }}</span>
      <span><i class="line-key old-key" />{{ t('watch.oldGrassLine') }}</span>
    </p>
    <p>{{ says }}</p>
  </section>
</template>

<style scoped>
.first {
  stroke: var(--moss);
  stroke-dasharray: 2 3;
}
.line {
  fill: none;
  stroke: var(--moss);
  stroke-width: 2.5;
}
.planned {
  stroke: var(--ink-3);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.old {
  stroke: var(--clay);
  stroke-width: 2;
  stroke-dasharray: 1 4;
  stroke-linecap: round;
}
.key {
  display: flex;
  gap: 16px;
}
.line-key {
  display: inline-block;
  width: 22px;
  margin-right: 6px;
  vertical-align: middle;
  border-top: 2.5px solid var(--moss);
}
.old-key {
  border-top: 2.5px dotted var(--clay);
}
.today {
  stroke: var(--color-straw-ink);
}
.seen {
  fill: var(--chalk);
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
