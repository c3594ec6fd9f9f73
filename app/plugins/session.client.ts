import { keepAnswer, keptAnswer } from '~/utils/device'
import { keptPath, pathsOfLawn } from '~/utils/keptPaths'

type Ask = (request: string, options?: { method?: string; query?: Record<string, unknown> }) => Promise<unknown>

/** No answer at all, and not one that was called off. */
const isUnreachable = (error: unknown): boolean => {
  const { response, cause } = error as { response?: unknown; cause?: { name?: string } }
  return !response && cause?.name !== 'AbortError'
}

/**
 * Any answer that nobody is signed in opens the dialog to sign in again, over what stands on the screen. What a lawn's views are
 * told is kept on the device, and told from there where the server cannot be reached.
 */
export default defineNuxtPlugin({
  name: 'session',
  setup() {
    const context = useContextStore()
    const device = useDeviceStore()
    const ask = $fetch.create({
      onResponseError({ request, response }) {
        if (response.status === 401 && !String(request).includes('/api/door/') && context.context)
          context.signInAgain = true
      },
    })
    const asked: Ask = async (request, options = {}) => {
      const reads = (options.method ?? 'GET') === 'GET'
      const path = reads && typeof request === 'string' ? keptPath(request, options.query) : undefined
      try {
        const answer: unknown = await (ask as unknown as Ask)(request, options)
        device.heardAt = undefined
        for (const kept of path ? [path, ...pathsOfLawn(answer)] : pathsOfLawn(answer)) void keepAnswer(kept, answer)
        return answer
      } catch (error) {
        const kept = path && isUnreachable(error) ? await keptAnswer(path) : undefined
        if (!kept) throw error
        device.heardAt = Math.min(kept.heardAt, device.heardAt ?? Infinity)
        return kept.answer
      }
    }
    globalThis.$fetch = Object.assign(asked, ask) as unknown as typeof globalThis.$fetch
  },
})
