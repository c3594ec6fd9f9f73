<script setup lang="ts">
import { newStationSchema, type Station } from '#contract/station'
import { parseDegrees } from '#core/site/typedPlace'

const emit = defineEmits<{ added: [station: Station] }>()
const form = reactive({ name: '', lat: '', lon: '', coastal: false })
const { busy, message, errors, judged, send } = useSend()

async function add(): Promise<void> {
  const [latDeg, lonDeg] = [parseDegrees('latitude', form.lat), parseDegrees('longitude', form.lon)]
  const wanted = judged(newStationSchema, { name: form.name, latDeg: orZero(latDeg), lonDeg: orZero(lonDeg), coastal: form.coastal }, { latDeg, lonDeg })
  let station: Station | undefined
  if (!wanted || !(await send(async () => { station = await $fetch<Station>('/api/stations', { method: 'POST', body: wanted }) }))) return
  emit('added', station!)
  Object.assign(form, { name: '', lat: '', lon: '', coastal: false })
}
</script>

<template>
  <form class="panel" novalidate @submit.prevent="add">
    <h2>Add a station</h2>
    <UFormField label="Name" name="station-name" :error="errors.name"><UInput id="field-station-name" v-model="form.name" maxlength="80" /></UFormField>
    <div class="pair">
      <UFormField label="Latitude" name="station-lat" :error="errors.latDeg" help="south is negative"><UInput id="field-station-lat" v-model="form.lat" inputmode="decimal" /></UFormField>
      <UFormField label="Longitude" name="station-lon" :error="errors.lonDeg" help="west is negative"><UInput id="field-station-lon" v-model="form.lon" inputmode="decimal" /></UFormField>
    </div>
    <label class="check"><input v-model="form.coastal" type="checkbox"> Near a coast: more sun for the same range of temperature</label>
    <UButton type="submit" color="primary" :loading="busy">Add the station</UButton>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </form>
</template>

<style scoped>
form { padding: 14px 16px; display: grid; gap: 10px; justify-items: start; }
form > :deep(div), .pair { width: 100%; }
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; }
.check { display: flex; gap: 8px; align-items: center; }
.check input { width: 18px; height: 18px; accent-color: var(--ink); }
</style>
