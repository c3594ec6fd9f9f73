import { closeDatabase } from '#server/records/db'
import { wipe } from '#server/records/migrate'

await wipe()
await closeDatabase()
