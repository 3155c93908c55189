import { expect, expectAccessible, listUnexplained, openSample, test } from './support.ts';

test('the bench says what is out and where it goes; one walk takes all of it home, by one key a stop', async ({
  page,
}) => {
  await openSample(page, '/');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bench');
  await page.getByRole('button', { name: 'Keep looking round' }).click();
  const top = page.getByRole('list', { name: 'What lies on the bench' }).getByRole('listitem');
  await expect(top).toHaveCount(5);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  // One goes back by itself, and comes out again by undo.
  await page.getByRole('button', { name: /^Put Eddy smock back in Low shelves › Shelf B2$/ }).click();
  await expect(top).toHaveCount(4);
  await page.keyboard.press('u');
  await expect(top).toHaveCount(5);
  await page.keyboard.press('y');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tidy up');
  const next = page.getByRole('region', { name: 'Next' });
  await expect(page.getByRole('region', { name: 'Then' }).getByRole('listitem')).toHaveCount(4);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  for (let left = 4; left >= 1; left -= 1) {
    const place = await next.locator('strong').textContent();
    await page.keyboard.press('d');
    await expect(next.locator('strong')).not.toHaveText(place!);
  }
  await page.keyboard.press('d');
  await expect(page.getByText('All that was out is home.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Nothing is out.' })).toBeVisible();
});

test('who works by keys goes on from where an act took the button away', async ({ page }) => {
  await openSample(page, '/bench');
  await page.getByRole('button', { name: 'Keep looking round' }).press('Enter');
  await expect(page.locator(':focus')).toBeVisible();
  const backs = page.getByRole('button', { name: /^Put .* back in / });
  await expect(backs).toHaveCount(5);
  const next = await backs.nth(2).getAttribute('aria-label');
  await backs.nth(1).press('Enter');
  await expect(backs).toHaveCount(4);
  // The next thing has moved up into its place.
  await expect(backs.nth(1)).toBeFocused();
  await expect(backs.nth(1)).toHaveAttribute('aria-label', next!);
  for (let left = 3; left >= 0; left -= 1) {
    await backs.first().press('Enter');
    await expect(backs).toHaveCount(left);
  }
  await expect(page.locator('main :focus')).toBeVisible();
});

test('what is new is put away by one key among its three best places, and the rest stays as it is', async ({
  page,
}) => {
  await openSample(page, '/bench');
  await expect(page.getByRole('button', { name: /^Put away/ })).toBeVisible();
  await page.keyboard.press('p');
  const thing = page.getByRole('region', { name: 'Eyelet pliers' });
  const places = thing.getByRole('list', { name: 'The best places' }).getByRole('button');
  await expect(places).toHaveCount(3);
  await expect(places.first()).toContainText(/then \d+ % full; saves .* a month of looking for it/);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  const second = (await places.nth(1).locator('.text-lg').textContent())!;
  await page.keyboard.press('o');
  await expect(thing).toBeHidden();
  // What is put off waits until all the others were seen, and is gone on with.
  const here = page.getByRole('main').getByRole('region').first();
  const waits = (await here.getAttribute('aria-label'))!;
  const end = page.getByText('That was all, except for what waits.');
  for (let name = waits; !(await end.isVisible()); name = (await here.getAttribute('aria-label'))!) {
    await page.keyboard.press('l');
    await expect(page.getByRole('region', { name, exact: true })).toBeHidden();
  }
  const placed = page.getByRole('list', { name: 'Put away just now' }).getByRole('listitem');
  await expect(placed).toHaveText(`Eyelet pliers${second}`);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  // Any of them is gone on with, and put off once more; or all in turn.
  const waiting = page.getByRole('list', { name: 'Still without a home' }).getByRole('button');
  const last = (await waiting.last().locator('[data-name]').textContent())!;
  await waiting.last().click();
  await expect(page.getByRole('region', { name: last, exact: true })).toBeVisible();
  await page.keyboard.press('l');
  await expect(end).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByRole('region', { name: waits, exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { level: 1, name: 'Bench' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Where is the…' }).fill('eyelet pliers');
  await page.getByRole('option', { name: /Eyelet pliers/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Eyelet pliers' })).toContainText(
    second.split(' › ').at(-1)!,
  );
});

test('things are used, lent and returned, missed and found, and leave for good, on a phone as well', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openSample(page, '/find');
  await page.getByRole('combobox', { name: 'Where is the…' }).fill('brick linen twill');
  await page.getByRole('option').filter({ hasText: ' › ' }).first().click();
  await expect(page.getByRole('status').filter({ hasText: 'Brick linen twill' })).toBeVisible();
  const ticket = page.getByRole('complementary');
  const leave = ticket.getByRole('button', { name: /^Used, lent, given, gone/ });
  await leave.click();
  await ticket.getByLabel('Lent to').fill('the skiff crew');
  // A day that is typed by half is told, not left out.
  const back = ticket.getByLabel('Back by');
  await back.focus();
  await page.keyboard.type('12');
  await page.keyboard.press('Enter');
  await expect(back).toBeFocused();
  await expect(ticket.getByLabel('Lent to')).toHaveValue('the skiff crew');
  await back.fill('2031-05-12');
  await back.press('Enter');
  await expect(ticket).toContainText('lent to the skiff crew; its home is');
  await page.goto('/bench');
  const lent = page.getByRole('region', { name: 'Lent' });
  await expect(lent).toContainText('to the skiff crew, since today');
  await lent.getByRole('button', { name: 'It came back' }).click();
  await expect(lent).toBeHidden();
  await page.goBack();
  await leave.click();
  await ticket.getByRole('button', { name: 'I cannot find it' }).click();
  await expect(ticket).toContainText('missing; its home is');
  await page.goto('/bench');
  const missing = page.getByRole('region', { name: 'Missing' });
  await expect(missing).toContainText(/last seen in .*, missing since today/);
  expect(await listUnexplained(page)).toEqual([]);
  await missing.getByRole('button', { name: 'Found; it is home' }).click();
  await expect(missing).toBeHidden();
  await page.goBack();
  await leave.click();
  await ticket.getByRole('button', { name: 'Given away' }).click();
  await expect(ticket).toContainText('It is no longer in the stash.');
  await page.goto('/daybook');
  await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('Gave away');
});
