<script setup lang="ts">
import type { Station } from '#contract/station'
import { parseDegrees } from '#core/site/typedPlace'

/** Whose lawn it is, where it lies and which station tells its weather. */
const props = defineProps<{ stations: Station[] }>()
const { draft, errors, unread } = useSurveyHere()
const NEAREST = 'nearest'
const stationItems = computed(() => [
  { label: 'the nearest', value: NEAREST },
  ...props.stations.map(({ id, name, days }) => ({ label: `${name}, ${days} days`, value: id })),
])
const station = computed({
  get: () => draft.stationId ?? NEAREST,
  set: (id) => {
    draft.stationId = id === NEAREST ? null : id
  },
})
const typed = reactive({
  latDeg: String(Math.round(draft.latDeg * 1e5) / 1e5),
  lonDeg: String(Math.round(draft.lonDeg * 1e5) / 1e5),
})
function read(axis: 'latDeg' | 'lonDeg'): void {
  const parsed = parseDegrees(axis === 'latDeg' ? 'latitude' : 'longitude', typed[axis])
  if (parsed.ok) {
    draft[axis] = parsed.value
    unread.delete(axis)
  } else unread.set(axis, parsed.message)
}
onUnmounted(() => {
  unread.delete('latDeg')
  unread.delete('lonDeg')
})
</script>

<template>
  <div class="field-row">
    <UFormField label="Client or lawn" name="client" :error="errors.client"
      ><UInput v-model="draft.client" maxlength="80"
    /></UFormField>
    <UFormField label="Address" name="address" :error="errors.address"
      ><UInput v-model="draft.address" maxlength="160"
    /></UFormField>
    <UFormField label="In a few words" name="growsNow" :error="errors.growsNow"
      ><UInput v-model="draft.growsNow" maxlength="120" placeholder="thin tall fescue"
    /></UFormField>
    <UFormField label="Weather from" name="station"
      ><USelect v-model="station" :items="stationItems" aria-label="Weather from"
    /></UFormField>
    <TypedInput
      v-model="draft.heightM"
      label="Height above the sea"
      quantity="distanceM"
      path="heightM"
      help="moves the station’s air to this height"
      :digits="4"
    />
    <UFormField label="Latitude" name="lat" :error="unread.get('latDeg') ?? errors.latDeg" help="south is negative"
      ><UInput v-model="typed.latDeg" inputmode="decimal" @update:model-value="read('latDeg')"
    /></UFormField>
    <UFormField label="Longitude" name="lon" :error="unread.get('lonDeg') ?? errors.lonDeg" help="west is negative"
      ><UInput v-model="typed.lonDeg" inputmode="decimal" @update:model-value="read('lonDeg')"
    /></UFormField>
  </div>
</template>
