import { useCallback, useRef, type KeyboardEvent, type MouseEvent } from 'react';
import { findNearestWall, isInside, type Finding, type Piece } from '../../core/room/index.ts';
import type { PlaceId, PlanPoint, RoomSpec } from '../../core/records/index.ts';
import { computeFootprint, getExtent, getPointOf, listCorners } from '../../core/storage/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { useSize } from '../components/useSize.ts';
import { placeNames } from './placeNames.ts';
import { createPlanFrame, INK, PlanMarks, PlanPiece, PlanShell, ShownFinding } from './planParts.tsx';
import { Tape } from './Tape.tsx';
import { useZoom } from './useZoom.ts';
import { ZoomButtons } from './ZoomButtons.tsx';
import { t } from '../language/index.ts';

const MARGIN_PX = 34;
const NARROW_PX = 600;
/** Mean advance of a letter of the names. */
const LETTER_PX = 7.2;
interface PlanViewProps {
  readonly room: RoomSpec;
  readonly pieces: readonly Piece[];
  readonly findings: readonly Finding[];
  readonly chosen: PlaceId | null;
  readonly shown: Finding | null;
  readonly units: UnitSystem;
  readonly label: string;
  /** A wall was tapped, so far along it, where something is to be put into it. */
  readonly onTap?: ((wallId: string, alongMm: number) => void) | undefined;
  /** What can be done with the pieces; without it the plan is a picture. */
  readonly grip?: PlanGrip;
}

export interface PlanGrip {
  readonly describe: (piece: Piece) => string;
  readonly onChoose: (id: PlaceId) => void;
  /** A piece is carried so far from where it was taken up; `isDown` until it is let go. */
  readonly onCarry: (id: PlaceId, from: Piece, byMm: PlanPoint, isDown: boolean) => void;
  /** It stays where it was taken up. */
  readonly onCancel: (from: Piece) => void;
  readonly onKey: (event: KeyboardEvent, piece: Piece) => void;
}

interface TapFieldProps extends Pick<PlanViewProps, 'room'> {
  readonly scale: number;
  readonly left: number;
  readonly top: number;
  readonly wide: number;
  readonly deep: number;
  readonly onTap: NonNullable<PlanViewProps['onTap']>;
}

/** Lies over everything while a wall is to be tapped; the nearest one is meant. */
function TapField({ room, scale, left, top, wide, deep, onTap }: TapFieldProps) {
  const tap = (event: MouseEvent<SVGRectElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const point = {
      xMm: left + (event.clientX - box.left - MARGIN_PX) / scale,
      yMm: top + (event.clientY - box.top - MARGIN_PX) / scale,
    };
    const nearest = findNearestWall(room, point);
    if (nearest) onTap(nearest.wall.id, nearest.alongMm);
  };
  return (
    <rect
      data-tap
      x={-MARGIN_PX}
      y={-MARGIN_PX}
      width={wide * scale + 2 * MARGIN_PX}
      height={deep * scale + 2 * MARGIN_PX}
      fill="transparent"
      className="cursor-crosshair"
      onClick={tap}
    />
  );
}

