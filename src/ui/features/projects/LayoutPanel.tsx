import { lazy, Suspense, useMemo, useState } from 'react';
import type { Block, Sheet } from '../../../core/layout/index.ts';
import { getFreeFor } from '../../../core/promises/index.ts';
import {
  getCutFigures,
  isOdd,
  listPieces,
  toBlocks,
  toClothLength,
  toLotSheet,
  toSheet,
  type NeedStanding,
} from '../../../core/projects/index.ts';
import { isOver, type Project } from '../../../core/records/index.ts';
import { formatClothLength, formatSize } from '../../../core/units/index.ts';
import { Link } from 'react-router';
import { Button, linkClass } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { startLayouter } from '../../../workers/client.ts';
import type { LayoutAsk, LayoutFound } from '../../../workers/protocol.ts';
import { useHousehold } from '../../state/app.ts';
import { useSearch } from '../../state/useSearch.ts';
import { wordLaid } from '../../text/layouts.ts';
import { LayoutPicture } from './LayoutPicture.tsx';
import { useSaveProject } from './useSaveProject.ts';
import { t, wordTerm } from '../../language/index.ts';

const PiecesForm = lazy(async () => ({ default: (await import('./PiecesForm.tsx')).PiecesForm }));
const ShapeForm = lazy(async () => ({ default: (await import('./ShapeForm.tsx')).ShapeForm }));

/** Widths that cloth comes in, mm: for a cloth that is not chosen yet. */
const WIDTHS_MM = [1120, 1400, 1500];
const NO_SHEETS: readonly Sheet[] = [];
/** The first answer comes at once, the best after so long. */
const SECONDS = 2;

/** Lays blocks on sheets in a worker; no sheets, no question. */
function useLayout(blocks: readonly Block[], sheets: readonly Sheet[]) {
  const isAsked = blocks.length > 0 && sheets.length > 0;
  const { found, ...rest } = useSearch<LayoutAsk, LayoutFound>(
    startLayouter,
    isAsked ? { blocks, sheets, seed: 1, seconds: SECONDS } : null,
  );
  return { layout: found?.layout ?? null, leastMm: found?.leastMm ?? 0, spare: found?.spare ?? null, ...rest };
}

/** The pieces of a need laid on as much cloth as they take; and, where that is in question, on the very lots that are promised. */
function useLaidOut(project: Project, { need, item, promised }: NeedStanding, widthMm: number) {
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
  const strip = useMemo(() => [toSheet({ widthMm }, figures)], [widthMm, figures]);
  const endless = useLayout(blocks, strip);
  const takesMm = endless.layout ? Math.ceil(toClothLength(endless.layout.lengthMm, figures) / 10) * 10 : 0;
  // What may be cut of each lot: all of it but what others hold. The smaller lots are used up first.
  const lots = promised
    .map(({ lot, item: of }) => ({ lot, freeMm: getFreeFor(of, lot, project.id) }))
    .toSorted((a, b) => a.freeMm - b.freeMm);
  const haveMm = lots.reduce((sum, one) => sum + one.freeMm, 0);
  // One plain length on which the endless layout ends in time needs no look of its own.
  const isPlain = lots.length === 1 && !isOdd(lots[0]!.lot);
  const isFine = isPlain && endless.layout !== null && endless.layout.left.length === 0 && takesMm <= haveMm + 0.5;
  const isAsked = lots.length > 0 && !isFine && (need.used ?? 0) === 0 && !(isPlain && endless.isRunning);
  const sheets = isAsked && item ? lots.map((one) => toLotSheet(item, one.lot, one.freeMm, figures)) : NO_SHEETS;
  const exact = useLayout(blocks, sheets);
  const shown = exact.layout ? { ...exact, sheets } : { ...endless, sheets: strip };
  return { widthMm, pieces, blocks, strip, endless, exact, takesMm, haveMm, lots: lots.length, isPlain, shown };
}

