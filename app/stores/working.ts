import { defineStore } from 'pinia'
import type { Working } from '#core/explain/working'

/** The one working that stands open. */
export const useWorkingStore = defineStore('working', () => {
  const open = shallowRef<Working>()
  let opener: HTMLElement | undefined

  function show(working: Working): void {
    opener = document.activeElement instanceof HTMLElement ? document.activeElement : undefined
    open.value = working
  }

  /** Closes it and gives the keyboard back to the number it was opened from. */
  function close(): void {
    open.value = undefined
    opener?.focus()
  }

  return { open, show, close }
})
