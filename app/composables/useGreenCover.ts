import type { Corners } from '#core/learning/greenCover'
import type { CoverAnswer, CoverAsked } from '~/workers/cover.worker'

export type CoverFound = Extract<CoverAnswer, { kind: 'found' }>

/** Why a picture tells no cover. */
const wordsOf = (answer: Exclude<CoverAnswer, { kind: 'found' }>): string =>
  answer.kind === 'no frame'
    ? t('watch.coverFrame')
    : answer.kind === 'damaged'
      ? t('look.itIsDamagedOr')
      : t('watch.coverFailed', { reason: answer.message })

/** Green cover of a photo, measured beside the screen: once with its corners, then by other thresholds. */
export function useGreenCover() {
  const found = shallowRef<CoverFound>()
  const message = ref('')
  const busy = ref(false)
  let worker: Worker | undefined
  let asked = 0

  function ask(question: Omit<CoverAsked, 'number'>): void {
    if (!worker) {
      worker = new Worker(new URL('../workers/cover.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = ({ data }: MessageEvent<CoverAnswer>) => {
        if (data.number !== asked) return
        busy.value = false
        message.value = data.kind === 'found' ? '' : wordsOf(data)
        found.value = data.kind === 'found' ? data : undefined
      }
    }
    busy.value = true
    worker.postMessage({ number: ++asked, ...question } satisfies CoverAsked)
  }
  /** @param file of the device; it does not leave it for this */
  function measure(file: Blob, corners: Corners, frameMm: number): void {
    const [a, b, c, d] = corners
    // What is watched by the screen does not go to another thread.
    const plain: Corners = [[...a], [...b], [...c], [...d]]
    ask({ picture: { file, corners: plain }, frameMm })
  }
  const correct = (threshold: number, frameMm: number) => ask({ threshold, frameMm })
  onUnmounted(() => worker?.terminate())
  return { found, message, busy, measure, correct }
}
