<script setup lang="ts">
import { addDays, daysBetween, longDay, nearestWorkingDay, shortDay, shortDayWithWeekday, type Day } from '#core/measure/calendar'
import type { DryHours } from '#core/establishment/moisture'
import { indexOf } from '#core/establishment/outlook'
import { emergenceWorked } from '#core/establishment/emergenceWorking'
import { barrierUntil, labelForbids } from '#core/job/decision/decide'
import { grassOf, wateringOf } from '#core/job/lawn'
import { sownOn as seedSown } from '#core/job/seeding'
import { depthLimitOf, mainOf, type Blend } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import { shallowEnough } from '#core/job/settings'
import { isAnchorKey } from '#core/job/operations/registry'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { inSeason, leadDaysOf } from '#core/job/decision/wait'
import { figure } from '#core/measure/figure'
import { CAUSES } from '~/utils/causeWords'

const { id, lawn, job, plan, shown, outlook, decision, tries, tryOut, keepTrial, savePlan, busy, problem, stepTo } = useLawn()
const sill = useSillStore()
const context = useContextStore()

const sownOn = computed(() => lawn.value?.done.find(({ key }) => isAnchorKey(key))?.doneOn)
const seed = computed(() => (lawn.value && job.value ? seedSown(lawn.value, job.value) : undefined))
const grass = computed(() => grassByCode(seed.value ? mainOf(seed.value) : 'TF'))
/** The programme brings its own seed, or none: there is nothing to mix. */
const mixable = computed(() => Boolean(lawn.value && !lifted.value && !(lawn.value.plan.programme && PROGRAMMES[lawn.value.plan.programme].seed)))
/** Nothing is sown: the day is that of the first lift, in the growing season. */
const lifted = computed(() => Boolean(lawn.value?.plan.programme && PROGRAMMES[lawn.value.plan.programme].anchor === 'dressing'))
/** The best day of the first window that is still open, clear of every label interval. */
const suggested = computed<Day>(() => {
  const of = lawn.value
  if (!of || !outlook.value) return addDays(context.today, 14)
  const soonest = addDays(context.today, of.plan.programme ? leadDaysOf(of.plan.programme) : 0)
  const barrier = lifted.value ? context.today : barrierUntil(of.applications, context.today).clear
  const clear = barrier > soonest ? barrier : soonest
  const windows = lifted.value ? outlook.value.growing : inSeason(outlook.value.windows, plan.value!.practices.season, of.latDeg)
  const window = windows.find(({ to }) => to >= clear)
  if (!window) return addDays(context.today, 14)
  const from = window.from < clear ? clear : window.from
  return nearestWorkingDay(window.best < clear ? clear : window.best, context.firmRecord.workingDays, from, window.to)
})
const kept = computed(() => sownOn.value ?? lawn.value?.plan.sowOn ?? null)
/** The day that is looked at: tried out where it is not the one that is kept. */
const day = computed<Day>({
  get: () => tries('day')?.change.sowOn ?? kept.value ?? suggested.value,
  set: (asked) => { tryOut('day', asked === kept.value ? undefined : { words: `${lifted.value ? 'First lift' : 'Sow'} on ${shortDayWithWeekday(asked)}`, change: { sowOn: asked } }) },
})
// Until a day is kept or chosen the best is put forward, and hangs from the ledge too; it goes with this view.
watchEffect(() => {
  const tried = tries('day')
  if (outlook.value && !kept.value && (!tried || tried.offered) && tried?.change.sowOn !== suggested.value)
    tryOut('day', { words: '', change: { sowOn: suggested.value }, offered: true })
})
onUnmounted(() => { if (tries('day')?.offered) tryOut('day', undefined) })

const { text } = useUnits()
const years = computed(() => outlook.value?.years ?? 30)
const at = (d: Day) => outlook.value?.sowing[indexOf(outlook.value, d)]
const chosen = computed(() => at(day.value))
const compare = computed(() => [-14, -7, 0, 7, 14].map((step) => addDays(day.value, step)).flatMap((d) => (at(d) && d >= context.today ? [{ day: d, ...at(d)! }] : [])))

const hour = (h: number) => `${String(h).padStart(2, '0')}:00`
const dryWords = ({ hoursADay, between }: DryHours) =>
  hoursADay < 0.1 ? 'hardly ever' : `${hoursADay.toFixed(1)} h a day${between && hoursADay < 23 ? `, mostly ${hour(between[0])} to ${hour(between[1])}` : ''}`
