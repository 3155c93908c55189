import { afterAll, describe, expect, it } from 'vitest';
import { Life } from '../../tests/life.ts';
import { many, report } from '../../tests/trust.ts';
import { passGate, passWhole } from '../core/daybook/index.ts';
import type { Household } from '../core/records/index.ts';
import { createSampleHousehold } from '../sample/index.ts';
import { createKitchenHousehold } from '../sample/kitchen.ts';
import { HouseholdStore } from './index.ts';

const ACTS_PER_LIFE = 50;

/** A window: what it shows, and how it takes in what another one wrote. */
class BrowserWindow {
  household: Household | null = null;
  lines = 0;
  generation = '';
  constructor(readonly store: HouseholdStore) {}
  async reload(): Promise<void> {
    const stored = await this.store.load();
    if (!stored.ok || !stored.value) throw new Error(JSON.stringify(stored));
    this.household = stored.value.chronicle.household;
    this.lines = stored.value.chronicle.events.length;
    this.generation = stored.value.generation;
  }
  async catchUp(): Promise<void> {
    const news = await this.store.loadEventsFrom(this.lines);
    if (!news.ok) throw new Error(news.fault.code);
    if (news.value.generation !== this.generation) {
      await this.reload();
      return;
    }
    for (const event of news.value.events) {
      const passed = passGate(this.household!, event);
      if (!passed.ok) throw new Error(JSON.stringify(passed.fault));
      this.household = passed.value.household;
      this.lines += 1;
    }
  }
}

describe('the laws of the daybook, in the browser', () => {
  const seeds = Array.from({ length: many(6, 200) }, (_, i) => i + 1);
  let bad = 0;
  afterAll(() => report('trust.windows_bad', bad));

  it.each(seeds)(
    'hold over a life in two or three windows, with joins and reloads in between (seed %i)',
    async (seed) => {
      const start = passWhole(seed % 2 ? createSampleHousehold(seed, 30) : createKitchenHousehold());
      if (!start.ok) throw new Error(JSON.stringify(start.fault));
      const name = `life-${seed}`;
      bad += 1;
      const windows = Array.from({ length: 2 + (seed % 2) }, () => new BrowserWindow(new HouseholdStore(name)));
      let generation = 'g0';
      expect((await windows[0]!.store.replace(start.value, generation, null)).ok).toBe(true);
      for (const window of windows) await window.reload();
      const life = new Life(start.value, seed);
      for (let n = 0; n < ACTS_PER_LIFE; n += 1) {
        const from = life.passed.length;
        if (n % 20 === 19) life.join(3);
        else life.live();
        const writer = windows[n % windows.length]!;
        // What was written while a join was prepared is in it, whole.
        const whole = life.passed.slice(from).findLast((passed) => 'events' in passed);
        if (whole && 'events' in whole) {
          generation = `g${n}`;
          expect((await writer.store.replace(whole, generation, null)).ok).toBe(true);
        } else
          for (const passed of life.passed.slice(from))
            if ('event' in passed)
              expect(await writer.store.append([passed], generation)).toEqual({ ok: true, value: null });
        for (const window of windows)
          if (n % 7 === 0) await window.reload();
          else await window.catchUp();
        for (const window of windows) expect(window.household).toEqual(life.household);
      }
      for (const { store } of windows) store.close();
      bad -= 1;
    },
  );
});
