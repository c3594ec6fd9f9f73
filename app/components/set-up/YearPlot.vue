<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { ClimateYear } from '#core/establishment/climateYear'
import { addDays, daysBetween, monthIndex, toDay, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/** The soil of a year in one place, with the windows in which a grass takes. */
const props = defineProps<{ year: ClimateYear; grassName: string }>()
const { number, text } = useUnits()
const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame, { width: 600, height: 0 })
const width = computed(() => size.width.value || 600)
const [LEFT, RIGHT, TOP, FOOT, HEIGHT] = [10, 42, 26, 176, 204]
/** Lines of the scale, °C: freezing, and where cool-season grasses begin and slow down. */
const LINES_C = [0, 10, 20, 30]

const days = computed(() => props.year.soilC.median.length)
const low = computed(() => Math.min(-2, ...props.year.soilC.p05) - 1)
const high = computed(() => Math.max(22, ...props.year.soilC.p95) + 1)
const x = (i: number) => LEFT + (i / (days.value - 1)) * (width.value - LEFT - RIGHT)
const y = (tempC: number) => TOP + ((high.value - tempC) / (high.value - low.value)) * (FOOT - TOP)
const path = (values: readonly number[]) =>
  values.map((tempC, i) => `${i ? 'L' : 'M'}${x(i).toFixed(1)} ${y(tempC).toFixed(1)}`).join('')
const spread = computed(() => {
  const { p05, p95 } = props.year.soilC
  const back = [...p05.entries()].reverse().map(([i, tempC]) => `L${x(i).toFixed(1)} ${y(tempC).toFixed(1)}`)
  return `${path(p95)}${back.join('')}Z`
})
const months = computed(() =>
  Array.from({ length: 12 }, (_, m) => {
    const day = toDay(`${props.year.first.slice(0, 4)}-${String(m + 1).padStart(2, '0')}-01`)
    return { name: monthsShort()[monthIndex(day)]!, x: x(daysBetween(props.year.first, day) + 15) }
  }),
)
const at = (day: Day) => Math.min(days.value - 1, Math.max(0, daysBetween(props.year.first, day)))
const windows = computed(() => {
  const best = Math.max(...props.year.windows.map(({ chance }) => chance.of100))
  return props.year.windows.map(({ from, to, chance }) => ({
    from,
    x: x(at(from)),
    width: Math.max(3, x(at(to)) - x(at(from))),
    words: t('setUp.toTheBetter', {
      from: shortDay(from),
      to: shortDay(to),
      hasOf100: chance.of100 === best && props.year.windows.length > 1,
    }),
  }))
})
const spoken = computed(() => {
  const { median } = props.year.soilC
  const warmest = addDays(props.year.first, median.indexOf(Math.max(...median)))
  const takes = windows.value.map(({ words }) => words).join('; ') || t('setUp.noWindowInThe')
  return t('setUp.soilOfTheYear', {
    value: text(figure('depthMm', 50)),
    warmest: shortDay(warmest),
    grassName: props.grassName,
    takes,
  })
})
</script>

<template>
  <div ref="frame" class="year">
    <svg :width="width" :height="HEIGHT" role="img" :aria-label="spoken">
      <g v-for="window in windows" :key="window.from">
        <rect :x="window.x" :y="TOP" :width="window.width" :height="FOOT - TOP" fill="#e4bf52" opacity="0.3" />
        <text
          :x="Math.min(Math.max(window.x + window.width / 2, 90), width - 90)"
          :y="TOP - 9"
          text-anchor="middle"
          class="gold"
        >
          {{ window.words }}
        </text>
      </g>
      <g v-for="tempC in LINES_C" :key="tempC">
        <line :x1="LEFT" :x2="width - RIGHT" :y1="y(tempC)" :y2="y(tempC)" stroke="#bfb197" stroke-dasharray="2 4" />
        <text :x="width - RIGHT + 6" :y="y(tempC) + 4">{{ Math.round(number('tempC', tempC)) }}°</text>
      </g>
      <path :d="spread" fill="#e9e0ce" opacity="0.24" />
      <path :d="path(year.soilC.median)" fill="none" stroke="#e9e0ce" stroke-width="2.25" />
      <text v-for="month in months" :key="month.name" :x="month.x" :y="HEIGHT - 8" text-anchor="middle">
        {{ month.name }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.year {
  background: #211a12;
}
text {
  fill: #e9e0ce;
  font-size: 11.5px;
}
.gold {
  fill: #e4bf52;
  font-weight: 650;
}
</style>
