import type { JobWork } from './records'

/** A run of tasks that nobody has changed by hand. */
export const NO_WORK = {
  days: {},
  pins: {},
  added: [],
  own: {},
  skipped: {},
  overruled: {},
  thin: null,
} satisfies JobWork
