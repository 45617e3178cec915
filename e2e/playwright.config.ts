// The journeys: a built server per file, Debian's Chromium, two at a time.
import { defineConfig } from '@playwright/test'

const journeys = defineConfig({
  testDir: '.',
  globalSetup: './support/buildWorld.ts',
  testMatch: '*.spec.ts',
  outputDir: 'test-results',
  workers: 2,
  timeout: 240_000,
  expect: { timeout: 40_000 },
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    // An act that finds nothing to act on fails, and does not wait for its journey to run out.
    actionTimeout: 40_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
    trace: 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
})

// Playwright reads its configuration from the default export.
export default journeys
