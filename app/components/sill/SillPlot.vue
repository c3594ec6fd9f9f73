<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { figure } from '#core/measure/figure'
import { addDays, type Day } from '#core/measure/calendar'
import { indexOf } from '#core/establishment/outlook'
import { mondays, sillScale, type Hanger } from '~/utils/sillScale'
import { frostDrops, monthsBeside, pointsOf, rainOf, sowingFields } from '~/utils/sillPlot'

/** What the ledge draws: soil, sowing windows, rain, frost and today. */
const props = defineProps<{ hangers: Hanger[] }>()
const sill = useSillStore()
const { text, number } = useUnits()
const route = useRoute()

const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame, { width: 1280, height: 124 })
const width = computed(() => size.width.value || 1280)
const wide = computed(() => width.value > 700)
const WIDE = { left: 264, edge: 40, top: 26, foot: 100, lip: 117 }
const NARROW = { left: 8, edge: 8, top: 18, foot: 92, lip: 108 }
const lines = computed(() => (wide.value ? WIDE : NARROW))
const lipY = computed(() => lines.value.lip)

const data = computed(() => sill.data)
const scale = computed(() => {
  const { left, edge, top, foot } = lines.value
  return data.value && sillScale(data.value, left, width.value - edge, top, foot)
})
/** What is drawn besides the line of the soil. */
const drawn = computed(() => {
  if (!data.value || !scale.value) return undefined
  const frost = frostDrops(data.value, scale.value)
  return {
    rain: rainOf(data.value, scale.value),
    frost,
    months: monthsBeside(frost, scale.value),
    mondays: mondays(scale.value),
    fields: sowingFields(data.value, scale.value),
  }
})
/** A month's name gives way to the tag of today. */
function monthX(day: Day): number {
  const x = scale.value!.x(day) + 5
  const tag = scale.value!.x(data.value!.outlook.today)
  return wide.value && x > tag - 60 && x < tag + 36 ? tag + 38 : x
}

