<script setup lang="ts">
import { momentWords } from '~/utils/moments'
import { mergeEdits } from '#contract/merge'
import type { PlanInput, PlanVersion } from '#contract/lawn'
import { fieldName, fieldText } from '~/utils/fieldWords'

/** Who changed what of the plan, and when; any of it can be taken back. */
const props = defineProps<{
  lawnId: string
  jobId: string
  version: number
  busy?: boolean
  /** The job has ended: they are looked at and none is taken back. */
  ended?: boolean
}>()
const emit = defineEmits<{ restore: [plan: PlanInput] }>()
const context = useContextStore()
const versions = ref<PlanVersion[]>()
const open = ref(false)
const problem = ref('')
const { send, message } = useSend()

async function load(): Promise<void> {
  await send(async () => {
    versions.value = await $fetch<PlanVersion[]>(`/api/lawns/${props.lawnId}/jobs/${props.jobId}/versions`)
  })
  problem.value = message.value
}
watch(
  () => [open.value, props.version],
  () => {
    if (open.value) void load()
  },
)

/** What differs from the version before, in words. */
function changes(i: number): string[] {
  const [now, before] = [versions.value![i]!.plan, versions.value![i + 1]?.plan]
  if (!before) return [t('work.theFirstThatIs')]
  const { taken } = mergeEdits({ ...before, version: 0 }, { ...before, version: 0 }, { ...now, version: 0 })
  const valueAt = (path: string) =>
    path.split('.').reduce<unknown>((of, key) => (of as Record<string, unknown> | undefined)?.[key], now)
  // Days in the order in which they come, whatever order they were written in.
  const order = (path: string) => (path.startsWith('work.days.') ? String(valueAt(path)) : '')
  return [...taken]
    .sort((a, b) => order(a).localeCompare(order(b)))
    .map((path) => {
      const value = valueAt(path)
      return `${fieldName(path).toLowerCase()}${path === 'settings' || path === 'work' ? '' : `: ${fieldText(path, value, context.units)}`}`
    })
}
</script>

<template>
  <details class="versions" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ t('work.versionsOfThisPlan') }}</summary>
    <p v-if="problem" class="problem" role="alert">
      {{ problem }} <button type="button" class="opens" @click="load">{{ t('work.tryAgain') }}</button>
    </p>
    <p v-else-if="!versions" class="small">{{ t('work.lookingThemUp') }}</p>
    <p v-else-if="!versions.length" class="small">{{ t('work.noneKeptYetFrom') }}</p>
    <table v-else class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('work.version') }}</th>
          <th scope="col">{{ t('work.when') }}</th>
          <th scope="col">{{ t('work.who') }}</th>
          <th scope="col">{{ t('work.whatChanged') }}</th>
          <th scope="col">
            <span class="sr-only">{{ t('work.takeBack') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in versions" :key="one.plan.version">
          <td class="num">{{ one.plan.version }}</td>
          <td>
            {{ one.savedAt && momentWords(one.savedAt)
            }}<template v-if="one.confirmed">{{ t('work.confirmed') }}</template>
          </td>
          <td>{{ one.savedBy ?? t('work.somebody') }}</td>
          <td>
            <span v-for="words in changes(i)" :key="words" class="change">{{ words }}</span>
          </td>
          <td class="right">
            <button
              v-if="i > 0 && !ended"
              type="button"
              class="opens"
              :disabled="busy"
              :aria-label="t('work.takeVersionBack', { version: one.plan.version })"
              @click="emit('restore', one.plan)"
            >
              {{ t('work.takeBack') }}</button><span v-else-if="i === 0" class="small">{{
              ended ? t('work.theLast2') : t('work.now')
            }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
.versions {
  margin-top: 8px;
  border-top: 1.5px solid var(--ink);
  padding-top: 6px;
}
summary {
  font-weight: 600;
  cursor: pointer;
  min-height: 28px;
}
.change {
  display: inline-block;
  margin-right: 12px;
}
@media (max-width: 900px) {
  summary {
    min-height: 48px;
    display: flex;
    align-items: center;
  }
  .ledger {
    font-size: 13px;
  }
}
@media print {
  .versions {
    display: none;
  }
}
</style>
