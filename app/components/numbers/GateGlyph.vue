<script setup lang="ts">
import type { GateState } from '#core/explain/judgement'

/** A gate as a shape: swung open, shut, triangle, octagon. The word stands beside it. */
defineProps<{ state: GateState }>()
</script>

<template>
  <svg width="15" height="15" viewBox="0 0 15 15" aria-hidden="true" class="glyph">
    <template v-if="state === 'met'">
      <rect width="15" height="15" fill="#3c6326" />
      <path d="M4 12.500V3M6.500 12 11 3.500M11 3.500V9" stroke="#fbfbf5" stroke-width="1.6" fill="none" />
    </template>
    <template v-else-if="state === 'waiting'">
      <rect x="0.75" y="0.75" width="13.500" height="13.500" fill="none" stroke="#434c41" stroke-width="1.500" />
      <path d="M4 3.500V11.500M11 3.500V11.500M4 5.500H11M4 9.500H11" stroke="#434c41" stroke-width="1.400" />
    </template>
    <template v-else-if="state === 'risk'">
      <path d="M7.500 0.500 15 14.500H0Z" fill="#9a3e1b" />
      <path d="M7.500 5V10M7.500 11.300V12.900" stroke="#fbfbf5" stroke-width="1.700" />
    </template>
    <template v-else>
      <path d="M4.400 0H10.600L15 4.400V10.600L10.600 15H4.400L0 10.600V4.400Z" fill="#172019" />
      <path d="M4 6H11M4 9H11" stroke="#fbfbf5" stroke-width="1.800" />
    </template>
  </svg>
</template>

<style scoped>
.glyph {
  flex: none;
  margin-top: 2px;
}
</style>
