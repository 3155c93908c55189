import { expect, expectAccessible, listUnexplained, openSample, test } from './support.ts';

test('where everything is done is listed, found by words, and each way leads there', async ({ page }) => {
  await openSample(page, '/household');
  await page.keyboard.press('?');
  await page.getByRole('dialog').getByRole('link', { name: 'Where do I…' }).click();
  const find = page.getByRole('searchbox', { name: 'What would you do?' });
  await find.fill('attic');
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(1);
  await find.fill('no such thing');
  await expect(page.getByText(/^Nothing here is called that/)).toBeVisible();
  await find.fill('');
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  // The list itself says what to press and what is in sight then.
  const ways = await page
    .getByRole('main')
    .getByRole('listitem')
    .evaluateAll((lines) =>
      lines.map((line) => ({
        task: line.querySelector('a')!.textContent!,
        shows: line.querySelector('a')!.title.replace('There: ', ''),
        press: /, then “(.+)”$/.exec(line.textContent!)?.[1],
      })),
    );
  expect(ways.length).toBeGreaterThan(40);
  for (const { task, press, shows } of ways)
    await test.step(task, async () => {
      await page.getByRole('link', { name: task, exact: true }).click();
      if (press !== undefined)
        await page
          .getByRole('button', { name: new RegExp(`^${press}`) })
          .first()
          .click();
      await expect(page.getByText(shows).first()).toBeAttached();
      // What was pressed may have had an address of its own.
      for (let n = 0; n < 3 && new URL(page.url()).pathname !== '/ways'; n += 1) await page.goBack();
      await expect(find).toBeVisible();
    });
});
