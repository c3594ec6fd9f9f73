<script setup lang="ts">
import { addDays, daysBetween, shortDay, weekdayIndex, type Day } from '#core/measure/calendar'
import type { Phase } from '#core/job/operations/definition'
import { anchorCode, isAnchorKey, operationByCode, operationOf } from '#core/job/operations/registry'
import type { Slip } from '#core/job/schedule/schedule'
import type { Work } from '#contract/work'
import { fieldName, fieldText } from '~/utils/fieldWords'

const here = useLawn()
const { id, lawn, stepTo } = here
const context = useContextStore()
const work = useWork(here)
const { trial, shown, moves, comes, goes, confirmed, kept, busy, marking, message, merged, problem, clash } = work

/** A sowing day that is tried out hangs from the ledge too. */
const trialDay = useState<Day | null>('trial-day', () => null)
watch(trial, (now) => { trialDay.value = now && now.sowOn !== lawn.value?.plan.sowOn ? now.sowOn : null })
onUnmounted(() => { trialDay.value = null })

const anchor = computed(() => shown.value?.slips.find(({ key }) => isAnchorKey(key))?.key ?? anchorCode('seeding'))
const plan = computed(() => lawn.value!.plan)
function nameOf(key: string): string {
  return shown.value?.slips.find((slip) => slip.key === key)?.name ?? operationOf(key)?.name ?? 'Own work'
}

const PHASES: { phase: Phase; name: string; about: string }[] = [{ phase: 'before', name: 'Ready before', about: 'from afar' }, { phase: 'work', name: 'The work', about: '' }, { phase: 'after', name: 'Looked after', about: 'when it grows' }]
/** Work of one day is one slip, torn by dots. */
const groups = computed(() => PHASES.map(({ phase, name, about }) => {
  const out: Slip[][] = []
  for (const slip of (shown.value?.slips ?? []).filter(({ operation }) => operation.phase === phase)) {
    const last = out.at(-1)?.[0]
    if (last && last.from === slip.from && last.to === slip.to && Boolean(last.done) === Boolean(slip.done)) out.at(-1)!.push(slip)
    else out.push([slip])
  }
  return { phase, name, about, cards: out }
}).filter(({ cards }) => cards.length))
/** One scale for the float rules of the work; what comes before and after stands in words. */
const scale = computed(() => {
  const early = (shown.value?.slips ?? []).filter(({ operation }) => operation.phase === 'work' && !operation.autumnBefore)
  if (!early.length) return { from: context.today, days: 7, mondays: [] }
  const from = early.reduce<Day>((least, slip) => [least, slip.from, slip.earliest].sort()[0]!, early[0]!.from)
  const to = early.reduce<Day>((most, slip) => (slip.latest > most && daysBetween(slip.to, slip.latest) < 60 ? slip.latest : slip.to > most ? slip.to : most), early[0]!.to)
  const days = Math.max(7, daysBetween(from, to) + 4)
  return { from, days, mondays: Array.from({ length: days }, (_, i) => addDays(from, i)).filter((day) => weekdayIndex(day) === 1) }
})
/** As many dates over the rules as can be read beside each other. */
const MOST_TICKS = 3
const ticks = computed(() => {
  const { mondays } = scale.value
  const every = Math.max(1, Math.ceil(mondays.length / MOST_TICKS))
  return mondays.filter((_, i) => i % every === 0)
})
const place = (day: Day) => ((daysBetween(scale.value.from, day) + 0.5) / scale.value.days) * 100
/** Who confirmed the schedule and when, and whether it is still that. */
const confirmedWords = computed(() => {
  if (!confirmed.value) return ''
  const { on, by, version } = confirmed.value
  return `Confirmed ${shortDay(on, context.today)}${by ? ` by ${by}` : ''}${version === plan.value.version ? '.' : '; changed since.'}`
})
/** Limits that what is tried would break, and that hold as it stands. */
const breaks = computed(() => {
  const standing = new Set(work.standing.value?.troubles.map(({ text }) => text))
  return (trial.value ? (shown.value?.troubles ?? []) : []).map(({ text }) => text).filter((text) => !standing.has(text))
})
const moved = computed(() => new Set(moves.value.map(({ key }) => key)))

