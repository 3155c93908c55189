import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import PO from 'pofile';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, giveSpeech, openSample, saveBundle, test } from './support.ts';

/** Screens in another language: chosen in House or by the device, with nothing of English left on them. */

const catalogue = PO.parse(readFileSync(join(import.meta.dirname, '../src/ui/language/de.po'), 'utf8'));
const GERMAN = new Set(catalogue.items.map(({ msgstr }) => msgstr[0]?.trim()));
/** What is only said in English: whole messages of more than a word, for a word may be somebody’s own. */
const ENGLISH = new Set(
  catalogue.items
    .map(({ msgid }) => msgid.trim())
    .filter((message) => message.includes(' ') && !message.includes('{') && !GERMAN.has(message)),
);

const SCREENS = [
  [
    '/bench',
    '/bench/away',
    '/bench/tidy',
    '/bench/count',
    '/scan',
    '/find',
    '/daybook',
    '/household',
    '/ways',
    '/guide',
  ],
  ['/stash/fabric', '/stash/pattern', '/stash/scrap', '/sort', '/room/r1-east', '/room/plan/r1', '/room/balance'],
  ['/fit', '/moves', '/labels', '/projects', '/projects/p4', '/projects/shop', '/projects/sums', '/projects/goals'],
  ['/year', '/year/through', '/year/ahead', '/year/moving', '/setout', '/heaps', '/list', '/photos'],
];

/** All that is said on a screen, by words and by names that are heard; names of one’s own are not. */
const listSaid = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode())
      if (!walk.currentNode.parentElement!.closest('[data-name], script, style'))
        found.push(walk.currentNode.textContent!.trim());
    for (const one of document.querySelectorAll('[aria-label], [title], [placeholder]'))
      for (const name of ['aria-label', 'title', 'placeholder']) found.push(one.getAttribute(name)?.trim() ?? '');
    for (const one of document.querySelectorAll('input')) found.push(one.value);
    return found;
  });
/** A figure with a point before its decimals; thousands have a point too, and days. */
const POINTED = /(?<![\d.])\d+\.\d{1,2}(?![\d.])/u;

async function expectGerman(page: Page, where: string): Promise<void> {
  const said = await listSaid(page);
  expect(
    said.filter((text) => ENGLISH.has(text) || POINTED.test(text)),
    where,
  ).toEqual([]);
}

test.describe('a device that speaks German', () => {
  test.use({ locale: 'de-DE' });

  for (const screens of SCREENS)
    test(`${screens[0]} to ${screens.at(-1)}: German, and no wider than a small phone`, async ({ page }) => {
      for (const path of screens) {
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
        await expect(page.locator('html')).toHaveAttribute('lang', 'de');
        await expect(page.getByRole('navigation', { name: 'Seiten', exact: true })).toContainText('Haushalt');
        await expectGerman(page, path);
        await page.setViewportSize({ width: 320, height: 720 });
        const measure = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        await expect.poll(measure, { message: path }).toBeLessThanOrEqual(0);
        await page.setViewportSize({ width: 1280, height: 800 });
      }
      await expectAccessible(page);
    });
});

test.describe('in German', () => {
  test.use({ locale: 'de-DE' });

  test('the ticket of a thing of each kind, and its form', async ({ page }) => {
    for (const kind of ['fabric', 'pattern', 'thread', 'notion', 'tool', 'scrap', 'kit', 'other']) {
      await page.goto(`/stash/${kind}`);
      await page.getByRole('button', { name: 'Tabelle' }).click();
      await page.getByRole('row').nth(1).click();
      await expect(page.getByRole('complementary').getByRole('heading').first()).toBeVisible();
      await expectGerman(page, `ticket of ${kind}`);
      await page.keyboard.press('e');
      await expect(page.getByRole('form', { name: / bearbeiten$/ })).toBeVisible();
      await expectGerman(page, `form of ${kind}`);
    }
  });
});

test('a thing is looked for, seen and changed by the words of the craft in German', async ({ page }) => {
  await openSample(page, '/household');
  await page.getByLabel('Language').selectOption('Deutsch');
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  await page.keyboard.press('Escape');
  await page.goto('/find');
  await page.getByRole('combobox', { name: 'Wo ist …' }).fill('zuschneiden');
  await page.getByRole('option', { name: /Dressmaking shears/ }).click();
  const ticket = page.getByRole('complementary');
  await expect(ticket).toContainText('Zuschneiden');
  await ticket.getByRole('button', { name: /^Bearbeiten/ }).click();
  const form = page.getByRole('form', { name: 'Dressmaking shears bearbeiten' });
  await expect(form.getByLabel('Typ', { exact: true })).toHaveValue('Zuschneiden');
  await form.getByLabel('Typ', { exact: true }).fill('Nahttrenner');
  await form.getByRole('button', { name: 'Sichern' }).click();
  await expect(ticket).toContainText('Nahttrenner');
  await page.goto('/household');
  await page.getByLabel('Sprache').selectOption('English');
  const { items } = JSON.parse(strFromU8(unzipSync(await saveBundle(page))['household.json']!)) as {
    items: { name: string; box?: { type: string } }[];
  };
  expect(items.find(({ name }) => name === 'Dressmaking shears')!.box!.type).toBe('seam ripper');
});

