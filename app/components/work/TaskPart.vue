<script setup lang="ts">
import type { NewMark } from '#contract/work'
import type { Task } from '#core/job/schedule/schedule'
import type { Day } from '#core/measure/calendar'
import { say, shortDay as said } from '#core/explain/message'
import { figure } from '#core/measure/figure'

/** One operation on a task: settings, gates, hours; marking it done, moving it, leaving it out. */
const props = defineProps<{ task: Task; anchor: boolean; busy: boolean; trying: boolean }>()
const emit = defineEmits<{
  mark: [told: NewMark]
  undo: [key?: string]
  day: [day: Day]
  float: []
  skip: [reason: string]
  overrule: [code: string, note: string]
  heed: [code: string]
}>()
const context = useContextStore()
const { stepTo } = useLawn()
/** Where its questions are asked. */
function visitAt(key: string) {
  const watch = stepTo('watch')
  return { ...watch, query: { ...watch.query, visit: key } }
}
const open = ref<'mark' | 'change' | null>(null)
// What was marked, or moved, is told by the task itself from then on.
watch(
  () => [props.task.done, props.task.begun, props.task.to],
  () => {
    open.value = null
  },
)
</script>

<template>
  <article class="part" :data-task="task.key">
    <TaskWhat :task="task" />
    <div class="gates">
      <GateLine
        v-if="task.done"
        :gate="{
          state: task.done.passed ? 'met' : 'risk',
          text: say('work.itsCheckNotPassed', {
            done: task.operation.done,
            day: said(task.done.day),
            hasPassed: task.done.passed,
          }),
        }"
      />
      <template v-else>
        <GateLine
          v-if="task.begun"
          :gate="{
            state: 'waiting',
            text: say('work.doneBy', { share: figure('share', task.begun.share, 2), day: said(task.begun.day) }),
          }"
        />
        <template v-if="task.overdue">
          <GateLine :gate="{ state: 'risk', text: say('work.wasDue', { to: said(task.to) }) }" />
          <p v-if="!trying" class="missed small">
            <button v-if="task.nextDay" type="button" class="opens" @click="emit('day', task.nextDay)">
              {{ t('work.moveToTheNext', { nextDay: shortDay(task.nextDay) }) }}
            </button>
            <template v-else
              >{{ task.operation.phase === 'after' ? t('work.itsTimeHasPassed') : t('work.tooLateToDo') }}
              <button type="button" class="opens" @click="open = 'change'">{{ t('work.leaveItOut') }}</button></template
            >
          </p>
        </template>
        <TaskGate
          v-for="(gate, i) in task.gates"
          :key="gate.code ?? i"
          :gate="gate"
          @overrule="(note) => emit('overrule', gate.code!, note)"
          @heed="emit('heed', gate.code!)"
        />
        <TurnRecord
          v-if="task.turn && !trying"
          :turn="task.turn"
          :busy="busy"
          @mark="(told) => emit('mark', told)"
          @undo="(key) => emit('undo', key)"
        />
      </template>
    </div>
    <div class="act" :data-tick="t('work.tick')">
      <span class="crew"
        ><WorkedNumber :worked="task.hours" bare /> <i class="unit">{{ t('work.crewH2') }}</i></span
      >
      <template v-if="!trying">
        <UButton
          v-if="task.done || task.begun"
          variant="outline"
          size="sm"
          :loading="busy"
          :aria-label="t('work.undo', { done: task.operation.done })"
          @click="emit('undo')"
          >{{ t('work.undo2') }}</UButton
        >
        <UButton
          v-if="!task.done && task.asks.length && task.to <= context.today"
          variant="outline"
          size="sm"
          :to="visitAt(task.key)"
          :aria-label="t('watch.beginVisitOf', { name: task.name })"
          >{{ t('watch.beginVisit') }}</UButton
        >
        <template v-if="!task.done && !open">
          <span class="pair"
            ><UButton
              variant="outline"
              size="sm"
              :loading="busy"
              :aria-label="t('work.markTask', { name: task.name })"
              @click="open = 'mark'"
              >{{ t('work.mark') }}</UButton
            ><UButton
              variant="outline"
              size="sm"
              icon="i-lucide-move-horizontal"
              :aria-label="t('work.moveOrLeaveIt', { name: task.name })"
              :title="t('work.anotherDayOrLeave')"
              @click="open = 'change'"
          /></span>
        </template>
      </template>
      <span v-if="task.pinned" class="small">{{ t('work.dayChosenByHand') }}</span>
    </div>
    <MarkDone
      v-if="open === 'mark' && !task.done"
      :task="task"
      :busy="busy"
      @mark="(told) => emit('mark', told)"
      @back="open = null"
    />
    <TaskChange
      v-if="open === 'change' && !task.done"
      :task="task"
      :anchor="anchor"
      @day="(day) => emit('day', day)"
      @float="emit('float')"
      @skip="(reason) => emit('skip', reason)"
      @back="open = null"
    />
  </article>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr) 178px;
  gap: 4px 14px;
  padding: 8px 12px 8px 16px;
}
.part + .part {
  border-top: 1.5px dotted var(--rule-2);
}
.missed {
  margin: 2px 0 4px 23px;
}
.act {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  gap: 5px;
  text-align: right;
}
.pair {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.crew {
  font:
    650 15px 'Besley Variable',
    serif;
}
@media (max-width: 900px) {
  .part {
    grid-template-columns: minmax(0, 1fr);
  }
  .act {
    flex-direction: row;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    text-align: left;
  }
}
/* On paper: a box to tick and a line for the day. */
@media print {
  .part {
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) 62pt;
    padding: 1.5pt 0;
    gap: 0 10pt;
  }
  .part + .part {
    border-top: 0.5pt dotted black;
  }
  .act > :not(.crew),
  .gates :deep([data-state='met']) {
    display: none;
  }
  .act {
    flex-direction: column;
    align-items: flex-end;
  }
  .act::after {
    content: attr(data-tick);
    font-size: 8pt;
    white-space: nowrap;
  }
}
</style>
