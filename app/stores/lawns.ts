import { defineStore } from 'pinia'
import type { EndJob, Lawn, NewJob, PlanInput } from '#contract/lawn'
import type { Look } from '#contract/look'
import type { NewLawn } from '#contract/newLawn'
import type { NewSeen } from '#contract/seen'
import type { NewMark } from '#contract/work'
import type { Day } from '#core/measure/calendar'
import { problemOf, type Problem } from '~/utils/api'

/** Lawns that were opened, as last heard from the server; every save answers with the lawn as it now stands. */
export const useLawnsStore = defineStore('lawns', () => {
  const lawns = ref<Lawn[]>([])
  const problem = ref<Problem>()

  const byId = (id: string) => lawns.value.find((lawn) => lawn.id === id)

  function keep(lawn: Lawn): Lawn {
    const i = lawns.value.findIndex(({ id }) => id === lawn.id)
    if (i < 0) lawns.value.push(lawn)
    else lawns.value[i] = lawn
    return lawn
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
  const noteSeen = (id: string, seen: NewSeen) => post(`${ofJob(id)}/seen`, seen)
  const startJob = (id: string, job: NewJob) => post(`/api/lawns/${id}/jobs`, job)
  const endJob = (id: string, end: EndJob) => post(`${ofJob(id)}/end`, end)
  const reopenJob = (id: string, jobId: string) => post(`/api/lawns/${id}/jobs/${jobId}/reopen`, {})

  async function undoMark(id: string, mark: string): Promise<void> {
    keep(await $fetch<Lawn>(`${ofJob(id)}/marks/${mark}`, { method: 'DELETE' }))
  }

  async function forgetSeen(id: string, seen: string): Promise<void> {
    keep(await $fetch<Lawn>(`${ofJob(id)}/seen/${seen}`, { method: 'DELETE' }))
  }

  async function remove(id: string): Promise<void> {
    await $fetch(`/api/lawns/${id}`, { method: 'DELETE' })
    lawns.value = lawns.value.filter((lawn) => lawn.id !== id)
  }

  return {
    lawns,
    problem,
    load,
    add,
    saveLook,
    savePlan,
    confirm,
    markDone,
    undoMark,
    noteSeen,
    forgetSeen,
    startJob,
    endJob,
    reopenJob,
    remove,
    byId,
  }
})
