<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import { figure } from '#core/measure/figure'

/** What goes on the van: seed, starter and cover, with the settings that made them. */
const props = defineProps<{ lawn: Lawn }>()
const { text } = useUnits()
const { keepTrial, busy, problem } = useLawn()
const { errors, sound, changed, load } = provideBring(() => props.lawn)
const { sows, coveredM2, scalps, parts, soils } = load

/** What the client is lent for the new seed, and the hose that has to reach it. */
const zones = computed(() => (sows.value ? props.lawn.water.irrigation.filter(({ kind }) => kind !== 'none') : []))
const named = (of: typeof zones.value) => ({ count: of.length, names: of.map(({ name }) => name).join(', ') })
const timers = computed(() => zones.value.filter(({ timer }) => timer === 'lent'))
const sprinklers = computed(() => zones.value.filter(({ sprinklerLent }) => sprinklerLent))
const hoses = computed(() =>
  zones.value
    .filter(({ kind }) => kind !== 'sprinklers')
    .flatMap(({ name, hoseM }) =>
      hoseM ? [t('load.hoseFor', { name, length: text(figure('distanceM', hoseM)) })] : [],
    ),
)

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
    <div v-if="timers.length || sprinklers.length || hoses.length" class="panel lent">
      <p v-if="timers.length">
        <UIcon name="i-lucide-timer" class="inline-block align-text-bottom" /> {{ t('load.lentTimers', named(timers)) }}
      </p>
      <p v-if="sprinklers.length">
        <UIcon name="i-lucide-droplets" class="inline-block align-text-bottom" />
        {{ t('load.lentSprinklers', named(sprinklers)) }}
      </p>
      <p v-if="hoses.length">
        <UIcon name="i-lucide-ruler" class="inline-block align-text-bottom" />
        {{ t('load.hoses', { hoses: hoses.join(', ') }) }}
      </p>
    </div>
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
  display: grid;
  gap: 4px;
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
