import { expect, expectAccessible, openSample, test } from './support.ts';

test('a piece moved by the keys alone stops hitting the door; it stays there, and undo brings it back', async ({
  page,
}) => {
  await openSample(page, '/room/plan/r1');
  const findings = page.getByRole('complementary').getByRole('listitem');
  const swing = findings.filter({ hasText: 'The door in West wall hits Pattern chest' });
  await expect(swing).toContainText('Has to change');
  const chest = page.getByRole('button', { name: /^Pattern chest, drawers or chest: North wall, 30 cm from the left/ });
  await chest.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Pattern chest.*31 cm from the left/ })).toBeFocused();
  for (let n = 0; n < 6; n += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByRole('button', { name: /^Pattern chest.*91 cm from the left/ })).toBeFocused();
  await expect(swing).toHaveCount(0);
  // It stands in the trolley now, and that is said with its measure.
  await expect(
    findings.filter({ hasText: /Pattern chest and Iron trolley are [\d.]+ cm in each other\./ }),
  ).toHaveCount(1);
  // Kept as one act once the keys rest.
  await expect(page.locator('[aria-live]').getByRole('button', { name: 'Undo' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Pattern chest.*91 cm from the left/ })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: /^Pattern chest.*30 cm from the left/ })).toBeVisible();
});

test('a piece is dragged into the room, turned, typed to the centimetre and locked', async ({ page }) => {
  await openSample(page, '/room/plan/r1');
  const chest = page.getByRole('button', { name: /^Eave chest/ });
  await chest.focus();
  await page.getByRole('complementary').getByLabel('From the left').fill('231.5');
  await page.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByRole('button', { name: /^Eave chest.*: South eave, 231\.5 cm from the left/ })).toBeVisible();
  // A press that goes nowhere only chooses: it stays on its half centimetre.
  await chest.click();
  await expect(page.getByRole('button', { name: /^Eave chest.*: South eave, 231\.5 cm from the left/ })).toBeVisible();
  const box = (await chest.boundingBox())!;
  const drag = async () => {
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 40, box.y - 120, { steps: 5 });
    await expect(page.getByRole('button', { name: /^Eave chest.*: free,/ })).toBeVisible();
  };
  // Let go of by Esc, it stays where it was.
  await drag();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Eave chest.*: South eave, 231\.5 cm from the left/ })).toBeVisible();
  await page.mouse.up();
  await drag();
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Eave chest.*: free,/ })).toBeVisible();
  const ticket = page.getByRole('complementary');
  await expect(ticket.getByText('free in the room')).toBeVisible();
  await ticket.getByLabel('Middle, right').fill('1.2 m');
  await ticket.getByLabel('Middle, down').fill('abc');
  await ticket.getByRole('button', { name: 'Put it there' }).click();
  await expect(ticket.getByRole('alert')).toContainText('is not an amount');
  await ticket.getByLabel('Middle, down').fill('180');
  await ticket.getByLabel('Turned, °').fill('30');
  await ticket.getByRole('button', { name: 'Put it there' }).click();
  await expect(
    page.getByRole('button', { name: /^Eave chest.*: free, 120 cm from the left, 180 cm from the top/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Eave chest/ }).focus();
  await page.keyboard.press('l');
  await expect(page.getByRole('button', { name: /^Eave chest.*locked/ })).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^Eave chest.*120 cm from the left/ })).toBeVisible();
  // The wall that is seen behind it shows it, and one gets from wall to plan and back.
  await page.getByRole('link', { name: 'East wall' }).click();
  await expect(page.getByRole('group', { name: /^East wall/ })).toBeVisible();
  await page.getByRole('link', { name: 'Plan of Heron Loft' }).click();
  await expect(page.getByRole('group', { name: /^Floor plan of Heron Loft/ })).toBeVisible();
});

test('a finding is shown where it is, in words with the missing centimetres', async ({ page }) => {
  await openSample(page, '/room/plan/r1');
  await expectAccessible(page);
  const finding = page.getByRole('button', { name: /To pull out Eave drawers takes 103\.8 cm/ });
  await finding.click();
  await expect(finding).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByTestId('finding')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.getByRole('group', { name: /^Floor plan/ })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});

