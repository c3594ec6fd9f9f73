<script setup lang="ts">
import { questionCount, type OpenQuestion } from '#core/site/questions'

/** What nobody has answered yet, and what the plan does meanwhile. */
const emit = defineEmits<{ answer: [question: OpenQuestion] }>()
const { draft, missing } = useSurveyHere()
const all = computed(() => questionCount(draft))
const inOrder = computed(() => [...missing.value].sort((a, b) => Number(b.needed) - Number(a.needed)))
const more = ref(false)
const SHOWN = 6
</script>

<template>
  <section v-if="missing.length">
    <h2>
      {{ t('look.stillMissing') }}
      <span class="small">{{ t('look.ofAnswers', { missing: missing.length, all }) }}</span>
    </h2>
    <ul>
      <li v-for="question in more ? inOrder : inOrder.slice(0, SHOWN)" :key="`${question.zoneId}${question.code}`">
        <GateGlyph :state="question.needed ? 'risk' : 'waiting'" />
        <span
          ><b>{{ capital(tell(question.words)) }}.</b> {{ tell(question.left) }}</span
        >
        <button
          type="button"
          class="opens"
          :aria-label="t('look.answer', { words: question.words })"
          @click="emit('answer', question)"
        >
          {{ t('look.answer2') }}
        </button>
      </li>
    </ul>
    <button v-if="inOrder.length > SHOWN" type="button" class="opens" @click="more = !more">
      {{ more ? t('look.fewer') : t('look.more', { inOrder: inOrder.length - SHOWN }) }}
    </button>
  </section>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
li {
  display: grid;
  grid-template-columns: 18px 1fr auto;
  gap: 8px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  align-items: start;
}
li .opens {
  min-height: 26px;
}
@media (max-width: 700px) {
  .opens {
    min-height: 40px;
  }
}
</style>
