import { migrate } from '#server/records/migrate'
import { closeDatabase } from '#server/records/db'

const version = await migrate()
console.log(`• The database is at migration ${version}.`)
await closeDatabase()
