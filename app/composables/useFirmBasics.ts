import { firmSettingsSchema, type FirmSettings } from '#contract/firm'

type Basics = Pick<FirmSettings, 'units' | 'timeZone' | 'currency' | 'language' | 'workingDays' | 'grows'>

/** How a firm counts, which days it works and what it mostly sows: guessed at first, kept once they are changed. */
export function useFirmBasics() {
  const context = useContextStore()
  const { busy, message, errors, judged, send } = useSend()
  const of = (): Basics => {
    const { units, timeZone, currency, language, workingDays, grows } = context.firm!
    return { units, timeZone, currency, language, workingDays: [...workingDays], grows }
  }
  const form = reactive(of())

  /** @returns true when what is shown is kept */
  async function save(): Promise<boolean> {
    const firm = context.firm!
    if (!context.isOwner || sameJson({ ...form }, of())) return true
    const settings = judged(firmSettingsSchema, { ...firm, ...form })
    if (!settings || !(await send(() => $fetch('/api/firm', { method: 'PUT', body: settings })))) return false
    await context.load()
    return true
  }
  return { form, busy, message, errors, save }
}
