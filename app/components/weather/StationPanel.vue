<script setup lang="ts">
import type { Station, StationDetail } from '#contract/station'
import { shortDay } from '#core/measure/calendar'

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
      This station could not be read. <UButton size="sm" variant="outline" @click="refresh()">Try again</UButton>
    </p>
    <template v-if="detail">
      <div class="two">
        <section>
          <h3>Forecast</h3>
          <ForecastTyped :station="station" :detail="detail" @kept="changed" />
        </section>
        <section>
          <h3>Record</h3>
          <p v-if="!station.days" class="small">No days yet. Import the daily file below.</p>
          <template v-else>
            <p class="small">
              <b class="num">{{ station.days.toLocaleString('en-US') }}</b> days,
              {{ shortDay(station.firstDay!, context.today) }} to {{ shortDay(station.lastDay!, context.today) }}.
              {{
                detail.missingDays
                  ? `${detail.missingDays.toLocaleString('en-US')} days between are missing: normals without rain stand in for them, dotted on the ledge.`
                  : 'No day between is missing.'
              }}
            </p>
            <table v-if="detail.gaps.length" class="ledger gaps">
              <thead>
                <tr>
                  <th scope="col">Missing from</th>
                  <th scope="col">to</th>
                  <th scope="col" class="right">Days</th>
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
              And {{ detail.gaps.length - 12 }}{{ detail.gaps.length === 60 ? ' or more' : '' }} gaps before.
            </p>
          </template>
          <h3>Soil probe</h3>
          <ReadingsImport :station="station" :kept="detail.readings" @imported="changed" />
        </section>
      </div>
      <details v-if="context.isOwner && station.kind === 'imported'">
        <summary>Delivered by a logger or a script</summary>
        <StationKeys :station="station" />
      </details>
      <details>
        <summary>Name, place and normals</summary>
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
