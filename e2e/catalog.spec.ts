import { expect, expectAccessible, openSample, saveBundle, test, openEmpty, quickAdd } from './support.ts';
import { createPng } from './pictures.ts';

/** Lines of all kinds, with what must then stand somewhere on the ticket. */
const LINES: readonly [line: string, kind: string, ...told: string[]][] = [
  ['linen twill oat 3.4m x 140 185gsm board', 'Cloth', '3.40 m × 140 cm', '41 mm thick', '881 g'],
  ['poplin navy dots 2.5m', 'Cloth', '2.50 m × 112 cm', 'Cotton, poplin, quilting cotton, 132 g/m²; spots'],
  ['wool coating moss 1,8m x 150 washed', 'Cloth', '1.80 m', 'Wool coating', '1.49 kg'],
  ['jersey rust stripe 2 1/2 yd', 'Cloth', '2.29 m × 150 cm', 'stripes'],
  ['ripstop red 4m x 150 60gsm', 'Cloth', '4.00 m', '360 g'],
  ['batting 3m x 240', 'Cloth', '3.00 m × 240 cm', 'Ø'],
  ['denim 12oz 3m x 147 for the loft seat', 'Cloth', '3.00 m', '407 g/m²', 'promised to the loft seat', '0.00 m'],
  ['voile white 5m', 'Cloth', '5.00 m × 140 cm', '490 g'],
  ['canvas ochre 1m x 147', 'Cloth', '1.00 m', '588 g'],
  ['velvet plum 2m', 'Cloth', '2.00 m', '840 g'],
  ['pattern 2145 skirt sizes 34-44', 'Patterns', '2145, skirt, sizes 34-44; not yet made', '5 mm'],
  ['pattern 88 jacket printed 46 sheets made', 'Patterns', 'made; printed sheets in a folder', '5 mm'],
  ['pattern 12 hat pdf', 'Patterns', 'a file; it takes no room'],
  ['pattern 907 smock 1950s', 'Patterns', '907, smock, 1950s'],
  ['topstitching thread polyester rust tex 80 2 spools', 'Threads', 'tex 80 (ticket 38, weight 13)', '2 spools'],
  ['serger thread white tkt 120 3 cones', 'Threads', 'tex 25', '3 cones', 'Ø 70 mm × 14 cm'],
  ['thread teal wt 40 500m', 'Threads', '500.00 m on 1 spool'],
  ['bobbin rust x4', 'Threads', '4 bobbins', 'Ø 21 mm × 11 mm'],
  ['zip navy metal 20cm x3', 'Notions', 'Zips 20 cm; 21 × 0.9 × 0.4 cm', '3 pieces'],
  ['buttons horn 20mm 24 pcs', 'Notions', 'Buttons 20 mm', '24 pieces'],
  ['ribbon grosgrain navy 25mm 4.5m', 'Notions', '4.50 m', '25 mm wide'],
  ['machine needles 90/14 5 pcs used 3h', 'Notions', '3 h of about 8', 'sharp'],
  ['fabric glue expires 2027-05-01', 'Notions', '2027-05-01', 'flammable'],
  ['elastic white 10mm 3m', 'Notions', '3.00 m', 'a cat would chew it'],
  ['quilting ruler 15 x 60 cm', 'Tools', 'Ruler; 60 × 15 × 0.4 cm', 'hung on a hook'],
  ['rotary cutter 45mm', 'Tools', 'Rotary cutter', 'sharp'],
  ['iron 2200W', 'Tools', '2200 W', '1.60 kg'],
  ['linen scraps 240g', 'Scraps', '1.30 m²', '240 g'],
  ['poplin squares 5in 30', 'Scraps', '30 squares', '64 g'],
  ['kit for the rowing smock', 'Kits', 'Kit for the rowing smock'],
  ['overlocker 34 x 29 x 31 cm 7.6kg 90W', 'Other', 'Machine; 34 × 31 × 29 cm; 90 W', '7.60 kg'],
  ['book drafting', 'Other', 'Book', '700 g'],
];

