<script setup lang="ts">
import type { Gate } from '#core/explain/judgement'

/** A gate of a task: when it is looked at again, and overruling it with a note unless law or label forbid. */
const props = defineProps<{ gate: Gate }>()
const emit = defineEmits<{ overrule: [note: string]; heed: [] }>()
const context = useContextStore()
const asking = ref(false)
const note = ref('')
const can = computed(
  () =>
    props.gate.code !== undefined &&
    !props.gate.binding &&
    (props.gate.state === 'hold' || props.gate.state === 'risk'),
)
function send(): void {
  if (!note.value.trim()) return
  emit('overrule', note.value.trim())
  asking.value = false
}
</script>

<template>
  <div>
    <GateLine :gate="gate" />
    <div v-if="gate.again || gate.overruled !== undefined || can" class="after">
      <span v-if="gate.again && gate.overruled === undefined">{{
        t('work.lookedAtAgain', { again: shortDay(gate.again, context.today) })
      }}</span>
      <template v-if="gate.overruled !== undefined"
        ><span>{{ t('work.quoted', { note: gate.overruled }) }}</span
        ><button type="button" class="opens" @click="emit('heed')">{{ t('work.removeOverride') }}</button></template
      >
      <button v-else-if="can && !asking" type="button" class="opens" @click="asking = true">
        {{ t('work.overrideWithANote') }}
      </button>
      <span v-if="gate.binding && gate.state === 'hold'">{{ t('work.lawOrLabelNothing') }}</span>
    </div>
    <form v-if="asking" class="ask" novalidate @submit.prevent="send">
      <input
        v-model="note"
        maxlength="400"
        :placeholder="t('work.whyItGoesAhead')"
        :aria-label="t('work.noteForTheOverride')"
      />
      <UButton type="submit" size="xs" variant="outline" :disabled="!note.trim()">{{
        t('work.overrideWithThisNote')
      }}</UButton>
    </form>
  </div>
</template>

<style scoped>
.after {
  padding-left: 22px;
  font-size: 12px;
  color: var(--ink-2);
  display: flex;
  gap: 3px 10px;
  flex-wrap: wrap;
}
.opens {
  font-size: 12px;
  min-height: 24px;
}
.ask {
  display: flex;
  gap: 6px;
  padding: 4px 0 4px 22px;
  flex-wrap: wrap;
}
.ask input {
  flex: 1 1 140px;
  border: 1px solid var(--ink);
  background: var(--lime);
  padding: 4px 7px;
  min-height: 30px;
  border-radius: 2px;
  min-width: 0;
  font-size: 12.5px;
}
@media (max-width: 900px) {
  .ask input,
  .opens {
    min-height: 48px;
  }
  .after {
    font-size: 13.5px;
    align-items: center;
  }
}
@media print {
  .after,
  .ask {
    display: none;
  }
}
</style>
