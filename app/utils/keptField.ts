import type { ReadTyped } from './readTyped'

/**
 * A field that shows a rounded number keeps the exact one until it is typed over; saving a form twice must not drift.
 * @param exact the value behind the text
 * @param text what the field was opened with
 */
export function keptField<T>(
  exact: T,
  text: string,
): (typed: string, parse: (typed: string) => ReadTyped) => ReadTyped | { ok: true; value: T } {
  return (typed, parse) => (typed === text ? { ok: true, value: exact } : parse(typed))
}
