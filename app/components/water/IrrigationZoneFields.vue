<script setup lang="ts">
import { figure } from '#core/measure/figure'
import { hoseReachM } from '#core/site/drawn'
import { precipitationOf } from '#core/water/catchCans'

/** One irrigation zone: what it is, where it lies, and what it puts down, by cans where they were set out. */
const props = defineProps<{ index: number }>()
const emit = defineEmits<{ remove: [] }>()
const { draft } = useSurveyHere()
const { text } = useUnits()
const zone = computed(() => draft.water.irrigation[props.index]!)
const path = (field: string) => `water.irrigation.${props.index}.${field}`
const KINDS = [
  { value: 'sprinklers', label: t('water.sprinklers') },
  { value: 'hose', label: t('water.hose') },
  { value: 'by hand', label: t('water.byHand') },
  { value: 'none', label: t('water.none') },
]
const TIMERS = [
  { value: 'none', label: t('water.timerNone') },
  { value: 'own', label: t('water.timerOwn') },
  { value: 'lent', label: t('water.timerLent') },
]
const READ = [
  { value: 'depth', label: t('water.asDepth') },
  { value: 'volume', label: t('water.asVolume') },
]
const WHOLE = 'whole'
const PLACES = computed(() => [
  { value: WHOLE, label: t('water.wholeLawn') },
  ...Object.entries(draft.zones).map(([value, { name }]) => ({ value, label: name })),
])
const place = computed({
  get: () => zone.value.zoneId ?? WHOLE,
  set: (value) => {
    zone.value.zoneId = value === WHOLE ? null : value
  },
})
/** Hose as the plan has it, rounded up to what is sold. */
const drawnHoseM = computed(() => {
  const reach = zone.value.kind === 'sprinklers' ? undefined : hoseReachM(draft.features, zone.value.zoneId)
  return reach === undefined ? undefined : Math.ceil(reach)
})
function setCans(): void {
  zone.value.cans = { minutes: 15, read: 'depth', widthMm: null, values: [] }
}
const found = computed(() => (zone.value.cans ? precipitationOf(zone.value.cans) : undefined))
function remove(): void {
  draft.water.irrigation.splice(props.index, 1)
  emit('remove')
}
</script>

<template>
  <div class="panel fields">
    <div class="field-row">
      <UFormField :label="t('water.name')" :name="path('name')"
        ><UInput v-model="zone.name" maxlength="40"
      /></UFormField>
      <UFormField :label="t('water.kind')"
        ><USelect v-model="zone.kind" :items="KINDS" :aria-label="t('water.kind')"
      /></UFormField>
      <UFormField :label="t('water.where')"
        ><USelect v-model="place" :items="PLACES" :aria-label="t('water.where')"
      /></UFormField>
      <UFormField :label="t('water.timer')"
        ><USelect v-model="zone.timer" :items="TIMERS" :aria-label="t('water.timer')"
      /></UFormField>
    </div>
    <div v-if="zone.kind !== 'none'" class="field-row">
      <TypedInput v-model="zone.areaM2" :label="t('water.area')" quantity="areaM2" :path="path('areaM2')" />
      <UFormField :label="t('water.tap')"><UInput v-model="zone.tap" maxlength="40" /></UFormField>
      <TypedInput v-model="zone.hoseM" :label="t('water.hoseM')" quantity="distanceM" :path="path('hoseM')" />
      <TypedInput
        v-model="zone.flowLPerMin"
        :label="t('water.flow')"
        quantity="flowLPerMin"
        :path="path('flowLPerMin')"
      />
      <TypedInput v-model="zone.rateMmPerH" :label="t('water.rate')" quantity="rateMmPerH" :path="path('rateMmPerH')" />
    </div>
    <template v-if="zone.kind !== 'none'">
      <button
        v-if="drawnHoseM !== undefined && drawnHoseM !== zone.hoseM"
        type="button"
        class="opens"
        @click="zone.hoseM = drawnHoseM"
      >
        {{ t('water.hoseOnPlan', { length: text(figure('distanceM', drawnHoseM)) }) }}
      </button>
      <UCheckbox v-model="zone.sprinklerLent" :label="t('water.sprinklerLent')" />
      <div v-if="zone.cans" class="cans">
        <p class="small">{{ t('water.cansHelp') }}</p>
        <div class="field-row">
          <UFormField :label="t('water.cansMinutes')" :name="path('cans.minutes')"
            ><UInput v-model.number="zone.cans.minutes" type="number" min="1" max="240"
          /></UFormField>
          <UFormField :label="t('water.cansRead')"
            ><USelect v-model="zone.cans.read" :items="READ" :aria-label="t('water.cansRead')"
          /></UFormField>
          <TypedInput
            v-if="zone.cans.read === 'volume'"
            v-model="zone.cans.widthMm"
            :label="t('water.canWidth')"
            quantity="depthMm"
            :path="path('cans.widthMm')"
          />
          <TypedList
            :key="zone.cans.read"
            v-model="zone.cans.values"
            :label="t('water.cansValues')"
            :quantity="zone.cans.read === 'volume' ? 'count' : 'waterMm'"
            :path="path('cans.values')"
          />
        </div>
        <p role="status">
          {{
            found
              ? t('water.cansSay', {
                  rate: text(figure('rateMmPerH', found.rateMmPerH)),
                  uniformity: text(figure('share', found.uniformity, 2)),
                })
              : t('water.cansFew')
          }}
        </p>
        <UButton size="sm" variant="outline" @click="zone.cans = null">{{ t('water.cansOut') }}</UButton>
      </div>
      <UButton v-else size="sm" variant="outline" @click="setCans">{{ t('water.cans') }}</UButton>
    </template>
    <UButton v-if="draft.water.irrigation.length > 1" size="sm" variant="outline" @click="remove">{{
      t('water.remove')
    }}</UButton>
  </div>
</template>

<style scoped>
.fields {
  padding: 12px 16px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.field-row {
  width: 100%;
}
.cans {
  display: grid;
  gap: 8px;
  width: 100%;
  justify-items: start;
}
</style>
