import { say, type Message } from '#core/explain/message'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { MessageChannel } from 'node:worker_threads'
import { Piscina } from 'piscina'
import { log } from '../utils/log'
import { Refusal } from '../utils/refusal'
import { isRefused, type Refused } from './tasks'
import * as tasks from './tasks'

/** Beside the server's entry where it is built; without it, as in tests, work is done in the thread that asks. */
const WORKER_FILE = join(dirname(process.argv[1] ?? '.'), 'compute-worker.mjs')

type TaskName = Exclude<keyof typeof tasks, 'isRefused'>
type Input<N extends TaskName> = Parameters<(typeof tasks)[N]>[0]
type Made<N extends TaskName> = Exclude<ReturnType<(typeof tasks)[N]>, Refused>

/**
 * Files are read apart from surveys, both apart from sun and climate, and jobs are planned for lists apart from all: a heap
 * of one keeps nobody from the other.
 */
type Queue = 'files' | 'surveys' | 'grounds' | 'plans'
const QUEUE: Record<TaskName, Queue> = {
  previewFile: 'files',
  daysFile: 'files',
  deliveredFile: 'files',
  readingsFile: 'files',
  photo: 'files',
  judgeLook: 'surveys',
  sunOfPlan: 'grounds',
  groundsOfStation: 'grounds',
  outlinesOf: 'plans',
}
/** What a task may take, ms. Honest ones are done in a tenth of it. */
const LONGEST_MS: Record<TaskName, number> = {
  previewFile: 20_000,
  daysFile: 20_000,
  deliveredFile: 20_000,
  readingsFile: 20_000,
  photo: 5_000,
  judgeLook: 8_000,
  sunOfPlan: 30_000,
  groundsOfStation: 20_000,
  outlinesOf: 20_000,
}
const MEMORY_MB: Record<Queue, number> = { files: 72, surveys: 56, grounds: 56, plans: 56 }
/** A thread that rests gives its memory back; the one that a saved survey waits for rests longest. */
const IDLE_MS: Record<Queue, number> = { files: 30_000, surveys: 120_000, grounds: 30_000, plans: 30_000 }
/** Who comes later than this many is asked to come again. */
const MOST_WAITING = 16
const BUSY: Record<Queue, Message> = {
  files: say('server.manyFilesAreBeing'),
  surveys: say('server.manySurveysAreBeing'),
  grounds: say('server.manySeasonsAreBeing'),
  plans: say('server.manyListsAreBeing'),
}

const pools = new Map<Queue, Piscina>()

function poolOf(queue: Queue): Piscina {
  let pool = pools.get(queue)
  if (!pool) {
    pool = new Piscina({
      filename: WORKER_FILE,
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: IDLE_MS[queue],
      maxQueue: MOST_WAITING,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB[queue], maxYoungGenerationSizeMb: 4, stackSizeMb: 4 },
    })
    pool.on('error', (error: Error) => {
      log.error({ reason: error.message, queue }, 'a compute thread has ended')
    })
    pools.set(queue, pool)
  }
  return pool
}

/** What a task that could not be finished is told as. */
function asRefused(name: TaskName, error: unknown, cancelled: boolean): Error {
  const { code, message } = error as { code?: string; message: string }
  if (cancelled) return new Refusal(499, 'cancelled', say('server.cancelledNothingWasKept'))
  if (/queue/i.test(message) && /limit|full/i.test(message)) return new Refusal(503, 'busy', BUSY[QUEUE[name]])
  if (
    code === 'ERR_WORKER_OUT_OF_MEMORY' ||
    (error as Error).name === 'AbortError' ||
    (error as Error).name === 'TimeoutError'
  ) {
    const words = QUEUE[name] === 'files' ? say('server.thisFileTakesMore') : say('server.thisPlanTakesMore')
    return new Refusal(422, 'too_much', words, { file: words })
  }
  return error as Error
}

interface How {
  /** Ends the task: whoever asked has gone. */
  signal?: AbortSignal
  /** Told now and then how much is done, 0-1. */
  progress?: (share: number) => void
}

/**
 * Does a task beside the server's own thread, within bounds of time and memory.
 * @throws Refusal in words: what was sent cannot be used, takes too much, or was cancelled
 */
export async function compute<N extends TaskName>(
  name: N,
  input: Input<N>,
  { signal, progress }: How = {},
): Promise<Made<N>> {
  const made = existsSync(WORKER_FILE)
    ? await inThread(name, input, { signal, progress })
    : (tasks[name] as (task: Input<N>) => unknown)(input)
  if (isRefused(made))
    throw new Refusal(422, 'unreadable', made.refused.said, { [made.refused.field]: made.refused.said })
  return made as Made<N>
}

async function inThread<N extends TaskName>(name: N, input: Input<N>, { signal, progress }: How): Promise<unknown> {
  const limit = AbortSignal.timeout(LONGEST_MS[name])
  const channel = progress ? new MessageChannel() : undefined
  channel?.port1.on('message', progress!)
  // A file is handed over, not copied.
  const { bytes } = input as { bytes?: Uint8Array }
  const whole = bytes && bytes.byteLength === bytes.buffer.byteLength ? [bytes.buffer as ArrayBuffer] : []
  try {
    return await poolOf(QUEUE[name]).run(channel ? { ...input, report: channel.port2 } : input, {
      name,
      signal: signal ? AbortSignal.any([signal, limit]) : limit,
      transferList: channel ? [channel.port2, ...whole] : whole,
    })
  } catch (error) {
    const told = asRefused(name, error, signal?.aborted ?? false)
    log.warn({ task: name, reason: (error as Error).message }, 'a task was given up')
    throw told
  } finally {
    channel?.port1.close()
  }
}
