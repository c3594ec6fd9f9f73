import { createError, defineEventHandler, getQuery, sendRedirect } from 'h3'
import { z } from 'zod'
import { ROLES } from '#contract/firm'
import { demoPerson } from '../../records/firms'
import { enter } from '../../utils/session'
import { demoMode } from '../../utils/settings'

const enterSchema = z.object({
  as: z.enum(ROLES).catch('technician'),
  // Only within this server: a path, and not one that a browser reads as another host.
  to: z
    .string()
    .regex(/^\/(?![/\\])[\w\-/?=&.]*$/)
    .max(300)
    .catch('/lawns'),
})

/** Lets a person of the demo in without a password; in demo mode, and only there. */
export default defineEventHandler(async (event) => {
  const { as, to } = enterSchema.parse(getQuery(event))
  const person = demoMode() ? await demoPerson(as) : undefined
  if (!person) throw createError({ statusCode: 404, statusMessage: 'Not Found' })
  await enter(event, person)
  return sendRedirect(event, to)
})
