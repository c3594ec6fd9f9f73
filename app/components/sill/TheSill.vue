<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { figure } from '#core/measure/figure'
import { addDays, shortDay, shortDayWithWeekday, type Day } from '#core/measure/calendar'
import { indexOf, readingOnLine } from '#core/establishment/outlook'
import { mondays, monthTicks, sillScale, type Hanger } from '~/utils/sillScale'

/** The ledge that holds the season: soil, band, rain, frost and today. */
const props = defineProps<{ hangers: Hanger[] }>()
const sill = useSillStore()
const { text, number } = useUnits()

const frame = useTemplateRef<HTMLElement>('frame')
const { width } = useElementSize(frame, { width: 1280, height: 124 })
const wide = computed(() => (width.value || 1280) > 700)
const TOP = 26
const FOOT = 100
const LIP = 117

const data = computed(() => sill.data)
const scale = computed(() => {
  const right = (width.value || 1280) - (wide.value ? 40 : 8)
  return data.value && sillScale(data.value, wide.value ? 264 : 8, right, wide.value ? TOP : 18, wide.value ? FOOT : 92)
})
const lipY = computed(() => (wide.value ? LIP : 108))

/** Readings beside the line of this ground; one that is left out is held inside of the ledge. */
const readings = computed(() => (data.value && scale.value ? data.value.outlook.readings : []).flatMap((reading) => {
  const day = reading.at.slice(0, 10) as Day
  const tempC = readingOnLine(data.value!.outlook, reading)
  if (tempC === undefined || day < scale.value!.from) return []
  return [{ ...reading, x: scale.value!.x(day), y: Math.min(lipY.value - 4, Math.max(8, scale.value!.y(tempC))) }]
}))

/** filled: behind today without an observation, so that the normals stand in. */
interface Point { day: Day; filled: boolean; modelC: number; median: number; p05: number; p25: number; p75: number; p95: number }
const points = computed<Point[]>(() => {
  if (!data.value || !scale.value) return []
  const { outlook } = data.value
  const { soilC } = outlook
  const out: Point[] = []
  for (let day = scale.value.from; day <= scale.value.to; day = addDays(day, 1)) {
    const i = indexOf(outlook, day)
    out.push({ day, filled: outlook.filled[i] === true, modelC: soilC.median[i]! - outlook.correctionK[i]!, median: soilC.median[i]!, p05: soilC.p05[i]!, p25: soilC.p25[i]!, p75: soilC.p75[i]!, p95: soilC.p95[i]! })
  }
  return out
})
const path = (value: (p: Point) => number) => points.value.map((p, i) => `${i ? 'L' : 'M'}${scale.value!.x(p.day).toFixed(1)} ${scale.value!.y(value(p)).toFixed(1)}`).join('')
/** Pieces of the line between days that were observed or lie ahead, or those that lead into filled ones. */
const pieces = (filled: boolean) => points.value.map((p, i) => {
  const before = points.value[i - 1]
  if (!before || p.filled !== filled) return ''
  const at = ({ day, median }: Point) => `${scale.value!.x(day).toFixed(1)} ${scale.value!.y(median).toFixed(1)}`
  return i > 1 && before.filled === filled ? `L${at(p)}` : `M${at(before)}L${at(p)}`
}).join('')
const ribbon = (high: (p: Point) => number, low: (p: Point) => number) => {
  const back = [...points.value].reverse().map((p) => `L${scale.value!.x(p.day).toFixed(1)} ${scale.value!.y(low(p)).toFixed(1)}`).join('')
  return `${path(high)}${back}Z`
}

