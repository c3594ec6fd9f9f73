import type { z } from 'zod'
import { fieldsOf, saving } from '~/utils/api'
import type { ReadTyped } from '~/utils/readTyped'

/** A form that is judged and sent: once at a time, with what is wrong in words and by field, and nothing lost. */
export function useSend() {
  const busy = ref(false)
  const message = ref('')
  const errors = ref<Record<string, string>>({})
  /** The kind of what went wrong last; empty where nothing did. */
  const code = ref('')

  /**
   * Judges what is typed before it is sent.
   * @param typed fields that were read from words, by their path; where one was not understood its own message stands
   * @returns what the contract makes of it; undefined where a field needs another look
   */
  function judged<T extends z.ZodType>(
    schema: T,
    value: unknown,
    typed: Record<string, ReadTyped> = {},
  ): z.output<T> | undefined {
    const parsed = schema.safeParse(value)
    const misread = Object.entries(typed).flatMap(([path, read]) => (read.ok ? [] : [[path, read.message]]))
    errors.value = {
      ...(parsed.success ? {} : fieldsOf(parsed.error)),
      ...(Object.fromEntries(misread) as Record<string, string>),
    }
    message.value = ''
    return parsed.success && !misread.length ? parsed.data : undefined
  }

  /** Sends it. @returns true when it was taken; a second click while the first is on its way does nothing */
  async function send(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    message.value = code.value = ''
    const saved = await saving(work)
    busy.value = false
    if (saved.ok) return true
    const { fields, message: text } = saved.problem
    code.value = saved.problem.code
    errors.value = fields
    // What is said at a field is not said twice.
    message.value = Object.keys(fields).length ? '' : text
    return false
  }
  return { busy, message, errors, code, judged, send }
}

/** The value of what was read, or one that stands in until it can be. */
export const orZero = (read: ReadTyped): number => (read.ok ? read.value : 0)
