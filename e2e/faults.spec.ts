import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { expect, offerBundle, openSample, saveBundle, test } from './support.ts';

test('a bad file is refused with its faults, and nothing is touched', async ({ page }) => {
  await openSample(page);
  const good = await saveBundle(page);
  const alert = page.getByRole('alert').filter({ hasText: 'The file was not opened. What you have is untouched.' });
  await offerBundle(page, Buffer.alloc(0));
  await expect(alert).toContainText('The file is empty.');
  await offerBundle(page, good.subarray(0, good.length / 2));
  await expect(alert).toContainText('The file is damaged');
  await offerBundle(page, Buffer.from('%PDF-1.7 not a bundle'));
  await expect(alert).toContainText('This is not a Yardmist file');
  expect((await saveBundle(page)).equals(good)).toBe(true);
});

test('a file whose daybook tells otherwise opens as its records have it, and the daybook says so', async ({ page }) => {
  await openSample(page);
  const files = unzipSync(await saveBundle(page));
  const household = JSON.parse(strFromU8(files['household.json']!)) as { items: { name: string }[] };
  household.items[0]!.name = 'Renamed by hand';
  files['household.json'] = strToU8(JSON.stringify(household));
  await offerBundle(page, Buffer.from(zipSync(files)));
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('differs from what the daybook tells');
  await expect(alert).toContainText('All of it reads, but the daybook tells some of it otherwise');
  await alert.getByRole('button', { name: 'Open it all the same' }).click();
  await expect(page.getByText('Opened Heron Loft.')).toBeVisible();
  await page.goto('/daybook');
  await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('Put right');
  await page.keyboard.press('f');
  await page.keyboard.type('renamed by hand');
  await expect(page.getByRole('option', { name: /Renamed by hand/ }).first()).toBeVisible();
});

test('an import is shown first, can be declined, and can be taken back', async ({ page }) => {
  await openSample(page);
  const sample = await saveBundle(page);
  await page.getByRole('button', { name: 'Start empty' }).click();
  await expect(page.getByText('An empty sewing room is ready.')).toBeVisible();
  await offerBundle(page, sample);
  await expect(page.getByText(/takes the place of My sewing room: 0 things/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep what is here' }).click();
  await expect(page.getByText(/Everything stays in this browser: 0 things/)).toBeVisible();
  await offerBundle(page, sample);
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText(/Everything stays in this browser: 3\d\d things/)).toBeVisible();
  await page.getByRole('button', { name: 'Bring back the one before' }).click();
  await expect(page.getByText(/Everything stays in this browser: 0 things/)).toBeVisible();
});

test('amounts that do not read are pointed out in words, and nothing is saved', async ({ page }) => {
  await openSample(page);
  const before = await page.getByRole('link', { name: /^Cloth \d+/ }).textContent();
  await page.keyboard.press('n');
  const form = page.getByRole('form', { name: 'New cloth' });
  await form.getByLabel('Name').fill('Odd end');
  await form.getByLabel('Length').fill('abc');
  await expect(form.getByText('“abc” is not an amount. Try 3.4 m.')).toBeVisible();
  await form.getByLabel('Width').fill('-140');
  await expect(form.getByText('“-140” is below zero. Try 140 cm.')).toBeVisible();
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByLabel('Length')).toBeFocused();
  await expect(page.getByRole('link', { name: /^Cloth \d+/ })).toHaveText(before!);
});

test('a piece too small for its bins is refused; one too small for its things says so and loses nothing', async ({
  page,
}) => {
  await openSample(page, '/room/r1-east');
  await page.getByRole('button', { name: /^Tall cubes › A5 › Batting: / }).click();
  await page.getByRole('button', { name: 'Edit the shelf' }).click();
  const form = page.getByRole('form', { name: 'Edit Tall cubes' });
  await form.getByLabel('Height').fill('150 cm');
  await expect(form.getByRole('alert')).toContainText(/Batting: 31 cm high, but A5 has 28\.1 cm/);
  await expect(form.getByRole('button', { name: 'Save' })).toBeDisabled();
  await form.getByLabel('Height').fill('3 m');
  await expect(form.getByRole('alert')).toContainText('It does not stand under the ceiling there');
  await form.getByLabel('Height').fill('-3');
  await expect(form.getByText('“-3” is below zero. Try 35 cm.')).toBeVisible();
  await form.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('link', { name: 'North wall' }).click();
  await page.getByRole('button', { name: /^Long shelf › Shelf 1: [1-9]/ }).click();
  await page.getByRole('button', { name: 'Edit the piece' }).click();
  const shelf = page.getByRole('form', { name: 'Edit Long shelf' });
  await shelf.getByLabel('Width').fill('20 cm');
  await shelf.getByRole('button', { name: 'Save' }).click();
  await expect(shelf.getByRole('alert')).toContainText(
    'What is in Shelf 1 would no longer fit; it stays there, over full.',
  );
  await shelf.getByRole('button', { name: 'Save all the same' }).click();
  await expect(page.getByRole('button', { name: /^Long shelf › Shelf 1: \d+ things, over full/ })).toBeVisible();
  await page.locator('[aria-live]').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Long shelf › Shelf 1: [1-9]\d* things?, \d+ % full/ })).toBeVisible();
});

