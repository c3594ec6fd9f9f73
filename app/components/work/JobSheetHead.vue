<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import { figure } from '#core/measure/figure'

/** Head of the job sheet on paper: whose lawn, whose work, under which licences. */
defineProps<{ lawn: Lawn; crewHours: number }>()
const context = useContextStore()
const { text, other } = useUnits()
</script>

<template>
  <div v-if="context.firm" class="paper">
    <div>
      <b class="num">{{ context.firm.name }}</b><span v-for="licence in context.firm.licences" :key="licence.number"
        >{{ licence.what }} {{ licence.number }}</span
      >
    </div>
    <div class="right">
      <b>{{ lawn.address }}</b><span>{{
        t('work.crewH', {
          areaM2: text(figure('areaM2', lawn.areaM2)),
          areaM22: other(figure('areaM2', lawn.areaM2)),
          crewHours: crewHours.toFixed(1),
        })
      }}</span
      ><span>{{ t('work.printed', { today: longDay(context.today) }) }}</span>
    </div>
  </div>
</template>

<style scoped>
.paper {
  display: none;
}
@media print {
  .paper {
    display: flex;
    justify-content: space-between;
    border-bottom: 1.5pt solid black;
    padding-bottom: 4pt;
    font-size: 9pt;
  }
  .paper div {
    display: flex;
    flex-direction: column;
  }
  .paper .num {
    font-size: 13pt;
  }
  .right {
    text-align: right;
  }
}
</style>
