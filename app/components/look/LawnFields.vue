<script setup lang="ts">
import type { LawnQuestionCode } from '#core/site/questions'
import {
  GOAL_CHOICES,
  HOME_CHOICES,
  LEAF_CHOICES,
  MOWER_CHOICES,
  RESTRICTION_CHOICES,
  SPRAY_CHOICES,
  UPKEEP_CHOICES,
  WATER_CHOICES,
} from '~/utils/lookWords'

/** One of the questions asked once of the whole lawn. */
defineProps<{ only: LawnQuestionCode }>()
const { draft, errors } = useSurveyHere()
const SERVICES = [
  { value: 'not asked', name: 'not asked' },
  { value: 'asked', name: t('look.askedFor') },
  { value: 'located', name: t('look.locatedAndMarked') },
] as const
const LOOKS = [
  { value: 'family', name: t('look.familyLawn') },
  { value: 'fine', name: t('look.lowAndFine') },
] as const
/** A date that is emptied is none. */
const day = (typed: string | number) => (String(typed) || null) as typeof draft.wishes.usableBy
function addCircuit(): void {
  draft.water.irrigation.push({
    ...newIrrigationZone(),
    name: t('look.circuit', { circuits: draft.water.irrigation.length + 1 }),
  })
}
</script>

<template>
  <PutOnBefore v-if="only === 'history'" />
  <div v-else-if="only === 'services'" class="fields">
    <PickOne v-model="draft.access.services" :label="t('look.buriedServices')" :choices="SERVICES" needed />
    <p class="caution">
      {{ t('look.haveTheLocalService') }}
    </p>
  </div>
  <SoilFields v-else-if="only === 'soil'" />
  <div v-else-if="only === 'water'" class="fields">
    <PickOne v-model="draft.water.source" :label="t('look.waterOnSite')" :choices="WATER_CHOICES" />
    <div class="field-row">
      <TypedInput
        v-model="draft.water.timesADay"
        :label="t('look.wateringsADayThey')"
        quantity="count"
        path="water.timesADay"
        :help="t('look.honestlyForThreeWeeks')"
      />
      <UFormField :label="t('look.whoWaters')" name="byWhom" :error="errors['water.byWhom']"
        ><UInput v-model="draft.water.byWhom" maxlength="80"
      /></UFormField>
      <TypedInput
        v-model="draft.water.flowLPerMin"
        :label="t('look.flowAtTheTap')"
        quantity="flowLPerMin"
        path="water.flowLPerMin"
        :help="t('look.bucketAndWatch')"
      />
    </div>
    <PickOne v-model="draft.water.homeWhen" :label="t('look.atHomeToWater')" :choices="HOME_CHOICES" />
    <div v-for="(circuit, i) in draft.water.irrigation" :key="i" class="field-row circuit">
      <UFormField :label="t('look.irrigationZone')" :error="errors[`water.irrigation.${i}.name`]"
        ><UInput v-model="circuit.name" maxlength="40"
      /></UFormField>
      <UFormField :label="t('look.heads')"
        ><UInput
          :model-value="String(circuit.heads)"
          inputmode="numeric"
          @update:model-value="
            (v) => {
              if (/^\d{1,3}$/.test(String(v))) circuit.heads = Number(v)
            }
          "
      /></UFormField>
      <TypedInput
        v-model="circuit.flowLPerMin"
        :label="t('look.flow')"
        quantity="flowLPerMin"
        :path="`water.irrigation.${i}.flowLPerMin`"
      />
      <UButton
        variant="outline"
        size="sm"
        :aria-label="t('look.takeOut', { name: circuit.name })"
        @click="draft.water.irrigation.splice(i, 1)"
        >{{ t('look.remove') }}</UButton
      >
    </div>
    <UButton v-if="draft.water.irrigation.length < 16" variant="outline" size="sm" class="add" @click="addCircuit">{{
      t('look.addAnIrrigationZone')
    }}</UButton>
    <PickOne v-model="draft.water.restriction" :label="t('look.wateringRestrictions')" :choices="RESTRICTION_CHOICES" />
    <div v-if="draft.water.restriction && draft.water.restriction !== 'none'" class="field-row">
      <UFormField :label="t('look.untilIfKnown')" name="restrictedUntil" :error="errors['water.restrictedUntil']"
        ><UInput
          :model-value="String(draft.water.restrictedUntil ?? '')"
          type="date"
          @update:model-value="
            (v) => {
              draft.water.restrictedUntil = day(v)
            }
          "
      /></UFormField>
      <UFormField :label="t('look.which')" name="restrictionNote" :error="errors['water.restrictionNote']"
        ><UInput v-model="draft.water.restrictionNote" maxlength="200" :placeholder="t('look.oddDaysBefore9')"
      /></UFormField>
    </div>
  </div>
  <div v-else-if="only === 'access'" class="fields">
    <div class="field-row">
      <TypedInput
        v-model="draft.access.gateM"
        :label="t('look.narrowestGate')"
        quantity="distanceM"
        path="access.gateM"
        :placeholder="t('look.n3Ft')"
      />
      <TypedInput
        v-model="draft.access.barrowM"
        :label="t('look.wheelbarrowDistance')"
        quantity="distanceM"
        path="access.barrowM"
        :placeholder="t('look.n60Ft')"
        :help="t('look.tippingPlaceToThe')"
      />
      <TypedInput
        v-model="draft.access.steps"
        :label="t('look.stepsOnIt')"
        quantity="count"
        path="access.steps"
        placeholder="0"
      />
      <UFormField :label="t('look.tipALoad')" name="tipping" :error="errors['access.tipping']"
        ><UInput v-model="draft.access.tipping" maxlength="120" :placeholder="t('look.drive3YdAt')"
      /></UFormField>
    </div>
    <PickOne v-model="draft.access.leaves" :label="t('look.treeLeavesInFall')" :choices="LEAF_CHOICES" />
    <UFormField :label="t('look.inTheWay')" name="accessNote" :error="errors['access.note']"
      ><UInput v-model="draft.access.note" maxlength="400" :placeholder="t('look.valveBoxByThe')"
    /></UFormField>
    <p class="caution">{{ t('look.bagsOver25Kg') }}</p>
  </div>
  <div v-else class="fields">
    <PickOne v-model="draft.wishes.goal" :label="t('look.theClientWantsIt')" :choices="GOAL_CHOICES" />
    <PickOne v-model="draft.wishes.look" :label="t('look.look')" :choices="LOOKS" />
    <PickOne v-model="draft.wishes.noSprays" :label="t('look.sprays')" :choices="SPRAY_CHOICES" needed />
    <PickOne v-model="draft.wishes.upkeep" :label="t('look.upkeepTheClientWill')" :choices="UPKEEP_CHOICES" />
    <PickOne v-model="draft.wishes.mownBy" :label="t('look.whoMows')" :choices="MOWER_CHOICES" />
    <WeekdayPick v-if="draft.wishes.mownBy" v-model="draft.wishes.mowDays" :label="t('look.mowingDays')" />
    <div class="field-row">
      <UFormField :label="t('look.toBeUsableBy')" name="usableBy" :error="errors['wishes.usableBy']"
        ><UInput
          :model-value="String(draft.wishes.usableBy ?? '')"
          type="date"
          @update:model-value="
            (v) => {
              draft.wishes.usableBy = day(v)
            }
          "
      /></UFormField>
      <UFormField :label="t('look.budgetNeighboursBirdsDogs')" name="wishNote" :error="errors['wishes.note']"
        ><UInput v-model="draft.wishes.note" maxlength="400"
      /></UFormField>
    </div>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 11px;
}
.circuit {
  align-items: end;
}
.add,
.circuit button {
  justify-self: start;
}
</style>
