import { useState } from 'react';
import type { SheetResult, Sheet } from '../../../core/formats/sheet/index.ts';
import { Button } from '../../components/Button.tsx';
import { saveFile } from '../../components/saveFile.ts';
import { savePdf } from '../../components/savePdf.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { formatSizes } from '../../../core/units/index.ts';
import { t } from '../../language/index.ts';

/** 1 : 24 is half an inch to the foot. */
const SCALES = { metric: [10, 20, 25, 50], imperial: [12, 24, 48] } as const;

interface SheetMenuProps {
  /** What the files are called. */
  readonly name: string;
  readonly draw: (scale: number) => Promise<SheetResult>;
  /** Furniture to be cut out, where there is some. */
  readonly cutOut?: (scale: number) => Promise<readonly Sheet[]>;
}

/** A drawing on paper, to scale: as SVG, as PDF, and its furniture to cut out. */
export function SheetMenu({ name, draw, cutOut }: SheetMenuProps) {
  const { units } = useHousehold().settings;
  const tell = useApp((state) => state.tell);
  const [scale, setScale] = useState<number>(units === 'metric' ? 20 : 24);
  const save = async (kind: 'svg' | 'pdf') => {
    const result = await draw(scale);
    if (!result.ok) {
      const size = formatSizes([result.widthMm, result.heightMm], units);
      tell({
        tone: 'fault',
        text: t('At 1 : {scale} it would be {size}, larger than any usual sheet.', { scale, size }),
        canUndo: false,
      });
      return;
    }
    await write(kind, [result.sheet], name);
    tell({
      tone: 'done',
      text: t('Saved for {paper} paper. Print it at 100 %.', { paper: result.paper }),
      canUndo: false,
    });
  };
  const write = async (kind: 'svg' | 'pdf', sheets: readonly Sheet[], title: string) => {
    const file = `${title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}-1-${scale}.${kind}`;
    if (kind === 'pdf') await savePdf(sheets, title, file);
    else {
      const { toSvg } = await import('../../../core/formats/sheet/index.ts');
      for (const sheet of sheets) saveFile(toSvg(sheet), file, 'image/svg+xml');
    }
  };
  return (
    <details className="mt-3">
      <summary className="min-h-9 cursor-pointer py-1 font-semibold text-woad">{t('On paper')}</summary>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <label className="flex items-center gap-2">
          {t('Scale')}
          <select
            className="h-11 rounded border border-thread bg-paper px-2 md:h-8"
            value={scale}
            onChange={(event) => setScale(Number(event.target.value))}
          >
            {SCALES[units].map((one) => (
              <option key={one} value={one}>
                {`1 : ${one}`}
              </option>
            ))}
          </select>
        </label>
        <Button look="quiet" onClick={() => void save('pdf')}>
          {t('Save as PDF')}
        </Button>
        <Button look="quiet" onClick={() => void save('svg')}>
          {t('Save as SVG')}
        </Button>
        {cutOut && (
          <Button
            look="quiet"
            onClick={() => void cutOut(scale).then((sheets) => write('pdf', sheets, t('{name} furniture', { name })))}
          >
            {t('Furniture to cut out')}
          </Button>
        )}
      </div>
    </details>
  );
}
