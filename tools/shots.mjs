import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './prepare.mjs';

/** Retakes docs/screenshots from the sample household: one picture of each main view, 1280 × 800. */
ensureInstalled();
ensureBuilt();
const executablePath = ensureChromium();
if (!executablePath) process.exit(1);
const FOLDER = join(ROOT, 'docs', 'screenshots');
mkdirSync(FOLDER, { recursive: true });
const PORT = '4198';
const server = spawn('node', ['dist-node/server.js'], { cwd: ROOT, env: { ...process.env, PORT } });
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath,
  args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
});
/** A household of one's own, from nothing to its balance, in a browser of its own. */
async function setOut() {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const take = async (name) => {
    const message = page.getByRole('button', { name: 'Close message' });
    if (await message.count()) await message.click();
    await page.waitForTimeout(800);
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
    console.log(`${name}.png`);
  };
  await page.goto(`http://127.0.0.1:${PORT}/bench`);
  await page.getByRole('button', { name: 'Start with my own' }).click();
  await page.getByRole('heading', { name: 'How do you begin?' }).waitFor();
  await page.keyboard.press('m');
  await page.getByRole('button', { name: 'A plain room' }).click();
  await page.getByLabel('Wide').fill('4.2 m');
  await page.getByLabel('Deep').fill('3.4 m');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Door wall' }).click();
  await page.getByRole('button', { name: 'A window' }).click();
  await page.getByRole('button', { name: 'Far wall' }).click();
  await page.getByText('A window in Far wall.').waitFor();
  await page.getByRole('button', { name: 'The room is right' }).click();
  const more = async (name, count) => {
    for (let n = 0; n < count; n += 1) await page.getByRole('button', { name: `One ${name} more` }).click();
  };
  for (const [name, count] of [
    ['cube shelf', 1],
    ['bookcase with shelves', 1],
    ['dresser', 1],
    ['table', 1],
    ['peg field, round holes', 1],
    ['bin for a cube', 2],
  ])
    await more(name, count);
  await page.getByRole('button', { name: /^Stand all/ }).click();
  await page.getByText(/stand in the room\./).waitFor();
  await take('setout');
  await page.getByRole('button', { name: 'That is all of it' }).click();
  for (const [name, amount] of [
    ['Cottons', '1.2 m'],
    ['Linens', '60 cm'],
    ['Jersey and other knits', '70 cm'],
    ['Coating', '90 cm'],
    ['Batting', '80 cm'],
  ]) {
    await page.getByLabel(`${name}: how much`).fill(amount);
    await page.keyboard.press('Enter');
    await page.waitForTimeout(300);
  }
  await take('heaps');
  await page.getByRole('button', { name: 'That is about all' }).click();
  await page.getByRole('region', { name: 'Shelves' }).waitFor();
  await take('balance');
  await context.close();
}

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const go = (path) => page.goto(`http://127.0.0.1:${PORT}${path}`);
  const take = async (name) => {
    await page.waitForTimeout(800);
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
    console.log(`${name}.png`);
  };
  await go('/bench');
  await page.getByRole('button', { name: 'Keep looking round' }).click();
  await page.getByRole('list', { name: 'What lies on the bench' }).waitFor();
  await take('bench');
  await go('/stash');
  // A name that ends with its length is at home.
  await page.getByRole('list', { name: 'Cotton' }).getByRole('button', { name: / m$/ }).nth(3).click();
  await page.getByText('Why here').waitFor();
  await take('stash');
  await page.keyboard.press('Escape');
  await go('/list');
  await page
    .getByLabel('Paste rows here')
    .fill(
      [
        'name\tlength\twidth\tclass\tcolour\tPrice\tShop',
        'Oat linen twill\t3.4 m\t140 cm\tlinen\toat\t24.50\tquay market',
        'Rust denim\tabc\t54"\tdenim\trust\t12\t',
        'Boat canvas\t2 1/2 yd\t150\tcanvas\tbluish\t\tlock fair',
        '\t1 m\t110\tpoplin\tred\t4\t',
        'Weir flannel\t1,2\t112\tflannel\tdark green\t9\tlock fair',
      ].join('\n'),
    );
  await page.getByRole('button', { name: 'Look at it' }).click();
  await go('/photos');
  for (let n = 0; n < 6; n += 1) {
    await page.getByRole('button', { name: 'Take one with the camera' }).click();
    await page.waitForTimeout(400);
  }
  await page.getByLabel('What is from the camera').first().fill('linen twill 3.4m x 140');
  await page.getByLabel('What is from the camera').nth(1).fill('poplin 2m');
  await take('photos');
  await go('/year/ahead');
  await page.getByRole('row').nth(2).getByRole('button').click();
  await page.getByRole('heading', { name: 'What helps' }).waitFor();
  await take('year');
  await page.keyboard.press('Escape');
  await go('/room/r1-east');
  await page.locator('[data-lot]').nth(24).click();
  await page.getByText('Why here').waitFor();
  await take('room');
  await page.getByRole('button', { name: /^Tall cubes › A3/ }).press('Enter');
  await page.keyboard.press('w');
  await page.getByRole('button', { name: 'Divide with a shelf' }).click();
  const shelf = page.getByRole('slider', { name: /^Shelf between A3 a/ });
  await shelf.focus();
  await page.keyboard.press('ArrowUp');
  await page.getByRole('button', { name: 'Close message' }).click();
  await page.keyboard.press('w');
  for (let n = 0; n < 2; n += 1) {
    await page.keyboard.press('u');
    await page.waitForTimeout(500);
  }
  await page.getByRole('button', { name: /^Tall cubes › A3:/ }).waitFor();
  await go('/room/plan/r1');
  await page.getByRole('button', { name: /To pull out Eave drawers/ }).click();
  await take('room-plan');
  await page.keyboard.press('a');
  await page.getByRole('button', { name: 'Arrange for me' }).click();
  await page.getByRole('button', { name: 'Look on from here' }).waitFor({ timeout: 90_000 });
  await go('/projects?minutes=45');
  await page.getByRole('region', { name: 'In 45 minutes' }).waitFor();
  await take('projects');
  await page.getByRole('button', { name: '45 min' }).click();
  await page
    .getByRole('link', { name: /^Four crew smocks/ })
    .last()
    .click();
  await page.getByRole('img', { name: 'The pieces on the cloth' }).waitFor();
  await page.getByText('Still looking').waitFor({ state: 'hidden' });
  await take('project');
  await go('/labels');
  await page.getByRole('list', { name: 'Labels' }).waitFor();
  await take('labels');
  await go('/sort');
  await page.getByLabel('Sort cloth').selectOption('lengthClass');
  await page.getByLabel('Cloth, second school').selectOption('fibre');
  await page.getByRole('button', { name: 'Project lengths, cotton' }).click();
  await page.getByLabel('Close message').click();
  await take('sort');
  await page.getByLabel('Cloth, second school').selectOption('');
  await page.getByLabel('Sort cloth').selectOption('fibre');
  await go('/fit');
  await page.getByRole('button', { name: /^What would few moves bring/ }).click();
  await page.getByText('What few moves bring').waitFor({ timeout: 60_000 });
  await page.waitForTimeout(800);
  await page.getByRole('button', { name: 'The plan on the wall' }).click();
  await take('fit');
  await page.getByRole('button', { name: 'By groups' }).click();
  await page.getByRole('region', { name: 'To look at' }).waitFor();
  await take('fit-groups');
  await page.getByRole('radio').last().check();
  await page.getByRole('button', { name: 'Adopt this plan' }).click();
  await page.getByLabel('Close message').click();
  await page.getByRole('button', { name: 'Carry it out, step by step' }).click();
  await page.getByRole('list', { name: 'Steps' }).waitFor();
  await take('moves');
  await page.keyboard.press('s');
  await page.getByRole('region', { name: 'Step' }).waitFor();
  for (let n = 0; n < 5; n += 1) {
    await page.keyboard.press('d');
    await page.waitForTimeout(400);
  }
  await go('/fit');
  const carry = page.getByRole('button', { name: /are carried home already$/ });
  await carry.click();
  await carry.waitFor({ state: 'hidden' });
  await go('/find');
  await page.getByRole('combobox').fill('linen');
  await page.getByRole('option').filter({ hasText: ' › ' }).nth(1).click();
  await page.getByText('Why here').waitFor();
  await take('find');
  await go('/household');
  await take('house');
  await setOut();
  await page.setViewportSize({ width: 390, height: 844 });
  await go('/find');
  await page.getByRole('combobox').fill('linen');
  await page.getByRole('option').filter({ hasText: ' › ' }).nth(1).click();
  await page.getByText('Why here').waitFor();
  await take('phone-find');
} finally {
  await browser.close();
  server.kill();
}
