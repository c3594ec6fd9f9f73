<script setup lang="ts">
import { judgeSoil, SOIL_METHODS, type SoilTest } from '#core/site/soilTest'
import { TEXTURE_FEEL, TEXTURE_ITEMS } from '~/utils/lookWords'

/** Soil by feel, and a laboratory's report, typed or from its file. */
const props = defineProps<{ only?: boolean }>()
const { draft, errors } = useSurveyHere()
const context = useContextStore()
const message = ref('')
const { read: readInWorker } = useFileRead()
const EMPTY = (): SoilTest => ({
  sampledOn: context.today,
  method: 'Mehlich-3',
  ph: null,
  bufferPh: null,
  pPpm: null,
  kPpm: null,
  organicShare: null,
  note: '',
})
async function readFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  if (file.size > 100_000) {
    message.value = 'A soil report is smaller than 100 kB.'
    return
  }
  const read = await readInWorker({ kind: 'soil', text: await file.text(), today: context.today })
  message.value = read.ok ? `Read: ${read.found.join(', ')}.` : read.message
  if (read.ok) draft.soilTest = read.test
}
</script>

<template>
  <div class="soil">
    <UFormField label="Soil by feel" name="texture" :help="TEXTURE_FEEL[draft.texture]"
      ><USelect v-model="draft.texture" :items="TEXTURE_ITEMS" aria-label="Soil by feel"
    /></UFormField>
    <template v-if="draft.soilTest">
      <div class="field-row">
        <UFormField label="Sampled on" name="sampledOn" :error="errors['soilTest.sampledOn']"
          ><UInput v-model="draft.soilTest.sampledOn" type="date" :max="context.today"
        /></UFormField>
        <UFormField label="Method" name="method"
          ><USelect v-model="draft.soilTest.method" :items="[...SOIL_METHODS]" aria-label="Method of the soil test"
        /></UFormField>
        <TypedInput v-model="draft.soilTest.ph" label="pH" quantity="ph" path="soilTest.ph" />
        <TypedInput v-model="draft.soilTest.bufferPh" label="Buffer pH" quantity="ph" path="soilTest.bufferPh" />
        <TypedInput v-model="draft.soilTest.pPpm" label="P, ppm" quantity="ppm" path="soilTest.pPpm" />
        <TypedInput v-model="draft.soilTest.kPpm" label="K, ppm" quantity="ppm" path="soilTest.kPpm" />
        <TypedInput
          v-model="draft.soilTest.organicShare"
          label="Organic matter, %"
          quantity="share"
          path="soilTest.organicShare"
        />
      </div>
      <GateLine v-for="(gate, i) in judgeSoil(draft.soilTest)" :key="i" :gate="gate" with-source />
      <UFormField label="What the report recommends" name="soilNote" :error="errors['soilTest.note']"
        ><UInput v-model="draft.soilTest.note" maxlength="400"
      /></UFormField>
    </template>
    <div class="row">
      <UButton v-if="!draft.soilTest" variant="outline" size="sm" @click="draft.soilTest = EMPTY()"
        >Type a report</UButton
      >
      <UButton v-else variant="outline" size="sm" @click="draft.soilTest = null">Take the report out</UButton>
      <label class="file"
        >From CSV <input type="file" accept=".csv,text/csv" aria-label="Soil report as CSV" @change="readFile"
      /></label>
    </div>
    <p v-if="message" class="small" role="status">{{ message }}</p>
    <p v-if="!props.only" class="small">
      Cores from a dozen spots, 3 to 4 in (75 to 100 mm) deep, mixed in a clean bucket.
    </p>
  </div>
</template>

<style scoped>
.soil {
  display: grid;
  gap: 9px;
}
.row {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
}
.file {
  font-weight: 600;
}
.file input {
  max-width: 210px;
  font-weight: 400;
}
</style>
