/** Where a lawn stands among all of a firm's: what is to be done with it next. */
export const STAGES = ['to survey', 'to decide', 'to sow', 'growing', 'not now', 'finished'] as const
export type Stage = (typeof STAGES)[number]
