import { say } from '#core/explain/message'
import { setResponseHeader, type H3Event } from 'h3'
import { MOST_FILE_BYTES } from '#contract/station'
import type { AtWork } from '../records/firms'
import { bytesOf } from './ask'
import { inSteps, type Work } from './inSteps'
import { Refusal } from './refusal'

/** Files held in memory at once, of all firms and of one: who sends slowly or much keeps others out of neither. */
const MOST_FILES = 6
const MOST_OF_A_FIRM = 3
const held = new Map<string, number>()

function take(event: H3Event, firmId: string): () => void {
  const own = held.get(firmId) ?? 0
  const full =
    own >= MOST_OF_A_FIRM
      ? new Refusal(429, 'too_many', say('server.filesOfYourFirm', { MOST_OF_A_FIRM }))
      : [...held.values()].reduce((sum, n) => sum + n, 0) >= MOST_FILES
        ? new Refusal(503, 'busy', say('server.otherFilesAreBeing'))
        : undefined
  if (full) {
    // What is still on its way is not waited for.
    setResponseHeader(event, 'connection', 'close')
    throw full
  }
  held.set(firmId, own + 1)
  return () => {
    const left = (held.get(firmId) ?? 1) - 1
    if (left) held.set(firmId, left)
    else held.delete(firmId)
  }
}

/** A table somebody sent, worked on in steps: taken in only while there is room for it. */
export async function fileInSteps<T extends object>(
  event: H3Event,
  { firm }: AtWork,
  work: (bytes: Uint8Array, how: Work) => Promise<T>,
) {
  const release = take(event, firm.id)
  let bytes: Uint8Array
  try {
    bytes = await bytesOf(event, 'text/csv', MOST_FILE_BYTES)
  } catch (error) {
    release()
    throw error
  }
  return inSteps(event, async (how) => {
    try {
      return await work(bytes, how)
    } finally {
      release()
    }
  })
}
