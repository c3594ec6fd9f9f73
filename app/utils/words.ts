import { computed, shallowRef } from 'vue'
import { SaidError, type Message } from '#core/explain/message'
import { saidIn } from '#contract/said'
import type { UnitSystem } from '#core/measure/figure'
import type { DayWords } from '#words/days'
import type { Differences, Language, MessageKey } from '#words/message'
import { tellerOf, type Part, type Teller, type Values } from '#words/teller'

const DIFFERENCES: Record<Language, () => Promise<Differences>> = {
  'en-US': () => Promise.resolve({}),
  'en-GB': () => import('#words/en-GB.json').then(({ default: differences }) => differences),
}

const speaking = shallowRef<{ language: Language; teller: Teller }>({ language: 'en-US', teller: tellerOf('en-US') })
const counting = shallowRef<UnitSystem>('us')
/** The language that is spoken now. */
export const spoken = computed(() => speaking.value.language)
export const dayWords = (): DayWords => speaking.value.teller.days

/** A message of the catalogue in the language and the units of who reads. @param values what it is filled with, by name */
export const t = (key: MessageKey, values?: Values): string => speaking.value.teller.text(key, values, counting.value)
/** A message of the core, as a text. */
export const tell = ({ key, values }: Message): string => t(key, values)
/** The same in pieces, whose figures can be shown and opened. */
export const piecesOf = ({ key, values }: Message): Part[] => speaking.value.teller.parts(key, values, counting.value)

/** A text that may stand for a message. */
export function heard(text: string): string {
  const message = saidIn(text)
  return message ? tell(message) : text
}

/** What an error of the core says; any other is told as what it is. */
export const saidBy = (error: unknown): string => (error instanceof SaidError ? tell(error.said) : String(error))

/** From here on the program speaks this language. */
export async function speak(next: Language): Promise<void> {
  if (next !== speaking.value.language)
    speaking.value = { language: next, teller: tellerOf(next, await DIFFERENCES[next]()) }
}
/** From here on figures inside of messages are told in these units. */
export function countIn(units: UnitSystem): void {
  counting.value = units
}
