import type { Lawn } from '#contract/lawn'
import type { NewSeen, SeenNote } from '#contract/seen'
import type { NewMark } from '#contract/work'
import type { Waiting } from './device'

/**
 * A lawn with what waits on the device to be sent, as the server will tell it; what was refused is not in it.
 * @param by who is at work
 */
export function withWaiting(lawn: Lawn, waiting: readonly Waiting[], by: string | null): Lawn {
  const mine = waiting.filter(({ lawnId, jobId, refused }) => lawnId === lawn.id && jobId === lawn.job.id && !refused)
  const fresh = (kind: Waiting['kind'], there: readonly { id: string }[]) =>
    mine.filter((one) => one.kind === kind && !there.some(({ id }) => id === one.id)).map(({ body }) => body)
  const seen = fresh('seen', lawn.seen).map((body) => ({ ...(body as NewSeen), savedBy: by }) as SeenNote)
  const done = fresh('mark', lawn.done).map((body) => {
    const { task: key, ...told } = body as NewMark
    return { ...told, key, savedBy: by }
  })
  if (!seen.length && !done.length) return lawn
  const ofDay =
    <T>(day: (one: T) => string) =>
    (a: T, b: T) =>
      day(a) < day(b) ? -1 : day(a) > day(b) ? 1 : 0
  return {
    ...lawn,
    seen: [...lawn.seen, ...seen].sort(ofDay(({ seenOn }) => seenOn)),
    done: [...lawn.done, ...done].sort(ofDay(({ doneOn }) => doneOn)),
  }
}
