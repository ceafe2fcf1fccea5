import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  outputDir: process.env['PLAYWRIGHT_OUTPUT'] ?? '../test-results',
  // Halves run side by side; within one, tests share a server and go one after another.
  workers: 1,
  fullyParallel: true,
  retries: 0,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  use: {
    actionTimeout: 20_000,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // Pages follow one another in one renderer, which keeps what it has compiled, and the network needs no process
        // of its own.
        '--renderer-process-limit=1',
        '--disable-site-isolation-trials',
        '--enable-features=NetworkServiceInProcess2',
        // Without a graphics card what is drawn by one is reckoned by the processor: the page is painted without, and only
        // the rig that can be turned has need of it.
        '--disable-gpu-compositing',
        '--use-gl=angle',
        '--use-angle=gl-egl',
        '--ignore-gpu-blocklist',
      ],
    },
  },
})
