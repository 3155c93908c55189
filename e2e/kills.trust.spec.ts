import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { findChromium } from '../tools/chromium.mjs';
import { many, report } from '../tests/trust.ts';
import { expectFolded, readStored } from './ledger.ts';
import { expect, test } from './support.ts';

interface Opened {
  readonly page: Page;
  readonly kill: () => void;
}

/** A browser that does not answer the test at all, before the app is in it, is started anew. */
async function openBrowser(profile: string): Promise<Opened> {
  for (let tries = 1; ; tries += 1)
    try {
      return await startBrowser(profile);
    } catch (error) {
      if (tries === 3) throw error;
    }
}

/** A browser as one has it, which can be killed as one kills it: all its processes at once, whatever they do. */
async function startBrowser(profile: string): Promise<Opened> {
  const child: ChildProcess = spawn(
    findChromium()!,
    [
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-dev-shm-usage',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.on('exit', () => reject(new Error(said)));
    child.stderr!.on('data', (data: Buffer) => {
      said += String(data);
      const found = /DevTools listening on (ws:\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
  });
  let isKilled = false;
  const kill = () => {
    // Once: what is dead already is dead.
    if (child.exitCode === null && child.signalCode === null && !isKilled) process.kill(-child.pid!, 'SIGKILL');
    isKilled = true;
  };
  try {
    const browser = await chromium.connectOverCDP(address);
    return { page: await browser.contexts()[0]!.newPage(), kill };
  } catch (error) {
    kill();
    throw error;
  }
}

test('what was confirmed is there when the browser was killed at any instant, and nothing is there by halves', async ({
  baseURL,
}) => {
  const runs = many(3, 200);
  test.setTimeout(runs * 30_000 + 60_000);
  const profile = mkdtempSync(join(tmpdir(), 'yardmist-kill-'));
  const confirmed = new Set<string>();
  let [acts, lost, half] = [0, 0, 0];
  let end = () => undefined as void;
  try {
    for (let run = 0; run <= runs; run += 1) {
      const { page, kill } = await openBrowser(profile);
      end = kill;
      await page.goto(`${baseURL}/stash`);
      await expect(page.getByRole('navigation', { name: 'Screens' })).toBeVisible();
      const { tables } = await readStored(page);
      const there = new Set(
        tables['items']!.flatMap(({ name }) => /killed\d+n\d+/i.exec(String(name))?.[0].toLowerCase() ?? []),
      );
      for (const name of confirmed) if (!there.has(name)) lost += 1;
      await expectFolded(page).catch((error: unknown) => {
        half += 1;
        throw error;
      });
      if (run === runs) {
        kill();
        break;
      }
      const line = page.getByLabel('Add in one line');
      await expect(async () => {
        await page.keyboard.press('q');
        await expect(line).toBeFocused({ timeout: 1500 });
      }).toPass();
      // At another instant each time, from the first key on until long after what it did was said.
      const atMs = 20 + ((run * 617) % 2500);
      let die = () => undefined as void;
      const death = new Promise<void>((resolve) => {
        die = () => {
          setTimeout(() => {
            kill();
            resolve();
          }, atMs);
        };
      });
      const live = async () => {
        for (let n = 0; n < 40; n += 1) {
          const name = `killed${run}n${n}`;
          await line.fill(`linen ${name} 2m`);
          await page.keyboard.press('Enter');
          if (n === 0) die();
          acts += 1;
          await page.getByText(new RegExp(`${name}.* is in: `, 'i')).waitFor({ timeout: 5000 });
          confirmed.add(name);
        }
      };
      // Cut off in the middle, whatever it does.
      await Promise.all([live().catch(die), death]);
    }
  } finally {
    // Whatever went wrong, nothing is left running.
    end();
    rmSync(profile, { recursive: true, force: true, maxRetries: 5 });
  }
  report('trust.kills', runs);
  report('trust.kills_acts', acts);
  report('trust.kills_confirmed', confirmed.size);
  report('trust.kills_lost', lost + half);
  expect({ lost, half }).toEqual({ lost: 0, half: 0 });
  if (runs > 20) expect(confirmed.size).toBeGreaterThan(runs);
});
