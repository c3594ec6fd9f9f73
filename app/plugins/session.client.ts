/** Any answer that nobody is signed in opens the dialog to sign in again, over what stands on the screen. */
export default defineNuxtPlugin({
  name: 'session',
  setup() {
    const context = useContextStore()
    globalThis.$fetch = $fetch.create({
      onResponseError({ request, response }) {
        if (response.status === 401 && !String(request).includes('/api/door/') && context.context)
          context.signInAgain = true
      },
    }) as typeof globalThis.$fetch
  },
})
