<script setup lang="ts">
import { PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'
import type { Waiting } from '#core/job/decision/wait'

/** What the rules come to, in a line, with what holds it and what is clear. */
const props = defineProps<{ waiting: Waiting; foremost: ProgrammeCode | undefined; counts: string }>()
const context = useContextStore()
const day = (of: Parameters<typeof shortDay>[0]) => shortDay(of, context.today)

const verdict = computed(() => {
  const { holds, next, window } = props.waiting
  if (holds.length)
    return {
      words: t('decide.wait'),
      because: next ? t('decide.nextPossibleDay', { next: day(next) }) : t('decide.untilTheCauseIs'),
    }
  if (!props.foremost)
    return {
      words: t('decide.nothingHereFits'),
      because: t('decide.seeWhyBelowEach'),
    }
  const { name, anchor } = PROGRAMMES[props.foremost]
  const does = anchor === 'seeding' ? 'root' : t('decide.growThrough')
  return {
    words: `${tell(name)}.`,
    because: window ? t('decide.toGivesItTime', { from: day(window.from), to: day(window.to), does }) : '',
  }
})
</script>

<template>
  <section class="top" :class="{ held: waiting.holds.length }">
    <p class="verdict">{{ verdict.words }}</p>
    <p class="because">
      {{ verdict.because }} <span class="small">{{ counts }}</span>
    </p>
    <div v-if="waiting.holds.length || waiting.clear.length" class="gates">
      <GateLine v-for="(gate, i) in [...waiting.holds, ...waiting.clear]" :key="i" :gate="gate" with-source />
    </div>
    <p v-if="waiting.binding" class="caution">
      {{ t('decide.aLabelIntervalIs') }}
    </p>
    <div class="actions"><slot /></div>
  </section>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 2px 16px;
  align-items: baseline;
}
.verdict {
  font-size: 22px;
}
.because {
  color: var(--ink-2);
}
.gates,
.caution {
  grid-column: 1 / -1;
}
.gates {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 24px;
}
.actions {
  display: flex;
  gap: 10px;
  align-items: flex-end;
  flex-wrap: wrap;
  grid-row: 1;
  grid-column: 3;
}
.held {
  border: 2px solid var(--ink);
  padding: 10px 14px;
  background: repeating-linear-gradient(45deg, var(--chalk) 0 6px, var(--paper) 6px 12px);
}
.held .gates {
  background: var(--lime);
  padding: 6px 10px;
}
@media (max-width: 700px) {
  .top,
  .gates {
    grid-template-columns: 1fr;
  }
  .actions {
    grid-row: auto;
    grid-column: 1;
  }
}
</style>
