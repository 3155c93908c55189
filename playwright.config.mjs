import { defineConfig } from '@playwright/test';
import { findBareChromium } from './tools/chromium.mjs';

// Another one where two runs are at work at once.
const PORT = Number(process.env['E2E_PORT'] ?? 4199);

export default defineConfig({
  testDir: 'e2e',
  // Emptied before each run: what others keep beside it stays.
  outputDir: 'test-results/browser',
  // Far more than a test takes: a machine may be a fifth as fast as the one that they were written on.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  forbidOnly: Boolean(process.env['CI']),
  workers: 2,
  // A machine that stands still for seconds is no fault of the app; what passes only then is listed as flaky.
  retries: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 60_000,
    screenshot: 'only-on-failure',
    // Each test would take the whole app in for days without a network; the test of that asks for it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: findBareChromium() ?? undefined,
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        // The bare browser ends a page that only asks whether speech is understood on the device.
        '--disable-blink-features=OnDeviceWebSpeechAvailable',
      ],
    },
  },
  webServer: {
    command: 'node dist-node/server.js',
    env: { PORT: String(PORT) },
    url: `http://127.0.0.1:${PORT}`,
    reuseExistingServer: false,
  },
});
