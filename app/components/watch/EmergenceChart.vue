<script setup lang="ts">
import { figure } from '#core/measure/figure'
import { addDays, type Day } from '#core/measure/calendar'
import { grassByCode } from '#core/grass/grasses'
import { expectedIn, FAIR, perFrame } from '#core/learning/germination'
import type { ZoneWatch } from '#core/job/watch'

/** Seedlings in a frame from sowing on: as expected with what is fair about it, the counts, and each seed of a mixture. */
const props = defineProps<{ zone: ZoneWatch; frameMm: number; sownOn: Day; day: number }>()
const context = useContextStore()
const { text } = useUnits()
const [WIDTH, HEIGHT, LEFT, RIGHT, TOP, FOOT] = [600, 250, 34, 10, 24, 24]
const whole = computed(() => perFrame(props.zone.perCm2, props.frameMm))
/** Counts of other frames, as if this one had been laid. */
const scaled = (count: number, frameMm: number) => count * (props.frameMm / frameMm) ** 2
const days = computed(() => {
  const flat = props.zone.course.slow.findIndex((share) => share >= 0.97)
  const last = Math.max(props.day + 4, flat < 0 ? 0 : flat + 4, ...props.zone.counts.map(({ day }) => day + 3), 14)
  return Math.min(props.zone.course.middle.length - 1, last)
})
const most = computed(() => {
  const counted = props.zone.counts.flatMap(({ seedlings, frameMm }) =>
    seedlings.map((count) => scaled(count, frameMm)),
  )
  return Math.max(5, whole.value * (1 + FAIR) * 1.05, ...counted) * 1.05
})
const x = (day: number) => LEFT + (day / days.value) * (WIDTH - LEFT - RIGHT)
const y = (count: number) => TOP + (1 - count / most.value) * (HEIGHT - TOP - FOOT)
const curve = (series: readonly number[], factor = 1) =>
  series
    .slice(0, days.value + 1)
    .map((share, day) => `${day ? 'L' : 'M'}${x(day).toFixed(1)} ${y(whole.value * share * factor).toFixed(1)}`)
    .join('')
const band = computed(() => {
  const back = props.zone.course.slow
    .slice(0, days.value + 1)
    .map((share, day) => `L${x(day).toFixed(1)} ${y(whole.value * share * (1 - FAIR)).toFixed(1)}`)
    .reverse()
    .join('')
  return `${curve(props.zone.course.fast, 1 + FAIR)}${back}Z`
})
const step = computed(() => [1, 2, 5, 10, 20, 50, 100, 200, 500].find((by) => most.value / by <= 6) ?? 1000)
const rules = computed(() => Array.from({ length: Math.floor(most.value / step.value) + 1 }, (_, i) => i * step.value))
const weeks = computed(() => Array.from({ length: Math.floor(days.value / 7) + 1 }, (_, i) => i * 7))
const points = computed(() =>
  props.zone.counts.flatMap(({ day, seedlings, frameMm, weak }) =>
    seedlings.map((count, i) => ({
      // Frames of one day stand side by side.
      x: x(day) + (i - (seedlings.length - 1) / 2) * 7,
      y: y(scaled(count, frameMm)),
      weak: weak.includes(i),
    })),
  ),
)
const means = computed(() =>
  props.zone.counts.map(({ day, interval, frameMm, seedlings }) => ({
    left: x(day) > WIDTH * 0.7,
    x: x(day) + (x(day) > WIDTH * 0.7 ? -1 : 1) * ((seedlings.length / 2) * 7 + 8),
    y: y(scaled(interval.mean, frameMm)) + 4,
    words: t('watch.meanLabel', { mean: oneDecimal(scaled(interval.mean, frameMm)) }),
  })),
)
const shaded = computed(() => props.zone.sun !== 'full')
const rows = computed(() => {
  const counted = new Map(props.zone.counts.map((count) => [count.day, count]))
  const shown = [...new Set([...weeks.value, ...counted.keys(), props.day])]
    .filter((day) => day >= 0)
    .sort((a, b) => a - b)
  return shown.map((day) => {
    const count = counted.get(day)
    const { middle, low, high } = expectedIn(props.zone.course, props.zone.perCm2, props.frameMm, day)
    return {
      day,
      date: shortDay(addDays(props.sownOn, day), context.today),
      expected: oneDecimal(middle),
      fair: `${oneDecimal(low)}–${oneDecimal(high)}`,
      counted: count ? oneDecimal(scaled(count.interval.mean, count.frameMm)) : '',
    }
  })
})
const parts = computed(() => (props.zone.course.parts.length > 1 ? props.zone.course.parts : []))
const frame = computed(() => text(figure('depthMm', props.frameMm)))
</script>

