import { expect, expectAccessible, listUnexplained, openSample, test } from './support.ts';

test('the balance is counted in the background, and counted again where that failed', async ({ page, context }) => {
  await openSample(page, '/bench');
  let letIn = () => {};
  const isLetIn = new Promise<void>((resolve) => (letIn = resolve));
  let isAway = true;
  await context.route(/explainer/, async (route) => {
    if (isAway) return route.fulfill({ contentType: 'text/javascript', body: 'throw new Error("away")' });
    await isLetIn;
    return route.continue();
  });
  await page.goto('/room/balance');
  const main = page.getByRole('main');
  await expect(main.getByText('This could not be worked out.')).toBeVisible();
  isAway = false;
  const again = main.getByRole('button', { name: 'Try again' });
  await again.click();
  await expect(main.getByText('Counting it all …')).toBeVisible();
  await expectAccessible(page);
  letIn();
  await expect(main.getByRole('heading', { level: 2 })).toHaveText(/too much\.$|It all goes in\./);
  // What would make room was asked in vain, too.
  await again.click();
  await expect(again).toBeHidden();
  expect(await listUnexplained(page)).toEqual([]);
  // Fit says the same of it.
  await page.keyboard.press('5');
  await expect(page.getByText(/^The balance says/)).toBeVisible();
});

test('a long list is whole after a moment, and narrowed by words to what says them', async ({ page }) => {
  await openSample(page, '/labels/bolts');
  const lines = page.getByRole('list', { name: 'Labels' }).getByRole('listitem');
  // Cloth of the sample: more than are drawn at once.
  await expect.poll(() => lines.count()).toBeGreaterThan(100);
  const all = await lines.count();
  const narrow = page.getByRole('searchbox', { name: 'Narrow the labels' });
  await narrow.fill('tartan');
  await expect.poll(() => lines.count()).toBeLessThan(20);
  for (const text of await lines.allTextContents()) expect(text.toLowerCase()).toContain('tartan');
  await narrow.fill('no such label');
  await expect(lines).toHaveCount(0);
  await narrow.fill('');
  await expect.poll(() => lines.count()).toBeGreaterThanOrEqual(all);
});

test('what comes round is worked through line by line with the keys alone', async ({ page }) => {
  await openSample(page, '/year');
  const lines = page.getByRole('region', { name: 'Now' }).getByRole('listitem');
  await expect(lines.first()).toBeVisible();
  const before = await lines.count();
  const buttons = lines.getByRole('button', { name: /^(Threw it out|It came back|New needle|Washed|Done|It stays)/ });
  const first = await lines.first().getAttribute('aria-label');
  const done = buttons.first();
  await done.press('Enter');
  await expect(lines).toHaveCount(before - 1);
  // One goes on from there: the focus is in the list, or in the work round it.
  await expect(page.locator('main :focus, main:focus')).toHaveCount(1);
  await page.keyboard.press('u');
  await expect(lines).toHaveCount(before);
  expect(await lines.evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')))).toContain(first);
});

test('a wall stays while another one is drawn, and the floor plan is judged as a piece is moved', async ({ page }) => {
  await openSample(page, '/room');
  const tabs = page.getByRole('banner').getByRole('link');
  const walls = ['North wall', 'East wall', 'South eave', 'West wall'];
  for (const name of walls) {
    await tabs.filter({ hasText: name }).click();
    await expect(tabs.filter({ hasText: name })).toHaveAttribute('aria-current', 'page');
    await expect(
      page
        .getByRole('main')
        .getByRole('list', { name: new RegExp(name) })
        .or(page.getByRole('main').locator('svg').first())
        .first(),
    ).toBeVisible();
  }
  await tabs.filter({ hasText: 'Plan of Heron Loft' }).click();
  const look = page.getByRole('heading', { name: /things? to look at$/ });
  await expect(look).toBeVisible();
});
