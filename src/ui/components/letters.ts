import type { LoadLetters } from '../../core/formats/sheet/pdf.ts';
import arabic from '@fontsource/cairo/files/cairo-arabic-400-normal.woff?url';
import hebrew from '@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-400-normal.woff?url';
import cyrillicExt from '@fontsource/noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff?url';
import cyrillic from '@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff?url';
import greekExt from '@fontsource/noto-sans/files/noto-sans-greek-ext-400-normal.woff?url';
import greek from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url';
import latinExt from '@fontsource/noto-sans/files/noto-sans-latin-ext-400-normal.woff?url';
import latin from '@fontsource/noto-sans/files/noto-sans-latin-400-normal.woff?url';
import vietnamese from '@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff?url';

const FILES: Readonly<Record<Parameters<LoadLetters>[0], string>> = {
  latin,
  'latin-ext': latinExt,
  vietnamese,
  greek,
  'greek-ext': greekExt,
  cyrillic,
  'cyrillic-ext': cyrillicExt,
  hebrew,
  arabic,
};

/** Letters for what is printed, from the files that come with the app. */
export const loadLetters: LoadLetters = async (script) => {
  const answer = await fetch(FILES[script]);
  if (!answer.ok) throw new Error(`the letters of ${script} did not come`);
  return new Uint8Array(await answer.arrayBuffer());
};
