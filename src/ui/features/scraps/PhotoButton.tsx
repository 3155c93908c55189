import { useEffect, useRef, useState } from 'react';
import type { Point } from '../../../core/layout/index.ts';
import type { PaperName, Spot } from '../../../core/scraps/index.ts';
import { outlineScrap } from '../../../workers/client.ts';
import type { Outlined } from '../../../workers/protocol.ts';
import { Button } from '../../components/Button.tsx';
import { FileInput } from '../../components/FileInput.tsx';
import { useHousehold } from '../../state/app.ts';
import { PhotoSheet } from './PhotoSheet.tsx';
import { perLanguage, t } from '../../language/index.ts';

type Fault = Extract<Outlined, { ok: false }>['fault'];

const FAULTS = perLanguage((): Readonly<Record<Fault, string>> => ({
  dark: t('The photo is too dark. With more light it reads.'),
  blurred: t('The photo is blurred. Hold still, or lean on something, and take it again.'),
  'no-sheet': t(
    'No sheet of paper was found. Drag the corners to it, or lay a white one beside the scrap on a darker table.',
  ),
  'two-sheets': t('Two sheets are to be seen. Drag the corners to one of them, or take the other away.'),
  'no-scrap': t('Only the sheet is to be seen. The scrap has to differ from the table.'),
  crossed: t('The edge of the scrap could not be followed. Lay it flat, with some room around it.'),
  'no-picture': t('That is no picture that this browser reads.'),
}));
/** Where the corners wait when no sheet was found. */
const WAITING: readonly Spot[] = [
  { x: 0.3, y: 0.3 },
  { x: 0.7, y: 0.3 },
  { x: 0.7, y: 0.7 },
  { x: 0.3, y: 0.7 },
];

interface Shown {
  readonly file: File;
  readonly url: string;
  readonly sheet: readonly Spot[];
  readonly edge: readonly Spot[] | null;
}

/** Takes the outline of a scrap from a photo of it beside a sheet of paper, whose corners may be put right by hand. */
export function PhotoButton({ onOutline }: { onOutline: (outline: readonly Point[]) => void }) {
  const { units } = useHousehold().settings;
  const files = useRef<HTMLInputElement>(null);
  const [isReading, setReading] = useState(false);
  const [fault, setFault] = useState<Fault | null>(null);
  const [shown, setShown] = useState<Shown | null>(null);
  const url = shown?.url;
  useEffect(() => () => URL.revokeObjectURL(url ?? ''), [url]);
  const paper: PaperName = units === 'metric' ? 'a4' : 'letter';
  const read = async (file: File, photo: string, sheet?: readonly Spot[]) => {
    setReading(true);
    const found = await outlineScrap({ file, paper, ...(sheet && { sheet }) });
    setReading(false);
    setFault(found.ok ? null : found.fault);
    if (found.ok) {
      setShown({ file, url: photo, sheet: found.value.sheet, edge: found.value.edge });
      onOutline(found.value.outline);
      return;
    }
    setShown(found.fault === 'no-picture' ? null : { file, url: photo, sheet: sheet ?? WAITING, edge: null });
  };
  return (
    <div className="mt-1">
      <Button disabled={isReading} onClick={() => files.current?.click()}>
        {isReading ? t('Looking for its edge …') : shown ? t('Another photo') : t('From a photo')}
      </Button>
      <FileInput
        ref={files}
        label={t('A photo of the scrap beside a sheet')}
        accept="image/*"
        capture="environment"
        onFiles={([file]) => void read(file!, URL.createObjectURL(file!))}
      />
      <span className="ml-3 text-sm text-stone" data-name>
        {t('beside a sheet of {paper}', { paper: paper === 'a4' ? 'A4' : t('letter paper') })}
      </span>
      {shown && (
        <>
          <PhotoSheet
            url={shown.url}
            sheet={shown.sheet}
            edge={shown.edge}
            onMove={(sheet) => {
              setShown({ ...shown, sheet });
              void read(shown.file, shown.url, sheet);
            }}
          />
          <p className="mt-1 text-sm text-stone">
            {t(
              'The blue frame should lie on the edges of the sheet; drag its corners where it does not. The dashes are the edge of the scrap.',
            )}
          </p>
        </>
      )}
      {fault && (
        <p role="alert" className="mt-0.5 text-sm font-semibold text-madder">
          {FAULTS()[fault]}
        </p>
      )}
    </div>
  );
}
