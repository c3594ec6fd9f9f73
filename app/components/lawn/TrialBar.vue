<script setup lang="ts">
/** What is being tried out on this lawn, in views that do not say so themselves. */
const { lawn, trying, tries, keepTrial, drop, busy } = useLawn()
const route = useRoute()
const step = computed(() => route.path.split('/').at(-1))
/** Do shows what would move; When and Bring have buttons of their own for what is theirs alone. */
const told = computed(() => {
  if (!trying.value || step.value === 'do') return false
  if (step.value === 'when') return tries('work') !== undefined || tries('settings') !== undefined
  if (step.value === 'bring') return tries('work') !== undefined || tries('day') !== undefined
  return true
})
</script>

<template>
  <p v-if="told" class="trial" role="status">
    <span>
      {{ t('lawn.triedOutNotSaved') }} <b>{{ trying }}</b>.
    </span>
    <UButton v-if="lawn?.plan.programme" color="primary" size="sm" :loading="busy" @click="keepTrial()">{{
      t('lawn.saveIt')
    }}</UButton>
    <UButton variant="outline" size="sm" @click="drop()">{{ t('lawn.dropIt') }}</UButton>
  </p>
</template>

<style scoped>
.trial {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  border-left: 5px solid var(--color-straw);
  background: var(--straw-tint);
  padding: 6px 12px;
  margin-bottom: 10px;
}
.trial span {
  flex: 1 1 260px;
}
@media print {
  .trial {
    display: none;
  }
}
</style>
