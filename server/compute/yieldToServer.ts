import { setPriority } from 'node:os'

/** How far a thread that computes stands back behind the one that answers; where cores are few, people come first. */
const NICE = 10

/** Lowers this very thread, not its process: on Linux a priority is a thread's own. */
export function yieldToServer(): void {
  try {
    setPriority(0, NICE)
  } catch {
    // Where it may not be lowered, it is as it was.
  }
}