const read = ref<Day>()
const degrees = (tempC: number) => Math.round(number('tempC', tempC))
const reading = computed(() => {
  if (!read.value || !data.value || !scale.value) return undefined
  const { outlook, forecast } = data.value
  const p = pointsOf(data.value, scale.value).find(({ day }) => day === read.value)
  if (!p) return undefined
  const rainMm = outlook.rainMm[indexOf(outlook, p.day)] ?? forecast.find(({ day }) => day === p.day)?.rainMm
  return [
    t('sill.noRecord', {
      day: shortDayWithWeekday(p.day, outlook.today),
      median: text(figure('tempC', p.median, 3)),
      hasFilled: Boolean(p.filled),
    }),
    p.day > outlook.today ? t('sill.to2', { p05: degrees(p.p05), p95: degrees(p.p95) }) : '',
    rainMm ? t('sill.rain2', { rainMm: text(figure('waterMm', rainMm)) }) : '',
  ]
    .filter(Boolean)
    .join(', ')
})
const PLATE_PX = 232
const plateX = computed(() => Math.min(scale.value!.x(read.value!) + 4, scale.value!.right - PLATE_PX))
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
  <div ref="frame" class="frame" :class="{ narrow: !wide }">
    <SillReadout />
    <svg
      v-if="data && scale && drawn"
      class="plot"
      :width="width"
      :height="lipY + 7"
      role="img"
      tabindex="0"
      :aria-label="t('sill.seasonOfSoilTemperature', { place: data.place, reading: reading ?? '' })"
      @pointermove="point"
      @pointerdown="point"
      @pointerleave="read = undefined"
      @keydown.right.prevent="step(1)"
      @keydown.left.prevent="step(-1)"
    >
      <rect
        v-for="(u, i) in drawn.rain.usual"
        :key="`u${i}`"
        :x="u.x"
        :y="lipY - u.height"
        :width="u.width"
        :height="u.height"
        fill="#bfb197"
        opacity="0.16"
      />
      <g v-for="m in drawn.months" :key="m.day">
        <line :x1="scale.x(m.day)" :x2="scale.x(m.day)" y1="4" :y2="lipY" stroke="#43382a" />
        <text v-if="scale.x(m.day) > scale.left + 10" :x="monthX(m.day)" y="15" class="faint">{{ m.label }}</text>
      </g>
      <SillFields :data :scale :lip-y="lipY" :wide />
      <SillCurves :data :scale :lip-y="lipY" />
      <rect
        v-for="b in drawn.rain.fell"
        :key="b.day"
        :x="b.x"
        :y="lipY - b.height"
        width="4"
        :height="b.height"
        fill="#a9cfe6"
      />
      <rect
        v-for="b in drawn.rain.told"
        :key="`t${b.day}`"
        :x="b.x + 0.5"
        :y="lipY - b.height"
        width="3.5"
        :height="b.height"
        fill="#211a12"
        stroke="#a9cfe6"
      />
      <template v-if="wide">
        <text v-for="f in drawn.fields" :key="f.from" :x="f.x + 8" :y="lipY - 8" class="halo gold">
          {{ f.words }}
        </text>
      </template>
      <g v-for="f in drawn.frost" :key="f.share">
        <path :d="`M${f.x - 4} 3 h8 l-4 ${f.height} z`" fill="#a9cfe6" />
        <text v-if="wide" :x="f.x + 7" y="15" class="frost">{{ f.label }}</text>
      </g>
      <rect x="0" :y="lipY" :width="width" height="7" fill="#5f503c" />
      <line x1="0" :x2="width" :y1="lipY + 0.5" :y2="lipY + 0.5" stroke="#8c7c64" />
      <rect v-for="f in drawn.fields" :key="f.from" :x="f.x" :y="lipY" :width="f.width" height="7" fill="#e4bf52" />
      <line
        v-for="d in drawn.mondays"
        :key="`m${d}`"
        :x1="scale.x(d)"
        :x2="scale.x(d)"
        :y1="lipY"
        :y2="lipY + 7"
        stroke="#211a12"
        opacity="0.55"
      />
      <g :transform="`translate(${scale.x(data.outlook.today)} 0)`">
        <line :y1="wide ? 20 : 4" :y2="lipY + 7" stroke="#e4bf52" stroke-width="2" />
        <template v-if="wide">
          <rect x="-32" y="3" width="64" height="18" fill="#e4bf52" />
          <text y="16" text-anchor="middle" class="tag">{{ shortDayWithWeekday(data.outlook.today) }}</text>
        </template>
      </g>
      <g v-if="read && reading">
        <line :x1="scale.x(read)" :x2="scale.x(read)" y1="22" :y2="lipY" stroke="#fbfbf5" stroke-dasharray="2 2" />
        <rect :x="plateX" y="86" :width="PLATE_PX" height="20" fill="#fbfbf5" />
        <text :x="plateX + 8" y="100" class="tag">{{ reading }}</text>
      </g>
    </svg>
    <div v-else class="waiting">
      <template v-if="sill.lacks">
        {{ t('sill.theSoilOfYour', { lacks: sill.lacks }) }}
        <NuxtLink v-if="route.path !== '/set-up'" to="/set-up">{{ t('sill.setUpTheClimate') }}</NuxtLink>
      </template>
      <template v-else>{{ sill.problem?.message ?? t('sill.workingOutTheSeason') }}</template>
    </div>
    <div
      v-if="data && scale"
      class="needle"
      :style="{ left: `${scale.x(data.outlook.today) - 6}px`, top: `${lipY + 6}px` }"
      aria-hidden="true"
    />
    <SillHangers v-if="scale" :hangers="props.hangers" :scale="scale" :wide="wide" />
  </div>
</template>

<style scoped>
.plot {
  display: block;
  position: absolute;
  inset: 0 auto auto 0;
  touch-action: pan-y;
  outline-offset: -3px;
}
.narrow .plot {
  position: static;
  background: #211a12;
}
.plot :deep(text) {
  fill: #e9e0ce;
  font-size: 11.5px;
}
.plot :deep(.gold) {
  fill: #e4bf52;
  font-weight: 650;
}
.plot :deep(.frost) {
  fill: #a9cfe6;
}
.plot :deep(.faint) {
  fill: #bfb197;
}
.plot :deep(.tag) {
  fill: #172019;
  font-weight: 650;
}
.plot :deep(.halo) {
  paint-order: stroke;
  stroke: #211a12;
  stroke-width: 3px;
  stroke-opacity: 0.75;
}
.needle {
  position: absolute;
  width: 0;
  height: 0;
  border: 6px solid transparent;
  border-top: 8px solid #e4bf52;
}
.narrow .needle {
  display: none;
}
.waiting {
  position: absolute;
  left: 264px;
  top: 48px;
  font-size: 15px;
  max-width: 640px;
}
.waiting a {
  text-decoration: underline;
  font-weight: 650;
}
.narrow .waiting {
  position: static;
  background: #211a12;
  padding: 16px;
}
</style>
