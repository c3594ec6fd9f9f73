<script setup lang="ts">
import { lowered } from '#core/explain/message'
import type { Task } from '#core/job/schedule/schedule'

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
  return t('work.confirmedByChangedSince', {
    on: shortDay(on, context.today),
    hasBy: Boolean(by),
    by,
    sameVersion: version === plan.value.version,
  })
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
      >{{ t('work.allTasks', { tasks: shown.tasks.length }) }}
      <b>{{ t('work.crewH3', { crewHours: shown.crewHours.toFixed(1) }) }}</b>.
      <template v-if="shown.next"
        >{{ t('work.next') }} <b>{{ tell(shown.next.name).toLowerCase() }}, {{ shortDay(shown.next.from) }}</b
        >.</template
      >
      <template v-else>{{ t('work.everythingIsDone') }}</template></span
    >
    <span class="buttons">
      <span v-if="confirmed && !trying">{{ confirmedWords }}</span>
      <UButton v-if="confirmable" color="primary" size="sm" :loading="confirming" @click="emit('confirm')">{{
        t('work.confirmSchedule')
      }}</UButton>
      <UButton variant="outline" size="sm" @click="emit('print', 'sheet')">{{ t('work.printTheJobSheet') }}</UButton>
      <UButton variant="outline" size="sm" @click="emit('print', 'visits')">{{ t('work.onePageAVisit') }}</UButton>
      <UButton
        v-for="task in sprays"
        :key="task.key"
        variant="outline"
        size="sm"
        @click="emit('print', 'notice', task)"
        >{{ t('work.notice', { name: lowered(task.name) }) }}</UButton
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
