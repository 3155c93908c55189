import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import type { Chronicle } from '../src/core/records/index.ts';
import { toBundle } from '../src/core/formats/index.ts';
import { createServer } from '../src/server/server.ts';

const CHROMIUMS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Counts the longest task of the page from now on; asked again it tells it. */
export async function watchTasks(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const found = window as unknown as { longestMs: number };
    found.longestMs = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) found.longestMs = Math.max(found.longestMs, entry.duration);
    }).observe({ type: 'longtask' });
  });
  return () => page.evaluate(() => (window as unknown as { longestMs: number }).longestMs);
}

export async function withPage<T>(use: (page: Page, address: string) => Promise<T>): Promise<T> {
  const executablePath = CHROMIUMS.find((path) => existsSync(path));
  if (!executablePath) throw new Error('no Chromium is here; npm test installs it');
  const server = await createServer(join(process.cwd(), 'dist'));
  const address = await server.listen({ host: '127.0.0.1', port: 0 });
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    await page.goto(address);
    await page.getByRole('navigation', { name: 'Screens' }).waitFor();
    return await use(page, address);
  } finally {
    await browser.close();
    await server.close();
  }
}

/** The screens by the keys that open them: each is waited for by its name, so that a key that means another one is found out. */
const SCREENS = {
  Bench: '1',
  Stash: '2',
  Sort: '3',
  Room: '4',
  Fit: '5',
  Moves: '6',
  Labels: '7',
  Projects: '8',
  House: '9',
} as const;
type ScreenName = keyof typeof SCREENS;

export async function openScreen(page: Page, name: ScreenName): Promise<void> {
  await page.keyboard.press(SCREENS[name]);
  await page
    .getByRole('navigation', { name: 'Screens' })
    .locator('[aria-current="page"]')
    .filter({ hasText: name, visible: true })
    .waitFor({ timeout: 60_000 });
}

export async function openChronicle(page: Page, address: string, chronicle: Chronicle): Promise<void> {
  const bundle = Buffer.from(toBundle(chronicle));
  await page.goto(`${address}/household`);
  await page
    .getByLabel('Yardmist file')
    .setInputFiles({ name: 'large.yardmist.zip', mimeType: 'application/zip', buffer: bundle });
  await page.getByRole('button', { name: 'Open it' }).click({ timeout: 120_000 });
  await page.getByText('Opened Heron Loft.').waitFor({ timeout: 120_000 });
}
