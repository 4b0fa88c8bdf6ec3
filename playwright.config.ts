import { defineConfig } from '@playwright/test'
import { CUTTER_PORT } from './e2e/cutter'

/** Journeys through a Gimbo of their own, on a port and a database that nothing else uses. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  workers: 1,
  timeout: 120_000,
  expect: {
    timeout: 15_000,
    // The pictures of the documentation are what the views are compared with.
    toHaveScreenshot: { pathTemplate: 'docs/screenshots/{arg}{ext}', maxDiffPixelRatio: 0.003 },
  },
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
  webServer: [gimbo(8471, 'e2e'), gimbo(8474, 'pictures'), gimbo(8475, 'language', 'sl-x-tern'), gimbo(8477, 'views')],
})

/** A Gimbo of its own, begun with the demo alone. */
function gimbo(port: number, name: string, language = 'en') {
  const database = `storage/framework/${name}.sqlite`
  return {
    command: `rm -f ${database}*; exec bin/start`,
    url: `http://127.0.0.1:${port}/api/ping`,
    env: {
      GIMBO_PORT: String(port),
      GIMBO_DATABASE: `${process.cwd()}/${database}`,
      GIMBO_CUTTER_PORT: String(CUTTER_PORT),
      GIMBO_LANGUAGE: language,
    },
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
    timeout: 120_000,
  }
}
