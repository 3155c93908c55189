import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Page } from '@playwright/test';
import { IS_LARGE, many, report } from '../tests/trust.ts';
import { expect, offerBundle, openSample, saveBundle, test } from './support.ts';

/** What somebody would write who hopes that it is taken for more than words. */
const WORDS: readonly string[] = [
  '<img src=x onerror=hit()>',
  '<script>hit()</script>',
  '"><svg onload=hit()>',
  "');hit();//",
  '</title></text><a href="javascript:hit()">x</a>',
  '{{hit()}}${hit()}',
  '&lt;b&gt;&#60;i',
  '=HYPERLINK("http://x","y")',
  '%PDF-1.7 (x) Tj ET /JS (hit())',
  '\u202egnirts\u202c',
  'ä日本🧵\u200b',
  '../../etc/passwd',
];

/** Fields that hold words, in whatever record. */
const FIELDS =
  /^(name|notes|note|text|words|subject|title|source|publisher|number|season|garment|era|for|to|size|composition|designer|view|colour|tags|label)$/;

/** Every text of every record is something evil, the same one for the same text; codes and choices stay. */
function poison(bundle: Buffer, first: number): Buffer {
  const files = unzipSync(bundle);
  const raw = JSON.parse(strFromU8(files['household.json']!)) as Record<string, unknown>;
  const known = new Map<string, string>();
  const turn = (text: string) => {
    if (!known.has(text)) known.set(text, `${WORDS[(known.size + first) % WORDS.length]!} ${known.size}`);
    return known.get(text)!;
  };
  const walk = (value: unknown, key: string): unknown => {
    // A size is a short word.
    if (typeof value === 'string' && key === 'size') return value === '' ? value : turn(value).slice(0, 40);
    if (typeof value === 'string') return FIELDS.test(key) && value !== '' ? turn(value) : value;
    if (Array.isArray(value)) return value.map((one) => walk(one, key));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, walk(one, name)]));
  };
  const poisoned = walk(raw, '') as object;
  return Buffer.from(zipSync({ ...files, 'household.json': strToU8(JSON.stringify(poisoned)) }));
}

const SCREENS: readonly string[] = [
  '/bench',
  '/bench/away',
  '/bench/tidy',
  '/bench/count',
  '/stash',
  '/stash/pattern',
  '/stash/thread',
  '/sort',
  '/room',
  '/room/plan',
  '/fit',
  '/moves',
  '/labels',
  '/scan',
  '/find',
  '/daybook',
  '/projects',
  '/projects/p4',
  '/household',
];

/** Where most words stand. */
const MAIN: readonly string[] = [
  '/bench',
  '/stash',
  '/sort',
  '/room',
  '/labels',
  '/projects',
  '/projects/p4',
  '/daybook',
  '/household',
];

/** Anything on the page that words became. */
async function listMarkup(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const found: string[] = [];
    if ((window as unknown as { isHit?: boolean }).isHit) found.push('it was run');
    for (const element of document.querySelectorAll('*')) {
      const { tagName } = element;
      if (tagName === 'SCRIPT' && !element.hasAttribute('src')) found.push('a script');
      if (tagName === 'IMG' && element.getAttribute('src') === 'x') found.push('a picture');
      for (const { name, value } of element.attributes)
        if (name.startsWith('on') || /^\s*javascript:/i.test(value)) found.push(`${tagName} ${name}=${value}`);
    }
    return found;
  });
}

test('words that would be more are words on every screen, on paper, in SVG and in PDF', async ({ page }) => {
  const rounds = many(1, WORDS.length);
  test.setTimeout(300_000 * rounds);
  await page.addInitScript(() => {
    Object.assign(window, {
      hit: () => {
        Object.assign(window, { isHit: true });
      },
    });
  });
  await openSample(page, '/household');
  const good = await saveBundle(page);
  const bad: string[] = [];
  let looks = 0;
  const look = async (where: string) => {
    looks += 1;
    for (const one of await listMarkup(page)) bad.push(`${where}: ${one}`);
  };
  for (let round = 0; round < rounds; round += 1) {
    await offerBundle(page, poison(good, round));
    await page.getByRole('button', { name: 'Open it', exact: true }).click();
    await expect(page.getByText(/^Opened /)).toBeVisible();
    for (const path of IS_LARGE ? SCREENS : MAIN) {
      await page.goto(path);
      await expect(page.getByRole('navigation', { name: 'Screens' })).toBeVisible();
      await expect(page.getByRole('main')).toBeVisible();
      await look(path);
      const first = page.getByRole('main').locator('[data-lot], tbody button').first();
      if (await first.isVisible().catch(() => false)) {
        await first.click({ timeout: 2000 }).catch(() => undefined);
        await look(`${path}, its ticket`);
      }
      await page.emulateMedia({ media: 'print' });
      await look(`${path}, on paper`);
      await page.emulateMedia({ media: 'screen' });
    }
    await page.goto('/labels');
    for (const name of ['PDF', 'SVG']) {
      const button = page.getByRole('button', { name: `Save as ${name}` });
      const saving = page.waitForEvent('download');
      await button.click();
      const file = await (await saving).createReadStream();
      const chunks: Buffer[] = [];
      for await (const chunk of file) chunks.push(chunk as Buffer);
      const bytes = Buffer.concat(chunks);
      looks += 1;
      if (name === 'PDF') {
        if (!bytes.subarray(0, 5).equals(Buffer.from('%PDF-'))) bad.push('PDF: is none');
        for (const word of ['/JS', '/JavaScript', '/URI', '/Launch', '/OpenAction'])
          if (bytes.includes(word)) bad.push(`PDF: ${word}`);
        continue;
      }
      const files =
        bytes[0] === 0x50 ? Object.values(unzipSync(bytes)).map((one) => strFromU8(one)) : [bytes.toString('utf8')];
      for (const text of files)
        bad.push(
          ...(await page.evaluate((svg) => {
            const parsed = new DOMParser().parseFromString(svg, 'image/svg+xml');
            const strange = [...parsed.querySelectorAll('*')].filter(
              (one) =>
                !/^(svg|g|path|rect|line|circle|text|tspan|title|desc|defs|clipPath|image|use|style)$/.test(
                  one.tagName,
                ) || [...one.attributes].some(({ name, value }) => name.startsWith('on') || /javascript:/i.test(value)),
            );
            return strange.map((one) => `SVG: ${one.tagName}`);
          }, text)),
        );
    }
  }
  report('trust.text_looks', looks);
  report('trust.text_bad', bad.length);
  expect(bad).toEqual([]);
});
