import { defineNitroPlugin } from '#imports'
import { log } from '../utils/log'

/** Says at the start what is missing, instead of failing at the first sign-in. */
export default defineNitroPlugin(() => {
  const missing = [
    ...(process.env.DATABASE_URL ? [] : ['DATABASE_URL: where the database is']),
    ...((process.env.NUXT_SESSION_PASSWORD ?? '').length >= 32
      ? []
      : ['NUXT_SESSION_PASSWORD: what seals the sessions, 32 characters or more']),
  ]
  if (!missing.length) return
  for (const setting of missing) log.fatal(`Not set: ${setting}. README, "For a firm of your own".`)
  process.exit(1)
})
