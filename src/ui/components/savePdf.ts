import type { Sheet } from '../../core/formats/sheet/index.ts';
import { saveFile } from './saveFile.ts';

/** Saves sheets as one PDF file, with the letters that they need. */
export async function savePdf(sheets: readonly Sheet[], title: string, file: string): Promise<void> {
  const [{ toPdf }, { loadLetters }] = await Promise.all([
    import('../../core/formats/sheet/pdf.ts'),
    import('./letters.ts'),
  ]);
  saveFile(await toPdf(sheets, title, loadLetters), file, 'application/pdf');
}
