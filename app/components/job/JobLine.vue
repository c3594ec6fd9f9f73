<script setup lang="ts">
import { stateName } from '~/utils/jobWords'
import type { Lawn } from '#contract/lawn'

/** Which job of the lawn is in view, and the way to the others and to other lawns of the client. */
const props = defineProps<{ lawn: Lawn }>()
const zones = computed(() => props.lawn.job.zoneIds.flatMap((id) => props.lawn.zones[id]?.name ?? []))
/** Said only where it is not the whole lawn. */
const some = computed(() => zones.value.length > 0 && zones.value.length < Object.keys(props.lawn.zones).length)
const count = computed(() => props.lawn.jobs.length)
</script>

<template>
  <span class="line small">
    <NuxtLink :to="`/lawns/${lawn.id}/jobs`" class="opens"
      >{{ t('job.job', { number: lawn.job.number })
      }}<template v-if="count > 1"> {{ t('job.of', { count }) }}</template></NuxtLink
    >
    <span
      >{{ stateName(lawn.job.state) }}<template v-if="some">; {{ zones.join(', ') }}</template></span
    >
    <template v-if="lawn.sameClient.length">
      <span>{{ t('job.alsoOfThisClient') }}</span>
      <NuxtLink v-for="other in lawn.sameClient.slice(0, 4)" :key="other.id" :to="`/lawns/${other.id}`" class="opens">{{
        other.address || t('job.noAddress')
      }}</NuxtLink>
    </template>
  </span>
</template>

<style scoped>
.line {
  display: flex;
  gap: 4px 8px;
  flex-wrap: wrap;
  margin-left: auto;
  align-items: baseline;
}
@media print {
  .line {
    display: none;
  }
}
</style>
