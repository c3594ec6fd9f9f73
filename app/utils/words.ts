import { computed, shallowRef } from 'vue'
import { SaidError, type Message } from '#core/explain/message'
import { saidIn } from '#contract/said'
import { showText, type Figure, type UnitSystem } from '#core/measure/figure'
import type { DayWords } from '#words/days'
import type { Differences, Language, MessageKey, SheetLanguage } from '#words/message'
import { tellerOf, type Part, type Teller, type Values } from '#words/teller'

const DIFFERENCES: Record<SheetLanguage, () => Promise<Differences>> = {
  'en-US': () => Promise.resolve({}),
  'en-GB': () => import('#words/en-GB.json').then(({ default: differences }) => differences),
  es: () => import('#words/es.json').then(({ default: differences }) => differences),
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

/** Words for who reads: whoever sits at the screen, or a client on paper. */
export interface Reader {
  readonly language: SheetLanguage
  readonly units: UnitSystem
  readonly days: DayWords
  t: (key: MessageKey, values?: Values) => string
  tell: (message: Message) => string
  text: (figure: Figure) => string
}

const readerBy = (told: () => { language: SheetLanguage; teller: Teller; units: UnitSystem }): Reader => {
  const text: Reader['t'] = (key, values) => told().teller.text(key, values, told().units)
  return {
    get language() {
      return told().language
    },
    get units() {
      return told().units
    },
    get days() {
      return told().teller.days
    },
    t: text,
    tell: ({ key, values }) => text(key, values),
    text: (figure) => showText(figure, told().units),
  }
}

/** Whoever sits at the screen. */
export const HERE: Reader = readerBy(() => ({ ...speaking.value, units: counting.value }))

/** Somebody who reads another language or counts in other units. */
export async function readerOf(language: SheetLanguage, units: UnitSystem): Promise<Reader> {
  const teller = tellerOf(language, await DIFFERENCES[language]())
  return readerBy(() => ({ language, teller, units }))
}
