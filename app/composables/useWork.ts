import type { NewMark } from '#contract/work'
import type { PlanInput } from '#contract/lawn'
import { whatIsPlanned } from '~/utils/planFields'
import { daysOf } from '#core/job/planJob'
import type { Schedule } from '#core/job/schedule/schedule'
import { problemOf, saving } from '~/utils/api'

/** The run of operations of a lawn, and everything that is tried out, agreed, marked and taken back in it. */
export function useWork(open: OpenLawn) {
  const { id, lawn, plan: standing, shown: shownPlan, trying, keepTrial, savePlan } = open
  const store = useLawnsStore()
  const context = useContextStore()
  const marking = ref('')
  const message = ref('')
  /** What was kept last, and the plan before it. */
  const kept = shallowRef<{ words: string; before: PlanInput }>()

  const plan = computed(() => lawn.value?.plan)
  const schedule = computed(() => standing.value?.schedule)
  /** The run as it would be: what stands now is what was agreed, so that every change shows. */
  const shown = computed<Schedule | undefined>(() => shownPlan.value?.schedule)
  const moves = computed(() => shown.value?.moves ?? [])
  const only = (these: Schedule | undefined, those: Schedule | undefined) =>
    trying.value && these && those ? these.tasks.filter(({ key }) => !those.tasks.some((task) => task.key === key)) : []
  /** Work that a change brings in or takes out besides. */
  const comes = computed(() => only(shown.value, schedule.value))
  const goes = computed(() => only(schedule.value, shown.value))

  async function keep(): Promise<void> {
    const [words, before] = [trying.value, plan.value]
    if (before && (await keepTrial())) kept.value = { words, before }
  }
  async function takeBack(): Promise<void> {
    if (kept.value && (await savePlan(whatIsPlanned(kept.value.before)))) kept.value = undefined
  }
  async function restore(version: PlanInput): Promise<void> {
    const before = plan.value
    if (before && (await savePlan(whatIsPlanned(version))))
      kept.value = { words: t('work.versionTakenBack', { version: version.version }), before }
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
      if (!plan.value || !schedule.value) return
      try {
        await store.confirm(id, plan.value.version, daysOf(schedule.value))
      } catch (error) {
        // What somebody else saved is looked at before it is confirmed.
        if (problemOf(error).code === 'conflict') await store.load(id, lawn.value?.job.id)
        throw error
      }
      kept.value = undefined
    })
  /** Parts add up, whoever marks them; sent twice, a mark is one. */
  const mark = (told: NewMark) =>
    once(told.task, async () => {
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
    standing: schedule,
    shown,
    moves,
    comes,
    goes,
    kept,
    marking,
    message,
    keep,
    confirm,
    takeBack,
    restore,
    mark,
    undo,
  }
}
