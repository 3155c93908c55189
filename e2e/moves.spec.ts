import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { expectFolded } from './ledger.ts';
import { liveWeek } from './week.ts';
import { expect, expectAccessible, listUnexplained, offerBundle, openSample, saveBundle, test } from './support.ts';

/** Two boxes and two shelves, each as full as can be, whose things are to change places. */
const SWAPS: Readonly<Record<string, string>> = {
  'r1b-u1-s1-c1': 'r1b-u1-s2-c1',
  'r1b-u1-s2-c1': 'r1b-u1-s1-c1',
  'r1b-u1-s3': 'r1-u12-s3',
  'r1-u12-s3': 'r1b-u1-s3',
};

interface RawLot {
  id: string;
  placeId?: string;
  order: number;
  form: string;
  homeId?: string;
  homeOrder: number;
  homeForm: string;
}

/** The sample, in which everything is at home but for what is to change places. */
function toSwapped(bundle: Buffer): Buffer {
  const files = unzipSync(bundle);
  const raw = JSON.parse(strFromU8(files['household.json']!)) as Record<
    'places' | 'items' | 'projects',
    { id: string }[]
  > & {
    lots: RawLot[];
    settings: { id: string };
    events: { changes: unknown[] }[];
  };
  const turn = (lot: RawLot) => {
    if (lot.placeId === undefined) delete lot.homeId;
    else lot.homeId = SWAPS[lot.placeId] ?? lot.placeId;
    lot.homeOrder = lot.order;
    lot.homeForm = lot.form;
  };
  for (const lot of raw.lots) turn(lot);
  // As if all of it had been written down in one go.
  const came = (table: string, records: readonly { id: string }[]) =>
    records.map((after) => ({ table, id: after.id, after }));
  raw.events.length = 1;
  raw.events[0]!.changes = [
    ...came('places', raw.places),
    ...came('items', raw.items),
    ...came('lots', raw.lots),
    ...came('projects', raw.projects),
    ...came('settings', [raw.settings]),
  ];
  return Buffer.from(zipSync({ ...files, 'household.json': strToU8(JSON.stringify(raw)) }));
}

test('a plan with cycles is carried out over a small table: half of it, closed, gone on with, one thing does not fit, to the end; then a week is lived', async ({
  page,
  context,
  browser,
}) => {
  test.setTimeout(600_000);
  await openSample(page, '/household');
  await offerBundle(page, toSwapped(await saveBundle(page)));
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText('Opened Heron Loft.')).toBeVisible();
  await page.goto('/moves');
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.first()).toBeVisible();
  const count = await steps.count();
  // Four ways to go, and none of them has room before another has made it.
  expect(count).toBeGreaterThan(4);
  await expect(steps.filter({ hasText: 'to the table' }).first()).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  // A smaller table: something has to go out of the way first, and it says what table would do.
  const staging = page.getByRole('group', { name: 'The table' });
  await staging.getByLabel('Long').fill('10 cm');
  await staging.getByLabel('Long').press('Enter');
  await expect(
    page.getByText(/The table is too small for all of it: .* A table for .* would do without\./),
  ).toBeVisible({
    timeout: 30_000,
  });
  await expect(steps.first()).toContainText('out of the way, in another room');
  await staging.getByLabel('Long').fill('80 cm');
  await staging.getByLabel('Long').press('Enter');
  await expect(page.getByText(/The table is too small/)).toBeHidden();
  // An order for that table was found.
  await expect(page.getByRole('button', { name: /^Begin/ })).toBeVisible();

  await page.keyboard.press('s');
  const heading = page.getByText(/^Step \d+ of \d+$/);
  await expect(heading).toHaveText(/^Step 1 of \d+$/);
  await expect(page.getByRole('img', { name: /on its wall$/ }).first()).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  const total = Number((await heading.textContent())!.split(' ').at(-1));
  const half = Math.ceil(total / 2);
  for (let k = 1; k < half; k += 1) {
    await expect(heading).toHaveText(`Step ${k} of ${total}`);
    await page.keyboard.press('d');
  }
  await expect(heading).toHaveText(`Step ${half} of ${total}`);
  // One step is taken back, and done again.
  await page.keyboard.press('u');
  await expect(heading).toHaveText(`Step ${half - 1} of ${total}`);
  await page.keyboard.press('d');
  await expect(heading).toHaveText(`Step ${half} of ${total}`);

  // Closed in the middle; on another day it goes on from how things are.
  await expectFolded(page);
  await page.close();
  const again = await context.newPage();
  await again.goto('/moves');
  const rest = again.getByRole('list', { name: 'Steps' }).getByRole('listitem');
  await expect(rest.first()).toBeVisible();
  expect(await rest.count()).toBeLessThan(total);
  await again.getByRole('button', { name: /^(Begin|Go on)/ }).click();
  const head = again.getByText(/^Step \d+ of \d+$/);
  await expect(head).toHaveText(/^Step \d+ of \d+$/);
  // Something does not go in: it lies on the table, and has another home before one has put it down.
  const bad = again.getByRole('button', { name: /does not fit/ }).first();
  while ((await bad.count()) === 0) await again.keyboard.press('d');
  const name = (await bad.getAttribute('aria-label'))!.split(' does not fit ')[0]!;
  await bad.click();
  await expect(again.getByText(`Adopted a plan: a new home for ${name}`)).toBeVisible();
  await expect(head).toHaveText(/^Step 1 of \d+$/);
  // On to the end.
  const end = again.getByText('Everything is home.');
  for (let k = 0; k < 80 && !(await end.isVisible()); k += 1) {
    const before = (await head.textContent())!;
    await again.keyboard.press('d');
    await expect(again.getByText(before, { exact: true })).toBeHidden();
  }
  await expect(end).toBeVisible();
  // Everything is where the new plan wants it; nothing is left on the table.
  const bundle = unzipSync(await saveBundle(again));
  const { lots } = JSON.parse(strFromU8(bundle['household.json']!)) as { lots: (RawLot & { away?: string })[] };
  for (const lot of lots) {
    if (lot.homeId !== undefined) expect(lot.placeId).toBe(lot.homeId);
    expect(lot.away).toBeUndefined();
  }
  await expectFolded(again);
  await liveWeek(again, context, browser);
});

