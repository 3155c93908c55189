import type { Sheet } from '../../core/formats/sheet/index.ts';
import { saveFile } from './saveFile.ts';

/** Saves sheets as one PDF file, with the letters that they need; those that do not come with the app are the machine’s. */
export async function savePdf(sheets: readonly Sheet[], title: string, file: string): Promise<void> {
  const [{ toPdf }, { loadLetters }, { paintLine }] = await Promise.all([
    import('../../core/formats/sheet/pdf.ts'),
    import('./letters.ts'),
    import('./paintLine.ts'),
  ]);
  saveFile(await toPdf(sheets, title, { load: loadLetters, paint: paintLine }), file, 'application/pdf');
}
