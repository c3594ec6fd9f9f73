<script setup lang="ts">
import type { Task } from '#core/job/schedule/schedule'
import { isDay, type Day } from '#core/measure/calendar'

/** Another day for a task, or leaving it out with the reason. */
const props = defineProps<{ task: Task; anchor: boolean }>()
const emit = defineEmits<{ day: [day: Day]; float: []; skip: [reason: string]; back: [] }>()
const context = useContextStore()
const day = ref<string>(props.task.to)
const reason = ref('')
const problem = ref('')
function move(): void {
  if (!isDay(day.value)) problem.value = t('work.aDate')
  else if (day.value < context.today) problem.value = t('work.notBeforeTodayMark')
  else emit('day', day.value)
}
function skip(): void {
  if (reason.value.trim()) emit('skip', reason.value.trim())
  else problem.value = t('work.whyItIsLeft')
}
</script>

<template>
  <div class="inline-form change">
    <form class="line" novalidate @submit.prevent="move">
      <label
        >{{ t('work.day') }}
        <input
          v-model="day"
          type="date"
          :min="context.today"
          :aria-label="t('work.anotherDayFor', { name: task.name })"
      /></label>
      <UButton type="submit" variant="outline" size="sm">{{ t('work.seeWhatMoves') }}</UButton>
      <UButton v-if="task.pinned" variant="outline" size="sm" @click="emit('float')">{{
        t('work.scheduleAutomatically')
      }}</UButton>
    </form>
    <form v-if="!anchor" class="line" novalidate @submit.prevent="skip">
      <label class="wide"
        >{{ t('work.leaveOutBecause') }}
        <input v-model="reason" maxlength="300" :aria-label="t('work.reasonToLeaveOut', { name: task.name })"
      /></label>
      <UButton type="submit" variant="outline" size="sm">{{ t('work.leaveItOut') }}</UButton>
    </form>
    <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
    <UButton variant="ghost" size="sm" class="justify-self-start" @click="emit('back')">{{
      t('work.leaveItAsIt')
    }}</UButton>
  </div>
</template>

<style scoped>
.change {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
.wide {
  flex: 1 1 240px;
}
@media print {
  .change {
    display: none;
  }
}
</style>
