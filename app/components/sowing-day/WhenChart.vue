<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { addDays, daysBetween, type Day } from '#core/measure/calendar'
import type { Outlook } from '#core/establishment/outlook'
import { oddsChart } from '~/utils/oddsChart'
import { windowName } from '~/utils/seasonWords'

/**
 * Good stands by sowing day, the years behind the counts, and the day: dragged, clicked or moved by arrow keys; below it
 * every day that is worked out.
 */
const props = defineProps<{ outlook: Outlook; locked: boolean; lifted: boolean }>()
const day = defineModel<Day>({ required: true })
const { unit } = useUnits()

const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame, { width: 800, height: 0 })
const width = computed(() => size.width.value || 800)
const odds = useOddsSpan({ outlook: () => props.outlook, lifted: () => props.lifted, day }, width)
const { narrow, span, shows, last, within, labels, perDay, x, chanceOn, shown, inSight, windows, stack, soils, grain } =
  odds
const words = computed(() =>
  props.lifted
    ? { what: t('sowingDay.turfGrowsThroughOf'), slider: t('sowingDay.dayOfTheFirst') }
    : { what: t('sowingDay.goodStandsIn100'), slider: t('sowingDay.sowingDay') },
)
const option = computed(() =>
  oddsChart(
    shown.value,
    labels.value,
    { left: CHART_LEFT, right: CHART_RIGHT, perDay: perDay.value },
    props.lifted ? { good: t('sowingDay.growsThrough'), cold: t('sowingDay.tooColdToGrow') } : {},
  ),
)
const edged = (of: Day) => Math.min(Math.max(x(of), CHART_LEFT), width.value - CHART_RIGHT)
const brackets = computed(() =>
  inSight.value.map(({ from, to }) => ({
    key: from,
    left: `${edged(from) - perDay.value / 2}px`,
    width: `${edged(to) - edged(from) + perDay.value}px`,
  })),
)
/** The window the day lies in or near, else the next. */
const near = computed(() => inSight.value.find(({ to }) => to >= day.value) ?? inSight.value[0])
const past = computed(() => day.value < props.outlook.today && !props.locked)
const plate = computed(() => {
  const edge = narrow.value ? 112 : 120
  const named = shortDayWithWeekday(day.value, props.outlook.today)
  const chance = chanceOn(day.value)
  const says = past.value
    ? 'past'
    : chance
      ? t('sowingDay.of1003', { of100: chance.of100 })
      : t('sowingDay.notWorkedOut')
  return {
    x: Math.min(Math.max(x(within(day.value)), edge), width.value - edge),
    words: `${named}, ${says}`,
    said: past.value || !chance ? `${named}, ${says}` : t('sowingDay.aGoodStandIn', { named, of100: chance.of100 }),
  }
})

/** What can be looked at ends where nothing is worked out. */
function set(target: Day): void {
  if (!props.locked) day.value = within(target)
}
const dragging = ref(false)
function drag(event: PointerEvent): void {
  if (!dragging.value) return
  const box = frame.value!.getBoundingClientRect()
  const at = Math.floor((event.clientX - box.left - CHART_LEFT) / perDay.value)
  // A drag stays within what is shown, so that the chart does not turn under the finger.
  set(addDays(span.value.from, Math.min(span.value.days - 1, Math.max(0, at))))
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
      <b>{{ words.what }}</b>
      <span v-if="near" class="best">{{
        t('sowingDay.to4', {
          near: windowName(near, outlook.today),
          from: shortDay(near.from, outlook.today),
          to: shortDay(near.to, outlook.today),
        })
      }}</span>
    </div>
    <div
      class="area"
      @pointerdown="grab"
      @pointermove="drag"
      @pointerup="dragging = false"
      @pointercancel="dragging = false"
    >
      <OddsPlot :option class="plot" />
      <OddsRange v-if="!lifted" :outlook :from="span.from" :days="span.days" :per-day="perDay" :width />
      <div v-for="{ key, ...bracket } in brackets" :key class="bracket" :style="bracket" />
      <div
        v-if="shows(outlook.today)"
        class="behind"
        :style="{ left: `${CHART_LEFT}px`, width: `${x(outlook.today) - CHART_LEFT}px` }"
      />
      <div v-if="shows(outlook.today)" class="today" :style="{ left: `${x(outlook.today)}px` }">
        <span>{{ t('sowingDay.today') }}</span>
      </div>
      <div class="soils">
        <span class="word">{{ t('sowingDay.soil', { tempC: unit('tempC') }) }}</span>
        <span v-for="s in soils" :key="s.x" :style="{ left: `${s.x}px` }">{{ s.soil }}</span>
      </div>
      <div v-if="shows(day)" class="marker" :style="{ left: `${x(day)}px` }" />
    </div>
    <DayPlate
      :style="{ left: `${plate.x}px` }"
      :label="words.slider"
      :words="plate.words"
      :said="plate.said"
      :at="daysBetween(outlook.first, within(day))"
      :last="daysBetween(outlook.first, last)"
      :locked
      @move="(step) => set(addDays(within(day), step))"
    />
    <OddsYear
      v-model="day"
      :first="outlook.first"
      :good="stack.good"
      :windows
      :today="outlook.today"
      :shown="span"
      :locked
    />
    <div v-if="!lifted" class="grain">
      <YearGrain :grain :left="CHART_LEFT" :per-day="perDay" :width />
      <div v-if="shows(day)" class="marker below" :style="{ left: `${x(day)}px` }" />
    </div>
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
.behind {
  position: absolute;
  top: 34px;
  height: 200px;
  background: var(--paper);
  opacity: 0.55;
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
.grain {
  position: relative;
  margin-top: 8px;
}
.below {
  top: 20px;
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
