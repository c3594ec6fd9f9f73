/** A note of fewer letters says nothing to who reads it next year. */
const LEAST_NOTE = 8

/** What is wrong with the note of an overruling; empty when nothing is. */
export const noteProblem = (note: string): string =>
  note.trim().length < LEAST_NOTE ? 'Say why in a few words; the note stays with the plan.' : ''
