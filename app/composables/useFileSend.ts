import { problemOf } from '~/utils/api'
import { Cancelled, sendFile, type FileProgress } from '~/utils/sendFile'

/**
 * A file on its way: one at a time, followed, cancelled by hand or by leaving the page, with what is wrong in words.
 */
export function useFileSend() {
  const context = useContextStore()
  const progress = shallowRef<FileProgress>()
  const message = ref('')
  let sending: AbortController | undefined
  const busy = computed(() => progress.value !== undefined)

  /** @returns the server's answer; undefined where it was refused, cancelled, or another is on its way */
  async function send<T>(path: string, file: Blob): Promise<T | undefined> {
    if (busy.value) return undefined
    sending = new AbortController()
    message.value = ''
    progress.value = { doing: t('shell.sendingTheFile'), share: 0 }
    try {
      return await sendFile<T>(path, file, {
        signal: sending.signal,
        progress: (told) => {
          progress.value = told
        },
      })
    } catch (error) {
      if (error instanceof Cancelled) message.value = t('shell.cancelled')
      else {
        const problem = problemOf(error)
        message.value = Object.values(problem.fields)[0] ?? problem.message
        if (problem.code === 'signed_out') context.signInAgain = true
      }
      return undefined
    } finally {
      progress.value = undefined
    }
  }
  const cancel = () => {
    sending?.abort()
  }
  onUnmounted(cancel)
  return { busy, progress, message, send, cancel }
}
