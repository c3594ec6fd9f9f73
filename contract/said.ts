import { say, type Message } from '#core/explain/message'

/** A message where only a text can stand: what is wrong in an issue, a line of long work. */
export const said = (...message: Parameters<typeof say>): string => asSaid(say(...message))
export const asSaid = (message: Message): string => JSON.stringify(message)

const BEGINS = '{"key":"'
/** @returns the message that a text stands for; undefined for a text that says itself */
export function saidIn(text: string): Message | undefined {
  return text.startsWith(BEGINS) ? (JSON.parse(text) as Message) : undefined
}
