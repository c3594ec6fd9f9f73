import type { InjectionKey } from 'vue'
import { settingsSchema, type Lawn } from '#contract/lawn'

type Bring = ReturnType<typeof provideBring>
const BRING: InjectionKey<Bring> = Symbol('what goes on the van')

/** Settings of the open job as they are typed, and what they load; for the page of Bring and its parts. */
export function provideBring(lawn: () => Lawn) {
  const { shown, plan, tryOut } = useLawn()
  const { form, read, materials } = useBringForm(shown.value!.settings)
  /** What was typed and is not what is kept: tried out in every view until it is. */
  const kept = computed(() => JSON.stringify(settingsSchema.safeParse(plan.value?.settings).data))
  const typed = computed(() => (JSON.stringify(read.value.settings) === kept.value ? undefined : read.value.settings))
  watch(typed, (given) => {
    tryOut('settings', given && { words: t('load.settingsOfBring'), change: { settings: given } })
  })
  const bring = {
    form,
    materials,
    errors: computed(() => read.value.errors),
    sound: computed(() => read.value.settings !== undefined),
    changed: computed(() => typed.value !== undefined),
    load: useLoad(lawn),
  }
  provide(BRING, bring)
  return bring
}

/** @throws Error outside Bring */
export function useBring(): Bring {
  const bring = inject(BRING)
  if (!bring) throw new Error(t('load.onlyWithinBring'))
  return bring
}
