import { expect, expectAccessible, giveSpeech, holdBack, openEmpty, openSample, quickAdd, test } from './support.ts';

test('what is ticked is put, given a home, told what it is and removed, all at once; each can be undone', async ({
  page,
}) => {
  await openSample(page, '/stash/fabric');
  await page.getByRole('button', { name: 'Table' }).click();
  const rows = page
    .getByRole('table')
    .locator('tbody tr')
    .filter({ has: page.getByRole('checkbox') });
  const placeOf = (n: number) => rows.nth(n).getByRole('cell').nth(6);
  const before = [await placeOf(0).textContent(), await placeOf(1).textContent()];
  await rows.nth(0).getByRole('checkbox').check();
  await rows.nth(1).getByRole('checkbox').check();
  const bar = page.getByRole('group', { name: 'Change all that is ticked' });
  await bar.getByLabel('All of it lies in').selectOption({ label: 'Eave chest › Drawer 1' });
  await expect(page.getByText('2 things lie in Eave chest › Drawer 1 now.')).toBeVisible();
  await expect(placeOf(0)).toContainText('Eave chest › Drawer 1');
  await expect(placeOf(1)).toContainText('Eave chest › Drawer 1');
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(placeOf(0)).toHaveText(before[0]!);
  await expect(placeOf(1)).toHaveText(before[1]!);
  await bar.getByLabel('All of it belongs in').selectOption({ label: 'Spool wall › Pins' });
  await expect(page.getByText('Not all of it goes into that place, beside what belongs there.')).toBeVisible();
  await bar.getByLabel('What all of it is').selectOption('denim10');
  await expect(page.getByText('2 things: denim, 10 oz.')).toBeVisible();
  const [name] = (await rows.nth(0).getByRole('button').textContent())!.split('\n');
  await bar.getByRole('button', { name: 'Remove 2 things' }).click();
  await expect(page.getByText('2 things removed from the stash.')).toBeVisible();
  await expect(rows.filter({ hasText: name! })).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(rows.filter({ hasText: name! }).first()).toBeVisible();
});

test('Enter pressed in Find before its answers are there takes the first of them once they come', async ({ page }) => {
  const letGo = await holdBack(page, /finding-[^/]*\.js$/u);
  await openSample(page, '/stash/fabric');
  await page.getByRole('combobox', { name: 'Where is the…' }).waitFor();
  await page.keyboard.press('f');
  await page.keyboard.type('rowan drill');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Where is the…' })).toHaveValue('rowan drill');
  letGo();
  await expect(page).toHaveURL(/\/find\//u);
  await expect(page.getByRole('heading', { name: 'Rowan drill' }).first()).toBeVisible();
});

test('what is typed into Find while the next screen still comes is typed on there', async ({ page }) => {
  const letGo = await holdBack(page, /RoomPage-[^/]*\.js$/u);
  await openSample(page, '/stash/fabric');
  const box = page.getByRole('combobox', { name: 'Where is the…' });
  await box.waitFor();
  await page.keyboard.press('4');
  await page.keyboard.press('f');
  await page.keyboard.type('rowan');
  await expect(page.locator('h1')).toHaveText('Stash');
  letGo();
  await expect(page.locator('h1')).toHaveText('Heron Loft');
  await page.keyboard.type(' drill');
  await expect(box).toHaveValue('rowan drill');
  await page.getByRole('option').filter({ hasText: 'Rowan drill' }).first().waitFor();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/find\//u);
  await expect(page.locator('h1')).toHaveText('Find');
  // What was chosen is not typed on.
  await expect(box).toHaveValue('');
  await expect(box).not.toBeFocused();
  // Nor what was typed before one went back.
  await page.keyboard.press('f');
  await page.keyboard.type('rowan');
  await page.goBack();
  await expect(page.locator('h1')).toHaveText('Heron Loft');
  await expect(box).toHaveValue('');
});

test('what is typed after the key of a field that still comes is typed there, and is no shortcut', async ({ page }) => {
  const letGo = await holdBack(page, /(?:FindPage|StashPage)-[^/]*\.js$/u);
  await openSample(page, '/bench');
  await page.getByRole('button', { name: 'Keep looking round' }).click();
  await page.keyboard.press('q');
  await page.keyboard.type('navy twill 2 m');
  await expect(page.locator('h1')).toHaveText('Bench');
  letGo();
  await expect(page.getByLabel('Add in one line')).toHaveValue('navy twill 2 m');
  await page.keyboard.type(' x 150');
  await expect(page.getByLabel('Add in one line')).toHaveValue('navy twill 2 m x 150');
  await expect(page.getByRole('status').filter({ hasText: /undo/u })).toHaveCount(0);
});

test('in a narrow window Find takes what is typed on the way to it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const letGo = await holdBack(page, /FindPage-[^/]*\.js$/u);
  await openSample(page, '/bench');
  await page.keyboard.press('f');
  await page.keyboard.type('gorse tartan hut');
  letGo();
  await expect(page.getByLabel('Where is the…')).toHaveValue('gorse tartan hut');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Backspace');
  await expect(page.getByLabel('Where is the…')).toHaveValue('gorse tartan hu');
  // Nor is a letter lost where the screen is there in a moment.
  for (const text of ['rowan drill', 'heather linen']) {
    await page.goBack();
    await expect(page.locator('h1')).toHaveText('Bench');
    await page.keyboard.press('f');
    await page.keyboard.type(text);
    await expect(page.getByLabel('Where is the…')).toHaveValue(text);
  }
});

