type Read<T> = { ok: true; value: T } | { ok: false; message: string }

/**
 * Text of a survey's field, read as it is typed. What cannot be read stands as typed, is said, and keeps the survey from
 * being saved over it.
 * @param path of the field, by which it is known to the survey
 */
export function useTyped<T>(path: string, value: Ref<T>, show: (value: T) => string, read: (typed: string) => Read<T>) {
  const { errors, unread, draft } = useSurveyHere()
  /** A value comes back as it was typed, for as long as that still says it. */
  const said = (now: T): string => {
    const before = draft.typedAs[path]
    const again = before === undefined ? undefined : read(before)
    return again?.ok && JSON.stringify(again.value) === JSON.stringify(now) ? before! : show(now)
  }
  const typed = ref(said(value.value))
  const wrong = ref('')
  const settle = (message: string) => {
    wrong.value = message
    if (message) unread.set(path, message)
    else unread.delete(path)
  }
  /** A value that came from elsewhere replaces the text; our own reading of it does not. */
  watch(value, (now) => {
    const own = read(typed.value)
    if (own.ok && JSON.stringify(own.value) === JSON.stringify(now)) return
    typed.value = said(now)
    settle('')
  })
  function type(): void {
    const now = read(typed.value)
    if (now.ok) {
      value.value = now.value
      if (typed.value.trim()) draft.typedAs[path] = typed.value.trim()
      else Reflect.deleteProperty(draft.typedAs, path)
    }
    settle(now.ok ? '' : now.message)
  }
  onUnmounted(() => unread.delete(path))
  /** What is wrong with the text, or what the contract says of its value or of one of its values. */
  const error = computed(
    () =>
      wrong.value || errors.value[path] || Object.entries(errors.value).find(([at]) => at.startsWith(`${path}.`))?.[1],
  )
  return { typed, error, type }
}
