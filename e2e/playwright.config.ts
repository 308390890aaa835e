import { defineConfig } from '@playwright/test';

/** Debian's Chromium against a stack of its own: see scripts/test.mjs, which starts it and sets ZAKAT_E2E_URL. */
export default defineConfig({
  testDir: './specs',
  // One file after the other, since each goes on from what the one before left; accessibility is looked at beside them.
  workers: 2,
  projects: [
    { name: 'in order', testIgnore: /accessible/, workers: 1 },
    { name: 'beside', testMatch: /accessible/, workers: 1 },
  ],
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: [['line'], ['json', { outputFile: process.env['ZAKAT_E2E_REPORT'] ?? 'test-results/report.json' }]],
  use: {
    baseURL: process.env['ZAKAT_E2E_URL'] ?? 'http://localhost:4300',
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env['ZAKAT_CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
