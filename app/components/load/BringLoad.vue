<script setup lang="ts">
import type { Lawn } from '#contract/lawn'

/** What goes on the van: seed, starter and cover, with the settings that made them. */
const props = defineProps<{ lawn: Lawn }>()
const { keepTrial, busy, problem } = useLawn()
const { errors, sound, changed, load } = provideBring(() => props.lawn)
const { sows, coveredM2, scalps, parts, soils } = load

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
