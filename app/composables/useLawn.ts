import type { Glance } from '#core/establishment/glance'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { planJob, tried, type JobPlan } from '#core/job/planJob'
import { NO_SEASON, seasonOfOutlook, type SeasonKnown } from '#core/job/season'
import type { JobRecord } from '#core/job/records'
import type { Day } from '#core/measure/calendar'

/** The lawn of the page with its season and all that is planned of it, following what is edited. */
export function useLawn() {
  const route = useRoute()
  const store = useLawnsStore()
  const sill = useSillStore()
  const context = useContextStore()
  const id = String(route.params.id)

  const lawn = computed<Lawn | undefined>(() => store.byId(id))
  const job = computed(() => lawn.value && jobOf(lawn.value))
  const ground = computed(() => lawn.value && groundOf(lawn.value))
  const outlook = computed(() =>
    sill.lawnId === id && sill.data?.jobId === lawn.value?.job.id ? sill.data?.outlook : undefined,
  )
  const season = computed<SeasonKnown>(() =>
    outlook.value ? seasonOfOutlook(outlook.value, sill.data?.forecast ?? []) : NO_SEASON,
  )
  const planned = (of: JobRecord): JobPlan | undefined =>
    // What has ended is shown as it was kept, and never planned anew.
    ground.value && !lawn.value?.job.endedOn ? planJob(of, ground.value, context.firmRecord, season.value) : undefined
  const plan = computed(() => job.value && planned(job.value))
  const glance = computed<Glance | undefined>(() => plan.value?.glance)
  const settings = computed(() => plan.value?.settings)
  const decision = computed(() => plan.value?.decision)
  const sequence = computed(() => plan.value?.schedule)

  /** A step of the lawn with its job in view; said only where there are several open ones. */
  const stepTo = (step: string) => {
    const open = lawn.value?.jobs.filter(({ endedOn }) => !endedOn).length ?? 0
    return { path: `/lawns/${id}/${step}`, query: open > 1 ? { job: lawn.value!.job.id } : {} }
  }
  /** The job with something changed, planned as it would be: every view tries things out this way. */
  const tryOut = (change: Partial<JobRecord>): JobPlan | undefined =>
    job.value && planned(tried(job.value, sequence.value, change))
  /** The schedule as it would be from another sowing day. */
  const sequenceFrom = (sowOn: Day) =>
    tryOut({ sowOn, programme: job.value?.programme ?? decision.value?.leans ?? 'overseed' })?.schedule

  return {
    id,
    lawn,
    job,
    ground,
    outlook,
    season,
    plan,
    glance,
    settings,
    decision,
    sequence,
    tryOut,
    sequenceFrom,
    stepTo,
  }
}
