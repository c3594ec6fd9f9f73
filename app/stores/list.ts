import { defineStore } from 'pinia'
import { LIST_PAGE, MOST_LISTED, type LawnOutline, type ListedLawn } from '#contract/list'
import { problemOf, type Problem } from '~/utils/api'

/** All lawns of the firm in brief, with what was worked out of each; the first screen stands while the rest is on its way. */
export const useListStore = defineStore('list', () => {
  const lawns = shallowRef<ListedLawn[]>([])
  const problem = ref<Problem>()
  /** More of a large book is on its way. */
  const reading = ref(false)
  let asking: AbortController | undefined

  const listed = (from: number, first: number, signal: AbortSignal) =>
    $fetch<ListedLawn[]>('/api/lawns', { query: { from, first }, signal })

  /** What is still on its way ends with the next question, and with the page. */
  function leave(): AbortSignal {
    asking?.abort()
    asking = new AbortController()
    return asking.signal
  }
  async function orSayWhy(signal: AbortSignal, work: () => Promise<void>): Promise<void> {
    try {
      await work()
    } catch (error) {
      if (!signal.aborted) problem.value = problemOf(error)
    }
  }

  let begun: Promise<void> | undefined
  /** Asks for the list before its page is there. */
  const begin = () => {
    begun = load()
  }
  /** The list as it was begun, or asked for anew where it was not, or nobody was signed in yet. */
  async function ready(): Promise<void> {
    const list = begun
    begun = undefined
    await list
    if (!list || problem.value) await load()
  }

  function load(): Promise<void> {
    const signal = leave()
    return orSayWhy(signal, async () => {
      const first = await listed(0, LIST_PAGE, signal)
      lawns.value = first
      problem.value = undefined
      reading.value = first.length === LIST_PAGE
      void orSayWhy(signal, () => rest(signal))
    })
  }

  /** The rest of a large book, then all of it as it is today: what is kept may be of yesterday. */
  async function rest(signal: AbortSignal): Promise<void> {
    if (reading.value) {
      const all: ListedLawn[] = []
      for (let page: ListedLawn[] | undefined; !page || page.length === MOST_LISTED; all.push(...page))
        page = await listed(all.length, MOST_LISTED, signal)
      lawns.value = all
      reading.value = false
    }
    await today(signal)
  }

  /** Rows as they are told, a page after the other. @param coarse whether a first look will do */
  async function told(ids: readonly string[], coarse: boolean, signal: AbortSignal): Promise<void> {
    for (let i = 0; i < ids.length; i += LIST_PAGE) {
      const query = { of: ids.slice(i, i + LIST_PAGE).join(','), ...(coarse ? { coarse: 'yes' } : {}) }
      const list = await $fetch<LawnOutline[]>('/api/outlines', { query, signal })
      const found = new Map(list.map((one) => [one.id, one]))
      lawns.value = lawns.value.map((lawn) => {
        const one = found.get(lawn.id)
        return one?.outline ? { ...lawn, outline: one.outline, coarse: one.coarse } : lawn
      })
    }
  }

  /** What nothing is known of has a first look at once; then all of them are told as they are today. */
  async function today(signal: AbortSignal): Promise<void> {
    const unknown = lawns.value.filter(({ outline }) => !outline)
    await told(
      unknown.map(({ id }) => id),
      true,
      signal,
    )
    await told(
      lawns.value.map(({ id }) => id),
      false,
      signal,
    )
  }

  /** Works all rows out anew, as after a step of the clock; what stands stays meanwhile. */
  function again(): Promise<void> {
    const signal = leave()
    return orSayWhy(signal, () => today(signal))
  }
  return { lawns, problem, reading, begin, ready, load, again, leave }
})