const without = <T>(all: Record<string, T>, key: string): Record<string, T> => Object.fromEntries(Object.entries(all).filter(([one]) => one !== key))
const tryDay = (keys: string[], day: Day) => { work.tryDay(keys, keys.includes(anchor.value), day < context.today ? context.today : day, keys.length > 1 ? keys.map(nameOf).join(', ') : nameOf(keys[0]!)) }
const float = (key: string) => { work.tryOut(`${nameOf(key)} finds its own day`, { pins: without(plan.value.work.pins, key) }) }
const skip = (key: string, reason: string) => { work.tryOut(`Without ${nameOf(key).toLowerCase()}`, { skipped: { ...plan.value.work.skipped, [key]: reason }, pins: without(plan.value.work.pins, key) }) }
const putBack = (key: string) => { work.tryOut(`${nameOf(key)} put back`, { skipped: without(plan.value.work.skipped, key) }) }
const add = (code: Work['added'][number]) => { work.tryOut(`${operationByCode(code).name} put in`, { added: [...plan.value.work.added, code] }) }
const addOwn = (own: Work['own'][string]) => { work.tryOut(own.name, { own: { ...plan.value.work.own, [`own-${crypto.randomUUID()}`]: own } }) }
const takeOut = (key: string) => { work.tryOut(`Without ${nameOf(key).toLowerCase()}`, { added: plan.value.work.added.filter((code) => code !== key), own: without(plan.value.work.own, key), pins: without(plan.value.work.pins, key) }) }
const overrule = (key: string, code: string, note: string) => {
  const overruled = { ...plan.value.work.overruled, [`${key}:${code}`]: note }
  work.tryOut(`${nameOf(key)}: override with a note`, { overruled })
}
const heed = (key: string, code: string) => {
  const overruled = without(plan.value.work.overruled, `${key}:${code}`)
  work.tryOut(`${nameOf(key)}: override removed`, { overruled })
}

/** What goes to the printer: the whole, each visit on a page of its own, or the notice of one spraying. */
const paper = ref<'slip' | 'visits' | 'notice'>('slip')
const noticed = ref<Slip>()
const sprays = computed(() => (shown.value?.slips ?? []).filter(({ operation, done }) => operation.mark === 'spray' && !done))
async function print(what: typeof paper.value, slip?: Slip): Promise<void> {
  paper.value = what
  noticed.value = slip
  await nextTick()
  window.print()
}
</script>

