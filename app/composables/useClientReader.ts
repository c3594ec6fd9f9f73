import type { Lawn } from '#contract/lawn'
import { HERE, readerOf, spoken, type Reader } from '~/utils/words'

/** Words and units in which the client of a lawn reads their papers; as the firm does, where nothing else is said. */
export function useClientReader(lawn: () => Pick<Lawn, 'clientReads'> | undefined) {
  const context = useContextStore()
  const reader = shallowRef<Reader>(HERE)
  watch(
    () => {
      const { language, units } = lawn()?.clientReads ?? { language: null, units: null }
      return [language ?? spoken.value, units ?? context.firm?.units ?? 'us'] as const
    },
    async ([language, units], _, onCleanup) => {
      let over = false
      onCleanup(() => (over = true))
      const told = await readerOf(language, units)
      if (!over) reader.value = told
    },
    { immediate: true },
  )
  return reader
}
