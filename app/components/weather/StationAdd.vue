<script setup lang="ts">
import { newStationSchema, type Station } from '#contract/station'
import { parseDegrees } from '#core/site/typedPlace'
import { fieldsOf, saving } from '~/utils/api'

const emit = defineEmits<{ added: [station: Station] }>()
const form = reactive({ name: '', lat: '', lon: '', coastal: false })
const errors = ref<Record<string, string>>({})
const message = ref('')
const busy = ref(false)

async function add(): Promise<void> {
  if (busy.value) return
  const [lat, lon] = [parseDegrees('latitude', form.lat), parseDegrees('longitude', form.lon)]
  const parsed = newStationSchema.safeParse({ name: form.name, latDeg: lat.ok ? lat.value : 0, lonDeg: lon.ok ? lon.value : 0, coastal: form.coastal })
  errors.value = { ...(parsed.success ? {} : fieldsOf(parsed.error)), ...(lat.ok ? {} : { latDeg: lat.message }), ...(lon.ok ? {} : { lonDeg: lon.message }) }
  if (!parsed.success || !lat.ok || !lon.ok) return
  busy.value = true
  message.value = ''
  let station: Station | undefined
  const saved = await saving(async () => { station = await $fetch<Station>('/api/stations', { method: 'POST', body: parsed.data }) })
  busy.value = false
  if (saved.ok && station) {
    emit('added', station)
    Object.assign(form, { name: '', lat: '', lon: '', coastal: false })
  } else if (!saved.ok) {
    message.value = Object.keys(saved.problem.fields).length ? '' : saved.problem.message
    errors.value = saved.problem.fields
  }
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
