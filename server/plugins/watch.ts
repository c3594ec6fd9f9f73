import { readFileSync } from 'node:fs'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { defineNitroPlugin } from '#imports'

const TICK_MS = 5

/** Time this thread was ready to run and other processes had the processor, ms since it began; 0 where Linux does not say. */
function waitedMs(): number {
  try {
    return Number(readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ')[1]) / 1e6
  } catch {
    return 0
  }
}

/**
 * What a parent that started this server with a channel may ask: the longest stall of its thread since it was asked last,
 * and the longest that was its own doing: on a machine shared with the attacker, waiting for a processor is not.
 */
export default defineNitroPlugin(() => {
  if (!process.send || process.env.UPPER_SILL_WATCH !== '1') return
  const delay = monitorEventLoopDelay({ resolution: TICK_MS })
  delay.enable()
  let [ownMs, last, waited] = [0, performance.now(), waitedMs()]
  setInterval(() => {
    const now = performance.now()
    const late = now - last - TICK_MS
    last = now
    const before = waited
    waited = waitedMs()
    ownMs = Math.max(ownMs, late - (waited - before))
  }, TICK_MS).unref()
  process.on('message', (asked) => {
    if (asked !== 'stall') return
    process.send!({ stallMs: delay.max / 1e6, ownMs })
    delay.reset()
    ;[ownMs, last, waited] = [0, performance.now(), waitedMs()]
  })
})
