/** Lets the program start without a network from the second time on. In development nothing is kept. */
export default defineNuxtPlugin(() => {
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  window.addEventListener('load', () => {
    // A browser that refuses, as in a private window, goes on with a network alone.
    void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
  })
})
