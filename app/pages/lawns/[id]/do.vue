<script setup lang="ts">
import { addDays, daysBetween, shortDay, weekdayIndex, type Day } from '#core/quantity/calendar'
import type { OperationCode } from '#core/programme/operations'
import type { Slip } from '#core/programme/sequence'
import { saving } from '~/utils/api'

const { id, lawn, sequence } = useLawn()
const store = useLawnsStore()
const message = ref('')
const print = () => window.print()
const busy = ref('')

/** Work of one day is one slip, torn by dots. */
const groups = computed<Slip[][]>(() => {
  const out: Slip[][] = []
  for (const slip of sequence.value?.slips ?? []) {
    const last = out.at(-1)?.[0]
    if (last && last.from === slip.from && last.to === slip.to) out.at(-1)!.push(slip)
    else out.push([slip])
  }
  return out
})
/** One scale for the float rules of all slips up to the check; the first mow stands in words. */
const scale = computed(() => {
  const early = (sequence.value?.slips ?? []).filter(({ operation }) => operation.code !== 'mow')
  const from = early.reduce<Day>((least, slip) => (slip.from < least ? slip.from : slip.earliest < least ? slip.earliest : least), early[0]?.from ?? ('2026-01-01' as Day))
  const to = early.reduce<Day>((most, slip) => (slip.latest > most ? slip.latest : most), early[0]?.to ?? ('2026-01-01' as Day))
  const days = Math.max(7, daysBetween(from, to) + 2)
  const mondays: Day[] = []
  for (let i = 0; i <= days; i++) if (weekdayIndex(addDays(from, i)) === 1) mondays.push(addDays(from, i))
  return { from, days, mondays }
})
/** As many dates over the rules as can be read beside each other. */
const MOST_TICKS = 3
const ticks = computed(() => {
  const { mondays } = scale.value
  const every = Math.max(1, Math.ceil(mondays.length / MOST_TICKS))
  return mondays.filter((_, i) => i % every === 0)
})
const place = (day: Day) => ((daysBetween(scale.value.from, day) + 0.5) / scale.value.days) * 100

async function mark(code: OperationCode, doneOn: Day): Promise<void> {
  if (busy.value) return
  busy.value = code
  message.value = ''
  const saved = await saving(() => store.markDone(id, code, doneOn))
  if (!saved.ok) message.value = saved.problem.fields.doneOn ?? saved.problem.message
  busy.value = ''
}
async function undo(code: OperationCode): Promise<void> {
  if (busy.value) return
  busy.value = code
  const saved = await saving(() => store.undoDone(id, code))
  message.value = saved.ok ? '' : saved.problem.message
  busy.value = ''
}
</script>

<template>
  <div v-if="lawn && sequence" class="do">
    <JobSlipHead :lawn="lawn" :crew-hours="sequence.crewHours" />
    <p class="summary small">
      <span>All {{ sequence.slips.length }} slips: <b>{{ sequence.crewHours.toFixed(1) }} crew h</b>.
      <template v-if="sequence.next">Next: <b>{{ sequence.next.operation.name.toLowerCase() }}, {{ shortDay(sequence.next.from) }}</b>.</template>
      <template v-else>Everything is done.</template></span>
      <UButton variant="outline" size="sm" @click="print()">Print the job slip</UButton>
    </p>
    <p v-for="trouble in sequence.troubles" :key="trouble" class="caution">{{ trouble }} <NuxtLink :to="`/lawns/${id}/when`" class="opens">Move the sowing day</NuxtLink></p>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <div class="heads small" aria-hidden="true">
      <span>Date</span>
      <span class="ticks"><i v-for="d in ticks" :key="d" :class="{ last: place(d) > 80 }" :style="{ left: `${place(d)}%` }">{{ shortDay(d) }}</i></span>
      <span>Work and settings</span><span>Gates</span><span />
    </div>
    <SlipCard v-for="group in groups" :key="group[0]!.operation.code" :slips="group" :place="place" :mondays="scale.mondays" :busy="busy" @mark="mark" @undo="undo" />
  </div>
  <section v-else-if="lawn" class="panel empty">
    <p class="verdict">{{ lawn.plan.programme ? 'No sowing day yet.' : 'Nothing is planned yet.' }}</p>
    <p>The sequence is dated from the sowing day.</p>
    <UButton color="primary" :to="`/lawns/${id}/${lawn.plan.programme ? 'when' : 'decide'}`">{{ lawn.plan.programme ? 'Choose the day' : 'Go to Decide' }}</UButton>
  </section>
</template>

<style scoped>
.do { display: grid; gap: 6px; }
.summary { display: flex; gap: 4px 12px; align-items: center; flex-wrap: wrap; }
@media print { .do { gap: 0; } .summary, .heads { display: none; } }
.heads { display: grid; grid-template-columns: 112px 128px minmax(0, 1.25fr) minmax(0, 1fr) 176px; padding-top: 2px; }
.heads span { padding-left: 12px; }
.ticks { position: relative; }
.ticks i { position: absolute; font-style: normal; transform: translateX(-50%); white-space: nowrap; font-size: 12px; }
.ticks .last { transform: translateX(-100%); }
.empty { padding: 20px; display: grid; gap: 8px; justify-items: start; }
@media (max-width: 900px) { .heads { display: none; } }
</style>
