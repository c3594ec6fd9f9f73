<script setup lang="ts">
import type { Station } from '#contract/station'
import { placeIn } from '#core/site/placeText'

/** Whose lawn it is, where it lies and which station tells its weather; on the walk its place alone. */
const props = defineProps<{ stations: Station[]; only?: 'place' }>()
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
const typed = ref(`${Math.round(draft.latDeg * 1e5) / 1e5}, ${Math.round(draft.lonDeg * 1e5) / 1e5}`)
watch(typed, (text) => {
  const place = placeIn(text)
  if (place) {
    Object.assign(draft, place)
    unread.delete('latDeg')
  } else unread.set('latDeg', 'Coordinates such as 37.06, -79.38, or the link of a map that holds them.')
})
onUnmounted(() => {
  unread.delete('latDeg')
})
</script>

<template>
  <div v-if="!only" class="field-row">
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
  </div>
  <PlacePick v-model="typed" :error="unread.get('latDeg') ?? errors.latDeg ?? errors.lonDeg" />
</template>
