<script setup lang="ts">
import { markSchema, type NewMark } from '#contract/work'
import type { Task } from '#core/job/schedule/schedule'

/** Another turn of what a task waits for, such as a mowing, recorded for today; the last one can be taken back. */
const props = defineProps<{ turn: NonNullable<Task['turn']>; busy: boolean }>()
const emit = defineEmits<{ mark: [told: NewMark]; undo: [key: string] }>()
const context = useContextStore()
function record(): void {
  const told = markSchema.safeParse({ id: crypto.randomUUID(), task: props.turn.next, doneOn: context.today })
  if (told.success) emit('mark', told.data)
}
</script>

<template>
  <p class="turn small">
    <button type="button" class="opens" :disabled="busy" @click="record">
      {{ t('work.record', { words: turn.words }) }}
    </button>
    <button v-if="turn.last" type="button" class="opens" :disabled="busy" @click="emit('undo', turn.last)">
      {{ t('work.undoTheLast') }}
    </button>
  </p>
</template>

<style scoped>
.turn {
  display: flex;
  gap: 14px;
  margin: 2px 0 4px 23px;
}
@media print {
  .turn {
    display: none;
  }
}
</style>