test('a piece is removed with what hangs on it said, and comes back with undo', async ({ page }) => {
  await openSample(page, '/room/r1-north');
  await page.getByRole('button', { name: /^Long shelf › Shelf 1/ }).click();
  await page.getByRole('button', { name: 'Edit the piece' }).click();
  await expect(
    page.getByText(/\d+ things? in it would lie out, without a home\. Undo brings all back\./),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Remove Long shelf' }).click();
  await expect(page.getByRole('button', { name: /^Long shelf › Shelf 1/ })).toBeHidden();
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: /^Long shelf › Shelf 1/ })).toBeVisible();
});

test('two windows at once: each sees what the other writes, and nothing is lost', async ({ page, context }) => {
  await openSample(page);
  const other = await context.newPage();
  await openSample(other);
  for (const window of [page, other]) {
    await window.getByRole('button', { name: /^Table/ }).click();
    await window.getByRole('combobox', { name: 'Place' }).selectOption('in');
    await window.locator('tbody button').nth(5).waitFor();
  }
  const [first, second] = await page
    .locator('tbody button')
    .evaluateAll((buttons) => [...new Set(buttons.map((button) => button.textContent))].slice(0, 2));
  await page.locator('tbody button', { hasText: first! }).first().click();
  await other.locator('tbody button', { hasText: second! }).first().click();
  await Promise.all([page.keyboard.press('t'), other.keyboard.press('t')]);
  await expect(page.getByText(`Took out ${first}`)).toBeVisible();
  await expect(other.getByText(`Took out ${second}`)).toBeVisible();
  for (const window of [page, other]) {
    await window.keyboard.press('j');
    for (const name of [first, second])
      await expect(
        window
          .getByRole('listitem')
          .filter({ hasText: `Took out ${name}` })
          .first(),
      ).toBeVisible();
  }
});

test('what was confirmed is there after the page is killed', async ({ page, context }) => {
  await openSample(page);
  await page.getByRole('list', { name: 'Cotton' }).getByRole('button').first().click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  const name = await ticket.getByRole('heading').first().textContent();
  await ticket.getByRole('button', { name: /Take out|Put back/ }).click();
  await expect(page.getByText(new RegExp(`(Took out|Put back) ${name}`))).toBeVisible();
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await openSample(again, '/daybook');
  await expect(again.getByRole('main').getByRole('listitem').first()).toContainText(name!);
});

test('where the browser keeps nothing, it says so and goes on', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError');
    };
  });
  await openSample(page);
  const banner = page.getByRole('alert').filter({ hasText: 'does not let Yardmist keep anything' });
  await expect(banner).toContainText('Nothing more is written until it can be kept.');
  await page.getByRole('list', { name: 'Cotton' }).getByRole('button').first().click();
  // Nothing is shown as done that was not kept.
  await page.getByRole('button', { name: /Take out|Put back/ }).click();
  await expect(page.getByText(/Nothing was changed\.$/)).toBeVisible();
  await banner.getByRole('button', { name: 'Go on all the same' }).click();
  await page.getByRole('button', { name: /Take out|Put back/ }).click();
  await expect(page.getByText(/^(Took out|Put back) \w+/)).toBeVisible();
  await expect(banner).toContainText('1 line of the daybook is only in this window.');
  const saving = page.waitForEvent('download');
  await banner.getByRole('button', { name: 'Save to a file' }).click();
  expect((await saving).suggestedFilename()).toMatch(/\.yardmist\.zip$/);
});

