import { readFile } from 'node:fs/promises';
import type { Locator, Page } from '@playwright/test';
import { expect, expectAccessible, openEmpty, openSample, quickAdd, test } from './support.ts';

const ticket = (page: Page) => page.getByRole('complementary', { name: 'Ticket' });
const need = (page: Page, name = 'main') => page.getByRole('listitem', { name, exact: true });

/** The form to cut up a remnant of poplin, the only thing there is. */
async function openCutUp(page: Page): Promise<Locator> {
  await openEmpty(page);
  await quickAdd(page, 'cotton poplin rust 30 cm x 112 washed');
  await page
    .getByRole('button', { name: /poplin/i })
    .first()
    .click();
  await ticket(page).getByRole('button', { name: 'Cut it up' }).click();
  return ticket(page).getByRole('form', { name: 'Cut it up' });
}

async function save(page: Page, press: () => Promise<void>): Promise<string> {
  const waiting = page.waitForEvent('download');
  await press();
  return readFile(await (await waiting).path(), 'utf8');
}

test('pieces have shapes, cloths have flaws: the layout goes round them and says what will not go on', async ({
  page,
}) => {
  await openEmpty(page);
  await quickAdd(page, 'linen rust 1 m x 140 washed');
  await page.keyboard.press('8');
  await page.getByLabel('What would you like to make?').fill('Apron');
  await page.keyboard.press('Enter');
  await need(page).getByRole('button', { name: 'Which cloth would do?' }).click();
  await page.getByRole('button', { name: /^Promise / }).click();
  // Two triangles go into each other, side by side with a third: corners are written, or drawn.
  await page.getByRole('button', { name: 'Write down its pieces' }).click();
  const lines = page.getByLabel('Its pieces, one a line');
  await lines.fill('2 sides 60 x 80 corners 0 0, 60 80, 0 80\nbib 40 x 70');
  await page.getByRole('button', { name: 'Keep them' }).click();
  const laid = page.getByRole('region', { name: 'Laid out' });
  await expect(laid).toContainText('It fits, ');
  await page.getByRole('button', { name: 'Draw their shapes' }).click();
  const shapes = page.getByRole('form', { name: 'Shapes' });
  await shapes.getByLabel('Piece').selectOption('bib');
  await shapes.getByLabel('Begin from').selectOption('Narrower at the top, both sides');
  const corner = shapes.getByRole('button', { name: /^Corner 1 of 4: 80 mm across/ });
  await corner.focus();
  await page.keyboard.press('ArrowRight');
  await expect(shapes.getByRole('button', { name: /^Corner 1 of 4: 90 mm across, 0 mm along/ })).toBeFocused();
  // A figure typed there leads to no other screen.
  await page.keyboard.press('2');
  await expect(shapes).toBeVisible();
  await expectAccessible(page);
  await shapes.getByRole('button', { name: 'A corner more' }).click();
  await expect(shapes.getByRole('button', { name: /^Corner 2 of 5/ })).toBeVisible();
  await shapes.getByRole('button', { name: 'Keep the shapes' }).click();
  await expect(shapes).toBeHidden();
  await page.getByRole('button', { name: 'Change its pieces' }).click();
  await expect(lines).toHaveValue(/bib .*corners 9 0, 20\.5 0, /);
  await page.keyboard.press('Escape');
  // A stain in the middle of what there is: the layout says so.
  await need(page).getByRole('button', { name: /linen/i }).first().click();
  await ticket(page).getByRole('button', { name: 'Flaws and shape' }).click();
  const flaws = ticket(page).getByRole('form', { name: 'Flaws and shape' });
  await flaws.getByLabel('Holes and stains').fill('a stain');
  await expect(flaws.getByText('does not read')).toBeVisible();
  await flaws.getByLabel('Holes and stains').fill('stain 60 × 60 at 40, 20');
  await flaws.getByRole('button', { name: 'Keep it' }).click();
  await expect(ticket(page)).toContainText('stain');
  await expect(laid).toContainText(/pieces? of it will not go on\./, { timeout: 15_000 });
  // Half of the width is gone as well: that is said for the whole of it.
  await ticket(page).getByRole('button', { name: 'Flaws and shape' }).click();
  await flaws.getByLabel('Width that is left').fill('2 m');
  await expect(flaws.getByText('At most 140 cm.')).toBeVisible();
  await flaws.getByLabel('Width that is left').fill('70');
  await flaws.getByLabel('Holes and stains').fill('');
  await flaws.getByRole('button', { name: 'Keep it' }).click();
  await expect(ticket(page)).toContainText('1.00 m × 70 cm');
});