<template>
  <section>
    <h2>{{ t('watch.chart', { frame }) }}</h2>
    <p class="small">{{ t('watch.chartOf', { zone: zone.name }) }}</p>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="drawn-chart" role="img" :aria-label="t('watch.chart', { frame })">
      <rect :x="LEFT" :y="TOP" :width="WIDTH - LEFT - RIGHT" :height="HEIGHT - TOP - FOOT" class="ground" />
      <path :d="band" class="band" />
      <g v-for="rule in rules" :key="rule">
        <path :d="`M${LEFT} ${y(rule)}H${WIDTH - RIGHT}`" class="rule" />
        <text :x="LEFT - 6" :y="y(rule) + 4" text-anchor="end">{{ rule }}</text>
      </g>
      <text v-for="week in weeks" :key="week" :x="x(week)" :y="HEIGHT - 7" :text-anchor="week ? 'middle' : 'start'">
        {{ shortDay(addDays(sownOn, week), context.today) }}
      </text>
      <path :d="curve(zone.course.middle)" class="line" />
      <text :x="WIDTH - RIGHT - 6" :y="y(whole) - 8" text-anchor="end" class="last">
        {{ t('watch.expectedAtLast', { count: oneDecimal(whole) }) }}
      </text>
      <template v-if="day <= days">
        <path :d="`M${x(day)} ${TOP}V${HEIGHT - FOOT}`" class="today" />
        <text :x="x(day)" :y="TOP - 4" :text-anchor="x(day) > WIDTH * 0.8 ? 'end' : 'middle'" class="now">
          {{ t('watch.today', { day }) }}
        </text>
      </template>
      <template v-for="(point, i) in points" :key="i">
        <path v-if="point.weak" :d="`M${point.x - 5} ${point.y - 4}h10l-5 9z`" class="low" />
        <circle v-else :cx="point.x" :cy="point.y" r="4" :class="shaded ? 'dot' : 'ring'" />
      </template>
      <text
        v-for="(mean, i) in means"
        :key="`m${i}`"
        :x="mean.x"
        :y="mean.y"
        :text-anchor="mean.left ? 'end' : 'start'"
        class="mean"
      >
        {{ mean.words }}
      </text>
    </svg>
    <template v-if="parts.length">
      <p class="small">{{ t('watch.partUp') }}</p>
      <ul class="parts">
        <li v-for="part in parts" :key="part.grass">
          <span>{{
            t('watch.partLine', {
              grass: tell(grassByCode(part.grass).name),
              percent: Math.round(part.countShare * 100),
            })
          }}</span>
          <svg
            v-if="part.up05 !== null && part.up95 !== null"
            :viewBox="`0 0 ${WIDTH} 14`"
            preserveAspectRatio="none"
            aria-hidden="true"
          >
            <path :d="`M${x(part.up05)} 7H${x(Math.min(days, part.up95))}`" class="float" />
            <rect v-if="part.up50 !== null" :x="x(part.up50) - 4" y="1" width="8" height="12" />
          </svg>
          <span v-if="part.up05 !== null && part.up95 !== null" class="small">{{
            t('watch.partDays', { from: Math.round(part.up05), to: Math.round(part.up95) })
          }}</span>
        </li>
      </ul>
    </template>
    <details>
      <summary>{{ t('watch.chartTable') }}</summary>
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">{{ t('watch.tableDay') }}</th>
            <th scope="col" class="right">{{ t('watch.tableExpected') }}</th>
            <th scope="col" class="right">{{ t('watch.tableFair') }}</th>
            <th scope="col" class="right">{{ t('watch.tableCounted') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.day">
            <td>{{ row.date }}</td>
            <td class="right">{{ row.expected }}</td>
            <td class="right">{{ row.fair }}</td>
            <td class="right">{{ row.counted }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>

<style scoped>
.band {
  fill: var(--color-moss-tint);
}
.line {
  fill: none;
  stroke: var(--moss);
  stroke-width: 2.5;
}
.last,
.mean {
  font-weight: 650;
  paint-order: stroke;
  stroke: var(--chalk);
  stroke-width: 3px;
}
.last {
  fill: var(--moss);
}
.today {
  stroke: var(--color-straw-ink);
  stroke-width: 1.5;
}
.now {
  fill: var(--color-straw-ink);
  font-weight: 650;
}
.ring {
  fill: var(--chalk);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.dot {
  fill: var(--ink);
}
.low {
  fill: var(--clay);
}
.parts li {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 2fr) auto;
  gap: 8px;
  align-items: center;
}
.parts svg {
  width: 100%;
  height: 14px;
}
.float {
  stroke: var(--ink);
  stroke-width: 1.5;
}
@media (max-width: 700px) {
  .parts li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .parts svg {
    display: none;
  }
}
</style>
