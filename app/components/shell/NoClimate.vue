<script setup lang="ts">
/** Stands where a view cannot go on without the climate of the place, and leads to where it is told. */
defineProps<{ what: string }>()
const sill = useSillStore()
</script>

<template>
  <section class="panel ask">
    <p class="verdict">{{ what }} needs your climate.</p>
    <p>{{ sill.lacks }} A few figures are enough to begin with.</p>
    <UButton color="primary" to="/set-up">Set up the climate</UButton>
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
