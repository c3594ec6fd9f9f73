<script setup lang="ts">
/** The day that is looked at, as a slider: moved by arrow keys, by a week with Page Up and Page Down, or by its buttons. */
defineProps<{ label: string; words: string; said: string; at: number; last: number; locked: boolean }>()
const emit = defineEmits<{ move: [days: number] }>()
const KEYS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 7,
  PageDown: -7,
}
function key(event: KeyboardEvent): void {
  const step = KEYS[event.key]
  if (step === undefined) return
  event.preventDefault()
  emit('move', step)
}
</script>

<template>
  <div class="plate" :class="{ locked }">
    <button v-if="!locked" type="button" :aria-label="t('sowingDay.aDaySooner')" @click="emit('move', -1)">
      <UIcon name="i-lucide-chevron-left" class="size-5" />
    </button>
    <div
      role="slider"
      :tabindex="locked ? -1 : 0"
      :aria-label="label"
      :aria-valuemin="0"
      :aria-valuemax="last"
      :aria-valuenow="at"
      :aria-valuetext="said"
      class="num"
      @keydown="key"
    >
      {{ words }}
    </div>
    <button v-if="!locked" type="button" :aria-label="t('sowingDay.aDayLater')" @click="emit('move', 1)">
      <UIcon name="i-lucide-chevron-right" class="size-5" />
    </button>
  </div>
</template>

<style scoped>
.plate {
  position: absolute;
  top: 0;
  transform: translateX(-50%);
  background: var(--ink);
  color: #fbfbf5;
  display: flex;
  align-items: center;
  height: 32px;
  white-space: nowrap;
}
.locked {
  padding: 0 12px;
}
[role='slider'] {
  padding: 0 6px;
  cursor: ew-resize;
  line-height: 32px;
  font-size: 14px;
}
button {
  color: var(--straw);
  height: 100%;
  padding: 0 7px;
  cursor: pointer;
  display: grid;
  place-items: center;
}
@media (max-width: 700px) {
  .plate,
  [role='slider'] {
    height: 48px;
    line-height: 48px;
  }
  button {
    width: 48px;
  }
}
</style>
