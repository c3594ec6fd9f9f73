<script setup lang="ts">
import type { Place } from '#core/site/placeText'

/** Where a firm works: typed, pasted, or told by the device. */
defineProps<{ error: string | undefined; heightError: string | undefined }>()
const place = defineModel<Place | undefined>('place', { required: true })
const height = defineModel<string>('height', { required: true })
const { unit } = useUnits()
const typed = defineModel<string>({ required: true })
const coastal = defineModel<boolean>('coastal', { required: true })
const asking = ref(false)
const refused = ref('')

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
      typed.value = `${coords.latitude.toFixed(4)}, ${coords.longitude.toFixed(4)}`
    },
    () => {
      asking.value = false
      refused.value = 'The device did not tell its position. Type it, or paste the link of a map.'
    },
    { timeout: 10_000, maximumAge: 600_000 },
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
    <UFormField :label="`Height, ${unit('distanceM')}`" name="height" :error="heightError" class="height">
      <UInput id="field-height" v-model="height" inputmode="decimal" maxlength="12" autocomplete="off" />
    </UFormField>
    <UButton class="mt-6" variant="outline" :loading="asking" @click="fromDevice">Use this device</UButton>
  </div>
  <OutlineMap v-model="place" />
  <p v-if="place" class="small" role="status">
    <b>{{ words(place) }}</b>
  </p>
  <p v-if="refused" class="problem" role="alert">{{ refused }}</p>
  <UCheckbox v-model="coastal" label="Near a coast: more sun for the same range of temperature" />
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
.height {
  width: 92px;
}
</style>
