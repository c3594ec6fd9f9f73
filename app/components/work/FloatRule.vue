<script setup lang="ts">
import { addDays, daysBetween, type Day } from '#core/measure/calendar'
import type { Task } from '#core/job/schedule/schedule'
import type { WorkScale } from '~/utils/workPhases'

/** The days in which the work of one card can lie, and the day it lies on: dragged, or moved by arrow keys. */
const props = defineProps<{ tasks: Task[]; anchor: string; scale: WorkScale | undefined }>()
const emit = defineEmits<{ day: [keys: string[], day: Day] }>()
const first = computed(() => props.tasks[0]!)
const place = (day: Day) => (props.scale ? ((daysBetween(props.scale.from, day) + 0.5) / props.scale.days) * 100 : 0)
/** Cuts two days apart, the last on the task's day. */
const marks = computed<Day[]>(() => {
  const out: Day[] = []
  const { from, to } = first.value
  for (let day = to; day > from; day = addDays(day, -2)) out.unshift(day)
  // The first may lie a day farther back, off a day the firm is off.
  return daysBetween(from, out[0] ?? to) < 2 && out.length > 1 ? [from, ...out.slice(1)] : [from, ...out]
})
const open = computed(() => props.tasks.filter(({ done }) => !done))
const allDone = computed(() => open.value.length === 0)
/** The sowing day moves the plan; on any other day what is still open moves together. */
const keys = computed(() =>
  open.value.some(({ key }) => key === props.anchor) ? [props.anchor] : open.value.map(({ key }) => key),
)
/** The span in which all that is open can lie. */
const least = computed(() =>
  open.value.reduce((day, task) => (task.earliest > day ? task.earliest : day), first.value.earliest),
)
const most = computed(() =>
  open.value.reduce((day, task) => (task.latest < day ? task.latest : day), first.value.latest),
)

/** A span that reaches farther has no end worth drawing. */
const OPEN_END_DAYS = 60

const rule = useTemplateRef<HTMLElement>('rule')
let dragged: Day | undefined
/** Follows the pointer on the window: the card may be laid out anew under it. */
function grab(event: PointerEvent): void {
  if (!props.scale || allDone.value || !rule.value || event.button !== 0) return
  event.preventDefault()
  const { left, width } = rule.value.getBoundingClientRect()
  const { from, days } = props.scale
  const held = keys.value
  const move = ({ clientX }: PointerEvent) => {
    const day = addDays(from, Math.max(0, Math.min(days - 1, Math.floor(((clientX - left) / width) * days))))
    if (day === dragged) return
    dragged = day
    emit('day', held, day)
  }
  const stop = () => {
    dragged = undefined
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', stop)
    window.removeEventListener('pointercancel', stop)
  }
  window.addEventListener('pointermove', move)
  window.addEventListener('pointerup', stop)
  window.addEventListener('pointercancel', stop)
}
const nudge = (days: number) => emit('day', keys.value, addDays(first.value.to, days))
</script>

<template>
  <div ref="rule" class="float" :class="{ scaled: scale }">
    <template v-if="scale">
      <i v-for="d in scale.mondays" :key="d" class="monday" :style="{ left: `${place(d)}%` }" />
      <svg width="100%" height="20" preserveAspectRatio="none" aria-hidden="true">
        <template v-if="!allDone && tasks[0]!.key !== anchor && daysBetween(first.to, most) <= OPEN_END_DAYS">
          <line :x1="`${place(least)}%`" :x2="`${place(most)}%`" y1="10" y2="10" stroke="#172019" />
          <line
            v-for="d in [least, most]"
            :key="d"
            :x1="`${place(d)}%`"
            :x2="`${place(d)}%`"
            y1="5"
            y2="15"
            stroke="#172019"
          />
        </template>
        <line
          v-if="marks.length > 1"
          :x1="`${place(marks[0]!)}%`"
          :x2="`${place(marks.at(-1)!)}%`"
          y1="10"
          y2="10"
          stroke="#172019"
          stroke-width="2"
        />
        <rect
          v-for="d in marks"
          :key="d"
          :x="`${place(d)}%`"
          y="4"
          width="7"
          height="12"
          transform="translate(-3.5 0)"
          fill="#172019"
        />
      </svg>
      <button
        v-if="!allDone"
        type="button"
        class="handle"
        role="slider"
        :style="{ left: `${place(first.to)}%` }"
        :aria-label="t('work.dayOf', { tasks: tasks.map(({ name }) => name) })"
        :aria-valuenow="daysBetween(scale.from, first.to)"
        aria-valuemin="0"
        :aria-valuemax="scale.days"
        :aria-valuetext="shortDay(first.to)"
        @pointerdown="grab"
        @keydown.left.prevent="nudge(-1)"
        @keydown.right.prevent="nudge(1)"
      />
    </template>
    <span class="words">{{
      first.done ? t('work.done', { day: shortDay(first.done.day) }) : first.floatWords && tell(first.floatWords)
    }}</span>
  </div>
</template>

<style scoped>
.float {
  position: relative;
  padding: 14px 0 8px;
}
.handle {
  position: absolute;
  top: 6px;
  width: 34px;
  height: 36px;
  margin-left: -17px;
  cursor: ew-resize;
  touch-action: none;
  background: none;
  border-radius: 2px;
}
.handle:hover {
  background: var(--straw-tint);
  opacity: 0.5;
}
.monday {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 1px solid var(--rule);
}
.float svg {
  display: block;
  position: relative;
  overflow: visible;
}
.words {
  display: block;
  text-align: center;
  font-size: 12px;
  color: var(--ink-2);
  font-stretch: 88%;
  position: relative;
  padding: 0 6px;
  background: inherit;
}
@media (max-width: 900px) {
  .float {
    padding: 12px;
    min-width: 130px;
  }
  .float svg,
  .monday,
  .handle {
    display: none;
  }
}
@media print {
  .float {
    display: none;
  }
}
</style>
