<script setup lang="ts">
import { labelled, type Hanger, type SillScale } from '~/utils/sillScale'

/** Operations on threads under the lip; only what has room is named. */
const props = defineProps<{ hangers: Hanger[]; scale: SillScale; wide: boolean }>()
const visible = computed(() => props.hangers.filter(({ day }) => day >= props.scale.from && day <= props.scale.to))
const named = computed(() => labelled(visible.value, props.scale.x, props.scale.right + 30, props.wide ? 8 : 3))
const spoken = computed(() => visible.value.map(({ label, day }) => `${label} ${shortDay(day)}`).join(', '))
</script>

<template>
  <div
    class="hangers"
    role="img"
    :aria-label="visible.length ? t('sill.hangingUnderTheSeason', { spoken }) : t('sill.nothingHangsUnderThe')"
  >
    <div
      v-for="h in visible"
      :key="h.key"
      class="hanger"
      :class="{ done: h.done }"
      :style="{ left: `${scale.x(h.day)}px` }"
    >
      <svg width="14" height="24" viewBox="-7 0 14 24" aria-hidden="true">
        <path d="M0 0V11" stroke="#172019" stroke-width="1.3" />
        <path v-if="h.mark === 'cut'" d="M-4.5 15.5L3.5 10.5" stroke="#172019" stroke-width="2.2" />
        <path
          v-else-if="h.mark === 'spray'"
          d="M0 7V17M-4.500 9.500L4.500 14.500M-4.500 14.500L4.500 9.500"
          stroke="#9a3e1b"
          stroke-width="2"
        />
        <rect v-else-if="h.mark === 'machine'" x="-3" y="8" width="6" height="7" fill="#172019" />
        <path
          v-else-if="h.mark === 'sow'"
          d="M0 8C4 12.5 4 16 2.6 18a3.2 3.2 0 0 1-5.2 0C-4 16-4 12.500 0 8Z"
          fill="#3c6326"
        />
        <circle v-else cy="12.500" r="3.4" fill="#f1f1e6" stroke="#172019" stroke-width="2" />
      </svg>
      <span v-if="named.has(h.key)">{{ h.label }}</span>
    </div>
  </div>
</template>

<style scoped>
.hangers {
  position: absolute;
  left: 0;
  right: 0;
  top: 124px;
  height: 24px;
  color: #172019;
}
.hanger {
  position: absolute;
  top: 0;
  margin-left: -7px;
  display: flex;
  white-space: nowrap;
  font-size: 12px;
  font-weight: 600;
}
.hanger span {
  padding-top: 4px;
  margin-left: 1px;
}
.hanger.done {
  opacity: 0.68;
}
@media (max-width: 700px) {
  .hangers {
    position: relative;
    top: 0;
    overflow: hidden;
  }
  .hanger {
    font-size: 13px;
  }
}
</style>