test('a card is printed with a code, and opens its project when it is scanned', async ({ page }) => {
  await openSample(page, '/projects/p5');
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await page.getByRole('button', { name: 'Print its card' }).click();
  await expect(page.locator('body[data-printed]')).toHaveCount(1);
  const card = page.getByTestId('card');
  const code = (await card.textContent())!.trim();
  expect(code).toMatch(/^\w{3} \w{3} \w{3}$/);
  await page.emulateMedia({ media: 'print' });
  await expect(card).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print its card' })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.goto('/scan');
  await page.getByLabel('Code on the label').fill(code);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 2, name: 'Squall bag' })).toBeVisible();
  // Found by its name, too.
  await page.keyboard.press('f');
  await page.keyboard.type('berth curtains');
  await page.getByRole('option', { name: /a project: its page/ }).click();
  await expect(page.getByRole('heading', { level: 2, name: 'Berth curtains' })).toBeVisible();
});

test('a cloth says what could be made of it, and becomes an idea', async ({ page }) => {
  await openSample(page, '/projects/p7');
  await need(page)
    .getByRole('button', { name: /Harbour skirt wool/ })
    .first()
    .click();
  await ticket(page).getByRole('button', { name: 'What could be made of it?' }).click();
  const offers = ticket(page).getByRole('region', { name: 'What could be made of it' });
  await expect(offers.getByRole('listitem').first()).toContainText(/takes .* leaves|takes /);
  await offers
    .getByRole('button', { name: /^Think of / })
    .first()
    .click();
  await expect(page.getByRole('heading', { level: 2, name: /, Harbour skirt wool/ })).toBeVisible();
  await expect(page.getByLabel('How far it is')).toHaveValue('idea');
});

test('what is not there is replaced while one gathers; thread on the machine is told', async ({ page }) => {
  await openSample(page, '/projects/p2/gather');
  // The pattern is there; the cloth is not.
  await page.getByRole('button', { name: 'Weir curtain is in the bag' }).click();
  const missing: Locator = page
    .getByRole('region', { name: 'Next' })
    .getByRole('button', { name: 'Not there' })
    .first();
  await expect(page.getByRole('button', { name: 'Weir curtain is in the bag' })).toHaveCount(0);
  await missing.click();
  const gone = page.getByRole('region', { name: 'Not to be had now' });
  await gone.getByRole('button', { name: 'Take another instead' }).first().click();
  await gone
    .getByRole('button', { name: /^Promise / })
    .first()
    .click();
  await expect(page.getByText(/promised to Berth curtains/)).toBeVisible();
  await expect(gone).toBeHidden();
  // Threads: seams say how much, the machine says what it has.
  await page.goto('/projects/p4');
  await need(page, 'strong thread, grey').getByRole('button', { name: 'Change' }).click();
  const form = page.getByRole('form', { name: 'Change strong thread, grey' });
  await form.getByLabel('So much is sewn with it').fill('40 m');
  await page.keyboard.press('Enter');
  await expect(need(page, 'strong thread, grey')).toContainText('About 120.00 m of thread.');
  await need(page, 'strong thread, grey').getByRole('button', { name: 'Take it from the stash' }).click();
  await expect(page.getByText(/^Beside Mist oilskin: /).first()).toBeVisible();
  await page
    .getByRole('button', { name: /^Take .*thread/i })
    .first()
    .click();
  await expect(need(page, 'strong thread, grey')).toContainText('on the spool.');
  await need(page, 'strong thread, grey')
    .getByRole('button', { name: /thread/i })
    .first()
    .click();
  await ticket(page).getByRole('button', { name: 'The machine is threaded with it' }).click();
  await expect(ticket(page)).toContainText('threaded with it');
});

