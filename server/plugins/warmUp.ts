import { setTimeout as later } from 'node:timers/promises'
import { defineNitroPlugin } from '#imports'
import { LEAST_THREADS, workedOut } from '../seasons/threads'
import { warmUps } from '../seasons/warmUp'
import { log } from '../utils/log'

/** What a server does first is nobody's business but its own: it is left alone for so long. */
const AFTER_MS = 2000

/** Makes the threads that stay quick before somebody waits for it; whoever asks meanwhile goes before. */
export default defineNitroPlugin(() => {
  if (import.meta.dev) return
  const warm = async () => {
    await later(AFTER_MS, undefined, { ref: false })
    const one = async () => {
      for (const work of warmUps()) await workedOut(work, 'later')
    }
    await Promise.all(Array.from({ length: LEAST_THREADS }, one))
  }
  warm().catch((error: unknown) => {
    log.error({ reason: String(error) }, 'the warm-up of a season thread')
  })
})
