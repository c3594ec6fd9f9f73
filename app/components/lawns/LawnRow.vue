<script setup lang="ts">
import { figure } from '#core/measure/figure'
import type { LawnRowView } from '~/utils/lawnRow'

const props = defineProps<{ row: LawnRowView; selected: boolean }>()
defineEmits<{ focus: [] }>()
const { shown, other } = useUnits()
const area = computed(() => figure('areaM2', props.row.lawn.areaM2))
const held = computed(() => props.row.gate?.state === 'hold' || props.row.gate?.state === 'risk')
const to = computed(
  () => `/lawns/${props.row.lawn.id}/${props.row.lawn.job.endedOn ? 'jobs' : (props.row.here?.code ?? 'look')}`,
)
</script>

<template>
  <!-- The row is a row; the link in its first cell is stretched over it. -->
  <div
    class="row"
    :class="{ selected, held: row.gate?.state === 'hold', past: row.stage === 'not now' || row.stage === 'finished' }"
    role="row"
    @focusin="$emit('focus')"
    @pointerenter="$emit('focus')"
  >
    <span class="name" role="cell"
      ><NuxtLink :to="to" class="opens-lawn"
        ><b class="num">{{ row.lawn.client }}</b></NuxtLink
      ><i>{{ row.lawn.address }}</i></span
    >
    <span class="area" role="cell"
      ><b class="num"
        >{{ shown(area).value }}<span class="phone"> {{ shown(area).unit }}</span></b
      ><i>{{ other(area) }}</i></span
    >
    <span class="grass" role="cell"
      ><b class="plain">{{ row.grass }}</b
      ><i>{{ row.lawn.growsNow }}</i></span
    >
    <span class="programme" role="cell"
      ><b>{{ row.programme }}</b
      ><i>{{ row.rate }}</i></span
    >
    <span class="sow" role="cell"
      ><b :class="{ num: row.lawn.job.sowOn, plain: !row.lawn.job.sowOn }">{{ row.sow }}</b
      ><i>{{ row.odds }}</i></span
    >
    <span class="steps" role="cell"
      ><template v-if="row.here"
        ><LawnBlades :steps="row.steps" :held="held" /><i>{{ row.here.name }}, {{ row.here.says }}</i></template
      ></span
    >
    <span class="next" role="cell"
      ><b class="num">{{ row.next }}</b
      ><i>{{ row.what }}</i></span
    >
    <span class="gate" role="cell"><GateLine v-if="row.gate" :gate="row.gate" /></span>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
  padding: 3px 8px;
  min-height: 41px;
  border-bottom: 1px solid var(--rule-2);
  align-items: start;
  border-left: 2px solid transparent;
  border-right: 2px solid transparent;
}
.row {
  position: relative;
}
.opens-lawn::after {
  content: '';
  position: absolute;
  inset: 0;
  z-index: 1;
}
.opens-lawn:focus-visible {
  outline: none;
}
.row > span {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.row i {
  font-style: normal;
  font-size: 12px;
  color: var(--ink-2);
  font-stretch: 88%;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.row b {
  font-weight: 650;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.row b.num {
  font-size: 15.5px;
  line-height: 1.3;
}
.row b.plain {
  font-weight: 400;
}
.area {
  text-align: right;
}
.phone {
  display: none;
}
.row .steps {
  flex-direction: row;
  align-items: center;
  gap: 10px;
  padding-top: 4px;
}
.past {
  background: var(--chalk);
}
.held {
  background: var(--lime);
  border-left: 2px solid var(--ink);
}
.selected,
.row:has(.opens-lawn:focus-visible) {
  background: var(--straw-tint);
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.gate :deep(.gate) {
  overflow: hidden;
  max-height: 36px;
}
@media (max-width: 1000px) {
  .row {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 2px 12px;
    padding: 10px 4px;
    min-height: 60px;
  }
  .row > .grass,
  .row > .programme,
  .row > .steps,
  .row .area i {
    display: none;
  }
  .row .gate {
    grid-column: 1 / -1;
  }
  .phone {
    display: inline;
  }
  .next {
    order: 1;
    grid-column: 1 / -1;
    text-align: left;
    flex-direction: row !important;
    gap: 8px;
    align-items: baseline;
  }
  .name {
    order: 2;
  }
  .sow {
    order: 3;
    grid-column: 1 / -1;
    flex-direction: row !important;
    gap: 8px;
    align-items: baseline;
  }
  .area {
    order: 2;
  }
  .gate {
    order: 5;
  }
  .row i {
    font-size: 13px;
  }
}
</style>
