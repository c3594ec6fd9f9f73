import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { Piscina } from 'piscina'
import { log } from '../utils/log'
import { groundByGround, placed } from './queue'
import { workOut, type SeasonWork, type WorkedOut } from './seasonWork'

/** Beside the server's entry where it is built; without it, as in tests, work is done in the thread that asks. */
const WORKER_FILE = join(dirname(process.argv[1] ?? '.'), 'season-worker.mjs')
/** As many as there are processors; the server's own thread does little but wait. */
const MOST_THREADS = Math.min(4, availableParallelism())
/** One stays, since a new one runs at a sixth of its speed at first; more would cost memory while nobody asks. */
const LEAST_THREADS = 1
/** The others give their memory back: some 40 MB each, and starting one takes a tenth of a second. */
const IDLE_MS = 20_000

let pool: Piscina<SeasonWork, WorkedOut> | undefined

function thePool(): Piscina<SeasonWork, WorkedOut> {
  if (pool) return pool
  pool = new Piscina({
    filename: WORKER_FILE,
    minThreads: LEAST_THREADS,
    maxThreads: MOST_THREADS,
    idleTimeout: IDLE_MS,
    // What is not given to a thread goes back to where it was taken from.
    stricterFIFO: true,
    ...groundByGround(),
    // A season is typed arrays of some megabytes; what is left behind has to go soon.
    resourceLimits: { maxOldGenerationSizeMb: 96, maxYoungGenerationSizeMb: 2 },
  })
  pool.on('error', (error: Error) => {
    log.error({ reason: error.message }, 'a season thread has ended')
  })
  return pool
}

/**
 * Works an outlook out beside the server's own thread.
 * @param when 'soon' goes before 'later', whoever asked first
 */
export async function workedOut(work: SeasonWork, when: 'soon' | 'later'): Promise<WorkedOut> {
  return existsSync(WORKER_FILE) ? thePool().run(placed(work, when === 'soon')) : workOut(work)
}
