import { expect, expectAccessible, offerBundle, openEmpty, openSample, saveBundle, test } from './support.ts';
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

test('a photo lies behind a wall, is set to scale by two points, goes into the file and comes back', async ({
  page,
}) => {
  await openSample(page, '/room/r1-west');
  await page.getByText('A photo behind the wall').click();
  await page
    .getByLabel('Photo of West wall')
    .setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: await createPlainPhoto(page, '#88aa99') });
  const photo = page.getByTestId('wall-photo');
  await expect(photo).toBeVisible();
  const points = page.getByTestId('photo-points');
  const wide = (await photo.boundingBox())!.width;
  await expect(page.getByText('Press a point in the photo')).toBeVisible();
  await points.click({ position: { x: 20, y: 200 } });
  await points.click({ position: { x: 220, y: 200 } });
  const scale = page.getByRole('form', { name: 'Scale of the photo' });
  await scale.getByLabel('Distance').fill('50 cm');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByText('The two points are 50 cm apart now.')).toBeVisible();
  // 200 pixels were so many mm of the wall; now they are 500. The photo may be loaded anew for it.
  const widthNow = async () => (await photo.boundingBox())?.width ?? wide;
  await expect.poll(async () => Math.abs((await widthNow()) - wide)).toBeGreaterThan(1);
  const box = (await photo.boundingBox())!;
  await page.getByRole('group', { name: 'Shift the photo' }).getByRole('button', { name: 'Right' }).click();
  await expect.poll(async () => (await photo.boundingBox())?.x ?? 0).toBeGreaterThan(box.x);
  const bundle = await saveBundle(page);
  await page.goto('/room/r1-west');
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(photo).toBeHidden();
  await offerBundle(page, bundle);
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText('Opened Heron Loft.')).toBeVisible();
  await page.goto('/room/r1-west');
  await expect(photo).toBeVisible();
});
