import { expect, expectAccessible, listUnexplained, openSample, test } from './support.ts';

test('labels say what is in the place, which are out of date, and lie true to size on their paper', async ({
  page,
}) => {
  await openSample(page, '/bench');
  const untrue = page.getByRole('region', { name: 'Labels out of date' });
  await expect(untrue.getByRole('listitem')).toHaveCount(5);
  expect(await listUnexplained(page)).toEqual([]);
  await untrue.getByRole('button', { name: 'Print them' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Labels');
  const labels = page.getByRole('list', { name: 'Labels' });
  await expect(page.getByText('5 ticked')).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  // 7 cm are 7 cm by the browser's own mm.
  const picture = page.getByRole('img', { name: /^Label: / });
  const width = (await picture.boundingBox())!.width;
  expect(width).toBeGreaterThan((70 / 25.4) * 96 - 3);
  expect(width).toBeLessThan((70 / 25.4) * 96 + 3);
  // The first free label of a used sheet is pressed.
  await page.locator('figure rect').nth(7).click();
  await expect(page.getByRole('spinbutton', { name: 'First free' })).toHaveValue('8');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  const pdf = await waiting;
  expect(pdf.suggestedFilename()).toBe('labels.pdf');
  await expect(page.getByText('Saved 5 labels as PDF; they count as printed now. Print at 100 %.')).toBeVisible();
  await expect(page.getByRole('spinbutton', { name: 'First free' })).toHaveValue('13');
  await expect(labels.getByText(/and it does not say so/)).toHaveCount(0);
  // Taking it back makes them untrue again.
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(labels.getByText(/and it does not say so/).first()).toBeVisible();
});

test('vague words get better ones, and those that are wrong are told', async ({ page }) => {
  await openSample(page, '/labels');
  const labels = page.getByRole('list', { name: 'Labels' });
  await labels.getByRole('button', { name: /^Misc bits Tall cubes › B3/ }).click();
  await expect(page.getByText('In a year these words will not tell you what is inside.')).toBeVisible();
  const own = page.getByRole('textbox', { name: 'In large, in your own words' });
  await own.fill('Penguins');
  await page.getByRole('button', { name: 'Keep these words' }).click();
  await expect(page.getByText('None of these words has to do with what is inside.')).toBeVisible();
  const better = (await page.getByRole('status').locator('strong').textContent())!;
  await page.getByRole('button', { name: 'Say that' }).click();
  await expect(own).toHaveValue('');
  await expect(page.getByRole('img', { name: /^Label: / })).toHaveAccessibleName(
    new RegExp(`^Label: ${better.split(';')[0]!}`),
  );
  // Reloaded, it is still so.
  await page.reload();
  await expect(labels.getByText('Misc bits')).toHaveCount(1);
});

test('a label printer prints, jams and runs out; nothing is lost, and without one all works the same', async ({
  page,
  context,
}) => {
  await openSample(page, '/labels/spools');
  const printer = page.getByRole('group', { name: 'Label printer' });
  await expect(printer).toContainText(/Label printer: \d+ labels left/);
  const tray = await context.newPage();
  await tray.goto('/devices/printer');
  await tray.getByRole('button', { name: 'Put a new roll in' }).click();
  await tray.getByRole('button', { name: 'Take them out' }).or(tray.getByText('Empty.')).first().click();
  await page.getByRole('list', { name: 'Labels' }).getByRole('checkbox').first().check();
  await page.getByRole('list', { name: 'Labels' }).getByRole('checkbox').nth(1).check();
  await tray.getByRole('button', { name: 'Let the next one jam' }).click();
  await printer.getByRole('button', { name: /^Print there/ }).click();
  await expect(printer.getByRole('alert')).toContainText('A label got stuck and is lost');
  await expect(printer.getByRole('alert')).toContainText('0 of 2 labels came out');
  await tray.getByRole('button', { name: 'Clear the jam' }).click();
  await tray.getByRole('button', { name: 'Leave one label only' }).click();
  await printer.getByRole('button', { name: 'Go on with 2 labels' }).click();
  await expect(printer.getByRole('alert')).toContainText('The roll ran out');
  await expect(printer.getByRole('alert')).toContainText('1 of 2 labels came out');
  await tray.getByRole('button', { name: 'Put a new roll in' }).click();
  await tray.getByRole('button', { name: 'Switch off' }).click();
  await expect(printer).toContainText('The label printer is off.');
  await printer.getByRole('button', { name: 'Go on with 1 label' }).click();
  await expect(printer.getByRole('alert')).toContainText('The printer is off');
  await tray.getByRole('button', { name: 'Switch on' }).click();
  await printer.getByRole('button', { name: 'Go on with 1 label' }).click();
  await expect(printer.getByRole('alert')).toHaveCount(0);
  await tray.reload();
  await expect(tray.getByRole('img')).toHaveCount(2);
  await expectAccessible(tray);
  await expect(page.getByRole('list', { name: 'Labels' }).getByText('up to date', { exact: true })).toHaveCount(2);
  await tray.close();
  // Nobody answers: it is said, and paper does as well.
  await page.route('**/devices/printer/stream', (route) => route.fulfill({ status: 204 }));
  await page.goto('/labels/spools');
  await expect(page.getByText('No label printer answers here; PDF, SVG and Print need none.')).toBeVisible();
});

test('labels are printed from the browser on pages of their own, and chosen on a phone', async ({ page }) => {
  await openSample(page, '/labels');
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.label-sheets svg').first()).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Screens' })).toBeHidden();
  await expect(page.getByRole('list', { name: 'Labels' })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('navigation', { name: 'What is labelled' }).getByRole('link', { name: 'Kits' }).click();
  await page.getByRole('button', { name: 'Those never printed' }).click();
  await page.getByRole('button', { name: 'Save as PDF' }).scrollIntoViewIfNeeded();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});