<template>
  <div v-if="lawn && shown" class="do" :class="`paper-${paper}`">
    <TreatmentNotice v-if="paper === 'notice' && noticed" :lawn="lawn" :slip="noticed" />
    <JobSlipHead v-if="paper !== 'visits'" class="head" :lawn="lawn" :crew-hours="shown.crewHours" />
    <EditClash v-if="clash" :clash="clash" :label="fieldName" :show="(path, value) => fieldText(path, value, context.units)" :busy="busy" @settle="work.settleClash" />
    <div class="summary small">
      <span>All {{ shown.slips.length }} slips: <b>{{ shown.crewHours.toFixed(1) }} crew h</b>.
      <template v-if="shown.next">Next: <b>{{ shown.next.name.toLowerCase() }}, {{ shortDay(shown.next.from) }}</b>.</template>
      <template v-else>Everything is done.</template></span>
      <span class="buttons">
        <span v-if="confirmed && !trial">{{ confirmedWords }}</span>
        <UButton
          v-if="!trial && !moves.length && shown.next && confirmed?.version !== lawn.plan.version" color="primary" size="sm"
          :loading="marking === 'confirm'" @click="work.confirm()"
        >Confirm schedule</UButton>
        <UButton variant="outline" size="sm" @click="print('slip')">Print the job slip</UButton>
        <UButton variant="outline" size="sm" @click="print('visits')">One page a visit</UButton>
        <UButton v-for="slip in sprays.slice(0, 3)" :key="slip.key" variant="outline" size="sm" @click="print('notice', slip)">Notice, {{ slip.name.toLowerCase() }}</UButton>
      </span>
    </div>
    <p v-if="kept && !trial" class="kept small" role="status">{{ kept.words }}: kept. <button type="button" class="opens" @click="work.takeBack()">Undo</button></p>
    <p v-if="merged" class="kept small" role="status">{{ merged }}</p>
    <p v-if="message || problem" class="problem" role="alert">{{ message || problem!.fields.sowOn || problem!.message }}</p>
    <WhatMoves :trying="trial?.words" :moves="moves" :comes="comes" :goes="goes" :troubles="breaks" :busy="busy"
      @keep="work.keep()" @drop="work.drop()" @confirm="work.confirm()" />
    <p v-for="{ text, sowOn } in shown.troubles.filter((one) => !breaks.includes(one.text))" :key="text" class="caution">
      {{ text }} <button v-if="sowOn && !trial" type="button" class="opens" @click="tryDay([anchor], sowOn)">See {{ shortDay(sowOn, context.today) }}</button>
      <NuxtLink :to="stepTo('when')" class="opens">Look at the odds</NuxtLink></p>
    <section v-for="{ phase, name, about, cards } in groups" :key="phase" class="phase" :class="phase">
      <div class="heads small">
        <h2>{{ name }}<span v-if="about" class="small">, {{ about }}</span></h2>
        <span v-if="phase === 'work'" class="ticks" aria-hidden="true"><i v-for="d in ticks" :key="d" :class="{ last: place(d) > 80 }" :style="{ left: `${place(d)}%` }">{{ shortDay(d) }}</i></span>
      </div>
      <div v-for="group in cards" :key="group[0]!.key" class="sheet" :class="{ made: group.every(({ done }) => done) }">
        <JobSlipHead v-if="paper === 'visits'" class="own-head" :lawn="lawn" :crew-hours="group.reduce((sum, slip) => sum + slip.hours.value, 0)" />
        <SlipCard :slips="group" :anchor="anchor" :scale="phase === 'work' ? scale : undefined" :busy="marking" :trying="trial !== undefined" :moved="moved" @mark="work.mark" @undo="work.undo" @day="tryDay" @float="float" @skip="skip" @overrule="overrule" @heed="heed" />
      </div>
    </section>
    <AddWork v-if="!trial" :sequence="shown" :work="lawn.plan.work" @add="add" @remove="takeOut" @own="addOwn" @back="putBack" />
    <PlanVersions :lawn-id="id" :job-id="lawn.job.id" :version="lawn.plan.version" :busy="busy" @restore="work.restore" />
  </div>
  <section v-else-if="lawn" class="panel empty">
    <p class="verdict">{{ lawn.plan.programme ? 'No sowing day yet.' : 'Nothing is planned yet.' }}</p>
    <p>The schedule is dated from the sowing day.</p>
    <UButton color="primary" :to="stepTo(lawn.plan.programme ? 'when' : 'decide')">{{
      lawn.plan.programme ? 'Choose sowing day' : 'Go to Decide' }}</UButton>
  </section>
</template>

<style scoped>
.do, .phase { display: grid; gap: 6px; }
.summary, .buttons { display: flex; gap: 4px 12px; align-items: center; flex-wrap: wrap; }
.summary { justify-content: space-between; }
.buttons { gap: 6px; }
.kept { border-left: 5px solid var(--moss); padding: 4px 10px; background: var(--lime); }
.heads { display: grid; grid-template-columns: 112px 128px minmax(0, 1fr); padding-top: 6px; align-items: end; }
.heads h2 { white-space: nowrap; font-size: 16px; }
.ticks { position: relative; height: 16px; }
.ticks i { position: absolute; font-style: normal; transform: translateX(-50%); white-space: nowrap; font-size: 12px; bottom: 0; }
.ticks .last { transform: translateX(-100%); }
.empty { padding: 20px; display: grid; gap: 8px; justify-items: start; }
@media (max-width: 900px) { .ticks { display: none; } .heads { grid-template-columns: 1fr; } }
@media print {
  .do, .phase { gap: 0; }
  /* The slip of the day's work; what is seen to from afar and later has visits of its own. */
  .paper-slip .phase:not(.work) { display: none; }
  .summary, .heads, .kept { display: none; }
  .paper-notice > :not(.notice) { display: none; }
  .paper-visits .sheet:not(:last-child) { break-after: page; }
  .paper-visits .phase.after { break-before: page; }
  .paper-visits .made, .paper-visits .phase.before { display: none; }
}
</style>
