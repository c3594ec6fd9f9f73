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
    refused.value = t('shell.thisDeviceDoesNot')
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
      refused.value = t('shell.theDeviceDidNot')
    },
    { timeout: 10_000, maximumAge: 600_000, enableHighAccuracy: true },
  )
}
const words = ({ latDeg, lonDeg }: Place) =>
  t('shell.southNorthWestEast', {
    latDeg: Math.abs(latDeg).toFixed(2),
    latDegBelow: latDeg < 0,
    lonDeg: Math.abs(lonDeg).toFixed(2),
    lonDegBelow: lonDeg < 0,
  })
</script>

<template>
  <div class="place">
    <UFormField :label="t('shell.place')" name="place" :error="error" :help="t('shell.typedOrAPasted')" class="grow">
      <UInput id="field-place" v-model="typed" placeholder="37.06, -79.38" maxlength="500" autocomplete="off" />
    </UFormField>
    <slot />
    <UButton class="mt-6" variant="outline" :loading="asking" @click="fromDevice">{{
      t('shell.useThisDevice')
    }}</UButton>
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
