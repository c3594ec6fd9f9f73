<script setup lang="ts">
import { daysBetween } from '#core/measure/calendar'
import { ROUNDS_A_DAY } from '#core/job/decision/practiceFigures'
import type { Practices } from '#core/job/decision/practices'
import { wateringOf } from '#core/job/lawn'
import type { Lawn } from '#contract/lawn'

/** Where the odds come from: weather years, constants, the watering they assume, and how old the record is. */
const props = defineProps<{ lawn: Lawn; practices: Practices; sown: boolean }>()
const sill = useSillStore()
const context = useContextStore()

const watered = computed(() => {
  const { timesADay, bannedUntil } = wateringOf(props.lawn, props.practices)
  const words =
    timesADay === 'as told'
      ? t('sowingDay.theClientIsTaken')
      : timesADay === 0
        ? t('sowingDay.nobodyWatersSoRain')
        : t('sowingDay.wateredTimes', {
            times: timesADay,
            ours: ROUNDS_A_DAY[props.practices.wateringRounds],
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
