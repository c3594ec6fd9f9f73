<script setup lang="ts">
import { phaseAt } from '#core/water/programme'
import { stateName } from '~/utils/jobWords'
import { useIntervalFn } from '@vueuse/core'
import { daysBetween } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { ledgeMarksOf } from '#core/job/ledgeMarks'
import { seedOf } from '#core/job/parts'
import { putDownOn } from '#core/job/states'
import { fieldName, fieldText } from '~/utils/fieldWords'
import { hangersOf } from '~/utils/hangers'
import { stepsOf, tasksDone } from '~/utils/lawnState'

const { id, lawn, missing, shown, shownJob, tries, stepTo, clash, busy, settleClash } = provideLawn()
const store = useLawnsStore()
const sill = useSillStore()
const context = useContextStore()
const { text, other } = useUnits()
const route = useRoute()
/** The job in view, where its address names one. */
const jobAsked = () => (typeof route.query.job === 'string' ? route.query.job : undefined)
await useAsyncData(`lawn-${id}-${jobAsked() ?? ''}`, async () => {
  await store.load(id, jobAsked())
  return true
})
watch(jobAsked, async (job) => {
  // Going on to another lawn takes the question away too.
  if (route.params.id !== id) return
  await store.load(id, job)
  await sill.show(id)
})
if (store.problem?.code === 'not_found') throw createError({ statusCode: 404, fatal: true })

// What is tried out hangs from the ledge as in every view.
watchEffect(() => {
  if (lawn.value) sill.hangers = hangersOf(ledgeMarksOf(shown.value?.schedule), id)
})
const steps = computed(() => {
  if (!lawn.value || lawn.value.job.endedOn) return []
  const sownOn = putDownOn({ programme: lawn.value.plan.programme, marks: lawn.value.done }) ?? null
  const seed = (shown.value?.parts ?? []).reduce((sum, part) => sum + (seedOf(part)?.product.value ?? 0), 0)
  return stepsOf({
    programme: lawn.value.plan.programme,
    // A day that is only put forward settles nothing.
    sowOn: (tries('day')?.offered ? lawn.value.plan.sowOn : shownJob.value?.sowOn) ?? null,
    missing: missing.value.length,
    tasks: tasksDone(shown.value?.schedule),
    today: context.today,
    area: text(figure('areaM2', lawn.value.areaM2)),
    watering: shown.value?.watering
      ? oftenWords(phaseAt(shown.value.watering, sownOn ? daysBetween(sownOn, context.today) : 0))
      : null,
    sownDays: sownOn && daysBetween(sownOn, context.today),
    load: seed ? t('shell.ofSeed', { seed: text(figure('massKg', seed)) }) : t('shell.soilNoSeed'),
  })
})
function walk(by: number): void {
  const here = steps.value.findIndex(({ code }) => route.path.endsWith(`/${code}`))
  const step = steps.value[here + by]
  if (step) void navigateTo(stepTo(step.code))
}
/** On a phone the steps run off its side: the one that is open comes into view. */
const strip = useTemplateRef<HTMLElement>('strip')
watch(
  () => [route.path, steps.value.length, strip.value] as const,
  () => nextTick(() => strip.value?.querySelector('.here')?.scrollIntoView({ inline: 'center', block: 'nearest' })),
)
useKeys({ ']': () => walk(1), '[': () => walk(-1) })
/** The sun over a plan that was just saved follows; looked for until it is there, or an hour has gone. */
const SUN_EVERY_MS = 2000
const looks = ref(0)
useIntervalFn(async () => {
  if (!lawn.value?.sunAwaited || looks.value > 1800) return
  looks.value++
  await store.load(id, lawn.value?.job.id)
  if (lawn.value && !lawn.value.sunAwaited) await sill.show(id)
}, SUN_EVERY_MS)
const STEP_NAMES: Record<string, string> = {
  look: t('shell.look'),
  decide: t('shell.decide'),
  when: t('shell.when'),
  do: t('shell.do'),
  bring: t('shell.bring'),
  water: t('shell.water'),
  watch: t('shell.watch'),
  inspection: t('inspection.open'),
  jobs: t('shell.jobs'),
}
/** Views that are of no open job. */
const ofJobs = computed(() => route.path.includes('/jobs'))
useHead({
  title: () => [STEP_NAMES[route.path.split('/').at(-1) ?? ''], lawn.value?.client].filter(Boolean).join(', '),
})
const area = computed(() => lawn.value && figure('areaM2', lawn.value.areaM2))
</script>

