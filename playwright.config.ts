import { defineConfig } from '@playwright/test'
import { TECHNICIAN } from './e2e/enter'

/** Debian's Chromium against a built server; bin/test starts both and says where the server is. */
export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/enter.ts',
  outputDir: 'test-results/browser',
  timeout: 150_000,
  // How long a slow machine may take to show what is expected; it bounds the waiting, not what is expected.
  expect: { timeout: 15_000 },
  workers: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: process.env.BASE_URL ?? 'http://127.0.0.1:3000',
    viewport: { width: 1280, height: 800 },
    storageState: TECHNICIAN,
    locale: 'en-US',
    // Answers of tests are not told by what an earlier page kept; the test without a network allows it.
    serviceWorkers: 'block',
    actionTimeout: 30_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
  },
})
