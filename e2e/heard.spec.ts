import { expect, openSample, test } from './support.ts';

/** Drawings as a screen reader hears them: lists of what is where. */

test('a wall is heard as a list of its places with what is in each', async ({ page }) => {
  await openSample(page, '/room/r1-east');
  const places = page.getByRole('list', { name: 'Places of this wall' });
  await expect(places.getByRole('listitem')).toHaveCount(26);
  await expect(places).toMatchAriaSnapshot(`
    - list "Places of this wall":
      - listitem:
        - 'button "Cutting table › Top: 7 things, 41 % full; Topstitching thread and Knit"'
  `);
  // Each says where it is and how full; what has something in it says what.
  const heard = await places
    .getByRole('button')
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')!));
  for (const label of heard) expect(label).toMatch(/^.+ › .+: (0 things|\d+ things?, .+ full; .+)$/u);
});

test('a floor plan is heard as a list of its pieces with what stands where', async ({ page }) => {
  await openSample(page, '/room/plan/r1');
  const pieces = page.getByRole('list', { name: 'Pieces' });
  await expect(pieces.getByRole('listitem')).toHaveCount(13);
  await expect(
    pieces.getByRole('button', { name: /^Tall cubes, cube shelf: East wall, 12 cm from the left/ }),
  ).toBeVisible();
});

test('a long list is printed whole, with its head and without what is only for the screen', async ({ page }) => {
  await openSample(page, '/stash/fabric');
  await page.getByRole('button', { name: 'Table' }).click();
  await expect(page.getByRole('row').nth(5)).toBeVisible();
  const rows = async () => page.getByRole('row').count();
  const onScreen = await rows();
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  const printed = await rows();
  expect(printed).toBeGreaterThan(onScreen);
  // Every cloth, and the heading.
  expect(printed).toBe(126);
  const head = () => page.locator('.paper-head').evaluate((one) => getComputedStyle(one, '::before').content);
  expect(await head()).toContain('Stash · Heron Loft · ');
  await expect(page.getByRole('button', { name: 'Save as CSV' })).toBeHidden();
  await expect(page.getByLabel('Words to narrow by')).toBeHidden();
  await page.setViewportSize({ width: 718, height: 1010 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(718);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await page.emulateMedia({ media: 'screen' });
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect.poll(rows).toBeLessThan(printed);
  expect(await head()).toBe('none');
});

test('what is laid out is printed whole, and drawings are no wider than a sheet', async ({ page }) => {
  const print = async () => {
    await page.emulateMedia({ media: 'print' });
    await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  };
  await openSample(page, '/stash/fabric');
  const pieces = page.locator('[data-lot]:visible');
  await expect(pieces.first()).toBeVisible();
  expect(await pieces.count()).toBeLessThan(100);
  await print();
  await expect(pieces).toHaveCount(125);
  await expect(page.getByLabel('Add in one line')).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  for (const path of ['/room/r1-east', '/room/plan/r1']) {
    await page.goto(path);
    const drawing = page.locator('main svg[role=group] > g').first();
    await expect(drawing).toBeVisible();
    await page.getByRole('button', { name: 'Larger' }).click();
    await print();
    // A4, and Letter is wider: within its margins, whatever the window is.
    expect((await drawing.boundingBox())!.width).toBeLessThan(718);
    await page.emulateMedia({ media: 'screen' });
  }
});

test('the wheel says which cloth it is on', async ({ page }) => {
  await openSample(page, '/stash/fabric');
  await page.getByRole('button', { name: 'By the wheel' }).click();
  const wheel = page.getByRole('listbox', { name: 'Cloth by the colour wheel' });
  await wheel.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  const option = wheel.getByRole('option');
  await expect(option).toHaveAttribute('aria-selected', 'true');
  expect((await option.getAttribute('aria-label')) ?? (await option.textContent())).toMatch(/\w{3}/);
});

test('who opens a screen by a key goes on from its work, not from the first of all screens', async ({ page }) => {
  await openSample(page, '/bench');
  for (const [key, name] of [
    ['2', 'Stash'],
    ['8', 'Projects'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
    await expect(page.getByRole('main').getByRole('button').first()).toBeVisible();
    await expect(page.getByRole('main')).toBeFocused();
    await page.keyboard.press('Tab');
    await expect(page.locator('main :focus, main + footer :focus, aside :focus')).toBeVisible();
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  }
});
