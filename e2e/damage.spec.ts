import type { Page } from '@playwright/test';
import { expect, expectAccessible, openSample, test } from './support.ts';

/** Writes into the browser's storage past the app. */
async function spoil(page: Page, table: string, change: Record<string, unknown>): Promise<string> {
  return page.evaluate(
    async ([store, fields]) => {
      const asked = <T>(request: IDBRequest<T>) =>
        new Promise<T>((resolve, reject) => {
          request.addEventListener('success', () => resolve(request.result));
          request.addEventListener('error', () => reject(request.error ?? new Error('not read')));
        });
      const database = await asked(indexedDB.open('yardmist'));
      const records = database.transaction(store, 'readwrite').objectStore(store);
      const [first] = (await asked(records.getAll())) as Record<string, unknown>[];
      await asked(records.put({ ...first, ...fields }));
      database.close();
      return String(first!['name'] ?? first!['id']);
    },
    [table, change] as const,
  );
}

test('a promise of 130 letters cannot be typed, and what does not read is set apart and put right', async ({
  page,
}) => {
  await openSample(page);
  await page.getByRole('list', { name: 'Cotton' }).getByRole('button').first().click();
  await page.getByRole('button', { name: /^(Take out|Put back)$/ }).waitFor();
  await page.keyboard.press('r');
  const field = page.getByLabel('For what');
  await field.pressSequentially('x'.repeat(110));
  await expect(page.getByText('10 letters left')).toBeVisible();
  await field.pressSequentially('x'.repeat(20));
  await expect(field).toHaveValue('x'.repeat(120));
  await page.keyboard.press('Enter');
  await page.reload();
  await expect(page.getByRole('navigation', { name: 'Screens' })).toBeVisible();

  const name = await spoil(page, 'items', { notes: 'y'.repeat(2100) });
  await page.reload();
  const banner = page.getByRole('region', { name: 'Set apart' });
  await expect(banner).toContainText('could not be read');
  await banner.getByRole('button', { name: 'Look at them' }).click();
  await expect(banner.getByText(`A thing: ${name}`)).toBeVisible();
  await expect(banner).toContainText('The notes can have at most 2000 letters.');
  await expectAccessible(page);
  const saving = page.waitForEvent('download');
  await banner.getByRole('button', { name: 'Save them as they are' }).click();
  await saving;
  // Its lots come back with it.
  await expect(banner).toContainText(/, with \d+ records? that hang on it/);
  await banner.getByRole('button', { name: 'Put it right' }).click();
  await expect(banner).toBeHidden();
  await page.keyboard.press('f');
  await page.keyboard.type(name);
  await expect(page.getByText(name).first()).toBeVisible();
});

test('what a later program wrote is neither opened nor changed', async ({ page }) => {
  await openSample(page);
  await page.goto('/devices/scale');
  const version = () =>
    page.evaluate(async () => (await indexedDB.databases()).find(({ name }) => name === 'yardmist')!.version!);
  await page.evaluate(async () => {
    await new Promise<void>((resolve) => {
      const request = indexedDB.open('yardmist', 9990);
      request.addEventListener('upgradeneeded', () => request.result.createObjectStore('more'));
      request.addEventListener('success', () => {
        request.result.close();
        resolve();
      });
    });
  });
  await page.goto('/stash');
  await expect(page.getByRole('heading', { name: 'A later Yardmist was here' })).toBeVisible();
  await expectAccessible(page);
  expect(await version()).toBe(9990);
});
