// The journeys: a built server per file, Debian's Chromium, three at a time, the longest files first.
import { readdirSync } from 'node:fs'
import { defineConfig } from '@playwright/test'

/** So that no worker has one long file left at the end; those that are not named come after them. */
const longest = [
  'every-screen',
  'ways-in',
  'put-right',
  'collage',
  'hand-in',
  'arrange',
  'find',
  'gather',
  'show',
]
const specs = readdirSync(new URL('.', import.meta.url)).flatMap(
  (name) => /^(.+)\.spec\.ts$/.exec(name)?.[1] ?? [],
)
const inOrder = [...longest, ...specs.filter((name) => !longest.includes(name))]

const journeys = defineConfig({
  testDir: '.',
  projects: inOrder.map((name) => ({ name, testMatch: `${name}.spec.ts` })),
  outputDir: 'test-results',
  // Two would leave a part of two cores idle, since journeys wait for what the screen says.
  workers: 3,
  timeout: 240_000,
  expect: { timeout: 40_000 },
  forbidOnly: true,
  // One that passes then is told as flaky, with its trace: its cause is still to be found.
  retries: 1,
  reporter: [['list'], ['json']],
  use: {
    // An act that finds nothing to act on fails, and does not wait for its journey to run out.
    actionTimeout: 40_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
    trace: 'on-first-retry',
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
