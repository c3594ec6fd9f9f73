<script setup lang="ts">
import { placeIn, type Place } from '#core/site/placeText'

/** A place: coordinates or the link of a map, typed or pasted; the device's own position; or a click on the outline map. */
const typed = defineModel<string>({ required: true })
defineProps<{ error?: string | undefined }>()
const asking = ref(false)
const refused = ref('')
const place = computed<Place | undefined>({
  get: () => placeIn(typed.value),
  set: (at) => {
    if (at) typed.value = `${at.latDeg}, ${at.lonDeg}`
  },
})

function fromDevice(): void {
  refused.value = ''
  if (!('geolocation' in navigator)) {
    refused.value = 'This device does not tell its position.'
    return
  }
  asking.value = true
  navigator.geolocation.getCurrentPosition(
    ({ coords }) => {
      asking.value = false
      typed.value = `${coords.latitude.toFixed(5)}, ${coords.longitude.toFixed(5)}`
    },
    () => {
      asking.value = false
      refused.value = 'The device did not tell its position. Type it, or paste the link of a map.'
    },
    { timeout: 10_000, maximumAge: 600_000, enableHighAccuracy: true },
  )
}
const words = ({ latDeg, lonDeg }: Place) =>
  `${Math.abs(latDeg).toFixed(2)}° ${latDeg < 0 ? 'south' : 'north'}, ${Math.abs(lonDeg).toFixed(2)}° ${lonDeg < 0 ? 'west' : 'east'}`
</script>

<template>
  <div class="place">
    <UFormField label="Place" name="place" :error="error" help="typed, or a pasted map link" class="grow">
      <UInput id="field-place" v-model="typed" placeholder="37.06, -79.38" maxlength="500" autocomplete="off" />
    </UFormField>
    <slot />
    <UButton class="mt-6" variant="outline" :loading="asking" @click="fromDevice">Use this device</UButton>
  </div>
  <OutlineMap v-model="place" />
  <p v-if="place" class="small" role="status">
    <b>{{ words(place) }}</b>
  </p>
  <p v-if="refused" class="problem" role="alert">{{ refused }}</p>
</template>

<style scoped>
.place {
  display: flex;
  gap: 10px;
  align-items: flex-start;
  flex-wrap: wrap;
}
.grow {
  flex: 1 1 200px;
}
</style>
