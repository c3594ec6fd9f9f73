import { say } from '#core/explain/message'
import { constants } from 'node:fs'
import { mkdir, open, readdir, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { idSchema } from '#contract/fields'
import { MOST_FILE_BYTES } from '#contract/station'
import { stationOfFolder, type Delivered } from '../records/stationKeys'
import { log } from '../utils/log'
import { Refusal } from '../utils/refusal'
import { deliverFile } from './deliverFile'

/** Where files go once they are kept, and those that could not be, with the reason beside them. */
const [KEPT, REFUSED] = ['kept', 'refused'] as const
/** Files of one station that are taken in at one look. */
const MOST_FILES = 50
/** A file that was written this lately may not be whole yet, ms. */
const SETTLED_MS = 5_000

/** The bytes of a plain file of the folder itself: no link leads out of it. @returns undefined while it is being written */
async function readSettled(path: string): Promise<Uint8Array | undefined> {
  const file = await open(path, constants.O_RDONLY | constants.O_NOFOLLOW)
  try {
    const stat = await file.stat()
    if (!stat.isFile()) throw new Refusal(422, 'unreadable', say('server.thisIsNoPlain'))
    if (stat.size > MOST_FILE_BYTES) throw new Refusal(413, 'too_large', say('server.theFileIsLarger'))
    if (Date.now() - stat.mtimeMs < SETTLED_MS) return undefined
    return await file.readFile()
  } finally {
    await file.close()
  }
}

async function takeIn(folder: string, name: string, to: Delivered): Promise<void> {
  const path = join(folder, name)
  let reason = ''
  try {
    const bytes = await readSettled(path)
    if (!bytes) return
    const { added, changed, rejectedCount } = await deliverFile(to, bytes)
    log.info({ station: to.stationId, added, changed, rejectedCount }, 'a file of the watched folder is kept')
  } catch (error) {
    // What the server itself lacks just now is tried again at the next look.
    if (!(error instanceof Refusal) || error.status >= 500) throw error
    reason = error.message
  }
  const into = join(folder, reason ? REFUSED : KEPT)
  await mkdir(into, { recursive: true })
  await rename(path, join(into, name))
  if (reason) await writeFile(join(into, `${name}.why.txt`), `${reason}\n`)
}

async function lookIntoStation(folder: string, id: string): Promise<void> {
  const to = await stationOfFolder(id)
  if (!to) return
  const files = (await readdir(folder, { withFileTypes: true })).filter((entry) => entry.isFile())
  for (const { name } of files.slice(0, MOST_FILES)) await takeIn(folder, name, to)
}

/**
 * Looks into the operator's folder once: a subfolder is named by the id of its station and holds files of days; what is taken
 * in goes to `kept`, what cannot be to `refused` with the reason. Nothing a user typed becomes a path.
 */
export async function lookIntoFolder(folder: string): Promise<void> {
  try {
    const stations = (await readdir(folder, { withFileTypes: true })).filter((entry) => entry.isDirectory())
    for (const { name } of stations) {
      if (!idSchema.safeParse(name).success) continue
      await lookIntoStation(join(folder, name), name).catch((error: unknown) => {
        log.warn({ station: name, reason: String(error) }, 'a watched folder could not be taken in')
      })
    }
  } catch (error) {
    log.warn({ reason: String(error) }, 'the watched folder could not be read')
  }
}
