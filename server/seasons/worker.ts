import { parentPort } from 'node:worker_threads'
import { yieldToServer } from '../compute/yieldToServer'
import { workOut, type SeasonWork } from './seasonWork'

yieldToServer()

/** A thread that works seasons out one after the other, so that the server's own goes on answering. */
parentPort!.on('message', (work: SeasonWork) => {
  try {
    parentPort!.postMessage({ made: workOut(work) })
  } catch (error) {
    parentPort!.postMessage({ failed: error instanceof Error ? error.message : String(error) })
  }
})
