import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { isInside, type Finding, type Piece } from '../../core/room/index.ts';
import type { PlaceId, PlanPoint, RoomSpec } from '../../core/records/index.ts';
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
import type { UnitSystem } from '../../core/units/index.ts';
import { useSize } from '../components/useSize.ts';
import { placeNames } from './placeNames.ts';
import { Tape } from './Tape.tsx';

const MARGIN_PX = 34;
const NARROW_PX = 600;
/** Mean advance of a letter of the names. */
const LETTER_PX = 7.2;
const INK = {
  fault: '#a63d32',
  caution: '#9a6f14',
  ink: '#22303c',
  woad: '#2f5d7c',
  walnut: '#6b5444',
  stone: '#5c6b74',
};

interface PlanViewProps {
  readonly room: RoomSpec;
  readonly pieces: readonly Piece[];
  readonly findings: readonly Finding[];
  readonly chosen: PlaceId | null;
  readonly shown: Finding | null;
  readonly units: UnitSystem;
  readonly label: string;
  /** What can be done with the pieces; without it the plan is a picture. */
  readonly hands?: PlanHands;
}

export interface PlanHands {
  readonly describe: (piece: Piece) => string;
  readonly onChoose: (id: PlaceId) => void;
  /** A piece is carried so far from where it was taken up; `isDown` until it is let go. */
  readonly onCarry: (id: PlaceId, from: Piece, byMm: PlanPoint, isDown: boolean) => void;
  readonly onKey: (event: KeyboardEvent, piece: Piece) => void;
}

