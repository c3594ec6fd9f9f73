<script setup lang="ts">
import type { Day } from '#core/measure/calendar'
import type { ZoneQuestionCode } from '#core/site/questions'
import { sunHoursOn, thatchMm } from '#core/site/zone'
import {
  DRAINAGE_CHOICES,
  GRASS_ITEMS,
  GROUND_CHOICES,
  GRUB_CHOICES,
  STONE_CHOICES,
  SWARD_ITEMS,
  THATCH_CHOICES,
  WEAR_CHOICES,
} from '~/utils/lookWords'

/** The questions of a zone: all of them, or the one that is asked. */
const props = defineProps<{ id: string; only?: ZoneQuestionCode }>()
const { draft, errors, measured } = useSurveyHere()
const context = useContextStore()
const { text } = useUnits()
const zone = computed(() => draft.zones[props.id]!)
const path = (field: string) => `zones.${props.id}.${field}`
const asks = (...codes: ZoneQuestionCode[]) => !props.only || codes.includes(props.only)
const drawnSun = computed(() => {
  const measure = measured.value[props.id]
  return measure?.sunByMonthH ? sunHoursOn({ ...zone.value, sunHours: null }, measure, context.today) : null
})
const thatch = computed(() => thatchMm(zone.value))
const SUN_GUESS = [
  { value: '8', name: 'full, over 6 h' },
  { value: '4.5', name: 'part, 3 to 6 h' },
  { value: '2', name: 'dense, under 3 h' },
] as const
const guess = computed({
  get: () => SUN_GUESS.find(({ value }) => Number(value) === zone.value.sunHours)?.value ?? null,
  set: (value) => {
    zone.value.sunHours = value === null ? null : Number(value)
  },
})
</script>

<template>
  <div class="zone-fields">
    <UFormField v-if="!only" label="Name of the zone" :name="path('name')" :error="errors[path('name')]"
      ><UInput v-model="zone.name" maxlength="40"
    /></UFormField>
    <AreaField v-if="asks('area')" :id="id" />
    <div v-if="asks('grows', 'grass')" class="field-row">
      <UFormField v-if="asks('grows')" label="Grows there now" :name="path('sward')"
        ><USelect v-model="zone.sward!" :items="SWARD_ITEMS" placeholder="choose" aria-label="Grows there now"
      /></UFormField>
      <UFormField v-if="asks('grass')" label="Grass wanted" :name="path('grass')" :error="errors[path('grass')]"
        ><USelect v-model="zone.grass!" :items="GRASS_ITEMS" placeholder="choose" aria-label="Grass wanted"
      /></UFormField>
    </div>
    <SwardMix v-if="asks('grows')" :id="id" />
    <CoverFields v-if="asks('cover')" :id="id" />
    <div v-if="asks('thatch', 'hardness', 'height')" class="field-row">
      <div v-if="asks('thatch')" class="both">
        <ThatchPlugs v-if="only" v-model="zone.plugsMm" />
        <TypedList
          v-else
          v-model="zone.plugsMm"
          label="Thatch"
          quantity="depthMm"
          :path="path('plugsMm')"
          placeholder="5/8, 3/4, 1/2 in"
          :help="
            thatch === null
              ? 'brown layer of each plug'
              : `mean ${text({ quantity: 'depthMm', value: thatch })} of ${zone.plugsMm.length}`
          "
        />
      </div>
      <template v-if="asks('hardness')">
        <TypedList
          v-model="zone.driverMm"
          label="Screwdriver goes in"
          quantity="depthMm"
          :path="path('driverMm')"
          placeholder="2 1/2, 3 in"
          help="when moist; hard under 3 in (75 mm)"
        />
        <TypedList
          v-model="zone.penetrometerKPa"
          label="Or a penetrometer"
          quantity="kPa"
          :path="path('penetrometerKPa')"
          placeholder="250 psi"
          help="roots stop near 300 psi (2,000 kPa)"
        />
      </template>
      <template v-if="asks('height')">
        <TypedInput
          v-model="zone.mowingHeightMm"
          label="Mown at now"
          quantity="depthMm"
          :path="path('mowingHeightMm')"
          placeholder="3 in"
        />
        <TypedInput
          v-model="zone.keptMm"
          label="To be kept at"
          quantity="depthMm"
          :path="path('keptMm')"
          placeholder="as now"
        />
      </template>
    </div>
    <div v-if="asks('thatch', 'hardness')" class="field-row">
      <PickOne v-if="asks('thatch')" v-model="zone.thatchSoft" label="The thatch is" :choices="THATCH_CHOICES" />
      <template v-if="asks('hardness')">
        <TypedInput
          v-model="zone.topsoilMm"
          label="Loose topsoil"
          quantity="depthMm"
          :path="path('topsoilMm')"
          placeholder="4 in"
          help="at a spade cut"
        />
        <UFormField label="Last cored" :name="path('coredOn')" :error="errors[path('coredOn')]"
          ><UInput
            :model-value="String(zone.coredOn ?? '')"
            type="date"
            :max="context.today"
            @update:model-value="
              (v) => {
                zone.coredOn = (String(v) || null) as Day | null
              }
            "
        /></UFormField>
      </template>
    </div>
    <div v-if="asks('sun', 'slope')" class="field-row">
      <div v-if="asks('sun')" class="both sun">
        <TypedInput
          v-model="zone.sunHours"
          label="Hours of sun"
          quantity="hours"
          :path="path('sunHours')"
          :placeholder="drawnSun === null ? '8' : `${drawnSun.toFixed(1)} by the plan`"
          :help="drawnSun === null ? 'direct sun on a clear day; the plan can tell' : 'typed hours override the plan'"
        />
        <PickOne v-model="guess" label="Or by eye" :choices="SUN_GUESS" />
      </div>
      <TypedInput
        v-if="asks('slope')"
        v-model="zone.slopeShare"
        label="Slope, %"
        quantity="share"
        :path="path('slopeShare')"
        help="rise over run"
      />
    </div>
    <HollowFields v-if="asks('levels')" :id="id" />
    <div v-if="asks('wear')" class="field-row wear">
      <PickOne v-model="zone.wear" label="Wear" :choices="WEAR_CHOICES" />
      <PickOne v-model="zone.drainage" label="Drainage" :choices="DRAINAGE_CHOICES" />
      <PickOne v-model="zone.grubs" label="Grubs under lifted turf" :choices="GRUB_CHOICES" />
      <PickOne v-model="zone.stones" label="Stones" :choices="STONE_CHOICES" />
      <PickOne v-model="zone.ground" label="Kind of ground" :choices="GROUND_CHOICES" needed />
    </div>
  </div>
</template>

<style scoped>
.zone-fields {
  display: grid;
  gap: 14px;
}
.both.sun {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(130px, 200px) auto;
  gap: 16px;
}
.wear {
  grid-template-columns: auto auto;
  justify-content: start;
  gap: 10px 24px;
}
@media (max-width: 700px) {
  .both.sun,
  .wear {
    grid-template-columns: 1fr;
  }
}
</style>
