<script setup lang="ts">
import type { NewMark } from '#contract/work'
import type { Day } from '#core/measure/calendar'
import type { Task } from '#core/job/schedule/schedule'
import type { WorkScale } from '~/utils/workPhases'

/** The work of one day: date stub, float rule on which it can be dragged, perforation, and a part for each operation. */
const props = defineProps<{
  tasks: Task[]
  anchor: string
  scale: WorkScale | undefined
  busy: string
  trying: boolean
  moved: ReadonlySet<string>
}>()
const emit = defineEmits<{
  mark: [told: NewMark]
  undo: [key: string]
  day: [keys: string[], day: Day]
  float: [key: string]
  skip: [key: string, reason: string]
  overrule: [key: string, code: string, note: string]
  heed: [key: string, code: string]
}>()
const context = useContextStore()
const first = computed(() => props.tasks[0]!)
const span = computed(() =>
  first.value.from === first.value.to
    ? shortDay(first.value.to, context.today)
    : daysFromTo(first.value.from, first.value.to, context.today),
)
const hours = computed(() => props.tasks.reduce((sum, task) => sum + task.hours.value, 0))
const open = computed(() => props.tasks.filter(({ done }) => !done))
const allDone = computed(() => open.value.length === 0)
</script>

<template>
  <section
    class="task"
    :class="{ done: allDone, moved: tasks.some(({ key }) => moved.has(key)) }"
    :aria-label="`${span}: ${tasks.map(({ name }) => tell(name)).join(', ')}`"
  >
    <div class="stub">
      <b class="num">{{ span }}</b>
      <span class="small">{{
        first.from === first.to
          ? weekdayName(first.to)
          : t('work.to', { from: weekdayName(first.from).slice(0, 3), to: weekdayName(first.to).slice(0, 3) })
      }}</span>
      <span v-if="tasks.length > 1" class="small hours"
        ><b>{{ hours.toFixed(1) }}</b> {{ t('work.crewH2') }}</span
      >
    </div>
    <FloatRule :tasks="tasks" :anchor="anchor" :scale="scale" @day="(held, day) => emit('day', held, day)" />
    <i class="notch top" /><i class="notch foot" />
    <div class="parts">
      <TaskPart
        v-for="task in tasks"
        :key="task.key"
        :task="task"
        :anchor="task.key === anchor"
        :busy="busy === task.key"
        :trying="trying"
        @mark="(told) => emit('mark', told)"
        @undo="(key) => emit('undo', key ?? task.key)"
        @day="(day) => emit('day', [task.key], day)"
        @float="emit('float', task.key)"
        @skip="(reason) => emit('skip', task.key, reason)"
        @overrule="(code, note) => emit('overrule', task.key, code, note)"
        @heed="(code) => emit('heed', task.key, code)"
      />
    </div>
  </section>
</template>

<style scoped>
.task {
  position: relative;
  display: grid;
  grid-template-columns: 112px 128px minmax(0, 1fr);
  background: var(--lime);
  border: 1px solid var(--rule-2);
}
.task.done {
  background: var(--chalk);
}
.task.moved {
  border-color: var(--clay);
  box-shadow: inset 4px 0 0 var(--clay);
}
.stub {
  padding: 9px 12px;
  display: flex;
  flex-direction: column;
}
.stub b.num {
  font-size: 16px;
}
.stub .hours {
  margin-top: 8px;
}
.notch {
  position: absolute;
  left: 234px;
  width: 12px;
  height: 12px;
  border-radius: 50%;
  background: var(--paper);
  border: 1px solid var(--rule-2);
  z-index: 1;
}
.top {
  top: -7px;
}
.foot {
  bottom: -7px;
}
.parts {
  border-left: 1.5px dashed var(--rule-2);
  min-width: 0;
}
@media (max-width: 900px) {
  .task {
    grid-template-columns: 1fr auto;
  }
  .notch {
    display: none;
  }
  .parts {
    grid-column: 1 / -1;
    border-left: 0;
    border-top: 1.5px dashed var(--rule-2);
  }
}
@media print {
  .task,
  .task.done {
    grid-template-columns: 74pt minmax(0, 1fr);
    border: 0;
    border-top: 0.75pt solid black;
    background: none;
    break-inside: avoid;
  }
  .notch {
    display: none;
  }
  .task.moved {
    box-shadow: none;
  }
  .stub {
    padding: 3pt 6pt 3pt 0;
    font-size: 8.5pt;
  }
  .stub b.num {
    font-size: 11pt;
  }
  .parts {
    grid-column: auto;
    border: 0;
  }
}
</style>
