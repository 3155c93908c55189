import { useRef, type KeyboardEvent } from 'react';
import { useDrag } from '../components/useDrag.ts';
import type { Finding, Piece } from '../../core/room/index.ts';
import type { PlanPoint, RoomSpec } from '../../core/records/index.ts';
import {
  computeFootprint,
  computeStationPoint,
  getPointOf,
  getTurnDeg,
  getWallLine,
  getWallPoint,
  listCorners,
  listWalls,
} from '../../core/storage/index.ts';
import type { PlanGrip } from './PlanView.tsx';

/** The parts of a floor plan, each drawn in the same frame. */

export const INK = {
  fault: 'var(--color-madder)',
  caution: 'var(--color-caution)',
  ink: 'var(--color-ink)',
  woad: 'var(--color-woad)',
  walnut: 'var(--color-walnut)',
  stone: 'var(--color-stone)',
};

/** From mm of the room to px of the drawing. */
export interface PlanFrame {
  readonly scale: number;
  readonly at: (point: PlanPoint) => readonly [number, number];
  /** A line through points, closed unless told otherwise. */
  readonly path: (points: readonly PlanPoint[], isClosed?: boolean) => string;
}

export function createPlanFrame(left: number, top: number, scale: number): PlanFrame {
  const at = ({ xMm, yMm }: PlanPoint) => [(xMm - left) * scale, (yMm - top) * scale] as const;
  const path = (points: readonly PlanPoint[], isClosed = true) =>
    `M${points
      .map((point) =>
        at(point)
          .map((px) => px.toFixed(1))
          .join(' '),
      )
      .join('L')}${isClosed ? 'Z' : ''}`;
  return { scale, at, path };
}

interface PartProps {
  readonly room: RoomSpec;
  readonly frame: PlanFrame;
}

/** What does not move: walls, slopes, windows, doors, pillars and heaters. */
export function PlanShell({ room, frame: { scale, at, path } }: PartProps) {
  return (
    <>
      <path d={path(room.walls.map((wall) => wall.from))} fill="var(--color-linen)" stroke={INK.ink} strokeWidth="5" />
      {room.slopes.map((slope) => {
        const wall = getWallLine(room, slope.wallId);
        const ends = [getWallPoint(wall, 0, slope.runMm), getWallPoint(wall, wall.lengthMm, slope.runMm)];
        return (
          <path key={slope.wallId} d={path(ends, false)} stroke={INK.stone} strokeDasharray="2 5" strokeWidth="1.5" />
        );
      })}
      {room.windows.map((window) => {
        const wall = getWallLine(room, window.wallId);
        const inward = window.isInSlope ? [window.sillMm, window.sillMm + window.heightMm * 0.6] : [0, 0];
        const corners = [
          getWallPoint(wall, window.xMm, inward[0]),
          getWallPoint(wall, window.xMm + window.widthMm, inward[0]),
          getWallPoint(wall, window.xMm + window.widthMm, inward[1]),
          getWallPoint(wall, window.xMm, inward[1]),
        ];
        return (
          <path
            key={window.id}
            d={path(corners)}
            fill="var(--color-glass)"
            stroke={window.isInSlope ? INK.stone : 'var(--color-glass-line)'}
            strokeWidth={window.isInSlope ? 1 : 6}
            strokeDasharray={window.isInSlope ? '4 3' : undefined}
          />
        );
      })}
      {room.doors.map((door) => {
        const wall = getWallLine(room, door.wallId);
        const ends = [getWallPoint(wall, door.xMm), getWallPoint(wall, door.xMm + door.widthMm)];
        const hinge = door.hinge === 'left' ? 0 : 1;
        const leaf = getWallPoint(wall, door.xMm + hinge * door.widthMm, door.widthMm);
        const [x, y] = at(ends[1 - hinge]!);
        const radius = door.widthMm * scale;
        return (
          <g key={door.id} fill="none">
            <path d={path(ends, false)} stroke="var(--color-linen)" strokeWidth="6" />
            {door.swing === 'in' && (
              <path
                d={`${path([ends[hinge]!, leaf], false)}A${radius} ${radius} 0 0 ${hinge === 0 ? 0 : 1} ${x} ${y}`}
                stroke={INK.stone}
                strokeWidth="1.5"
              />
            )}
          </g>
        );
      })}
      {room.fixtures.map((fixture) => {
        const corners = listCorners({ ...fixture.at, ...fixture, turnDeg: 0 });
        const isHot = fixture.kind === 'heater';
        return (
          <path
            key={fixture.id}
            d={path(corners)}
            fill={isHot ? 'var(--color-warm)' : 'var(--color-stone)'}
            stroke={INK.ink}
          />
        );
      })}
    </>
  );
}

interface PlanPieceProps extends PartProps {
  readonly piece: Piece;
  readonly isChosen: boolean;
  /** Whether what is wrong with it is a fault or a caution; undefined where nothing is. */
  readonly isFault: boolean | undefined;
  readonly grip: PlanGrip | undefined;
  /** Pixels to the millimetre. */
  readonly scale: number;
}

