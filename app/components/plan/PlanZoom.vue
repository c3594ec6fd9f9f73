<script setup lang="ts">
/** Nearer, farther, all of it, and the last change undone. */
defineProps<{ undoes: boolean }>()
const emit = defineEmits<{ zoom: [times: number]; fit: []; undo: [] }>()
const BUTTONS = [
  { icon: 'i-lucide-plus', label: t('plan.closer'), act: () => emit('zoom', 1 / 1.5) },
  { icon: 'i-lucide-minus', label: t('plan.farther'), act: () => emit('zoom', 1.5) },
  { icon: 'i-lucide-maximize', label: t('plan.allOfIt'), act: () => emit('fit') },
]
</script>

<template>
  <span class="zoom">
    <UButton
      v-for="{ icon, label, act } in BUTTONS"
      :key="label"
      size="xs"
      variant="outline"
      :icon
      :aria-label="label"
      @click="act"
    />
    <UButton
      size="xs"
      variant="outline"
      icon="i-lucide-undo-2"
      :aria-label="t('plan.undoTheLastChange')"
      :disabled="!undoes"
      @click="emit('undo')"
    />
  </span>
</template>

<style scoped>
.zoom {
  position: absolute;
  right: 8px;
  top: 8px;
  display: grid;
  gap: 4px;
}
.zoom button {
  background: var(--lime);
  min-height: 32px;
  min-width: 32px;
  justify-content: center;
}
@media (max-width: 700px) {
  .zoom button {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