test('lines are typed in German: a cloth, a heap, what a project needs; and found by German words', async ({
  page,
}) => {
  await giveSpeech(page, { de: 'Wolle grau 2 m' });
  await openSample(page, '/household');
  await page.getByLabel('Language').selectOption('Deutsch');
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  await page.goto('/stash/fabric');
  const line = page.getByLabel('In einer Zeile dazu');
  await page.getByRole('button', { name: 'Sag es' }).click();
  await expect(line).toHaveValue('Wolle grau 2 m');
  await line.fill('dunkelblauer Leinenköper 3,4 m 140 breit gewaschen von Stoffm');
  const read = page.getByLabel('Wie es gelesen wurde');
  await expect(read).toContainText('breit');
  await expect(read.getByLabel('Was „Leinen“ bedeutet')).toHaveValue('fibre');
  await expect(read.getByLabel('Was „köper“ bedeutet')).toHaveValue('weave');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await line.fill('Popel');
  await line.press('Tab');
  await expect(line).toHaveValue('Popeline ');
  await line.fill('Baumwolle grün, Stapel 30 cm hoch');
  await line.press('Enter');
  await expect(line).toHaveValue('');

  // A list of one's own, headed and written in German.
  await page.goto('/list');
  const list = ['Bezeichnung;Stoffart;Länge;Farbe', 'Weste;Leinenköper;2,5 m;dunkelgrün', 'Saum;Flanell;1 m;bläulich'];
  await page.getByLabel('Zeilen hier einfügen').fill(list.join('\n'));
  await page.getByRole('button', { name: 'Ansehen' }).click();
  await expect(page.getByLabel('Spalte 2 ist').locator('option:checked')).toHaveText('Stoffklasse');
  await expect(page.getByText('„bläulich“ ist keine bekannte Farbe. Versuch türkis')).toBeVisible();
  await page.locator('input[aria-invalid=true]').fill('türkis');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Alle aufnehmen' }).click();
  await expect(page.getByText('2 Zeilen kamen dazu.')).toBeVisible();

  await page.goto('/find');
  await page.getByRole('combobox', { name: 'Wo ist …' }).fill('wo ist der blaue Leinenköper');
  await page.getByRole('option', { name: /Dunkelblauer Leinenköper/ }).click();
  const ticket = page.getByRole('complementary');
  await expect(ticket).toContainText('3,40 m');
  await expect(ticket).toContainText('Köper');

  await page.goto('/projects/p4');
  const need = page.getByLabel('Noch etwas, das es braucht');
  await need.fill('Futter 1,4 m');
  await need.press('Enter');
  await expect(page.getByRole('listitem', { name: 'Futter', exact: true })).toBeVisible();
  const step = page.getByLabel('Noch ein Schritt');
  await step.fill('Ärmel einsetzen 45');
  await step.press('Enter');
  await expect(page.getByRole('listitem').filter({ hasText: 'Ärmel einsetzen' })).toBeVisible();

  await page.goto('/household');
  await page.getByLabel('Sprache').selectOption('English');
  // In the file it is as everywhere: other languages read it too.
  const { items } = JSON.parse(strFromU8(unzipSync(await saveBundle(page))['household.json']!)) as {
    items: { name: string; source?: string; fabric?: object }[];
  };
  const twill = items.find(({ name }) => name === 'Dunkelblauer Leinenköper')!;
  expect(twill.fabric).toMatchObject({ fibre: 'linen', weave: 'twill', widthMm: 1400 });
});

test('the language is chosen in House, at once, kept, and found back from', async ({ page }) => {
  await openSample(page, '/household');
  await page.getByLabel('Language').selectOption('Deutsch');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Haushalt');
  await expect(page.getByText('Licht', { exact: true })).toBeVisible();
  await page.goto('/stash/fabric');
  await expect(page.getByText(/^\d+,\d\d m$/u).first()).toBeVisible();
  // A length is typed with a comma as well as with a point.
  await page.keyboard.press('n');
  const form = page.getByRole('form', { name: 'Neu: Stoff' });
  await form.getByLabel('Name').fill('Haferköper');
  await form.getByLabel('Länge').fill('3,4 m');
  await form.getByRole('button', { name: 'Sichern' }).click();
  await expect(page.getByRole('complementary')).toContainText('3,40 m');
  await page.goto('/household');
  await page.getByLabel('Sprache').selectOption('English');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('House');
});