test('the line ends words by Tab, holds on to what was said, and each word can be said to mean something else', async ({
  page,
}) => {
  await openEmpty(page);
  await quickAdd(page, 'poplin plum 2m x 112 board from Market hall');
  const line = page.getByLabel('Add in one line');
  await line.fill('popl');
  await page.keyboard.press('Tab');
  await expect(line).toHaveValue('poplin ');
  await page.keyboard.type('brick 6204 3m');
  await page.getByLabel('What “6204” means').selectOption('just its name');
  await expect(line).toBeFocused();
  await expect(page.getByText('As last time: 112 cm wide, from Market hall')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Poplin brick 6204 is in: 3.00 m.')).toBeVisible();
  await page.getByRole('list', { name: 'Cotton' }).getByRole('button', { name: /6204/ }).click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await expect(ticket).toContainText('3.00 m × 112 cm');
  await expect(ticket).toContainText('Market hall');
  await line.fill('poplin sand 2m');
  await page.getByRole('button', { name: 'Not these' }).click();
  await expect(page.getByText('As last time')).toBeHidden();
});

test('several things in one line, or pasted line by line, come in at once; what does not read is said', async ({
  page,
}) => {
  await openEmpty(page);
  await quickAdd(page, 'poplin plum 2m; linen sand 3.4m x 140; buttons horn 24 pcs', false);
  const drafts = page.getByRole('list', { name: 'What comes in' }).getByRole('listitem');
  await expect(drafts).toHaveCount(3);
  await expect(drafts.nth(2)).toContainText('notion');
  await page.keyboard.press('Enter');
  await expect(page.getByText('3 things came in.')).toBeVisible();
  const line = page.getByLabel('Add in one line');
  await line.focus();
  await line.evaluate((field) => {
    const data = new DataTransfer();
    data.setData('text/plain', 'velvet moss 1.5m\nhemp canvas 80m');
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(drafts).toHaveCount(2);
  await page.keyboard.press('Enter');
  await expect(drafts.nth(1)).toContainText('Is it really 80.00 m long?');
  await expect(line).not.toHaveValue('');
});

test('what cannot be is said where it is: no pieces, too many, too heavy, and a room without a door', async ({
  page,
}) => {
  await openEmpty(page);
  for (const [text, told] of [
    ['cottons 0 pieces', 'It must be more than nothing. Try 24 pieces.'],
    ['cottons 1000000000 pieces', 'is more than any room holds. Try 24 pieces.'],
    ['cottons 40 pieces 9000kg', 'is more than any room holds. Try 350 g.'],
  ] as const) {
    await quickAdd(page, text, false);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: told })).toBeVisible();
    await expect(page.getByLabel('Add in one line')).toHaveValue(text);
    await page.keyboard.press('Escape');
  }
  await quickAdd(page, 'wool pile 9000 m', false);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Is it really \d+ pieces, a pile of/)).toBeVisible();
  await page.goto('/room/plan?do=shape');
  await page.getByRole('button', { name: 'A plain room' }).click();
  await page.getByLabel('Wide').fill('2 m');
  await page.getByLabel('Deep').fill('1.6 m');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^\S.* is drawn/).first()).toBeVisible();
  await page.goto('/room/plan');
  await expect(page.getByText('No door is drawn yet, so nothing is said of the ways in.')).toBeVisible();
  await page.getByRole('button', { name: 'Say where it is' }).click();
  await expect(page.getByRole('heading', { name: 'The room in a minute' })).toBeVisible();
  // A bin that is larger than every compartment stays idle, and that is said.
  await page.goto('/room/plan?do=furnish');
  await page.getByRole('button', { name: 'One shelf for jars more' }).click();
  await page.getByRole('button', { name: 'One clear box, large more' }).click();
  await page.getByRole('combobox', { name: /^Where each clear box, large/ }).selectOption('where they go in');
  await page.getByRole('button', { name: /^Stand all 2/ }).click();
  await expect(page.getByText('No compartment takes Clear box, large.')).toBeVisible();
  // What was taken in lies where it is said to lie.
  await page.goto('/heaps');
  await page.getByRole('textbox', { name: 'Cottons: how much' }).fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Cottons: \d+ pieces/).first()).toBeVisible();
  await page.getByRole('combobox', { name: 'All of it lies in' }).selectOption({ index: 1 });
  await expect(page.getByText(/^All of it lies in Shelf for jars/)).toBeVisible();
});

