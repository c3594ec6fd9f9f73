import { getRequestHeader, setResponseHeader, type H3Event } from 'h3'
import type { Step } from '#contract/context'
import { asRefusal, errorOf } from './refusal'
import { requestIdOf } from './requestId'

/** What long work is given to tell how far it is, and to learn that nobody waits any more. */
export interface Work {
  progress: (doing: string, share: number | null) => void
  signal: AbortSignal
}

/**
 * Long work. Who asks for steps gets a line of JSON for each, and the answer or the refusal as the last of them; everybody
 * else gets the answer as always. Whoever goes away ends it.
 */
export async function inSteps<T extends object>(
  event: H3Event,
  work: (how: Work) => Promise<T>,
): Promise<T | ReadableStream<Uint8Array>> {
  const gone = new AbortController()
  event.node.res?.once?.('close', () => {
    gone.abort()
  })
  if (!getRequestHeader(event, 'accept')?.includes('application/x-ndjson'))
    return work({ progress: () => undefined, signal: gone.signal })
  setResponseHeader(event, 'content-type', 'application/x-ndjson')
  // A proxy that waits for the whole would make one step of all.
  setResponseHeader(event, 'x-accel-buffering', 'no')
  const encoder = new TextEncoder()
  return new ReadableStream<Uint8Array>({
    async start(controller) {
      const tell = (step: Step) => {
        if (!gone.signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(step)}\n`))
      }
      try {
        tell({
          status: 200,
          body: await work({
            progress: (doing, share) => {
              tell({ doing, share })
            },
            signal: gone.signal,
          }),
        })
      } catch (error) {
        const refusal = asRefusal(error, requestIdOf(event))
        tell({ status: refusal.status, body: errorOf(refusal) })
      }
      if (!gone.signal.aborted) controller.close()
    },
    cancel() {
      gone.abort()
    },
  })
}
