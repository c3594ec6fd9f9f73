<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { addDays, daysBetween, shortDay, shortDayWithWeekday, type Day } from '#core/measure/calendar'
import type { Outlook } from '#core/establishment/outlook'
import { oddsChart } from '~/utils/oddsChart'

/** Good stands by sowing day, the years behind the counts, and the day: dragged, clicked or moved by arrow keys. */
const props = defineProps<{ outlook: Outlook; locked: boolean; lifted: boolean }>()
const day = defineModel<Day>({ required: true })
const { unit } = useUnits()

const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame, { width: 800, height: 0 })
const width = computed(() => size.width.value || 800)
const { narrow, span, days, labels, perDay, x, chosen, window, soils, grain } = useOddsSpan(
  { outlook: () => props.outlook, lifted: () => props.lifted, day },
  width,
)
const words = computed(() =>
  props.lifted
    ? { what: 'Turf grows through', of: 'in', best: 'It grows', slider: 'Day of the first topdressing' }
    : { what: 'Good stands', of: 'of', best: 'Best window', slider: 'Sowing day' },
)
const option = computed(() =>
  oddsChart(
    days.value,
    labels.value,
    props.outlook.years,
    { left: CHART_LEFT, right: CHART_RIGHT, perDay: perDay.value },
    props.lifted ? { good: 'Grows through', cold: 'Too cold to grow' } : {},
  ),
)
const within = (of: Day) => Math.min(Math.max(x(of), CHART_LEFT), width.value - CHART_RIGHT)
const bracket = computed(() => {
  if (!window.value) return undefined
  const [from, to] = [within(window.value.from), within(window.value.to)]
  return { left: `${from - perDay.value / 2}px`, width: `${to - from + perDay.value}px` }
})
const plate = computed(() => {
  const edge = narrow.value ? 112 : 120
  const good = chosen.value?.good ?? 0
  const named = shortDayWithWeekday(day.value, props.outlook.today)
  return {
    x: Math.min(Math.max(x(day.value), edge), width.value - edge),
    words: `${named}, ${good} of ${props.outlook.years}`,
    said: `${named}, ${good} of ${props.outlook.years} years good`,
  }
})

function set(target: Day): void {
  if (props.locked) return
  const last = addDays(span.value.from, span.value.days - 1)
  day.value = target < span.value.from ? span.value.from : target > last ? last : target
}
const dragging = ref(false)
function drag(event: PointerEvent): void {
  if (!dragging.value) return
  const box = frame.value!.getBoundingClientRect()
  set(addDays(span.value.from, Math.floor((event.clientX - box.left - CHART_LEFT) / perDay.value)))
}
function grab(event: PointerEvent): void {
  if (props.locked) return
  dragging.value = true
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  drag(event)
}
</script>

<template>
  <div ref="frame" class="when-chart">
    <div class="titles">
      <b>{{ words.what }}</b> {{ words.of }} {{ outlook.years }} years
      <span v-if="window" class="best">{{ words.best }} {{ shortDay(window.from) }} to {{ shortDay(window.to) }}</span>
    </div>
    <div
      class="area"
      @pointerdown="grab"
      @pointermove="drag"
      @pointerup="dragging = false"
      @pointercancel="dragging = false"
    >
      <OddsPlot :option class="plot" />
      <div v-if="bracket" class="bracket" :style="bracket" />
      <div v-if="x(outlook.today) > CHART_LEFT" class="today" :style="{ left: `${x(outlook.today)}px` }">
        <span>Today</span>
      </div>
      <div class="soils">
        <span class="word">Soil {{ unit('tempC') }}</span>
        <span v-for="s in soils" :key="s.x" :style="{ left: `${s.x}px` }">{{ s.soil }}</span>
      </div>
      <YearGrain v-if="!lifted" :grain :left="CHART_LEFT" :per-day="perDay" :width />
      <div class="marker" :style="{ left: `${x(day)}px` }" />
    </div>
    <DayPlate
      :style="{ left: `${plate.x}px` }"
      :label="words.slider"
      :words="plate.words"
      :said="plate.said"
      :at="daysBetween(span.from, day)"
      :last="span.days - 1"
      :locked
      @move="(step) => set(addDays(day, step))"
    />
  </div>
</template>

<style scoped>
.when-chart {
  position: relative;
  padding-top: 34px;
  user-select: none;
}
.titles {
  font-size: 13px;
  position: relative;
  height: 20px;
}
.best {
  position: absolute;
  right: 8px;
  font-weight: 650;
}
.area {
  position: relative;
  cursor: ew-resize;
  touch-action: pan-y;
}
.plot {
  height: 258px;
  width: 100%;
}
.bracket {
  position: absolute;
  top: 26px;
  height: 8px;
  border: 2px solid var(--ink);
  border-bottom: 0;
  pointer-events: none;
}
.today {
  position: absolute;
  top: 10px;
  bottom: 0;
  border-left: 2px solid #735407;
  pointer-events: none;
}
.today span {
  position: absolute;
  right: 5px;
  top: 0;
  color: #735407;
  font-weight: 650;
  font-size: 12px;
}
.soils {
  height: 18px;
  position: relative;
  font-size: 12px;
  color: var(--ink-2);
  margin-top: -5px;
}
.soils span {
  position: absolute;
  transform: translateX(-50%);
}
.soils .word {
  left: 0;
  transform: none;
  font-size: 11.5px;
  background: var(--paper);
  z-index: 1;
}
.marker {
  position: absolute;
  top: -20px;
  bottom: 0;
  border-left: 2.5px solid var(--ink);
  pointer-events: none;
  transform: translateX(-1px);
}
@media (max-width: 700px) {
  .when-chart {
    padding-top: 52px;
  }
  .best {
    position: static;
    margin-left: 10px;
  }
  .titles {
    height: auto;
  }
}
</style>
