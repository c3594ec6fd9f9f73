<script setup lang="ts">
import { markSchema, type NewMark } from '#contract/work'
import { addDays } from '#core/measure/calendar'
import type { Task } from '#core/job/schedule/schedule'

/** Follow-up of the plan in its order: what was done, what is next, and what comes. */
const props = defineProps<{ tasks: readonly Task[]; nextKey: string | undefined; busy: boolean }>()
const emit = defineEmits<{ mark: [told: NewMark]; begin: [task: Task] }>()
const context = useContextStore()
const { stepTo } = useLawn()
const visits = computed(() =>
  props.tasks
    .filter(({ operation }) => operation.phase === 'after')
    .toSorted((a, b) => ((a.done?.day ?? a.to) < (b.done?.day ?? b.to) ? -1 : 1)),
)
/** Visits that only look are done by having looked; what asks for more is marked in Do. */
const isLook = ({ operation }: Task) => operation.watchesSeedlings === true
/** Who stands there anyway begins what is due in so many days. */
const SOON_DAYS = 3
/** What asks something on the spot is begun there: the next of them, and whatever is due or nearly so. */
const isAsked = ({ asks, done, key, to, earliest }: Task) =>
  asks.length > 0 &&
  !done &&
  (to <= addDays(context.today, SOON_DAYS) || (key === props.nextKey && earliest <= context.today))
function mark(task: Task): void {
  const told = markSchema.safeParse({ id: crypto.randomUUID(), task: task.key, doneOn: context.today })
  if (told.success) emit('mark', told.data)
}
</script>

<template>
  <section>
    <h2>{{ t('watch.visits') }}</h2>
    <ol class="visits">
      <li v-for="task in visits" :key="task.key" :class="{ done: task.done, next: task.key === nextKey }">
        <span class="num">{{ shortDay(task.done?.day ?? task.to, context.today) }}</span>
        <NuxtLink :to="stepTo(task.operation.inspects ? 'inspection' : 'do')">{{ tell(task.name) }}</NuxtLink>
        <UIcon v-if="task.done" name="i-lucide-check" :aria-label="t('shell.settled')" />
        <UButton
          v-else-if="isAsked(task)"
          size="sm"
          variant="outline"
          :aria-label="t('watch.beginVisitOf', { name: tell(task.name) })"
          @click="emit('begin', task)"
          >{{ t('watch.beginVisit') }}</UButton
        >
        <UButton
          v-else-if="task.key === nextKey && isLook(task) && task.to <= context.today"
          size="sm"
          variant="outline"
          :loading="busy"
          @click="mark(task)"
          >{{ t('watch.markDone') }}</UButton
        >
      </li>
    </ol>
    <UButton variant="outline" class="mt-2" icon="i-lucide-clipboard-check" :to="stepTo('inspection')">{{
      t('inspection.title')
    }}</UButton>
  </section>
</template>

<style scoped>
.visits {
  display: grid;
  gap: 6px;
}
.visits li {
  display: grid;
  grid-template-columns: 62px 1fr auto;
  gap: 8px;
  align-items: center;
  background: var(--lime);
  border: 1px solid var(--rule-2);
  padding: 8px 10px;
  min-height: 48px;
}
.visits .done {
  background: var(--chalk);
}
.visits .next {
  border: 2px solid var(--ink);
  background: var(--color-straw-tint);
}
@media (max-width: 700px) {
  .visits button {
    min-height: 48px;
  }
}
</style>
