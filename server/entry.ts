import '#nitro-internal-pollyfills'
import { createServer } from 'node:http'
import { toNodeListener } from 'h3'
import { useNitroApp } from 'nitropack/runtime'
import { closeDatabase } from './records/db'
import { log } from './utils/log'

/** Headers have to be here by then; bodies are timed by who reads them, and by this at the latest. */
const HEADERS_MS = 30_000
const WHOLE_REQUEST_MS = 5 * 60_000
const LOOKED_AT_EVERY_MS = 2_000
/** What is under way when the server is told to stop may end. */
const LAST_ANSWERS_MS = 10_000

const app = useNitroApp()
const server = createServer(
  {
    headersTimeout: HEADERS_MS,
    requestTimeout: WHOLE_REQUEST_MS,
    connectionsCheckingInterval: LOOKED_AT_EVERY_MS,
    keepAliveTimeout: 65_000,
    maxHeaderSize: 16_384,
  },
  toNodeListener(app.h3App),
)
// A browser opens a handful; who opens hundreds holds places.
server.maxRequestsPerSocket = 10_000

const host = process.env.HOST ?? '127.0.0.1'
const port = Number(process.env.PORT ?? 3000)
server.once('error', (error) => {
  log.fatal({ reason: error.message }, `cannot listen on ${host}:${port}`)
  process.exit(1)
})
server.listen(port, host, () => {
  log.info({ host, port }, 'listening')
})

/** An error that nothing caught is ours to mend; it does not stop the others' work. */
for (const event of ['uncaughtException', 'unhandledRejection'] as const)
  process.on(event, (error: unknown) => {
    log.error({ reason: String(error), stack: (error as Error)?.stack }, event)
  })

let stopping = false
async function stop(): Promise<void> {
  if (stopping) return
  stopping = true
  const forced = setTimeout(() => {
    server.closeAllConnections()
  }, LAST_ANSWERS_MS)
  await new Promise((closed) => {
    server.close(closed)
    server.closeIdleConnections()
  })
  clearTimeout(forced)
  await app.hooks.callHook('close')
  await closeDatabase()
  process.exit(0)
}
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => {
    void stop()
  })

export default {}
