import { t } from './words'

/** A note of fewer letters says nothing to who reads it next year. */
const LEAST_NOTE = 8

/** What is wrong with the note of an overruling; empty when nothing is. */
export const noteProblem = (note: string): string => (note.trim().length < LEAST_NOTE ? t('decide.sayWhyInA') : '')
