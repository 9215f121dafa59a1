import { defineConfig } from '@playwright/test'
import { chromiumFlags, testChromium } from './scripts/ready.mjs'

const port = 4199

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/e2e',
  fullyParallel: true,
  workers: 2,
  // A second try would hide a cause.
  retries: 0,
  // Enough for a machine that does much else: what comes late is not wrong.
  timeout: 60_000,
  expect: { timeout: 15_000 },
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['line'], ['json']] : 'line',
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    // Nothing is waited for that only moves; how things move is looked at in pictures. Every page
    // comes from the server, but where it is about those that are kept.
    contextOptions: { reducedMotion: 'reduce', serviceWorkers: 'block' },
    launchOptions: {
      executablePath: testChromium(),
      // What a page that lives for seconds gains from being optimised is less than that takes.
      args: [...chromiumFlags, '--js-flags=--no-opt --no-maglev', '--renderer-process-limit=1'],
    },
  },
  webServer: {
    command: `node node_modules/next/dist/bin/next start --hostname 127.0.0.1 --port ${port}`,
    port,
    env: { KITE_SHELF_START: 'demo', NEXT_TELEMETRY_DISABLED: '1' },
    stdout: 'ignore',
  },
})
