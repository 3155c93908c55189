import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import type { Chronicle, LotId } from '../src/core/records/index.ts';
import { divideSlot, createPlaceTree } from '../src/core/storage/index.ts';
import { createRandom } from '../src/core/random/index.ts';
import { createChronicle, createSampleHousehold } from '../src/sample/index.ts';
import { takePicture } from '../src/server/devices/camera.ts';
import type { Figure } from './figures.ts';
import { median } from './median.ts';
import { measureLongest, middleOf, openChronicle, openScreen, tellDetail, withPage, type Sight } from './page.ts';
import { sized } from './sized.ts';

/** Figures that only a browser can tell: how long the page could not answer. */

/** What the page itself works; `TaskDuration` would count its workers too. */
const WORK = new Set(['ScriptDuration', 'LayoutDuration', 'RecalcStyleDuration']);

/** Every screen that needs no record to be named in its address. */
const PATHS =
  'bench bench/tidy bench/count bench/away stash photos photos/one list sort heaps room room/balance room/plan fit moves moves/step labels scan find projects projects/shop projects/goals projects/sums daybook ways guide household year year/through year/ahead year/moving'.split(
    ' ',
  );

/** Goes to a screen as its link would. */
async function goTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, `/${path}`);
  await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 60_000 });
}

/** Main-thread work of opening each screen, once it was opened before, and the longest task of it; the most of them, ms. */
async function measureOpening(page: Page): Promise<{ workMs: number; taskMs: number }> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const work = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.reduce((sum, { name, value }) => sum + (WORK.has(name) ? value * 1000 : 0), 0);
  };
  const open = async (path: string, forMs: number) => {
    await goTo(page, 'ways');
    const before = await work();
    const taskMs = await measureLongest(page, path, async () => {
      await goTo(page, path);
      await page.waitForTimeout(forMs);
    });
    return { workMs: (await work()) - before, taskMs };
  };
  for (const path of PATHS) await open(path, sized(3000, 50));
  const most = { workMs: 0, taskMs: 0 };
  for (const path of PATHS) {
    const works: number[] = [];
    const taskMs = await middleOf(async () => {
      const once = await open(path, sized(1500, 50));
      works.push(once.workMs);
      return once.taskMs;
    });
    const workMs = median(works);
    tellDetail('opened', path, Math.round(workMs), Math.round(taskMs));
    most.workMs = Math.max(most.workMs, workMs);
    most.taskMs = Math.max(most.taskMs, taskMs);
  }
  return most;
}

/** The longest task of typing a few words in Find, ms. */
async function measureTyping(page: Page): Promise<number> {
  return middleOf(async () => {
    await goTo(page, 'bench');
    await page.keyboard.press('f');
    const longestMs = await measureLongest(page, 'find', async () => {
      await page.keyboard.type('blue linen for a shirt', { delay: sized(90, 5) });
      await page.waitForTimeout(sized(500, 50));
    });
    // What is found hides the screen from what reads it until the list is closed; then the field is left.
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    return longestMs;
  });
}

/** Times that a thing is taken out and put back by the keys in each of the tries. */
const ACTS = sized(3, 1);

/** The longest task of taking out and undoing in the stash, on the bench and on the wall, and the median from key to notice, ms. */
async function measureActsOf(
  lots: number,
  sight: Sight,
): Promise<{ longestMs: number; noticeMs: number; saveMs: number }> {
  return withPage(async (page, address) => {
    await openChronicle(page, address, createSampleHousehold(1, lots));
    const times: number[] = [];
    let longestMs = 0;
    for (const key of ['Stash', 'Bench', 'Room'] as const) {
      await openScreen(page, key);
      await page.waitForTimeout(sized(lots > 1000 ? 7000 : 2000, 500));
      if (key === 'Stash') {
        await page.locator('[data-lot]').first().click();
        await page.waitForTimeout(sized(2000, 300));
      }
      const act = async () => {
        const startMs = Date.now();
        await page.keyboard.press('t');
        await page.getByText(/^Took out /).waitFor();
        times.push(Date.now() - startMs);
        await page.waitForTimeout(sized(1500, 50));
        await page.keyboard.press('u');
        await page.getByText(/^Took back: /).waitFor();
        await page.waitForTimeout(sized(1500, 50));
      };
      // What is loaded for the first act of a screen is not measured.
      await act();
      // Nor is the clearing away of what opening a large file left behind.
      await (await page.context().newCDPSession(page)).send('HeapProfiler.collectGarbage');
      const screenMs = await middleOf(() =>
        measureLongest(page, `acts on ${key}`, async () => {
          for (let n = 0; n < ACTS; n += 1) await act();
        }),
      );
      tellDetail('act', sight, lots, key, Math.round(screenMs));
      longestMs = Math.max(longestMs, screenMs);
    }
    await openScreen(page, 'House');
    await page.waitForTimeout(sized(3000, 300));
    const saveMs = await middleOf(() =>
      measureLongest(page, 'saving', async () => {
        const saved = page.waitForEvent('download', { timeout: 120_000 });
        await page.getByRole('button', { name: 'Save everything to a file' }).click();
        await saved;
      }),
    );
    return { longestMs, noticeMs: median(times), saveMs };
  }, sight);
}

