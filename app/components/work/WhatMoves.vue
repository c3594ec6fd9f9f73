<script setup lang="ts">
import { shiftWords, type Move } from '#core/job/schedule/moves'
import type { Message } from '#core/explain/message'
import type { Task } from '#core/job/schedule/schedule'

/** What a change would move, or what can no longer stay as it was agreed: seen before it is kept. */
const props = defineProps<{
  trying: string | undefined
  moves: readonly Move[]
  comes: readonly Task[]
  goes: readonly Task[]
  /** Limits that the change would break, and that hold as it stands. */
  troubles: readonly Message[]
  busy: boolean
}>()
const emit = defineEmits<{ keep: []; drop: []; confirm: [] }>()
const context = useContextStore()
/** Work that moves together is one row, told by the first of it. */
const rows = computed(() => {
  const out: { move: Move; names: string[] }[] = []
  for (const move of props.moves) {
    const same = out.find((row) => row.move.from === move.from && row.move.to === move.to)
    if (same) same.names.push(tell(move.name).toLowerCase())
    else out.push({ move, names: [tell(move.name)] })
  }
  return out
})
const told = (tasks: readonly Task[]) =>
  tasks.map(({ name, to }) => `${tell(name).toLowerCase()}, ${shortDayWithWeekday(to, context.today)}`).join('; ')
const nothing = computed(() => !props.moves.length && !props.comes.length && !props.goes.length)
</script>

<template>
  <section
    v-if="trying || moves.length"
    class="panel-open moves"
    role="status"
    :aria-label="trying ? t('work.whatThisWouldMove') : t('work.daysThatCannotStay')"
  >
    <div class="head">
      <h2>
        {{
          trying ??
          (moves.length === 1 ? t('work.oneDayCannotStay') : t('work.daysCannotStay', { moves: moves.length }))
        }}
      </h2>
      <span class="pair">
        <template v-if="trying"
          ><UButton color="primary" :loading="busy" @click="emit('keep')">{{ t('work.applyChanges') }}</UButton
          ><UButton variant="outline" @click="emit('drop')">{{ t('work.leaveItAsItWas') }}</UButton></template
        >
        <UButton v-else color="primary" :loading="busy" @click="emit('confirm')">{{
          t('work.confirmTheNewDays')
        }}</UButton>
      </span>
    </div>
    <p v-if="trying && nothing">{{ t('work.nothingElseMoves') }}</p>
    <p v-if="comes.length">{{ t('work.added', { comes: told(comes) }) }}</p>
    <p v-if="goes.length">{{ t('work.removed', { goes: told(goes) }) }}</p>
    <template v-if="trying">
      <p v-for="(words, i) in troubles" :key="i" class="caution">{{ t('work.thisScheduleBreaksA', { words }) }}</p>
    </template>
    <table v-if="rows.length" class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('work.work') }}</th>
          <th scope="col">{{ trying ? t('work.planned') : t('work.confirmed2') }}</th>
          <th scope="col">{{ t('work.wouldBe') }}</th>
          <th scope="col">{{ t('work.because') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ move, names } in rows" :key="move.key">
          <td>
            <b>{{ names.join(', ') }}</b>
          </td>
          <td class="num">{{ shortDayWithWeekday(move.from, context.today) }}</td>
          <td>
            <b class="num">{{ shortDayWithWeekday(move.to, context.today) }}</b>,
            {{ tell(shiftWords(move.from, move.to)) }}
          </td>
          <td><PhraseText :phrase="move.why" /></td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.moves {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
  position: sticky;
  top: 0;
  z-index: 5;
  max-height: 52vh;
  overflow: auto;
}
.head,
.pair {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  align-items: center;
}
.head {
  justify-content: space-between;
}
.ledger td:first-child {
  width: 30%;
}
.ledger .num {
  white-space: nowrap;
}
@media (max-width: 700px) {
  .moves {
    position: static;
    max-height: none;
  }
  .ledger thead {
    display: none;
  }
  .ledger td {
    display: block;
    border: 0;
    padding: 1px 0;
    width: auto !important;
  }
  .ledger tr {
    display: block;
    border-bottom: 1px solid var(--rule);
    padding: 5px 0;
  }
}
@media print {
  .moves {
    display: none;
  }
}
</style>
