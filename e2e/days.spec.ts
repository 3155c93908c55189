import { expect, expectAccessible, listUnexplained, offerBundle, openSample, saveBundle, test } from './support.ts';

test('each day is kept as it was, what would change is said, and one can go back and forth', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-20T09:00:00') });
  await openSample(page, '/household');
  await expect(page.getByText('No file of it was saved from this browser yet.')).toBeVisible();
  await page.getByLabel('Name').first().fill('Tuesday loft');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Changed settings')).toBeVisible();

  await page.clock.setFixedTime(new Date('2026-11-21T09:00:00'));
  await page.reload();
  const days = page.getByRole('region', { name: 'Days before' });
  await expect(days.getByRole('listitem')).toHaveCount(1);
  await page.getByLabel('Name').first().fill('Wednesday loft');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  // One field of the settings: it is told, and more so once all is another household.
  await days.getByRole('button', { name: 'What would change?' }).click();
  await expect(days.getByRole('status')).toContainText('1 record would be as then, and 1 line');
  await page.getByRole('button', { name: 'Open the small sample' }).click();
  await expect(page.getByText('Tern Steps is here')).toBeVisible();

  await days.getByRole('button', { name: 'What would change?' }).click();
  await expect(days.getByRole('status')).toContainText(/\d+ records would be as then/);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  await days.getByRole('button', { name: 'Go back to it' }).click();
  await expect(page.getByText('All is as it was on the morning of 21 November.')).toBeVisible();
  await expect(page.getByLabel('Name').first()).toHaveValue('Tuesday loft');
  await page.getByRole('button', { name: 'Bring back the one before' }).click();
  await expect(page.getByLabel('Name').first()).toHaveValue('Tern Steps');
});

test('a file is asked for after many changes, quietly, and the day of the last one stands in House', async ({
  page,
}) => {
  await openSample(page);
  await page.evaluate(() => {
    const kept = JSON.parse(localStorage.getItem('yardmist-choices') ?? '{}') as { state?: object };
    localStorage.setItem('yardmist-choices', JSON.stringify({ ...kept, state: { ...kept.state, isGreeted: true } }));
  });
  await page.goto('/stash');
  await page.getByRole('list', { name: 'Cotton' }).getByRole('button').first().click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  const button = ticket.getByRole('button', { name: /^(Take out|Put back)$/ });
  for (let n = 0; n < 60; n += 1) {
    const words = (await button.textContent())!;
    await button.click();
    await expect(button).not.toHaveText(words);
  }
  await page.keyboard.press('1');
  await expect(page.getByText(/60 lines of the daybook are in no file yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Not this week' }).click();
  await expect(page.getByText(/in no file yet/)).toBeHidden();
  await saveBundle(page);
  await expect(page.getByText(/^Last saved .*; nothing was written since\.$/)).toBeVisible();
});

test('a file that was picked once keeps itself up to date; what cannot be written is told', async ({ page }) => {
  // The browser's own dialog is nothing a test can press: a file of the page's private folder stands in for the picked one.
  await page.addInitScript(() => {
    Object.assign(window, {
      showSaveFilePicker: async ({ suggestedName }: { suggestedName: string }) =>
        (await navigator.storage.getDirectory()).getFileHandle(suggestedName, { create: true }),
    });
  });
  const readFile = async () =>
    Buffer.from(
      await page.evaluate(async () => {
        const handle = await (await navigator.storage.getDirectory()).getFileHandle('heron-loft.yardmist.zip');
        return [...new Uint8Array(await (await handle.getFile()).arrayBuffer())];
      }),
    );
  await page.clock.install();
  await openSample(page, '/household');
  await page.getByRole('button', { name: 'Keep a file up to date' }).click();
  const line = page.getByRole('status').filter({ hasText: 'heron-loft.yardmist.zip' });
  await expect(line).toContainText('keeps itself up to date; written at');
  await expect(page.getByText(/Last saved .*; nothing was written since/)).toBeVisible();
  const first = await readFile();

  // After a reload it is the same file; a change is in it a little later.
  await page.reload();
  await page.getByLabel('Name').first().fill('Rook loft');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Changed settings')).toBeVisible();
  await page.clock.fastForward(20_000);
  await expect(line).toContainText('keeps itself up to date; written at');
  await expect(page.getByText(/Last saved .*; nothing was written since/)).toBeVisible();
  const second = await readFile();
  expect(second.equals(first)).toBe(false);
  expect(await listUnexplained(page)).toEqual([]);

  // A full disk is told, and what was there is whole.
  await page.evaluate(() => {
    const { prototype } = FileSystemFileHandle;
    const normal = Object.getOwnPropertyDescriptor(prototype, 'createWritable')!;
    prototype.createWritable = () => {
      Object.defineProperty(prototype, 'createWritable', normal);
      return Promise.reject(new Error('no room on the disk'));
    };
  });
  await page.getByLabel('Cats or other pets live here').click();
  await expect(page.getByText(/nothing was written since/)).toBeHidden();
  await page.clock.fastForward(20_000);
  await expect(line).toContainText('could not be written: no room on the disk.');
  expect((await readFile()).equals(second)).toBe(true);
  await expectAccessible(page);
  await line.getByRole('button', { name: 'Try again' }).click();
  await expect(line).toContainText('keeps itself up to date; written at');
  await offerBundle(page, await readFile());
  await expect(page.getByText(/Rook loft/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Stop keeping it' }).click();
  await expect(page.getByRole('button', { name: 'Keep a file up to date' })).toBeVisible();
});
