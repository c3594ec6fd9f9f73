import { sunQuestionOf } from '#core/site/measure'
import type { Lawn } from '#contract/lawn'
import { compute } from '../compute/pool'
import { sunWantedOf } from '../records/keptLook'
import { keepSun } from '../records/sun'
import { log } from './log'
import { Refusal } from './refusal'

/** As long as a saved survey waits for its sun before it is answered without; nearly every plan's is there by then. */
const PATIENCE_MS = 1500
const underWay = new Map<string, Promise<void>>()

/**
 * Works the sun over a saved plan out and keeps it, once however many ask. Fails silently for who asks: the survey is
 * saved, and the next who reads the lawn asks again.
 */
function workedOut(firmId: string, lawn: Lawn): Promise<void> {
  const question = sunQuestionOf(lawn)
  const wanted = question && sunWantedOf(question)
  if (!question || !wanted) return Promise.resolve()
  const key = `${lawn.id} ${wanted}`
  const working =
    underWay.get(key) ??
    (async () => {
      try {
        const byMonthH = await compute('sunOfPlan', question).catch((error: unknown) => {
          if (!(error instanceof Refusal && error.code === 'too_much')) throw error
          // What takes too much is known to be unknown: the survey asks for hours by hand.
          return question.zoneIds.map(() => null)
        })
        await keepSun(
          firmId,
          lawn.id,
          wanted,
          Object.fromEntries(question.zoneIds.map((id, i) => [id, byMonthH[i] ?? null])),
        )
      } catch (error) {
        log.warn({ lawn: lawn.id, reason: String(error) }, 'the sun over a plan was not kept')
      } finally {
        underWay.delete(key)
      }
    })()
  underWay.set(key, working)
  return working
}

/** Sees to it that the sun of a lawn is worked out, and waits a moment for it. @returns true where it is there now */
export async function sunFollows(firmId: string, lawn: Lawn): Promise<boolean> {
  if (!lawn.sunAwaited) return false
  const patience = new Promise<false>((give) => {
    setTimeout(() => {
      give(false)
    }, PATIENCE_MS).unref()
  })
  return Promise.race([workedOut(firmId, lawn).then(() => true as const), patience])
}
