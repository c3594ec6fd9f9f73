<script setup lang="ts">
/** Days of the week, 0 for Sunday, each pressed or not. */
const days = defineModel<number[]>({ required: true })
defineProps<{ label: string }>()
function toggle(day: number): void {
  days.value = days.value.includes(day) ? days.value.filter((one) => one !== day) : [...days.value, day].sort()
}
</script>

<template>
  <div class="days" role="group" :aria-label="label">
    <UButton
      v-for="(name, day) in weekdays()"
      :key="name"
      size="sm"
      :variant="days.includes(day) ? 'solid' : 'outline'"
      :aria-pressed="days.includes(day)"
      :aria-label="name"
      @click="toggle(day)"
      >{{ name.slice(0, 3) }}</UButton
    >
  </div>
</template>

<style scoped>
.days {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
</style>