/** How the odds take the bed to be watered. */
const watered = computed(() => {
  const { timesADay, bannedUntil } = wateringOf(lawn.value!)
  const words = timesADay === 'as told' ? 'the client is taken to water as told' : timesADay === 0 ? 'nobody waters, so rain alone counts' : `the client waters ${timesADay === 1 ? 'once' : timesADay === 2 ? 'twice' : `${timesADay} times`} a day, as Look says`
  return bannedUntil ? `${words}, not before ${shortDay(bannedUntil, context.today)}` : words
})
const growing = computed(() => outlook.value?.growing[0])
const half = computed(() => chosen.value && !chosen.value.parts.length ? emergenceWorked(grass.value, day.value, chosen.value, years.value) : undefined)
const on = (days: number | null) => (days === null ? 'not this season' : shortDay(addDays(day.value, days)))
const preview = computed(() => shown.value?.schedule)
const sowGates = computed(() => {
  const anchor = lifted.value ? 'dressing' : 'seeding'
  return preview.value?.tasks.find(({ operation }) => operation.anchors === anchor)?.gates ?? []
})
const forbidden = computed(() => (lawn.value && !lifted.value ? labelForbids(lawn.value.applications, day.value) : undefined))
const inside = computed(() => outlook.value?.insideBand.find(({ to }) => to >= outlook.value!.todayIndex))
const dated = (i: number) => shortDay(addDays(outlook.value!.first, i), context.today)

async function sow(blend: Blend): Promise<void> {
  const { settings } = lawn.value!.plan
  // A mixture lies no deeper than its shallowest seed bears.
  await savePlan({ blend: [...blend], ...(settings && blend.length ? { settings: shallowEnough(settings, depthLimitOf(blend)) } : {}) })
}
async function keep(): Promise<void> {
  if (!tries('day') || await keepTrial()) await navigateTo(stepTo('do'))
}
</script>

