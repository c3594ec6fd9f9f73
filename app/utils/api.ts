import type { z } from 'zod'
import type { ApiError } from '#contract/context'
import { heard, t, tell } from './words'

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

const mapValues = <A, B>(all: Readonly<Record<string, A>>, one: (value: A) => B): Record<string, B> =>
  Object.fromEntries(Object.entries(all).map(([name, value]) => [name, one(value)]))

/** Any failure as a problem that can be shown; nothing is lost on the screen meanwhile. */
export function problemOf(error: unknown): Problem {
  const data = (error as { data?: unknown }).data
  if (isApiError(data)) {
    const { code, message, fields = {}, said, theirs } = data.error
    return said
      ? { code, message: tell(said.message), fields: mapValues(said.fields, tell), theirs }
      : { code, message, fields, theirs }
  }
  return {
    code: 'unreachable',
    message: t('shell.theServerDoesNot'),
    fields: {},
  }
}

/** The first message of each field, by its path. */
export function fieldsOf(error: z.ZodError): Record<string, string> {
  const fields: Record<string, string> = {}
  for (const { path, message } of error.issues) fields[path.join('.')] ??= heard(message)
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
