import { defineStore } from 'pinia'
import { LIST_PAGE, MOST_LISTED, type LawnOutline, type ListedLawn } from '#contract/list'
import { problemOf, type Problem } from '~/utils/api'

/** All lawns of the firm in brief, with what was worked out of each; the first screen stands while the rest is on its way. */
export const useListStore = defineStore('list', () => {
  const lawns = shallowRef<ListedLawn[]>([])
  const problem = ref<Problem>()
  /** More of a large book is on its way. */
  const reading = ref(false)
  let round = 0

  const listed = (from: number, first: number) => $fetch<ListedLawn[]>('/api/lawns', { query: { from, first } })

  let begun: Promise<void> | undefined
  /** Asks for the list before its page is there. */
  const begin = () => {
    begun = load()
  }
  /** The list as it was begun, or asked for anew. */
  function ready(): Promise<void> {
    const list = begun ?? load()
    begun = undefined
    return list
  }

  async function load(): Promise<void> {
    const mine = ++round
    try {
      const first = await listed(0, LIST_PAGE)
      if (mine !== round) return
      lawns.value = first
      problem.value = undefined
      reading.value = first.length === LIST_PAGE
      void rest(mine)
    } catch (error) {
      problem.value = problemOf(error)
    }
  }

  /** The rest of a large book, then all of it as it is today: what is kept may be of yesterday. */
  async function rest(mine: number): Promise<void> {
    try {
      if (reading.value) {
        const all: ListedLawn[] = []
        for (let page: ListedLawn[] | undefined; !page || page.length === MOST_LISTED; all.push(...page))
          page = await listed(all.length, MOST_LISTED)
        if (mine !== round) return
        lawns.value = all
        reading.value = false
      }
      await today(mine)
    } catch (error) {
      if (mine === round) problem.value = problemOf(error)
    }
  }

  async function today(mine: number): Promise<void> {
    const ids = lawns.value.map(({ id }) => id)
    for (let i = 0; i < ids.length && mine === round; i += LIST_PAGE) {
      const asked = ids.slice(i, i + LIST_PAGE)
      const list = await $fetch<LawnOutline[]>('/api/outlines', { query: { of: asked.join(',') } })
      if (mine !== round) return
      const outlines = new Map(list.map(({ id, outline }) => [id, outline]))
      lawns.value = lawns.value.map((lawn) => {
        const outline = outlines.get(lawn.id)
        return outline ? { ...lawn, outline } : lawn
      })
    }
  }

  /** Works all rows out anew, as after a step of the clock; what stands stays meanwhile. */
  const again = () => today(++round).catch((error: unknown) => (problem.value = problemOf(error)))
  /** Ends what is still on its way. */
  const leave = () => {
    round++
  }
  return { lawns, problem, reading, begin, ready, load, again, leave }
})
