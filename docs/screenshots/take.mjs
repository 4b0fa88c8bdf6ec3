// Takes the pictures of every main view anew, from a Gimbo of its own that holds nothing but the demo.
import { spawn } from 'node:child_process'
import { rmSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'

const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..')
const database = `${root}/storage/framework/pictures.sqlite`
for (const suffix of ['', '-wal', '-shm']) rmSync(database + suffix, { force: true })
const server = spawn('bin/start', {
  cwd: root,
  detached: true,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, GIMBO_PORT: '8474', GIMBO_DATABASE: database },
})
await new Promise((done) => server.stdout.on('data', (text) => String(text).includes('Gimbo is at') && done()))

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
})
async function picture(name, { design, width = 1280, height = 800, theme = 'light', act = () => undefined, fullPage = false }) {
  const page = await browser.newPage({ viewport: { width, height } })
  await page.addInitScript((value) => localStorage.setItem('gimbo.theme', value), theme)
  await page.goto('http://127.0.0.1:8474/')
  if (design) {
    await page.getByRole('link', { name: design }).click()
    await page.getByRole('tab', { name: 'Measures' }).waitFor()
  }
  await act(page)
  await page.waitForTimeout(500)
  await page.screenshot({ path: `${root}/docs/screenshots/${name}.png`, fullPage })
  await page.close()
}

try {
  await picture('shelf', {})
  await picture('makes', { act: (page) => page.getByRole('button', { name: 'New …' }).click() })
  await picture('tray', { design: /Eight tern/ })
  await picture('mats', {
    design: /Kite of terns/,
    act: (page) => page.getByRole('button', { name: 'Mats for its panels' }).click(),
  })
  await picture('table', { design: /Spring-fair/ })
  await picture('scored', {
    design: /Boat ticket/,
    act: (page) => page.getByRole('button', { name: /^Score the side flaps/ }).click(),
  })
  await picture('does-not-fit', { design: /Certificate/ })
  await picture('bad-input', {
    design: /Spring-fair/,
    width: 1024,
    height: 768,
    act: async (page) => {
      await page.getByLabel('Width of the card').fill('5 1/2 parsecs')
      await page.getByRole('alert').waitFor()
    },
  })
  await picture('evening', {
    design: /Seed packet/,
    theme: 'dark',
    act: (page) => page.getByRole('tab', { name: 'Steps' }).click(),
  })
  await picture('print', {
    design: /Tide-table/,
    fullPage: true,
    act: async (page) => {
      await page.goto(`${page.url()}/print`)
      await page.getByRole('heading', { name: 'In inches' }).waitFor()
    },
  })
} finally {
  await browser.close()
  process.kill(-server.pid, 'SIGTERM')
}
