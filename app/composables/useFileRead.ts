import { say, type Message } from '#core/explain/message'
import type { FileAsked, FileRead } from '~/workers/file.worker'

/** What honest files take is a tenth of it. */
const LONGEST_MS = 10_000

type Failed = { ok: false; message: Message }

/** Files read in the browser: beside the page, one at a time, given up after a while or by hand. */
export function useFileRead() {
  const busy = ref(false)
  let end: ((answer: Failed) => void) | undefined

  function read<A extends FileAsked>(asked: A): Promise<FileRead[A['kind']] | Failed> {
    end?.({ ok: false, message: say('plan.anotherFileWasChosen') })
    return new Promise((done) => {
      const worker = new Worker(new URL('../workers/file.worker.ts', import.meta.url), { type: 'module' })
      const finish = (answer: FileRead[A['kind']] | Failed) => {
        clearTimeout(timer)
        worker.terminate()
        busy.value = false
        end = undefined
        done(answer)
      }
      const timer = setTimeout(() => {
        finish({ ok: false, message: say('plan.thisFileTakesToo') })
      }, LONGEST_MS)
      end = finish
      busy.value = true
      worker.onmessage = ({ data }: MessageEvent<FileRead[A['kind']]>) => {
        finish(data)
      }
      worker.onerror = () => {
        finish({ ok: false, message: say('plan.thisFileCouldNot') })
      }
      worker.postMessage(asked)
    })
  }
  const cancel = () => {
    end?.({ ok: false, message: say('plan.cancelled') })
  }
  onUnmounted(cancel)
  return { busy, read, cancel }
}
