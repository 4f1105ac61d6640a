import { defineConfig } from '@playwright/test'
import { browserPath } from './scripts/browser.mjs'

export const PORT = 4397
const ARGUMENTS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // An address of the network, as tablets have it: plain http, and so no secure context.
  '--host-resolver-rules=MAP classroom.test 127.0.0.1',
]
export const CHROMIUM = { executablePath: browserPath(), args: ARGUMENTS }

export default defineConfig({
  testDir: 'test/e2e',
  fullyParallel: false,
  // Each waits for its page now and then: two cores have work for three.
  workers: 3,
  // Long enough for a machine that gets a fifth of its cores; what works is not slower for it.
  timeout: 600_000,
  expect: { timeout: 60_000 },
  retries: process.env.CI ? 1 : 0,
  reporter: [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ?? 'test-results/report.json' }]],
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    actionTimeout: 60_000,
    trace: 'on-first-retry',
    launchOptions: CHROMIUM,
  },
  globalSetup: './test/e2e/startApplication.ts',
})
