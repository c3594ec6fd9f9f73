import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { log } from '../utils/log'
import { workOut, type SeasonWork, type WorkedOut } from './seasonWork'

/** Beside the server's entry where it is built; without it, as in tests, work is done in the thread that asks. */
const WORKER_FILE = join(dirname(process.argv[1] ?? '.'), 'season-worker.mjs')
/** As many as there are processors; the server's own thread does little but wait. */
const MOST_THREADS = Math.min(4, availableParallelism())

/** A season is typed arrays of some megabytes; what is left behind has to go soon. */
const MEMORY = { maxOldGenerationSizeMb: 96, maxYoungGenerationSizeMb: 2 }

interface Job {
  work: SeasonWork
  done: (made: WorkedOut) => void
  failed: (error: Error) => void
}
interface Thread {
  worker: Worker
  job: Job | undefined
  /** Ground it has worked on, the latest last: there its seasons are at hand. */
  lastKey: string | undefined
}

const threads: Thread[] = []
/** What somebody waits for in front of a page, and what a list fills in by and by. */
const waiting: { soon: Job[]; later: Job[] } = { soon: [], later: [] }

function startThread(): Thread {
  const thread: Thread = {
    worker: new Worker(WORKER_FILE, { resourceLimits: MEMORY }),
    job: undefined,
    lastKey: undefined,
  }
  thread.worker.on('message', ({ made, failed }: { made?: WorkedOut; failed?: string }) => {
    const { job } = thread
    thread.job = undefined
    if (made) job?.done(made)
    else job?.failed(new Error(failed))
    next(thread)
  })
  // A thread that dies takes its one job with it; another takes its place when there is work.
  const ended = (error?: unknown) => {
    const at = threads.indexOf(thread)
    if (at >= 0) threads.splice(at, 1)
    thread.job?.failed(
      new Error(error instanceof Error ? error.message : 'The thread that works seasons out has ended.'),
    )
    thread.job = undefined
    if (error) log.error({ reason: String(error) }, 'a season thread has ended')
    if (waiting.soon.length || waiting.later.length) give()
  }
  thread.worker.on('error', ended)
  thread.worker.on('exit', () => {
    ended()
  })
  // Nobody's work keeps a server from stopping.
  thread.worker.unref()
  threads.push(thread)
  return thread
}

/** The next job: what somebody waits for first, and of that what the thread has the season of. */
function take(queue: Job[], thread: Thread): Job | undefined {
  const same = queue.findIndex(({ work }) => work.key === thread.lastKey)
  return queue.splice(Math.max(0, same), 1)[0]
}

function next(thread: Thread): void {
  const job = take(waiting.soon, thread) ?? take(waiting.later, thread)
  if (!job) return
  thread.job = job
  thread.lastKey = job.work.key
  thread.worker.postMessage(job.work)
}

function give(): void {
  const free = threads.find(({ job }) => !job) ?? (threads.length < MOST_THREADS ? startThread() : undefined)
  if (free) next(free)
}

/**
 * Works an outlook out beside the server's own thread.
 * @param when 'soon' goes before 'later', whoever asked first
 */
export function workedOut(work: SeasonWork, when: 'soon' | 'later'): Promise<WorkedOut> {
  if (!existsSync(WORKER_FILE)) return Promise.resolve().then(() => workOut(work))
  return new Promise((done, failed) => {
    waiting[when].push({ work, done, failed })
    give()
  })
}