/** An act redraws what it touches: how long the page does not answer, in a very large stash and beside an ordinary one. */
export async function measureActs(): Promise<Figure[]> {
  const large = await measureActsOf(sized(20_000, 60), 'desk');
  const small = await measureActsOf(sized(320, 60), 'desk');
  return [
    { name: 'app.act.20000.longest_task_ms', value: large.longestMs, unit: 'ms' },
    { name: 'app.act.20000_over_320', value: large.noticeMs / small.noticeMs, unit: 'times' },
    { name: 'app.save.20000.longest_task_ms', value: large.saveMs, unit: 'ms' },
  ];
}

/** The same acts in the hand. */
export async function measureActsInHand(): Promise<Figure[]> {
  const { longestMs, saveMs } = await measureActsOf(sized(20_000, 60), 'phone');
  return [
    { name: 'phone.act.20000.longest_task_ms', value: longestMs, unit: 'ms' },
    { name: 'phone.save.20000.longest_task_ms', value: saveMs, unit: 'ms' },
  ];
}

/** How far all that scrolls has been scrolled, px. */
const readTop = (page: Page): Promise<number> =>
  page.evaluate(() => [...document.querySelectorAll('*')].reduce((sum, { scrollTop }) => sum + scrollTop, 0));

/** The wheel of a mouse is turned by 300 to 2,700 px, or a thumb pulls the page along by 600; back up where it is so asked, by half of it. */
async function scroll(page: Page, sight: Sight, step: number, isUp: boolean): Promise<void> {
  if (sight === 'desk') {
    await page.mouse.wheel(0, (300 + (step % 7) * 400) * (isUp ? -1 : 1));
    await page.waitForTimeout(16);
    return;
  }
  const session = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...touchPoints: { x: number; y: number }[]) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints });
  // Below what stands above a table; what is touched there first scrolls the page and not the table.
  const at = (moved: number) => ({ x: 195, y: isUp ? 500 + moved / 2 : 720 - moved });
  await touch('touchStart', at(0));
  for (let moved = 60; moved <= 600; moved += 60) {
    await touch('touchMove', at(moved));
    await page.waitForTimeout(16);
  }
  await touch('touchEnd');
  await session.detach();
}

/** Twenty thousand lots, scrolled down, up and down again in each view that scrolls; then Find is typed into, and all screens are opened. */
export async function measureScroll(sight: Sight): Promise<Figure[]> {
  return withPage(async (page, address) => {
    await openChronicle(page, address, createSampleHousehold(1, sized(20_000, 60)));
    await openScreen(page, 'Stash');
    let longest = 0;
    for (const view of ['Laid out', 'Table']) {
      await page.getByRole('button', { name: new RegExp(`^${view}`) }).click();
      // The index is still being made in slices; what is measured is the scrolling.
      await page.waitForTimeout(sized(6000, 300));
      await page.mouse.move(500, 450);
      const viewMs = await middleOf((nth) =>
        measureLongest(page, view, async () => {
          const from = await readTop(page);
          for (let step = 0; step < sized(60, 3); step += 1) await scroll(page, sight, step, nth % 2 === 1);
          await page.waitForTimeout(200);
          if ((await readTop(page)) === from) throw new Error(`${view} did not scroll`);
        }),
      );
      tellDetail(sight, view, Math.round(viewMs));
      longest = Math.max(longest, viewMs);
    }
    const typingMs = await measureTyping(page);
    const opening = await measureOpening(page);
    const at = sight === 'phone' ? 'phone.' : '';
    return [
      { name: `${at}stash.scroll.20000.longest_task_ms`, value: longest, unit: 'ms' },
      { name: `${at}find.20000.longest_task_ms`, value: typingMs, unit: 'ms' },
      { name: `${at}screen.20000.main_thread_ms`, value: opening.workMs, unit: 'ms' },
      { name: `${at}screen.20000.longest_task_ms`, value: opening.taskMs, unit: 'ms' },
    ];
  }, sight);
}

