import { expect, expectAccessible, listUnexplained, openSample, test } from './support.ts';

test('an old household is gone through by one key a thing, stopped, gone on with, and the room that is won is told', async ({
  page,
}) => {
  await openSample(page, '/year/through');
  await expect(page.getByText(/^\d+ things to go through$/)).toBeVisible();
  await page.keyboard.press('d');
  const choices = page.getByRole('list', { name: 'What becomes of it' });
  await expect(choices).toBeVisible();
  const name = () => page.getByRole('main').getByRole('heading', { level: 2 }).first();
  let keys = 1;
  /** One key, and the next thing is there. */
  const press = async (key: string) => {
    const before = await page.getByRole('main').locator('section[aria-label]').first().getAttribute('aria-label');
    const more = await page.getByText(/\d+ more after it/).textContent();
    await page.keyboard.press(key);
    keys += 1;
    await expect(page.getByText(more!)).toHaveCount(0);
    return before!;
  };
  await press('s');
  // To whom things go is said once.
  await page.getByRole('button', { name: 'To whom, and by when' }).click();
  await page.getByLabel('To whom things go').fill('the rowing club');
  await page.getByLabel('Within days').fill('14');
  await page.getByRole('button', { name: 'Done' }).click();
  const goes: string[] = [];
  for (const key of ['s', 'g', 'g', 's', 'i', 'g']) {
    const was = await press(key);
    if (key === 'g') goes.push(was);
  }
  // Taken back: it is there again.
  const last = goes.pop()!;
  await page.keyboard.press('u');
  await expect(name()).toHaveText(last);
  goes.push(await press('g'));
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  // Another day it goes on with what is left.
  const left = await page.getByText(/\d+ more after it/).textContent();
  await page.reload();
  await expect(page.getByText(left!)).toBeVisible();
  await press('l');
  expect(keys).toBeLessThan(20);
  await page.getByRole('button', { name: 'That is enough for today' }).click();
  const brought = page.getByRole('region', { name: 'What this brought' });
  await expect(brought.getByText(/4 things stay, 3 to go: .+ l of room won/)).toBeVisible();
  await expect(brought.getByRole('list', { name: 'Where room is won' }).getByRole('listitem').first()).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await brought.getByRole('button', { name: /^End it/ }).click();
  // What is to go is on the list, and goes by one press; what is used soon is an idea.
  await page.goto('/year');
  const due = page.getByRole('listitem', { name: `${goes[0]}: goes to the rowing club` }).first();
  await due.getByRole('button', { name: 'It is gone' }).click();
  await expect(page.getByText(`${goes[0]}`).first()).toBeVisible();
  await page.goto('/projects');
  await expect(page.getByText(/^Something of /).first()).toBeVisible();
});

test('what comes round is one list, done by a key, saved for a calendar; a machine is tended by its hours', async ({
  page,
}) => {
  await openSample(page, '/year');
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now.getByRole('listitem').first()).toBeVisible();
  const first = await now.getByRole('listitem').first().getAttribute('aria-label');
  await page.keyboard.press('d');
  await expect(now.getByRole('listitem', { name: first! })).toHaveCount(0);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save for a calendar' }).click();
  expect((await download).suggestedFilename()).toBe('what-comes-round.ics');
  // A room that is damp is no place for wool.
  await page
    .getByRole('group', { name: /^Heron Loft is/ })
    .getByLabel('damp')
    .click();
  await expect(page.getByText(/better elsewhere/)).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
});

test('a machine goes to be mended with its own feet, and comes back with them; a cart is rolled to its stations', async ({
  page,
}) => {
  await openSample(page, '/find');
  await page.getByRole('combobox', { name: 'Where is the…' }).fill('sewing machine');
  await page
    .getByRole('option', { name: /Sewing machine/ })
    .first()
    .click();
  const ticket = page.getByRole('complementary');
  await expect(ticket.getByText('Its own').first()).toBeVisible();
  await ticket.getByRole('button', { name: /^Used, lent, given, gone/ }).click();
  const leaves = ticket.getByRole('region', { name: 'It leaves' });
  await leaves.getByLabel('Lent to').fill('the mender');
  await leaves.getByLabel('To be mended').check();
  const along = leaves.getByRole('group', { name: 'Goes along' }).getByRole('checkbox');
  const parts = await along.count();
  expect(parts).toBeGreaterThan(1);
  await along.last().uncheck();
  await leaves.getByRole('button', { name: 'It is away' }).click();
  await page.goto('/bench');
  const lent = page.getByRole('region', { name: 'Lent' });
  await expect(lent.getByRole('listitem').filter({ hasText: 'to the mender' })).toHaveCount(parts);
  await lent
    .getByRole('listitem')
    .filter({ hasText: 'Sewing machine' })
    .getByRole('button', { name: 'It came back' })
    .click();
  await expect(lent.getByText('to the mender')).toHaveCount(0);
  await page.goto('/room');
  await page.getByRole('link', { name: 'North wall' }).first().click();
  await page.getByRole('button', { name: /^Iron trolley › Drawer 1/ }).press('Enter');
  await page.getByRole('button', { name: 'Edit the piece' }).click();
  const form = page.getByRole('form', { name: 'Edit Iron trolley' });
  await form.getByLabel('On wheels').check();
  await form.getByRole('group', { name: 'Rolled to' }).getByRole('checkbox').first().check();
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/Iron trolley/).first()).toBeVisible();
});

