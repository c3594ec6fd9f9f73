<script setup lang="ts">
import { putDownOn } from '#core/job/states'

const { lawn, shown, shownJob } = useLawn()
const sill = useSillStore()
/** Seed is down on all of it. */
const sownOn = computed(() => lawn.value && putDownOn({ programme: lawn.value.plan.programme, marks: lawn.value.done }))
/** Nothing is sown, or it lies until spring. */
const sows = computed(() => shown.value?.parts[0]?.programme.anchor === 'seeding')
</script>

<template>
  <div v-if="lawn && shown?.watering" class="water">
    <WateringLog v-if="sownOn" :watering="shown.watering" :sown-on="sownOn" />
    <WateringPlan :key="lawn.version" :lawn="lawn" :watering="shown.watering" :sow-on="sownOn ?? shownJob!.sowOn!" />
  </div>
  <NotYet v-else-if="lawn && !shownJob?.sowOn" :title="t('water.nothingYet')" :text="t('water.programmeFollows')" />
  <section v-else-if="lawn && !sows" class="panel empty">
    <p>{{ t('water.notFor') }}</p>
  </section>
  <NoClimate v-else-if="sill.lacks" :what="t('lawns.water')" />
  <section v-else-if="sill.data && !sill.data.coarse" class="panel empty">
    <p>{{ t('water.notKnown') }}</p>
  </section>
  <div v-else-if="!sill.problem" class="panel empty" role="status">{{ t('water.workingOut') }}</div>
</template>

<style scoped>
.water {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 22px;
}
@media print {
  .water > .log {
    display: none;
  }
}
</style>
