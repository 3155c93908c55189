import type { CDPSession, Page } from '@playwright/test';
import { createSampleHousehold } from '../src/sample/index.ts';
import type { Figure } from './figures.ts';
import { median } from './median.ts';
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

const [SHOWN, WHOLE] = ['what is out is shown', 'all of it is there'];
/** What the bench says of itself then, whatever is in the household and whichever day it is. */
const ALL_THERE = '[aria-label="On the bench"][aria-busy="false"]';
/** What is worked out once the household is there is over by then, ms. */
const AFTER_MS = sized(2000, 200);

interface Traced {
  readonly name: string;
  readonly ts: number;
  readonly pid: number;
  readonly tid: number;
  readonly dur?: number;
  readonly args?: { readonly name?: string };
}

interface Start {
  /** Work of the page's own thread from asking for it until its first screen shows what is out, ms. */
  readonly shownMs: number;
  /** The longest task from then on, until all of the household is there and the bench with it, ms. */
  readonly restMs: number;
  /** From asking for the page until all is there, ms. */
  readonly wholeMs: number;
}

/** Times of the tasks of the pages' own threads. */
function readTasks(trace: Buffer): Start {
  const { traceEvents } = JSON.parse(trace.toString()) as { traceEvents: Traced[] };
  const main = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const [shown, whole] = [SHOWN, WHOLE].map((mark) => traceEvents.find(({ name }) => name === mark)?.ts);
  if (shown === undefined || whole === undefined) throw new Error('the first screen was never shown whole');
  const tasks = traceEvents.filter(({ name, pid, tid }) => name === 'RunTask' && main.has(`${pid} ${tid}`));
  const before = tasks.filter(({ ts }) => ts <= shown);
  if (before.length === 0) throw new Error('the browser traced no task');
  const rest = tasks.filter(({ ts }) => ts > shown);
  const beginUs = Math.min(...before.map(({ ts }) => ts));
  return {
    shownMs: before.reduce((sum, { dur = 0 }) => sum + dur, 0) / 1000,
    restMs: Math.max(...rest.map(({ dur = 0 }) => dur)) / 1000,
    wholeMs: (whole - beginUs) / 1000,
  };
}

/** The middle one of five starts each. */
async function measureStartOf(lots: number): Promise<Start> {
  return withPage(async (page, address) => {
    await openChronicle(page, address, createSampleHousehold(1, lots));
    await page.addInitScript(
      ([shown, whole, allThere]) => {
        const marks = new Map([
          ['[aria-label="On the bench"]', shown!],
          [allThere!, whole!],
        ]);
        const look = new MutationObserver(() => {
          for (const [selector, mark] of marks)
            if (document.querySelector(selector)) {
              performance.mark(mark);
              marks.delete(selector);
            }
          if (marks.size === 0) look.disconnect();
        });
        look.observe(document, { childList: true, subtree: true, attributeFilter: ['aria-busy'] });
      },
      [SHOWN, WHOLE, ALL_THERE],
    );
    await page.goto(`${address}/bench`);
    // Or what this one shows would be taken for what the first that is traced shows.
    await page.locator(ALL_THERE).waitFor();
    const browser = page.context().browser()!;
    const starts: Start[] = [];
    // The first of them finds the page still keeping what was opened.
    for (let n = 0; n <= STARTS; n += 1) {
      await page.waitForTimeout(sized(4000, 300));
      await browser.startTracing(page, {
        categories: ['disabled-by-default-devtools.timeline', 'blink.user_timing', '__metadata'],
      });
      await page.reload();
      await page.locator(ALL_THERE).waitFor();
      await page.waitForTimeout(AFTER_MS);
      starts.push(readTasks(await browser.stopTracing()));
    }
    const middle = (of: keyof Start) => median(starts.slice(1).map((start) => start[of]));
    return { shownMs: middle('shownMs'), restMs: middle('restMs'), wholeMs: middle('wholeMs') };
  });
}

export async function measureStart(): Promise<Figure[]> {
  const large = await measureStartOf(sized(20_000, 60));
  const small = await measureStartOf(sized(2000, 60));
  return [
    { name: 'app.start.20000.main_thread_ms', value: large.shownMs, unit: 'ms until it can be used' },
    { name: 'app.start.20000_over_2000', value: large.shownMs / small.shownMs, unit: 'times' },
    { name: 'app.start.20000.longest_task_after_ms', value: large.restMs, unit: 'ms while the rest comes' },
    { name: 'app.start.20000.whole_ms', value: large.wholeMs, unit: 'ms by the clock until all is there' },
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
