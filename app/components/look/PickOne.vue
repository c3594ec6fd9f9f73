<script setup lang="ts" generic="T extends string | boolean | number">
/** One of a few answers, all in sight. Chosen again, it is unanswered, but where an answer is needed. */
const value = defineModel<T | null>({ required: true })
defineProps<{ label: string; choices: readonly { value: T; name: string }[]; help?: string; needed?: boolean }>()
const id = useId()
</script>

<template>
  <div role="group" :aria-labelledby="id" class="pick-one">
    <span :id="id" class="label">{{ label }}</span>
    <div class="row">
      <button
        v-for="choice in choices"
        :key="String(choice.value)"
        type="button"
        :aria-pressed="value === choice.value"
        @click="value = value === choice.value && !needed ? null : choice.value"
      >
        {{ choice.name }}
      </button>
    </div>
    <span v-if="help" class="small">{{ help }}</span>
  </div>
</template>

<style scoped>
.pick-one {
  display: grid;
  gap: 4px;
  align-content: start;
}
.label {
  font-weight: 500;
  font-size: 13px;
}
.row {
  display: flex;
  flex-wrap: wrap;
}
button {
  border: 1.5px solid var(--ink);
  margin: 0 -1.5px -1.5px 0;
  padding: 5px 10px;
  background: var(--lime);
  cursor: pointer;
  min-height: 32px;
}
button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--lime);
  font-weight: 600;
}
@media (max-width: 700px) {
  button {
    min-height: 48px;
    padding: 8px 14px;
  }
}
</style>
