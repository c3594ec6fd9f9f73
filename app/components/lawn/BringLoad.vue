<script setup lang="ts">
import { settingsSchema, type Lawn } from '#contract/lawn'
import { blendWords, enoughSeedsPerCm2, pureSeed } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import { pickBags } from '#core/materials/bags'
import { feedNeed, parseAnalysis } from '#core/materials/feed'
import { overseedRate, seedNeed, seedsPerCm2 } from '#core/seed/liveSeed'
import { layerVolume } from '#core/materials/volume'
import { someIn } from '#core/job/operations/registry'
import { soilName } from '#core/job/operations/soil'
import type { PlanSettings } from '#core/job/settings'
import { depthGate, PLAN_RATE, seedOf, soilOf, type Part } from '#core/job/parts'
import { cubicYards, figure } from '#core/measure/figure'

/** What goes on the van: seed, starter and cover, with the settings that made them. */
const props = defineProps<{ lawn: Lawn }>()
const { shown: shownPlan, plan, tryOut, keepTrial, busy, problem } = useLawn()
const context = useContextStore()
const { text, shown, other, system, parse } = useUnits()
const { form, read, materials } = useBringForm(shownPlan.value!.settings)

/** As kept, or as typed here: then they are tried out in every view. */
const settings = computed(() => shownPlan.value!.settings)
/** The largest part of the plan is what the settings are made for. */
const parts = computed<Part[]>(() => shownPlan.value?.parts ?? [])
const main = computed(() => parts.value[0])
const grass = computed(() => main.value?.grass ?? grassByCode('TF'))
const treatedM2 = computed(() => main.value?.survey.areaM2 ?? Math.max(1, props.lawn.areaM2))
/** Ground of the parts whose programme has something set by a setting, m². */
const groundFor = (setting: keyof PlanSettings) =>
  parts.value
    .filter(({ programme }) => someIn(programme, ({ setBy }) => setBy === setting))
    .reduce((sum, { survey }) => sum + survey.areaM2, 0)
const sows = computed(() => parts.value.some(({ programme }) => programme.anchor === 'seeding'))
const others = computed(() => parts.value.slice(1).flatMap((part) => (seedOf(part) ? [{ part, need: seedOf(part)! }] : [])))
const soils = computed(() =>
  parts.value
    .filter((part) => soilOf(part).volumeM3 > 0 && someIn(part.programme, ({ uses }) => uses === 'soil'))
    .map((part) => ({ name: soilName(part), zones: part.zones.join(', '), volumeM3: soilOf(part).volumeM3 })),
)
const errorShare = computed(() => main.value?.survey.errorShare ?? 0)
const errors = computed(() => read.value.errors)
/** What was typed and is not what is kept. */
const keptNow = computed(() => JSON.stringify(settingsSchema.safeParse(plan.value?.settings).data))
const typed = computed(() => (JSON.stringify(read.value.settings) === keptNow.value ? undefined : read.value.settings))
const changed = computed(() => typed.value !== undefined)
watch(typed, (given) => { tryOut('settings', given && { words: 'Settings of Bring', change: { settings: given } }) })

const seed = computed(() => seedNeed(treatedM2.value, settings.value.seedRateGPerM2, settings.value.lot, PLAN_RATE))
const sown = computed(() => main.value?.seed ?? pureSeed(grass.value.code))
const enough = computed(() => enoughSeedsPerCm2(sown.value))
const usual = computed(() => overseedRate(grass.value))
const density = computed(() => seedsPerCm2(settings.value.seedRateGPerM2, sown.value))
const crowded = computed(() => density.value > 2 * enough.value[1])
const bags = computed(() => {
  try {
    return { pick: pickBags(seed.value.product.value, settings.value.bags), problem: '' }
  } catch (error) {
    return { pick: undefined, problem: (error as Error).message }
  }
})
const feed = computed(() => {
  const analysis = parseAnalysis(settings.value.starterAnalysis)
  const { starterNGPerM2 } = settings.value
  if (!analysis || !(starterNGPerM2 > 0)) return undefined
  return feedNeed(groundFor('starterNGPerM2') || treatedM2.value, starterNGPerM2, analysis)
})
const coveredM2 = computed(() => groundFor('coverMm'))
const cover = computed(() => (settings.value.coverMm > 0 && coveredM2.value ? layerVolume('Cover', coveredM2.value, settings.value.coverMm, 0, { kind: 'user', text: 'cover depth' }) : undefined))
const depth = computed(() => depthGate({ seed: sown.value, settings: settings.value }))
const bulk = computed(() => (cover.value ? (system.value === 'us' ? `${cubicYards(cover.value.value).toFixed(1)} yd³` : `${Math.round(cover.value.value * 1000).toLocaleString('en-US')} L`) : ''))
const money = (minor: number) => text({ quantity: 'money', value: minor, currency: context.currency })