const ROOMS = 3;
const PLACES = 150;
const LOTS = sized(3000, 300);
const BOARDED = new Set<string>(['cubes', 'bookcase']);

/** Three rooms of the sample, their cubbies divided until there are 150 places, and every lot so often that they are 3,000. */
function createFullRooms(): Chronicle {
  const { household } = createSampleHousehold(1, 960);
  const all = createPlaceTree(household.places);
  // The lofts, without their landings.
  const lofts = all.rooms.toSorted((a, b) => all.getChildren(b.id).length - all.getChildren(a.id).length);
  const keep = new Set(lofts.slice(0, ROOMS).map((room) => room.id));
  const places = new Map([...household.places].filter(([id]) => keep.has(all.getPath(id)[0]!.id)));
  for (let n = 0; createPlaceTree(places).leaves.length < PLACES; n += 1) {
    const tree = createPlaceTree(places);
    const cubby = tree.leaves
      .filter(({ slot, parentId }) => slot && BOARDED.has(tree.places.get(parentId!)?.unit?.kind ?? ''))
      .toSorted((a, b) => b.slot!.heightMm - a.slot!.heightMm)[0];
    const unit = cubby && tree.places.get(cubby.parentId!);
    if (!cubby || !unit) throw new Error('no cubby is left to divide');
    const parts = divideSlot(unit.unit!, cubby, tree.getChildren(unit.id), 'shelf', () => `part-${n}`);
    if (!parts.ok) throw new Error(parts.fault.code);
    for (const part of parts.value) places.set(part.id, part);
  }
  const { leaves, rooms } = createPlaceTree(places);
  if (rooms.length !== ROOMS || leaves.length !== PLACES)
    throw new Error(`${rooms.length} rooms, ${leaves.length} places`);
  const from = [...household.lots.values()];
  const lots = new Map(
    Array.from({ length: LOTS }, (_, n) => {
      const lot = from[n % from.length]!;
      const id = `full-${n}` as LotId;
      // Spread over all places; what lies in none of them is at home in the next.
      const placeId = lot.placeId && places.has(lot.placeId) ? lot.placeId : leaves[n % leaves.length]!.id;
      return [
        id,
        { ...lot, id, state: 'in' as const, placeId, homeId: placeId, withLotId: undefined, order: n },
      ] as const;
    }),
  );
  const leafIds = new Set(leaves.map((leaf) => leaf.id));
  for (const [id, lot] of lots)
    if (!leafIds.has(lot.placeId)) lots.set(id, { ...lot, placeId: leaves[0]!.id, homeId: leaves[0]!.id });
  const stations = new Set(rooms.flatMap((room) => room.room!.stations.map((station) => station.id)));
  const items = new Map(
    [...household.items].map(([id, item]) => [
      id,
      stations.has(item.stationId) ? item : { ...item, stationId: [...stations][0]! },
    ]),
  );
  return createChronicle({ ...household, items, places, lots });
}

