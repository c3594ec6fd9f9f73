import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = (folder: string) => fileURLToPath(new URL(folder, import.meta.url))
const alias = { '#core': here('./core'), '#contract': here('./contract'), '#server': here('./server'), '~': here('./app') }

export default defineConfig({
  resolve: { alias },
  test: {
    projects: [
      { resolve: { alias }, test: { name: 'core', include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'app/**/*.test.ts'] } },
      {
        resolve: { alias },
        test: { name: 'database', include: ['server/**/*.test.ts'], fileParallelism: false, testTimeout: 30_000, hookTimeout: 60_000 },
      },
    ],
  },
})
