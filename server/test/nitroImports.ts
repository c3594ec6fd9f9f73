/** What Nitro gives the server under `#imports`, for tests that run handlers without it. */
export const useRuntimeConfig = () => ({
  app: { buildId: 'of the tests' },
  session: {
    name: 'upper-sill',
    password: 'a password of the tests, forty characters',
    cookie: { sameSite: 'lax', secure: false },
  },
})
