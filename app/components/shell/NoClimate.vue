<script setup lang="ts">
/** Stands where a view cannot go on without the climate of the place, and leads to where it is told. */
defineProps<{ what: string }>()
const sill = useSillStore()
</script>

<template>
  <section class="panel ask">
    <p class="verdict">{{ t('shell.needsYourClimate', { what }) }}</p>
    <p>{{ t('shell.aFewFiguresAre', { lacks: sill.lacks }) }}</p>
    <UButton color="primary" to="/set-up">{{ t('shell.setUpTheClimate') }}</UButton>
  </section>
</template>

<style scoped>
.ask {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
