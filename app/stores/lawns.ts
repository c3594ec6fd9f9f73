import { defineStore } from 'pinia'
import type { LawnGlance } from '#contract/context'
import {
  LIST_PAGE,
  MOST_LISTED,
  type EndJob,
  type Lawn,
  type NewJob,
  type NewLawn,
  type PlanInput,
} from '#contract/lawn'
import type { Look } from '#contract/look'
import type { NewMark } from '#contract/work'
import type { Day } from '#core/measure/calendar'
import type { Glance } from '#core/establishment/glance'
import { problemOf, type Problem } from '~/utils/api'

/** The firm's lawns as last heard from the server; every save answers with the lawn as it now stands. */
export const useLawnsStore = defineStore('lawns', () => {
  const lawns = ref<Lawn[]>([])
  const glances = ref<Record<string, Glance | null>>({})
  const problem = ref<Problem>()

  const byId = (id: string) => lawns.value.find((lawn) => lawn.id === id)

  function keep(lawn: Lawn): Lawn {
    const i = lawns.value.findIndex(({ id }) => id === lawn.id)
    if (i < 0) lawns.value.push(lawn)
    else lawns.value[i] = lawn
    return lawn
  }

  const listed = (from: number, first: number) => $fetch<Lawn[]>('/api/lawns', { query: { from, first } })

  async function loadAll(): Promise<void> {
    try {
      const first = await listed(0, LIST_PAGE)
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
      const all: Lawn[] = []
      for (let page: Lawn[] | undefined; !page || page.length === MOST_LISTED; all.push(...page))
        page = await listed(all.length, MOST_LISTED)
      lawns.value = all
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

  /** @param job to look at; without it the open one, or the last */
  async function load(id: string, job?: string): Promise<void> {
    try {
      keep(await $fetch<Lawn>(`/api/lawns/${id}`, { query: { job } }))
      problem.value = undefined
    } catch (error) {
      problem.value = problemOf(error)
    }
  }

  const put = async (path: string, body: object): Promise<Lawn> =>
    keep(await $fetch<Lawn>(path, { method: 'PUT', body }))

  const add = (lawn: NewLawn) => post('/api/lawns', lawn)
  const ofJob = (id: string) => `/api/lawns/${id}/jobs/${byId(id)?.job.id}`
  const post = async (path: string, body: object): Promise<Lawn> =>
    keep(await $fetch<Lawn>(path, { method: 'POST', body }))
  const saveLook = (id: string, look: Look) => put(`/api/lawns/${id}?job=${byId(id)?.job.id}`, look)
  const savePlan = (id: string, plan: PlanInput) => put(`${ofJob(id)}/plan`, plan)
  const confirm = (id: string, version: number, days: Record<string, Day>) =>
    post(`${ofJob(id)}/confirm`, { version, days })
  const markDone = (id: string, mark: NewMark) => post(`${ofJob(id)}/marks`, mark)
  const startJob = (id: string, job: NewJob) => post(`/api/lawns/${id}/jobs`, job)
  const endJob = (id: string, end: EndJob) => post(`${ofJob(id)}/end`, end)
  const reopenJob = (id: string, jobId: string) => post(`/api/lawns/${id}/jobs/${jobId}/reopen`, {})

  async function undoMark(id: string, mark: string): Promise<void> {
    keep(await $fetch<Lawn>(`${ofJob(id)}/marks/${mark}`, { method: 'DELETE' }))
  }

  async function remove(id: string): Promise<void> {
    await $fetch(`/api/lawns/${id}`, { method: 'DELETE' })
    lawns.value = lawns.value.filter((lawn) => lawn.id !== id)
  }

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
    confirm,
    markDone,
    undoMark,
    startJob,
    endJob,
    reopenJob,
    remove,
    byId,
  }
})
