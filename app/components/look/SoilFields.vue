<script setup lang="ts">
import { judgeSoil, SOIL_METHODS, type SoilTest } from '#core/site/soilTest'
import { TEXTURE_FEEL, TEXTURE_ITEMS } from '~/utils/lookWords'

/** Soil by feel, and a laboratory's report, typed or from its file. */
const props = defineProps<{ only?: boolean }>()
const { draft, errors } = useSurveyHere()
const context = useContextStore()
/** What is wanted in the zones. */
const grasses = computed(() => Object.values(draft.zones).flatMap(({ grass }) => grass ?? []))
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
    message.value = t('look.aSoilReportIs')
    return
  }
  const read = await readInWorker({ kind: 'soil', text: await file.text(), today: context.today })
  message.value = read.ok ? t('look.read', { found: read.found }) : tell(read.message)
  if (read.ok) draft.soilTest = read.test
}
</script>

<template>
  <div class="soil">
    <UFormField :label="t('look.soilByFeel')" name="texture" :help="t(TEXTURE_FEEL[draft.texture])"
      ><USelect v-model="draft.texture" :items="TEXTURE_ITEMS" :aria-label="t('look.soilByFeel')"
    /></UFormField>
    <template v-if="draft.soilTest">
      <div class="field-row">
        <UFormField :label="t('look.sampledOn')" name="sampledOn" :error="errors['soilTest.sampledOn']"
          ><UInput v-model="draft.soilTest.sampledOn" type="date" :max="context.today"
        /></UFormField>
        <UFormField :label="t('look.method')" name="method"
          ><USelect v-model="draft.soilTest.method" :items="[...SOIL_METHODS]" :aria-label="t('look.methodOfTheSoil')"
        /></UFormField>
        <TypedInput v-model="draft.soilTest.ph" :label="t('look.ph')" quantity="ph" path="soilTest.ph" />
        <TypedInput
          v-model="draft.soilTest.bufferPh"
          :label="t('look.bufferPh')"
          quantity="ph"
          path="soilTest.bufferPh"
        />
        <TypedInput v-model="draft.soilTest.pPpm" :label="t('look.pPpm')" quantity="ppm" path="soilTest.pPpm" />
        <TypedInput v-model="draft.soilTest.kPpm" :label="t('look.kPpm')" quantity="ppm" path="soilTest.kPpm" />
        <TypedInput
          v-model="draft.soilTest.organicShare"
          :label="t('look.organicMatter')"
          quantity="share"
          path="soilTest.organicShare"
        />
      </div>
      <GateLine v-for="(gate, i) in judgeSoil(draft.soilTest, grasses)" :key="i" :gate="gate" with-source />
      <UFormField :label="t('look.whatTheReportRecommends')" name="soilNote" :error="errors['soilTest.note']"
        ><UInput v-model="draft.soilTest.note" maxlength="400"
      /></UFormField>
    </template>
    <div class="row">
      <UButton v-if="!draft.soilTest" variant="outline" size="sm" @click="draft.soilTest = EMPTY()">{{
        t('look.typeAReport')
      }}</UButton>
      <UButton v-else variant="outline" size="sm" @click="draft.soilTest = null">{{
        t('look.takeTheReportOut')
      }}</UButton>
      <label class="file"
        >{{ t('look.fromCsv') }}
        <input type="file" accept=".csv,text/csv" :aria-label="t('look.soilReportAsCsv')" @change="readFile"
      /></label>
    </div>
    <p v-if="message" class="small" role="status">{{ message }}</p>
    <p v-if="!props.only" class="small">
      {{ t('look.coresFromADozen') }}
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
