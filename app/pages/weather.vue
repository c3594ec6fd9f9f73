<script setup lang="ts">
import type { Station } from '#contract/station'
import { figure } from '#core/measure/figure'

useHead({ title: t('weather.weather') })
const sill = useSillStore()
const context = useContextStore()
const {
  data: stations,
  refresh,
  error,
} = await useAsyncData('weather-stations', () => $fetch<Station[]>('/api/stations'))
useSillStore().hangers = []
watch(
  () => sill.data?.outlook.today,
  () => refresh(),
)
const chosen = ref('')
const opened = ref<string>()
const shown = computed(() => stations.value?.find(({ id }) => id === opened.value))
const { text } = useUnits()
const importable = computed(() => (stations.value ?? []).filter(({ kind }) => kind === 'imported'))

async function added(station: Station): Promise<void> {
  await refresh()
  chosen.value = station.id
  opened.value = station.id
}
async function removed(): Promise<void> {
  opened.value = undefined
  await imported()
}
async function imported(): Promise<void> {
  await refresh()
  await sill.show(null)
}
</script>

<template>
  <div class="weather">
    <h1>{{ t('weather.weather') }}</h1>
    <p v-if="error" class="problem" role="alert">
      {{ t('weather.theStationsCouldNot') }}
      <UButton variant="outline" class="ml-3" @click="refresh()">{{ t('weather.tryAgain') }}</UButton>
    </p>
    <table v-if="stations?.length" class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('weather.station') }}</th>
          <th scope="col">{{ t('weather.place') }}</th>
          <th scope="col" class="right">{{ t('weather.daysKept') }}</th>
          <th scope="col">{{ t('weather.fromTo') }}</th>
          <th scope="col">{{ t('weather.howItDelivers') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in stations" :key="s.id">
          <td>
            <button
              type="button"
              class="opens num"
              :aria-expanded="opened === s.id"
              @click="opened = opened === s.id ? undefined : s.id"
            >
              {{ s.name }}</button><span v-if="s.home" class="small"> {{ t('weather.homeStation') }}</span>
          </td>
          <td>
            {{ s.latDeg.toFixed(2) }}, {{ s.lonDeg.toFixed(2)
            }}<template v-if="s.heightM !== null">{{
              t('weather.up', { heightM: text(figure('distanceM', s.heightM)) })
            }}</template
            ><template v-if="s.coastal">{{ t('weather.coastal') }}</template>
          </td>
          <td class="right num">{{ s.days.toLocaleString('en-US') }}</td>
          <td>
            {{
              s.firstDay
                ? t('weather.to2', {
                    firstDay: shortDay(s.firstDay, context.today),
                    lastDay: shortDay(s.lastDay!, context.today),
                  })
                : t('weather.nothingYet')
            }}
          </td>
          <td>
            {{ s.kind === 'simulated' ? t('weather.simulatedDays10Day') : t('weather.byHandAndBy') }}
            <button v-if="s.kind === 'imported'" type="button" class="opens" @click="chosen = s.id">
              {{ t('weather.importAFile') }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="!error">{{ t('weather.noStationYetAdd') }}</p>
    <NearerLawns v-if="(stations?.length ?? 0) > 1" :stations="stations!" @moved="imported" />
    <StationPanel v-if="shown" :key="shown.id" :station="shown" @changed="imported" @removed="removed" />
    <SeasonTable />
    <div class="two">
      <StationAdd @added="added" />
      <ImportPanel v-if="importable.length" v-model:station="chosen" :stations="importable" @imported="imported" />
      <section v-else class="panel hint">
        <h2>{{ t('weather.importDays') }}</h2>
        <p>
          {{ t('weather.addAStationOf') }}
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.weather {
  display: grid;
  gap: 14px;
}
.two {
  display: grid;
  grid-template-columns: 380px minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
.hint {
  padding: 14px 16px;
  display: grid;
  gap: 8px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
  }
  .ledger {
    display: block;
    overflow-x: auto;
  }
}
</style>
