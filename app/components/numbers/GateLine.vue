<script setup lang="ts">
import type { Gate } from '#core/explain/judgement'
import { SOURCE_KINDS } from '#core/explain/working'

const props = defineProps<{ gate: Gate; withSource?: boolean }>()
/** Beside its tick what is met needs no word; it is read aloud as one. */
const WORDS = { met: 'OK', waiting: t('numbers.pending'), risk: t('numbers.atRisk'), hold: t('numbers.hold') } as const
const COLOURS = { met: 'text-moss-500', waiting: 'text-ink-2', risk: 'text-clay-500', hold: 'text-ink-500' } as const
const source = computed(
  () => props.gate.source && `${tell(props.gate.source.text)} (${t(SOURCE_KINDS[props.gate.source.kind])})`,
)
</script>

<template>
  <div class="gate" :data-state="gate.state">
    <GateGlyph :state="gate.state" />
    <div>
      <b :class="gate.state === 'met' ? 'sr-only' : COLOURS[gate.state]">{{ WORDS[gate.state] }}</b>{{ ' '
      }}<PhraseText :phrase="gate.text" />
      <div v-if="withSource && source" class="source">{{ source }}</div>
    </div>
  </div>
</template>

<style scoped>
/* What is only read aloud stays within its line, also where columns scroll. */
.gate {
  position: relative;
  display: flex;
  gap: 7px;
  font-size: 12.5px;
  font-stretch: 90%;
  line-height: 1.35;
  padding: 1.5px 0;
}
.source {
  color: var(--ink-3);
  font-size: 12px;
}
@media print {
  .gate {
    font-size: 8pt;
    line-height: 1.2;
    padding: 0;
  }
}
@media (max-width: 700px) {
  .gate {
    font-size: 14px;
  }
  .source {
    font-size: 13px;
  }
}
</style>
