import { createCode } from '../src/core/labels/code.ts';
import { expectFolded } from './ledger.ts';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { expect, offerBundle, saveBundle, test } from './support.ts';

const BATTING = createCode('heron-loft', 'r1-u1-s1-c1', new Set());
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const DAY_MS = 86_400_000;

/**
 * A week in the sample, lived by keyboard, scanner and phone, from the evening after tomorrow on; on Sunday another device
 * joins. After every day the daybook folds to what is stored.
 */
export async function liveWeek(page: Page, context: BrowserContext, browser: Browser): Promise<void> {
  const monday = Date.now() + DAY_MS;
  const day = (nth: number) => context.clock.setFixedTime(new Date(monday + nth * DAY_MS));
  await day(0);
  await page.goto('/bench');
  await expect(page.getByRole('button', { name: /^Scan/ })).toBeVisible();
  const ticket = page.getByRole('complementary', { name: 'Ticket' });
  const find = page.getByRole('combobox', { name: 'Where is the…' });
  const open = async (typed: string, name: RegExp) => {
    await page.keyboard.press('f');
    await find.fill(typed);
    await page.getByRole('option', { name }).first().click();
    await expect(page).toHaveURL(/\/find\//);
    // The ticket of the screen before hangs there already; what is pressed on it would be lost with it.
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Find');
    await expect(ticket).toContainText(name);
    // The box lets the keys go, and the ticket has all its buttons.
    await expect(find).not.toBeFocused();
    await expect(ticket.getByRole('button', { name: /^Used, lent, given, gone/ })).toBeVisible();
  };

  await test.step('Monday, by keys: found, taken out, cut for a project, put back', async () => {
    await open('brick linen twil', /Brick linen twill/);
    await page.keyboard.press('t');
    await expect(page.getByText('Took out Brick linen twill')).toBeVisible();
    await page.keyboard.press('c');
    await ticket.getByLabel('How much to cut').fill('40 cm');
    await ticket.getByLabel('For which project').fill('tiller cover');
    await page.keyboard.press('Enter');
    await expect(ticket.getByRole('button', { name: 'Put back' })).toBeVisible();
    await page.keyboard.press('b');
    await expect(ticket.getByRole('button', { name: 'Take out' })).toBeVisible();
    await expectFolded(page);
    await page.keyboard.press('j');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Daybook');
    await expect(page.getByRole('main').getByRole('listitem').nth(1)).toContainText(
      'Cut 0.40 m from Brick linen twill for tiller cover',
    );
  });

  await test.step('Tuesday, on the phone: something new comes and is put away', async () => {
    await day(1);
    await page.setViewportSize(PHONE);
    await page.goto('/stash');
    await page.getByLabel('Add in one line').fill('jersey heron grey 1.2m x 150');
    await page.getByLabel('Add in one line').press('Enter');
    await expect(page.getByRole('link', { name: 'Cloth 126' })).toBeVisible();
    await page.goto('/bench/away');
    const first = page.getByRole('list', { name: 'The best places' }).getByRole('button').first();
    await expect(first).toBeVisible({ timeout: 20_000 });
    await first.click();
    await expect(page.getByText(/^Moved /)).toBeVisible();
    await expectFolded(page);
  });

  let code = '';
  await test.step('Wednesday, with the scanner: labels are printed, a thing is scanned and goes into a bin', async () => {
    await day(2);
    await page.setViewportSize(WIDE);
    await page.goto('/labels/bolts');
    const labels = page.getByRole('list', { name: 'Labels' });
    await page.getByLabel('Narrow the labels').fill('brick fleece');
    await labels.getByRole('checkbox').first().check();
    code = /GV\w \w{3} \w{3}/.exec((await labels.getByRole('listitem').first().textContent())!)![0];
    await page.getByRole('button', { name: 'Save as SVG' }).click();
    await expect(labels.getByText('up to date', { exact: true })).toHaveCount(1);
    await page.goto('/scan');
    await expect(page.getByText(/listens: its button sends/)).toBeVisible();
    // The scanner's own page is driven elsewhere; here it is only its trigger that is pressed.
    for (const text of [code, BATTING]) {
      const sent = await page.request.post('/devices/scanner/scan', { form: { code: text } });
      expect(sent.ok()).toBe(true);
    }
    const pressed = page.getByRole('button', { name: 'There all the same' });
    const done = page.getByText('Brick fleece is in Tall cubes › A5 › Batting.');
    await expect(pressed.or(done).first()).toBeVisible();
    if (await pressed.isVisible()) await pressed.click();
    await expect(done).toBeVisible();
    await expectFolded(page);
  });

  await test.step('Thursday, at the ticket: lent, washed, used up', async () => {
    await day(3);
    await open('brick sateen', /Brick sateen/);
    await page.keyboard.press('x');
    await expect(ticket.getByLabel('Lent to')).toBeFocused();
    await page.keyboard.type('the skiff crew');
    await page.keyboard.press('Enter');
    await expect(ticket).toContainText('lent to the skiff crew');
    await open('brick diamond drill', /Brick diamond drill/);
    await ticket.getByRole('button', { name: 'It is washed now' }).click();
    await expect(page.getByText('Washed Brick diamond drill')).toBeVisible();
    await page.keyboard.press('x');
    await ticket.getByRole('button', { name: 'Used up' }).click();
    await expect(ticket).toContainText('It is no longer in the stash.');
    await expectFolded(page);
  });

  let missing = '';
  await test.step('Friday: a place is counted, and something is missing', async () => {
    await day(4);
    await page.goto('/bench/count');
    await page.getByRole('button', { name: /^Begin/ }).click();
    const list = page.getByRole('list', { name: 'What should be there' });
    missing = (await list.getByRole('listitem').first().locator('.font-semibold').textContent())!;
    await page.getByRole('button', { name: /^All of it is there/ }).click();
    await list.getByRole('checkbox').first().uncheck();
    await page.getByRole('button', { name: /^Counted; the rest is missing/ }).click();
    await expect(page.getByText(/^Counted .+\.$/)).toBeVisible();
    await expectFolded(page);
  });

  await test.step('Saturday, on the phone: it turns up, what was lent comes back, and the drill is not used up after all', async () => {
    await day(5);
    await page.setViewportSize(PHONE);
    await page.goto('/bench');
    await expect(page.getByRole('region', { name: 'Missing' })).toContainText(missing);
    await page.getByRole('button', { name: 'Found; it is home' }).click();
    await page.getByRole('button', { name: 'It came back' }).click();
    await expect(page.getByRole('region', { name: 'Lent' })).toHaveCount(0);
    await page.goto('/daybook');
    await page.getByLabel('Narrow the daybook').fill('used up brick diamond');
    await page.getByRole('button', { name: 'Undo: Used up Brick diamond drill' }).click();
    await expect(page.getByText('Took back: Brick diamond drill')).toBeVisible();
    await expectFolded(page);
  });

  await test.step('Sunday: the other device joins, and what was moved on both is decided', async () => {
    await day(6);
    await page.setViewportSize(WIDE);
    const bundle = await saveBundle(page);
    const device = await browser.newContext();
    await device.clock.setFixedTime(new Date(monday + 6.1 * DAY_MS));
    const other = await device.newPage();
    await offerBundle(other, bundle);
    await other.getByRole('button', { name: 'Open it' }).click();
    await expect(other.getByText('Opened Heron Loft.')).toBeVisible();
    // Both take hold of the same cloth: one lends it, the other takes it out; and each does something besides.
    await other.goto('/scan');
    await other.getByLabel('Code on the label').fill(code);
    await other.getByLabel('Code on the label').press('Enter');
    await expect(other.getByText('Took out Brick fleece')).toBeVisible();
    await other.goto('/labels/bolts');
    await other.getByLabel('Narrow the labels').fill('brick sateen');
    await other.getByRole('list', { name: 'Labels' }).getByRole('checkbox').first().check();
    await other.getByRole('button', { name: 'Save as SVG' }).click();
    await expect(other.getByText(/they count as printed now/)).toBeVisible();
    await expectFolded(other);
    const theirs = await saveBundle(other);
    await device.close();
    await open('brick fleece', /Brick fleece/);
    await page.keyboard.press('x');
    await ticket.getByLabel('Lent to').fill('the boatyard');
    await ticket.getByLabel('Lent to').press('Enter');
    await expect(ticket).toContainText('lent to the boatyard');
    await offerBundle(page, theirs);
    const join = page.getByRole('region', { name: 'Join the two daybooks' });
    await expect(join).toContainText('2 lines of its daybook are new here');
    const conflict = join.getByRole('list', { name: 'Changed in both' }).getByRole('listitem');
    await expect(conflict).toHaveCount(1);
    await expect(conflict).toContainText('Brick fleece where it is');
    // The later one is chosen; here it is said otherwise.
    await expect(conflict.getByRole('radio', { name: /^In the file: Took out Brick fleece/ })).toBeChecked();
    await conflict.getByRole('radio', { name: /^Here: Lent Brick fleece to the boatyard/ }).check();
    await join.getByRole('button', { name: 'Join both' }).click();
    await expect(page.getByText(/^Joined 2 lines of the other daybook\./)).toBeVisible();
    await expectFolded(page);
    await open('brick fleece', /Brick fleece/);
    await expect(ticket).toContainText('lent to the boatyard');
    await page.keyboard.press('j');
    await expect(page.getByRole('main').getByText('Took out Brick fleece').first()).toBeVisible();
  });

  await test.step('then a plan is looked for, and it knows what the week has shown', async () => {
    await page.keyboard.press('5');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fit');
    await page.keyboard.press('s');
    await expect(page.getByText(/^Learnt: how often \d+ things? (is|are) used$/)).toBeVisible();
    await page.getByRole('button', { name: /^Stop/ }).click();
    await expect(page.getByText(/to carry or refold/)).toBeVisible({ timeout: 20_000 });
    await expectFolded(page);
  });
}
