<script setup lang="ts">
import { shiftWords, type Move } from '#core/programme/changes'
import { shortDayWithWeekday } from '#core/quantity/calendar'

/** What a change would move, or what can no longer stay as it was agreed: seen before it is kept. */
defineProps<{ trying: string | undefined; moves: readonly Move[]; troubles: number; busy: boolean }>()
const emit = defineEmits<{ keep: []; drop: []; agree: [] }>()
const context = useContextStore()
</script>

<template>
  <section v-if="trying || moves.length" class="panel-open moves" role="status" :aria-label="trying ? 'What this would move' : 'Days that cannot stay'">
    <h2>{{ trying ?? (moves.length === 1 ? 'One day cannot stay as it was agreed' : `${moves.length} days cannot stay as they were agreed`) }}</h2>
    <p v-if="trying && !moves.length">Nothing else moves.</p>
    <table v-if="moves.length" class="ledger">
      <thead><tr><th scope="col">Work</th><th scope="col">Agreed</th><th scope="col">Would be</th><th scope="col">Because</th></tr></thead>
      <tbody>
        <tr v-for="move in moves" :key="move.key">
          <td><b>{{ move.name }}</b></td><td class="num">{{ shortDayWithWeekday(move.from, context.today) }}</td><td><b class="num">{{ shortDayWithWeekday(move.to, context.today) }}</b>, {{ shiftWords(move.from, move.to) }}</td><td><PhraseText :phrase="move.why" /></td>
        </tr>
      </tbody>
    </table>
    <p v-if="trying && troubles" class="caution">{{ troubles === 1 ? 'Something cannot be kept this way' : `${troubles} things cannot be kept this way` }}: read below before you keep it.</p>
    <div class="pair">
      <template v-if="trying"><UButton color="primary" :loading="busy" @click="emit('keep')">Keep it so</UButton><UButton variant="outline" @click="emit('drop')">Leave it as it was</UButton></template>
      <UButton v-else color="primary" :loading="busy" @click="emit('agree')">Agree to the new days</UButton>
    </div>
  </section>
</template>

<style scoped>
.moves { padding: 12px 16px; display: grid; gap: 8px; position: sticky; top: 0; z-index: 5; max-height: 60vh; overflow: auto; }
.pair { display: flex; gap: 8px; flex-wrap: wrap; }
@media (max-width: 700px) { .moves { position: static; max-height: none; } .ledger thead { display: none; } .ledger td { display: block; border: 0; padding: 1px 0; } .ledger tr { display: block; border-bottom: 1px solid var(--rule); padding: 5px 0; } }
@media print { .moves { display: none; } }
</style>
