import { defineConfig } from '@playwright/test'
import type { Visit } from './e2e/shelf'
import { chromiumFlags, freePort, testChromium } from './scripts/ready.mjs'

// Found once, and told to the processes that run the tests.
process.env.KITE_TEST_PORT ??= String(await freePort(4199))
const port = Number(process.env.KITE_TEST_PORT)

/** What begins, keeps or loses the shelf, or what it is made of: on both visits. */
const BOTH = /(failing|files|installed|keeping|offline|views)\.spec/
/** What uses workers, calendars, PDFs, search, pages or services: as they mostly are, from a second visit on. */
const LATER =
  /(apps|calendar|chords|finding|incoming|past|plan|services|smallapps|stow|watch)\.spec/

export default defineConfig<object, { visit: Visit }>({
  testDir: 'e2e',
  outputDir: 'test-results/e2e',
  fullyParallel: true,
  // As many as there are cores: with more, what is typed comes late.
  workers: 2,
  // A second try would hide a cause.
  retries: 0,
  // Enough for a machine that does much else: what comes late is not wrong.
  timeout: 240_000,
  expect: { timeout: 25_000 },
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['line'], ['json']] : 'line',
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    // Nothing is waited for that only moves; how things move is looked at in pictures.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: testChromium(),
      // What a page that lives for seconds gains from being optimised is less than that takes.
      // The other name is that of a host that is not served securely.
      args: [
        ...chromiumFlags,
        '--js-flags=--no-opt --no-maglev',
        '--renderer-process-limit=1',
        '--host-resolver-rules=MAP shelf.test 127.0.0.1',
      ],
    },
  },
  projects: [
    { name: 'first visit', testIgnore: LATER },
    // What is kept is there then, whether it comes from the server or not.
    {
      name: 'second visit',
      testMatch: [BOTH, LATER],
      grepInvert: /@first/,
      use: { visit: 'second' },
    },
  ],
  webServer: {
    command: `node node_modules/next/dist/bin/next start --hostname 127.0.0.1 --port ${port}`,
    port,
    env: {
      KITE_SHELF_START: 'demo',
      KITE_SHELF_HOSTS: `localhost:${port},127.0.0.1:${port},shelf.test:${port}`,
      NEXT_TELEMETRY_DISABLED: '1',
    },
    stdout: 'ignore',
  },
})
