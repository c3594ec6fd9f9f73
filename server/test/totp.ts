import { createHmac } from 'node:crypto'

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'

/** @source RFC 4648, section 6 */
export function fromBase32(text: string): Buffer {
  let bits = ''
  for (const letter of text) bits += LETTERS.indexOf(letter).toString(2).padStart(5, '0')
  return Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => Number.parseInt(byte, 2)))
}

/**
 * The code of an authenticator at a moment, written out apart from the package that the server asks.
 * @source RFC 6238 over RFC 4226: HMAC-SHA-1 of the half minute, truncated by its last four bits
 */
export function totpOf(secret: Buffer, atMs: number, digits = 6): string {
  const counter = Buffer.alloc(8)
  counter.writeBigUInt64BE(BigInt(Math.floor(atMs / 30_000)))
  const mac = createHmac('sha1', secret).update(counter).digest()
  const offset = mac.at(-1)! & 0xf
  return String((mac.readUInt32BE(offset) & 0x7fffffff) % 10 ** digits).padStart(digits, '0')
}

/** Codes of one device about now: they stay the same while a test runs into the next half minute. */
export function codesOf(base32: string): (halfMinutesOn: number) => string {
  const [secret, now] = [fromBase32(base32), Date.now()]
  return (halfMinutesOn) => totpOf(secret, now + halfMinutesOn * 30_000)
}
