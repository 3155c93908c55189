import { getColour } from '../../../core/colour/index.ts';
import { useEffect, useMemo, useRef, useState } from 'react';
import { findWheelCell, getDrawnPrint, layOutWheel, type WheelCell } from '../../../core/drawing/index.ts';
import { computePieceArea } from '../../../core/measure/index.ts';
import type { Item, Lot } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { useSize } from '../../components/useSize.ts';
import { paintWith } from '../../drawing/prints.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { wordAmount } from '../../text/index.ts';
import type { StashRow } from './rows.ts';
import { perLanguage, t } from '../../language/index.ts';

/** How much cloth a lot is, mm². */
function getArea(item: Item, lot: Lot): number {
  if (lot.areaMm2) return lot.areaMm2;
  if (item.scrap) return lot.count * computePieceArea(item);
  return (lot.lengthMm ?? 0) * (item.fabric?.widthMm ?? 0);
}

const HOW = perLanguage(() =>
  t(
    'A cell is as large, of the whole wall, as its length × width is of all the cloth that is shown; the amount is as typed or measured.',
  ),
);

/** Room for a name and an amount in a cell. */
const WORDS_FROM_PX = 48;

function drawCloth(context: CanvasRenderingContext2D, item: Item, { x, y, width, height }: WheelCell): void {
  context.fillStyle = getColour(item);
  context.fillRect(x, y, width, height);
  const print = getDrawnPrint(item);
  const paint = print && width >= 8 && height >= 8 ? paintWith(context, print) : null;
  if (!paint) return;
  context.fillStyle = paint;
  context.fillRect(x, y, width, height);
}

/** Cloth as a wall of colour: round the wheel from left to right, neutrals last, each as large as there is of it. */
export function SwatchWall({ rows }: { rows: readonly StashRow[] }) {
  const { units } = useHousehold().settings;
  const show = useApp((state) => state.show);
  const chosen = useApp((state) => (state.ticket?.type === 'lot' ? state.ticket.id : null));
  const frame = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const size = useSize(frame);
  const [pointed, setPointed] = useState<WheelCell | null>(null);
  const sorted = useMemo(
    () => rows.toSorted((a, b) => a.wheelKey - b.wheelKey || (a.lot.id < b.lot.id ? -1 : 1)),
    [rows],
  );
  const cells = useMemo(
    () =>
      size
        ? layOutWheel(
            sorted.map(({ item, lot }) => getArea(item, lot)),
            size.width,
            size.height,
          )
        : [],
    [sorted, size],
  );
  const at = cells.findIndex((cell) => sorted[cell.index]?.lot.id === chosen);

  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !size) return;
    const sharp = window.devicePixelRatio || 1;
    canvas.current!.width = size.width * sharp;
    canvas.current!.height = size.height * sharp;
    context.setTransform(sharp, 0, 0, sharp, 0, 0);
    context.font = '600 14px "Commissioner Variable", sans-serif';
    for (const cell of cells) {
      const { item, lot } = sorted[cell.index]!;
      drawCloth(context, item, cell);
      if (cell.width < WORDS_FROM_PX || cell.height < 24) continue;
      context.lineWidth = 3;
      context.strokeStyle = '#22303c';
      context.fillStyle = '#fffdf8';
      const words = wordAmount(item, lot, units);
      context.strokeText(words, cell.x + 5, cell.y + cell.height - 7, cell.width - 10);
      context.fillText(words, cell.x + 5, cell.y + cell.height - 7, cell.width - 10);
    }
    // Seams between the cells, where there is room for them.
    if (cells.length < 3000) {
      context.lineWidth = 1;
      context.strokeStyle = '#e9edec';
      for (const { x, y, width, height } of cells) context.strokeRect(x, y, width, height);
    }
  }, [cells, sorted, size, units]);

  const cellAt = (event: { clientX: number; clientY: number }) => {
    const box = canvas.current!.getBoundingClientRect();
    return findWheelCell(cells, event.clientX - box.left, event.clientY - box.top);
  };
  const wordCell = (cell: WheelCell | undefined | null) => {
    const row = cell && sorted[cell.index];
    return row ? `${row.item.name}, ${wordAmount(row.item, row.lot, units)}` : '';
  };
  const step = (by: number) => {
    const next = cells[Math.max(0, Math.min(cells.length - 1, at + by))];
    const row = next && sorted[next.index];
    if (row) show({ type: 'lot', id: row.lot.id });
  };
  const chosenCell = cells[at];
  return (
    <div className="flex min-h-[50vh] flex-1 flex-col px-4 pb-3 md:min-h-0 md:px-5">
      <p className="text-sm text-stone" {...explained(HOW(), t('The size of a cell, and the amount in it'))}>
        {t('Round the colour wheel from left to right, neutrals last; each as large as there is of it.')}{' '}
        <span aria-hidden className="font-semibold text-ink">
          {wordCell(pointed)}
        </span>
      </p>
      <div
        ref={frame}
        role="listbox"
        aria-label={t('Cloth by the colour wheel')}
        aria-activedescendant={chosenCell ? 'wall-cell' : undefined}
        tabIndex={0}
        className="relative mt-1 min-h-0 flex-1 overflow-hidden print:flex-none"
        onKeyDown={(event) => {
          const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1, PageDown: 20, PageUp: -20 }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          step(by);
        }}
      >
        <canvas
          ref={canvas}
          className="absolute inset-0 size-full cursor-pointer print:static print:h-auto"
          onPointerMove={(event) => setPointed(cellAt(event))}
          onPointerLeave={() => setPointed(null)}
          onClick={(event) => {
            const row = sorted[cellAt(event)?.index ?? -1];
            if (row) show({ type: 'lot', id: row.lot.id });
          }}
        />
        <div
          id="wall-cell"
          role="option"
          aria-selected={chosenCell !== undefined}
          className={chosenCell ? 'pointer-events-none absolute outline-3 -outline-offset-1 outline-ink' : 'sr-only'}
          style={
            chosenCell && {
              left: chosenCell.x,
              top: chosenCell.y,
              width: Math.max(3, chosenCell.width),
              height: Math.max(3, chosenCell.height),
            }
          }
        >
          <span className="sr-only">{chosenCell ? wordCell(chosenCell) : t('Nothing is chosen')}</span>
        </div>
      </div>
    </div>
  );
}
