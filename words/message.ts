import type catalogue from './en-US'

type Catalogue = typeof catalogue
/** A message of the catalogue: its namespace and its name in it. */
export type MessageKey = { [N in keyof Catalogue]: `${N}.${keyof Catalogue[N] & string}` }[keyof Catalogue]
/** Languages the program ships with, the first of them whole. */
export const LANGUAGES = ['en-US', 'en-GB'] as const
export type Language = (typeof LANGUAGES)[number]
/** Languages that a client's watering sheet is told in: Spanish has that sheet whole, and nothing else. */
export const SHEET_LANGUAGES = [...LANGUAGES, 'es'] as const
export type SheetLanguage = (typeof SHEET_LANGUAGES)[number]
/** Messages that differ in a language, by key. */
export type Differences = Partial<Record<MessageKey, string>>