const LIST = [
  ['kind', 'name', 'length', 'width', 'class', 'colour', 'tex', 'count', 'type', 'number', 'price'],
  ['fabric', 'Towpath linen', '3.4', '140', 'linen', 'sage', '', '', '', '', '24.50'],
  ['fabric', 'Weir denim', '2 1/2 yd', '54"', 'denim', 'navy', '', '', '', '', '18'],
  ['fabric', 'Ferry canvas', 'long', '147', 'canvas', 'oat', '', '', '', '', ''],
  ['fabric', 'Barge flannel', '1,2', '112', 'flannel', 'red', '', '', '', '', ''],
  ['thread', 'Mooring thread', '', '', '', 'teal', '27', '4', '', '', ''],
  ['thread', 'Squall thread', '', '', '', 'grey', 'tkt 120', '2', '', '', ''],
  ['notion', 'Deck zips', '', '', '', '', '', '6', 'zips', '', ''],
  ['notion', 'Sail snaps', '', '', '', '', '', '1', 'snaps', '', ''],
  ['tool', 'Weir shears', '', '', '', '', '', '1', 'scissors', '', ''],
  ['pattern', 'Regatta cap', '', '', '', '', '', '1', '', '301', ''],
  ['pattern', 'Eddy quilt', '', '', '', '', '', '1', '', '302', ''],
  ['other', 'Mailers', '', '', '', '', '', '40', 'packing', '', ''],
];

test('fifty things of all kinds get in by quick add, paste and photo, each rightly measured', async ({ page }) => {
  await openEmpty(page);
  const line = page.getByLabel('Add in one line');
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await page.keyboard.press('q');
  await expect(line).toBeFocused();
  for (const [text] of LINES) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    await expect(line).toHaveValue('');
    await expect(line).toBeFocused();
  }

  // A list pasted anywhere, with one cell to mend.
  await page.evaluate(
    (rows) => {
      (document.activeElement as HTMLElement).blur();
      const data = new DataTransfer();
      data.setData('text/plain', rows);
      window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
    },
    LIST.map((row) => row.join('\t')).join('\n'),
  );
  await expect(page.getByRole('heading', { name: 'Bring in a list' })).toBeVisible();
  await expect(page.getByText('“long” is not an amount. Try 3.4 m or 140 cm.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take all in' })).toBeDisabled();
  await page.getByLabel('Row 4, length').fill('2.2 m');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take all in' }).click();
  await expect(page.getByText('12 rows came in.')).toBeVisible();

  // Photos, from the made-up camera, with a line each.
  await page.getByRole('button', { name: 'Add by photos' }).click();
  for (let n = 1; n <= 6; n += 1) {
    await page.getByRole('button', { name: 'Take one with the camera' }).click();
    await expect(page.getByLabel('What is from the camera')).toHaveCount(n);
    await expect(page.getByText('Developing…')).toHaveCount(0);
  }
  for (let n = 0; n < 6; n += 1)
    await page
      .getByLabel('What is from the camera')
      .nth(n)
      .fill(`linen photo${n} ${n + 1}m`);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take in 6' }).click();
  await expect(page.getByText('6 things came in.')).toBeVisible();

  for (const [tab, count] of [
    ['Cloth', 20],
    ['Patterns', 6],
    ['Threads', 6],
    ['Notions', 8],
    ['Tools', 4],
    ['Scraps', 2],
    ['Kits', 1],
    ['Other', 3],
  ] as const)
    await expect(page.getByRole('link', { name: `${tab} ${count}` })).toBeVisible();

  // Each says what it should; cloth by its table, which draws only the rows that are seen.
  await page.setViewportSize({ width: 1280, height: 1100 });
  for (const [text, tab, ...told] of LINES) {
    await page.getByRole('link', { name: new RegExp(`^${tab} `) }).click();
    await page.getByRole('button', { name: /^Table/ }).click();
    const name = text.split(' ').find((word) => word !== 'pattern' && word !== '88' && !/^\d+$/.test(word))!;
    const rows = page.locator('tbody button').filter({ hasText: new RegExp(name, 'i') });
    await expect(rows.first()).toBeVisible();
    // Several begin alike: the one whose ticket says it all, or what the likeliest leaves unsaid.
    let unsaid: readonly string[] = ['no such row'];
    for (let n = 0; n < (await rows.count()) && unsaid.length > 0; n += 1) {
      await rows.nth(n).click();
      await expect(ticket.getByText('There is')).toBeVisible();
      const said = (await ticket.textContent()) ?? '';
      const missing = told.filter((one) => !said.includes(one));
      if (missing.length < unsaid.length || unsaid[0] === 'no such row') unsaid = missing;
    }
    expect.soft([text, unsaid]).toEqual([text, []]);
  }
});