test('a room is measured: an L with a window and a radiator, refused while its walls cross', async ({ page }) => {
  await openSample(page, '/room/plan/r1');
  await page.getByRole('button', { name: 'Add a room' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Room 3' })).toBeVisible();
  await page.getByRole('button', { name: 'Measure the room' }).click();
  const form = page.getByRole('form', { name: 'Measures of Room 3' });
  await form.getByLabel('Name', { exact: true }).fill('Lock room');
  const walls = form.getByRole('group', { name: 'Walls, round to the right' });
  // Right 4 m, down 1 m, left corner, back 2 m, down 2 m, 2 m: the last closes.
  for (let n = 0; n < 2; n += 1) await walls.getByRole('button', { name: 'Add a wall' }).click();
  const lengths = walls.getByLabel('Length');
  const turns = walls.getByLabel('Then turn, °');
  await expect(lengths).toHaveCount(5);
  for (const [i, [mm, turn]] of [
    ['400', '90'],
    ['1 m', '90'],
    ['2000 mm', '90'],
    ['200', '90'],
    ['200', '90'],
  ].entries()) {
    await lengths.nth(i).fill(mm!);
    await turns.nth(i).fill(turn!);
  }
  await expect(form.getByRole('button', { name: 'Save' })).toBeDisabled();
  await expect(form.getByRole('alert').last()).toContainText('This wall crosses another');
  await turns.nth(2).fill('-90');
  await expect(walls.getByText('Closes the room: 300 cm.')).toBeVisible();
  await form.getByRole('group', { name: 'Windows' }).getByRole('button', { name: 'Add a window' }).click();
  await form.getByRole('group', { name: 'Windows' }).getByLabel('From the left').fill('3.5 m');
  await expect(form.getByText(/It takes 80 cm of its wall, where 50 cm are left/).first()).toBeVisible();
  await form.getByRole('group', { name: 'Windows' }).getByLabel('From the left').fill('1 m');
  await form.getByRole('group', { name: 'Pillars and heaters' }).getByRole('button', { name: 'Add one' }).click();
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Lock room' })).toBeVisible();
  await expect(form).toBeHidden();
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: 'Lock room' })).toBeVisible();
  await page.getByRole('link', { name: 'North wall' }).click();
  await expect(page.getByRole('group', { name: /^North wall/ })).toBeVisible();
});