<template>
  <div v-if="lawn && area">
    <header class="head">
      <h1>{{ lawn.client }}</h1>
      <span class="about"
        >{{ lawn.address }}<template v-if="lawn.address">. </template><b>{{ text(area) }}</b> ({{
          other(area)
        }})<template v-if="lawn.growsNow">, {{ lawn.growsNow }}</template></span
      >
      <JobLine :lawn="lawn" />
    </header>
    <nav v-if="steps.length" ref="strip" class="steps" :aria-label="t('shell.stepsOfThisLawn')">
      <NuxtLink v-for="step in steps" :key="step.code" :to="stepTo(step.code)" class="step" active-class="here">
        <b
          ><UIcon
            v-if="step.state === 'settled'"
            name="i-lucide-check"
            class="tick"
            :aria-label="t('shell.settled')"
          />{{ step.name }}</b
        >
        <span>{{ step.says }}</span>
      </NuxtLink>
    </nav>
    <p v-if="sill.problem" class="problem" role="alert">
      {{ sill.problem.message }}
      <UButton variant="outline" class="ml-3" @click="sill.show(id)">{{ t('shell.tryAgain') }}</UButton>
    </p>
    <p v-if="lawn.sunAwaited" class="notice" role="status">
      {{ t('shell.savedTheSunOver') }}
    </p>
    <EditClash
      v-if="clash"
      :clash="clash"
      :label="fieldName"
      :show="(path, value) => fieldText(path, value, context.units)"
      :busy="busy"
      @settle="settleClash"
    />
    <TrialBar />
    <NuxtPage v-if="!lawn.job.endedOn || ofJobs" />
    <p v-else class="notice">
      {{ t('shell.jobWasNothingIs', { number: lawn.job.number, state: stateName(lawn.job.state) }) }}
      <NuxtLink :to="`/lawns/${id}/jobs`" class="opens">{{ t('shell.startTheNextJob') }}</NuxtLink>
    </p>
  </div>
  <p v-else-if="store.problem" class="problem" role="alert">
    {{ store.problem.message }}
    <UButton variant="outline" class="ml-3" @click="store.load(id)">{{ t('shell.tryAgain') }}</UButton>
  </p>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 14px;
  flex-wrap: wrap;
  padding-bottom: 7px;
  border-bottom: 1.5px solid var(--ink);
}
.about {
  color: var(--ink-2);
}
.about b {
  color: var(--ink);
}
.steps {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  margin-bottom: 12px;
}
.step {
  padding: 6px 8px 4px 0;
  display: flex;
  flex-direction: column;
  border-top: 4px solid transparent;
  margin-top: -2px;
}
.step b {
  font-weight: 650;
  display: flex;
  align-items: center;
  gap: 4px;
}
.step span {
  font-size: 12.5px;
  color: var(--ink-2);
  font-stretch: 90%;
}
.step:hover b {
  text-decoration: underline;
}
.here {
  border-top-color: var(--moss);
}
.notice {
  border-left: 5px solid var(--moss);
  background: var(--lime);
  padding: 8px 12px;
  margin-bottom: 10px;
}
.tick {
  color: var(--moss);
  width: 15px;
  height: 15px;
}
@media (max-width: 700px) {
  .steps {
    display: flex;
    gap: 16px;
    overflow-x: auto;
  }
  .step {
    flex: none;
    max-width: 108px;
    min-height: 54px;
    padding-right: 0;
  }
  .step b {
    white-space: nowrap;
  }
  .step span {
    font-size: 12.5px;
    line-height: 1.2;
  }
}
@media print {
  .steps,
  .notice {
    display: none;
  }
  .head {
    border: 0;
    padding: 0;
  }
  .about {
    display: none;
  }
}
</style>
