import { defineConfig } from '@playwright/test'
import { addressOf, cutterPortOf, GIMBOS, WORKERS, type Kind } from './e2e/gimbos'

/** Journeys through Gimbos of their own, a file in one worker after another. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  workers: WORKERS,
  timeout: 120_000,
  expect: {
    timeout: 15_000,
    // The pictures of the documentation are what the views are compared with.
    toHaveScreenshot: { pathTemplate: 'docs/screenshots/{arg}{ext}', maxDiffPixelRatio: 0.003 },
  },
  reporter: [['list'], ['junit', { outputFile: 'test-results/journeys.xml' }]],
  forbidOnly: true,
  // A shared machine may stall a browser for seconds; what passes only the second time is reported as flaky.
  retries: process.env.CI ? 1 : 0,
  use: {
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
  webServer: (Object.keys(GIMBOS) as Kind[]).flatMap((kind) =>
    Array.from({ length: WORKERS }, (_, worker) => gimbo(kind, worker)),
  ),
})

/** A Gimbo begun with the demo alone. */
function gimbo(kind: Kind, worker: number) {
  const database = `storage/framework/e2e-${kind}-${worker}.sqlite`
  return {
    command: `rm -f ${database}*; exec bin/start`,
    url: `${addressOf(kind, worker)}/api/ping`,
    env: {
      GIMBO_PORT: String(GIMBOS[kind].port + worker),
      GIMBO_DATABASE: `${process.cwd()}/${database}`,
      GIMBO_CUTTER_PORT: String(cutterPortOf(kind, worker)),
      GIMBO_LANGUAGE: GIMBOS[kind].language,
    },
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
    timeout: 120_000,
  }
}
