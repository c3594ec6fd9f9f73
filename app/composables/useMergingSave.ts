import { settle } from '#contract/merge'
import { saveMerging, type OpenClash, type Versioned } from '~/utils/edits'
import type { Problem } from '~/utils/api'

/** How long it is said that another's save was brought together with one's own. */
const NOTICE_MS = 20_000

/** A save that two people may make at once, with what is to be said and settled. */
export function useMergingSave<T extends Versioned>(
  send: (value: T) => Promise<unknown>,
  fields: (answer: T) => T,
  labels: (path: string) => string,
) {
  const busy = ref(false)
  const problem = ref<Problem>()
  const clash = shallowRef<OpenClash<T>>()
  const toast = useToast()

  /** @returns true when it is saved; a second click while the first runs does nothing */
  async function save(base: T, mine: T): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    problem.value = undefined
    clash.value = undefined
    const outcome = await saveMerging(base, mine, send, fields)
    busy.value = false
    if (outcome.ok) {
      if (outcome.merged.length)
        toast.add({
          description: t('shell.savedMeanwhileBothAre', {
            savedBy: outcome.savedBy ?? t('shell.somebody'),
            merged: outcome.merged.map(labels).join(', '),
          }),
          duration: NOTICE_MS,
        })
      return true
    }
    if ('clash' in outcome) clash.value = outcome.clash
    else problem.value = outcome.problem
    return false
  }

  /** Saves the clash as it was settled: the other's value where chosen, mine elsewhere. */
  async function settleClash(takeTheirs: ReadonlySet<string>): Promise<boolean> {
    if (!clash.value) return false
    const { merged, theirs } = clash.value
    return save(theirs, settle(merged, takeTheirs))
  }
  return { busy, problem, clash, save, settleClash }
}
