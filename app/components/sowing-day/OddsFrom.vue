<script setup lang="ts">
import { daysBetween, shortDay } from '#core/measure/calendar'
import { wateringOf } from '#core/job/lawn'
import type { Lawn } from '#contract/lawn'

/** Where the odds come from: weather years, constants, the watering they assume, and how old the record is. */
const props = defineProps<{ lawn: Lawn; sown: boolean }>()
const sill = useSillStore()
const context = useContextStore()

const TIMES = ['nobody waters, so rain alone counts', 'the client waters once', 'the client waters twice']
const watered = computed(() => {
  const { timesADay, bannedUntil } = wateringOf(props.lawn)
  const words =
    timesADay === 'as told'
      ? 'the client is taken to water as told'
      : timesADay === 0
        ? TIMES[0]
        : `${TIMES[timesADay] ?? `the client waters ${timesADay} times`} a day, as Look says`
  return bannedUntil ? `${words}, not before ${shortDay(bannedUntil, context.today)}` : words
})
const recordEnds = computed(() => sill.data?.recordEnds)
const old = computed(() => recordEnds.value && daysBetween(recordEnds.value, context.today) > 1)
</script>

<template>
  <p class="small">
    Weather years from {{ sill.data?.yearsFrom }}.
    <template v-if="sown">Constants of germination, rooting and drying are planning figures; {{ watered }}. </template>
    <template v-if="sill.data && !recordEnds">
      <b>{{ sill.data.stationName }} has no days yet</b>, so the soil of today is a guess.
      <NuxtLink to="/weather" class="opens">Import its days</NuxtLink>
    </template>
    <template v-else-if="old">
      <b>The record ends {{ shortDay(recordEnds!, context.today) }}</b
      >: from there to today the normals fill in, so the soil of today is a guess.
      <NuxtLink to="/weather" class="opens">Import later days</NuxtLink>
    </template>
  </p>
</template>
