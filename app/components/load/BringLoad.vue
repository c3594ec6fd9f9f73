<script setup lang="ts">
import type { Lawn } from '#contract/lawn'

/** What goes on the van: seed, starter and cover, with the settings that made them. */
const props = defineProps<{ lawn: Lawn }>()
const { keepTrial, busy, problem } = useLawn()
const { errors, sound, changed, load } = provideBring(() => props.lawn)
const { sows, coveredM2, scalps, parts, soils } = load

/** Timers that the client is lent for the new seed. */
const lent = computed(() => (sows.value ? props.lawn.water.irrigation.filter(({ timer }) => timer === 'lent') : []))

const standing = computed(() => {
  if (Object.keys(errors.value).length) return t('load.theNumbersStandAs')
  return changed.value ? t('load.numbersAboveFollowWhat') : t('load.kept')
})
</script>

<template>
  <form class="grid gap-1.5" novalidate @submit.prevent="keepTrial()">
    <LoadSeed v-if="sows" />
    <LoadStarter />
    <LoadCover v-if="coveredM2 || scalps || !parts.length" />
    <LoadSoil v-if="soils.length" />
    <p v-if="lent.length" class="panel lent">
      <UIcon name="i-lucide-timer" class="size-4" />
      {{ t('load.lentTimers', { count: lent.length, names: lent.map(({ name }) => name).join(', ') }) }}
    </p>
    <div class="foot">
      <UButton type="submit" color="primary" :disabled="!sound || !changed" :loading="busy">{{
        t('load.keepTheseSettings')
      }}</UButton>
      <span class="small">{{ standing }}</span>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
  </form>
</template>

<style scoped>
.lent {
  padding: 8px 12px;
}
.foot {
  display: flex;
  gap: 14px;
  align-items: center;
}
@media (max-width: 1000px) {
  .foot {
    flex-direction: column;
    align-items: stretch;
  }
}
</style>
