<script setup lang="ts">
import { NO_WORK } from '#core/job/nothingDecided'
import { operationOf } from '#core/job/operations/registry'
import type { GrassCode } from '#core/grass/grasses'
import { PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'
import type { PracticeCode, Practices } from '#core/job/decision/practices'
import { shortDay } from '#core/measure/calendar'
import { settingsUnder, type Candidate } from '#core/job/decision/candidates'
import { fieldName, fieldText } from '~/utils/fieldWords'
import { noteProblem } from '~/utils/overrule'
import { beginningSettings, practicesOf } from '#core/job/seeding'
import { lookFields } from '~/composables/useSurvey'

const here = useLawn()
const { id, lawn, job, ground, missing, decision, outlook, drop, savePlan, busy, problem, stepTo } = here
const context = useContextStore()
const store = useLawnsStore()
const sill = useSillStore()
const { candidates, refused, differences, candidateFor } = useDecide(here)
const look = useMergingSave((value: ReturnType<typeof lookFields>) => store.saveLook(id, value), lookFields, (path) => fieldName(path))
const chosen = computed(() => lawn.value?.plan.programme ?? null)
/** Ordering and testing bind nobody to a programme; work on the lawn does. */
const started = computed(() => lawn.value?.done.some(({ key }) => (operationOf(key)?.phase ?? 'before') !== 'before') ?? false)
const waiting = computed(() => decision.value?.waiting)
const recommended = computed(() => decision.value?.recommended)
const counts = computed(() => `${candidates.value.length} ${candidates.value.length === 1 ? 'programme fits' : 'programmes fit'}, ${refused.value.length} do not.`)
/** A choice against the rules, or against a hold, keeps a note. */
const against = ref<Candidate>()
const note = ref('')
const noteError = ref('')

const verdict = computed(() => {
  const holds = waiting.value?.holds ?? []
  const next = waiting.value?.next
  if (holds.length) return { words: 'Wait.', because: next ? `Next possible day ${shortDay(next, context.today)}.` : 'Until the cause is dealt with.' }
  const foremost = chosen.value ?? recommended.value
  const window = waiting.value?.window
  if (!foremost) return { words: 'Nothing here fits.', because: 'See why below each programme; the survey may want another look.' }
  const { name, anchor } = PROGRAMMES[foremost]
  const dates = window && `${shortDay(window.from, context.today)} to ${shortDay(window.to, context.today)}`
  const because = dates ? `${dates} gives it time to ${anchor === 'seeding' ? 'root' : 'grow through'}.` : ''
  return { words: `${name}.`, because }
})

async function plan(candidate: Candidate, why: string | null): Promise<void> {
  if (!lawn.value || !job.value) return
  const { code } = candidate.programme
  const chosenBefore = lawn.value.plan.programme
  const settings = beginningSettings(ground.value!, job.value, practicesOf(job.value, context.firmRecord), code)
  // A plan for another work keeps its day only where that still comes after all of it.
  const sowOn = lawn.value.plan.sowOn && candidate.sowOn <= lawn.value.plan.sowOn ? lawn.value.plan.sowOn : null
  if (await savePlan({ programme: code, overruleNote: why, settings, sowOn, ...(code === chosenBefore ? {} : { work: NO_WORK }) })) {
    against.value = undefined
    // What was tried of another programme says nothing of this one.
    if (code !== chosenBefore) drop()
    await navigateTo(stepTo('when'))
  }
}
function choose(candidate: Candidate): void {
  const overrules = candidate.waiting.holds.length > 0 || (recommended.value !== undefined && candidate.programme.code !== recommended.value)
  if (!overrules) return void plan(candidate, null)
  against.value = candidate
  note.value = ''
  noteError.value = ''
  void nextTick(() => document.querySelector<HTMLInputElement>('#field-note')?.focus())
}
function insist(code: ProgrammeCode): void {
  const refusedOne = candidateFor(code)
  if (!refusedOne) return
  against.value = refusedOne
  note.value = ''
  noteError.value = ''
  void nextTick(() => document.querySelector<HTMLInputElement>('#field-note')?.focus())
}
function overrule(): void {
  noteError.value = noteProblem(note.value)
  if (!noteError.value && against.value) void plan(against.value, note.value.trim())
}
async function takeOut(): Promise<void> {
  if (await savePlan({ programme: null, sowOn: null, overruleNote: null, settings: null, work: NO_WORK })) drop()
}
async function practise(question: PracticeCode, code: string): Promise<void> {
  if (!lawn.value || !job.value) return
  const before = practicesOf(job.value, context.firmRecord)
  const after = { ...before, [question]: code } as Practices
  const practices = { ...lawn.value.plan.practices, [question]: code } as Partial<Practices>
  if (context.firmRecord.practices[question] === code) Reflect.deleteProperty(practices, question)
  const settings = chosen.value
    ? settingsUnder({ job: job.value, lawn: ground.value! }, before, after, chosen.value)
    : lawn.value.plan.settings
  await savePlan({ practices, settings })
}
async function treat(zoneId: string, programme: ProgrammeCode | 'leave' | 'rest', why: string): Promise<void> {
  if (!lawn.value) return
  const zonePlans = { ...lawn.value.plan.zonePlans }
  if (programme === 'rest') Reflect.deleteProperty(zonePlans, zoneId)
  else zonePlans[zoneId] = { programme, note: why }
  await savePlan({ zonePlans })
}
async function sowWith(zoneId: string, grass: GrassCode): Promise<void> {
  if (!lawn.value) return
  const base = lookFields(lawn.value)
  const changed = { ...base, zones: { ...base.zones, [zoneId]: { ...base.zones[zoneId]!, grass } } }
  if (await look.save(base, changed)) await sill.show(id)
}
const overruled = computed(() => {
  const of = lawn.value
  if (!of) return []
  const zones = Object.entries(of.plan.zonePlans).flatMap(([zoneId, { programme, note: why }]) => (why && programme !== 'leave' ? [{ what: `${PROGRAMMES[programme].name}, ${of.zones[zoneId]?.name ?? 'a zone that is gone'}`, why }] : []))
  return [...(of.plan.overruleNote ? [{ what: of.plan.programme ? PROGRAMMES[of.plan.programme].name : 'The plan', why: of.plan.overruleNote }] : []), ...zones]
})
</script>

<template>
  <div v-if="lawn" class="decide">
    <EditClash v-if="look.clash.value" class="whole" :clash="look.clash.value" :label="(path) => fieldName(path)" :show="(path, value) => fieldText(path, value, context.units)" :busy="look.busy.value" @settle="(theirs) => look.settleClash(theirs)" />
    <section v-if="missing.length" class="panel ask whole">
      <p class="verdict">The survey is not done yet.</p>
      <p>Missing: {{ missing.join(', ') }}.</p>
      <UButton color="primary" :to="stepTo('look')">Answer what is missing</UButton>
    </section>
    <template v-else-if="decision && waiting">
      <section class="whole top" :class="{ held: waiting.holds.length }">
        <p class="verdict">{{ verdict.words }}</p>
        <p class="because">{{ verdict.because }} <span class="small">{{ counts }}</span></p>
        <div v-if="waiting.holds.length || waiting.clear.length" class="gates">
          <GateLine v-for="(gate, i) in [...waiting.holds, ...waiting.clear]" :key="i" :gate="gate" with-source />
        </div>
        <p v-if="waiting.binding" class="caution">A label interval is not overruled. If the label in hand says otherwise, correct the wait in Look.</p>
        <div v-if="chosen" class="actions">
          <UButton color="primary" :to="stepTo('when')">Choose sowing day</UButton>
          <UButton v-if="!started" variant="outline" :loading="busy" @click="takeOut">Take it out of the plan</UButton>
        </div>
      </section>
      <section v-if="against" class="whole panel-open ask" aria-label="Override">
        <p><b>{{ against.programme.name }}.</b> {{ against.waiting.holds.length ? 'It is held: ' : 'It is not what is recommended here. ' }}<PhraseText v-if="against.waiting.holds[0]" :phrase="against.waiting.holds[0].text" /></p>
        <div class="actions">
          <UFormField label="Plan it anyway, because" name="note" :error="noteError" class="note"><UInput
            id="field-note" v-model="note" maxlength="400" placeholder="the ash gets lifted in October" @keydown.enter.prevent="overrule" /></UFormField>
          <UButton color="primary" :loading="busy" @click="overrule">Override with this note</UButton>
          <UButton variant="outline" @click="against = undefined">Leave it</UButton>
        </div>
      </section>
      <p v-if="problem ?? look.problem.value" class="problem whole" role="alert">{{ (problem ?? look.problem.value)?.message }}</p>
      <div class="left">
        <ProgrammeColumns :candidates="candidates" :chosen="chosen" :recommended="recommended" :years="outlook?.years ?? 30" :busy="busy" :locked="started" @plan="choose" />
        <p v-if="started" class="small">Work has begun; the programme stays. Undo what is done in Do to change it.</p>
        <section v-if="refused.length" class="unfit">
          <h2>Not suitable</h2>
          <ul><li v-for="one in refused" :key="one.programme.code"><s>{{ one.programme.name }}</s> <span><PhraseText :phrase="one.why.text" /> <button v-if="!started && !waiting.binding" type="button" class="opens" :aria-label="`${one.programme.name} anyway`" @click="insist(one.programme.code)">Plan it anyway</button></span></li></ul>
        </section>
      </div>
      <div class="right">
        <PracticeChoices :differences="differences" :locked="started || busy" @choose="practise" />
        <GrassByZone :lawn="lawn" :zones="decision.zones" :chosen="chosen" :busy="busy || look.busy.value" :locked="started" @grass="sowWith" @programme="treat" />
        <section v-if="overruled.length">
          <h2>Overridden <span class="small">{{ lawn.plan.savedBy }}{{ lawn.plan.savedAt ? `, ${shortDay(lawn.plan.savedAt.slice(0, 10) as never, context.today)}` : '' }}</span></h2>
          <p v-for="one in overruled" :key="one.what"><b>{{ one.what }}</b>: “{{ one.why }}”</p>
        </section>
      </div>
    </template>
    <p v-else class="panel ask whole" role="status">Working out 30 weather years for this ground.</p>
  </div>
</template>

<style scoped>
.decide { display: grid; grid-template-columns: minmax(0, 1fr) 376px; gap: 12px 24px; align-items: start; }
.whole { grid-column: 1 / -1; }
.ask { padding: 12px 16px; display: grid; gap: 8px; justify-items: start; }
.top { display: grid; grid-template-columns: auto 1fr auto; gap: 2px 16px; align-items: baseline; }
.top .verdict { font-size: 22px; }
.top .gates, .top .caution { grid-column: 1 / -1; }
.top .actions { width: auto; grid-row: 1; grid-column: 3; }
.gates { display: grid; grid-template-columns: 1fr 1fr; gap: 2px 24px; }
.held { border: 2px solid var(--ink); padding: 10px 14px; background: repeating-linear-gradient(45deg, var(--chalk) 0 6px, var(--paper) 6px 12px); }
.held .gates { background: var(--lime); padding: 6px 10px; }
.because { color: var(--ink-2); }
.actions { display: flex; gap: 10px; align-items: flex-end; flex-wrap: wrap; width: 100%; }
.note { flex: 1 1 320px; max-width: 560px; }
.left, .right { display: grid; gap: 14px; align-content: start; min-width: 0; }
h2 { border-bottom: 1.5px solid var(--ink); padding-bottom: 3px; }
.unfit ul { display: grid; grid-template-columns: 1fr 1fr; gap: 0 24px; }
.unfit li { padding: 6px 0; border-bottom: 1px solid var(--rule); display: grid; grid-template-columns: 132px 1fr; gap: 8px; }
.unfit s { font-weight: 600; }
@media (max-width: 1000px) { .decide { grid-template-columns: minmax(0, 1fr); } }
@media (max-width: 700px) { .top, .gates, .unfit ul { grid-template-columns: 1fr; } .top .actions { grid-row: auto; grid-column: 1; } }
</style>
