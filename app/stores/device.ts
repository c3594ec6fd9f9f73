import { defineStore } from 'pinia'
import {
  addWaiting,
  allWaiting,
  dropWaiting,
  forgetAnswers,
  refuseWaiting,
  wipeDevice,
  type Waiting,
} from '~/utils/device'
import { problemOf } from '~/utils/api'

/** Whose answers the device keeps, in its local storage. */
const WHOSE = 'upper-sill-whose'
/** Asked again while something waits: soon at first, then twice as long after each time, ms. */
const [AGAIN_MS, LONGEST_MS] = [2_000, 20_000]

/** What this device keeps for a lawn without signal: notes that wait to be sent, and since when nothing was heard. */
export const useDeviceStore = defineStore('device', () => {
  /** Who is at work; empty while nobody is known to be. */
  const by = ref('')
  const waiting = ref<Waiting[]>([])
  /** When what is shown was heard, ms; undefined while the server answers. */
  const heardAt = ref<number>()
  const sending = ref(false)
  /** Lawns whose notes were sent or refused last, to be read again by whoever shows them. */
  const answered = shallowRef<readonly string[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined
  let pauseMs = AGAIN_MS
  /** Asked to send while it was sending: what came too early for the network is tried once more. */
  let onceMore = false

  async function read(): Promise<void> {
    waiting.value = by.value ? await allWaiting(by.value).catch(() => []) : []
    clearTimeout(timer)
    if (!waiting.value.some(({ refused }) => !refused)) pauseMs = AGAIN_MS
    else timer = setTimeout(() => void flush(), pauseMs)
  }

  /** Who is at work is known: what somebody else was told on this device is forgotten, and what waits is sent. */
  async function begin(personId: string): Promise<void> {
    if (by.value === personId) return
    by.value = personId
    if (localStorage.getItem(WHOSE) !== personId) await forgetAnswers()
    localStorage.setItem(WHOSE, personId)
    await flush()
  }

  /** Keeps something to be sent. @throws Error where the device keeps nothing */
  async function put(one: Omit<Waiting, 'refused' | 'order' | 'by'>): Promise<void> {
    await addWaiting({ ...one, by: by.value, refused: '' })
    await read()
  }

  /** One after the other in their order; what the server says against one stands beside it, and the next goes on. */
  async function flush(): Promise<void> {
    if (sending.value) onceMore = true
    if (sending.value || !by.value) return
    sending.value = true
    onceMore = false
    const asked = new Set<string>()
    try {
      for (const one of await allWaiting(by.value)) {
        if (one.refused) continue
        if (!(await isAnswered(one))) {
          pauseMs = Math.min(LONGEST_MS, 2 * pauseMs)
          break
        }
        asked.add(one.lawnId)
      }
    } catch {
      // A device that keeps nothing has nothing to send.
    } finally {
      sending.value = false
      await read()
      if (asked.size) answered.value = [...asked]
    }
    if (onceMore) await flush()
  }

  /** A network is there again: asked at once, and soon again where it was told of too early. */
  function hurry(): Promise<void> {
    pauseMs = AGAIN_MS
    return flush()
  }

  /** @returns whether the server took or refused it; otherwise nothing more can be sent now */
  async function isAnswered(one: Waiting): Promise<boolean> {
    try {
      await $fetch(one.path, { method: 'POST', body: one.body })
      await dropWaiting(one.id)
      return true
    } catch (error) {
      const problem = problemOf(error)
      // No network, a server that is down, or nobody signed in: all of it waits.
      const status = (error as { status?: number }).status ?? 0
      if (problem.code === 'unreachable' || status === 401 || status === 429 || status >= 500) return false
      await refuseWaiting(one.id, Object.values(problem.fields)[0] ?? problem.message)
      return true
    }
  }

  /** Lets go of something that the server refused. */
  async function drop(id: string): Promise<void> {
    await dropWaiting(id)
    await read()
  }

  async function wipe(): Promise<void> {
    await wipeDevice()
    localStorage.removeItem(WHOSE)
    sessionStorage.clear()
    waiting.value = []
    heardAt.value = undefined
  }

  return { waiting, heardAt, sending, answered, begin, put, flush, hurry, drop, wipe }
})
