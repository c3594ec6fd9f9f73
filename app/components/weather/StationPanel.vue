<script setup lang="ts">
import type { Station, StationDetail } from '#contract/station'

/** Everything of one station: forecast, record with its gaps, probe, name, place and normals. */
const props = defineProps<{ station: Station }>()
const emit = defineEmits<{ changed: []; removed: [] }>()
const context = useContextStore()
const {
  data: detail,
  error,
  refresh,
} = await useAsyncData(
  () => `station-${props.station.id}`,
  () => $fetch<StationDetail>(`/api/stations/${props.station.id}`),
  { watch: [() => props.station.lastDay, () => context.today] },
)
async function changed(): Promise<void> {
  await refresh()
  emit('changed')
}
</script>

<template>
  <section class="panel-open station" :aria-label="station.name">
    <h2>{{ station.name }}</h2>
    <p v-if="error" class="problem" role="alert">
      {{ t('weather.thisStationCouldNot') }}
      <UButton size="sm" variant="outline" @click="refresh()">{{ t('weather.tryAgain') }}</UButton>
    </p>
    <template v-if="detail">
      <div class="two">
        <section>
          <h3>{{ t('weather.forecast') }}</h3>
          <ForecastTyped :station="station" :detail="detail" @kept="changed" />
        </section>
        <section>
          <h3>{{ t('weather.record') }}</h3>
          <p v-if="!station.days" class="small">{{ t('weather.noDaysYetImport') }}</p>
          <template v-else>
            <p class="small">
              {{
                t('weather.daysToDaysBetween', {
                  days: station.days,
                  firstDay: shortDay(station.firstDay!, context.today),
                  lastDay: shortDay(station.lastDay!, context.today),
                  missingDays: detail.missingDays,
                })
              }}
            </p>
            <table v-if="detail.gaps.length" class="ledger gaps">
              <thead>
                <tr>
                  <th scope="col">{{ t('weather.missingFrom') }}</th>
                  <th scope="col">{{ t('weather.to') }}</th>
                  <th scope="col" class="right">{{ t('weather.days') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="gap in detail.gaps.slice(0, 12)" :key="gap.from">
                  <td>{{ shortDay(gap.from, context.today) }}</td>
                  <td>{{ shortDay(gap.to, context.today) }}</td>
                  <td class="right num">{{ gap.days }}</td>
                </tr>
              </tbody>
            </table>
            <p v-if="detail.gaps.length > 12" class="small">
              {{ t('weather.andOrMoreGaps', { gaps: detail.gaps.length - 12, sameGaps: detail.gaps.length === 60 }) }}
            </p>
          </template>
          <h3>{{ t('weather.soilProbe') }}</h3>
          <ReadingsImport :station="station" :kept="detail.readings" @imported="changed" />
        </section>
      </div>
      <details v-if="context.isOwner && station.kind === 'imported'">
        <summary>{{ t('weather.deliveredByALogger') }}</summary>
        <StationKeys :station="station" />
      </details>
      <details>
        <summary>{{ t('weather.namePlaceAndNormals') }}</summary>
        <StationEdit :station="station" @saved="emit('changed')" @removed="emit('removed')" />
      </details>
    </template>
  </section>
</template>

<style scoped>
.station {
  padding: 14px 16px;
  display: grid;
  gap: 12px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 26px;
  align-items: start;
}
.two section {
  display: grid;
  gap: 8px;
}
.gaps {
  max-width: 360px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