test('a room is arranged by the search: stopped, compared, kept, taken and undone', async ({ page }) => {
  await openSample(page, '/room/plan/r1');
  const findings = page.getByRole('complementary', { name: 'Plan' }).getByRole('listitem');
  await expect(findings.filter({ hasText: 'Has to change' })).toHaveCount(6);
  // By the keyboard alone: the form of the room takes the focus, Esc leaves it, A goes on to arranging.
  await page.getByRole('button', { name: 'Measure the room' }).press('Enter');
  const form = page.getByRole('form', { name: 'Measures of Heron Loft' });
  await expect(form.getByLabel('Name', { exact: true }).first()).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(form).toBeHidden();
  await page.keyboard.press('a');
  const panel = page.getByRole('complementary', { name: 'Arrange' });
  const row = (name: string) => panel.getByRole('row', { name: new RegExp(`^${name}`) });
  await expect(row('Now')).toContainText('4');
  await expect(panel.getByRole('button', { name: 'Arrange for me' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(panel.getByRole('progressbar', { name: 'Tries' })).toBeVisible();
  // The best so far is shown beside it while it looks on.
  const found = page.getByRole('region', { name: 'Found' }).getByRole('img', { name: /^Found: \d+ pieces, 0 faults$/ });
  await expect(found).toBeVisible();
  await panel.getByRole('button', { name: 'Stop here' }).click();
  await expect(panel.getByRole('button', { name: 'Look on from here' })).toBeVisible();
  await expect(row('Found').getByRole('cell').first()).toHaveText('0');
  await expect(panel.getByText(/4 faults mended; .* pieces? to carry/)).toBeVisible();
  await expectAccessible(page);

  await panel.getByLabel('Keep “Found” as').fill('By the window');
  await page.keyboard.press('Enter');
  await expect(row('By the window')).toBeVisible();
  await row('Found').getByRole('button').click();
  await panel.getByRole('button', { name: 'Forget it' }).click();
  await expect(row('Found')).toBeHidden();
  await page.reload();
  await expect(findings.first()).toBeVisible();
  await page.keyboard.press('a');
  await row('By the window').getByRole('button').click();
  await panel.getByRole('button', { name: 'The furniture stands so' }).click();
  await expect(row('Now').getByRole('cell').first()).toHaveText('0');
  await page.keyboard.press('Escape');
  // What is too heavy stays so.
  await expect(findings.filter({ hasText: 'Has to change' })).toHaveCount(2);
  await page.keyboard.press('u');
  await expect(findings.filter({ hasText: 'Has to change' })).toHaveCount(6);
});

test('a cubby says which bins it takes; four of a size to be bought go in, two behind, on their lids', async ({
  page,
}) => {
  await openSample(page, '/room/r1-east');
  await page.getByRole('button', { name: /^Tall cubes › B4/ }).press('Enter');
  await page.getByRole('button', { name: 'Edit this place' }).click();
  const form = page.getByRole('form', { name: 'Edit B4' });
  await form.getByText('Which bins fit?').click();
  await expect(
    form
      .getByRole('list', { name: 'Your own kinds of bins' })
      .getByText(/go(es)? in|It is/)
      .first(),
  ).toBeVisible();
  await expect(
    form
      .getByRole('list', { name: 'Largest sizes' })
      .getByText(/2 deep/)
      .first(),
  ).toBeVisible();
  await form.getByLabel('Bin width').fill('40');
  await form.getByLabel('Bin depth').fill('18 cm');
  await form.getByLabel('Bin height').fill('15');
  const bought = form.getByRole('list', { name: 'The bin to be bought' });
  await expect(bought.getByText(/It is .* too (wide|deep)/)).toBeVisible();
  await form.getByLabel('Bin width').fill('30 cm');
  await form.getByLabel('With a lid others can stand on').check();
  await expect(bought.getByText(/4 go in, one behind the other, 2 high, 2 on the floor; .* beside/)).toBeVisible();
  await expectAccessible(page);
  await bought.getByRole('button', { name: 'Put 4 in' }).click();
  await form.getByRole('button', { name: 'Save' }).click();
  // What lay in the cubby goes into its first bin; whether it fits is said before.
  const again = form.getByRole('button', { name: 'Save' });
  if (await again.isVisible()) await again.click();
  await expect(page.getByRole('heading', { name: 'Bin 1' })).toBeVisible();
  for (const n of [1, 2, 3, 4])
    await expect(page.getByRole('button', { name: new RegExp(`Tall cubes › B4 › Bin ${n}:`) })).toBeAttached();
});

test('what runs at once is added up for its circuit, and remembered', async ({ page }) => {
  await openSample(page, '/room/plan/r1');
  const aside = page.getByRole('complementary', { name: 'Plan' });
  await aside.getByText('What runs at once').click();
  // 2000 and 90 W at 230 V.
  await expect(aside.getByText('2,090 W, 9.1 A of 16 A')).toBeVisible();
  await aside.getByRole('checkbox', { name: /Steam iron/ }).uncheck();
  await expect(aside.getByText('90 W, 0.4 A of 16 A')).toBeVisible();
  await page.reload();
  await aside.getByText('What runs at once').click();
  await expect(aside.getByRole('checkbox', { name: /Steam iron/ })).not.toBeChecked();
  await aside.getByRole('checkbox', { name: /Steam iron/ }).check();

  // A smaller fuse in the room's form, and it is too much.
  await aside.getByRole('button', { name: 'Measure the room' }).click();
  const form = page.getByRole('form', { name: /Heron Loft/ });
  const circuits = form.getByRole('group', { name: 'Circuits' });
  await circuits.getByLabel('Fuse, A').fill('-3');
  await expect(circuits.getByRole('alert')).toContainText('Amperes of its fuse');
  await circuits.getByLabel('Fuse, A').fill('6');
  await form.getByRole('button', { name: 'Save' }).click();
  await aside.getByText('What runs at once').click();
  await expect(aside.getByText(/would draw 9.1 A; its fuse goes at 6 A/)).toBeVisible();
});

test('plan, wall and furniture go to paper to scale, and a piece to a file and back', async ({ page }) => {
  const download = async (press: () => Promise<void>) => {
    const waiting = page.waitForEvent('download');
    await press();
    const file = await waiting;
    const chunks: Buffer[] = [];
    for await (const chunk of await file.createReadStream()) chunks.push(chunk as Buffer);
    return { name: file.suggestedFilename(), bytes: Buffer.concat(chunks) };
  };
  await openSample(page, '/room/plan/r1');
  const aside = page.getByRole('complementary', { name: 'Plan' });
  await aside.getByText('On paper').click();
  const plan = await download(() => aside.getByRole('button', { name: 'Save as PDF' }).click());
  expect(plan.name).toBe('heron-loft-1-20.pdf');
  expect(plan.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  await expect(page.getByText('Saved for A4 across paper.')).toBeVisible();
  await aside.getByLabel('Scale').selectOption('10');
  const svg = await download(() => aside.getByRole('button', { name: 'Save as SVG' }).click());
  expect(svg.bytes.toString()).toContain('Heron Loft, 1 : 10');
  const cut = await download(() => aside.getByRole('button', { name: 'Furniture to cut out' }).click());
  expect(cut.name).toBe('heron-loft-furniture-1-10.pdf');

  await page.getByRole('button', { name: /^Eave chest/ }).focus();
  const piece = await download(() => aside.getByRole('button', { name: 'Save this piece to a file' }).click());
  expect(JSON.parse(piece.bytes.toString())).toMatchObject({ format: 'yardmist-piece', name: 'Eave chest' });
  await aside
    .getByLabel('Piece file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":1}') });
  await expect(aside.getByRole('alert')).toHaveText('The file holds no piece of furniture that can be read.');
  const count = await page.getByRole('button', { name: /^Eave chest/ }).count();
  await aside
    .getByLabel('Piece file')
    .setInputFiles({ name: piece.name, mimeType: 'application/json', buffer: piece.bytes });
  await expect(page.getByRole('button', { name: /^Eave chest/ })).toHaveCount(count + 1);

  await page.goto('/room/r1-east');
  await page.getByText('On paper').click();
  const wall = await download(() => page.getByRole('button', { name: 'Save as SVG' }).click());
  expect(wall.name).toBe('heron-loft-east-wall-1-20.svg');
  expect(wall.bytes.toString()).toContain('Tall cubes');
});

test('the parts shelf has a closet with a rail and a chest with a lid, their inner sizes worked out', async ({
  page,
}) => {
  await openSample(page, '/room/r1-west');
  const add = async (part: string, name: string) => {
    await expect(page.getByRole('button', { name: /^Add a piece/ })).toBeVisible();
    await page.keyboard.press('n');
    const form = page.getByRole('form', { name: 'New piece' });
    await form.getByLabel('What is it').selectOption(part);
    await form.getByLabel('Name', { exact: true }).fill(name);
    return form;
  };
  const closet = await add('closet', 'Coat closet');
  await closet.getByLabel('From the left').fill('200 cm');
  await closet.getByLabel('Width').fill('80 cm');
  // Two boards of 16 mm less.
  await expect(closet.getByText('76.8 × 58.4 × 165.2 cm')).toBeVisible();
  await closet.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /^Coat closet › Rail/ })).toBeAttached();
  await expect(page.getByRole('button', { name: /^Coat closet › Top shelf/ })).toBeAttached();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  const chest = await add('chest', 'Blanket chest');
  await expect(chest.getByText('96.8 × 48.4 × 44.8 cm')).toBeVisible();
  await expect(chest.getByLabel('On wheels')).not.toBeChecked();
  await page.keyboard.press('Escape');
});

test('a table says whether it is high enough, and what hangs over; its work goes where it goes', async ({ page }) => {
  await openSample(page, '/room/plan/r1');
  const aside = page.getByRole('complementary', { name: 'Plan' });
  await page.getByRole('button', { name: /^Cutting table/ }).focus();
  await expect(aside.getByText(/risers of 58 mm bring it there/)).toBeVisible();
  await expect(aside.getByText(/folded once a leaf of 50 cm takes it/)).toBeVisible();
  const metres = page.getByText('walked in an hour of sewing').locator('..').getByRole('button');
  const before = await metres.textContent();
  await page.getByRole('button', { name: /^Low shelves/ }).focus();
  await aside.getByLabel('Work that is done here').selectOption({ label: 'Sewing' });
  await expect(metres).not.toHaveText(before!);
  await page.getByRole('button', { name: /^Machine table/ }).focus();
  await expect(aside.getByLabel('Work that is done here')).toHaveValue('');
});
