<script setup lang="ts">
import { lookSchema, type Lawn, type Look } from '#contract/lawn'
import type { Station } from '#contract/station'
import { missingOf } from '#contract/lawn'
import { TEXTURES } from '#core/climate/soil'
import { GRASSES } from '#core/grass/grasses'
import { SUN_WORDS } from '#core/site/survey'
import { saving } from '~/utils/api'
import { fieldName, fieldText } from '~/utils/fieldWords'
import type { Versioned } from '~/utils/edits'
import { NEAREST } from '~/composables/useLookForm'

/** What of a lawn is edited here, and nothing else of it. */
const lookFields = (lawn: Look): Look => lookSchema.parse(lawn)

/** The survey, short form, in the order in which it can be walked. */
const props = defineProps<{ id: string; lawn: Lawn; stations: Station[] }>()
const store = useLawnsStore()
const sill = useSillStore()
const { form, errors, read, tell, fillBare, addApplication } = useLookForm(props.lawn)
const { text, parseArea } = useUnits()
const message = ref('')
const { busy, problem, clash, save: saveMerging, settleClash } = useMergingSave<Look & Versioned>((look) => store.saveLook(props.id, look), lookFields, fieldName)
const context = useContextStore()
const confirming = ref(false)

const grassItems = GRASSES.map(({ code, name }) => ({ label: name, value: code }))
const sunItems = (['full', 'part', 'dense'] as const).map((value) => ({ value, label: SUN_WORDS[value] }))
const textureItems = TEXTURES.map((texture) => ({ label: texture, value: texture }))
const stationItems = computed(() => [{ label: 'the nearest', value: NEAREST }, ...props.stations.map(({ id, name, days }) => ({ label: `${name}, ${days} days`, value: id }))])
const missing = computed(() => missingOf(props.lawn))
const areaRead = computed(() => {
  const parsed = parseArea(form.area)
  return parsed.ok ? `Read as ${text({ quantity: 'areaM2', value: parsed.value })}` : parsed.message
})

async function save(): Promise<void> {
  message.value = ''
  const look = read(props.lawn.version)
  if (!look) {
    message.value = 'Nothing is saved yet: the fields marked need another look.'
    return
  }
  if (await saveMerging(props.lawn, look)) await goOn()
  else if (problem.value) {
    message.value = problem.value.message
    tell(problem.value.fields)
  }
}
async function settled(takeTheirs: Set<string>): Promise<void> {
  if (await settleClash(takeTheirs)) await goOn()
  else if (problem.value) message.value = problem.value.message
}
async function goOn(): Promise<void> {
  await sill.show(props.id)
  const left = store.byId(props.id)
  if (left && !missingOf(left).length) await navigateTo(`/lawns/${props.id}/decide`)
}

async function remove(): Promise<void> {
  const gone = await saving(() => store.remove(props.id))
  if (gone.ok) await navigateTo('/lawns')
  else message.value = gone.problem.message
}
</script>

