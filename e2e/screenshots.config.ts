// Takes docs/screenshots from the sample world; no journey, so it has a configuration of its own.
import { defineConfig } from '@playwright/test'
import journeys from './playwright.config.ts'

export default defineConfig({
  ...journeys,
  projects: [{ name: 'screenshots', testMatch: 'screenshots.ts' }],
  workers: 1,
  retries: 0,
  reporter: 'line',
})
