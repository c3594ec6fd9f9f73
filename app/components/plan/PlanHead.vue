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
    <h2>{{ t('plan.sitePlan') }}</h2>
    <label v-if="overlay === 'sun' && drawn" class="small day">
      {{ t('plan.sunOn') }}
      <input v-model="sunDay" type="date" :aria-label="t('plan.dayWhoseSunIs')" :disabled="sunOver === 'year'" />
      <button
        type="button"
        class="opens"
        :aria-pressed="sunOver === 'year'"
        @click="sunOver = sunOver === 'year' ? 'day' : 'year'"
      >
        {{ sunOver === 'year' ? t('plan.meanOfTheYear') : t('plan.orItsYear') }}
      </button>
      <span><i class="hatch dense" /> {{ t('plan.under3H') }} <i class="hatch open" /> {{ t('plan.n3To6H') }}</span>
    </label>
    <span class="overlays" role="group" :aria-label="t('plan.showOnThePlan')">
      <span class="small">{{ t('plan.show') }}</span>
      <button
        v-for="one in PLAN_OVERLAYS"
        :key="one"
        type="button"
        :aria-pressed="overlay === one"
        @click="overlay = overlay === one ? null : one"
      >
        {{ t(`plan.${one}`) }}
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
