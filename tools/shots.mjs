import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './prepare.mjs';
import { createSay } from './said.mjs';

/**
 * Retakes docs/screenshots from the sample household: one picture of each main view, 1280 × 800; and those of the guide in its
 * other languages, smaller, beside its pages. `npm run shots -- de` takes those of one language only.
 */
ensureInstalled();
ensureBuilt();
const executablePath = ensureChromium();
if (!executablePath) process.exit(1);
const PORT = '4198';
const server = spawn('node', ['dist-node/server.js'], { cwd: ROOT, env: { ...process.env, PORT } });
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath,
  args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
});

/** Where the pictures of a language go, of what kind they are, and what is called otherwise and stands in no catalogue. */
const EDITIONS = {
  en: { folder: 'docs/screenshots', type: 'png', doorWall: 'Door wall', farWall: 'Far wall', mark: '.' },
  de: { folder: 'docs/guide/de/pictures', type: 'webp', doorWall: 'Türwand', farWall: 'Hintere Wand', mark: ',' },
};

/** The pictures that the pages of a guide show. */
const listShown = (language) =>
  readdirSync(join(ROOT, 'docs/guide', language), { withFileTypes: true })
    .filter((one) => one.isFile())
    .map(({ name }) => /([\w-]+)\.\w+\)$/m.exec(readFileSync(join(ROOT, 'docs/guide', language, name), 'utf8'))[1]);

class Edition {
  constructor(language) {
    Object.assign(this, EDITIONS[language]);
    this.language = language;
    this.say = createSay(language);
    this.shown = language === 'en' ? null : new Set(listShown(language));
    this.options = { locale: language, viewport: { width: 1280, height: 800 } };
    mkdirSync(join(ROOT, this.folder), { recursive: true });
  }

  /** How a name begins, whatever is counted or named in it. */
  like(message, values = {}) {
    const said = this.say(message, values).replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&');
    return new RegExp(`^${said.replaceAll('7', '\\d+')}`);
  }

  number(text) {
    return text.replace('.', this.mark);
  }

  async go(page, path) {
    await page.goto(`http://127.0.0.1:${PORT}${path}`);
  }

  async take(page, name) {
    if (this.shown && !this.shown.has(name)) return;
    const message = page.getByRole('button', { name: this.say('Close message') });
    if (await message.count()) await message.click();
    await page.waitForTimeout(800);
    const path = join(ROOT, this.folder, `${name}.${this.type}`);
    if (this.type === 'png') await page.screenshot({ path });
    else {
      const session = await page.context().newCDPSession(page);
      const { data } = await session.send('Page.captureScreenshot', { format: this.type, quality: 75 });
      writeFileSync(path, Buffer.from(data, 'base64'));
    }
    console.log(join(this.folder, `${name}.${this.type}`));
  }
}

const STAND_ALL = '{count, plural, one {Stand it in the room} other {Stand all # in the room}}';
const STANDING = '{stood, plural, one {# piece stands} other {# pieces stand}} in the room.';

/** A household of one's own, from nothing to its balance, in a browser of its own. */
async function setOut(edition) {
  const { say } = edition;
  const context = await browser.newContext(edition.options);
  const page = await context.newPage();
  const press = (name) => page.getByRole('button', { name, exact: typeof name === 'string' }).click();
  await edition.go(page, '/bench');
  await press(say('Start with my own'));
  await page.getByRole('heading', { name: say('How do you begin?') }).waitFor();
  await page.keyboard.press('m');
  await press(say('A plain room'));
  await page.getByLabel(say('Wide'), { exact: true }).fill(edition.number('4.2 m'));
  await page.getByLabel(say('Deep'), { exact: true }).fill(edition.number('3.4 m'));
  await page.keyboard.press('Enter');
  await press(edition.doorWall);
  await press(say('A window'));
  await press(edition.farWall);
  await page.getByText(say('A window in {wall}.', { wall: edition.farWall })).waitFor();
  await press(say('The room is right'));
  for (const [name, count] of [
    ['cube shelf', 1],
    ['bookcase with shelves', 1],
    ['dresser', 1],
    ['table', 1],
    ['peg field, round holes', 1],
    ['bin for a cube', 2],
  ])
    for (let n = 0; n < count; n += 1) await press(say('One {name} more', { name: say(name) }));
  await press(edition.like(STAND_ALL, { count: 7 }));
  await page.getByText(edition.like(STANDING, { stood: 7 })).waitFor();
  await edition.take(page, 'setout');
  await press(say('That is all of it'));
  for (const [name, amount] of [
    ['Cottons', '1.2 m'],
    ['Linens', '60 cm'],
    ['Jersey and other knits', '70 cm'],
    ['Coating', '90 cm'],
    ['Batting', '80 cm'],
  ]) {
    await page.getByLabel(say('{name}: how much', { name: say(name) }), { exact: true }).fill(edition.number(amount));
    await page.keyboard.press('Enter');
    await page.waitForTimeout(300);
  }
  await edition.take(page, 'heaps');
  await press(say('That is about all'));
  await page.getByRole('region', { name: say('Shelves') }).waitFor();
  await edition.take(page, 'balance');
  await context.close();
}