const RAIN_PX_PER_MM = 0.62
const rain = computed(() => {
  if (!data.value || !scale.value) return { fell: [], told: [], usual: [] }
  const { outlook, forecast } = data.value
  const bar = (day: Day, mm: number) => ({ x: scale.value!.x(day) - 2, height: Math.min(60, mm * RAIN_PX_PER_MM + 1), day })
  const fell = points.value.flatMap(({ day }) => {
    const mm = outlook.rainMm[indexOf(outlook, day)]
    return mm && mm >= 0.2 ? [bar(day, mm)] : []
  })
  const told = forecast.filter((f) => f.rainMm >= 0.2).map((f) => bar(f.day, f.rainMm))
  const usual = mondays(scale.value).filter((day) => day > outlook.today).map((day) => ({
    x: scale.value!.x(day), width: Math.max(0, Math.min(7 * scale.value!.perDay, scale.value!.right - scale.value!.x(day)) - 1), height: outlook.usualWeekRainMm[indexOf(outlook, day)]! * RAIN_PX_PER_MM,
  }))
  return { fell, told, usual }
})

const inside = computed(() => {
  if (!data.value || !scale.value) return []
  const { outlook } = data.value
  return outlook.insideBand.flatMap(({ from, to }) => {
    const [first, last] = [addDays(outlook.first, from), addDays(outlook.first, to)]
    const [start, end] = [first < scale.value!.from ? scale.value!.from : first, last > scale.value!.to ? scale.value!.to : last]
    return end <= scale.value!.from || start >= scale.value!.to ? [] : [{ first: start, last: end, days: to - from + 1 }]
  })
})
const frost = computed(() => {
  const odds = data.value?.outlook.frost
  if (!odds || !scale.value) return []
  const word = odds.kind === 'first' ? 'first frost' : 'last frost'
  const drop = (share: number, day: Day, height: number) => ({ share, day, height, x: scale.value!.x(day), label: share === 90 ? `90% ${word}, ${shortDay(day)}` : `${share}%` })
  const drops = [drop(10, odds.p10, 9), drop(50, odds.p50, 16), drop(90, odds.p90, 23)].filter(({ day }) => day < scale.value!.to)
  // Close together, only the last keeps its label.
  return drops.map((d, i) => ({ ...d, label: drops[i + 1] && drops[i + 1]!.x - d.x < 40 ? '' : d.label }))
})
const months = computed(() => (scale.value ? monthTicks(scale.value).filter(({ day }) => !frost.value.some((f) => Math.abs(f.x - scale.value!.x(day)) < 30 || (f.share === 90 && scale.value!.x(day) > f.x - 30 && scale.value!.x(day) < f.x + 150))) : []))
/** A month's name gives way to the tag of today. */
function monthX(day: Day): number {
  const x = scale.value!.x(day) + 5
  const tag = scale.value!.x(data.value!.outlook.today)
  return wide.value && x > tag - 60 && x < tag + 36 ? tag + 38 : x
}
const window_ = computed(() => data.value?.outlook.windows.find((w) => scale.value && w.from < scale.value.to))
const degrees = (tempC: number) => Math.round(number('tempC', tempC))

const read = ref<Day>()
const reading = computed(() => {
  if (!read.value) return undefined
  const p = points.value.find(({ day }) => day === read.value)
  if (!p || !data.value) return undefined
  const ahead = p.day > data.value.outlook.today
  const fell = data.value.outlook.rainMm[indexOf(data.value.outlook, p.day)] ?? data.value.forecast.find(({ day }) => day === p.day)?.rainMm
  const wet = fell ? `, rain ${text(figure('waterMm', fell))}` : ''
  return `${shortDayWithWeekday(p.day, data.value.outlook.today)}: ${text(figure('tempC', p.median, 3))}${p.filled ? ', no record' : ''}${ahead ? `, ${degrees(p.p05)} to ${degrees(p.p95)}` : ''}${wet}`
})
function point(event: PointerEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const x = event.clientX - box.left
  read.value = scale.value && x >= scale.value.left ? scale.value.day(x) : undefined
}
function step(days: number): void {
  const from = read.value ?? data.value?.outlook.today
  if (from && scale.value) read.value = scale.value.day(scale.value.x(addDays(from, days)))
}
</script>