test.describe('without a network', () => {
  test.use({ serviceWorkers: 'allow' });

  test('after the first visit it works without any network', async ({ page, context }) => {
    await openSample(page);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await context.setOffline(true);
    await page.goto('/room/r1-east');
    await expect(page.getByRole('button', { name: /^Tall cubes › A3/ })).toBeVisible();
    await page.keyboard.press('5');
    await page.getByRole('button', { name: /^Find a plan/ }).click();
    await page.getByRole('button', { name: /^Stop and keep the best/ }).click();
    await expect(page.getByRole('button', { name: 'Adopt this plan' })).toBeVisible();
  });
});

test('a file that the browser hands over is read at once, and opened only when one says so', async ({ page }) => {
  await openSample(page);
  const bundle = [...(await saveBundle(page))];
  await page.addInitScript(() => {
    const value = {
      setConsumer: (take: (launch: { files: unknown[] }) => void) => {
        const hand = (bytes: number[]) =>
          take({ files: [{ getFile: async () => new File([new Uint8Array(bytes)], 'loft.yardmist.zip') }] });
        Object.assign(window, { hand });
      },
    };
    Object.defineProperty(window, 'launchQueue', { value });
  });
  await page.goto('/household');
  await page.waitForFunction(() => 'hand' in window);
  await page.evaluate((bytes) => (window as unknown as { hand: (bytes: number[]) => void }).hand(bytes), bundle);
  await expect(page.getByText('The file is whole:')).toBeVisible();
  await page.getByRole('button', { name: 'Keep what is here' }).click();
  await expect(page.getByText('The file is whole:')).toHaveCount(0);
});

test.describe('installed', () => {
  test.use({ serviceWorkers: 'allow' });

  test('photos that another app shares are taken in, once; the app says what it opens', async ({ page, request }) => {
    await openSample(page);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.reload();
    // As the phone does it: a form with the pictures, sent to the app.
    await page.evaluate(async () => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [64, 64];
      const pen = canvas.getContext('2d')!;
      pen.fillStyle = '#2f5d7c';
      pen.fillRect(0, 0, 64, 64);
      const picture = await new Promise<Blob>((done) => canvas.toBlob((blob) => done(blob!), 'image/png'));
      const files = new DataTransfer();
      files.items.add(new File([picture], 'from the phone.png', { type: 'image/png' }));
      const form = document.createElement('form');
      Object.assign(form, { method: 'POST', action: '/photos', enctype: 'multipart/form-data' });
      const field = document.createElement('input');
      Object.assign(field, { type: 'file', name: 'photos', files: files.files });
      form.append(field);
      document.body.append(form);
      form.submit();
    });
    await expect(page).toHaveURL(/\/photos$/);
    await expect(page.getByRole('contentinfo')).toContainText('1photos');
    await page.reload();
    await expect(page.getByRole('contentinfo')).toContainText('0photos');
    const manifest = (await (await request.get('/manifest.webmanifest')).json()) as {
      icons: { src: string }[];
      share_target: { action: string };
      shortcuts: { url: string }[];
    };
    expect(manifest.share_target.action).toBe('/photos');
    for (const { src } of manifest.icons) expect((await request.get(src)).ok(), src).toBe(true);
    for (const { url } of manifest.shortcuts) {
      await page.goto(url);
      await expect(page.getByRole('heading', { level: 1 }), url).toBeVisible();
    }
  });
});

test('a form is sent once, and keys pressed while it is kept are the page’s', async ({ page }) => {
  await openSample(page, '/stash/fabric');
  await page.getByRole('button', { name: /^Table/ }).click();
  await page.locator('tbody button').first().click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await ticket.getByRole('button', { name: 'Cut from it' }).click();
  await ticket.getByLabel('How much to cut').fill('10 cm');
  // Faster than any hand: sent twice, and undone, before the first is kept.
  await ticket.getByLabel('How much to cut').evaluate((field: HTMLInputElement) => {
    field.form!.requestSubmit();
    field.form!.requestSubmit();
    document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key: 'u', bubbles: true }));
  });
  await expect(ticket.getByRole('button', { name: 'Cut from it' })).toBeVisible();
  await page.keyboard.press('j');
  const lines = page.getByRole('main').getByRole('listitem');
  await expect(lines.nth(0)).toContainText('Took back');
  await expect(lines.nth(1)).toContainText('Cut 0.10 m');
  // Once, and what was before it belongs to the year before.
  await expect(lines.filter({ hasText: 'Cut 0.10 m' })).toHaveCount(1);
});
