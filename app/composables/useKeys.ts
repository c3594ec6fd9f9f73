import { useEventListener } from '@vueuse/core'

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.closest('input, textarea, select, [role=combobox], [role=listbox]') !== null)

/** Single keys, while nobody types, holds a modifier, or has a dialog open. */
export function useKeys(keys: Record<string, () => void>): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    const act = keys[event.key]
    if (!act || event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return
    if (document.querySelector('[role=dialog][aria-modal=true], [data-slot=overlay]')) return
    event.preventDefault()
    act()
  })
}
