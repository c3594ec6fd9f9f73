<script setup lang="ts">
import type { Station } from '#contract/station'
import { placeIn } from '#core/site/placeText'

/** Whose lawn it is, where it lies and which station tells its weather; on the walk its place alone. */
const props = defineProps<{ stations: Station[]; only?: 'place' }>()
const { draft, errors, unread } = useSurveyHere()
const NEAREST = 'nearest'
const stationItems = computed(() => [
  { label: t('look.theNearest'), value: NEAREST },
  ...props.stations.map(({ id, name, days }) => ({ label: t('look.days', { name, days }), value: id })),
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
  } else unread.set('latDeg', t('look.coordinatesSuchAs'))
})
onUnmounted(() => {
  unread.delete('latDeg')
})
</script>

<template>
  <div v-if="!only" class="field-row">
    <UFormField :label="t('look.clientOrLawn')" name="client" :error="errors.client"
      ><UInput v-model="draft.client" maxlength="80"
    /></UFormField>
    <UFormField :label="t('look.address')" name="address" :error="errors.address"
      ><UInput v-model="draft.address" maxlength="160"
    /></UFormField>
    <UFormField :label="t('look.inAFewWords')" name="growsNow" :error="errors.growsNow"
      ><UInput v-model="draft.growsNow" maxlength="120" :placeholder="t('look.thinTallFescue')"
    /></UFormField>
    <UFormField :label="t('look.weatherFrom')" name="station"
      ><USelect v-model="station" :items="stationItems" :aria-label="t('look.weatherFrom')"
    /></UFormField>
    <TypedInput
      v-model="draft.heightM"
      :label="t('look.heightAboveTheSea')"
      quantity="distanceM"
      path="heightM"
      :help="t('look.movesTheStationsAir')"
      :digits="4"
    />
  </div>
  <PlacePick v-model="typed" :error="unread.get('latDeg') ?? errors.latDeg ?? errors.lonDeg" />
</template>
