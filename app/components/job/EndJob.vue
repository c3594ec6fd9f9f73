<script setup lang="ts">
import { endJobSchema, type Lawn } from '#contract/lawn'
import { putDownOn, type Outcome } from '#core/job/states'

/** Closes the job in view or calls it off, with what is to be remembered of it. */
const props = defineProps<{ lawn: Lawn }>()
const emit = defineEmits<{ ended: [] }>()
const store = useLawnsStore()
const { stepTo } = useLawn()
const { busy, message, errors, judged, send } = useSend()
const outcome = ref<Outcome>()
const note = ref('')
/** Cover that was measured since sowing tells the next survey what stands. */
const sown = computed(() => putDownOn({ programme: props.lawn.plan.programme, marks: props.lawn.done }))
const measured = computed(() =>
  props.lawn.seen.some(({ kind, seenOn }) => kind === 'cover' && sown.value !== undefined && seenOn >= sown.value),
)
const takeStands = ref(true)

const ASKS: Record<Outcome, { label: string; does: string; about: string }> = {
  closed: {
    label: t('job.whatStandsAndWhat'),
    does: t('job.closeJob'),
    about: t('job.theSurveyPlanPrices'),
  },
  'called off': {
    label: t('job.why'),
    does: t('job.callJobOff'),
    about: t('job.whatWasPlannedAnd'),
  },
}

async function end(): Promise<void> {
  const told = judged(endJobSchema, {
    version: props.lawn.plan.version,
    outcome: outcome.value,
    note: note.value.trim(),
    takeStands: outcome.value === 'closed' && measured.value && takeStands.value,
  })
  if (!told) return
  if (await send(() => store.endJob(props.lawn.id, told))) emit('ended')
  else if (message.value) await store.load(props.lawn.id, props.lawn.job.id)
}
</script>

<template>
  <div class="end">
    <span class="pair">
      <UButton variant="outline" :aria-pressed="outcome === 'closed'" @click="outcome = 'closed'">{{
        t('job.closeJob2')
      }}</UButton>
      <UButton variant="outline" :aria-pressed="outcome === 'called off'" @click="outcome = 'called off'">{{
        t('job.callOff')
      }}</UButton>
    </span>
    <form v-if="outcome" class="panel form" novalidate @submit.prevent="end">
      <p class="small">{{ ASKS[outcome].about }}</p>
      <UFormField :label="ASKS[outcome].label" name="note" :error="errors.note"
        ><UTextarea id="field-note" v-model="note" :rows="3" :maxlength="1000" class="w-full"
      /></UFormField>
      <UCheckbox v-if="outcome === 'closed' && measured" v-model="takeStands" :label="t('inspection.takeStands')" />
      <UButton v-if="sown" variant="link" class="p-0" :to="stepTo('inspection')">{{ t('inspection.open') }}</UButton>
      <p v-if="message" class="problem" role="alert">{{ message }}</p>
      <span class="pair">
        <UButton type="submit" color="primary" :loading="busy">{{ ASKS[outcome].does }}</UButton>
        <UButton variant="outline" @click="outcome = undefined">{{ t('job.keepItOpen') }}</UButton>
      </span>
    </form>
  </div>
</template>

<style scoped>
.end,
.form {
  display: grid;
  gap: 8px;
}
.form {
  padding: 10px 14px;
}
.pair {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
</style>
