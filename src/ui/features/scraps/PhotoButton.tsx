import { useRef, useState } from 'react';
import type { Point } from '../../../core/layout/index.ts';
import type { PaperName } from '../../../core/scraps/index.ts';
import { outlineScrap } from '../../../workers/client.ts';
import type { Outlined } from '../../../workers/protocol.ts';
import { Button } from '../../components/Button.tsx';
import { FileInput } from '../../components/FileInput.tsx';
import { useHousehold } from '../../state/app.ts';

const FAULTS: Record<Extract<Outlined, { ok: false }>['fault'], string> = {
  dark: 'The photo is too dark. With more light it reads.',
  'no-sheet': 'No sheet of paper is to be seen whole. Lay a white one beside the scrap, on a darker table.',
  'two-sheets': 'Two sheets are to be seen. Leave one of them.',
  'no-scrap': 'Only the sheet is to be seen. The scrap has to differ from the table.',
  crossed: 'The edge of the scrap could not be followed. Lay it flat, with some room around it.',
  'no-picture': 'That is no picture that this browser reads.',
};

/** Takes the outline of a scrap from a photo of it beside a sheet of paper. */
export function PhotoButton({ onOutline }: { onOutline: (outline: readonly Point[]) => void }) {
  const { units } = useHousehold().settings;
  const files = useRef<HTMLInputElement>(null);
  const [isReading, setReading] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const paper: PaperName = units === 'metric' ? 'a4' : 'letter';
  const read = async (file: File) => {
    setReading(true);
    setFault(null);
    const found = await outlineScrap({ file, paper });
    setReading(false);
    if (found.ok) onOutline(found.value.outline);
    else setFault(FAULTS[found.fault]);
  };
  return (
    <div className="mt-1">
      <Button disabled={isReading} onClick={() => files.current?.click()}>
        {isReading ? 'Looking for its edge …' : 'From a photo'}
      </Button>
      <FileInput
        ref={files}
        label="A photo of the scrap beside a sheet"
        accept="image/*"
        capture="environment"
        onFiles={([file]) => void read(file!)}
      />
      <span className="ml-3 text-sm text-stone" data-name>
        beside a sheet of {paper === 'a4' ? 'A4' : 'letter paper'}
      </span>
      {fault && (
        <p role="alert" className="mt-0.5 text-sm font-semibold text-madder">
          {fault}
        </p>
      )}
    </div>
  );
}
