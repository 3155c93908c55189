import { expect, offerBundle, openSample, saveBundle, test } from './support.ts';

test('the whole journey: catalog, room, sort, fit, find, daybook, file', async ({ page, browser }) => {
  await test.step('a new visitor finds the sample there', async () => {
    await openSample(page, '/');
    await expect(page.getByText('This is Heron Loft, a made-up room')).toBeVisible();
    await page.getByRole('button', { name: 'Keep looking round' }).click();
    await page.keyboard.press('2');
    await expect(page.getByRole('link', { name: /^Cloth \d+/ })).toBeVisible();
  });

  await test.step('adds a cloth, with amounts as people write them', async () => {
    await page.keyboard.press('n');
    const form = page.getByRole('form', { name: 'New cloth' });
    await form.getByLabel('Name').fill('Tern twill');
    await form.getByLabel('Length').fill('2 1/2 yd');
    await form.getByLabel('Width').fill('54"');
    await form.getByLabel('Class of cloth').selectOption('linen');
    await form.getByLabel('Fibre').fill('linen');
    // 2.286 m × 1.3716 m at 185 g/m² = 580 g; 5 folds × 9 folds of 0.48 mm = 21.6 mm.
    const follows = page.getByLabel('What follows');
    await expect(follows).toContainText('580 g');
    await expect(follows).toContainText('22 mm thick');
    await form.getByRole('button', { name: 'Save' }).click();
    const ticket = page.getByRole('complementary', { name: 'Ticket' });
    await expect(ticket.getByRole('heading', { name: 'Tern twill' })).toBeVisible();
    await expect(ticket).toContainText('2.29 m × 137.2 cm');
    await expect(ticket).toContainText('has no home yet');
  });

  await test.step('edits it', async () => {
    await page.keyboard.press('e');
    await page.getByRole('form', { name: 'Edit Tern twill' }).getByLabel('Length').fill('3,4 m');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('complementary')).toContainText('3.40 m');
  });

  await test.step('adds a chest to the room and puts a bin in', async () => {
    await page.keyboard.press('4');
    await page.getByRole('link', { name: 'North wall' }).click();
    await page.keyboard.press('n');
    const form = page.getByRole('form', { name: 'New piece' });
    await form.getByLabel('What is it').selectOption('cube-shelf');
    await form.getByLabel('Name').fill('Gable cubes');
    await form.getByLabel('From the left').fill('3.45 m');
    await form.getByLabel('Width').fill('70 cm');
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('button', { name: /^Gable cubes › A1: / })).toBeVisible();
    await page.getByRole('button', { name: 'B3', exact: true }).click();
    const slot = page.getByRole('form', { name: 'Edit B3' });
    await slot.getByRole('button', { name: 'Put a bin in' }).click();
    await slot.getByLabel('Name of the bin').fill('Tern bin');
    await slot.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('button', { name: /^Gable cubes › B3 › Tern bin: / })).toBeVisible();
  });

  await test.step('chooses a school and sees what the groups need', async () => {
    await page.keyboard.press('3');
    const cloth = page.getByRole('region', { name: 'Cloth', exact: true });
    await expect(cloth.getByRole('button', { name: /^Cotton/ })).toContainText(/\d+ things.*(cm|l) /);
    await cloth.getByLabel('Sort cloth').selectOption('lengthClass');
    await expect(cloth.getByRole('button', { name: /^Remnants/ })).toBeVisible();
    await cloth.getByLabel('Sort cloth').selectOption('fibre');
    await cloth.getByRole('button', { name: /^Linen/ }).click();
    await expect(page.getByRole('complementary', { name: 'Group' })).toContainText('Tern twill');
  });

  await test.step('finds a plan, sees why something has no home, and adopts it', async () => {
    await page.keyboard.press('5');
    await page.getByLabel('How long to search').selectOption('30');
    await page.getByRole('button', { name: /^Find a plan/ }).click();
    await expect(page.getByRole('progressbar', { name: 'Search' })).toBeVisible();
    await expect(page.getByText(/steps tried/)).toBeVisible();
    await page.getByRole('button', { name: /^Stop and keep the best/ }).click();
    const ticket = page.getByRole('complementary', { name: 'Plan' });
    await expect(ticket.getByText(/Every place was packed and [\d,]+ checks passed/)).toBeVisible();
    const fetching = ticket.getByRole('row', { name: /^Fetching/ }).getByRole('cell');
    await expect(fetching.first()).toContainText(/\d/);
    const [today, plan] = await fetching.allTextContents();
    expect(Number.parseFloat(plan!)).toBeLessThan(Number.parseFloat(today!));
    await page.getByRole('button', { name: /^Without a home \d/ }).click();
    await expect(
      page.getByText(/240 cm long; the longest place that takes its kind is .+ with [\d.]+ cm\./),
    ).toBeVisible();
    await page.getByRole('button', { name: /^What moves/ }).click();
    await expect(page.getByText(/things? to bring/).first()).toBeVisible();
    await ticket.getByRole('button', { name: 'Adopt this plan' }).click();
    await expect(ticket.getByText('Adopted.')).toBeVisible();
    await ticket.getByRole('button', { name: /are carried home already$/ }).click();
    await expect(ticket.getByRole('button', { name: /are carried home already$/ })).toBeHidden();
  });

  await test.step('finds it again, in words and on the wall', async () => {
    await page.keyboard.press('f');
    await page.getByRole('combobox', { name: 'Where is the…' }).fill('tern twil');
    await expect(page.getByRole('option', { name: /Tern twill/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/find\//);
    await expect(page.getByRole('status').filter({ hasText: 'Tern twill' })).toContainText(
      /(Heron Loft|Landing) › .+ › .+, (\d+(st|nd|rd|th) of \d+ from the|pile \d|lane \d|alone|among \d)/,
    );
  });

  await test.step('takes it out, puts it back, cuts from it, and undoes the cut', async () => {
    const ticket = page.getByRole('complementary', { name: 'Ticket' });
    await page.keyboard.press('t');
    await expect(page.getByRole('status').filter({ hasText: 'Tern twill' })).toContainText('Out. Its home is');
    await page.keyboard.press('b');
    await expect(ticket.getByRole('button', { name: 'Take out' })).toBeVisible();
    await page.keyboard.press('c');
    await ticket.getByLabel('How much to cut').fill('9 m');
    await ticket.getByRole('button', { name: 'Cut', exact: true }).click();
    await expect(ticket.getByRole('alert')).toContainText('There is only 3.40 m');
    await ticket.getByLabel('How much to cut').fill('80 cm');
    await expect(ticket).toContainText('Leaves 2.60 m');
    await page.keyboard.press('Enter');
    await expect(ticket).toContainText('2.60 m × 137.2 cm');
    await page.keyboard.press('u');
    await expect(ticket).toContainText('3.40 m × 137.2 cm');
  });

  await test.step('the daybook has it all', async () => {
    await page.keyboard.press('j');
    const lines = page.getByRole('list').filter({ hasText: 'Took back' }).getByRole('listitem');
    await expect(lines.nth(0)).toContainText('Took back: Tern twill');
    await expect(lines.nth(1)).toContainText('Cut 0.80 m from Tern twill');
    await expect(lines.nth(1)).toContainText('taken back');
    await expect(lines.nth(2)).toContainText('Put back Tern twill');
    await expect(lines.nth(3)).toContainText('Took out Tern twill');
    await expect(lines.nth(4)).toContainText('Carried home');
  });

  await test.step('one file carries everything into an empty browser, identical', async () => {
    const bytes = await saveBundle(page);
    const stranger = await browser.newContext();
    const other = await stranger.newPage();
    await offerBundle(other, bytes);
    await expect(other.getByText(/The file is whole: Heron Loft/)).toBeVisible();
    await other.getByRole('button', { name: 'Open it' }).click();
    await expect(other.getByText('Opened Heron Loft.')).toBeVisible();
    expect((await saveBundle(other)).equals(bytes)).toBe(true);
    await stranger.close();
  });
});