test('projects go out as a list and come back; their days go into a calendar', async ({ page }) => {
  await openSample(page, '/projects');
  const list = await save(page, () => page.getByRole('button', { name: 'Save as CSV' }).click());
  expect(list).toContain('Four crew smocks,the rowing club,planned,Reel smock');
  const days = await save(page, () => page.getByRole('button', { name: 'Due dates for a calendar' }).click());
  expect(days).toContain('SUMMARY:Four crew smocks');
  const read = (text: string) =>
    page
      .getByLabel('A list of projects')
      .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await read(list);
  await expect(page.getByText('All of them are as they were.')).toBeVisible();
  await read('project,takes,due\nOar bag,main 2 m; zip 60 cm,2027-02-01\nThole cap,,soon\n');
  await expect(page.getByText('Row 2 has a day that is not written as 2026-12-24.')).toBeVisible();
  await page.getByRole('link', { name: /^Oar bag/ }).click();
  await expect(need(page)).toContainText('Takes 2.00 m.');
  await page.keyboard.press('u');
  await expect(page.getByText('This project is no longer there.')).toBeVisible();
});

test('what one thinks of buying says its room and what it goes with; a budget is kept', async ({ page }) => {
  await openSample(page, '/projects/shop');
  await page.getByRole('textbox', { name: 'Do I have it already?' }).fill('red ribbing 1 m');
  await page.getByRole('button', { name: 'What if I took it?' }).click();
  const taken = page.getByRole('region', { name: 'If you took it' });
  await expect(taken).toContainText('takes about');
  await expect(taken).toContainText('It would live in');
  await expect(taken.getByRole('list', { name: 'What it goes with' }).getByRole('listitem').first()).toBeVisible();
  const money = page.getByRole('region', { name: 'Money' });
  await money.getByRole('button', { name: 'Set a budget' }).click();
  await money.getByLabel('A year, empty: none').fill('400');
  await page.keyboard.press('Enter');
  await expect(money).toContainText('400.00 left');
  await page.getByRole('button', { name: 'Got it: Zip, 60 cm' }).click();
  const got = page.getByRole('form', { name: 'What you got' });
  await got.getByLabel('Price').fill('7.50');
  await got.getByRole('button', { name: 'Take it in' }).click();
  await expect(money).toContainText('392.50 left');
  await expectAccessible(page);
});

test('two windows promise, cut and give away the same cloth: each sees what the other did, and nothing is lost', async ({
  page,
  context,
}) => {
  await openEmpty(page);
  await quickAdd(page, 'linen rust 3 m x 140 washed');
  await page.keyboard.press('8');
  await page.getByLabel('What would you like to make?').fill('Coat');
  await page.keyboard.press('Enter');
  const other = await context.newPage();
  await other.goto('/stash');
  await other.getByRole('button', { name: /linen/i }).first().click();
  await expect(ticket(other).getByRole('button', { name: 'What could be made of it?' })).toBeVisible();
  await other.keyboard.press('x');
  const leave = ticket(other).getByRole('region', { name: 'It leaves' });
  await expect(leave).toBeVisible();
  // The first window promises all of it while the other is about to give it away.
  await need(page).getByRole('button', { name: 'Change' }).click();
  await page.getByRole('form', { name: 'Change main' }).getByLabel('How much').fill('3 m');
  await page.keyboard.press('Enter');
  await need(page).getByRole('button', { name: 'Which cloth would do?' }).click();
  await page.getByRole('button', { name: /^Promise / }).click();
  await expect(need(page)).toContainText('just enough.');
  await expect(ticket(other)).toContainText('3.00 m promised to');
  await leave.getByRole('button', { name: 'Given away' }).click();
  await expect(other.getByRole('alert').filter({ hasText: 'Only 0.00 m of it is not promised' })).toBeVisible();
  // Cut for the project in the other window: the first one sees it.
  await leave.getByRole('button', { name: 'Leave it' }).click();
  await other.keyboard.press('c');
  await ticket(other).getByLabel('How much to cut').fill('1 m');
  await ticket(other).getByLabel('For', { exact: true }).selectOption({ label: 'Coat (3.00 m)' });
  await ticket(other).getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(need(page)).toContainText('1.00 m cut already; just enough.');
  await page.getByRole('button', { name: 'Give it up' }).click();
  await expect(ticket(other)).not.toContainText('promised to');
  await expect(ticket(other)).toContainText('2.00 m');
});

