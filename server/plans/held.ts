import { say, withoutWorkings } from '#core/explain/message'
import type { Gate } from '#core/explain/judgement'
import type { Lawn } from '#contract/lawn'
import type { JobPlan } from '#core/job/planJob'
import type { Task } from '#core/job/schedule/schedule'
import type { AtWork } from '../records/firms'
import { log } from '../utils/log'
import { plannedJob } from './plannedJob'
import { Refusal } from '../utils/refusal'

/** What holds a task and nobody has overridden. */
const holdsOf = ({ gates }: Task): Gate[] =>
  gates.filter(({ state, overruled }) => state === 'hold' && overruled === undefined)

/** Its plan, and what of it is held. */
interface Held {
  plan?: JobPlan
  held: { task: Task; holds: Gate[] }[]
}

/** Tasks of the job in view that something holds; none where it cannot be planned. */
async function heldTasks(lawn: Lawn, work: AtWork): Promise<Held> {
  try {
    const { plan } = await plannedJob(lawn, work)
    const held = (plan.schedule?.tasks ?? []).flatMap((task) => {
      const holds = task.done ? [] : holdsOf(task)
      return holds.length ? [{ task, holds }] : []
    })
    return { plan, held }
  } catch (error) {
    // What was really done can always be recorded, whether or not it can be planned.
    log.warn({ lawn: lawn.id, reason: String(error) }, 'a job could not be planned')
    return { held: [] }
  }
}

/** @throws Refusal where a task that is held is marked done without a note that says why */
export async function wantsNote(
  lawn: Lawn,
  work: AtWork,
  { task, note }: { task: string; note: string },
): Promise<boolean> {
  const held = (await heldTasks(lawn, work)).held.find((one) => one.task.key === task)
  if (held && !note.trim())
    throw new Refusal(422, 'held', say('server.thisIsHeld'), {
      note: say('server.heldANoteSays', { holds: held.holds.map(({ text }) => withoutWorkings(text)) }),
    })
  return held !== undefined
}

/**
 * @returns the plan that nothing holds; undefined where it cannot be planned
 * @throws Refusal where a schedule holds what is neither overridden with a note nor on another day
 */
export async function nothingHeld(lawn: Lawn, work: AtWork): Promise<JobPlan | undefined> {
  const { plan, held } = await heldTasks(lawn, work)
  const [first] = held
  if (!first) return plan
  const { task, holds } = first
  const way = holds[0]!.binding ? say('server.chooseAnotherDayNo') : say('server.overrideItWithA')
  throw new Refusal(
    422,
    'held',
    say('server.taskIsHeld', { task: task.name, hold: withoutWorkings(holds[0]!.text), way }),
  )
}
