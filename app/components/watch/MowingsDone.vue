<script setup lang="ts">
import { keyOf, OPERATIONS } from '#core/job/operations/registry'
import type { Watch } from '#core/job/watch'
import { markSchema, type NewMark } from '#contract/work'

/** Mowings that release the lawn: those that are recorded, and the next, by the firm or the client. */
const props = defineProps<{ mowings: Watch['mowings']; busy: boolean }>()
const emit = defineEmits<{ mow: [told: NewMark] }>()
const context = useContextStore()
const boxes = computed(() =>
  Array.from({ length: props.mowings.of }, (_, i) => ({ number: i + 1, on: props.mowings.done[i] })),
)
const MOW = OPERATIONS.find(({ opensLawn }) => opensLawn)!.code
const next = computed(() => props.mowings.done.length + 1)
function record(note: string): void {
  const told = markSchema.safeParse({
    id: crypto.randomUUID(),
    task: keyOf(MOW, next.value),
    doneOn: context.today,
    note,
  })
  if (told.success) emit('mow', told.data)
}
</script>

<template>
  <section :aria-label="t('watch.mowings')">
    <div class="mowings">
      <span class="small">{{ t('watch.mowings') }}</span>
      <span v-for="box in boxes" :key="box.number" class="box" :class="{ done: box.on }">
        <b>{{ box.number }}</b>
        <i v-if="box.on" class="small">{{ shortDay(box.on, context.today) }}</i>
      </span>
      <span class="small">{{ t('watch.mowingsDone', { done: mowings.done.length, of: mowings.of }) }}</span>
    </div>
    <div v-if="next <= mowings.of" class="record">
      <span class="small">{{ t('watch.mowNumber', { number: next }) }}</span>
      <UButton variant="outline" :disabled="busy" @click="record('')">{{ t('watch.firmMowed') }}</UButton>
      <UButton variant="outline" :disabled="busy" @click="record(t('watch.byClient'))">{{
        t('watch.clientMowed')
      }}</UButton>
    </div>
    <p v-if="next <= mowings.of" class="small">{{ t('watch.keepOff') }}</p>
  </section>
</template>

<style scoped>
.record,
.mowings {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
}
.box {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.box b {
  width: 24px;
  height: 24px;
  border: 1.5px solid var(--ink);
  display: grid;
  place-items: center;
  background: var(--lime);
}
.box.done b {
  background: var(--ink);
  color: var(--lime);
}
@media (max-width: 700px) {
  .record button {
    min-height: 48px;
  }
}
</style>
