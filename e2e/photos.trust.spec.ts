import { many, report } from '../tests/trust.ts';
import { createPhonePhotos, createPng } from './pictures.ts';
import { expect, openSample, test } from './support.ts';

test('a heap of photos is taken in without where they were taken; what is none, or too large, is named', async ({
  page,
}) => {
  const count = many(12, 100);
  test.setTimeout(60_000 + count * 5000);
  await openSample(page, '/photos');
  const photos = await createPhonePhotos(page, count);
  expect(photos[0]!.includes('GPSLatitude')).toBe(true);
  const files = photos.map((buffer, n) => ({ name: `phone-${n}.jpg`, mimeType: 'image/jpeg', buffer }));
  await page.evaluate(() => {
    const slow: number[] = [];
    Object.assign(window, { slow });
    new PerformanceObserver((list) => slow.push(...list.getEntries().map((entry) => entry.duration))).observe({
      entryTypes: ['longtask'],
    });
  });
  // More than a hundred came and went before: the next are taken in as the first would be.
  const drawing = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" onload="window.isHit = true"></svg>');
  const drawings = Array.from({ length: 100 }, (_, n) => ({
    name: `drawing-${n}.jpg`,
    mimeType: 'image/jpeg',
    buffer: drawing,
  }));
  await page.getByLabel('Photo files').setInputFiles(drawings);
  await expect(page.getByText('That is a drawing (SVG), not a photo.')).toHaveCount(100);
  const startMs = Date.now();
  await page
    .getByLabel('Photo files')
    .setInputFiles([
      ...files,
      { name: 'huge.png', mimeType: 'image/png', buffer: createPng(12_000, 12_000) },
      { name: 'half.jpg', mimeType: 'image/jpeg', buffer: photos[0]!.subarray(0, 700) },
    ]);
  await expect(page.getByAltText(`phone-${count - 1}.jpg`)).toBeVisible({ timeout: 60_000 + count * 2000 });
  await expect(page.getByText(/It has 144 million pixels/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('The picture is broken, or breaks off.')).toBeVisible();
  report('trust.photos', count);
  report('trust.photos_ms', Date.now() - startMs);
  const longest = await page.evaluate(() => Math.max(0, ...(window as unknown as { slow: number[] }).slow));
  report('trust.photos_longest_task_ms', Math.round(longest));
  for (let n = 0; n < count; n += 1) await page.getByLabel(`What is phone-${n}.jpg`).fill(`linen phone${n} 1 m`);
  // What was typed while others were still being developed is there.
  const typed = await page
    .getByLabel(/^What is phone-/)
    .evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  expect(typed.toSorted()).toEqual(files.map((_, n) => `linen phone${n} 1 m`).toSorted());
  await page.getByRole('button', { name: `Take in ${count}` }).click({ timeout: 20_000 });
  await expect(page.getByText(`${count} things came in.`)).toBeVisible();
  const kept = await page.evaluate(async () => {
    const open = indexedDB.open('yardmist');
    const database = await new Promise<IDBDatabase>((resolve) => {
      open.addEventListener('success', () => resolve(open.result));
    });
    const all = database.transaction('photos').objectStore('photos').getAll();
    const rows = await new Promise<{ bytes: Uint8Array; swatch: Uint8Array }[]>((resolve) => {
      all.addEventListener('success', () => resolve(all.result as never));
    });
    database.close();
    const text = new TextDecoder('latin1');
    const told = rows.filter(({ bytes, swatch }) => /Exif|GPS/.test(text.decode(bytes) + text.decode(swatch)));
    return { rows: rows.length, told: told.length };
  });
  report('trust.photos_bad', count - kept.rows + kept.told);
  expect(kept).toEqual({ rows: count, told: 0 });
});
