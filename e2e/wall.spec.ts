import type { Page } from '@playwright/test';
import { expect, expectAccessible, openSample, test } from './support.ts';

const said = (page: Page) => page.getByRole('main').getByRole('status');

async function rebuild(page: Page): Promise<void> {
  await openSample(page, '/room');
  await expect(page.getByRole('button', { name: /^Tall cubes › A3/ })).toBeVisible();
  await page.keyboard.press('w');
  await expect(page.getByRole('button', { name: /^Move Tall cubes/ })).toBeVisible();
}

test('a cubby is divided, its shelf moved by the keys and taken out again; all of it can be undone', async ({
  page,
}) => {
  await rebuild(page);
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Tall cubes › A3/ }).press('Enter');
  await page.getByRole('button', { name: 'Divide with a shelf' }).click();
  // 33 cm less a board of 16 mm: twice 15.7.
  await expect(said(page)).toContainText(/A3 a 15\.7 cm high.*A3 b 15\.7 cm high, empty/);
  const shelf = page.getByRole('slider', { name: /^Shelf between A3 a and A3 b/ });
  await shelf.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(said(page)).toContainText(/A3 a 26\.7 cm high.*A3 b 47 mm high, empty/);
  await page.keyboard.press('Enter');
  await expect(shelf).toBeFocused();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Tall cubes › A3 b/ })).toBeVisible();
  await page.keyboard.press('w');
  await expect(page.getByRole('button', { name: /^Tall cubes › A3 b/ })).toBeVisible();
  await page.getByRole('slider', { name: /^Shelf between A3 a and A3 b/ }).press('Delete');
  await expect(page.getByRole('button', { name: /^Tall cubes › A3:/ })).toBeVisible();
  await expect(page.getByRole('slider')).toHaveCount(0);
  for (let n = 0; n < 3; n += 1) await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: /^Tall cubes › A3: 1 thing/ })).toBeVisible();
});

test('a bin is dragged where it fits, refused where it does not, and waits idle until it is put somewhere', async ({
  page,
}) => {
  await rebuild(page);
  const bin = page.getByRole('button', { name: /Batting:/ });
  const drag = async (onto: RegExp, isDropped: boolean) => {
    const [from, to] = [await bin.boundingBox(), await page.getByRole('button', { name: onto }).boundingBox()];
    await page.mouse.move(from!.x + 20, from!.y + 20);
    await page.mouse.down();
    await page.mouse.move(to!.x + to!.width / 2, to!.y + to!.height / 2, { steps: 4 });
    if (isDropped) await page.mouse.up();
  };
  await drag(/^Tall cubes › A4/, false);
  await expect(said(page)).toContainText(/lie loose in A4: take them out first/);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(bin).toHaveAccessibleName(/^Tall cubes › A5/);
  // To the pool, and from there by keys alone to the first place that is offered.
  await bin.press('Enter');
  await page.getByRole('button', { name: 'To the idle bins' }).press('Enter');
  const pool = page.getByRole('complementary');
  await expect(pool.getByRole('heading', { name: 'All bins' })).toBeVisible();
  await expect(pool.getByText('Batting', { exact: true })).toBeVisible();
  await pool.getByRole('button', { name: 'Put it somewhere' }).press('Enter');
  const targets = page.getByRole('button', { name: /^Put it here\. Batting goes into/ });
  await expect(targets.first()).toBeVisible();
  await page.getByRole('button', { name: /^Put it here\. Batting goes into Tall cubes › A5: / }).press('Enter');
  await expect(page.getByRole('button', { name: /^Tall cubes › A5 › Batting: 0 things/ })).toBeVisible();
  // Retired, it is offered no more.
  await page.getByRole('complementary').getByRole('button', { name: 'Retire it' }).click();
  await expect(pool.getByRole('heading', { name: 'Retired' })).toBeVisible();
  await expect(pool.getByRole('button', { name: 'Put it somewhere' })).toHaveCount(0);
});

