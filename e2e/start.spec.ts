import { expect, expectAccessible, listUnexplained, openSample, test } from './support.ts';

test('what is out is shown and may be put back before the rest of the household is read', async ({ page, context }) => {
  await openSample(page, '/bench');
  await page.getByRole('button', { name: 'Keep looking round' }).click();
  let letIn = () => {};
  const isLetIn = new Promise<void>((resolve) => (letIn = resolve));
  await context.route(/opener/, async (route) => {
    await isLetIn;
    await route.continue();
  });
  await page.reload();
  const top = page.getByRole('list', { name: 'What lies on the bench' }).getByRole('listitem');
  await expect(top).toHaveCount(5);
  await expect(page.getByText('Low shelves › Shelf B2')).toBeVisible();
  await expect(page.getByRole('contentinfo')).toContainText('…without a home');
  await expect(page.getByRole('region', { name: 'Soon due' })).toHaveCount(0);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Put Eddy smock back in Low shelves › Shelf B2$/ }).click();
  // Another screen waits for all of it, in its frame.
  await page.keyboard.press('2');
  await expect(page.getByText('Opening the sewing room…')).toBeVisible();
  await page.keyboard.press('1');
  await expect(top).toHaveCount(5);
  // What is looked for is found once it is there.
  await page.keyboard.press('f');
  await page.keyboard.type('gorse tartan');
  letIn();
  await expect(page.getByText(/^Put back Eddy smock/)).toBeVisible();
  await expect(page.getByRole('option', { name: /Gorse tartan/ }).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(top).toHaveCount(4);
  await expect(page.getByRole('region', { name: 'Soon due' })).toBeVisible();
});

test('a household opens although its worker does not come', async ({ page, context }) => {
  await openSample(page, '/bench');
  await context.route(/opener/, (route) => route.fulfill({ contentType: 'text/javascript', body: 'throw 1' }));
  await page.reload();
  await expect(page.getByRole('region', { name: 'Soon due' })).toBeVisible();
});