/** A piece of furniture, seen from above. */
export function PlanPiece({ room, frame: { path }, piece, isChosen, isFault, grip, scale }: PlanPieceProps) {
  const taken = useRef(piece);
  const by = useRef({ xMm: 0, yMm: 0 });
  const drag = useDrag({
    onTake: () => {
      grip?.onChoose(piece.id);
      taken.current = piece;
      return !piece.unit.isFixed;
    },
    onDrag: (right, down) => {
      by.current = { xMm: right / scale, yMm: down / scale };
      grip?.onCarry(piece.id, taken.current, by.current, true);
    },
    onDrop: (isMoved) => isMoved && grip?.onCarry(piece.id, taken.current, by.current, false),
    onCancel: () => grip?.onCancel(taken.current),
  });
  const print = computeFootprint(room, piece.unit);
  const corners = listCorners(print);
  const isHung = piece.unit.yMm > 0;
  return (
    <g
      {...(grip && {
        role: 'button',
        tabIndex: 0,
        'aria-label': grip.describe(piece),
        'aria-pressed': isChosen,
        'data-hold': true,
        className: 'group cursor-move touch-none outline-none',
        ...drag,
        onFocus: () => grip.onChoose(piece.id),
        onKeyDown: (event: KeyboardEvent) => grip.onKey(event, piece),
      })}
    >
      <path
        d={path(corners)}
        fill={piece.unit.kind === 'floor' ? 'transparent' : 'var(--color-wood)'}
        fillOpacity={isHung ? 0.55 : 0.92}
        stroke={isFault === undefined ? INK.walnut : isFault ? INK.fault : INK.caution}
        strokeWidth={isChosen ? 3 : 1.5}
        strokeDasharray={isHung || piece.unit.kind === 'floor' ? '6 4' : undefined}
        className="group-focus-visible:stroke-[4px]"
      />
      {/* Its front: a second line a finger inside. */}
      {print.depthMm > 150 && (
        <path
          d={path(
            [
              getPointOf(print, -print.widthMm / 2 + 30, print.depthMm / 2 - 45),
              getPointOf(print, print.widthMm / 2 - 30, print.depthMm / 2 - 45),
            ],
            false,
          )}
          stroke={INK.walnut}
          strokeWidth="1"
          pointerEvents="none"
        />
      )}
    </g>
  );
}

interface PlanMarksProps extends PartProps {
  readonly pieces: readonly Piece[];
}

/** Sockets, lamps, stations and the names of the walls. */
export function PlanMarks({ room, frame: { scale, at }, pieces }: PlanMarksProps) {
  return (
    <>
      {room.sockets.map((socket) => {
        const [x, y] = at(getWallPoint(getWallLine(room, socket.wallId), socket.xMm));
        return (
          <circle key={socket.id} cx={x} cy={y} r="5" fill="var(--color-paper)" stroke={INK.ink} strokeWidth="2" />
        );
      })}
      {room.lamps?.map((lamp) => {
        const [x, y] = at(lamp.at);
        return (
          <g key={lamp.id} stroke={INK.caution} strokeWidth="1.5" pointerEvents="none">
            <title>{lamp.name}</title>
            <path d={`M${x - 9} ${y}h18M${x} ${y - 9}v18M${x - 6.5} ${y - 6.5}l13 13M${x - 6.5} ${y + 6.5}l13 -13`} />
            <circle cx={x} cy={y} r="5" fill="var(--color-tape)" />
          </g>
        );
      })}
      {room.stations.map((station) => {
        const spot = computeStationPoint(room, station, (id) => pieces.find((one) => one.id === id)?.unit);
        const [x, y] = at(spot);
        // Away from its own piece, whose name is there.
        const own = pieces.find((one) => one.id === station.unitId);
        const isLeft = own !== undefined && computeFootprint(room, own.unit).xMm > spot.xMm + 100;
        return (
          <g key={station.id} pointerEvents="none">
            <circle cx={x} cy={y} r="4" fill={INK.woad} />
            <text
              x={isLeft ? x - 8 : x + 8}
              y={y + 5}
              textAnchor={isLeft ? 'end' : 'start'}
              fontSize="14"
              fontStyle="italic"
              fill={INK.woad}
              stroke="var(--color-linen)"
              strokeWidth="3"
              paintOrder="stroke"
            >
              {station.name}
            </text>
          </g>
        );
      })}
      {listWalls(room).map((wall) => {
        const [x, y] = at(getWallPoint(wall, wall.lengthMm / 2, -(16 / scale)));
        const turn = getTurnDeg(wall.from, wall.to);
        const upright = turn > 90 || turn <= -90 ? turn + 180 : turn;
        return wall.lengthMm * scale > 90 ? (
          <text
            key={wall.id}
            x={x}
            y={y}
            fontSize="14"
            textAnchor="middle"
            fill={INK.stone}
            dominantBaseline="middle"
            transform={`rotate(${upright} ${x} ${y})`}
          >
            {wall.name}
          </text>
        ) : null;
      })}
    </>
  );
}

/** Where something is wrong. */
export function ShownFinding({ shown, frame: { at, path } }: { shown: Finding; frame: PlanFrame }) {
  return (
    <g pointerEvents="none" data-testid="finding">
      {shown.where.length === 1 ? (
        <circle
          cx={at(shown.where[0]!)[0]}
          cy={at(shown.where[0]!)[1]}
          r="16"
          fill="none"
          stroke={shown.isFault ? INK.fault : INK.caution}
          strokeWidth="3"
        />
      ) : (
        <path
          d={path(shown.where)}
          fill={shown.isFault ? INK.fault : INK.caution}
          fillOpacity="0.18"
          stroke={shown.isFault ? INK.fault : INK.caution}
          strokeWidth="2.5"
          strokeDasharray="3 3"
        />
      )}
    </g>
  );
}