test('the forecast names what bursts first; its advice is followed, and it changes', async ({ page }) => {
  await openSample(page, '/year/ahead');
  const table = page.getByRole('table').first();
  await expect(table.getByRole('row').nth(3)).toBeVisible();
  // The first place for which a rule would help.
  const aside = page.getByRole('complementary', { name: 'What is to come' });
  const rule = aside.getByRole('button', { name: /^One in, one out for/ });
  let row = table.getByRole('row').nth(1);
  for (let n = 1; n < 9; n += 1) {
    row = table.getByRole('row').nth(n);
    await row.getByRole('button').click();
    await expect(aside.getByRole('heading', { name: 'What is in it' })).toBeVisible();
    await page.waitForTimeout(600);
    if ((await rule.count()) > 0) break;
  }
  const name = (await rule.first().textContent())!;
  const told = aside.getByRole('paragraph').first();
  const before = await told.textContent();
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  await aside.getByText('As a table').click();
  await expect(aside.getByRole('table').getByRole('row')).toHaveCount(13);
  await rule.first().click();
  await expect(page.getByText(/^One in, one out for .+: plans and this page reckon with it/)).toBeVisible();
  await expect(told).not.toHaveText(before!);
  // Another group may be in need of one, now or on another day.
  await expect(aside.getByRole('button', { name, exact: true })).toHaveCount(0);
  // A goal for all the cloth.
  const cloth = page.getByRole('region', { name: 'All the cloth' });
  await cloth.getByRole('button', { name: 'Set a goal' }).click();
  await cloth.getByLabel(/So much cloth at most/).fill('200 m');
  await cloth.getByRole('button', { name: 'Keep it' }).click();
  await expect(cloth.getByText(/that it is more than the 200.00 m/)).toBeVisible();
});

test('squares and strips are counted toward a quilt, and what is missing is told in cloth', async ({ page }) => {
  await openSample(page, '/projects/goals');
  await page.getByLabel('What for').fill('Ferry quilt');
  await page.getByLabel('What it takes, a line each').fill('120 blue squares 12.7\n9000000 squares 6\n');
  await page.getByRole('button', { name: 'Count toward it' }).click();
  await expect(page.getByText('A million of one size at most.')).toBeVisible();
  await page.getByLabel('What it takes, a line each').fill('120 blue squares 12.7\n80 squares 6.35\n');
  await page.getByRole('button', { name: 'Count toward it' }).click();
  const blue = page.getByRole('listitem', { name: 'blue squares 12.7 cm' });
  await expect(blue).toContainText(/\d+ missing: \d+\.\d+ m of \d+ cm blue cloth/);
  await expect(page.getByRole('listitem', { name: 'squares 64 mm' })).toContainText('80 of 80 cut');
  await blue.getByRole('button').first().click();
  await expect(page.getByRole('complementary', { name: 'Ticket' })).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Let go' }).click();
  await expect(page.getByText('Ferry quilt is no longer counted.')).toBeVisible();
  await page.keyboard.press('u');
  await expect(blue).toBeVisible();
});

test('what is for winter goes to another room on its day, and back', async ({ page }) => {
  await openSample(page, '/year');
  await page.getByRole('button', { name: 'A season' }).click();
  const form = page.getByRole('form', { name: 'A season' });
  await form.getByLabel('What it is called').fill('Winter wool');
  await form.getByLabel('Or this group').selectOption({ label: 'Wool' });
  await form.getByLabel('It goes to').selectOption({ index: 2 });
  await form.getByLabel('Goes on').fill('13-45');
  await expect(form.getByText('Month and day, such as 04-15.')).toBeVisible();
  await form.getByLabel('Goes on').fill('04-15');
  await form.getByRole('button', { name: 'Keep these days' }).click();
  await page.getByRole('link', { name: 'Away', exact: true }).click();
  await expect(page.getByText(/Winter wool goes away/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'What is carried' }).getByRole('listitem').first()).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
});

