import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import type { Chronicle } from '../src/core/records/index.ts';
import { toBundle } from '../src/core/formats/index.ts';
import { createServer } from '../src/server/server.ts';
import { watchHost } from './host.ts';
import { median } from './median.ts';
import { sized } from './sized.ts';

const CHROMIUMS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

const TRIES = sized(3, 1);

/** The middle one of three tries, for what the machine does besides. */
export async function middleOf(measure: (nth: number) => Promise<number>): Promise<number> {
  const told: number[] = [];
  for (let n = 0; n < TRIES; n += 1) told.push(await measure(n));
  return median(told);
}

const isDetailed = Boolean(process.env['DETAIL']);

/** What a figure is made of, where one asks for it. */
export function tellDetail(...said: readonly (string | number)[]): void {
  if (isDetailed) console.error(...said);
}

interface Task {
  /** ms since 1970. */
  readonly atMs: number;
  readonly ms: number;
}

/** The longest task of the page while something is done with it, ms; with DETAIL each over 50 ms, and what the host took of it. */
export async function measureLongest(page: Page, what: string, act: () => Promise<unknown>): Promise<number> {
  const host = isDetailed ? watchHost() : null;
  try {
    await page.evaluate(() => {
      const seen = window as unknown as { tasks: Task[]; looking?: PerformanceObserver };
      seen.looking?.disconnect();
      const tasks: Task[] = [];
      seen.tasks = tasks;
      seen.looking = new PerformanceObserver((list) => {
        for (const { startTime, duration } of list.getEntries())
          tasks.push({ atMs: performance.timeOrigin + startTime, ms: duration });
      });
      seen.looking.observe({ type: 'longtask' });
    });
    await act();
    const tasks = await page.evaluate(() => (window as unknown as { tasks: Task[] }).tasks);
    if (host)
      for (const { atMs, ms } of tasks)
        tellDetail(`  ${what}: ${Math.round(ms)} ms, the host took ${host.stolenBetween(atMs, atMs + ms)}`);
    return Math.max(0, ...tasks.map(({ ms }) => ms));
  } finally {
    host?.stop();
  }
}

/** What one looks at: a window on a desk, or a phone in the hand, which is touched. Both at the speed of this machine. */
export type Sight = 'desk' | 'phone';
const SIGHTS = {
  desk: { viewport: { width: 1280, height: 800 } },
  phone: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
} as const;

export async function withPage<T>(use: (page: Page, address: string) => Promise<T>, sight: Sight = 'desk'): Promise<T> {
  const executablePath = CHROMIUMS.find((path) => existsSync(path));
  if (!executablePath) throw new Error('no Chromium is here; npm test installs it');
  const server = await createServer(join(process.cwd(), 'dist'));
  const address = await server.listen({ host: '127.0.0.1', port: 0 });
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage({ ...SIGHTS[sight], serviceWorkers: 'block' });
    await page.goto(address);
    await page.getByRole('navigation', { name: 'Screens' }).waitFor();
    return await use(page, address);
  } finally {
    await browser.close();
    await server.close();
  }
}

/** The screens by the keys that open them: each is waited for by its address, so that a key that means another one is found out. */
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
  const path = name === 'House' ? 'household' : name.toLowerCase();
  await page.waitForURL(({ pathname }) => pathname.split('/')[1] === path, { timeout: 60_000 });
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
