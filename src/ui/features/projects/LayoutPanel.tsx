import { lazy, Suspense, useMemo, useState } from 'react';
import {
  getCutFigures,
  listPieces,
  toBlocks,
  toClothLength,
  toSheet,
  type NeedStanding,
} from '../../../core/projects/index.ts';
import { isOver, type Project } from '../../../core/records/index.ts';
import { formatClothLength, formatSize } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { wordCount } from '../../text/index.ts';
import { LayoutPicture } from './LayoutPicture.tsx';
import { useLayout } from './useLayout.ts';
import { useSaveProject } from './useSaveProject.ts';

const PiecesForm = lazy(async () => ({ default: (await import('./PiecesForm.tsx')).PiecesForm }));

/** Widths that cloth comes in, mm: for a cloth that is not chosen yet. */
const WIDTHS_MM = [1120, 1400, 1500];

/** How the pieces of one cloth lie on it, and what that takes. */
export function LayoutPanel({ project, standing }: { project: Project; standing: NeedStanding }) {
  const { need, item, promised, promisedAmount } = standing;
  const { units } = useHousehold().settings;
  const save = useSaveProject(project);
  const [width, setWidth] = useState(WIDTHS_MM[1]!);
  const [isWriting, setWriting] = useState(false);
  const widthMm = item?.fabric?.widthMm ?? width;
  const pieces = useMemo(() => listPieces(project, need.part), [project, need.part]);
  const figures = useMemo(
    () =>
      getCutFigures(need.cutting, {
        fabric: item?.fabric ?? { fibre: 'cotton', cloth: 'poplin', widthMm, print: 'solid' },
        isWashed: item ? (promised[0]?.lot.isWashed ?? false) : true,
      }),
    [need.cutting, item, promised, widthMm],
  );
  const blocks = useMemo(() => toBlocks(pieces, figures), [pieces, figures]);
  const sheet = useMemo(() => toSheet({ widthMm }, figures), [widthMm, figures]);
  const { layout, leastMm, isRunning, failure } = useLayout(blocks, sheet, JSON.stringify([blocks, sheet]));
  const takesMm = layout ? Math.ceil(toClothLength(layout.lengthMm, figures) / 10) * 10 : 0;
  const have = promisedAmount + (need.used ?? 0);
  const isWhole = layout !== null && layout.left.length === 0;
  const verdict = !layout
    ? ''
    : !isWhole
      ? `${wordCount(layout.left.length, 'piece')} too wide for it: ${formatSize(sheet.widthMm, units)} can be used.`
      : have <= 0
        ? ''
        : takesMm <= have + 0.5
          ? `It fits, ${formatClothLength(have - takesMm, units)} to spare.`
          : `Short of ${formatClothLength(takesMm - have, units)}.`;
  const change = (amount: number) =>
    save(
      { needs: project.needs.map((one) => (one.id === need.id ? { ...one, amount } : one)) },
      `${project.name}: ${need.part} takes ${formatClothLength(amount, units)}.`,
    );
  return (
    <section aria-label="Laid out">
      <h3 className="font-display text-lg font-semibold">
        Laid out: <span data-name>{need.part}</span>
      </h3>
      {!item && blocks.length > 0 && (
        <label className="flex items-center gap-2 text-sm text-stone">
          On cloth as wide as
          <select
            className="h-11 rounded border border-stone/60 bg-white px-2 md:h-8"
            value={width}
            onChange={(event) => setWidth(Number(event.target.value))}
          >
            {WIDTHS_MM.map((mm) => (
              <option key={mm} value={mm}>
                {formatSize(mm, units)}
              </option>
            ))}
          </select>
        </label>
      )}
      {blocks.length === 0 && !isWriting && (
        <p className="max-w-prose text-stone">
          Give it its pieces with their sizes, and they are laid out on the cloth itself: often that takes less than the
          pattern’s table says.
        </p>
      )}
      {layout && (
        <>
          <p
            className="text-[15px]"
            {...explained(
              `Its pieces laid on ${formatSize(sheet.widthMm, units)}, without selvages and after the wash; then the wash and straight ends are added. No layout can be shorter than ${formatClothLength(leastMm, units)}.`,
            )}
          >
            On {formatSize(widthMm, units)} it takes <strong>{formatClothLength(takesMm, units)}</strong>. {verdict}
            {isRunning && <span className="text-stone"> Still looking …</span>}
          </p>
          <LayoutPicture layout={layout} blocks={blocks} pieces={pieces} sheet={sheet} item={item} />
        </>
      )}
      {failure && <p role="alert">The layout could not be found: {failure}</p>}
      <Suspense>
        {isWriting && <PiecesForm project={project} part={need.part} onDone={() => setWriting(false)} />}
      </Suspense>
      {!isWriting && (
        <div className="mt-1 flex flex-wrap gap-x-4">
          <Button look="quiet" onClick={() => setWriting(true)}>
            {pieces.length > 0 ? 'Change its pieces' : 'Write down its pieces'}
          </Button>
          {isWhole && !isRunning && need.amount !== takesMm && !isOver(project) && (
            <Button look="quiet" onClick={() => void change(takesMm)}>
              Reckon with this length
            </Button>
          )}
          {need.amount !== undefined && need.kind === 'fabric' && (
            <Button
              look="quiet"
              onClick={() =>
                void save({
                  needs: project.needs.map((one) => (one.id === need.id ? { ...one, amount: undefined } : one)),
                })
              }
            >
              Work it out again
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
