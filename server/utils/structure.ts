/** Values that a body of what people type has at the most; the largest plan has a quarter of it. */
const MOST_VALUES = 4000

/**
 * Counts the values of a JSON text without building them: judging ten thousands of wrong ones would hold the thread.
 */
export function tooManyValues(json: string, most = MOST_VALUES): boolean {
  let [values, quoted] = [0, false]
  for (let i = 0; i < json.length; i++) {
    const letter = json.charCodeAt(i)
    if (quoted) {
      if (letter === 92) i++
      else if (letter === 34) quoted = false
    } else if (letter === 34) quoted = true
    else if ((letter === 44 || letter === 91 || letter === 123) && ++values > most) return true
  }
  return false
}
