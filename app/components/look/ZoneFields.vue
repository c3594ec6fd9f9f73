<script setup lang="ts">
import type { Day } from '#core/measure/calendar'
import { questionsOf, type ZoneQuestionCode } from '#core/site/questions'
import { nothingStands, sunHoursOn, thatchMm } from '#core/site/zone'
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
/** What is asked of this ground, and of that what is asked here. */
const asked = computed(() => questionsOf(zone.value).map(({ code }) => code))
const asks = (...codes: ZoneQuestionCode[]) =>
  codes.some((code) => asked.value.includes(code) && (!props.only || props.only === code))
const drawnSun = computed(() => {
  const measure = measured.value[props.id]
  return measure?.sunByMonthH ? sunHoursOn({ ...zone.value, sunHours: null }, measure, context.today) : null
})
const thatch = computed(() => thatchMm(zone.value))
const SUN_GUESS = [
  { value: '8', name: t('look.fullOver6H') },
  { value: '4.5', name: t('look.part3To6') },
  { value: '2', name: t('look.denseUnder3H') },
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
    <UFormField v-if="!only" :label="t('look.nameOfTheZone')" :name="path('name')" :error="errors[path('name')]"
      ><UInput v-model="zone.name" maxlength="40"
    /></UFormField>
    <AreaField v-if="asks('area')" :id="id" />
    <div v-if="asks('grows', 'grass')" class="field-row">
      <UFormField v-if="asks('grows')" :label="t('look.growsThereNow')" :name="path('sward')"
        ><USelect
          v-model="zone.sward!"
          :items="SWARD_ITEMS"
          :placeholder="t('look.choose')"
          :aria-label="t('look.growsThereNow')"
      /></UFormField>
      <UFormField
        v-if="asks('grass')"
        :label="t('look.grassWanted')"
        :name="path('grass')"
        :error="errors[path('grass')]"
        ><USelect
          v-model="zone.grass!"
          :items="GRASS_ITEMS"
          :placeholder="t('look.choose')"
          :aria-label="t('look.grassWanted')"
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
          :label="t('look.thatch')"
          quantity="depthMm"
          :path="path('plugsMm')"
          :placeholder="t('look.n5834')"
          :help="
            thatch === null
              ? t('look.brownLayerOfEach')
              : t('look.meanOf', { thatch: text({ quantity: 'depthMm', value: thatch }), plugsMm: zone.plugsMm.length })
          "
        />
      </div>
      <template v-if="asks('hardness')">
        <TypedList
          v-model="zone.driverMm"
          :label="t('look.screwdriverGoesIn')"
          quantity="depthMm"
          :path="path('driverMm')"
          :placeholder="t('look.n2123')"
          :help="t('look.whenMoistHardUnder')"
        />
        <TypedList
          v-model="zone.penetrometerKPa"
          :label="t('look.orAPenetrometer')"
          quantity="kPa"
          :path="path('penetrometerKPa')"
          :placeholder="t('look.n250Psi')"
          :help="t('look.rootsStopNear300')"
        />
      </template>
      <TypedInput
        v-if="asks('height')"
        v-model="zone.mowingHeightMm"
        :label="t('look.mownAtNow')"
        quantity="depthMm"
        :path="path('mowingHeightMm')"
        :placeholder="t('look.n3In')"
      />
      <TypedInput
        v-if="asks('height') || (!only && nothingStands(zone))"
        v-model="zone.keptMm"
        :label="t('look.toBeKeptAt')"
        quantity="depthMm"
        :path="path('keptMm')"
        :placeholder="nothingStands(zone) ? '' : t('look.asNow')"
      />
    </div>
    <div v-if="asks('thatch', 'hardness')" class="field-row">
      <PickOne
        v-if="asks('thatch')"
        v-model="zone.thatchSoft"
        :label="t('look.theThatchIs')"
        :choices="THATCH_CHOICES"
      />
      <template v-if="asks('hardness')">
        <TypedInput
          v-model="zone.topsoilMm"
          :label="t('look.looseTopsoil')"
          quantity="depthMm"
          :path="path('topsoilMm')"
          :placeholder="t('look.n4In')"
          :help="t('look.atASpadeCut')"
        />
        <UFormField :label="t('look.lastCored')" :name="path('coredOn')" :error="errors[path('coredOn')]"
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
          :label="t('look.hoursOfSun')"
          quantity="hours"
          :path="path('sunHours')"
          :placeholder="drawnSun === null ? '8' : t('look.byThePlan', { drawnSun: drawnSun.toFixed(1) })"
          :help="drawnSun === null ? t('look.directSunOnA') : t('look.typedHoursOverrideThe')"
        />
        <PickOne v-model="guess" :label="t('look.orByEye')" :choices="SUN_GUESS" />
      </div>
      <TypedInput
        v-if="asks('slope')"
        v-model="zone.slopeShare"
        :label="t('look.slope')"
        quantity="share"
        :path="path('slopeShare')"
        :help="t('look.riseOverRun')"
      />
    </div>
    <HollowFields v-if="asks('levels')" :id="id" />
    <div v-if="asks('wear')" class="field-row wear">
      <PickOne v-model="zone.wear" :label="t('look.wear')" :choices="WEAR_CHOICES" />
      <PickOne v-model="zone.drainage" :label="t('look.drainage')" :choices="DRAINAGE_CHOICES" />
      <PickOne v-model="zone.grubs" :label="t('look.grubsUnderLiftedTurf')" :choices="GRUB_CHOICES" />
      <PickOne v-model="zone.stones" :label="t('look.stones')" :choices="STONE_CHOICES" />
      <PickOne v-model="zone.ground" :label="t('look.kindOfGround')" :choices="GROUND_CHOICES" needed />
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
