<script setup lang="ts">
import { addDays, daysBetween, shortDay, weekdayName, type Day } from '#core/quantity/calendar'
import type { OperationCode } from '#core/programme/operations'
import type { Slip } from '#core/programme/sequence'

/** The work of one day: date stub, float rule, perforation, and a part for each operation. */
const props = defineProps<{ slips: Slip[]; place: (day: Day) => number; mondays: Day[]; busy: string }>()
defineEmits<{ mark: [code: OperationCode, doneOn: Day]; undo: [code: OperationCode] }>()
const first = computed(() => props.slips[0]!)
const span = computed(() => (first.value.from === first.value.to ? shortDay(first.value.to) : `${first.value.from.slice(8).replace(/^0/, '')}–${shortDay(first.value.to)}`))
const inScale = computed(() => first.value.operation.code !== 'mow')
const hours = computed(() => props.slips.reduce((sum, slip) => sum + slip.hours.value, 0))
/** Cuts two days apart, the last on the slip's day. */
const marks = computed<Day[]>(() => {
  const out: Day[] = []
  const { from, to } = first.value
  for (let day = to; day > from; day = addDays(day, -2)) out.unshift(day)
  // The first may lie a day farther back, off a day the firm is off.
  return daysBetween(from, out[0] ?? to) < 2 && out.length > 1 ? [from, ...out.slice(1)] : [from, ...out]
})
const allDone = computed(() => props.slips.every(({ done }) => done))
</script>

<template>
  <section class="slip" :class="{ done: allDone }" :aria-label="`${span}: ${slips.map((s) => s.operation.name).join(', ')}`">
    <div class="stub">
      <b class="num">{{ span }}</b>
      <span class="small">{{ first.from === first.to ? weekdayName(first.to) : `${weekdayName(first.from).slice(0, 3)} to ${weekdayName(first.to).slice(0, 3)}` }}</span>
      <span v-if="slips.length > 1" class="small hours"><b>{{ hours.toFixed(1) }}</b> crew h</span>
    </div>
    <div class="float">
      <template v-if="inScale">
        <i v-for="d in mondays" :key="d" class="monday" :style="{ left: `${place(d)}%` }" />
        <svg width="100%" height="20" preserveAspectRatio="none" aria-hidden="true">
          <template v-if="!first.done">
            <line :x1="`${place(first.earliest)}%`" :x2="`${place(first.latest)}%`" y1="10" y2="10" stroke="#172019" />
            <line v-for="d in [first.earliest, first.latest]" :key="d" :x1="`${place(d)}%`" :x2="`${place(d)}%`" y1="5" y2="15" stroke="#172019" />
          </template>
          <line v-if="marks.length > 1" :x1="`${place(marks[0]!)}%`" :x2="`${place(marks.at(-1)!)}%`" y1="10" y2="10" stroke="#172019" stroke-width="2" />
          <rect v-for="d in marks" :key="d" :x="`${place(d)}%`" y="4" width="7" height="12" transform="translate(-3.5 0)" fill="#172019" />
        </svg>
      </template>
      <span class="words">{{ first.done ? `done ${shortDay(first.done)}` : first.floatWords }}</span>
    </div>
    <i class="notch top" /><i class="notch foot" />
    <div class="parts">
      <SlipPart v-for="slip in slips" :key="slip.operation.code" :slip="slip" :busy="busy === slip.operation.code" @mark="(doneOn) => $emit('mark', slip.operation.code, doneOn)" @undo="$emit('undo', slip.operation.code)" />
    </div>
  </section>
</template>

<style scoped>
.slip { position: relative; display: grid; grid-template-columns: 112px 128px minmax(0, 1fr); background: var(--lime); border: 1px solid var(--rule-2); }
.slip.done { background: var(--chalk); }
.stub { padding: 9px 12px; display: flex; flex-direction: column; }
.stub b.num { font-size: 16px; }
.stub .hours { margin-top: 8px; }
.float { position: relative; padding: 14px 0 8px; }
.monday { position: absolute; top: 0; bottom: 0; border-left: 1px solid var(--rule); }
.float svg { display: block; position: relative; overflow: visible; }
.words { display: block; text-align: center; font-size: 12px; color: var(--ink-2); font-stretch: 88%; position: relative; padding: 0 6px; }
.words { background: inherit; }
.notch { position: absolute; left: 234px; width: 12px; height: 12px; border-radius: 50%; background: var(--paper); border: 1px solid var(--rule-2); z-index: 1; }
.top { top: -7px; } .foot { bottom: -7px; }
.parts { border-left: 1.5px dashed var(--rule-2); min-width: 0; }
@media (max-width: 900px) {
  .slip { grid-template-columns: 1fr auto; }
  .notch { display: none; }
  .parts { grid-column: 1 / -1; border-left: 0; border-top: 1.5px dashed var(--rule-2); }
  .float { padding: 12px; min-width: 130px; }
  .float svg, .monday { display: none; }
}
@media print {
  .slip, .slip.done { grid-template-columns: 74pt minmax(0, 1fr); border: 0; border-top: 0.75pt solid black; background: none; break-inside: avoid; }
  .float, .notch { display: none; }
  .stub { padding: 3pt 6pt 3pt 0; font-size: 8.5pt; }
  .stub b.num { font-size: 11pt; }
  .parts { grid-column: auto; border: 0; }
}
</style>
