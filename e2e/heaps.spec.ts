import { expect, expectAccessible, listUnexplained, openSample, test } from './support.ts';

test('a heap comes in by one line, is planned in parts, is one again where they lie together, and things are listed out of it', async ({
  page,
}) => {
  await openSample(page, '/stash');
  const line = page.getByRole('textbox', { name: 'Add in one line' });
  await line.click();
  await line.fill('cottons 40 pieces pile 62 cm');
  await expect(page.getByText(/A heap: 40 pieces, a pile of 62 cm, a row of /)).toBeVisible();
  await line.press('Enter');
  await expect(page.getByText(/^Cottons is in: about 40 lengths, 1\d\d m\.$/)).toBeVisible();

  // Its ticket says how much it is by every measure; it turns out larger.
  const openHeap = async () => {
    const find = page.getByRole('combobox', { name: /Where is/ }).or(page.getByRole('searchbox', { name: /Where is/ }));
    await find.first().fill('cottons');
    await expect(page.getByRole('option', { name: /Cottons/ }).first()).toBeVisible();
    await find.first().press('Enter');
    await expect(page.getByRole('region', { name: 'Heap' })).toBeVisible();
  };
  await openHeap();
  const heap = page.getByRole('region', { name: 'Heap' });
  await expect(heap.getByText(/^About 40 pieces, a pile of 62 cm/)).toBeVisible();
  await expectAccessible(page);
  // The message passes by itself.
  await expect(page.getByRole('button', { name: 'Close message' })).toHaveCount(0);
  expect(await listUnexplained(page)).toEqual([]);
  await heap.getByLabel('Measured anew by').selectOption('pieces');
  await heap.getByLabel('It is').fill('44');
  await heap.getByRole('button', { name: 'Set' }).click();
  await expect(heap.getByText(/^About 44 pieces/)).toBeVisible();

  // Listed out of it, a thing is a thing, and the heap is less by one.
  await heap.getByRole('textbox', { name: 'List one out of it' }).fill('blue poplin 2.5m');
  await heap.getByRole('button', { name: 'List it' }).click();
  await expect(page.getByText('Blue poplin is listed: 2.50 m.')).toBeVisible();
  await expect(heap.getByText(/^About 43 pieces/)).toBeVisible();

  // A plan puts its parts where there is room; carried, those in one place are one.
  await page.goto('/fit');
  await page.getByLabel('How long to search').selectOption('3');
  await page.keyboard.press('s');
  await expect(page.getByText(/Every place was packed and [\d,]+ checks passed/)).toBeVisible({ timeout: 40_000 });
  await page.keyboard.press('a');
  await expect(page.getByText(/^Adopted\. /)).toBeVisible();
  await page.getByRole('button', { name: /are carried home already$/ }).click();
  await page.goto('/daybook');
  await expect(page.getByText('Heaped up in parts')).toBeVisible();
});
