import { say, type Message } from '#core/explain/message'
import { sunByMonth } from '#core/site/sun'
import type { PlaceDeg } from '#core/site/geodesy'
import type { Features } from '#core/site/sitePlan'
import type { Day } from '#core/measure/calendar'
import { inPieces } from '#core/measure/rows'
import type { Mapping } from '#contract/station'
import { judgeLook as judge } from './look'
import { BadPicture, keptPhoto } from './photo'
import { UnreadableFile } from './table'
import { readReadings, type ReadingsTold } from './readingsFile'
import { lookInto, previewDays, readDays } from './weatherFile'

/**
 * What is worked out of something a user sent, beside the server's own thread. Plain data in and out; what cannot be used
 * comes back as a refusal, since an error loses its kind on the way.
 */
export interface Reporter {
  postMessage: (share: number) => void
}
export interface Refused {
  refused: { field: string; said: Message }
}
export const isRefused = (made: unknown): made is Refused =>
  typeof made === 'object' && made !== null && 'refused' in made

function orRefused<T>(work: () => T): T | Refused {
  try {
    return work()
  } catch (error) {
    if (error instanceof UnreadableFile) return { refused: { field: 'file', said: error.said } }
    if (error instanceof BadPicture) return { refused: { field: error.field, said: error.said } }
    throw error
  }
}

interface FileTask {
  bytes: Uint8Array
  report?: Reporter
}
const reporting = ({ report }: FileTask) =>
  report &&
  ((share: number) => {
    report.postMessage(share)
  })

/** @param last the last day a row may be of */
export const previewFile = (task: FileTask & { last: Day }) =>
  orRefused(() => lookInto(task.bytes, task.last, reporting(task)))

/** Days of a file as rows to be kept, in their order. @param first days before it are counted and left */
export const daysFile = (task: FileTask & { mapping: Mapping; first: Day | null; last: Day }) =>
  orRefused(() => {
    const { days, ...rejected } = readDays(task.bytes, task.mapping, task.last, reporting(task))
    const wanted = days
      .filter(({ day }) => task.first === null || day >= task.first)
      .sort((a, b) => (a.day < b.day ? -1 : 1))
    return { pieces: inPieces(wanted), count: wanted.length, before: days.length - wanted.length, ...rejected }
  })
/** Days of a table whose columns say what they are, as rows to be kept. */
export const deliveredFile = (task: FileTask & { last: Day }) =>
  orRefused(() => {
    const { guess, choices } = previewDays(task.bytes)
    if (!guess || choices.length) throw new UnreadableFile(say('server.theFirstLineHasToName'))
    const { days, ...rejected } = readDays(task.bytes, guess, task.last)
    const wanted = [...days].sort((a, b) => (a.day < b.day ? -1 : 1))
    return { pieces: inPieces(wanted), count: wanted.length, ...rejected }
  })
/** Readings of a logger's file as rows to be kept, in their order. */
export const readingsFile = (task: FileTask & { told: ReadingsTold }) =>
  orRefused(() => {
    const { readings, ...rejected } = readReadings(task.bytes, task.told, reporting(task))
    const inOrder = [...readings].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.depthMm - b.depthMm))
    return { pieces: inPieces(inOrder), count: inOrder.length, ...rejected }
  })

export const photo = (task: { jpeg: string; small: string }) => orRefused(() => keptPhoto(task))
export { groundsOfStation } from './climate'
export { outlinesOf } from './outlines'
export const judgeLook = ({ bytes, today }: { bytes: Uint8Array; today: Day }) => judge(bytes, today)
export const sunOfPlan = ({ features, zoneIds, place }: { features: Features; zoneIds: string[]; place: PlaceDeg }) =>
  sunByMonth(features, zoneIds, place)