function addBag(): void {
  if (form.bags.length < 4) form.bags.push({ size: system.value === 'us' ? '10 lb' : '5 kg', price: '' })
}
const barWidth = (size: string) => {
  const parsed = parse('massKg', size)
  return parsed.ok ? parsed.value : 1
}
</script>

<template>
  <form class="bring" novalidate @submit.prevent="keepTrial()">
    <section v-if="sows" class="task">
      <div class="stub">
        <h2>Seed</h2>
        <span class="hero"><WorkedNumber :worked="seed.product" bare /> <i class="unit">{{ shown(seed.product.working.result).unit }}</i></span>
        <span class="small">{{ other(seed.product.working.result) }}, {{ blendWords(sown) }}<br>{{ text(seed.productRate.working.result) }} of product<br>two passes of <WorkedNumber :worked="seed.pass" /><template v-if="errorShare"><br>area good to ±{{ Math.round(errorShare * 100) }}%: ±{{ text(figure('massKg', seed.product.value * errorShare, 2)) }}</template></span>
      </div>
      <div class="fields">
        <UFormField label="Live seed" name="rate" :error="errors.rate"><UInput id="field-rate" v-model="form.rate" /></UFormField>
        <UFormField label="Purity on the label" name="purity" :error="errors.purity"><UInput id="field-purity" v-model="form.purity" /></UFormField>
        <UFormField label="Germination" name="germination" :error="errors.germination"><UInput id="field-germination" v-model="form.germination" /></UFormField>
        <UFormField label="Coating" name="coating" :error="errors.coating"><UInput id="field-coating" v-model="form.coating" /></UFormField>
        <UCheckbox v-model="form.purityOfBareSeed" class="wide" label="The label states purity of the bare seed, so the coating comes on top" />
        <div class="wide">
          <GateLine v-if="settings.lot.germinationShare < 0.85" :gate="{ state: 'risk', text: ['germination under 85%: an old lot, or a poor one'], source: { kind: 'trade', text: 'good lot' } }" />
          <GateLine :gate="{ state: crowded ? 'risk' : 'met', text: [figure('seedsPerCm2', density), ` of live seed; ${enough.map((n) => text(figure('seedsPerCm2', n)).split(' ')[0]).join(' to ')} make a full new stand`, crowded ? ', and more than twice that only competes' : ''] }" />
          <span class="small">Usual for overseeding: <WorkedNumber :worked="usual" />.</span>
          <p v-for="{ part, need } in others" :key="part.zones.join()" class="small"><b>{{ part.zones.join(', ') }}:</b> <WorkedNumber :worked="need.product" /> of {{ blendWords(part.seed) }} besides, at its usual rate and this label.</p>
        </div>
      </div>
      <div class="load">
        <b>Bags</b>
        <div v-for="(bag, i) in form.bags" :key="i" class="bag">
          <UFormField :name="`bag${i}`" :error="errors[`bags.${i}.massKg`]"><UInput :id="`field-bag${i}`" v-model="bag.size" :aria-label="`Bag size ${i + 1}`" /></UFormField>
          <UFormField :name="`price${i}`" :error="errors[`bags.${i}.priceMinor`]"><UInput :id="`field-price${i}`" v-model="bag.price" placeholder="price" :readonly="!context.isOwner" :aria-label="`Price of bag ${i + 1}`" /></UFormField>
          <b class="num count" :aria-label="`${bags.pick?.counts[i] ?? 0} to load`">× {{ bags.pick?.counts[i] ?? 0 }}</b>
          <UButton v-if="form.bags.length > 1" variant="outline" size="xs" :aria-label="`Take bag size ${i + 1} off`" icon="i-lucide-x" @click="form.bags.splice(i, 1)" />
        </div>
        <UButton v-if="form.bags.length < 4" variant="outline" size="sm" @click="addBag">Add a size</UButton>
        <div v-if="bags.pick" class="bar" role="img" :aria-label="`${text(seed.product.working.result)} used, ${text(figure('massKg', bags.pick.leftOverKg))} left over`">
          <template v-for="(bag, i) in form.bags" :key="i"><i v-for="n in Math.min(6, bags.pick.counts[i] ?? 0)" :key="n" :style="{ flexGrow: barWidth(bag.size) }" /></template>
          <u :style="{ width: `${(100 * seed.product.value) / bags.pick.totalKg}%` }" />
        </div>
        <span v-if="bags.pick" class="small"><b>{{ text(seed.product.working.result) }}</b> used, <b>{{ text(figure('massKg', bags.pick.leftOverKg)) }}</b> left over<template v-if="bags.pick.priceMinor !== null">, <b>{{ money(bags.pick.priceMinor) }}</b></template>. {{ bags.pick.priceMinor === null ? 'Least left over; with all prices, the cheapest.' : 'The cheapest that covers it.' }}</span>
        <span v-else class="text-clay-500">{{ bags.problem }}</span>
        <span v-if="!context.isOwner" class="small">Prices are put in by an owner.</span>
      </div>
    </section>
    <section class="task">
      <div class="stub">
        <h2>Starter</h2>
        <span v-if="feed" class="hero"><WorkedNumber :worked="feed.product" bare /> <i class="unit">{{ shown(feed.product.working.result).unit }}</i></span>
        <span v-if="feed" class="small">{{ other(feed.product.working.result) }} of {{ settings.starterAnalysis }}<br>{{ text(figure('rateGPerM2', feed.productRateGPerM2)) }}</span>
      </div>
      <div class="fields">
        <UFormField label="Analysis, N-P-K" name="analysis" :error="errors.analysis"><UInput id="field-analysis" v-model="form.analysis" /></UFormField>
        <UFormField label="Nitrogen wanted" name="nitrogen" :error="errors.nitrogen"><UInput id="field-nitrogen" v-model="form.nitrogen" /></UFormField>
        <p class="wide caution">Phosphorus and potassium only where the soil test asks for them and local law allows. Sweep granules off paving and keep them from water.</p>
      </div>
      <div v-if="feed" class="load">
        <table class="ledger">
          <thead><tr><th scope="col">Gives</th><th scope="col" class="right">{{ system === 'us' ? 'lb/1,000 ft²' : 'g/m²' }}</th></tr></thead>
          <tbody>
            <tr><td>N</td><td class="right num">{{ shown(figure('rateGPerM2', settings.starterNGPerM2)).value }}</td></tr>
            <tr><td>P₂O₅, as P</td><td class="right num">{{ shown(figure('rateGPerM2', feed.p2o5GPerM2)).value }}, {{ shown(figure('rateGPerM2', feed.pGPerM2)).value }}</td></tr>
            <tr><td>K₂O, as K</td><td class="right num">{{ shown(figure('rateGPerM2', feed.k2oGPerM2)).value }}, {{ shown(figure('rateGPerM2', feed.kGPerM2)).value }}</td></tr>
          </tbody>
        </table>
      </div>
    </section>
    <section v-if="coveredM2 || groundFor('scalpToMm') || !parts.length" class="task">
      <div class="stub">
        <h2>{{ coveredM2 || !parts.length ? 'Cover' : 'Cut' }}</h2>
        <template v-if="cover">
          <span class="hero"><WorkedNumber :worked="cover" bare /> <i class="unit">{{ shown(cover.working.result).unit }}</i></span>
          <span class="small">{{ bulk }} loose {{ settings.coverMaterial }}<br>{{ text(figure('depthMm', settings.coverMm)) }} over {{ text(figure('areaM2', coveredM2)) }}</span>
        </template>
        <span v-else-if="!coveredM2 && parts.length" class="small">{{ sows ? 'the seed is raked in, not covered' : 'before the soil goes on' }}</span>
        <span v-else class="small">none: three to seven waterings a day, and somebody there to give them</span>
      </div>
      <div class="fields">
        <UFormField v-if="coveredM2 || !parts.length" label="Cover with" name="material"><USelect id="field-material" v-model="form.material" :items="materials" aria-label="Cover with" /></UFormField>
        <UFormField v-if="coveredM2 || !parts.length" label="Depth of cover" name="cover" :error="errors.cover" help="0 for none"><UInput id="field-cover" v-model="form.cover" /></UFormField>
        <UFormField v-if="sows || !parts.length" label="Rake in to" name="rake" :error="errors.rake"><UInput id="field-rake" v-model="form.rake" /></UFormField>
        <UFormField label="Scalp down to" name="scalp" :error="errors.scalp"><UInput id="field-scalp" v-model="form.scalp" /></UFormField>
      </div>
      <div class="load"><GateLine v-if="depth && sows" :gate="depth" with-source /><p v-if="coveredM2" class="caution">Dust of peat and compost: mask and gloves, damp it down, wash hands. Bags over 25 kg want two people.</p></div>
    </section>
    <section v-if="soils.length" class="task">
      <div class="stub"><h2>Soil</h2></div>
      <div class="fields"><p v-for="soil in soils" :key="soil.zones" class="wide"><b class="num">{{ text(figure('volumeM3', soil.volumeM3)) }}</b> ({{ system === 'us' ? `${cubicYards(soil.volumeM3).toFixed(1)} yd³` : `${soil.volumeM3.toFixed(1)} m³` }}) of {{ soil.name }} for {{ soil.zones }}, 15% of settling in it.</p></div>
      <div class="load"><p class="caution">Look before it is tipped: stones, weeds, wet. Dry sand is dusty (silica): mask, damp it down.</p></div>
    </section>
    <div class="foot">
      <UButton type="submit" color="primary" :disabled="!read.settings || !changed" :loading="busy">Keep these settings</UButton>
      <span class="small">{{ Object.keys(errors).length ? 'The numbers stand as last kept until the fields marked are right.' : changed ? 'Numbers above follow what you typed; not kept yet.' : 'Kept.' }}</span>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
  </form>
