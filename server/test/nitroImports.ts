/** What Nitro gives the server under `#imports`, for tests that run handlers without it. */
export { clearUserSession, getUserSession, replaceUserSession } from '../../node_modules/nuxt-auth-utils/dist/runtime/server/utils/session.js'

export const useRuntimeConfig = () => ({
  session: { name: 'upper-sill', password: 'a password of the tests, forty characters', cookie: { sameSite: 'lax', secure: false } },
})
