<script setup lang="ts">
/** A step that follows once a day is chosen: what it will show, and where the day is chosen. */
defineProps<{ title: string; text: string }>()
const { lawn, stepTo } = useLawn()
</script>

<template>
  <section v-if="lawn" class="panel empty">
    <p class="verdict">{{ title }}</p>
    <p>{{ text }}</p>
    <UButton color="primary" :to="stepTo(lawn.plan.programme ? 'when' : 'decide')">{{
      lawn.plan.programme ? t('lawn.chooseSowingDay') : t('lawn.goToDecide')
    }}</UButton>
  </section>
</template>
