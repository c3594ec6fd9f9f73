import { readFileSync } from 'node:fs'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { defineNitroPlugin } from '#imports'

const TICK_MS = 5
const MS_A_JIFFY = 10

/**
 * Time this thread was ready to run and other processes had the processor, ms since it began; 0 where Linux does not
 * say.
 */
function waitedMs(): number {
  try {
    return Number(readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ')[1]) / 1e6
  } catch {
    return 0
  }
}

/** Time each processor was taken from this whole machine, ms since it began; none where Linux does not say. */
function stolenMs(): number[] {
  try {
    const perProcessor = readFileSync('/proc/stat', 'utf8').matchAll(/^cpu\d+((?: \d+)+)$/gm)
    return [...perProcessor].map(([, jiffies]) => Number(jiffies!.trim().split(' ')[7] ?? 0) * MS_A_JIFFY)
  } catch {
    return []
  }
}

/**
 * What a parent that started this server with a channel may ask: the longest stall of its thread since it was asked last,
 * and the longest that was its own doing: on a machine shared with the attacker, waiting for a processor is not, nor is a processor that a host lent to others.
 */
export default defineNitroPlugin(() => {
  if (!process.send || process.env.UPPER_SILL_WATCH !== '1') return
  const delay = monitorEventLoopDelay({ resolution: TICK_MS })
  delay.enable()
  let [ownMs, last, waited, stolen] = [0, performance.now(), waitedMs(), stolenMs()]
  setInterval(() => {
    const now = performance.now()
    const late = now - last - TICK_MS
    last = now
    const [waitedBefore, stolenBefore] = [waited, stolen]
    waited = waitedMs()
    stolen = stolenMs()
    // The thread was on one of them at any moment: no more was taken from it than from the one that lost most.
    const taken = Math.max(0, ...stolen.map((ms, i) => ms - (stolenBefore[i] ?? ms)))
    ownMs = Math.max(ownMs, late - (waited - waitedBefore) - taken)
  }, TICK_MS).unref()
  process.on('message', (asked) => {
    if (asked !== 'stall') return
    process.send!({ stallMs: delay.max / 1e6, ownMs })
    delay.reset()
    ;[ownMs, last, waited, stolen] = [0, performance.now(), waitedMs(), stolenMs()]
  })
})
