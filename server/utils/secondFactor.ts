import { say } from '#core/explain/message'
import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'
import { useRuntimeConfig } from '#imports'
import { hashed } from '../records/attempts'
import type { Author } from '../records/firms'
import { secondFactorOf, useRecoveryCode, useStep } from '../records/secondFactors'
import { Refusal } from './refusal'

/** Time-based codes as every authenticator makes them: six digits, SHA-1, half a minute. @source RFC 6238 */
const PERIOD_S = 30
const SECRET_BYTES = 20
/** Codes to write down for the day the device is lost. */
const RECOVERY_CODES = 10
/** No letters that are read for another when they were written by hand. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTVWXYZ'

/** Secrets lie in the database under a key that only the server has. */
const key = (): Buffer =>
  Buffer.from(hkdfSync('sha256', String(useRuntimeConfig().session.password), '', 'upper sill, second factor', 32))

function seal(secret: string): string {
  const iv = randomBytes(12)
  const cipher = createCipheriv('aes-256-gcm', key(), iv)
  const sealed = Buffer.concat([cipher.update(secret, 'utf8'), cipher.final()])
  return Buffer.concat([iv, cipher.getAuthTag(), sealed]).toString('base64url')
}

/** @returns undefined where it was sealed under another key */
function unseal(text: string): string | undefined {
  const bytes = Buffer.from(text, 'base64url')
  try {
    const decipher = createDecipheriv('aes-256-gcm', key(), bytes.subarray(0, 12))
    decipher.setAuthTag(bytes.subarray(12, 28))
    return Buffer.concat([decipher.update(bytes.subarray(28)), decipher.final()]).toString('utf8')
  } catch {
    return undefined
  }
}

const totp = (base32: string, account = ''): TOTP =>
  new TOTP({ issuer: 'Upper Sill', label: account, secret: Secret.fromBase32(base32), period: PERIOD_S })

export function newTotpSecret(account: string): { secret: string; address: string; sealed: string } {
  const secret = new Secret({ size: SECRET_BYTES }).base32
  return { secret, address: totp(secret, account).toString(), sealed: seal(secret) }
}

/**
 * The half minute a code is of: now, or one to either side, for clocks that differ.
 * @returns undefined where it is none of this secret's
 */
export function stepOf(sealed: string, code: string, nowMs = Date.now()): number | undefined {
  const secret = unseal(sealed)
  const delta = secret === undefined ? null : totp(secret).validate({ token: code, timestamp: nowMs, window: 1 })
  return delta === null ? undefined : Math.floor(nowMs / 1000 / PERIOD_S) + delta
}

const codeHash = (code: string): Buffer => Buffer.from(hashed(`recovery ${code.toUpperCase()}`), 'base64url')

export function newRecoveryCodes(): { codes: string[]; hashes: Buffer[] } {
  const letter = () => {
    // 240 is a multiple of the letters: each is as likely as the other.
    for (;;) {
      const [byte] = randomBytes(1)
      if (byte! < LETTERS.length * 8) return LETTERS[byte! % LETTERS.length]!
    }
  }
  const codes = Array.from({ length: RECOVERY_CODES }, () =>
    Array.from({ length: 8 }, letter)
      .join('')
      .replace(/^(.{4})/, '$1-'),
  )
  return { codes, hashes: codes.map(codeHash) }
}

/**
 * Lets through who gives a code of their device, or one written down; each opens once.
 * @throws Refusal 401 where none was given, or none that opens
 */
export async function secondFactorGiven(of: Author, code: string | undefined): Promise<void> {
  const { secret, on } = await secondFactorOf(of)
  if (!on || secret === null) return
  if (code === undefined) throw new Refusal(401, 'second_factor', say('server.enterTheSixDigits'))
  if (/^\d{6}$/.test(code)) {
    const step = stepOf(secret, code)
    if (step !== undefined && (await useStep(of, step))) return
  } else if ((await useRecoveryCode(of, codeHash(code))) !== undefined) return
  const message = say('server.thisCodeDoesNot')
  throw new Refusal(401, 'wrong_code', message, { code: message })
}