test('the quick line shows how it reads, warns of a twin, points at a slip, and opens the form', async ({ page }) => {
  await openSample(page);
  await quickAdd(page, 'linen twill oat wave 4.7m x 150', false);
  const read = page.getByLabel('How it was read');
  await expect(read).toContainText('4.7mlength');
  await expect(read).toContainText('x 150width');
  await expect(page.getByText(/^You have .* already/).first()).toBeVisible();
  await page.keyboard.type(' 3 furlongs');
  await expect(page.getByRole('alert')).toContainText('The unit “furlongs” is not known.');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Add in one line')).not.toHaveValue('');
  await page.keyboard.press('Escape');
  await page.keyboard.type('heap of jersey 2 bins');
  await expect(page.getByRole('alert')).toHaveText(/^Say how much the heap is/);
  await expect(page.getByRole('button', { name: /is just its name$/ })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.keyboard.type('buttons horn 20mm 24 pcs');
  await page.keyboard.press('Alt+Enter');
  const form = page.getByRole('form', { name: 'New notion' });
  await expect(form.getByLabel('Pieces in all')).toHaveValue('24');
  await expect(form.getByLabel('Type')).toHaveValue('buttons');
  await expectAccessible(page);
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('complementary', { name: 'Ticket' })).toContainText('24 pieces');
});

test('what is promised is kept when something else is cut, and given when it is for that', async ({ page }) => {
  await openEmpty(page);
  await quickAdd(page, 'linen 3m x 140');
  await page.getByRole('list', { name: 'Linen' }).getByRole('button').click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await ticket.getByRole('button', { name: 'Give it a home' }).waitFor();
  await page.keyboard.press('r');
  await ticket.getByLabel('For what').fill('the smock');
  await ticket.getByLabel('How much').fill('2 m');
  await page.keyboard.press('Enter');
  await expect(ticket).toContainText('2.00 m promised to the smock');
  await expect(ticket.getByLabel('For what')).toBeHidden();
  await page.keyboard.press('c');
  await ticket.getByLabel('How much to cut').fill('1.5');
  await expect(ticket.getByRole('alert')).toContainText('Only 1.00 m of it is not promised to something.');
  await ticket.getByLabel('For', { exact: true }).selectOption({ label: 'the smock (2.00 m)' });
  await ticket.getByRole('button', { name: 'Cut', exact: true }).click();
  await expect(ticket).toContainText('0.50 m promised to the smock');
  await expect(ticket).toContainText('1.50 m × 140 cm');
  // Every figure says how it was made.
  await ticket.getByRole('button', { name: '389 g' }).click();
  await expect(ticket).toContainText('1.50 m × 140 cm × 185 g/m².');
  // A scrap goes with its parent, and makes it thicker.
  await ticket.getByRole('button', { name: 'A scrap of it, wrapped with it' }).click();
  await ticket.getByLabel('How much').fill('0.7 m²');
  await ticket.getByRole('button', { name: 'Save' }).click();
  await expect(ticket).toContainText('Wrapped withLinen');
  await ticket.getByRole('button', { name: 'Linen', exact: true }).click();
  await expect(ticket).toContainText('Wrapped in itLinen, scraps, 0.70 m²');
});

