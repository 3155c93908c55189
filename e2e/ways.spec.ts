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

test('how it is done: one page a task with its picture, from the question mark on the screen itself', async ({
  page,
}) => {
  await page.goto('/moves');
  await expect(page.getByRole('heading', { name: 'Moves' })).toBeVisible();
  await page.keyboard.press('?');
  await page.getByRole('link', { name: 'How to: Carry a plan out' }).click();
  await expect(page.getByRole('heading', { name: 'Carry a plan out' })).toBeVisible();
  await expectAccessible(page);
  const tasks = await page.getByRole('navigation', { name: 'Pages of the guide' }).getByRole('link').allTextContents();
  expect(tasks.length).toBeGreaterThan(15);
  for (const task of tasks)
    await test.step(task, async () => {
      await page.getByRole('link', { name: task, exact: true }).click();
      await expect(page.getByRole('article').getByRole('heading', { name: task })).toBeVisible();
      const picture = page.getByRole('article').getByRole('img');
      await expect
        .poll(() => picture.evaluate((img) => (img as unknown as { naturalWidth: number }).naturalWidth))
        .toBeGreaterThan(300);
    });
  await page.getByRole('link', { name: 'Go there' }).click();
  await expect(page.getByRole('heading', { name: 'House', level: 1 })).toBeVisible();
});