test('a peg field is moved up its wall, and only hooks that are stuck in hold', async ({ page }) => {
  await rebuild(page);
  const handle = page.getByRole('button', { name: /^Move Peg field/ });
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 40, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y - 12, { steps: 4 });
  await expect(said(page)).toContainText(/^Peg field: [\d.]+ cm from the left, 1[23]\d(\.\d)? cm above the floor/);
  await page.mouse.up();
  await expect(handle).toHaveAccessibleName(/1[23]\d(\.\d)? cm above the floor/);
  await handle.focus();
  // Through the ceiling it does not go.
  for (let n = 0; n < 5; n += 1) await page.keyboard.press('Shift+ArrowUp');
  await expect(said(page)).toContainText(/headroom/);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Peg field › Board/ }).press('Enter');
  await page.getByRole('button', { name: 'Only hooks that I stick in' }).click();
  const holes = page.getByRole('button', { name: /^Holes of Peg field/ });
  await expect(page.getByRole('complementary').getByText('7 hooks')).toBeVisible();
  await page.getByLabel('The next hook').selectOption('round-strong');
  await holes.focus();
  for (let n = 0; n < 6; n += 1) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Enter');
  await expect(said(page)).toHaveText('8 hooks. All that hangs here finds a hook.');
  await expect(page.getByRole('complementary').getByText('1 hook', { exact: true })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(said(page)).toHaveText('7 hooks. All that hangs here finds a hook.');
});

test('a wall is zoomed about its middle and panned by the mouse; its tape stays right', async ({ page }) => {
  await openSample(page, '/room');
  const cube = page.getByRole('button', { name: /^Tall cubes › B3/ });
  const before = (await cube.boundingBox())!;
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  const after = (await cube.boundingBox())!;
  expect(after.width / before.width).toBeCloseTo(2.25, 1);
  const frame = (await page.getByTestId('wall-frame').boundingBox())!;
  await page.mouse.move(frame.x + 300, frame.y + 300);
  await page.mouse.down();
  await page.mouse.move(frame.x + 380, frame.y + 340, { steps: 4 });
  await page.mouse.up();
  const panned = (await cube.boundingBox())!;
  expect(panned.x - after.x).toBeCloseTo(80, 0);
  expect(panned.y - after.y).toBeCloseTo(40, 0);
  // A drag chooses nothing; a press does.
  await expect(page.getByRole('complementary').getByText('Choose a compartment')).toBeVisible();
  // One metre on the tape is one metre on the wall: three cubes with their boards.
  const mark = async (cm: string) => (await page.getByTestId('tape').getByText(cm, { exact: true }).boundingBox())!;
  const pxPerMm = ((await mark('120')).x - (await mark('100')).x) / 200;
  expect(panned.width / pxPerMm).toBeCloseTo(330, -1);
  await page.keyboard.press('0');
  expect((await cube.boundingBox())!.width).toBeCloseTo(before.width, 0);
});

test('what is put back comes into its place, and stands still where motion is not wanted', async ({ page }) => {
  await openSample(page, '/bench');
  const put = page.getByRole('button', { name: 'Put Slate batik oilskin back in Bench drawers › Drawer 5' });
  await expect(put).toBeVisible();
  await page.goto('/room/r1-east');
  await page.getByRole('button', { name: /^Tall cubes › B4/ }).click();
  await page
    .getByRole('complementary', { name: 'Ticket' })
    .getByRole('button', { name: /linen|drill|flannel/i })
    .first()
    .click();
  await page.keyboard.press('t');
  await expect(page.getByText(/^Took out /)).toBeVisible();
  await expect(page.locator('.arrives')).toHaveCount(0);
  await page.keyboard.press('b');
  await expect(page.locator('.arrives')).toHaveCount(1);
  const name = () => page.locator('.arrives').evaluate((one) => getComputedStyle(one).animationName);
  expect(await name()).toBe('arrive');
  await page.emulateMedia({ reducedMotion: 'reduce' });
  expect(await name()).toBe('none');
});