test('a thing that was taken for something else becomes it afterwards', async ({ page }) => {
  await openEmpty(page);
  await quickAdd(page, 'poplin ruler board 2m');
  await page.getByRole('list', { name: 'Cotton' }).getByRole('button').first().click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await ticket.getByRole('button', { name: /^Edit/ }).first().click();
  await ticket.getByLabel('What is it').selectOption('tool');
  await ticket.getByRole('button', { name: 'Change it to a tool' }).click();
  await expect(page.getByText(/: tool from now on\.$/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Tools 1' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('link', { name: 'Cloth 1' })).toBeVisible();
});

test('on a desk too Find takes what is typed before any field of it is there', async ({ page }) => {
  const letGo = await holdBack(page, /(?:FindPage|StashPage)-[^/]*\.js$/u);
  await openSample(page, '/stash');
  await page.keyboard.press('f');
  await page.keyboard.type('rowan drill');
  letGo();
  await expect(page.getByLabel('Where is the…')).toHaveValue('rowan drill');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('who asks Find again types over what was asked before', async ({ page }) => {
  await openSample(page, '/bench');
  const box = page.getByRole('combobox');
  await page.keyboard.press('f');
  await page.keyboard.type('linen');
  await expect(page.getByRole('option').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(box).not.toBeFocused();
  await page.keyboard.press('f');
  await page.keyboard.type('denim');
  await expect(box).toHaveValue('denim');
});

test('a line is said where the browser understands speech by itself', async ({ page }) => {
  await giveSpeech(page, { en: 'linen rust 3 metres' });
  await openEmpty(page);
  await page.getByRole('button', { name: 'Say it' }).click();
  await expect(page.getByLabel('Add in one line')).toHaveValue('linen rust 3 metres');
});

test('the room’s form comes back after a reload, inner measures make the outer ones, and a bin goes in turned', async ({
  page,
}) => {
  await openSample(page, '/room/plan/r1?do=measure');
  const measures = page.getByRole('form', { name: 'Measures of Heron Loft' });
  await measures.getByLabel('Ceiling', { exact: true }).fill('2.61 m');
  await page.reload();
  await expect(measures.getByLabel('Ceiling', { exact: true })).toHaveValue('2.61 m');
  await measures.getByRole('button', { name: 'Leave it' }).click();
  await page.goto('/room/plan/r1?do=measure');
  await expect(measures.getByLabel('Ceiling', { exact: true })).not.toHaveValue('2.61 m');
  await page.goto('/room/r1-east');
  await page.getByRole('button', { name: /^Add a piece/ }).click();
  const piece = page.getByRole('form', { name: 'New piece' });
  await piece.getByLabel('What is it').selectOption('cube-shelf');
  await piece.getByText('I measured inside').click();
  await piece.getByLabel('Columns').fill('3');
  await piece.getByLabel('Wide inside').fill('33 cm');
  // 3 × 33 cm between four boards of 16 mm.
  await expect(piece.getByLabel('Width', { exact: true })).toHaveValue('105.4 cm');
  await page.goto('/room/r1-east');
  await page.getByRole('button', { name: /^Tall cubes › B3/ }).press('Enter');
  await page.getByRole('button', { name: 'Edit this place' }).click();
  const slot = page.getByRole('form', { name: 'Edit B3' });
  await slot.getByRole('button', { name: 'Put a bin in' }).click();
  await slot.getByLabel('Name of the bin').fill('Long box');
  await slot.getByLabel('Outer width').fill('36 cm');
  await slot.getByLabel('Outer depth').fill('20 cm');
  await slot.getByLabel('Outer height').fill('15 cm');
  await expect(slot.getByText('Long box only goes in turned')).toBeVisible();
});
