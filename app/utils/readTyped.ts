import type { Message } from '#core/explain/message'
import { tell } from './words'

type Wrong<M> = { ok: false; message: M }
/** What was typed, read; or what is wrong with it, in words. */
export type ReadTyped<T extends { ok: true } = { ok: true; value: number }> = T | Wrong<string>

export const readTyped = <T extends { ok: true }>(read: T | Wrong<Message>): ReadTyped<T> =>
  read.ok ? read : { ok: false, message: tell(read.message) }