/** How the pieces of one cloth lie on it, what that takes, and whether it goes on what is promised. */
export function LayoutPanel({ project, standing }: { project: Project; standing: NeedStanding }) {
  const { need, item } = standing;
  const { units } = useHousehold().settings;
  const save = useSaveProject(project);
  const [width, setWidth] = useState(WIDTHS_MM[1]!);
  const [asked, setAsked] = useState<'pieces' | 'shape' | null>(null);
  // The button that opened a form has the keys again when it is closed.
  const [wasAsked, setWasAsked] = useState<typeof asked>(null);
  const close = () => {
    setWasAsked(asked);
    setAsked(null);
  };
  const laid = useLaidOut(project, standing, item?.fabric?.widthMm ?? width);
  const { widthMm, pieces, blocks, strip, endless, exact, takesMm, haveMm, lots, isPlain, shown } = laid;
  const isWhole = endless.layout !== null && endless.layout.left.length === 0;
  const change = (amount: number) =>
    save(
      { needs: project.needs.map((one) => (one.id === need.id ? { ...one, amount } : one)) },
      t('{project}: {part} takes {clothLength}.', {
        project: project.name,
        part: wordTerm(need.part),
        clothLength: formatClothLength(amount, units),
      }),
    );
  return (
    <section aria-label={t('Laid out')}>
      <h3 className="font-display text-lg font-semibold">
        {t('Laid out:')} <span data-name>{wordTerm(need.part)}</span>
      </h3>
      {!item && blocks.length > 0 && <WidthChoice widthMm={width} onChange={setWidth} />}
      {blocks.length === 0 && asked === null && (
        <p className="max-w-prose text-stone">
          {t(
            'Give it its pieces with their sizes, and they are laid out on the cloth itself: often that takes less than the pattern’s table says.',
          )}
        </p>
      )}
      {endless.layout && (
        <p
          className="text-[15px]"
          {...explained(
            t(
              'Its pieces laid on {size}, without selvages and after the wash; then the wash and straight ends are added. No layout can be shorter than {clothLength}.',
              { size: formatSize(strip[0]!.widthMm, units), clothLength: formatClothLength(endless.leastMm, units) },
            ),
          )}
        >
          {t('On {size} it takes', { size: formatSize(widthMm, units) })}{' '}
          <strong>{formatClothLength(takesMm, units)}</strong>.{' '}
          {wordLaid(
            {
              takesMm,
              haveMm: need.used ? standing.promisedAmount + need.used : haveMm,
              lots,
              isPlain,
              usableMm: strip[0]!.widthMm,
              endless: endless.layout,
              exact: exact.layout,
              spare: exact.spare === null ? null : (pieces[exact.spare]?.name ?? null),
            },
            units,
          )}
          {(endless.isRunning || exact.isRunning) && <span className="text-stone"> {t('Still looking …')}</span>}
        </p>
      )}
      {shown.layout &&
        shown.sheets.map((sheet, n) => (
          <LayoutPicture
            key={n}
            number={n}
            layout={shown.layout!}
            blocks={blocks}
            pieces={pieces}
            sheet={sheet}
            item={item}
          />
        ))}
      {(endless.failure ?? exact.failure) && (
        <p role="alert">
          {t('The layout could not be found:')} {endless.failure ?? exact.failure}
        </p>
      )}
      <Suspense>
        {asked === 'pieces' && <PiecesForm project={project} part={need.part} onDone={close} />}
        {asked === 'shape' && <ShapeForm project={project} part={need.part} onDone={close} />}
      </Suspense>
      {asked === null && (
        <div className="no-print mt-1 flex flex-wrap gap-x-4">
          <Button look="quiet" autoFocus={wasAsked === 'pieces'} onClick={() => setAsked('pieces')}>
            {pieces.length > 0 ? t('Change its pieces') : t('Write down its pieces')}
          </Button>
          {pieces.length > 0 && (
            <Button look="quiet" autoFocus={wasAsked === 'shape'} onClick={() => setAsked('shape')}>
              {t('Draw their shapes')}
            </Button>
          )}
          <Link className={linkClass} to={`/projects/sums?backWidth=${encodeURIComponent(formatSize(widthMm, units))}`}>
            {t('Sums')}
          </Link>
          {isWhole && !endless.isRunning && need.amount !== takesMm && !isOver(project) && (
            <Button look="quiet" onClick={() => void change(takesMm)}>
              {t('Reckon with this length')}
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
              {t('Work it out again')}
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

/** How wide the cloth is thought of that nobody has chosen yet. */
function WidthChoice({ widthMm, onChange }: { widthMm: number; onChange: (mm: number) => void }) {
  const { units } = useHousehold().settings;
  return (
    <label className="no-print flex items-center gap-2 text-sm text-stone">
      {t('On cloth as wide as')}
      <select
        className="h-11 rounded border border-stone/60 bg-field px-2 md:h-8"
        value={widthMm}
        onChange={(event) => onChange(Number(event.target.value))}
      >
        {WIDTHS_MM.map((mm) => (
          <option key={mm} value={mm}>
            {formatSize(mm, units)}
          </option>
        ))}
      </select>
    </label>
  );
}