test('on a phone five places are at hand, and the others behind one more', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openSample(page, '/projects');
  const screens = page.getByRole('navigation', { name: 'Screens' });
  await expect(screens.getByRole('link').filter({ visible: true })).toHaveCount(4);
  await screens.getByRole('button', { name: 'More' }).click();
  await expectAccessible(page);
  await screens.getByRole('list', { name: 'More screens' }).getByRole('link', { name: 'Moves' }).click();
  await expect(page).toHaveURL(/\/moves/);
  await expect(screens.getByRole('list', { name: 'More screens' })).toBeHidden();
  await expect(screens.getByRole('button', { name: 'More' })).toBeVisible();
});

test('a scrap is cut up into counted squares, and its shape is drawn', async ({ page }) => {
  const form = await openCutUp(page);
  await form.getByLabel('Across', { exact: true }).fill('none');
  await expect(form.getByText('Such as 40 cm.')).toBeVisible();
  await form.getByLabel('Across', { exact: true }).fill('40');
  // 40 × 30 cm in squares of 5 inches: three by two.
  for (const name of [/^25\.4 cm squares/, /strips/, /^64 mm squares/]) await form.getByLabel(name).uncheck();
  const sizes = form.getByRole('list', { name: 'Sizes' });
  await expect(sizes.getByRole('listitem').filter({ hasText: '12.7 cm' })).toHaveText(/squares6$/);
  // Sizes of one's own: squares of 10 cm, four by three.
  await ticket(page).getByRole('button', { name: 'Change the sizes' }).click();
  const own = ticket(page).getByRole('form', { name: 'Sizes of scraps' });
  await own.getByLabel('What scraps are cut to').fill('round 10');
  await expect(own.getByText('does not read')).toBeVisible();
  await own.getByLabel('What scraps are cut to').fill('square 10');
  await own.getByRole('button', { name: 'Keep the sizes' }).click();
  await expect(sizes.getByRole('listitem').filter({ hasText: '10 cm' })).toHaveText(/squares12$/);
  await page.keyboard.press('u');
  await expect(sizes.getByRole('listitem')).toHaveCount(4);
  await form.getByLabel('Layers on each other').fill('2');
  await expect(sizes.getByRole('listitem').filter({ hasText: '12.7 cm' })).toHaveText(/squares12$/);
  // A hole is drawn on the cloth: nothing is cut there.
  const shape = form.getByRole('group', { name: 'The shape of the scrap' });
  await shape.scrollIntoViewIfNeeded();
  const { x, y, width, height } = (await shape.boundingBox())!;
  await page.mouse.move(x + width * 0.3, y + height * 0.3);
  await page.mouse.down();
  await page.mouse.move(x + width * 0.5, y + height * 0.6);
  await page.mouse.move(x + width * 0.7, y + height * 0.7);
  await page.mouse.up();
  await expect(form.getByLabel('Holes and stains, one a line')).toHaveValue(/^hole \d+ × \d+.* at \d+/);
  await expect(sizes.getByRole('listitem').filter({ hasText: '12.7 cm' })).toHaveText(/squares\d$/);
  await form.getByLabel('Holes and stains, one a line').fill('');
  await expect(sizes.getByRole('listitem').filter({ hasText: '12.7 cm' })).toHaveText(/squares12$/);
  await form.getByRole('button', { name: /^Corner 3 of 4/ }).focus();
  await page.keyboard.press('Delete');
  await expect(sizes.getByRole('listitem').filter({ hasText: '12.7 cm' })).toHaveText(/squares2$/);
  await expectAccessible(page);
  await form.getByRole('button', { name: 'It is cut' }).click();
  await expect(page.getByText(/^2 pieces cut from/)).toBeVisible();
  await page.goto('/stash/scrap');
  await page.getByRole('button', { name: 'Table' }).click();
  await expect(page.getByText('12.7 cm squares')).toBeVisible();
});

