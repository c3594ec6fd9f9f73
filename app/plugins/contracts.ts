import { z } from 'zod'

/** Contracts are judged without compiling code, which the content security policy forbids. */
export default defineNuxtPlugin(() => {
  z.config({ jitless: true })
})
