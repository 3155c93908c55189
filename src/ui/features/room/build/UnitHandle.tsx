import type { KeyboardEvent } from 'react';
import { computeFindings, listPieces, slideUnit } from '../../../../core/room/index.ts';
import { getRoomSpec, type WallLine, checkUnitOnWall } from '../../../../core/storage/index.ts';
import type { Place, UnitSpec } from '../../../../core/records/index.ts';
import { formatSize } from '../../../../core/units/index.ts';
import { useApp, useHousehold } from '../../../state/app.ts';
import { getTree } from '../../../state/derived.ts';
import { wordFinding } from '../../../text/room.ts';
import { wordUnitFault } from '../../../text/roomFaults.ts';
import { readArrow, useCarry } from './useCarry.ts';
import type { Holding } from './useHeld.ts';
import { t } from '../../../language/index.ts';

interface UnitHandleProps {
  readonly room: Place;
  readonly wall: WallLine;
  readonly unit: Place;
  readonly scale: number;
  readonly heightMm: number;
  readonly holding: Holding;
}

const GRIP_PX = 20;
/** Letters of a name, px; shorter names than this are left out. */
const LETTER_PX = 7.6;
/** Over a cube shelf stand the letters of its columns. */
const LETTERS_MM = 40;
/** As near as this on the screen, edges meet. */
const SNAP_PX = 8;

/** A piece that stands or hangs on the wall, taken by its upper edge and put elsewhere on it. */
export function UnitHandle({ room, wall, unit, scale, heightMm, holding }: UnitHandleProps) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const { units } = household.settings;
  const tree = getTree(household);
  const spec = unit.unit!;
  const key = `unit ${unit.id}`;
  const mine = holding.held?.key === key ? holding.held : null;
  const now = mine?.saved[0]?.unit ?? spec;

  const move = (toMm: { xMm: number; yMm: number }, isByKey: boolean) => {
    const neighbours = tree
      .getChildren(room.id)
      .flatMap((one) => (one.id !== unit.id && one.unit?.wallId === wall.id && !one.unit.stand ? [one.unit] : []));
    const next = slideUnit(spec, toMm, wall.lengthMm, neighbours, isByKey ? 0 : SNAP_PX / scale);
    const fault = checkUnitOnWall(next, wall);
    holding.hold(
      {
        key,
        subject: unit.name,
        saved: [{ ...unit, unit: next }],
        refusal: fault && wordUnitFault(fault, units),
        ...judge(next),
      },
      isByKey,
    );
  };
  /** What stands against it there that did not where it is now. */
  const judge = (next: UnitSpec): { words: string; isGood: boolean } => {
    const where = t('{unit}: {across} from the left, {high} above the floor', {
      unit: unit.name,
      across: formatSize(next.xMm, units),
      high: formatSize(next.yMm, units),
    });
    const pieces = listPieces(household, tree, room.id);
    const roomSpec = getRoomSpec(room);
    const list = (own: UnitSpec) =>
      computeFindings(
        roomSpec,
        pieces.map((piece) => (piece.id === unit.id ? { ...piece, unit: own } : piece)),
        household.settings,
      );
    const old = new Set(list(spec).map((one) => `${one.code} ${one.bodyId} ${one.otherId}`));
    const news = list(next).filter((one) => !old.has(`${one.code} ${one.bodyId} ${one.otherId}`));
    const worst = news.find((one) => one.isFault) ?? news[0];
    if (!worst) return { words: t('{where}. Nothing new is in its way.', { where }), isGood: true };
    const name = (id: string) => pieces.find((piece) => piece.id === id)?.name ?? id;
    return { words: `${where}. ${wordFinding(worst, roomSpec, name, units)}`, isGood: !worst.isFault };
  };
  const carry = useCarry(scale, {
    onCancel: holding.drop,
    onCarry: (rightMm, downMm) => move({ xMm: spec.xMm + rightMm, yMm: spec.yMm - downMm }, false),
    onDrop: (isMoved) => (isMoved ? holding.keep() : show({ type: 'editUnit', id: unit.id })),
  });
  const onKey = (event: KeyboardEvent) => {
    const arrow = readArrow(event, units === 'metric');
    if (arrow) move({ xMm: now.xMm + arrow.rightMm, yMm: now.yMm + arrow.upMm }, true);
    else if (event.key === 'Enter' && mine) holding.keep();
    else if (event.key === 'Enter') show({ type: 'editUnit', id: unit.id });
    else if (event.key === 'Escape' && mine) holding.drop();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const [x, y] = [now.xMm * scale, (heightMm - now.yMm - now.heightMm) * scale];
  const gripY = y - GRIP_PX - (spec.kind === 'cubes' ? LETTERS_MM * scale + 9 : 0);
  const letters = Math.floor((now.widthMm * scale - 8) / LETTER_PX);
  const name = unit.name.length <= letters ? unit.name : `${unit.name.slice(0, Math.max(0, letters - 1))}…`;
  const [width, height] = [now.widthMm * scale, now.heightMm * scale];
  const colour = mine && (mine.refusal !== null || !mine.isGood) ? 'var(--color-madder)' : 'var(--color-woad)';
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={t('Move {unit}: {across} from the left, {high} above the floor', {
        unit: unit.name,
        across: formatSize(now.xMm, units),
        high: formatSize(now.yMm, units),
      })}
      className="group cursor-move outline-none"
      onKeyDown={onKey}
      onBlur={() => mine && holding.keep()}
      {...carry}
    >
      {mine && (
        <rect
          {...{ x, y, width, height }}
          fill={colour}
          fillOpacity="0.12"
          stroke={colour}
          strokeWidth="2"
          strokeDasharray="6 4"
          pointerEvents="none"
        />
      )}
      <rect {...{ x, width }} y={gripY} height={GRIP_PX} rx="3" fill="var(--color-wood)" stroke="var(--color-walnut)" />
      <text
        x={x + width / 2}
        y={gripY + 15}
        textAnchor="middle"
        fontSize="14"
        fontWeight="600"
        fill="var(--color-ink)"
        pointerEvents="none"
      >
        {name}
      </text>
      <rect
        x={x - 2}
        y={gripY - 2}
        width={width + 4}
        height={GRIP_PX + 4}
        rx="4"
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="2.5"
        className="opacity-0 group-focus-visible:opacity-100"
      />
    </g>
  );
}