<template>
  <header ref="frame" class="sill" :class="{ narrow: !wide }">
    <SillReadout />
    <svg
      v-if="data && scale" class="plot" :width="width || 1280" :height="lipY + 7" role="img" tabindex="0"
      :aria-label="`Season of ${data.place}: soil temperature, germination band, rain and frost. Arrow keys read a day. ${reading ?? ''}`"
      @pointermove="point" @pointerdown="point" @pointerleave="read = undefined" @keydown.right.prevent="step(1)" @keydown.left.prevent="step(-1)"
    >
      <rect v-for="(u, i) in rain.usual" :key="`u${i}`" :x="u.x" :y="lipY - u.height" :width="u.width" :height="u.height" fill="#bfb197" opacity="0.16" />
      <g v-for="m in months" :key="m.day">
        <line :x1="scale.x(m.day)" :x2="scale.x(m.day)" y1="4" :y2="lipY" stroke="#43382a" />
        <text v-if="scale.x(m.day) > scale.left + 10" :x="monthX(m.day)" y="15" class="faint">{{ m.label }}</text>
      </g>
      <rect :x="scale.left" :y="scale.y(data.outlook.band.highC)" :width="scale.right - scale.left" :height="scale.y(data.outlook.band.lowC) - scale.y(data.outlook.band.highC)" fill="#e4bf52" opacity="0.09" />
      <line v-for="edge in [data.outlook.band.highC, data.outlook.band.lowC]" :key="edge" :x1="scale.left" :x2="scale.right" :y1="scale.y(edge)" :y2="scale.y(edge)" stroke="#e4bf52" opacity="0.5" stroke-dasharray="1 4" />
      <g v-for="run in inside" :key="run.first">
        <rect :x="scale.x(run.first)" :y="scale.y(data.outlook.band.highC)" :width="scale.x(run.last) - scale.x(run.first)" :height="scale.y(data.outlook.band.lowC) - scale.y(data.outlook.band.highC)" fill="#e4bf52" fill-opacity="0.34" stroke="#e4bf52" />
      </g>
      <path :d="ribbon((p) => p.p95, (p) => p.p05)" fill="#e9e0ce" opacity="0.16" />
      <path :d="ribbon((p) => p.p75, (p) => p.p25)" fill="#e9e0ce" opacity="0.22" />
      <path v-if="readings.length" :d="path((p) => p.modelC)" fill="none" stroke="#bfb197" stroke-width="1" stroke-dasharray="2 3" />
      <path :d="pieces(false)" fill="none" stroke="#e9e0ce" stroke-width="2.25" />
      <path :d="pieces(true)" class="filled" fill="none" stroke="#bfb197" stroke-width="2" stroke-dasharray="1.5 4" stroke-linecap="round" />
      <template v-for="r in readings" :key="`${r.at}${r.depthMm}`">
        <circle v-if="r.used" :cx="r.x" :cy="r.y" r="1.7" fill="#fbfbf5" />
        <path v-else :d="`M${r.x - 3} ${r.y - 3}l6 6m0 -6l-6 6`" stroke="#e4bf52" stroke-width="1.6" />
      </template>
      <rect v-for="b in rain.fell" :key="b.day" :x="b.x" :y="lipY - b.height" width="4" :height="b.height" fill="#a9cfe6" />
      <rect v-for="b in rain.told" :key="`t${b.day}`" :x="b.x + 0.5" :y="lipY - b.height" width="3.5" :height="b.height" fill="#211a12" stroke="#a9cfe6" />
      <g v-for="f in frost" :key="f.share">
        <path :d="`M${f.x - 4} 3 h8 l-4 ${f.height} z`" fill="#a9cfe6" />
        <text v-if="wide" :x="f.x + 7" y="15" fill="#a9cfe6">{{ f.label }}</text>
      </g>
      <template v-if="wide">
        <text :x="scale.left + 6" :y="(scale.y(data.outlook.band.highC) + scale.y(data.outlook.band.lowC)) / 2 + 4" fill="#e4bf52" class="halo">
          {{ data.grassName.charAt(0).toUpperCase() + data.grassName.slice(1) }} sprouts {{ degrees(data.outlook.band.lowC) }}–{{ degrees(data.outlook.band.highC) }} {{ text(figure('tempC', 0)).slice(-2) }}
        </text>
        <text v-for="run in inside" :key="`d${run.first}`" :x="(scale.x(run.first) + scale.x(run.last)) / 2" :y="scale.y(data.outlook.band.lowC) + 13" text-anchor="middle" class="halo">
          {{ scale.x(run.last) - scale.x(run.first) > 150 ? `Soil inside ${shortDay(run.first)} to ${shortDay(run.last)}, ${run.days} days` : `${run.days} days inside` }}
        </text>
        <text :x="scale.right + 5" :y="scale.y(data.outlook.band.highC) + 4" fill="#e4bf52">{{ degrees(data.outlook.band.highC) }}</text>
        <text :x="scale.right + 5" :y="scale.y(data.outlook.band.lowC) + 4" fill="#e4bf52">{{ degrees(data.outlook.band.lowC) }}</text>
      </template>
      <rect x="0" :y="lipY" :width="width || 1280" height="7" fill="#5f503c" />
      <line x1="0" :x2="width || 1280" :y1="lipY + 0.5" :y2="lipY + 0.5" stroke="#8c7c64" />
      <rect v-if="window_" :x="scale.x(window_.from < scale.from ? scale.from : window_.from)" :y="lipY" :width="scale.x(window_.to > scale.to ? scale.to : window_.to) - scale.x(window_.from) + scale.perDay" height="7" fill="#e4bf52" />
      <line v-for="d in mondays(scale)" :key="`m${d}`" :x1="scale.x(d)" :x2="scale.x(d)" :y1="lipY" :y2="lipY + 7" stroke="#211a12" opacity="0.55" />
      <line :x1="scale.x(data.outlook.today)" :x2="scale.x(data.outlook.today)" :y1="wide ? 20 : 4" :y2="lipY + 7" stroke="#e4bf52" stroke-width="2" />
      <g v-if="wide">
        <rect :x="scale.x(data.outlook.today) - 32" y="3" width="64" height="18" fill="#e4bf52" />
        <text :x="scale.x(data.outlook.today)" y="16" text-anchor="middle" class="tag">{{ shortDayWithWeekday(data.outlook.today) }}</text>
      </g>
      <g v-if="read && reading">
        <line :x1="scale.x(read)" :x2="scale.x(read)" y1="22" :y2="lipY" stroke="#fbfbf5" stroke-dasharray="2 2" />
        <rect :x="Math.min(scale.x(read) + 4, scale.right - 232)" y="86" width="232" height="20" fill="#fbfbf5" />
        <text :x="Math.min(scale.x(read) + 12, scale.right - 224)" y="100" class="tag">{{ reading }}</text>
      </g>
    </svg>
    <div v-else class="waiting">{{ sill.problem?.message ?? 'Working out the season' }}</div>
    <div v-if="data && scale" class="needle" :style="{ left: `${scale.x(data.outlook.today) - 6}px`, top: `${lipY + 6}px` }" aria-hidden="true" />
    <SillHangers v-if="scale" :hangers="props.hangers" :scale="scale" :wide="wide" />
  </header>
</template>

<style scoped>
.sill { position: relative; background: linear-gradient(#211a12 124px, transparent 124px); height: 150px; color: #e9e0ce; flex: none; }
.sill.narrow { height: auto; background: none; }
.plot { display: block; position: absolute; inset: 0 auto auto 0; font-size: 11.5px; touch-action: pan-y; outline-offset: -3px; }
.narrow .plot { position: static; background: #211a12; }
.plot text { fill: #e9e0ce; font-size: 11.5px; }
.plot text[fill='#e4bf52'] { fill: #e4bf52; }
.plot text[fill='#a9cfe6'] { fill: #a9cfe6; }
.plot .faint { fill: #bfb197; }
.plot .tag { fill: #172019; font-weight: 650; }
.plot .halo { paint-order: stroke; stroke: #211a12; stroke-width: 3px; stroke-opacity: 0.75; }
.needle { position: absolute; width: 0; height: 0; border: 6px solid transparent; border-top: 8px solid #e4bf52; }
.narrow .needle { display: none; }
.waiting { position: absolute; left: 264px; top: 48px; font-size: 15px; max-width: 640px; }
.narrow .waiting { position: static; background: #211a12; padding: 16px; }
@media print { .sill { display: none; } }
</style>
