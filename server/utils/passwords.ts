import { createHash, randomBytes } from 'node:crypto'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'

/** N = 2^15, r = 8, p = 1: some 32 MB and a tenth of a second a try. */
const scrypt = new Hash(new Scrypt({ cost: 32_768, blockSize: 8, parallelization: 1, maxMemory: 64 * 1024 * 1024 }))

/** Tries take turns, since each has memory of its own for a tenth of a second. */
let last: Promise<unknown> = Promise.resolve()
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work)
  last = mine.catch(() => undefined)
  return mine
}

export const hashPassword = (password: string): Promise<string> => inTurn(() => scrypt.make(password))

let nobodys: Promise<string> | undefined

/** Takes as long for an address that nobody has, so that the time does not tell. */
export async function passwordFits(hash: string | null | undefined, password: string): Promise<boolean> {
  nobodys ??= hashPassword(randomBytes(16).toString('hex'))
  const known = hash ?? (await nobodys)
  const fits = await inTurn(() => scrypt.verify(known, password))
  return fits && typeof hash === 'string'
}

export const newSecret = (): string => randomBytes(32).toString('base64url')

/** Only this is kept of a link's secret. */
export const secretHash = (secret: string): Buffer => createHash('sha256').update(secret).digest()
