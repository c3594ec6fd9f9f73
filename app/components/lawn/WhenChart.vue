<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { addDays, daysBetween, shortDay, shortDayWithWeekday, weekdayIndex, type Day } from '#core/measure/calendar'
import type { Outlook } from '#core/establishment/outlook'
import { indexOf } from '#core/establishment/outlook'
import { oddsChart } from '~/utils/oddsChart'

/** Good stands by sowing day, the years behind the counts, and the day: dragged, clicked or moved by arrow keys. */
const props = defineProps<{ outlook: Outlook; locked: boolean; lifted: boolean }>()
const day = defineModel<Day>({ required: true })
const { number, unit } = useUnits()

const frame = useTemplateRef<HTMLElement>('frame')
const { width } = useElementSize(frame, { width: 800, height: 0 })
const narrow = computed(() => (width.value || 800) < 560)
const LEFT = 40
const RIGHT = 8

const seasons = computed(() => (props.lifted ? props.outlook.growing : props.outlook.windows))
/** Shown: from a week back or the day chosen, until well past the window. */
const span = computed(() => {
  const { today } = props.outlook
  const window = seasons.value[0]
  const last = addDays(today, 149)
  const wanted = window && window.from < last ? addDays(window.to, 35) : last
  const start = day.value < addDays(today, -7) ? addDays(day.value, -5) : addDays(today, -7)
  const least = addDays(day.value > addDays(today, 43) ? day.value : addDays(today, 43), 7)
  const end = wanted < least ? least : wanted
  return { from: start, days: Math.min(daysBetween(start, last), daysBetween(start, end)) + 1 }
})
const first = computed(() => indexOf(props.outlook, span.value.from))
/** Days with their counts: of stands, or where nothing is sown of turf that grows through a dressing. */
const counted = computed(() => (props.lifted
  ? props.outlook.sowing.map((day, i) => ({ ...day, good: props.outlook.growsThrough[i]!, causes: { washout: 0, dry: 0, heat: 0, frost: 0, cold: props.outlook.years - props.outlook.growsThrough[i]! } }))
  : props.outlook.sowing))
const days = computed(() => counted.value.slice(first.value, first.value + span.value.days))
const labels = computed(() => days.value.map((_, i) => {
  const d = addDays(span.value.from, i)
  return weekdayIndex(d) === 1 && (!narrow.value || i % 14 < 7) ? shortDay(d) : ''
}))
const band = computed(() => ((width.value || 800) - LEFT - RIGHT) / days.value.length)
const x = (d: Day) => LEFT + (daysBetween(span.value.from, d) + 0.5) * band.value
const within = (d: Day) => Math.min(Math.max(x(d), LEFT), (width.value || 800) - RIGHT)
const option = computed(() => oddsChart(days.value, labels.value, props.outlook.years, { left: LEFT, right: RIGHT, perDay: band.value }, props.lifted ? { good: 'Grows through', cold: 'Too cold to grow' } : {}))
const window_ = computed(() => {
  const w = seasons.value[0]
  return w && daysBetween(span.value.from, w.from) < span.value.days ? w : undefined
})
const chosen = computed(() => counted.value[indexOf(props.outlook, day.value)])
const soils = computed(() => labels.value.flatMap((label, i) => (label ? [{ x: LEFT + (i + 0.5) * band.value, soil: `${Math.round(number('tempC', props.outlook.soilC.median[first.value + i]!))}°` }] : [])))
const grain = computed(() => props.outlook.grain.map((year) => year.slice(first.value, first.value + span.value.days)))
const GRAIN_COLOURS: Record<string, string> = { g: '#3c6326', h: '#dfbfae', f: '#b3c8d3', c: '#c3cfd2', w: '#172019', d: '#e0c57c' }

/** A year's letters as runs, so that a season is a few rectangles. */
function runs(letters: string): { letter: string; from: number; length: number }[] {
  const out: { letter: string; from: number; length: number }[] = []
  for (const [i, letter] of [...letters].entries()) {
    const last = out.at(-1)
    if (last?.letter === letter) last.length++
    else out.push({ letter, from: i, length: 1 })
  }
  return out
}

function set(target: Day): void {
  if (props.locked) return
  const last = addDays(span.value.from, span.value.days - 1)
  day.value = target < span.value.from ? span.value.from : target > last ? last : target
}
const move = (step: number) => set(addDays(day.value, step))
const dragging = ref(false)
function drag(event: PointerEvent): void {
  if (!dragging.value) return
  const box = frame.value!.getBoundingClientRect()
  set(addDays(span.value.from, Math.floor((event.clientX - box.left - LEFT) / band.value)))
}
function grab(event: PointerEvent): void {
  if (props.locked) return
  dragging.value = true
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  drag(event)
}
const KEYS: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 7, PageDown: -7 }
function key(event: KeyboardEvent): void {
  const step = KEYS[event.key]
  if (step === undefined) return
  event.preventDefault()
  move(step)
}
</script>