test('what is not there is missing, what is skipped waits, and the time one has ends with a clear table, on a phone', async ({
  page,
}) => {
  await openSample(page, '/household');
  await offerBundle(page, toSwapped(await saveBundle(page)));
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText('Opened Heron Loft.')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/moves');
  await page.getByLabel('I have').selectOption('15');
  await expect(page.getByText(/leave nothing on the table\.$|^Nothing shorter leaves the table clear/)).toBeVisible({
    timeout: 30_000,
  });
  await page.getByRole('button', { name: /^Begin/ }).click();
  const heading = page.getByText(/^Step \d+ of \d+$/);
  await expect(heading).toHaveText(/^Step 1 of \d+$/);
  const lost = page.getByRole('button', { name: /is not found$/ }).first();
  const name = (await lost.getAttribute('aria-label'))!.replace(' is not found', '');
  await lost.click();
  await expect(page.getByText(`Not found: ${name}`)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Things' })).not.toContainText(name);
  await page.getByRole('button', { name: /^Skip for now/ }).click();
  await expect(heading).toHaveText(/^Step 1 of \d+$/);
  await page.getByRole('button', { name: '← The whole list' }).click();
  await expect(page.getByText(/^\d+ things? skipped for now\./)).toBeVisible();
  await page.getByRole('button', { name: 'Take them up again' }).click();
  await expect(page.getByText(/skipped for now/)).toBeHidden();
});

test('bins are part of a plan: it says which go where, and each is carried in its turn, left, or taken back', async ({
  page,
}) => {
  await openSample(page, '/fit');
  await page.getByRole('button', { name: /^Find a plan/ }).click();
  const pane = page.getByRole('complementary', { name: 'Plan' });
  await expect(pane.getByText(/^\d+ bins? to carry:/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: /^What moves \d+/ }).click();
  const bins = page.getByRole('list', { name: 'Bins' }).getByRole('listitem');
  const count = await bins.count();
  expect(count).toBeGreaterThan(0);
  await expect(bins.first()).toHaveText(/(from|that stands idle).* (to .* › |out of the way)/);
  await page.keyboard.press('a');
  await expect(page.getByText(/^Adopted\. /)).toBeVisible();

  // Where it belongs is drawn as planned, where it stands as it is.
  await page.goto('/moves');
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.first()).toBeVisible();
  const carried = steps.filter({ hasText: /Carry the (empty )?(bin|box) |change places/ });
  await expect(carried).toHaveCount(count);
  await page.getByLabel('I have').selectOption('240');
  await page.keyboard.press('s');
  const step = page.getByRole('region', { name: 'Step' });
  const isBin = step.getByRole('heading', { name: /^Carry the (empty )?(bin|box) / });
  for (let n = 0; n < 200 && !(await isBin.isVisible()); n += 1) {
    const turn = page.getByText(/^Step \d+ of \d+$/);
    const before = await turn.textContent();
    await page.keyboard.press('d');
    await expect(turn).not.toHaveText(before!);
  }
  await expect(isBin).toBeVisible();
  await expect(page.getByRole('img', { name: /on its wall$/ }).first()).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  const name = await isBin.textContent();
  await page.keyboard.press('d');
  await expect(
    page.getByRole('main').getByText(new RegExp(`^Carried home: ${name!.replace('Carry ', '')} `)),
  ).toBeVisible();
  await page.keyboard.press('u');
  await expect(step.getByRole('heading', { name: name!, exact: true })).toBeVisible();
  // It may stay where it stands after all; the list is made anew without it.
  await page.getByRole('button', { name: /^Leave it where it stands/ }).click();
  await expect(step.getByRole('heading', { name: name!, exact: true })).toHaveCount(0);
  await expectFolded(page);
});