</template>

<style scoped>
.bring { display: grid; gap: 6px; }
.task { display: grid; grid-template-columns: 190px minmax(0, 1fr) 320px; background: var(--lime); border: 1px solid var(--rule-2); }
.stub { padding: 12px 14px; display: grid; gap: 5px; align-content: start; border-right: 1.5px dashed var(--rule-2); }
.hero { font: 650 26px/1.1 "Besley Variable", serif; }
.fields { padding: 12px 16px; display: grid; grid-template-columns: repeat(auto-fill, minmax(140px, 1fr)); gap: 8px 14px; align-content: start; }
.wide { grid-column: 1 / -1; }
.load { padding: 12px 14px; border-left: 1px solid var(--rule); display: grid; gap: 7px; align-content: start; }
.load > button { justify-self: start; }
.bag { display: grid; grid-template-columns: 1fr 1fr auto auto; gap: 8px; align-items: center; }
.count { font-size: 16px; min-width: 34px; }
.bar { position: relative; height: 26px; border: 2px solid var(--ink); display: flex; overflow: hidden; }
.bar i { flex: 1; border-right: 2px solid var(--ink); z-index: 1; }
.bar i:last-of-type { border: 0; }
.bar u { position: absolute; inset: 2px auto 2px 2px; background: var(--moss); }
.foot { display: flex; gap: 14px; align-items: center; }
@media (max-width: 1000px) { .task { grid-template-columns: 1fr; } .stub { border-right: 0; border-bottom: 1.5px dashed var(--rule-2); } .load { border-left: 0; border-top: 1px solid var(--rule); } .foot { flex-direction: column; align-items: stretch; } }
</style>