<template>
  <div ref="frame" class="when-chart">
    <div class="titles"><b>{{ lifted ? 'Turf grows through' : 'Good stands' }}</b> {{ lifted ? 'in' : 'of' }} {{ outlook.years }} years<span v-if="window_" class="best">{{ lifted ? 'It grows' : 'Best window' }} {{ shortDay(window_.from) }} to {{ shortDay(window_.to) }}</span></div>
    <div class="area" @pointerdown="grab" @pointermove="drag" @pointerup="dragging = false" @pointercancel="dragging = false">
      <OddsPlot :option="option" class="plot" />
      <div v-if="window_" class="bracket" :style="{ left: `${within(window_.from) - band / 2}px`, width: `${within(window_.to) - within(window_.from) + band}px` }" />
      <div v-if="x(outlook.today) > LEFT" class="today" :style="{ left: `${x(outlook.today)}px` }"><span>Today</span></div>
      <div class="soils"><span class="word">Soil {{ unit('tempC') }}</span><span v-for="s in soils" :key="s.x" :style="{ left: `${s.x}px` }">{{ s.soil }}</span></div>
      <div v-if="!lifted" class="grain-head small"><b>The {{ outlook.years }} years behind it.</b> One line a year. Solid: a good stand. Pale: heat, cold or drought. Thin: washed out.</div>
      <svg v-if="!lifted" class="grain" :width="width || 800" :height="grain.length * 5.4" aria-hidden="true">
        <g v-for="(letters, y) in grain" :key="y" :transform="`translate(${LEFT} ${y * 5.4})`">
          <rect v-for="run in runs(letters)" :key="run.from" :x="run.from * band" :y="run.letter === 'w' ? 2 : 0.4" :width="run.length * band" :height="run.letter === 'w' ? 1.2 : 4.4" :fill="GRAIN_COLOURS[run.letter]" />
        </g>
      </svg>
      <div class="marker" :style="{ left: `${x(day)}px` }" />
    </div>
    <div class="plate" :class="{ locked }" :style="{ left: `${Math.min(Math.max(x(day), narrow ? 112 : 120), (width || 800) - (narrow ? 112 : 120))}px` }">
      <button v-if="!locked" type="button" aria-label="A day sooner" @click="move(-1)"><UIcon name="i-lucide-chevron-left" class="size-5" /></button>
      <div
        role="slider" :tabindex="locked ? -1 : 0" :aria-label="lifted ? 'Day of the first lift' : 'Sowing day'" :aria-valuemin="0" :aria-valuemax="span.days - 1" :aria-valuenow="daysBetween(span.from, day)"
        :aria-valuetext="`${shortDayWithWeekday(day, outlook.today)}, ${chosen?.good ?? 0} of ${outlook.years} years good`" class="num" @keydown="key"
      >
        {{ shortDayWithWeekday(day, outlook.today) }}, {{ chosen?.good ?? 0 }} of {{ outlook.years }}
      </div>
      <button v-if="!locked" type="button" aria-label="A day later" @click="move(1)"><UIcon name="i-lucide-chevron-right" class="size-5" /></button>
    </div>
  </div>
</template>

<style scoped>
.when-chart { position: relative; padding-top: 34px; user-select: none; }
.titles { font-size: 13px; position: relative; height: 20px; }
.best { position: absolute; right: 8px; font-weight: 650; }
.area { position: relative; cursor: ew-resize; touch-action: pan-y; }
.plot { height: 258px; width: 100%; }
.bracket { position: absolute; top: 26px; height: 8px; border: 2px solid var(--ink); border-bottom: 0; pointer-events: none; }
.today { position: absolute; top: 10px; bottom: 0; border-left: 2px solid #735407; pointer-events: none; }
.today span { position: absolute; right: 5px; top: 0; color: #735407; font-weight: 650; font-size: 12px; }
.soils { height: 18px; position: relative; font-size: 12px; color: var(--ink-2); margin-top: -5px; }
.soils span { position: absolute; transform: translateX(-50%); }
.soils .word { left: 0; transform: none; font-size: 11.5px; background: var(--paper); z-index: 1; }
.grain-head { margin: 3px 0 3px 40px; }
.grain { display: block; }
.marker { position: absolute; top: -20px; bottom: 0; border-left: 2.5px solid var(--ink); pointer-events: none; transform: translateX(-1px); }
.plate { position: absolute; top: 0; transform: translateX(-50%); background: var(--ink); color: #fbfbf5; display: flex; align-items: center; height: 32px; white-space: nowrap; }
.plate.locked { padding: 0 12px; }
.plate [role='slider'] { padding: 0 6px; cursor: ew-resize; line-height: 32px; font-size: 14px; }
.plate button { color: var(--straw); height: 100%; padding: 0 7px; cursor: pointer; display: grid; place-items: center; }
@media (max-width: 700px) { .plate, .plate [role='slider'] { height: 48px; line-height: 48px; } .plate button { width: 48px; } .when-chart { padding-top: 52px; } .best { position: static; margin-left: 10px; } .titles { height: auto; } }
</style>
