import { monitorEventLoopDelay } from 'node:perf_hooks'
import { defineNitroPlugin } from '#imports'

/** What a parent that started this server with a channel may ask: the longest stall of its thread since it was asked last, ms. */
export default defineNitroPlugin(() => {
  if (!process.send || process.env.UPPER_SILL_WATCH !== '1') return
  const delay = monitorEventLoopDelay({ resolution: 5 })
  delay.enable()
  process.on('message', (asked) => {
    if (asked !== 'stall') return
    process.send!({ stallMs: delay.max / 1e6 })
    delay.reset()
  })
})
