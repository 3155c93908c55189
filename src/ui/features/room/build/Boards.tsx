import type { KeyboardEvent } from 'react';
import type { Place } from '../../../../core/records/index.ts';
import { joinSlots, listBoards, moveBoard, type Board } from '../../../../core/storage/index.ts';
import { formatSize } from '../../../../core/units/index.ts';
import { useApp, useHousehold } from '../../../state/app.ts';
import { getTree } from '../../../state/derived.ts';
import { wordBoard, wordSlotFits } from '../../../text/rebuild.ts';
import { readArrow, useCarry } from './useCarry.ts';
import type { Holding } from './useHeld.ts';
import { judgeDraft } from '../../../../core/suppose/index.ts';
import { t } from '../../../language/index.ts';

interface BoardsProps {
  readonly unit: Place;
  readonly slots: readonly Place[];
  readonly scale: number;
  /** Height of the drawing, mm: y runs down from there. */
  readonly heightMm: number;
  readonly holding: Holding;
}

/** The boards of a piece that can be moved: by hand, or by the arrow keys; Delete takes one out. */
export function Boards({ unit, slots, scale, heightMm, holding }: BoardsProps) {
  return listBoards(unit.unit!, slots)
    .filter((board) => !board.isFixed)
    .map((board) => <Handle key={board.id} {...{ board, unit, slots, scale, heightMm, holding }} />);
}

const GRIP_PX = 12;

function Handle({ board, unit, slots, scale, heightMm, holding }: BoardsProps & { board: Board }) {
  const household = useHousehold();
  const tell = useApp((state) => state.tell);
  const { units } = household.settings;
  const tree = getTree(household);
  const { held } = holding;
  const isShelf = board.axis === 'shelf';
  const mine = held?.key === board.id ? held : null;
  const first = mine?.saved.find((place) => place.id === board.before[0])?.slot;
  const atMm = first ? (isShelf ? first.yMm + first.heightMm : first.xMm + first.widthMm) : board.atMm;

  const move = (toMm: number, isByKey: boolean) => {
    const saved = moveBoard(slots, board, toMm);
    const fits = judgeDraft(household, saved);
    const words = wordSlotFits(fits, tree, board.axis, units);
    const refusal = fits.some((fit) => fit.containerFault) ? words : null;
    holding.hold(
      { key: board.id, subject: unit.name, saved, refusal, words, isGood: fits.every((fit) => fit.isFit) },
      isByKey,
    );
  };
  const stepMm = units === 'metric' ? 5 : 25.4 / 8;
  const carry = useCarry(scale, {
    onCancel: holding.drop,
    onCarry: (rightMm, downMm) => {
      const toMm = board.atMm + (isShelf ? -downMm : rightMm);
      move(Math.round(toMm / stepMm) * stepMm, false);
    },
    onDrop: (isMoved) => isMoved && holding.keep(),
  });
  const takeOut = () => {
    const joined = joinSlots(slots, board);
    if (!joined) {
      tell({
        tone: 'fault',
        text: t('This board does not come out: what it parts is more than two places, or not alike.'),
        canUndo: false,
      });
      return;
    }
    const { kept, gone } = joined;
    const isMixed = [kept, gone].some((place) => tree.getChildren(place.id).length > 0);
    if (isMixed) {
      tell({
        tone: 'fault',
        text: t('Bins stand in {kept} or {gone}: put them elsewhere first.', { kept: kept.name, gone: gone.name }),
        canUndo: false,
      });
      return;
    }
    holding.drop();
    void holding.change(unit.name, [kept], [gone], new Map([[gone.id, kept.id]]));
  };
  const onKey = (event: KeyboardEvent) => {
    const arrow = readArrow(event, units === 'metric');
    const byMm = arrow && (isShelf ? arrow.upMm : arrow.rightMm);
    if (byMm) move(atMm + byMm, true);
    else if (event.key === 'Delete' || event.key === 'Backspace') takeOut();
    else if (event.key === 'Enter') holding.keep();
    else if (event.key === 'Escape' && mine) holding.drop();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const left = unit.unit!.xMm;
  const bottom = unit.unit!.yMm;
  const along = [board.fromMm, board.toMm].map((mm) => mm * scale) as [number, number];
  const thick = Math.max(2, board.thickMm * scale);
  const middle = (atMm + board.thickMm / 2) * scale;
  const [x, y] = [left * scale, (heightMm - bottom) * scale];
  const bar = isShelf
    ? { x: x + along[0], y: y - middle - thick / 2, width: along[1] - along[0], height: thick }
    : { x: x + middle - thick / 2, y: y - along[1], width: thick, height: along[1] - along[0] };
  const grip = isShelf
    ? { x: bar.x, y: y - middle - GRIP_PX / 2, width: bar.width, height: GRIP_PX }
    : { x: x + middle - GRIP_PX / 2, y: bar.y, width: GRIP_PX, height: bar.height };
  const isBad = mine !== null && (mine.refusal !== null || !mine.isGood);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={wordBoard(board, tree, units)}
      aria-orientation={isShelf ? 'vertical' : 'horizontal'}
      aria-valuemin={Math.round(board.leastMm)}
      aria-valuemax={Math.round(board.mostMm)}
      aria-valuenow={Math.round(atMm)}
      aria-valuetext={mine ? (mine.refusal ?? mine.words) : formatSize(atMm, units)}
      className={`group outline-none ${isShelf ? 'cursor-ns-resize' : 'cursor-ew-resize'}`}
      onKeyDown={onKey}
      onBlur={() => mine && holding.keep()}
      {...carry}
    >
      <rect {...grip} fill="transparent" />
      <rect {...bar} fill={isBad ? 'var(--color-madder)' : 'var(--color-woad)'} fillOpacity={mine ? 1 : 0.75} />
      <rect
        {...grip}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="2"
        rx="3"
        className="opacity-0 group-focus-visible:opacity-100"
      />
    </g>
  );
}
