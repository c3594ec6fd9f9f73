import type { H3Event } from 'h3'
import { MOST_FILE_BYTES } from '#contract/station'
import { bytesOf } from './ask'
import { inSteps, type Work } from './inSteps'
import { Refusal } from './refusal'

/** Files held in memory at once; who comes with another is asked to come again. */
const MOST_FILES = 8
let held = 0

/** A table somebody sent, worked on in steps: taken in only while there is room for it. */
export async function fileInSteps<T extends object>(event: H3Event, work: (bytes: Uint8Array, how: Work) => Promise<T>) {
  if (held >= MOST_FILES) throw new Refusal(503, 'busy', 'Many files are being read just now. Nothing of yours was kept; try again in a minute.')
  held++
  let bytes: Uint8Array
  try {
    bytes = await bytesOf(event, 'text/csv', MOST_FILE_BYTES)
  } catch (error) {
    held--
    throw error
  }
  return inSteps(event, async (how) => {
    try {
      return await work(bytes, how)
    } finally {
      held--
    }
  })
}
