<script setup lang="ts">
import { daysBetween, type Day } from '#core/measure/calendar'
import { firstWork, type Schedule } from '#core/job/schedule/schedule'

/** The work up to sowing as marks on a scale that all programmes share. */
const props = defineProps<{ schedule: Schedule; until: Day; scale: { from: Day; days: number; mondays: Day[] } }>()
const at = (day: Day) => `${(100 * (daysBetween(props.scale.from, day) + 0.5)) / props.scale.days}%`
const first = computed(() => firstWork(props.schedule).from)
const lead = computed(() =>
  props.schedule.tasks.filter(({ to, operation }) => to <= props.until && operation.phase === 'work'),
)
</script>

<template>
  <div class="strip" aria-hidden="true">
    <i v-for="day in scale.mondays" :key="day" class="monday" :style="{ left: at(day) }" />
    <i class="line" :style="{ left: at(first), right: `calc(100% - ${at(until)})` }" />
    <i v-for="task in lead" :key="task.key" :class="task.operation.mark" :style="{ left: at(task.to) }" />
  </div>
</template>

<style scoped>
.strip {
  position: relative;
  height: 22px;
}
.strip i {
  position: absolute;
}
.line {
  top: 10px;
  height: 1.5px;
  background: var(--ink);
}
.monday {
  top: 2px;
  bottom: 2px;
  width: 1px;
  background: var(--rule);
}
.cut {
  top: 4px;
  height: 13px;
  width: 2.5px;
  background: var(--ink);
  transform: rotate(35deg);
}
.machine {
  top: 7px;
  height: 8px;
  width: 7px;
  margin-left: -3px;
  background: var(--ink);
}
.spray {
  top: 3px;
  width: 14px;
  height: 14px;
  margin-left: -7px;
  background: var(--clay);
  clip-path: polygon(
    50% 0,
    60% 35%,
    95% 25%,
    70% 50%,
    95% 75%,
    60% 65%,
    50% 100%,
    40% 65%,
    5% 75%,
    30% 50%,
    5% 25%,
    40% 35%
  );
}
.sow {
  top: 3px;
  width: 9px;
  height: 15px;
  margin-left: -4px;
  background: var(--moss);
  border-radius: 50% 50% 50% 50% / 70% 70% 30% 30%;
}
.visit {
  top: 5px;
  width: 11px;
  height: 11px;
  margin-left: -5px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  background: var(--lime);
}
</style>