<template>
  <form class="look" novalidate @submit.prevent="save">
    <EditClash v-if="clash" :clash="clash" :label="fieldName" :show="(path, value) => fieldText(path, value, context.units)" :busy="busy" @settle="settled" />
    <section>
      <h2>Where</h2>
      <div class="field-row">
        <UFormField label="Client or lawn" name="client" :error="errors.client"><UInput id="field-client" v-model="form.client" maxlength="80" /></UFormField>
        <UFormField label="Address" name="address" :error="errors.address"><UInput id="field-address" v-model="form.address" maxlength="160" /></UFormField>
        <UFormField label="Latitude" name="lat" :error="errors.lat" help="south is negative"><UInput id="field-lat" v-model="form.lat" inputmode="decimal" /></UFormField>
        <UFormField label="Longitude" name="lon" :error="errors.lon" help="west is negative"><UInput id="field-lon" v-model="form.lon" inputmode="decimal" /></UFormField>
        <UFormField label="Weather from" name="station"><USelect id="field-station" v-model="form.stationId" :items="stationItems" aria-label="Weather from" /></UFormField>
      </div>
    </section>
    <section>
      <h2>How large, how lit</h2>
      <div class="field-row">
        <UFormField label="Area" name="area" :error="errors.area" :help="areaRead"><UInput id="field-area" v-model="form.area" maxlength="80" /></UFormField>
        <UFormField label="Sun on the grass" name="sun" :error="errors.sun"><USelect id="field-sun" v-model="form.sun" :items="sunItems" placeholder="choose" aria-label="Sun on the grass" /></UFormField>
        <UFormField label="Slope, %" name="slope" :error="errors.slope" help="rise over run"><UInput id="field-slope" v-model="form.slope" inputmode="decimal" /></UFormField>
        <UFormField label="Soil by feel" name="texture"><USelect id="field-texture" v-model="form.texture" :items="textureItems" aria-label="Soil by feel" /></UFormField>
      </div>
    </section>
    <section>
      <h2>What grows</h2>
      <div class="field-row">
        <UFormField label="Grows there now" name="growsNow" :error="errors.growsNow"><UInput id="field-growsNow" v-model="form.growsNow" maxlength="120" /></UFormField>
        <UFormField label="Grass wanted" name="grass" :error="errors.grass"><USelect id="field-grass" v-model="form.grass" :items="grassItems" placeholder="choose" aria-label="Grass wanted" /></UFormField>
        <UFormField label="Grass worth keeping, %" name="desirable" :error="errors.desirable"><UInput id="field-desirable" v-model="form.desirable" inputmode="decimal" @blur="fillBare" /></UFormField>
        <UFormField label="Weeds, %" name="weeds" :error="errors.weeds"><UInput id="field-weeds" v-model="form.weeds" inputmode="decimal" @blur="fillBare" /></UFormField>
        <UFormField label="Bare soil, %" name="bare" :error="errors.bare"><UInput id="field-bare" v-model="form.bare" inputmode="decimal" /></UFormField>
      </div>
      <CoverBar :grass="form.desirable" :weeds="form.weeds" :bare="form.bare" />
    </section>
    <section>
      <h2>Thatch and height</h2>
      <div class="field-row">
        <UFormField label="Thatch" name="thatch" :error="errors.thatch" help="brown layer of a plug: ½ in, 12 mm"><UInput id="field-thatch" v-model="form.thatch" placeholder="1/2 in" /></UFormField>
        <UFormField label="Mown at now" name="height" :error="errors.height" help="present mowing height"><UInput id="field-height" v-model="form.height" placeholder="3 in" /></UFormField>
      </div>
    </section>
    <PutOnBefore v-model="form.applications" :errors="errors" @add="addApplication" />
    <div class="foot">
      <UButton type="submit" color="primary" :loading="busy" loading-icon="i-lucide-loader-circle">Save the survey</UButton>
      <span v-if="missing.length" class="small">Still missing: {{ missing.join(', ') }}. Save what you have; the rest can wait.</span>
      <span v-else class="small">Everything the plan needs is here.</span>
      <span class="delete">
        <template v-if="confirming">
          <span>Delete {{ lawn.client }} with its plan and records?</span>
          <UButton color="error" variant="outline" @click="remove">Delete the lawn</UButton>
          <UButton variant="outline" @click="confirming = false">Keep it</UButton>
        </template>
        <UButton v-else variant="outline" @click="confirming = true">Delete lawn</UButton>
      </span>
    </div>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </form>
</template>

<style scoped>
.look { display: grid; gap: 16px; max-width: 1168px; }
section h2 { padding-bottom: 3px; margin-bottom: 9px; border-bottom: 1.5px solid var(--ink); }
.foot { display: flex; gap: 14px; align-items: center; flex-wrap: wrap; }
.delete { margin-left: auto; display: flex; gap: 10px; align-items: center; }
@media (max-width: 700px) { .foot { flex-direction: column; align-items: stretch; } .delete { margin: 0; flex-wrap: wrap; } }
</style>
