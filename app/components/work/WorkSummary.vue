<script setup lang="ts">
import type { Task } from '#core/job/schedule/schedule'
import { shortDay } from '#core/measure/calendar'

/** The run of tasks in a line, with what is confirmed of it and what goes to the printer. */
defineProps<{ confirming: boolean }>()
const emit = defineEmits<{ confirm: []; print: [what: 'sheet' | 'visits' | 'notice', task?: Task] }>()
const { lawn, shown: shownPlan, trying: words } = useLawn()
const context = useContextStore()
const shown = computed(() => shownPlan.value!.schedule!)
const plan = computed(() => lawn.value!.plan)
const confirmed = computed(() => lawn.value!.job.confirmed)
const trying = computed(() => words.value !== '')

/** Who confirmed the schedule and when, and whether it is still that. */
const confirmedWords = computed(() => {
  if (!confirmed.value) return ''
  const { on, by, version } = confirmed.value
  return `Confirmed ${shortDay(on, context.today)}${by ? ` by ${by}` : ''}${version === plan.value.version ? '.' : '; changed since.'}`
})
const confirmable = computed(
  () =>
    !trying.value &&
    !shown.value.moves.length &&
    shown.value.next !== undefined &&
    confirmed.value?.version !== plan.value.version,
)
/** Treatments still to come, each with a notice of its own. */
const MOST_NOTICES = 3
const sprays = computed(() =>
  shown.value.tasks.filter(({ operation, done }) => operation.mark === 'spray' && !done).slice(0, MOST_NOTICES),
)
</script>

<template>
  <div class="summary small">
    <span
      >All {{ shown.tasks.length }} tasks: <b>{{ shown.crewHours.toFixed(1) }} crew h</b>.
      <template v-if="shown.next"
        >Next: <b>{{ shown.next.name.toLowerCase() }}, {{ shortDay(shown.next.from) }}</b
        >.</template
      >
      <template v-else>Everything is done.</template></span
    >
    <span class="buttons">
      <span v-if="confirmed && !trying">{{ confirmedWords }}</span>
      <UButton v-if="confirmable" color="primary" size="sm" :loading="confirming" @click="emit('confirm')"
        >Confirm schedule</UButton
      >
      <UButton variant="outline" size="sm" @click="emit('print', 'sheet')">Print the job sheet</UButton>
      <UButton variant="outline" size="sm" @click="emit('print', 'visits')">One page a visit</UButton>
      <UButton v-for="task in sprays" :key="task.key" variant="outline" size="sm" @click="emit('print', 'notice', task)"
        >Notice, {{ task.name.toLowerCase() }}</UButton
      >
    </span>
  </div>
</template>

<style scoped>
.summary,
.buttons {
  display: flex;
  gap: 4px 12px;
  align-items: center;
  flex-wrap: wrap;
}
.summary {
  justify-content: space-between;
}
.buttons {
  gap: 6px;
}
@media print {
  .summary {
    display: none;
  }
}
</style>
