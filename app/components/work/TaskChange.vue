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
  if (!isDay(day.value)) problem.value = 'A date.'
  else if (day.value < context.today) problem.value = 'Not before today; mark it done if it is.'
  else emit('day', day.value)
}
function skip(): void {
  if (reason.value.trim()) emit('skip', reason.value.trim())
  else problem.value = 'Why it is left out: one line is enough.'
}
</script>

<template>
  <div class="inline-form change">
    <form class="line" novalidate @submit.prevent="move">
      <label
        >Day <input v-model="day" type="date" :min="context.today" :aria-label="`Another day for ${task.name}`"
      /></label>
      <UButton type="submit" variant="outline" size="sm">See what moves</UButton>
      <UButton v-if="task.pinned" variant="outline" size="sm" @click="emit('float')">Schedule automatically</UButton>
    </form>
    <form v-if="!anchor" class="line" novalidate @submit.prevent="skip">
      <label class="wide"
        >Leave out, because <input v-model="reason" maxlength="300" :aria-label="`Reason to leave out ${task.name}`"
      /></label>
      <UButton type="submit" variant="outline" size="sm">Leave it out</UButton>
    </form>
    <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
    <UButton variant="ghost" size="sm" class="justify-self-start" @click="emit('back')">Leave it as it is</UButton>
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
