import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = (folder: string) => fileURLToPath(new URL(folder, import.meta.url))
const alias = { '#core': here('./core'), '#contract': here('./contract'), '#server': here('./server'), '#words': here('./words'), '#session': here('./node_modules/nuxt-auth-utils/dist/runtime/server/utils/session.js'), '#imports': here('./server/test/nitroImports.ts'), '#api-routes': here('./server/test/routes.ts'), '~': here('./app') }
/** No test is timed: a limit only ends what hangs, on a machine several times slower than ours too. */
const patient = { testTimeout: 180_000, hookTimeout: 180_000 }
const slow = { fileParallelism: false, ...patient }

export default defineConfig({
  resolve: { alias },
  test: {
    projects: [
      { resolve: { alias }, test: { name: 'core', ...patient, include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'app/**/*.test.ts', 'words/**/*.test.ts'] } },
      {
        resolve: { alias },
        test: {
          name: 'database', include: ['server/**/*.test.ts'], exclude: ['server/test/running/**'],
          // Its own imports are Nitro's, so it is read with our aliases.
          server: { deps: { inline: ['nuxt-auth-utils'] } },
          ...slow,
        },
      },
      // Built servers as processes of their own: what two of them, a lost database or a kill do. Wants `nuxt build`
      // first.
      { resolve: { alias }, test: { name: 'running', include: ['server/test/running/**/*.test.ts'], ...slow } },
    ],
  },
})
