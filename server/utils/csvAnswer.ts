import { createError, defineEventHandler, getQuery, setResponseHeader, setResponseStatus } from 'h3'
import type { z } from 'zod'
import { demoMode } from './settings'

/** A route that answers in the open CSV form, or says in a line what its question lacks. */
export function csvAnswer<T extends z.ZodType>(schema: T, write: (question: z.output<T>) => string) {
  return defineEventHandler((event) => {
    // The devices are the demo's; elsewhere nobody stands in for a station.
    if (!demoMode()) throw createError({ statusCode: 404, statusMessage: 'Not Found' })
    setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
    const question = schema.safeParse(getQuery(event))
    if (question.success) return write(question.data)
    setResponseStatus(event, 422)
    return `error\n"${question.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join(' ')}"\n`
  })
}