/** The fullest wall of that household, zoomed and panned by the mouse to and fro for three seconds. */
export async function measureWall(): Promise<Figure[]> {
  return withPage(async (page, address) => {
    await openChronicle(page, address, createFullRooms());
    await page.goto(`${address}/room`);
    await page
      .getByRole('group', { name: /wall|eave/i })
      .first()
      .waitFor();
    await page.waitForTimeout(sized(3000, 300));
    for (let n = 0; n < 3; n += 1) await page.getByRole('button', { name: 'Larger' }).click();
    await page.waitForTimeout(sized(2000, 300));
    const box = (await page.getByTestId('wall-frame').boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const shapes = await page.locator('main svg').last().locator('rect, path, circle, text').count();
    await page.evaluate(() => {
      const seen = window as unknown as { frames: number; isCounting: boolean };
      seen.frames = 0;
      seen.isCounting = true;
      const count = () => {
        seen.frames += 1;
        if (seen.isCounting) requestAnimationFrame(count);
      };
      requestAnimationFrame(count);
    });
    let seconds = 0;
    const pan = async () => {
      const start = Date.now();
      await page.mouse.move(x, y);
      await page.mouse.down();
      for (let step = 0; Date.now() - start < sized(3000, 200); step += 1) {
        await page.mouse.move(x + 220 * Math.sin(step / 9), y + 150 * Math.cos(step / 13));
        await page.waitForTimeout(8);
      }
      await page.mouse.up();
      seconds += (Date.now() - start) / 1000;
    };
    const longestMs = await middleOf(() => measureLongest(page, 'wall', pan));
    const frames = await page.evaluate(() => {
      const seen = window as unknown as { frames: number; isCounting: boolean };
      seen.isCounting = false;
      return seen.frames;
    });
    return [
      { name: 'wall.3000.pan_fps', value: frames / seconds, unit: 'fps' },
      { name: 'wall.3000.longest_task_ms', value: longestMs, unit: 'ms' },
      { name: 'wall.3000.shapes', value: shapes, unit: 'shapes' },
    ];
  });
}

/** A hundred photos taken in at once. */
export async function measurePhotos(): Promise<Figure[]> {
  const random = createRandom(3);
  // From a folder, as a user's are: handed over as bytes they would be decoded by the page.
  const folder = mkdtempSync(join(tmpdir(), 'yardmist-bench-'));
  const files = Array.from({ length: sized(100, 3) }, (_, n) => {
    const path = join(folder, `cloth-${n}.png`);
    writeFileSync(path, takePicture(random));
    return path;
  });
  const takeIn = (page: Page, address: string) => async (): Promise<number> => {
    await page.goto(`${address}/photos`);
    await page.getByRole('button', { name: 'Choose photos' }).waitFor();
    await page.waitForTimeout(1000);
    return measureLongest(page, 'photos', async () => {
      await page.getByLabel('Photo files').setInputFiles(files);
      await page.getByText('Developing…').first().waitFor();
      await page.waitForFunction(() => !document.body.textContent.includes('Developing…'), null, { timeout: 120_000 });
      await page.waitForTimeout(300);
    });
  };
  return withPage(async (page, address) => {
    return [{ name: 'photo.100.longest_main_task_ms', value: await middleOf(takeIn(page, address)), unit: 'ms' }];
  });
}

const REVIEWED = sized(100, 4);
const TO_WHOM = 'the rowing club';

/** A stash of years is gone through: keys for a hundred things, of which most stay, and some are used, let go or kept elsewhere. */
export async function measureThrough(): Promise<Figure[]> {
  return withPage(async (page, address) => {
    await openChronicle(page, address, createSampleHousehold(5, 640));
    let keys = 0;
    const press = async (key: string) => {
      keys += 1;
      await page.keyboard.press(key);
    };
    // With the day set on by a year and a half there is enough that was not used.
    await page.clock.setFixedTime(Date.UTC(2028, 3, 1));
    await page.goto(`${address}/year/through`);
    await page.getByText(/^\d+ things to go through$/).waitFor();
    await press('d');
    await page.getByRole('button', { name: 'To whom, and by when' }).click();
    await page.getByLabel('To whom things go').fill(TO_WHOM);
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    // Two presses of the mouse, and the name.
    keys += TO_WHOM.length + 2;
    for (let n = 0; n < REVIEWED; n += 1) {
      const left = page.getByText(/more after it|The last one/);
      const before = (await left.textContent())!;
      if (n % 25 === 24) {
        await press('e');
        await page.getByRole('list', { name: 'Other places' }).waitFor();
        const offered = await page.getByRole('list', { name: 'Other places' }).getByRole('listitem').count();
        await press(offered > 0 ? 'i' : 's');
      } else await press(n % 10 === 3 ? 'g' : n % 10 === 7 ? 'i' : 's');
      await page.getByText(before, { exact: true }).waitFor({ state: 'detached', timeout: 30_000 });
    }
    return [{ name: 'review.100_keys', value: keys, unit: `keys for ${REVIEWED} things, one name typed among them` }];
  });
}
