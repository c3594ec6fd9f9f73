import { defineStore } from 'pinia'
import type { EndJob, Lawn, NewJob, PlanInput } from '#contract/lawn'
import type { ClientReads } from '#contract/firm'
import type { Look } from '#contract/look'
import type { NewLawn } from '#contract/newLawn'
import type { NewSeen } from '#contract/seen'
import type { NewMark } from '#contract/work'
import type { Day } from '#core/measure/calendar'
import { problemOf, type Problem } from '~/utils/api'
import { withWaiting } from '~/utils/waiting'

/** Lawns that were opened, as last heard from the server; every save answers with the lawn as it now stands. */
export const useLawnsStore = defineStore('lawns', () => {
  const lawns = ref<Lawn[]>([])
  const problem = ref<Problem>()

  const byId = (id: string) => lawns.value.find((lawn) => lawn.id === id)

  const device = useDeviceStore()
  const context = useContextStore()
  /** As the server tells it, with what waits on this device to be sent. */
  function keep(told: Lawn): Lawn {
    const lawn = withWaiting(told, device.waiting, context.person?.name ?? null)
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
  const clientReads = (id: string, reads: ClientReads) => put(`/api/lawns/${id}/client?job=${byId(id)?.job.id}`, reads)
  const savePlan = (id: string, plan: PlanInput) => put(`${ofJob(id)}/plan`, plan)
  const confirm = (id: string, version: number, days: Record<string, Day>) =>
    post(`${ofJob(id)}/confirm`, { version, days })
  /** Sends something that the server makes one of however often it comes; without a network it waits on the device. */
  async function sendOrKeep(kind: 'mark' | 'seen', id: string, body: NewMark | NewSeen): Promise<void> {
    const [path, lawn] = [`${ofJob(id)}/${kind === 'mark' ? 'marks' : 'seen'}`, byId(id)]
    try {
      await post(path, body)
    } catch (error) {
      if (problemOf(error).code !== 'unreachable' || !lawn) throw error
      await device.put({ id: body.id, kind, lawnId: id, jobId: lawn.job.id, path, body })
      keep(lawn)
    }
  }
  const markDone = (id: string, mark: NewMark) => sendOrKeep('mark', id, mark)
  const noteSeen = (id: string, seen: NewSeen) => sendOrKeep('seen', id, seen)
  /** Takes something back: from the device while it waits there. */
  async function takeBack(path: string, id: string, one: string): Promise<void> {
    if (device.waiting.some((waiting) => waiting.id === one)) {
      await device.drop(one)
      const lawn = byId(id)
      const without = <T extends { id: string }>(all: readonly T[]) => all.filter((kept) => kept.id !== one)
      if (lawn) keep({ ...lawn, done: without(lawn.done), seen: without(lawn.seen) })
    } else keep(await $fetch<Lawn>(`${path}/${one}`, { method: 'DELETE' }))
  }
  const undoMark = (id: string, mark: string) => takeBack(`${ofJob(id)}/marks`, id, mark)
  const forgetSeen = (id: string, seen: string) => takeBack(`${ofJob(id)}/seen`, id, seen)
  const startJob = (id: string, job: NewJob) => post(`/api/lawns/${id}/jobs`, job)
  const endJob = (id: string, end: EndJob) => post(`${ofJob(id)}/end`, end)
  const reopenJob = (id: string, jobId: string) => post(`/api/lawns/${id}/jobs/${jobId}/reopen`, {})

  async function remove(id: string): Promise<void> {
    await $fetch(`/api/lawns/${id}`, { method: 'DELETE' })
    lawns.value = lawns.value.filter((lawn) => lawn.id !== id)
  }

  // What was sent or refused is read as the server has it now.
  watch(
    () => device.answered,
    (ids) => {
      for (const id of ids) if (byId(id)) void load(id, byId(id)!.job.id)
    },
  )

  return {
    lawns,
    problem,
    load,
    add,
    saveLook,
    clientReads,
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
