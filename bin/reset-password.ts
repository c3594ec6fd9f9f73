import { randomBytes } from 'node:crypto'
import { closeDatabase } from '#server/records/db'
import { resetByAddress } from '#server/records/people'
import { hashPassword } from '#server/utils/passwords'

/** For whoever runs the server, when the only owner of a firm has lost the password: a new one, told here once. */
const address = process.argv[2]
if (!address) throw new Error('Whose? node bin/lib/run-ts.mjs bin/reset-password.ts ADDRESS')
const password = randomBytes(12).toString('base64url')
const found = await resetByAddress(address, await hashPassword(password))
console.log(
  found
    ? `• New password for ${address}: ${password}\n  Every session is ended. Change it under Firm.`
    : `✗ Nobody who is still of a firm signs in as ${address}.`,
)
await closeDatabase()
