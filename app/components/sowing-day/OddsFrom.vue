<script setup lang="ts">
import { daysBetween } from '#core/measure/calendar'
import { wateringOf } from '#core/job/lawn'
import type { Lawn } from '#contract/lawn'

/** Where the odds come from: weather years, constants, the watering they assume, and how old the record is. */
const props = defineProps<{ lawn: Lawn; sown: boolean }>()
const sill = useSillStore()
const context = useContextStore()

const TIMES = [
  t('sowingDay.nobodyWatersSoRain'),
  t('sowingDay.theClientWatersOnce'),
  t('sowingDay.theClientWatersTwice'),
]
const watered = computed(() => {
  const { timesADay, bannedUntil } = wateringOf(props.lawn)
  const words =
    timesADay === 'as told'
      ? t('sowingDay.theClientIsTaken')
      : timesADay === 0
        ? TIMES[0]
        : t('sowingDay.aDayAsLook', {
            timesADay: TIMES[timesADay] ?? t('sowingDay.theClientWatersTimes', { timesADay }),
          })
  return bannedUntil ? t('sowingDay.notBefore', { words, bannedUntil: shortDay(bannedUntil, context.today) }) : words
})
const recordEnds = computed(() => sill.data?.recordEnds)
const old = computed(() => recordEnds.value && daysBetween(recordEnds.value, context.today) > 1)
</script>

<template>
  <p class="small">
    {{ t('sowingDay.weatherYearsFrom', { yearsFrom: heard(sill.data?.yearsFrom ?? '') }) }}
    <template v-if="sown">{{ t('sowingDay.constantsOfGerminationRooting', { watered }) }} </template>
    <template v-if="sill.data && !recordEnds">
      <b>{{ t('sowingDay.hasNoDaysYet', { stationName: sill.data.stationName }) }}</b>{{ t('sowingDay.soTheSoilOf') }}
      <NuxtLink to="/weather" class="opens">{{ t('sowingDay.importItsDays') }}</NuxtLink>
    </template>
    <template v-else-if="old">
      <b>{{ t('sowingDay.theRecordEnds', { recordEnds: shortDay(recordEnds!, context.today) }) }}</b>{{
        t('sowingDay.fromThereToToday')
      }}
      <NuxtLink to="/weather" class="opens">{{ t('sowingDay.importLaterDays') }}</NuxtLink>
    </template>
  </p>
</template>
