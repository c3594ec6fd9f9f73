import type { Corners } from '#core/learning/greenCover'
import type { CoverAnswer, CoverAsked } from '~/workers/cover.worker'

export type CoverFound = Extract<CoverAnswer, { kind: 'found' }>

/** Green cover of a photo, measured beside the screen: once with its corners, then by other thresholds. */
export function useGreenCover() {
  const found = shallowRef<CoverFound>()
  const message = ref('')
  const busy = ref(false)
  let worker: Worker | undefined
  let asked = 0

  function ask(question: Omit<CoverAsked, 'number'>, transfer: Transferable[] = []): void {
    if (!worker) {
      worker = new Worker(new URL('../workers/cover.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = ({ data }: MessageEvent<CoverAnswer>) => {
        if (data.number !== asked) return
        busy.value = false
        message.value =
          data.kind === 'no frame'
            ? t('watch.coverFrame')
            : data.kind === 'failed'
              ? t('watch.coverFailed', { reason: data.message })
              : ''
        found.value = data.kind === 'found' ? data : undefined
      }
    }
    busy.value = true
    worker.postMessage({ number: ++asked, ...question } satisfies CoverAsked, transfer)
  }
  /** @param file of the device; it does not leave it for this */
  async function measure(file: Blob, corners: Corners, frameMm: number): Promise<void> {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined)
    if (!bitmap) {
      found.value = undefined
      message.value = t('look.itIsDamagedOr')
      return
    }
    const [a, b, c, d] = corners
    // What is watched by the screen does not go to another thread.
    const plain: Corners = [[...a], [...b], [...c], [...d]]
    ask({ picture: { bitmap, corners: plain }, frameMm }, [bitmap])
  }
  const correct = (threshold: number, frameMm: number) => ask({ threshold, frameMm })
  onUnmounted(() => worker?.terminate())
  return { found, message, busy, measure, correct }
}
