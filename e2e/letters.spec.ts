import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, expectAccessible, offerBundle, openSample, saveBundle, test } from './support.ts';

/** A file of everything in which a thing is called otherwise. */
function rename(bundle: Buffer, from: string, to: string): Buffer {
  const files = unzipSync(bundle);
  const text = strFromU8(files['household.json']!).replaceAll(from, to);
  return Buffer.from(zipSync({ ...files, 'household.json': strToU8(text) }));
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
  const back = page.getByRole('button', {
    name: new RegExp(`^Put \u2068?${name}\u2069? back in Low shelves › Shelf B2$`),
  });
  await back.click();
  // It stands by itself in the sentence, which goes on after it.
  await expect(page.getByText(`Put back ${name}`)).toBeVisible();
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
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as PDF' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await waiting).createReadStream()) chunks.push(chunk as Buffer);
  const file = await getDocument({ data: new Uint8Array(Buffer.concat(chunks)), verbosity: 0 }).promise;
  const { items } = await (await file.getPage(1)).getTextContent();
  const words = items.map((item) => ('str' in item ? item.str : '')).join('');
  for (const word of name.split(' ')) expect(words.replaceAll(/[\s\p{Cc}]+/gu, '')).toContain(word);
  expect(words).not.toContain('?');
  await file.destroy();
});
