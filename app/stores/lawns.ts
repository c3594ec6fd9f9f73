import { defineStore } from 'pinia'
import type { LawnGlance } from '#contract/context'
import { LIST_PAGE, type Lawn, type NewLawn, type PlanInput } from '#contract/lawn'
import type { Look } from '#contract/look'
import type { NewMark } from '#contract/work'
import type { Glance } from '#core/establishment/glance'
import { problemOf, type Problem } from '~/utils/api'

/** The firm's lawns as last heard from the server; every save answers with the lawn as it now stands. */
export const useLawnsStore = defineStore('lawns', () => {
  const lawns = ref<Lawn[]>([])
  const glances = ref<Record<string, Glance | null>>({})
  const problem = ref<Problem>()

  function keep(lawn: Lawn): Lawn {
    const i = lawns.value.findIndex(({ id }) => id === lawn.id)
    if (i < 0) lawns.value.push(lawn)
    else lawns.value[i] = lawn
    return lawn
  }

  async function loadAll(): Promise<void> {
    try {
      const first = await $fetch<Lawn[]>('/api/lawns', { query: { first: LIST_PAGE } })
      lawns.value = first
      problem.value = undefined
      // A large book: the first screen stands while the rest is on its way.
      if (first.length === LIST_PAGE) void loadRest()
    } catch (error) {
      problem.value = problemOf(error)
    }
  }

  async function loadRest(): Promise<void> {
    try {
      lawns.value = await $fetch<Lawn[]>('/api/lawns')
    } catch (error) {
      problem.value = problemOf(error)
    }
  }

  let asking: AbortController | undefined

  /** The season of some lawns in brief, a page of the list at once; a later question ends an earlier one. */
  async function loadGlances(ids: readonly string[]): Promise<void> {
    asking?.abort()
    const { signal } = (asking = new AbortController())
    try {
      for (let i = 0; i < ids.length; i += LIST_PAGE) {
        const asked = ids.slice(i, i + LIST_PAGE)
        const list = await $fetch<LawnGlance[]>('/api/glances', { query: { of: asked.join(',') }, signal })
        // One that nothing was told of is known to have none, or it would be asked for again at once.
        glances.value = {
          ...glances.value,
          ...Object.fromEntries(asked.map((id) => [id, null])),
          ...Object.fromEntries(list.map(({ id, glance }) => [id, glance])),
        }
      }
    } catch (error) {
      if (!signal.aborted) problem.value = problemOf(error)
    }
  }

  async function load(id: string): Promise<void> {
    try {
      keep(await $fetch<Lawn>(`/api/lawns/${id}`))
      problem.value = undefined
    } catch (error) {
      problem.value = problemOf(error)
    }
  }

  const put = async (path: string, body: object): Promise<Lawn> =>
    keep(await $fetch<Lawn>(path, { method: 'PUT', body }))

  const add = async (lawn: NewLawn): Promise<Lawn> =>
    keep(await $fetch<Lawn>('/api/lawns', { method: 'POST', body: lawn }))
  const saveLook = (id: string, look: Look) => put(`/api/lawns/${id}`, look)
  const savePlan = (id: string, plan: PlanInput) => put(`/api/lawns/${id}/plan`, plan)
  const markDone = async (id: string, mark: NewMark): Promise<Lawn> =>
    keep(await $fetch<Lawn>(`/api/lawns/${id}/marks`, { method: 'POST', body: mark }))

  async function undoMark(id: string, mark: string): Promise<void> {
    keep(await $fetch<Lawn>(`/api/lawns/${id}/marks/${mark}`, { method: 'DELETE' }))
  }

  async function remove(id: string): Promise<void> {
    await $fetch(`/api/lawns/${id}`, { method: 'DELETE' })
    lawns.value = lawns.value.filter((lawn) => lawn.id !== id)
  }

  const byId = (id: string) => lawns.value.find((lawn) => lawn.id === id)
  return {
    lawns,
    glances,
    problem,
    loadAll,
    loadGlances,
    load,
    add,
    saveLook,
    savePlan,
    markDone,
    undoMark,
    remove,
    byId,
  }
})
