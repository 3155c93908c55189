import type { Locator, Page } from '@playwright/test';
import { expect, openSample, test } from './support.ts';

/** Tab until the element that is asked for has the focus, as one without a mouse does. */
async function tabTo(page: Page, target: Locator, most = 80): Promise<void> {
  for (let n = 0; n < most; n += 1) {
    if (await target.evaluate((element) => element === document.activeElement).catch(() => false)) return;
    await page.keyboard.press('Tab');
  }
  await expect(target).toBeFocused();
}

test('a room is built from its description by the keys alone, what stands wrong is said and mended, and the wall shows it', async ({
  page,
}) => {
  // "A box room, 3 by 2.5 metres, ceiling 2.3. A bookcase of five shelves at the north wall, and a table below it."
  await openSample(page, '/room/plan/r1');
  const add = page.getByRole('button', { name: 'Add a room' });
  await expect(add).toBeVisible();
  await tabTo(page, add);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Room 3' })).toBeVisible();
  const measure = page.getByRole('button', { name: 'Measure the room' });
  await tabTo(page, measure);
  await page.keyboard.press('Enter');
  const form = page.getByRole('form', { name: 'Measures of Room 3' });
  await expect(form.getByLabel('Name', { exact: true })).toBeFocused();
  const type = async (field: Locator, text: string) => {
    await tabTo(page, field);
    await page.keyboard.press('Control+a');
    await page.keyboard.type(text);
  };
  await type(form.getByLabel('Name', { exact: true }), 'Box room');
  await type(form.getByLabel('Ceiling'), '2.3 m');
  await type(form.getByLabel('Length').nth(0), '3 m');
  await type(form.getByLabel('Length').nth(1), '2.5 m');
  await type(form.getByLabel('Length').nth(2), '3 m');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Box room' })).toBeVisible();
  const north = page.getByRole('link', { name: 'North wall' });
  await tabTo(page, north);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: /^North wall/ })).toBeVisible();
  const addPiece = async (part: string, name: string, fields: Record<string, string>) => {
    await page.keyboard.press('n');
    const piece = page.getByRole('form', { name: 'New piece' });
    await expect(piece.getByLabel('Name', { exact: true })).toBeFocused();
    await page.keyboard.press('Shift+Tab');
    await expect(piece.getByLabel('What is it')).toBeFocused();
    await page.keyboard.type(part);
    await type(piece.getByLabel('Name', { exact: true }), name);
    for (const [label, text] of Object.entries(fields)) await type(piece.getByLabel(label, { exact: true }), text);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('form', { name: `Edit ${name}` })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('form', { name: `Edit ${name}` })).toBeHidden();
  };
  await addPiece('Bookcase', 'Pattern shelf', { 'From the left': '10', Height: '1.8 m' });
  // Planted: the table stands in the bookcase.
  await addPiece('Table', 'Small table', { 'From the left': '40', Width: '1.2 m' });
  const plan = page.getByRole('link', { name: 'Plan of Box room' });
  await tabTo(page, plan);
  await page.keyboard.press('Enter');
  const wrong = page.getByRole('complementary').getByRole('listitem').filter({ hasText: 'in each other' });
  await expect(wrong).toContainText(/Pattern shelf and Small table are [\d.]+ (cm|mm) in each other/);
  const table = page.getByRole('button', { name: /^Small table, table/ });
  await tabTo(page, table);
  for (let n = 0; n < 6; n += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(wrong).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Small table.*North wall, 100 cm from the left/ })).toBeVisible();
  // On the wall, at once: what was moved is kept when the plan is left.
  await tabTo(page, north);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeVisible();
  await page.keyboard.press('w');
  await expect(
    page.getByRole('button', { name: 'Move Small table: 100 cm from the left, 0 mm above the floor' }),
  ).toBeVisible();
  const shelf = page.getByRole('slider', { name: /^Shelf between Shelf 2 and Shelf 3/ });
  await tabTo(page, shelf);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('main').getByRole('status')).toContainText(/Shelf 3 [\d.]+ cm high, empty · Shelf 2/);
  await page.keyboard.press('Enter');
  await page.keyboard.press('w');
  await expect(shelf).toHaveCount(0);
});

test('a piece of one’s own is kept as a part and built again; a room goes with all in it, and comes back', async ({
  page,
}) => {
  await openSample(page, '/room');
  await page.getByRole('button', { name: /^Tall cubes › A3/ }).press('Enter');
  await page.getByRole('button', { name: 'Divide with a shelf' }).click();
  await page.getByRole('button', { name: 'Edit the shelf' }).click();
  await page.getByRole('button', { name: 'Keep it as a part for re-use' }).click();
  await expect(page.getByText('Tall cubes is kept among the parts for new pieces.')).toBeVisible();
  await page.getByRole('link', { name: 'West wall' }).click();
  await page.keyboard.press('n');
  const piece = page.getByRole('form', { name: 'New piece' });
  await piece.getByLabel('What is it').selectOption('Tall cubes');
  await expect(piece.getByLabel('Height', { exact: true })).toHaveValue('174.6 cm');
  await piece.getByLabel('Name', { exact: true }).fill('More cubes');
  // Beyond the slope of the roof.
  await piece.getByLabel('From the left').fill('150');
  await piece.getByRole('button', { name: 'Save' }).click();
  // With the shelf that was put in.
  await expect(page.getByRole('button', { name: /^More cubes › A3 b/ })).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.getByRole('link', { name: 'Plan of Landing' }).click();
  await page.getByRole('button', { name: 'Measure the room' }).click();
  await expect(page.getByText(/1 piece of furniture would go with it, \d+ things would lie out/)).toBeVisible();
  await page.getByRole('button', { name: 'Remove the whole room' }).click();
  await expect(page.getByRole('link', { name: 'Floor plan' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('link', { name: 'Plan of Landing' })).toBeVisible();
});