<template>
  <div v-if="lawn && outlook" class="when">
    <section v-if="!lawn.plan.programme" class="panel ask">
      <p class="verdict">Nothing is decided yet.</p>
      <p>{{ decision ? '' : 'Finish the survey first.' }} The odds below are for {{ grass.name }}.</p>
      <UButton color="primary" :to="stepTo('decide')">Go to Decide</UButton>
    </section>
    <div class="left">
      <WhenChart v-model="day" :outlook="outlook" :locked="sownOn !== undefined" :lifted="lifted" />
      <p class="small from">
        Weather years from {{ sill.data?.yearsFrom }}. <template v-if="!lifted">Constants of germination, rooting and drying are ours; {{ watered }}.&#32;</template>
        <template v-if="sill.data && !sill.data.recordEnds"><b>{{ sill.data.stationName }} has no days yet</b>, so the soil of today is a guess. <NuxtLink to="/weather" class="opens">Import its days</NuxtLink></template>
        <template v-else-if="sill.data?.recordEnds && daysBetween(sill.data.recordEnds, context.today) > 1">
          <b>The record ends {{ shortDay(sill.data.recordEnds, context.today) }}</b>: from there to today the normals fill in, so the soil of today is a guess.
          <NuxtLink to="/weather" class="opens">Import later days</NuxtLink>
        </template>
      </p>
      <SeedPick v-if="mixable && lawn.plan.programme" :blend="lawn.plan.blend" :single="grassOf(lawn) ?? 'TF'" :busy="busy" :locked="sownOn !== undefined" @choose="sow" />
      <WhatIf v-if="!lifted && !sownOn" :key="`${lawn.version}-${lawn.plan.version}`" :lawn-id="id" :day="day" />
      <OddsTable v-if="!lifted" :outlook="outlook" />
    </div>
    <aside>
      <template v-if="lifted">
        <p class="verdict">{{ sownOn ? `Dressed on ${longDay(day)}.` : `First lift on ${longDay(day)}.` }} Nothing is sown.</p>
        <p v-if="growing" class="small">The turf grows through a dressing from <b>{{ shortDay(growing.from, context.today) }}</b>; last lift by <b>{{ shortDay(growing.to, context.today) }}</b>, three weeks before the soil falls below 59 °F (15 °C).</p>
        <p v-else class="small">No growing season of three weeks and more lies in the year ahead at this station.</p>
      </template>
      <WhenVerdict v-else :outlook="outlook" :day="day" :sown="sownOn !== undefined" :lat-deg="lawn.latDeg" @look="day = $event" />
      <p v-if="inside" class="small">Soil at 2 in (50 mm) stays in the germination band <b>{{ dated(inside.from) }} to {{ dated(inside.to) }}</b>, {{ inside.to - inside.from + 1 }} days.</p>
      <table v-if="!lifted" class="ledger facts">
        <tbody>
          <tr v-if="chosen"><td>Soil at the seed, at 2 in (50 mm)</td><td class="right num">{{ text(figure('tempC', chosen.seedbedC, 2)) }}, {{ text(figure('tempC', outlook.soilC.median[indexOf(outlook, day)]!, 2)) }}</td></tr>
          <tr><td>First green</td><td class="right num">{{ on(chosen?.up05 ?? null) }}</td></tr>
          <tr><td>50% emerged<template v-if="half">, after <WorkedNumber :worked="half" /></template></td>
            <td class="right num">{{ chosen?.up50Early === null || chosen?.up50Late === null ? on(chosen?.up50 ?? null) : `${on(chosen?.up50Early ?? null)} to ${on(chosen?.up50Late ?? null)}` }}</td></tr>
          <tr><td>95% emerged</td><td class="right num">{{ on(chosen?.up95 ?? null) }}</td></tr>
          <tr v-if="chosen?.water"><td>Water until up, a day</td><td class="right num">{{ text(figure('depthMm', chosen.water.mmADay, 2)) }}, {{ chosen.water.timesADay.toFixed(1) }} times</td></tr>
          <tr v-if="chosen?.dry"><td>Seedbed dry, with the watering planned</td><td class="right num">{{ dryWords(chosen.dry) }}</td></tr>
          <tr v-if="chosen?.stand?.oldMow"><td>Existing grass needs mowing again</td>
            <td class="right num">{{ on(chosen.stand.oldMow) }}</td></tr>
          <tr><td>First mow</td><td class="right num">{{ chosen?.mow ? `${on(chosen.mow.early)} to ${on(chosen.mow.late)}` : 'not this season' }}</td></tr>
          <tr v-if="chosen?.rootsMm"><td>Roots after six weeks, about</td><td class="right num">{{ text(figure('depthMm', chosen.rootsMm, 2)) }}</td></tr>
          <tr v-if="chosen?.stand"><td>Ground covered after six weeks</td><td class="right num">{{ text(figure('share', chosen.stand.cover, 2)) }}</td></tr>
        </tbody>
      </table>
      <table v-if="chosen?.parts.length" class="ledger">
        <thead><tr><th scope="col">Of the mixture</th><th scope="col" class="right">50% emerged</th>
          <th scope="col" class="right">Good</th></tr></thead>
        <tbody><tr v-for="part in chosen.parts" :key="part.grass"><td>{{ grassByCode(part.grass).name }}</td><td class="right num">{{ on(part.up50) }}</td><td class="right"><b class="num">{{ part.good }}</b></td></tr></tbody>
      </table>
      <table v-if="!lifted" class="ledger">
        <thead><tr><th scope="col">If you sow</th><th scope="col" class="right">Good</th><th v-for="{ code, head } in CAUSES" :key="code" scope="col" class="right">{{ head }}</th></tr></thead>
        <tbody>
          <tr v-for="row in compare" :key="row.day" :class="{ chosen: row.day === day }">
            <td><button v-if="!sownOn" type="button" class="pick" @click="day = row.day">{{ shortDayWithWeekday(row.day) }}</button><template v-else>{{ shortDayWithWeekday(row.day) }}</template></td>
            <td class="right"><b class="num">{{ row.good }}</b></td><td v-for="{ code } in CAUSES" :key="code" class="right">{{ row.causes[code] }}</td>
          </tr>
        </tbody>
      </table>
      <div v-if="!sownOn" class="gates"><GateLine v-for="(gate, i) in sowGates" :key="i" :gate="gate" /></div>
      <p v-for="{ text: trouble } in preview?.troubles ?? []" :key="trouble" class="caution">{{ trouble }}</p>
      <p v-if="forbidden && !sownOn" class="caution">{{ forbidden }}</p>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <div v-if="lawn.plan.programme && !sownOn" class="actions">
        <UButton color="primary" :loading="busy" :disabled="forbidden !== undefined" @click="keep">{{ lawn.plan.sowOn && lawn.plan.sowOn !== day ? `Move ${lifted ? 'the first lift' : 'sowing'} to ${shortDay(day)}` : `Keep ${shortDay(day)}` }}</UButton>
        <UButton v-if="day !== suggested" variant="outline" @click="day = suggested">Best day, {{ shortDay(suggested) }}</UButton>
      </div>
    </aside>
  </div>
  <div v-else class="panel waiting">Working out the weather years for this ground.</div>
</template>

<style scoped>
.when { display: grid; grid-template-columns: minmax(0, 1fr) 326px; gap: 14px 26px; }
.ask { grid-column: 1 / -1; padding: 10px 16px; display: flex; gap: 16px; align-items: center; flex-wrap: wrap; }
.from { margin: 8px 0 0 40px; max-width: 720px; }
aside { display: grid; grid-template-columns: minmax(0, 1fr); gap: 8px; align-content: start; }
aside > .verdict { font-size: 21px; }
.facts td { padding: 4px 8px; }
.ledger td { vertical-align: middle; }
.ledger td, .ledger th { white-space: nowrap; padding-left: 4px; padding-right: 4px; }
.facts td:first-child { white-space: normal; }
.chosen { background: var(--straw-tint); outline: 1px solid var(--ink); font-weight: 600; }
.pick { display: inline-flex; align-items: center; cursor: pointer; text-decoration: underline dotted; text-underline-offset: 3px; min-height: 24px; }
.actions { display: flex; gap: 8px; flex-wrap: wrap; }
.waiting { padding: 24px; font-size: 15px; }
@media (max-width: 900px) { .when { grid-template-columns: minmax(0, 1fr); } aside { order: -1; } .ask { order: -2; } .pick { min-height: 48px; } }
</style>
