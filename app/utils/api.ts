import type { z } from 'zod'
import type { ApiError } from '#contract/context'

/** What went wrong, in words for the screen. */
export interface Problem {
  code: string
  message: string
  fields: Record<string, string>
  /** What somebody else has saved meanwhile, where that is why. */
  theirs?: unknown
}

const isApiError = (data: unknown): data is ApiError =>
  typeof data === 'object' && data !== null && typeof (data as ApiError).error?.message === 'string'

/** Any failure as a problem that can be shown; nothing is lost on the screen meanwhile. */
export function problemOf(error: unknown): Problem {
  const data = (error as { data?: unknown }).data
  if (isApiError(data))
    return {
      code: data.error.code,
      message: data.error.message,
      fields: data.error.fields ?? {},
      theirs: data.error.theirs,
    }
  return {
    code: 'unreachable',
    message: 'The server does not answer. What you entered is still here. Try again in a minute.',
    fields: {},
  }
}

/** The first message of each field, by its path. */
export function fieldsOf(error: z.ZodError): Record<string, string> {
  const fields: Record<string, string> = {}
  for (const { path, message } of error.issues) fields[path.join('.')] ??= message
  return fields
}

export type Saved = { ok: true } | { ok: false; problem: Problem }

/** Runs a save and tells how it went instead of throwing. */
export async function saving(work: () => Promise<unknown>): Promise<Saved> {
  try {
    await work()
    return { ok: true }
  } catch (error) {
    return { ok: false, problem: problemOf(error) }
  }
}