test('the bench scale is read into the panel, and typing does without it', async ({ page, request, baseURL }) => {
  await openEmpty(page);
  await quickAdd(page, 'thread rust tex 27');
  await page.getByRole('link', { name: /^Threads/ }).click();
  await page.locator('tbody button').first().click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await ticket.getByRole('button', { name: /^How much is there/ }).click();
  const panel = ticket.getByRole('form', { name: 'How much is there?' });
  await panel.getByRole('button', { name: 'Read the bench scale' }).click();
  await request.post(`${baseURL}/devices/scale/put`, { form: { grams: '14' } });
  await expect(panel).toContainText('14.0 gat rest');
  await panel.getByRole('button', { name: 'Take this weight' }).click();
  // 14 g less a bare spool of 6 g at tex 27.
  await expect(panel).toContainText('300 m ± 20 m');
  await panel.getByRole('button', { name: 'Use this' }).click();
  await expect(ticket).toContainText('300 m on 1 spool ± 20 m');
  await page.goto(`${baseURL}/devices/scale`);
  await expect(page.getByRole('heading', { name: 'Bench scale' })).toBeVisible();
  await page.getByRole('button', { name: 'Take off' }).click();
  await expect(page.getByText('g', { exact: false }).first()).toBeVisible();
});

test('buttons are counted by the weight of ten, and the weight is remembered', async ({ page }) => {
  await openEmpty(page);
  await quickAdd(page, 'toggles beads');
  await page.getByRole('link', { name: /^Notions/ }).click();
  await page.locator('tbody button').first().click();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await expect(ticket.getByRole('button', { name: /^How much is there/ })).toBeVisible();
  await page.keyboard.press('m');
  const panel = ticket.getByRole('form', { name: 'How much is there?' });
  await panel.getByLabel('Ten of them weigh').fill('15');
  await panel.getByLabel('All of it weighs').fill('186 g');
  await expect(panel.getByRole('status').last()).toContainText('124 ± 8');
  await panel.getByRole('button', { name: 'Use this' }).click();
  await expect(ticket).toContainText('124 pieces ± 8');
  await expect(panel).toBeHidden();
  await page.keyboard.press('m');
  await expect(panel).toContainText('Empty: 15 g, as known');
});

