<script setup lang="ts">
const { lawn, shown, stepTo } = useLawn()
</script>

<template>
  <BringLoad v-if="lawn && shown?.schedule" :key="lawn.plan.version" :lawn="lawn" />
  <section v-else-if="lawn" class="panel empty">
    <p class="verdict">{{ t('load.nothingToLoadYet') }}</p>
    <p>{{ t('load.seedStarterAndCover') }}</p>
    <UButton color="primary" :to="stepTo(lawn.plan.programme ? 'when' : 'decide')">{{
      lawn.plan.programme ? t('load.chooseSowingDay') : t('load.goToDecide')
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
