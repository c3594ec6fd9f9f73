<script setup lang="ts">
const { lawn, shown, shownJob } = useLawn()
const sill = useSillStore()
/** Nothing is sown, or it lies until spring. */
const sows = computed(() => shown.value?.parts[0]?.programme.anchor === 'seeding')
</script>

<template>
  <WateringPlan
    v-if="lawn && shown?.watering"
    :key="lawn.version"
    :lawn="lawn"
    :watering="shown.watering"
    :sow-on="shownJob!.sowOn!"
  />
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
.empty {
  padding: 20px;
}
</style>