/** The floor plan under its tape: furniture to scale, to be carried by hand or moved by the keys. */
export function PlanView(props: PlanViewProps) {
  const { room, pieces, findings, chosen, shown, units, label, hands } = props;
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame) ?? { width: 840, height: 620 };
  const [carried, setCarried] = useState<{ piece: Piece; x: number; y: number; isMoved: boolean } | null>(null);
  const xs = room.walls.map((wall) => wall.from.xMm);
  const ys = room.walls.map((wall) => wall.from.yMm);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [wide, deep] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const scale = Math.max(
    0.02,
    Math.min(
      (size.width - 2 * MARGIN_PX) / wide,
      size.height > 200 ? (size.height - 24 - 2 * MARGIN_PX) / deep : 1,
      0.4,
    ),
  );
  const offset = Math.max(MARGIN_PX, (size.width - wide * scale) / 2);
  const at = ({ xMm, yMm }: PlanPoint) => [(xMm - left) * scale, (yMm - top) * scale] as const;
  const path = (points: readonly PlanPoint[], isClosed = true) =>
    `M${points
      .map((point) =>
        at(point)
          .map((px) => px.toFixed(1))
          .join(' '),
      )
      .join('L')}${isClosed ? 'Z' : ''}`;
  const isNarrow = size.width < NARROW_PX;
  const tables = pieces.flatMap(({ unit }) => (unit.kind === 'table' ? [computeFootprint(room, unit)] : []));
  const isUnderTable = ({ xMm, yMm }: PlanPoint) => tables.some((table) => isInside(listCorners(table), { xMm, yMm }));
  const nameOf = ({ unit, name }: Piece) => (unit.isFixed ? `${name} (locked)` : name);
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

  const move = (event: PointerEvent, isDown: boolean) => {
    if (!carried) return;
    const byMm = { xMm: (event.clientX - carried.x) / scale, yMm: (event.clientY - carried.y) / scale };
    // A press that goes nowhere only chooses.
    const isMoved = carried.isMoved || Math.hypot(byMm.xMm, byMm.yMm) * scale >= 3;
    if (isMoved) hands?.onCarry(carried.piece.id, carried.piece, byMm, isDown);
    if (!isDown) setCarried(null);
    else if (isMoved !== carried.isMoved) setCarried({ ...carried, isMoved });
  };

  return (
    <div ref={frame} className="flex min-h-[50vh] flex-1 flex-col overflow-hidden pt-2 md:min-h-0">
      <Tape lengthMm={wide} scale={scale} offsetPx={offset} system={units} />
      <svg
        role={hands ? 'group' : 'img'}
        aria-label={label}
        width="100%"
        height={deep * scale + 2 * MARGIN_PX}
        className={`block shrink-0 select-none ${hands ? 'touch-none' : ''}`}
        onPointerMove={(event) => move(event, true)}
        onPointerUp={(event) => move(event, false)}
        onPointerCancel={(event) => move(event, false)}
      >
        <g transform={`translate(${offset} ${MARGIN_PX})`}>
          <path d={path(room.walls.map((wall) => wall.from))} fill="#f5f1e8" stroke={INK.ink} strokeWidth="5" />
          {room.slopes.map((slope) => {
            const wall = getWallLine(room, slope.wallId);
            const ends = [getWallPoint(wall, 0, slope.runMm), getWallPoint(wall, wall.lengthMm, slope.runMm)];
            return (
              <path
                key={slope.wallId}
                d={path(ends, false)}
                stroke={INK.stone}
                strokeDasharray="2 5"
                strokeWidth="1.5"
              />
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
                fill="#cfe0e6"
                stroke={window.isInSlope ? INK.stone : '#8fb3c1'}
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
                <path d={path(ends, false)} stroke="#f5f1e8" strokeWidth="6" />
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
            return <path key={fixture.id} d={path(corners)} fill={isHot ? '#e3c9bf' : '#9aa3a8'} stroke={INK.ink} />;
          })}
          {pieces
            .toSorted((a, b) => a.unit.yMm + a.unit.heightMm - b.unit.yMm - b.unit.heightMm)
            .map((piece) => {
              const print = computeFootprint(room, piece.unit);
              const corners = listCorners(print);
              const isFault = worst.get(piece.id);
              const isHung = piece.unit.yMm > 0;
              const isChosen = piece.id === chosen;
              return (
                <g
                  key={piece.id}
                  {...(hands && {
                    role: 'button',
                    tabIndex: 0,
                    'aria-label': hands.describe(piece),
                    'aria-pressed': isChosen,
                    className: 'group cursor-move outline-none',
                    onPointerDown: (event: PointerEvent) => {
                      if (event.button !== 0) return;
                      hands.onChoose(piece.id);
                      if (piece.unit.isFixed) return;
                      event.currentTarget.setPointerCapture(event.pointerId);
                      setCarried({ piece, x: event.clientX, y: event.clientY, isMoved: false });
                    },
                    onFocus: () => hands.onChoose(piece.id),
                    onKeyDown: (event: KeyboardEvent) => hands.onKey(event, piece),
                  })}
                >
                  <path
                    d={path(corners)}
                    fill={piece.unit.kind === 'floor' ? 'transparent' : '#e4d8c5'}
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
            })}
          {/* Names lie over everything, so that they can be read. */}
          {named.map(({ piece, x, y }, i) => (
            <text
              key={piece.id}
              x={x}
              y={y + 5 + shifts[i]!}
              textAnchor="middle"
              fontSize="14"
              fontStyle={piece.unit.yMm > 0 ? 'italic' : undefined}
              fontWeight={piece.id === chosen ? 700 : undefined}
              fill={INK.ink}
              stroke="#f5f1e8"
              strokeWidth="3"
              paintOrder="stroke"
              pointerEvents="none"
            >
              {nameOf(piece)}
            </text>
          ))}
          {room.sockets.map((socket) => {
            const [x, y] = at(getWallPoint(getWallLine(room, socket.wallId), socket.xMm));
            return <circle key={socket.id} cx={x} cy={y} r="5" fill="#fffdf8" stroke={INK.ink} strokeWidth="2" />;
          })}
          {room.lamps?.map((lamp) => {
            const [x, y] = at(lamp.at);
            return (
              <g key={lamp.id} stroke={INK.caution} strokeWidth="1.5" pointerEvents="none">
                <title>{lamp.name}</title>
                <path
                  d={`M${x - 9} ${y}h18M${x} ${y - 9}v18M${x - 6.5} ${y - 6.5}l13 13M${x - 6.5} ${y + 6.5}l13 -13`}
                />
                <circle cx={x} cy={y} r="5" fill="#efe3b4" />
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
                  stroke="#f5f1e8"
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
          {shown && (
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
          )}
        </g>
      </svg>
    </div>
  );
}
