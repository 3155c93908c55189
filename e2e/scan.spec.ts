import { findChromium } from '../tools/chromium.mjs';
import { mkdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { encodeQR } from 'qr';
import { createCode, formatCode } from '../src/core/labels/code.ts';
import { expect, expectAccessible, listUnexplained, openSample, saveBundle, test } from './support.ts';

/** Bins of the sample that have a label. */
const BATTING = { code: createCode('heron-loft', 'r1-u1-s1-c1', new Set()), name: 'Batting' };
const OILSKIN = { code: createCode('heron-loft', 'r1-u1-s11-c1', new Set()), name: 'Oilskin' };

/** A film of one frame: a code on grey paper, as the camera would see it. */
function writeFilm(code: string): string {
  const [width, height, module] = [640, 480, 12];
  const grid = encodeQR(code, 'raw', { ecc: 'medium', border: 4 });
  const luma = Buffer.alloc(width * height, 180);
  for (const [row, cells] of grid.entries())
    for (const [column, isDark] of cells.entries())
      for (let y = 0; y < module; y += 1)
        luma.fill(
          isDark ? 30 : 225,
          (60 + row * module + y) * width + 120 + column * module,
          (60 + row * module + y) * width + 120 + (column + 1) * module,
        );
  const chroma = Buffer.alloc((width * height) / 2, 128);
  const folder = join(tmpdir(), `yardmist-camera-${process.pid}`);
  mkdirSync(folder, { recursive: true });
  const path = join(folder, 'film.y4m');
  writeFileSync(path, Buffer.concat([Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 C420\nFRAME\n`), luma, chroma]));
  return path;
}
const film = writeFilm(BATTING.code);
test.use({
  permissions: ['camera'],
  launchOptions: {
    executablePath: findChromium() ?? undefined,
    args: [
      '--no-sandbox',
      '--disable-dev-shm-usage',
      '--disable-gpu',
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  },
});

test('what is scanned is in the hand, and a place takes it; codes that mean nothing here are told', async ({
  page,
}) => {
  // Labels for cloth first: each has its code.
  await openSample(page, '/labels/bolts');
  const labels = page.getByRole('list', { name: 'Labels' });
  await labels.getByRole('checkbox').first().check();
  await labels.getByRole('checkbox').nth(1).check();
  const codes = await labels
    .getByRole('listitem')
    .evaluateAll((lines) => lines.slice(0, 2).map((line) => /GV\w \w{3} \w{3}/.exec(line.textContent ?? '')![0]));
  const names = await labels.getByRole('listitem').locator('.font-semibold').allTextContents();
  const picture = await page.getByRole('img', { name: new RegExp(`^Label: ${names[0]!}`) }).screenshot();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  await saving;
  await expect(labels.getByText('up to date', { exact: true })).toHaveCount(2);

  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bench');
  await page.keyboard.press('s');
  const field = page.getByRole('textbox', { name: 'Code on the label' });
  await expect(field).toBeFocused();
  const scan = async (text: string) => {
    await field.fill(text);
    await field.press('Enter');
  };
  const hand = page.getByRole('region', { name: 'In your hand' });
  await scan(codes[0]!);
  await expect(hand.getByRole('listitem')).toHaveCount(1);
  // A scanner that stammers does not put it back.
  await scan(codes[0]!);
  await expect(page.getByText('Read twice; the second time nothing was done.').first()).toBeVisible();
  await expect(hand.getByRole('listitem')).toHaveCount(1);
  await scan(codes[1]!.toLowerCase());
  await expect(hand.getByRole('listitem')).toHaveCount(2);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  for (const [text, words] of [
    ['hello', 'That is no code of a label'],
    ['AEI OUO 100', 'No code has such letters'],
    [codes[0]!.replace(/.$/, (letter) => (letter === '2' ? '3' : '2')), 'One letter is wrong'],
    [createCode('heron-loft', 'ghost', new Set()), 'Nothing here bears this code'],
    [createCode('tern', 'ghost', new Set()), 'This label belongs to another household'],
  ] as const) {
    await scan(text);
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
  }
  // One goes home; the other into the first bin, whether it fits or is pressed in.
  await hand.getByRole('listitem').first().getByRole('button', { name: 'Home with it' }).click();
  await expect(hand.getByRole('listitem')).toHaveCount(1);
  await scan(BATTING.code);
  const pressed = page.getByRole('button', { name: 'There all the same' });
  const done = page.getByText(new RegExp(`is in .*${BATTING.name}\\.`));
  await expect(pressed.or(done).first()).toBeVisible();
  if (await pressed.isVisible()) await pressed.click();
  await expect(done).toBeVisible();
  await expect(hand).toHaveCount(0);
  // A picture of the label does as well.
  await page
    .getByLabel('Picture of a label')
    .setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: picture });
  await expect(hand).toContainText(names[0]!);
  await page
    .getByLabel('Picture of a label')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert').filter({ hasText: 'no picture that this browser reads' })).toBeVisible();
});

test('the hand scanner sends what it reads, the camera sees a label, and both may be missing', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openSample(page, '/scan');
  // On a phone the camera is on at once, and off again for as long as one likes.
  await expect(page.getByLabel('What the camera sees')).toBeVisible();
  await page.getByRole('button', { name: 'Camera off' }).click();
  await expect(page.getByText(/listens: its button sends/)).toBeVisible();
  const scanner = await context.newPage();
  await scanner.goto('/devices/scanner');
  await scanner.getByRole('textbox').fill(formatCode(OILSKIN.code));
  await scanner.getByRole('button', { name: 'Scan' }).click();
  const look = page.getByRole('region', { name: 'What is in it' });
  await expect(look.getByRole('heading')).toContainText(OILSKIN.name);
  await expectAccessible(scanner);
  await scanner.close();
  await page.getByRole('button', { name: 'Camera', exact: true }).click();
  await expect(look.getByRole('heading')).toContainText(BATTING.name, { timeout: 15_000 });
  await page.getByRole('button', { name: 'Camera off' }).click();
  await expect(page.getByLabel('What the camera sees')).toHaveCount(0);
  await context.clearPermissions();
  await page.route('**/devices/scanner/stream', (route) => route.fulfill({ status: 204 }));
  await page.reload();
  await expect(page.getByText('No hand scanner answers here; typing does as well.')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('a place is counted: what is missing was last seen there, what is less is less, all in one line', async ({
  page,
}) => {
  await openSample(page, '/bench');
  await expect(page.getByRole('button', { name: /^Count/ })).toBeVisible();
  await page.keyboard.press('o');
  await expect(page.getByText('A round of counting')).toBeVisible();
  await page.keyboard.press('d');
  const list = page.getByRole('list', { name: 'What should be there' });
  const name = (await page.getByRole('main').getByRole('region').getByRole('heading').textContent())!;
  const count = await list.getByRole('listitem').count();
  await page.keyboard.press('a');
  await expect(list.getByRole('checkbox', { checked: true })).toHaveCount(count);
  expect(await listUnexplained(page)).toEqual([]);
  await expectAccessible(page);
  const missing = (await list.getByRole('listitem').first().locator('.font-semibold').textContent())!;
  await list.getByRole('checkbox').first().uncheck();
  await list.getByRole('textbox').nth(1).fill('0.3 m');
  await page.getByRole('button', { name: /^Counted; the rest is missing/ }).click();
  await expect(page.getByText(`Counted ${name}.`)).toBeVisible();
  await expect(page.getByRole('main').getByRole('region').getByRole('heading').first()).not.toHaveText(name);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'Missing' })).toContainText(`${missing} last seen in ${name}`);
  await page.keyboard.press('u');
  await expect(page.getByRole('region', { name: 'Missing' })).toHaveCount(0);
  expect((await saveBundle(page)).length).toBeGreaterThan(1000);
});
