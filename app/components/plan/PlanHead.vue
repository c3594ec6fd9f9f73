<script setup lang="ts">
import type { Day } from '#core/measure/calendar'

/** What is shown on the plan besides its things. @prop drawn whether there is anything on it */
defineProps<{ drawn: boolean }>()
const overlay = defineModel<PlanOverlay | null>('overlay', { required: true })
const sunDay = defineModel<Day>('sunDay', { required: true })
const sunOver = defineModel<'day' | 'year'>('sunOver', { required: true })
</script>

<template>
  <header>
    <h2>Site plan</h2>
    <label v-if="overlay === 'Sun' && drawn" class="small day">
      Sun on
      <input v-model="sunDay" type="date" aria-label="Day whose sun is shown" :disabled="sunOver === 'year'" />
      <button
        type="button"
        class="opens"
        :aria-pressed="sunOver === 'year'"
        @click="sunOver = sunOver === 'year' ? 'day' : 'year'"
      >
        {{ sunOver === 'year' ? 'mean of the year' : 'or its year' }}
      </button>
      <span><i class="hatch dense" /> under 3 h <i class="hatch open" /> 3 to 6 h</span>
    </label>
    <span class="overlays" role="group" aria-label="Show on the plan">
      <span class="small">Show</span>
      <button
        v-for="one in PLAN_OVERLAYS"
        :key="one"
        type="button"
        :aria-pressed="overlay === one"
        @click="overlay = overlay === one ? null : one"
      >
        {{ one }}
      </button>
    </span>
  </header>
</template>

<style scoped>
/* As high without the date as with it: the plan must not jump under a click that draws its first thing. */
header {
  display: flex;
  align-items: center;
  gap: 6px 16px;
  flex-wrap: wrap;
  padding-bottom: 5px;
  min-height: 39px;
}
.day {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.day input {
  border: 1px solid var(--rule-2);
  background: var(--lime);
  padding: 1px 4px;
  min-height: 26px;
}
.hatch {
  display: inline-block;
  width: 15px;
  height: 11px;
  border: 1px solid var(--ink);
  vertical-align: -1px;
}
.dense {
  background: repeating-linear-gradient(-45deg, #172019 0 1px, transparent 1px 3px);
}
.open {
  background: repeating-linear-gradient(-45deg, #172019 0 1px, transparent 1px 7px);
}
.overlays {
  margin-left: auto;
  display: flex;
  gap: 12px;
  align-items: baseline;
}
.overlays button {
  cursor: pointer;
  padding: 2px 0;
  min-height: 26px;
}
.overlays button[aria-pressed='true'] {
  font-weight: 700;
  border-bottom: 2.5px solid var(--moss);
}
@media (max-width: 700px) {
  .overlays {
    margin: 0;
  }
  .overlays button {
    min-height: 44px;
    padding: 8px 4px;
  }
}
</style>
