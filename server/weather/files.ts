import { Refusal } from '../utils/refusal'
import { UnreadableFile } from './csv'

/** Bad rows named in full; beyond that their number says enough. */
export const MOST_LISTED = 200
/** The longest file of the contract, with room for letters of several bytes and escapes. */
export const MOST_IMPORT_BYTES = 12_000_000

/** @throws Refusal that names the file where it is no table */
export function readable<T>(read: () => T): T {
  try {
    return read()
  } catch (error) {
    if (error instanceof UnreadableFile) throw new Refusal(422, 'unreadable', error.message, { csv: error.message })
    throw error
  }
}