test('a small household is packed into boxes, found in them, and unpacked in another room', async ({ page }) => {
  await openSample(page, '/stash');
  await page.getByRole('button', { name: 'A smaller sample' }).click();
  await expect(page.getByText(/^Tern Steps is here/)).toBeVisible();
  await page.goto('/year/moving');
  const form = page.getByRole('form', { name: 'Boxes' });
  await form.getByLabel(/^The boxes you have/).fill('3 tiny 1 x 1 x 1');
  await expect(form.getByText(/does not read/)).toBeVisible();
  await form.getByLabel(/^The boxes you have/).fill('20 middle 60 x 40 x 40');
  await form.getByRole('button', { name: 'Plan the boxes' }).click();
  await expect(page.getByText(/^\d+ box(es)?; no packing takes fewer than \d+/)).toBeVisible();
  expect(await listUnexplained(page)).toEqual([]);
  await page.getByRole('button', { name: 'Pack it so' }).click();
  const boxes = page.getByRole('list', { name: 'Boxes' });
  await expect(boxes.getByRole('listitem').first()).toBeVisible();
  const packed = page.getByRole('button', { name: 'It is packed' });
  for (let left = await packed.count(); left > 0; left -= 1) {
    await packed.first().click();
    await expect(packed).toHaveCount(left - 1);
  }
  await boxes.getByRole('button', { name: 'Box 1', exact: true }).click();
  const name = (await page.getByRole('list', { name: 'In Box 1' }).getByRole('listitem').first().textContent())!;
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  // Where is it, while it is under way?
  await page.keyboard.press('f');
  await page.keyboard.type(name);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Box 1\b/).first()).toBeVisible();
  // The old room is left; the new one has two bookcases.
  await page.goto('/year/moving');
  const old = page.getByRole('group', { name: /^Rooms that nothing goes into/ }).getByRole('checkbox');
  await expect(old.first()).toBeVisible();
  for (let n = 0; n < (await old.count()); n += 1) {
    await old.nth(n).click();
    await expect(old.nth(n)).toBeChecked();
  }
  await page.goto('/room');
  await page
    .getByRole('link', { name: 'Floor plan' })
    .or(page.getByRole('link', { name: /^Plan of/ }))
    .first()
    .click();
  await page.getByRole('button', { name: 'Add a room' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^Room \d+$/ })).toBeVisible();
  await page.getByRole('link', { name: 'North wall' }).click();
  await expect(page.getByRole('group', { name: /^North wall/ })).toBeVisible();
  for (const [piece, part, left] of [
    ['First case', 'bookcase', '10'],
    ['Second case', 'bookcase', '120'],
    ['Tall case', 'bookcase', '230'],
    ['Scrap corner', 'overflow', '340'],
  ] as const) {
    await page.keyboard.press('n');
    const made = page.getByRole('form', { name: 'New piece' });
    await made.getByLabel('What is it').selectOption(part);
    await made.getByLabel('Name', { exact: true }).fill(piece);
    await made.getByLabel('From the left', { exact: true }).fill(left);
    // What stands high has one compartment for itself.
    if (piece === 'Tall case') await made.getByLabel('Rows', { exact: true }).fill('1');
    await made.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('form', { name: `Edit ${piece}` })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
  }
  await page.goto('/fit');
  await page.getByLabel('How long to search').selectOption('3');
  await page.getByRole('button', { name: /^Find a plan/ }).click();
  await expect(page.getByText('Kitchen is kept free.')).toBeVisible();
  await page.getByRole('button', { name: 'Adopt this plan' }).click({ timeout: 60_000 });
  await expect(page.getByText(/^Adopted\. /)).toBeVisible();
  // Carried home, and the boxes go.
  await page
    .getByRole('button', { name: /^It is all carried|^All of it is carried|carried/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /carried/ })).toHaveCount(0);
  await page.goto('/year/moving');
  await page.getByRole('button', { name: 'The boxes are empty and go' }).click();
  await expect(page.getByText('The boxes are gone.')).toBeVisible();
  await expect(page.getByRole('form', { name: 'Boxes' })).toBeVisible();
});
