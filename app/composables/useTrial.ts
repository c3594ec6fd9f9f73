import type { PlanInput } from '#contract/lawn'

/** What can be tried out beside each other. */
const SUBJECTS = ['day', 'work', 'settings'] as const
type Subject = (typeof SUBJECTS)[number]

/** A change of the plan as it would be, before it is kept. */
export interface Trial {
  words: string
  change: Partial<PlanInput>
  /** Put forward by a view and not chosen by anybody: let go with the view. */
  offered?: boolean
}

/** What is tried out on the lawn that is open: the same in every view, until it is kept or dropped. */
export function useTrial() {
  const trials = shallowRef<Partial<Record<Subject, Trial>>>({})
  const all = computed(() => SUBJECTS.flatMap((subject) => trials.value[subject] ?? []))
  const change = computed<Partial<PlanInput> | undefined>(() =>
    all.value.length ? Object.assign({}, ...all.value.map((one) => one.change)) : undefined,
  )
  /** What is tried, in words; empty where nothing is. */
  const trying = computed(() =>
    all.value
      .filter(({ offered }) => !offered)
      .map(({ words }) => words)
      .join('; '),
  )
  const tries = (subject: Subject) => trials.value[subject]

  /** @param trial undefined takes back what was tried of the subject */
  function tryOut(subject: Subject, trial: Trial | undefined): void {
    const { [subject]: before, ...others } = trials.value
    if (trial || before) trials.value = trial ? { ...others, [subject]: trial } : others
  }
  const drop = () => {
    trials.value = {}
  }
  return { trying, change, tries, tryOut, drop }
}
