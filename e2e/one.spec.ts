import { expect, expectAccessible, openEmpty, test } from './support.ts';
import { createPlainPhoto } from './pictures.ts';

test('on a phone a heap is gone through with the thumb: photo, length, next', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openEmpty(page, '/photos/one');
  await page.getByLabel('What all of them are').fill('poplin x 112');
  const photo = async (name: string, colour: string) => ({
    name,
    mimeType: 'image/png',
    buffer: await createPlainPhoto(page, colour),
  });
  await page.getByLabel('Photo of it').setInputFiles(await photo('one.png', '#aa2828'));
  const amount = page.getByLabel('How long it is');
  await expect(amount).toBeFocused();
  await amount.fill('2.4');
  await expect(page.getByText('Red poplin, 2.40 m')).toBeVisible();
  await expectAccessible(page);
  // The camera opens for the next one at once.
  const camera = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Next' }).click();
  await (await camera).setFiles(await photo('two.png', '#1e46a0'));
  await amount.fill('1,1');
  await expect(page.getByText('Blue poplin, 1.10 m')).toBeVisible();
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('Blue poplin is in: 1.10 m.')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the stash' }).click();
  await expect(page.getByRole('list', { name: 'Cotton' }).getByRole('button')).toHaveCount(2);
});
