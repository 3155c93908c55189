import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, offerBundle, openSample, saveBundle, test } from './support.ts';

/** A file of everything in which a thing is called otherwise. */
function rename(bundle: Buffer, from: string, to: string): Buffer {
  const files = unzipSync(bundle);
  const text = strFromU8(files['household.json']!).replaceAll(from, to);
  return Buffer.from(zipSync({ ...files, 'household.json': strToU8(text) }));
}

/** The first page of the labels that are saved: its words, and how many pictures are on it. */
async function readPdf(page: Page): Promise<{ words: string; pictures: number }> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await waiting).createReadStream()) chunks.push(chunk as Buffer);
  const file = await getDocument({ data: new Uint8Array(Buffer.concat(chunks)), verbosity: 0 }).promise;
  const first = await file.getPage(1);
  const [{ items }, { fnArray }] = await Promise.all([first.getTextContent(), first.getOperatorList()]);
  await file.destroy();
  return {
    words: items.map((item) => ('str' in item ? item.str : '')).join(''),
    pictures: fnArray.filter((fn) => fn === OPS.paintImageXObject).length,
  };
}

test('a name of any letters is read on the bench, in what is said of it, in Find and on its printed label', async ({
  page,
}) => {
  const name = 'Łódź שמלה';
  await openSample(page, '/household');
  await offerBundle(page, rename(await saveBundle(page), 'Eddy smock', name));
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText(/^Opened /)).toBeVisible();

  await page.goto('/bench');
  // It stands by itself in the sentence, which goes on after it.
  const isolated = `\u2068${name}\u2069`;
  const back = page.getByRole('button', { name: `Put ${isolated} back in Low shelves › Shelf B2` });
  await back.click();
  await expect(page.getByText(`Put back ${isolated}`)).toBeVisible();
  await page.keyboard.press('u');
  await expect(back).toBeVisible();
  await expectAccessible(page);

  await page.keyboard.press('f');
  await page.keyboard.type('łódź');
  await expect(page.getByRole('option', { name: new RegExp(name) })).toBeVisible();
  await page.keyboard.press('Escape');

  await page.goto('/labels/others');
  await page.getByRole('searchbox', { name: 'Narrow the labels' }).fill('łódź');
  const line = page.getByRole('list', { name: 'Labels' }).getByRole('listitem');
  await expect(line).toHaveCount(1);
  await line.getByRole('checkbox').check();
  const { words } = await readPdf(page);
  for (const word of name.split(' ')) expect(words.replaceAll(/[\s\p{Cc}]+/gu, '')).toContain(word);
  expect(words).not.toContain('?');
});

test('letters that come with no font are printed as the machine writes them', async ({ page }) => {
  await openSample(page, '/household');
  await offerBundle(page, rename(await saveBundle(page), 'Eddy smock', '麻布 😀'));
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText(/^Opened /)).toBeVisible();
  await page.goto('/labels/others');
  await page.getByRole('searchbox', { name: 'Narrow the labels' }).fill('麻布');
  const line = page.getByRole('list', { name: 'Labels' }).getByRole('listitem');
  await expect(line).toHaveCount(1);
  await line.getByRole('checkbox').check();
  const { words, pictures } = await readPdf(page);
  expect(words).not.toContain('?');
  expect(pictures).toBe(1);
});
