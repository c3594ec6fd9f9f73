<script setup lang="ts">
import type { ProgrammeCode } from '#core/job/decision/programmes'

/** Programmes that the rules refuse here, each with its reason. */
defineProps<{ refused: ReturnType<typeof useDecide>['refused']['value']; open: boolean }>()
const emit = defineEmits<{ insist: [code: ProgrammeCode] }>()
</script>

<template>
  <section class="unfit">
    <h2>{{ t('decide.notSuitable') }}</h2>
    <ul>
      <li v-for="{ programme, why } in refused" :key="programme.code">
        <s>{{ tell(programme.name) }}</s>
        <span>
          <PhraseText :phrase="why.text" />{{ ' ' }}
          <button
            v-if="open"
            type="button"
            class="opens"
            :aria-label="t('decide.anyway', { name: programme.name })"
            @click="emit('insist', programme.code)"
          >
            {{ t('decide.planItAnyway') }}
          </button>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
ul {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  display: grid;
  grid-template-columns: 132px 1fr;
  gap: 8px;
}
s {
  font-weight: 600;
}
@media (max-width: 700px) {
  ul {
    grid-template-columns: 1fr;
  }
}
</style>
