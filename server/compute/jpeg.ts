/** Markers of a JPEG file. @source ITU-T T.81, table B.1 */
const [START, END, SCAN, COMMENT] = [0xd8, 0xd9, 0xda, 0xfe]
const isApplication = (marker: number): boolean => marker >= 0xe0 && marker <= 0xef
const isRestart = (marker: number): boolean => marker >= 0xd0 && marker <= 0xd7

/** Where the coded data of a scan end: at the next marker that is neither stuffing nor a restart. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let i = from; i + 1 < bytes.length; i++) {
    if (bytes[i] !== 0xff) continue
    const next = bytes[i + 1]!
    if (next !== 0 && next !== 0xff && !isRestart(next)) return i
  }
  return -1
}

/**
 * A JPEG with nothing in it but the picture: comments, what applications and cameras wrote, and whatever follows its end
 * are left behind.
 * @returns undefined where it is no whole JPEG
 */
export function barePicture(bytes: Uint8Array): Uint8Array | undefined {
  if (bytes[0] !== 0xff || bytes[1] !== START) return undefined
  const kept: Uint8Array[] = [bytes.subarray(0, 2)]
  let at = 2
  for (;;) {
    if (bytes[at] !== 0xff) return undefined
    // Any marker may be preceded by fill bytes.
    while (bytes[at + 1] === 0xff) at++
    const marker = bytes[at + 1]
    if (marker === undefined) return undefined
    if (marker === END) return joined([...kept, bytes.subarray(at, at + 2)])
    if (marker === 0 || marker === START || isRestart(marker)) return undefined
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0)
    const after = at + 2 + length
    if (length < 2 || after > bytes.length) return undefined
    const end = marker === SCAN ? endOfScan(bytes, after) : after
    if (end < 0) return undefined
    if (!isApplication(marker) && marker !== COMMENT) kept.push(bytes.subarray(at, end))
    at = end
  }
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const part of parts) {
    whole.set(part, at)
    at += part.length
  }
  return whole
}
