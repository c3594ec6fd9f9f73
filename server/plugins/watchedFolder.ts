import { defineNitroPlugin } from '#imports'
import { lookIntoFolder } from '../weather/watchedFolder'
import { watchedFolder } from '../utils/settings'

const EVERY_MS = 60_000

/** A folder that the operator set is looked into every minute: each of its subfolders is a station. */
export default defineNitroPlugin(() => {
  const folder = watchedFolder()
  if (!folder) return
  let busy = false
  setInterval(() => {
    if (busy) return
    busy = true
    void lookIntoFolder(folder).finally(() => {
      busy = false
    })
  }, EVERY_MS).unref()
})
