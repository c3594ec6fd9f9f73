<script setup lang="ts">
import type { FileProgress } from '~/utils/sendFile'

/** How far a file is, and the way out of it. */
defineProps<{ told: FileProgress }>()
const emit = defineEmits<{ cancel: [] }>()
</script>

<template>
  <div class="progress" role="status">
    <label
      >{{ heard(told.doing) }}<template v-if="told.share !== null">, {{ Math.round(told.share * 100) }}%</template>
      <progress :value="told.share ?? undefined" max="1"
    /></label>
    <UButton size="sm" variant="outline" @click="emit('cancel')">{{ t('weather.cancel') }}</UButton>
  </div>
</template>

<style scoped>
.progress {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
label {
  display: grid;
  gap: 3px;
  font-size: 12.5px;
  font-variant-numeric: tabular-nums;
  min-width: 220px;
}
progress {
  width: 100%;
  height: 8px;
  appearance: none;
  border: 1px solid var(--ink);
  background: var(--lime);
}
progress::-webkit-progress-bar {
  background: var(--lime);
}
progress::-webkit-progress-value {
  background: var(--ink);
}
progress::-moz-progress-bar {
  background: var(--ink);
}
</style>