test('a scrap on a photo beside a sheet is measured, its sheet put right by hand, and cut into counted squares', async ({
  page,
}) => {
  const form = await openCutUp(page);
  /** A table from above, 1 px a 1.5 mm: sheets of A4 where they are wanted, and a scrap of 30 by 24 cm. */
  const shoot = async (...sheets: readonly (readonly [x: number, y: number])[]) => {
    const url = await page.evaluate((at) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [600, 450];
      const context = canvas.getContext('2d')!;
      context.fillStyle = '#7a5c44';
      context.fillRect(0, 0, 600, 450);
      context.fillStyle = '#f4f2ee';
      for (const [x, y] of at) context.fillRect(x, y, 140, 198);
      context.fillStyle = '#2f5d86';
      context.fillRect(230, 140, 200, 160);
      return canvas.toDataURL('image/png');
    }, sheets);
    await ticket(page)
      .getByLabel('A photo of the scrap beside a sheet')
      .setInputFiles({ name: 'scrap.png', mimeType: 'image/png', buffer: Buffer.from(url.split(',')[1]!, 'base64') });
  };
  await shoot();
  await expect(form.getByText(/No sheet of paper was found/)).toBeVisible();
  await shoot([60, 120]);
  await expect(form.getByLabel('Across', { exact: true })).toHaveValue(/^(29\.[5-9]|30(\.[0-5])?) cm$/);
  await expect(form.getByLabel('Along', { exact: true })).toHaveValue(/^(23\.[5-9]|24(\.[0-5])?) cm$/);
  // Two sheets: a corner by hand, by the keys, says which.
  await shoot([60, 120], [445, 120]);
  await expect(form.getByText(/Two sheets are to be seen/)).toBeVisible();
  await form.getByLabel('Across', { exact: true }).fill('10 cm');
  const photo = form.getByRole('img', { name: 'The scrap beside the sheet' });
  const box = (await photo.boundingBox())!;
  const corners = [
    [60, 120],
    [200, 120],
    [200, 318],
    [60, 318],
  ] as const;
  for (const [n, [x, y]] of corners.entries()) {
    const corner = form.getByRole('button', { name: `Corner ${n + 1} of the sheet` });
    await corner.hover();
    await page.mouse.down();
    await page.mouse.move(box.x + (x / 600) * box.width, box.y + (y / 450) * box.height, { steps: 4 });
    await page.mouse.up();
    await expect(form.getByRole('button', { name: 'Another photo' })).toBeEnabled();
  }
  await form.getByRole('button', { name: 'Corner 3 of the sheet' }).press('ArrowRight');
  await expect(form.getByRole('button', { name: 'Another photo' })).toBeEnabled();
  await expect(form.getByLabel('Across', { exact: true })).toHaveValue(/^(2[89](\.\d)?|3[0-2](\.\d)?) cm$/);
  await expect(form.getByRole('list', { name: 'Sizes' })).toContainText('12.7 cm squares');
  // It is read and looked for anew; the best is there when that ends.
  await expect(form.getByText(/% of what no cutting can beat\.$/)).toBeVisible();
  await form.getByText('By measure, and on paper').click();
  await expect(form.getByRole('list', { name: 'Cuts from edge to edge' }).getByRole('listitem').first()).toBeVisible();
  const download = page.waitForEvent('download');
  await form.getByRole('button', { name: 'Full size as PDF' }).click();
  expect((await download).suggestedFilename()).toBe('cuts-full-size.pdf');
  await form.getByRole('button', { name: 'It is cut' }).click();
  await expect(page.getByText(/^\d+ pieces cut from/)).toBeVisible();
  await page.goto('/stash/scrap');
  await page.getByRole('button', { name: 'Table' }).click();
  await expect(page.getByText('12.7 cm squares')).toBeVisible();
});