/** What there is, and what is ahead: the sample as it comes. */
async function lookRound(edition, page) {
  const { say } = edition;
  await edition.go(page, '/bench');
  await page.getByRole('button', { name: say('Keep looking round') }).click();
  await page.getByRole('list', { name: say('What lies on the bench') }).waitFor();
  await edition.take(page, 'bench');
  await edition.go(page, '/stash');
  // A name that ends with its length is at home.
  const cotton = say('cotton');
  const cottons = page.getByRole('list', { name: `${cotton[0].toUpperCase()}${cotton.slice(1)}` });
  await cottons.getByRole('button', { name: / m$/ }).nth(3).click();
  await page.getByText(say('Why here')).waitFor();
  await edition.take(page, 'stash');
  await page.keyboard.press('Escape');
  await edition.go(page, '/photos');
  for (let n = 0; n < 6; n += 1) {
    await page.getByRole('button', { name: say('Take one with the camera') }).click();
    await page.waitForTimeout(400);
  }
  const what = page.getByLabel(say('What is {name}', { name: say('from the camera') }));
  await what.first().fill(`${say('linen')} twill ${edition.number('3.4m')} x 140`);
  await what.nth(1).fill('poplin 2m');
  await edition.take(page, 'photos');
  await edition.go(page, '/year/ahead');
  await page.getByRole('row').nth(2).getByRole('button').click();
  await page.getByRole('heading', { name: say('What helps') }).waitFor();
  await edition.take(page, 'year');
  await page.keyboard.press('Escape');
}

/** The room, from the front and from above. */
async function lookAtRoom(edition, page) {
  const { say } = edition;
  await edition.go(page, '/room/r1-east');
  await page.locator('[data-lot]').nth(24).click();
  await page.getByText(say('Why here')).waitFor();
  await edition.take(page, 'room');
  await edition.go(page, '/room/plan/r1');
  await page.getByRole('button', { name: /Eave drawers.*60 cm/ }).click();
  await edition.take(page, 'room-plan');
}

async function lookAtProjects(edition, page) {
  const { say } = edition;
  await edition.go(page, '/projects?minutes=45');
  await page.getByRole('region', { name: say('In {minutes} minutes', { minutes: 45 }) }).waitFor();
  await edition.take(page, 'projects');
  await page.getByRole('button', { name: say('{minutes} min', { minutes: 45 }) }).click();
  await page
    .getByRole('link', { name: /^Four crew smocks/ })
    .last()
    .click();
  await page.getByRole('img', { name: say('The pieces on the cloth') }).waitFor();
  await page.getByText(say('Still looking …')).waitFor({ state: 'hidden' });
  await edition.take(page, 'project');
}

/** Labels, groups, a plan on the wall and by its groups, its moves; some of them are done. */
async function planIt(edition, page) {
  const { say } = edition;
  const press = (name) => page.getByRole('button', { name }).click();
  await edition.go(page, '/labels');
  await page.getByRole('list', { name: say('Labels') }).waitFor();
  await edition.take(page, 'labels');
  await edition.go(page, '/sort');
  const cloth = page.getByRole('region', { name: say('Cloth'), exact: true });
  const [school, second] = [cloth.getByRole('combobox').first(), cloth.getByRole('combobox').nth(1)];
  await school.selectOption('lengthClass');
  await second.selectOption('fibre');
  await press(new RegExp(`^${say('project lengths')}, ${say('cotton')}`, 'i'));
  await edition.take(page, 'sort');
  await second.selectOption('');
  await school.selectOption('fibre');
  await edition.go(page, '/fit');
  await press(edition.like('What would few moves bring?'));
  await page.getByText(say('What few moves bring')).waitFor({ timeout: 60_000 });
  await page.waitForTimeout(800);
  await press(say('The plan on the wall'));
  await edition.take(page, 'fit');
  await press(say('By groups'));
  await page.getByRole('region', { name: say('To look at') }).waitFor();
  await edition.take(page, 'fit-groups');
  await page.getByRole('radio').last().check();
  await press(say('Adopt this plan'));
  await page.getByLabel(say('Close message')).click();
  await press(say('Carry it out, step by step'));
  await page.getByRole('list', { name: say('Steps') }).waitFor();
  await edition.take(page, 'moves');
  await page.keyboard.press('s');
  await page.getByRole('region', { name: say('Step') }).waitFor();
  for (let n = 0; n < 5; n += 1) {
    await page.keyboard.press('d');
    await page.waitForTimeout(400);
  }
  await edition.go(page, '/fit');
  const carry = page.getByRole('button', { name: edition.like('All {carry} are carried home already', { carry: 7 }) });
  await carry.click();
  await carry.waitFor({ state: 'hidden' });
}

async function findLinen(edition, page) {
  const { say } = edition;
  await edition.go(page, '/find');
  await page.getByRole('combobox').fill(say('linen'));
  await page.getByRole('option').filter({ hasText: ' › ' }).nth(1).click();
  await page.getByText(say('Why here')).waitFor();
}

try {
  for (const language of Object.keys(EDITIONS).filter((one) => (process.argv[2] ?? one) === one)) {
    const edition = new Edition(language);
    const page = await browser.newPage(edition.options);
    await lookRound(edition, page);
    await lookAtRoom(edition, page);
    await lookAtProjects(edition, page);
    await planIt(edition, page);
    await findLinen(edition, page);
    await edition.take(page, 'find');
    await edition.go(page, '/household');
    await edition.take(page, 'house');
    await setOut(edition);
    await page.setViewportSize({ width: 390, height: 844 });
    await findLinen(edition, page);
    await edition.take(page, 'phone-find');
    await page.close();
  }
} finally {
  await browser.close();
  server.kill();
}
