import { defineConfig } from '@playwright/test'

/** Journeys through a Gimbo of their own, on a port and a database that nothing else uses. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: [['list']],
  forbidOnly: true,
  // A shared machine may stall a browser for seconds; what passes only the second time is reported as flaky.
  retries: process.env.CI ? 1 : 0,
  use: {
    baseURL: 'http://127.0.0.1:8471',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    screenshot: 'only-on-failure',
  },
  webServer: {
    command: 'rm -f storage/framework/e2e.sqlite*; exec bin/start',
    url: 'http://127.0.0.1:8471/api/ping',
    env: { GIMBO_PORT: '8471', GIMBO_DATABASE: `${process.cwd()}/storage/framework/e2e.sqlite` },
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
    timeout: 120_000,
  },
})
