<script setup lang="ts">
/** What a new firm begins with; it goes away by itself once all of it is there. */
const context = useContextStore()
const sill = useSillStore()
const list = useListStore()
const sown = computed(() => list.lawns.find(({ job }) => job.sowOn))
const steps = computed(() => {
  const first = list.lawns[0]
  return [
    { name: t('lawns.place'), done: Boolean(context.firm?.homeStationId), to: '/set-up' },
    { name: t('lawns.climate'), done: sill.data !== undefined, to: '/set-up' },
    { name: t('lawns.firstLawn'), done: first !== undefined, to: '/set-up' },
    {
      name: t('lawns.firstSowingDay'),
      done: sown.value !== undefined,
      to: first ? `/lawns/${first.id}/decide` : '/set-up',
    },
  ]
})
/** While something is still being read nobody knows. */
const known = computed(() => !list.reading && !list.problem && (sill.data !== undefined || sill.lacks !== ''))
const open = computed(() => known.value && steps.value.some(({ done }) => !done))
</script>

<template>
  <nav v-if="open" class="panel first" :aria-label="t('lawns.firstSteps')">
    <b>{{ t('lawns.firstSteps') }}</b>
    <ol>
      <li v-for="step in steps" :key="step.name" :class="{ done: step.done }">
        <template v-if="step.done"
          ><UIcon name="i-lucide-check" class="size-4" aria-hidden="true" /> {{ step.name
          }}<span class="sr-only">{{ t('lawns.done') }}</span></template
        >
        <NuxtLink v-else :to="step.to" class="opens">{{ step.name }}</NuxtLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.first {
  display: flex;
  gap: 6px 20px;
  align-items: center;
  flex-wrap: wrap;
  padding: 8px 14px;
  margin: 8px 0;
}
ol {
  display: flex;
  gap: 6px 20px;
  flex-wrap: wrap;
}
li {
  display: flex;
  gap: 4px;
  align-items: center;
  min-height: 28px;
}
.done {
  color: var(--ink-2);
}
@media (max-width: 700px) {
  .opens {
    min-height: 48px;
  }
}
</style>
