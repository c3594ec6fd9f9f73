import { newLawnSchema } from '#contract/newLawn'

/** A lawn as it is added: a name and an area are enough to begin its survey. */
export function useNewLawn() {
  const lawns = useLawnsStore()
  const { parseArea } = useUnits()
  const form = reactive({ client: '', address: '', area: '', growsNow: '' })
  const { busy, message, errors, judged, send } = useSend()
  /** One id for one lawn: sent again after a lost answer it is not added twice. */
  const id = crypto.randomUUID()

  /** @returns true when it is there */
  async function add(): Promise<boolean> {
    const { area: areaTyped, ...named } = form
    const area = parseArea(areaTyped)
    const lawn = judged(newLawnSchema, { id, ...named, areaTyped, areaM2: area.ok ? area.value : 1 }, { areaM2: area })
    return lawn !== undefined && (await send(() => lawns.add(lawn)))
  }
  return { id, form, busy, message, errors, add }
}
