<script setup lang="ts">
import type { Worked } from '#core/explain/working'

/** A computed number: a dotted underline, and its working behind it. */
/** @param words in place of the number as it would be shown */
const props = defineProps<{ worked: Worked; bare?: boolean; words?: string }>()
const working = useWorkingStore()
const { shown } = useUnits()
const value = computed(() =>
  props.words === undefined ? shown(props.worked.working.result) : { value: props.words, unit: '' },
)
</script>

<template>
  <button
    class="opens"
    type="button"
    :aria-label="t('numbers.openTheWorking', { value: value.value, unit: value.unit, title: worked.working.title })"
    @click.stop="working.show(worked.working)"
  >
    {{ value.value }}<template v-if="!bare && value.unit">&nbsp;{{ value.unit }}</template>
  </button>
</template>