test('pictures that are none are named with their reason, large ones are taken, nothing is lost', async ({ page }) => {
  await openEmpty(page, '/photos');
  const good = createPng(300, 200);
  await page.getByLabel('Photo files').setInputFiles([
    { name: 'good.png', mimeType: 'image/png', buffer: good },
    {
      name: 'drawing.png',
      mimeType: 'image/png',
      buffer: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${' '.repeat(80)}</svg>`),
    },
    { name: 'half.png', mimeType: 'image/png', buffer: good.subarray(0, 60) },
    { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('these are my notes about cloth and thread') },
    { name: 'sixty.png', mimeType: 'image/png', buffer: createPng(7746, 7746) },
  ]);
  await expect(page.getByText('That is a drawing (SVG), not a photo.')).toBeVisible();
  await expect(page.getByText('The picture is broken, or breaks off.')).toBeVisible();
  await expect(page.getByText('That is no picture.')).toBeVisible();
  await expect(page.getByAltText('good.png')).toBeVisible();
  await expect(page.getByAltText('sixty.png')).toBeVisible();
  // What is kept has nothing in it but the picture.
  await page.getByLabel('What is good.png').fill('linen 2m');
  await page.getByRole('button', { name: 'Take in 1' }).click();
  await expect(page.getByText('1 thing came in.')).toBeVisible();
  await page.goto('/stash');
  await expect(page.getByRole('list', { name: 'Linen' }).locator('img')).toBeVisible();
  const bundle = await saveBundle(page);
  expect(bundle.includes(Buffer.from('photos/'))).toBe(true);
});

test('a list of twenty thousand rows is taken in and back out by one undo; two million are refused', async ({
  page,
}) => {
  test.setTimeout(600_000);
  await openEmpty(page, '/list');
  const rows = ['name;length;width;colour'];
  for (let n = 0; n < 20_000; n += 1)
    rows.push(`"Cloth ""${n}""; folded";${(n % 50) / 10 + 0.3};140;${n % 2 ? 'navy' : 'oat'}`);
  await page
    .getByLabel('List file')
    .setInputFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
  await expect(page.getByRole('contentinfo')).toContainText('20,000new things');
  await page.getByRole('button', { name: 'Take all in' }).click();
  await expect(page.getByText('20,000 rows came in.')).toBeVisible({ timeout: 120_000 });
  await expect(page.getByRole('link', { name: 'Cloth 20,000' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText(/^Keeping 40,000 records/)).toBeVisible();
  await expect(page.getByText('No cloth yet.')).toBeVisible({ timeout: 150_000 });

  await page.goto('/list');
  await page
    .getByLabel('List file')
    .setInputFiles({ name: 'far.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n'.repeat(2_000_000)) });
  await expect(page.getByRole('alert')).toContainText('more than 50,000 rows', { timeout: 60_000 });
  await page
    .getByLabel('List file')
    .setInputFiles({ name: 'picture.csv', mimeType: 'text/csv', buffer: createPng(20, 20) });
  await expect(page.getByRole('alert')).toContainText('That is no table');
});

test('the wall by the colour wheel, columns, groups, kept looks and bulk changes', async ({ page }) => {
  await openSample(page);
  await page.getByRole('button', { name: /^By the wheel/ }).click();
  const wall = page.getByRole('listbox', { name: 'Cloth by the colour wheel' });
  await wall.focus();
  await page.keyboard.press('ArrowRight');
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  await expect(ticket.getByRole('region', { name: 'Thread for it' })).toContainText(
    /the same to the eye|darker|lighter|greyer|stronger|redder|greener|yellower|bluer/,
  );
  await expectAccessible(page);

  await page.getByRole('button', { name: /^Table/ }).click();
  await page.getByText('Columns').click();
  await page.getByRole('checkbox', { name: 'Last touched' }).check();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('columnheader', { name: 'Last touched' })).toBeVisible();
  await page.getByLabel('Group by').selectOption('what');
  await expect(page.getByRole('rowheader').or(page.locator('th[scope=rowgroup]')).first()).toContainText(
    /Batting|Coated/,
  );
  await page.getByRole('search').getByLabel('Look at').selectOption('forgotten');
  await page.getByRole('button', { name: 'Keep this look' }).click();
  await page.getByLabel('Name of this look').fill('Forgotten cloth');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByLabel('Kept looks').selectOption('Forgotten cloth');
  await expect(page.getByRole('search').getByLabel('Look at')).toHaveValue('forgotten');

  await page.getByLabel('Tick all').check();
  await page.getByLabel('Tag for all').fill('let go?');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/things tagged “let go\?”/)).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await expect(page.getByRole('search').getByLabel('Tag')).toContainText('Let go?');
  await page.keyboard.press('u');
  await expect(page.getByRole('search').getByLabel('Tag')).toHaveCount(0);

  await page.getByRole('button', { name: /^Figures/ }).click();
  await expect(page.getByRole('table', { name: 'Length by fibre' })).toContainText('Cotton');
  await expectAccessible(page);
  await page.getByRole('button', { name: /kg$/ }).click();
  await expect(page.getByText('Length × width × g/m² of every thing that is shown, added up.')).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  expect((await saved).suggestedFilename()).toBe('cloth.csv');
});

test('lines taken in one after the other as fast as they come are as many things', async ({ page }) => {
  await openEmpty(page);
  const line = page.getByLabel('Add in one line');
  await expect(async () => {
    await page.keyboard.press('q');
    await expect(line).toBeFocused({ timeout: 1500 });
  }).toPass();
  // None is waited for.
  for (let n = 0; n < 12; n += 1) {
    await line.fill(`linen quick${n} 2m`);
    await page.keyboard.press('Enter');
  }
  await expect(line).toHaveValue('');
  await page.keyboard.press('Escape');
  await page.keyboard.press('j');
  const lines = page
    .getByRole('main')
    .getByRole('listitem')
    .filter({ hasText: /quick\d+/ });
  await expect(lines).toHaveCount(12);
  await expect(lines.filter({ hasText: /^Changed/ })).toHaveCount(0);
});
