import { setTimeout as later } from 'node:timers/promises'
import { defineNitroPlugin } from '#imports'
import { workedOut } from '../seasons/threads'
import { warmUps } from '../seasons/warmUp'
import { log } from '../utils/log'

/** What a server does first is nobody's business but its own: it is left alone for so long. */
const AFTER_MS = 2000

/** Makes the thread that stays quick before somebody waits for it; whoever asks meanwhile goes before. */
export default defineNitroPlugin(() => {
  if (import.meta.dev) return
  const warm = async () => {
    await later(AFTER_MS, undefined, { ref: false })
    for (const work of warmUps()) await workedOut(work, 'later')
  }
  warm().catch((error: unknown) => {
    log.error({ reason: String(error) }, 'the warm-up of a season thread')
  })
})
