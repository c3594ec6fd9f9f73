<script setup lang="ts">
import { missingOf, type PlanInput } from '#contract/lawn'
import { shortDay } from '#core/quantity/calendar'
import { fieldName, fieldText } from '~/utils/fieldWords'
import { settingsOf } from '~/utils/planOf'

const { id, lawn, decision, outlook } = useLawn()
const context = useContextStore()
const note = ref(lawn.value?.plan.overruleNote ?? '')
const noteError = ref('')
const { busy, problem, clash, savePlan, settleClash } = usePlanSave(id)
const missing = computed(() => (lawn.value ? missingOf(lawn.value) : []))
const planned = computed(() => lawn.value?.plan.programme === 'overseed')

async function save(change: Partial<PlanInput>, next?: string): Promise<void> {
  if (!lawn.value) return
  const settings = settingsOf(lawn.value, context.practice)
  if (await savePlan({ settings, ...change }) && next) await navigateTo(next)
}
const settled = (takeTheirs: Set<string>) => settleClash(takeTheirs)
const keep = () => save({ programme: 'overseed', overruleNote: null }, `/lawns/${id}/when`)
function overrule(): void {
  noteError.value = note.value.trim().length < 8 ? 'Say why in a few words; the note stays with the plan.' : ''
  if (!noteError.value) void save({ programme: 'overseed', overruleNote: note.value.trim() }, `/lawns/${id}/when`)
}
</script>

<template>
  <div v-if="lawn" class="decide">
    <EditClash v-if="clash" class="whole" :clash="clash" :label="fieldName" :show="(path, value) => fieldText(path, value, context.units)" :busy="busy" @settle="settled" />
    <section v-if="missing.length" class="panel open">
      <p class="verdict">The survey is not done yet.</p>
      <p>Missing: {{ missing.join(', ') }}.</p>
      <UButton color="primary" :to="`/lawns/${id}/look`">Answer what is missing</UButton>
    </section>
    <template v-else-if="decision">
      <section class="panel-open open">
        <p class="verdict">{{ decision.verdict }}</p>
        <p class="because">{{ decision.because }}</p>
        <div v-if="decision.programme === 'overseed'" class="actions">
          <UButton v-if="!planned" color="primary" :loading="busy" @click="keep">Plan the overseeding</UButton>
          <template v-else>
            <b class="text-moss-500">In the plan.</b>
            <UButton color="primary" :to="`/lawns/${id}/when`">Choose the day</UButton>
            <UButton v-if="!lawn.done.length" variant="outline" @click="save({ programme: null, sowOn: null, overruleNote: null })">Take it out of the plan</UButton>
          </template>
        </div>
        <template v-else>
          <p v-if="planned && lawn.plan.overruleNote" class="quote">Overruled: “{{ lawn.plan.overruleNote }}”</p>
          <div v-if="planned" class="actions">
            <UButton color="primary" :to="`/lawns/${id}/when`">Choose the day</UButton>
            <UButton variant="outline" @click="save({ programme: null, sowOn: null, overruleNote: null })">Take it out of the plan</UButton>
          </div>
          <p v-else-if="decision.binding" class="caution">A label interval is not overruled. If the label in hand says otherwise, correct the wait in Look.</p>
          <div v-else class="actions">
            <UFormField label="Plan it all the same, because" name="note" :error="noteError" class="note"><UInput id="field-note" v-model="note" maxlength="400" placeholder="the ash gets lifted in October" /></UFormField>
            <UButton variant="outline" :loading="busy" @click="overrule">Overrule with this note</UButton>
          </div>
        </template>
        <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      </section>
      <section>
        <h2>Why</h2>
        <ul class="reasons"><li v-for="(reason, i) in decision.reasons" :key="i"><GateLine :gate="reason" with-source /></li></ul>
      </section>
      <section>
        <h2>Windows ahead</h2>
        <table class="ledger">
          <thead><tr><th scope="col">Sow between</th><th scope="col">Best day</th><th scope="col" class="right">Good years on it</th></tr></thead>
          <tbody>
            <tr v-for="w in outlook?.windows ?? []" :key="w.from"><td>{{ shortDay(w.from, context.today) }} to {{ shortDay(w.to, context.today) }}</td><td>{{ shortDay(w.best, context.today) }}</td><td class="right"><b class="num">{{ w.bestGood }}</b> of {{ outlook!.years }}</td></tr>
            <tr v-if="!outlook?.windows.length"><td colspan="3">None in the year ahead in which half of the years make a good stand.</td></tr>
          </tbody>
        </table>
        <p class="small">Overseeding is the one programme planned here so far; a lawn that wants killing, levelling or new soil is told so in the reasons.</p>
      </section>
    </template>
    <p v-else class="panel open" role="status">Working out 30 weather years for this ground.</p>
  </div>
</template>

<style scoped>
.decide { display: grid; grid-template-columns: 1.25fr 1fr; gap: 18px 28px; align-items: start; }
.whole { grid-column: 1 / -1; }
.open { grid-column: 1 / -1; padding: 14px 18px; display: grid; gap: 8px; justify-items: start; }
.open .verdict { font-size: 24px; }
.because { font-size: 14px; color: var(--ink-2); }
.actions { display: flex; gap: 12px; align-items: flex-end; flex-wrap: wrap; width: 100%; }
.note { flex: 1 1 320px; max-width: 560px; }
.quote { font-style: italic; }
h2 { border-bottom: 1.5px solid var(--ink); padding-bottom: 3px; }
.reasons li { padding: 6px 0; border-bottom: 1px solid var(--rule); }
.reasons :deep(.gate) { font-size: 13.5px; }
@media (max-width: 800px) { .decide { grid-template-columns: 1fr; } }
</style>
