/** What the first page will ask is asked while its code is still on its way. */
export default defineNuxtPlugin({
  dependsOn: ['session'],
  setup() {
    const { pathname } = window.location
    if (/^\/(sign-in|sign-up|join)/.test(pathname)) return
    void useContextStore().begin()
    if (pathname === '/lawns') useListStore().begin()
  },
})
