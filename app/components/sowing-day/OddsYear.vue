<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { addDays, daysBetween, monthIndex, type Day } from '#core/measure/calendar'
import { windowName, of100Words } from '~/utils/seasonWords'
import type { DatedWindow } from '#core/establishment/window'

/** Every sowing day ahead at a glance: eighteen months, each season's window a link to its best day. */
const props = defineProps<{
  first: Day
  good: readonly number[]
  windows: readonly DatedWindow[]
  today: Day
  shown: { from: Day; days: number }
  locked: boolean
}>()
const day = defineModel<Day>({ required: true })
const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame, { width: 760, height: 0 })
const [LEFT, RIGHT, HEIGHT] = [40, 8, 58]
const width = computed(() => size.width.value || 760)
const todayAt = computed(() => daysBetween(props.first, props.today))
const ahead = computed(() => props.good.slice(todayAt.value))
const perDay = computed(() => (width.value - LEFT - RIGHT) / Math.max(1, ahead.value.length))
const x = (of: Day) => LEFT + Math.min(ahead.value.length, Math.max(0, daysBetween(props.today, of))) * perDay.value
const y = (of100: number) => HEIGHT - (of100 / 100) * (HEIGHT - 4)
const top = computed(() =>
  ahead.value
    .map((of100, i) => `${i ? 'L' : 'M'}${(LEFT + i * perDay.value).toFixed(1)} ${y(of100).toFixed(1)}`)
    .join(''),
)
const months = computed(() => {
  const out: { x: number; name: string }[] = []
  const every = perDay.value * 30 > 34 ? 1 : 3
  ahead.value.forEach((_, i) => {
    const of = addDays(props.today, i)
    if (!of.endsWith('-01') || monthIndex(of) % every) return
    const name = monthsShort()[monthIndex(of)]!
    out.push({ x: LEFT + i * perDay.value, name: monthIndex(of) === 0 ? `${name} ${of.slice(2, 4)}` : name })
  })
  return out
})
/** Names over their windows, moved aside as far as the one before reaches. */
const named = computed(() => {
  let reach = 0
  return props.windows.map((window) => {
    const words = `${windowName(window, props.today)}, ${of100Words(window.chance)}`
    const px = words.length * 6.6 + 8
    const middle = (x(window.from) + x(window.to)) / 2
    const left = Math.max(reach, Math.min(middle - px / 2, width.value - px))
    reach = left + px + 6
    return { ...window, words, left, fits: left + px <= width.value + 1 }
  })
})
function pick(event: MouseEvent): void {
  if (props.locked) return
  const box = frame.value!.getBoundingClientRect()
  const at = Math.floor((event.clientX - box.left - LEFT) / perDay.value)
  day.value = addDays(props.today, Math.min(ahead.value.length - 1, Math.max(0, at)))
}
</script>

<template>
  <div ref="frame" class="year">
    <b class="head">{{ t('sowingDay.n18Months') }}</b>
    <div class="names">
      <component
        :is="locked ? 'span' : 'button'"
        v-for="window in named"
        v-show="window.fits"
        :key="window.from"
        :type="locked ? undefined : 'button'"
        class="name"
        :style="{ left: `${window.left}px` }"
        :title="
          t('sowingDay.toBest', {
            from: shortDay(window.from, today),
            to: shortDay(window.to, today),
            best: shortDay(window.best, today),
          })
        "
        @click="locked || (day = window.best)"
      >
        {{ window.words }}
      </component>
    </div>
    <svg :width="width" :height="HEIGHT + 18" aria-hidden="true" :class="{ picks: !locked }" @click="pick">
      <rect
        v-for="window in windows"
        :key="window.from"
        :x="x(window.from)"
        y="0"
        :width="Math.max(2, x(addDays(window.to, 1)) - x(window.from))"
        :height="HEIGHT"
        fill="#f0deae"
      />
      <path :d="`${top}V${HEIGHT}H${LEFT}Z`" fill="#dce5c6" opacity="0.75" />
      <path :d="top" fill="none" stroke="#3c6326" stroke-width="1.5" />
      <rect :x="LEFT" y="0.5" :width="width - LEFT - RIGHT" :height="HEIGHT - 0.5" fill="none" stroke="#a9ad9c" />
      <rect
        :x="x(shown.from)"
        y="1"
        :width="Math.max(2, x(addDays(shown.from, shown.days)) - x(shown.from))"
        :height="HEIGHT - 2"
        fill="none"
        stroke="#172019"
        stroke-width="2"
      />
      <line :x1="x(day)" :x2="x(day)" y1="0" :y2="HEIGHT" stroke="#172019" stroke-width="2" />
      <text v-for="month in months" :key="month.x" :x="month.x" :y="HEIGHT + 14" class="month">{{ month.name }}</text>
    </svg>
  </div>
</template>

<style scoped>
.year {
  margin-top: 10px;
}
.head {
  font-size: 12px;
}
.names {
  position: relative;
  overflow: hidden;
  height: 22px;
}
.name {
  position: absolute;
  white-space: nowrap;
  font-size: 12px;
  font-weight: 600;
  min-height: 22px;
}
button.name {
  text-decoration: underline;
  text-underline-offset: 2px;
  cursor: pointer;
}
.picks {
  cursor: pointer;
}
.month {
  font-size: 11.5px;
  fill: var(--ink-2);
}
@media (max-width: 700px) {
  .names {
    height: 50px;
  }
  .name {
    min-height: 48px;
    font-size: 11px;
  }
}
</style>
