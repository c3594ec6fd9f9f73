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
  { value: 'asked', name: 'asked for' },
  { value: 'located', name: 'located and marked' },
] as const
const LOOKS = [
  { value: 'family', name: 'family lawn' },
  { value: 'fine', name: 'low and fine' },
] as const
/** A date that is emptied is none. */
const day = (typed: string | number) => (String(typed) || null) as typeof draft.wishes.usableBy
function addCircuit(): void {
  draft.water.circuits.push({ name: `Circuit ${draft.water.circuits.length + 1}`, heads: 0, flowLPerMin: null })
}
</script>

<template>
  <PutOnBefore v-if="only === 'history'" />
  <div v-else-if="only === 'services'" class="fields">
    <PickOne v-model="draft.access.services" label="Buried services" :choices="SERVICES" needed />
    <p class="caution">
      Have the local service locate cables, pipes and gas before coring, tilling or digging. Draw pet fences and drains
      on the plan; hand-dig near marks.
    </p>
  </div>
  <SoilFields v-else-if="only === 'soil'" />
  <div v-else-if="only === 'water'" class="fields">
    <PickOne v-model="draft.water.source" label="Water on site" :choices="WATER_CHOICES" />
    <div class="field-row">
      <TypedInput
        v-model="draft.water.timesADay"
        label="Waterings a day they can manage"
        quantity="count"
        path="water.timesADay"
        help="honestly, for three weeks"
      />
      <UFormField label="Who waters" name="byWhom" :error="errors['water.byWhom']"
        ><UInput v-model="draft.water.byWhom" maxlength="80"
      /></UFormField>
      <TypedInput
        v-model="draft.water.flowLPerMin"
        label="Flow at the tap"
        quantity="flowLPerMin"
        path="water.flowLPerMin"
        help="bucket and watch"
      />
    </div>
    <PickOne v-model="draft.water.homeWhen" label="At home to water" :choices="HOME_CHOICES" />
    <div v-for="(circuit, i) in draft.water.circuits" :key="i" class="field-row circuit">
      <UFormField label="Irrigation zone" :error="errors[`water.circuits.${i}.name`]"
        ><UInput v-model="circuit.name" maxlength="40"
      /></UFormField>
      <UFormField label="Heads"
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
        label="Flow"
        quantity="flowLPerMin"
        :path="`water.circuits.${i}.flowLPerMin`"
      />
      <UButton
        variant="outline"
        size="sm"
        :aria-label="`Take ${circuit.name} out`"
        @click="draft.water.circuits.splice(i, 1)"
        >Remove</UButton
      >
    </div>
    <UButton v-if="draft.water.circuits.length < 16" variant="outline" size="sm" class="add" @click="addCircuit"
      >Add an irrigation zone</UButton
    >
    <PickOne v-model="draft.water.restriction" label="Watering restrictions" :choices="RESTRICTION_CHOICES" />
    <div v-if="draft.water.restriction && draft.water.restriction !== 'none'" class="field-row">
      <UFormField label="Until, if known" name="restrictedUntil" :error="errors['water.restrictedUntil']"
        ><UInput
          :model-value="String(draft.water.restrictedUntil ?? '')"
          type="date"
          @update:model-value="
            (v) => {
              draft.water.restrictedUntil = day(v)
            }
          "
      /></UFormField>
      <UFormField label="Which" name="restrictionNote" :error="errors['water.restrictionNote']"
        ><UInput v-model="draft.water.restrictionNote" maxlength="200" placeholder="odd days, before 9"
      /></UFormField>
    </div>
  </div>
  <div v-else-if="only === 'access'" class="fields">
    <div class="field-row">
      <TypedInput
        v-model="draft.access.gateM"
        label="Narrowest gate"
        quantity="distanceM"
        path="access.gateM"
        placeholder="3 ft"
      />
      <TypedInput
        v-model="draft.access.barrowM"
        label="Wheelbarrow distance"
        quantity="distanceM"
        path="access.barrowM"
        placeholder="60 ft"
        help="tipping place to the middle of the lawn"
      />
      <TypedInput
        v-model="draft.access.steps"
        label="Steps on it"
        quantity="count"
        path="access.steps"
        placeholder="0"
      />
      <UFormField label="Tip a load" name="tipping" :error="errors['access.tipping']"
        ><UInput v-model="draft.access.tipping" maxlength="120" placeholder="drive, 3 yd³ at a time"
      /></UFormField>
    </div>
    <PickOne v-model="draft.access.leaves" label="Tree leaves in fall" :choices="LEAF_CHOICES" />
    <UFormField label="In the way" name="accessNote" :error="errors['access.note']"
      ><UInput v-model="draft.access.note" maxlength="400" placeholder="valve box by the gate, dog"
    /></UFormField>
    <p class="caution">Bags over 25 kg want two people. Boards over steps; nobody pulls a full barrow backwards.</p>
  </div>
  <div v-else class="fields">
    <PickOne v-model="draft.wishes.goal" label="The client wants it" :choices="GOAL_CHOICES" />
    <PickOne v-model="draft.wishes.look" label="Look" :choices="LOOKS" />
    <PickOne v-model="draft.wishes.noSprays" label="Sprays" :choices="SPRAY_CHOICES" needed />
    <PickOne v-model="draft.wishes.upkeep" label="Upkeep the client will give" :choices="UPKEEP_CHOICES" />
    <PickOne v-model="draft.wishes.mownBy" label="Who mows" :choices="MOWER_CHOICES" />
    <WeekdayPick v-if="draft.wishes.mownBy" v-model="draft.wishes.mowDays" label="Mowing days" />
    <div class="field-row">
      <UFormField label="To be usable by" name="usableBy" :error="errors['wishes.usableBy']"
        ><UInput
          :model-value="String(draft.wishes.usableBy ?? '')"
          type="date"
          @update:model-value="
            (v) => {
              draft.wishes.usableBy = day(v)
            }
          "
      /></UFormField>
      <UFormField label="Budget, neighbours, birds, dogs" name="wishNote" :error="errors['wishes.note']"
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
