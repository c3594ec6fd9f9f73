import type { NewMark, Work } from '#contract/work'
import type { PlanInput } from '#contract/lawn'
import { daysOf } from '#core/job/planJob'
import type { Sequence } from '#core/job/schedule/schedule'
import { shortDayWithWeekday, type Day } from '#core/measure/calendar'
import { fieldName } from '~/utils/fieldWords'
import { problemOf, saving } from '~/utils/api'

/** A change of the sequence as it would be, before it is kept. */
export interface Trial {
  words: string
  work: Work
  sowOn: Day
}

/** A plan without the number of its version. */
const whatIsPlanned = ({
  programme,
  overruleNote,
  zonePlans,
  schools,
  blend,
  sowOn,
  settings,
  work,
}: PlanInput): Omit<PlanInput, 'version'> => ({
  programme,
  overruleNote,
  zonePlans,
  schools,
  blend,
  sowOn,
  settings,
  work,
})

/** The run of operations of a lawn, and everything that is tried out, agreed, marked and taken back in it. */
export function useWork({ id, lawn, sequence, tryOut: planned }: ReturnType<typeof useLawn>) {
  const store = useLawnsStore()
  const sill = useSillStore()
  const context = useContextStore()
  const { busy, problem, clash, notice: merged, savePlan, settleClash } = usePlanSave(id)
  const trial = shallowRef<Trial>()
  const marking = ref('')
  const message = ref('')
  /** What was kept last, and the plan before it. */
  const kept = shallowRef<{ words: string; before: PlanInput }>()

  const plan = computed(() => lawn.value?.plan)
  /** The sequence as it would be: what stands now is what was agreed, so that every change shows. */
  const tried = computed<Sequence | undefined>(() => {
    return trial.value && planned({ sowOn: trial.value.sowOn, work: trial.value.work })?.schedule
  })
  const shown = computed(() => tried.value ?? sequence.value)
  const moves = computed(() => shown.value?.moves ?? [])
  /** Work that a change brings in or takes out besides. */
  const comes = computed(() =>
    (tried.value?.slips ?? []).filter(({ key }) => !sequence.value?.slips.some((slip) => slip.key === key)),
  )
  const goes = computed(() =>
    tried.value && sequence.value
      ? sequence.value.slips.filter(({ key }) => !tried.value!.slips.some((slip) => slip.key === key))
      : [],
  )
  const confirmed = computed(() => lawn.value?.job.confirmed ?? null)

  function tryOut(words: string, change: Partial<Work>, sowOn: Day | null = plan.value?.sowOn ?? null): void {
    if (!plan.value || !sowOn) return
    message.value = ''
    trial.value = { words, work: { ...plan.value.work, ...change }, sowOn }
  }
  /** A day for some slips: of the sowing it is the sowing day, of others a day of their own. */
  function tryDay(keys: readonly string[], anchor: boolean, day: Day, name: string): void {
    const pins = Object.fromEntries(keys.map((key) => [key, day]))
    if (anchor) tryOut(`${name} on ${shortDayWithWeekday(day)}`, {}, day)
    else tryOut(`${name} on ${shortDayWithWeekday(day)}`, { pins: { ...plan.value?.work.pins, ...pins } })
  }

  async function keepPlan(words: string, change: Partial<PlanInput>): Promise<boolean> {
    const before = plan.value
    if (!before || !(await savePlan(change))) return false
    kept.value = { words, before }
    trial.value = undefined
    if (change.sowOn && change.sowOn !== before.sowOn) await sill.show(id)
    return true
  }
  async function keep(): Promise<void> {
    if (!trial.value || !tried.value) return
    const { words, work, sowOn } = trial.value
    await keepPlan(words, { sowOn, work: { ...work, days: daysOf(tried.value) } })
  }
  async function takeBack(): Promise<void> {
    if (!kept.value) return
    if (await savePlan(whatIsPlanned(kept.value.before))) {
      kept.value = undefined
      await sill.show(id)
    }
  }
  async function restore(version: PlanInput): Promise<void> {
    await keepPlan(`Version ${version.version} taken back`, whatIsPlanned(version))
    await sill.show(id)
  }

  async function once(key: string, work: () => Promise<unknown>): Promise<boolean> {
    if (marking.value) return false
    marking.value = key
    message.value = ''
    const saved = await saving(work)
    if (!saved.ok) message.value = Object.values(saved.problem.fields)[0] ?? saved.problem.message
    marking.value = ''
    return saved.ok
  }
  /** Confirms the schedule as it stands; another's save meanwhile is looked at first. */
  const confirm = () =>
    once('confirm', async () => {
      if (!plan.value || !sequence.value) return
      try {
        await store.confirm(id, plan.value.version, daysOf(sequence.value))
      } catch (error) {
        // What somebody else saved is looked at before it is confirmed.
        if (problemOf(error).code === 'conflict') await store.load(id, lawn.value?.job.id)
        throw error
      }
      kept.value = undefined
    })
  /** Parts add up, whoever marks them; sent twice, a mark is one. */
  const mark = (told: NewMark) =>
    once(told.slip, async () => {
      await store.markDone(id, told)
      // Hours teach the firm's pace, and what was used is off the stock.
      await context.load()
    })
  /** Takes the last mark of a task back. */
  const undo = (key: string) =>
    once(key, async () => {
      const last = lawn.value?.done.filter((one) => one.key === key).at(-1)
      if (last) await store.undoMark(id, last.id)
      await context.load()
    })

  return {
    trial,
    tried,
    standing: sequence,
    shown,
    moves,
    comes,
    goes,
    confirmed,
    kept,
    busy,
    marking,
    message,
    merged,
    problem,
    clash,
    settleClash,
    tryOut,
    tryDay,
    keep,
    confirm,
    takeBack,
    restore,
    mark,
    undo,
    drop: () => {
      trial.value = undefined
    },
    label: (path: string) => fieldName(path),
  }
}