/** The floor plan under its tape: furniture to scale, to be carried by hand or moved by the keys. */
export function PlanView(props: PlanViewProps) {
  const { room, pieces, findings, chosen, shown, units, label, grip, onTap } = props;
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder) ?? { width: 840, height: 620 };
  const { left, right, top, bottom } = getExtent(room);
  const [wide, deep] = [right - left, bottom - top];
  const wholeScale = Math.max(
    0.02,
    Math.min(
      (size.width - 2 * MARGIN_PX) / wide,
      size.height > 200 ? (size.height - 24 - 2 * MARGIN_PX) / deep : 1,
      0.4,
    ),
  );
  const { width } = size;
  const getLeft = useCallback(
    (zoom: number) => Math.max(MARGIN_PX, (width - wide * wholeScale * zoom) / 2),
    [width, wide, wholeScale],
  );
  const zooming = useZoom(holder, getLeft);
  const { zoom, isWhole, drag } = zooming;
  const scale = wholeScale * zoom;
  const offset = getLeft(zoom);
  const frame = createPlanFrame(left, top, scale);
  const { at } = frame;
  const isNarrow = size.width < NARROW_PX;
  const tables = pieces.flatMap(({ unit }) => (unit.kind === 'table' ? [computeFootprint(room, unit)] : []));
  const isUnderTable = ({ xMm, yMm }: PlanPoint) => tables.some((table) => isInside(listCorners(table), { xMm, yMm }));
  const nameOf = ({ unit, name }: Piece) => (unit.isFixed ? t('{name} (locked)', { name }) : name);
  // Where it is narrow the names of what hangs or stands under a table are left out.
  const named = pieces.flatMap((piece) => {
    const print = computeFootprint(room, piece.unit);
    if (Math.max(print.widthMm, print.depthMm) * scale <= 46) return [];
    const isCovered = piece.unit.yMm > 0 || (piece.unit.kind !== 'table' && isUnderTable(print));
    if (isNarrow && isCovered && piece.id !== chosen) return [];
    // The name of what is thin stands before it.
    const isThin = print.depthMm * scale < 26;
    const [x, y] = at(isThin ? getPointOf(print, 0, print.depthMm / 2 + 14 / scale) : print);
    return [{ piece, x, y, width: nameOf(piece).length * LETTER_PX }];
  });
  const shifts = placeNames(named);
  const worst = new Map<string, boolean>();
  for (const one of findings) worst.set(one.bodyId, (worst.get(one.bodyId) ?? false) || one.isFault);

  return (
    <div className="relative flex min-h-[50vh] flex-1 flex-col md:min-h-0">
      <div
        ref={holder}
        className={`min-h-0 flex-1 touch-pan-x touch-pan-y pt-2 ${isWhole ? 'overflow-hidden' : 'cursor-grab overflow-auto active:cursor-grabbing'}`}
        {...drag}
      >
        <div style={{ width: isWhole ? undefined : offset + wide * scale + MARGIN_PX }}>
          <div className="sticky top-0 z-10">
            <Tape lengthMm={wide} scale={scale} offsetPx={offset} system={units} />
          </div>
          <svg
            role={grip ? 'group' : 'img'}
            aria-label={label}
            width="100%"
            height={deep * scale + 2 * MARGIN_PX}
            className="block shrink-0 select-none"
          >
            <g transform={`translate(${offset} ${MARGIN_PX})`}>
              <PlanShell room={room} frame={frame} />
              <g role={grip && 'list'} aria-label={grip && t('Pieces')}>
                {pieces
                  .toSorted((a, b) => a.unit.yMm + a.unit.heightMm - b.unit.yMm - b.unit.heightMm)
                  .map((piece) => (
                    <g key={piece.id} role={grip && 'listitem'}>
                      <PlanPiece
                        room={room}
                        frame={frame}
                        piece={piece}
                        isChosen={piece.id === chosen}
                        isFault={worst.get(piece.id)}
                        grip={grip}
                        scale={scale}
                      />
                    </g>
                  ))}
              </g>
              {/* Names lie over everything, so that they can be read. */}
              {named.map(({ piece, x, y }, i) => (
                <text
                  key={piece.id}
                  aria-hidden
                  x={x}
                  y={y + 5 + shifts[i]!}
                  textAnchor="middle"
                  fontSize="14"
                  fontStyle={piece.unit.yMm > 0 ? 'italic' : undefined}
                  fontWeight={piece.id === chosen ? 700 : undefined}
                  fill={INK.ink}
                  stroke="var(--color-linen)"
                  strokeWidth="3"
                  paintOrder="stroke"
                  pointerEvents="none"
                >
                  {nameOf(piece)}
                </text>
              ))}
              <PlanMarks room={room} frame={frame} pieces={pieces} />
              {shown && <ShownFinding shown={shown} frame={frame} />}
              {onTap && <TapField {...{ room, scale, left, top, wide, deep, onTap }} />}
            </g>
          </svg>
        </div>
      </div>
      <ZoomButtons zooming={zooming} whole={t('Whole plan')} />
    </div>
  );
}
