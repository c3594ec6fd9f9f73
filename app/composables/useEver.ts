/** True from the first time on that something is: what is rarely opened is fetched then, and stays. */
export function useEver(now: () => boolean): Ref<boolean> {
  const ever = ref(false)
  watch(
    now,
    (is) => {
      if (is) ever.value = true
    },
    { immediate: true },
  )
  return ever
}
