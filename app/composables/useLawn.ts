import type { InjectionKey } from 'vue'
import { watchDebounced } from '@vueuse/core'
import { groundOf, jobOf, missingOf, type Lawn } from '#contract/lawn'
import { daysOf, planJob, tried, type JobPlan } from '#core/job/planJob'
import { oddsInputOf } from '#core/job/oddsInput'
import { NO_SEASON, seasonOfOutlook, type SeasonKnown } from '#core/job/season'
import type { JobRecord } from '#core/job/records'

function deriveLawn(id: string) {
  const store = useLawnsStore()
  const sill = useSillStore()
  const context = useContextStore()

  const lawn = computed<Lawn | undefined>(() => store.byId(id))
  const job = computed(() => lawn.value && jobOf(lawn.value))
  const ground = computed(() => lawn.value && groundOf(lawn.value))
  /** What the survey still lacks, in the words of the form. */
  const missing = computed(() => (lawn.value ? missingOf(lawn.value) : []))
  const outlook = computed(() =>
    sill.lawnId === id && sill.data?.jobId === lawn.value?.job.id ? sill.data?.outlook : undefined,
  )
  /** Nothing is planned by a first look. */
  const season = computed<SeasonKnown>(() =>
    outlook.value && !sill.data?.coarse ? seasonOfOutlook(outlook.value, sill.data?.forecast ?? []) : NO_SEASON,
  )
  const planned = (of: JobRecord): JobPlan | undefined =>
    // What has ended is shown as it was kept, and never planned anew.
    ground.value && !lawn.value?.job.endedOn ? planJob(of, ground.value, context.firmRecord, season.value) : undefined
  /** The plan as it is kept. */
  const plan = computed(() => job.value && planned(job.value))
  const decision = computed(() => plan.value?.decision)

  const saving = usePlanSave(id)
  const trial = useTrial()
  // Another job is another plan.
  watch(() => lawn.value?.job.id, trial.drop)
  /** The job as it is looked at: with what is being tried out, so that every view shows the same. */
  const shownJob = computed<JobRecord | undefined>(() => {
    const change = trial.change.value
    if (!job.value || !change) return job.value
    const programme = change.programme ?? job.value.programme ?? decision.value?.recommended ?? 'overseed'
    return tried(job.value, plan.value?.schedule, { ...change, programme })
  })
  /** Settings that are tried, where the odds go by them. */
  const triedBed = computed(() => {
    if (!job.value || !ground.value || !trial.tries('settings')) return undefined
    const input = (of: JobRecord) => JSON.stringify(oddsInputOf(of, ground.value!, context.firmRecord, false))
    return input(shownJob.value!) === input(job.value) ? undefined : shownJob.value!.settings
  })
  watchDebounced(
    () => JSON.stringify(triedBed.value),
    () => sill.tryOut(id, triedBed.value ?? undefined),
    { debounce: 400 },
  )
  onScopeDispose(() => sill.letGo(id))
  const shown = computed(() => (trial.change.value ? shownJob.value && planned(shownJob.value) : plan.value))

  /** Keeps what is tried out, with the days as they are shown. @returns true when it is saved */
  async function keepTrial(): Promise<boolean> {
    const change = trial.change.value
    const kept = lawn.value?.plan
    if (!change || !kept) return false
    const days = shown.value?.schedule ? daysOf(shown.value.schedule) : {}
    const saved = await saving.savePlan({ ...change, work: { ...(change.work ?? kept.work), days } })
    if (saved) trial.drop()
    return saved
  }
  /** What two people changed to different things is settled, and kept with what was tried out. */
  async function settleClash(takeTheirs: ReadonlySet<string>): Promise<void> {
    if (await saving.settleClash(takeTheirs)) trial.drop()
  }

  /** A step of the lawn with its job in view; said only where there are several open ones. */
  const stepTo = (step: string) => {
    const open = lawn.value?.jobs.filter(({ endedOn }) => !endedOn).length ?? 0
    return { path: `/lawns/${id}/${step}`, query: open > 1 ? { job: lawn.value!.job.id } : {} }
  }

  return {
    id,
    lawn,
    job,
    ground,
    missing,
    outlook,
    season,
    plan,
    decision,
    shownJob,
    shown,
    stepTo,
    ...trial,
    keepTrial,
    savePlan: saving.savePlan,
    settleClash,
    busy: saving.busy,
    problem: saving.problem,
    clash: saving.clash,
  }
}

/** The lawn that is open with its season and all that is planned of it, following what is edited and tried out. */
export type OpenLawn = ReturnType<typeof deriveLawn>

const OPEN: InjectionKey<OpenLawn> = Symbol('the lawn that is open')

/** Opens the lawn of the page, derived once for all that is shown of it. */
export function provideLawn(): OpenLawn {
  const open = deriveLawn(String(useRoute().params.id))
  provide(OPEN, open)
  return open
}

/** @throws Error outside the page of a lawn */
export function useLawn(): OpenLawn {
  const open = inject(OPEN)
  if (!open) throw new Error(t('shell.noLawnIsOpen'))
  return open
}
