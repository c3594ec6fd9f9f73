import type { NewSeen } from '#contract/seen'
import { markSchema, type NewMark } from '#contract/work'
import type { Task } from '#core/job/schedule/schedule'

/** Visits of the follow-up that ask something on the spot: which one is open, and what saving it does besides. */
export function useVisit(
  { plan, stepTo }: OpenLawn,
  {
    note,
    mark,
    spots,
  }: {
    note: (seen: NewSeen) => Promise<boolean>
    mark: (told: NewMark) => Promise<boolean>
    /** Thin spots were seen: each is drawn next. */
    spots: () => void
  },
) {
  const context = useContextStore()
  const route = useRoute()
  const key = ref(typeof route.query.visit === 'string' ? route.query.visit : null)
  const visit = computed<Task | undefined>(() =>
    plan.value?.schedule?.tasks.find((task) => task.key === key.value && !task.done && task.asks.length > 0),
  )
  const begin = (task: Task) => (key.value = task.key)
  const leave = () => (key.value = null)

  async function save(seen: NewSeen, marks: boolean): Promise<void> {
    const task = visit.value
    if (!task || !(await note(seen))) return
    leave()
    const holds = plan.value?.schedule?.tasks
      .find(({ key: of }) => of === task.key)
      ?.gates.some(({ state, overruled }) => state === 'hold' && overruled === undefined)
    // What holds it besides what was asked is looked at in Do.
    if (marks && !holds) {
      const told = markSchema.safeParse({ id: crypto.randomUUID(), task: task.key, doneOn: context.today })
      if (told.success) await mark(told.data)
    } else if (marks) await navigateTo(stepTo('do'))
    if (task.operation.reseeds && seen.kind === 'visit' && seen.answers.thin === true) spots()
  }
  return { visit, begin, leave, save }
}
