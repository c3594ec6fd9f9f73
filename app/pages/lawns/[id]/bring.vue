<script setup lang="ts">
const { lawn, shown, stepTo } = useLawn()
</script>

<template>
  <BringLoad v-if="lawn && shown?.schedule" :key="lawn.plan.version" :lawn="lawn" />
  <section v-else-if="lawn" class="panel empty">
    <p class="verdict">Nothing to load yet.</p>
    <p>Seed, starter and cover follow from the plan and its sowing day.</p>
    <UButton color="primary" :to="stepTo(lawn.plan.programme ? 'when' : 'decide')">{{
      lawn.plan.programme ? 'Choose sowing day' : 'Go to Decide'
    }}</UButton>
  </section>
</template>

<style scoped>
.empty {
  padding: 20px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
