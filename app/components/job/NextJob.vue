<script setup lang="ts">
import { newJobSchema, type Lawn } from '#contract/lawn'
import { zonesOf } from '#core/job/lawn'

/** Starts the next job, on zones that are in no open one. */
const props = defineProps<{ lawn: Lawn }>()
const store = useLawnsStore()
const context = useContextStore()
const { busy, message, judged, send } = useSend()
const newId = crypto.randomUUID()
const taken = computed(
  () => new Set(props.lawn.jobs.filter(({ endedOn }) => !endedOn).flatMap(({ zoneIds }) => zoneIds)),
)
const free = computed(() => zonesOf(props.lawn).filter(([id]) => !taken.value.has(id)))
const left = reactive<Record<string, boolean>>({})
const chosen = computed(() => free.value.map(([id]) => id).filter((id) => left[id] !== true))
/** The last job that ended changed what stands; a survey of before tells of another lawn. */
const lastEnd = computed(
  () =>
    props.lawn.jobs
      .map(({ endedOn }) => endedOn ?? '')
      .sort()
      .at(-1) || undefined,
)
const oldSurvey = computed(
  () => lastEnd.value && props.lawn.surveyedOn !== null && props.lawn.surveyedOn <= lastEnd.value,
)

async function start(): Promise<void> {
  const job = judged(newJobSchema, { id: newId, zoneIds: chosen.value })
  if (job && (await send(() => store.startJob(props.lawn.id, job))))
    await navigateTo({ path: `/lawns/${props.lawn.id}/look`, query: { job: newId } })
}
</script>

<template>
  <section class="next panel" aria-labelledby="next-job">
    <h2 id="next-job">{{ t('job.nextJob') }}</h2>
    <template v-if="free.length">
      <p class="small">
        {{
          t('job.itBeginsWithThe', {
            surveyedOn: lawn.surveyedOn ? shortDay(lawn.surveyedOn, context.today) : t('job.thisLawn'),
          })
        }}
        <template v-if="oldSurvey">{{ t('job.theLastJobChanged') }}</template>
      </p>
      <fieldset v-if="free.length > 1" class="zones">
        <legend>{{ t('job.zones') }}</legend>
        <UCheckbox
          v-for="[id, zone] in free"
          :key="id"
          :model-value="left[id] !== true"
          :label="zone.name"
          @update:model-value="left[id] = left[id] !== true"
        />
      </fieldset>
      <p v-if="message" class="problem" role="alert">{{ message }}</p>
      <UButton color="primary" :loading="busy" :disabled="!chosen.length" @click="start">{{
        t('job.startNextJob')
      }}</UButton>
    </template>
    <p v-else class="small">
      {{ t('job.everyZoneIsIn') }}
    </p>
  </section>
</template>

<style scoped>
.next {
  display: grid;
  gap: 8px;
  padding: 10px 14px;
  justify-items: start;
}
.zones {
  display: flex;
  gap: 6px 16px;
  flex-wrap: wrap;
}
.zones label {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
}
@media (max-width: 900px) {
  .zones label {
    min-height: 48px;
  }
}
</style>
