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
      Still missing <span class="small">{{ missing.length }} of {{ all }} answers</span>
    </h2>
    <ul>
      <li v-for="question in more ? inOrder : inOrder.slice(0, SHOWN)" :key="`${question.zoneId}${question.code}`">
        <GateGlyph :state="question.needed ? 'risk' : 'waiting'" />
        <span
          ><b>{{ question.words[0]!.toUpperCase() + question.words.slice(1) }}.</b> {{ question.left }}</span
        >
        <button type="button" class="opens" :aria-label="`Answer: ${question.words}`" @click="emit('answer', question)">
          Answer
        </button>
      </li>
    </ul>
    <button v-if="inOrder.length > SHOWN" type="button" class="opens" @click="more = !more">
      {{ more ? 'Fewer' : `${inOrder.length - SHOWN} more` }}
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
