import type { CDPSession, Page } from '@playwright/test';
import { createSampleHousehold } from '../src/sample/index.ts';
import type { Figure } from './figures.ts';
import { openChronicle, openScreen, withPage } from './page.ts';
import { sized } from './sized.ts';

async function readMetric(session: CDPSession, name: string): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics');
  const found = metrics.find((one) => one.name === name);
  if (!found) throw new Error(`the browser tells no ${name}`);
  return found.value;
}

async function watch(page: Page): Promise<CDPSession> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  return session;
}

const STARTS = sized(5, 1);

const SHOWN = 'what is out is shown';

interface Traced {
  readonly name: string;
  readonly ts: number;
  readonly pid: number;
  readonly tid: number;
  readonly dur?: number;
  readonly args?: { readonly name?: string };
}

/** The time of all tasks of the pages' own threads until the first screen was shown, ms. */
function sumTasks(trace: Buffer): number {
  const { traceEvents } = JSON.parse(trace.toString()) as { traceEvents: Traced[] };
  const main = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const shown = traceEvents.find(({ name }) => name === SHOWN)?.ts;
  if (shown === undefined) throw new Error('the first screen was never shown');
  const tasks = traceEvents.filter(
    ({ name, pid, tid, ts }) => name === 'RunTask' && main.has(`${pid} ${tid}`) && ts <= shown,
  );
  if (tasks.length === 0) throw new Error('the browser traced no task');
  return tasks.reduce((sum, { dur = 0 }) => sum + dur, 0) / 1000;
}

/** Work of the page's own thread from asking for it until its first screen shows what is out; the middle one of five, ms. */
async function measureStartOf(lots: number): Promise<number> {
  return withPage(async (page, address) => {
    await openChronicle(page, address, createSampleHousehold(1, lots));
    await page.addInitScript((mark) => {
      const look = new MutationObserver(() => {
        if (!document.querySelector('[aria-label="On the bench"]')) return;
        look.disconnect();
        performance.mark(mark);
      });
      look.observe(document, { childList: true, subtree: true });
    }, SHOWN);
    await page.goto(`${address}/bench`);
    const browser = page.context().browser()!;
    const times: number[] = [];
    // The first of them finds the page still keeping what was opened.
    for (let n = 0; n <= STARTS; n += 1) {
      await page.waitForTimeout(sized(4000, 300));
      await browser.startTracing(page, {
        categories: ['disabled-by-default-devtools.timeline', 'blink.user_timing', '__metadata'],
      });
      await page.reload();
      await page.getByRole('region', { name: 'On the bench' }).waitFor();
      // The mark is of the task that shows it.
      await page.waitForTimeout(100);
      times.push(sumTasks(await browser.stopTracing()));
    }
    return times.slice(1).toSorted((a, b) => a - b)[STARTS >> 1]!;
  });
}

export async function measureStart(): Promise<Figure[]> {
  const large = await measureStartOf(sized(20_000, 60));
  const small = await measureStartOf(sized(2000, 60));
  return [
    { name: 'app.start.20000.main_thread_ms', value: large, unit: 'ms until it can be used' },
    { name: 'app.start.20000_over_2000', value: large / small, unit: 'times' },
  ];
}

const ACTS = sized(200, 2);

/** What the page holds after two hundred acts over what it held before, both after clearing away. */
export async function measureMemory(): Promise<Figure[]> {
  return withPage(async (page, address) => {
    await openChronicle(page, address, createSampleHousehold(1, sized(20_000, 60)));
    await openScreen(page, 'Stash');
    await page.waitForTimeout(sized(7000, 300));
    await page.locator('[data-lot]').first().click();
    const session = await watch(page);
    const act = async () => {
      for (const [key, said] of [
        ['t', /^Took out /],
        ['u', /^Took back: /],
      ] as const) {
        await page.keyboard.press(key);
        await page.getByText(said).waitFor();
      }
    };
    const weigh = async () => {
      await page.waitForTimeout(sized(3000, 100));
      for (let turn = 0; turn < sized(3, 1); turn += 1) await session.send('HeapProfiler.collectGarbage');
      return readMetric(session, 'JSHeapUsedSize');
    };
    // What is loaded for the first act is there from then on.
    await act();
    const before = await weigh();
    for (let n = 0; n < ACTS / 2; n += 1) await act();
    return [{ name: 'app.memory.after_200_acts', value: (await weigh()) / before, unit: 'times' }];
  });
}
