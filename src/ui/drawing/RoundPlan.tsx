import { useRef } from 'react';
import { listPieces } from '../../core/room/index.ts';
import type { PlaceId, PlanPoint } from '../../core/records/index.ts';
import { computeStandPoint, getAncestor, getExtent, listStationSpots } from '../../core/storage/index.ts';
import { explained } from '../components/explained.ts';
import { useSize } from '../components/useSize.ts';
import { useHousehold } from '../state/app.ts';
import { getTree } from '../state/derived.ts';
import { createPlanFrame, INK, PlanPiece, PlanShell } from './planParts.tsx';
import { t } from '../language/index.ts';

const MOST_PX = 300;
const PAD_PX = 10;
const DOT_PX = 11;

/** A round on the floor plan of the room in which it goes on: from the station to each stop in its turn, and back. */
export function RoundPlan({ stops }: { stops: readonly PlaceId[] }) {
  const household = useHousehold();
  const tree = getTree(household);
  const holder = useRef<HTMLDivElement>(null);
  const size = useSize(holder);
  const [first] = stops;
  const room = first && getAncestor(tree, first, 'room');
  if (!room?.room) return null;
  const spec = room.room;
  const { left, right, top, bottom } = getExtent(spec);
  const [wide, deep] = [right - left, bottom - top];
  const scale = size ? Math.min((size.width - 2 * PAD_PX) / wide, (MOST_PX - 2 * PAD_PX) / deep) : 0;
  const frame = createPlanFrame(left, top, scale);
  const start = listStationSpots(tree)
    .filter(({ roomId }) => roomId === room.id)
    .slice(0, 1);
  const here = stops.flatMap((id, n): { point: PlanPoint; turn: number }[] => {
    const place = tree.places.get(id);
    const isHere = place !== undefined && getAncestor(tree, id, 'room')?.id === room.id;
    return isHere ? [{ point: computeStandPoint(tree, place), turn: n + 1 }] : [];
  });
  const walk = [...start, ...here.map(({ point }) => point), ...start];
  return (
    <div ref={holder} {...explained(t('The stops in their turn, on the floor plan; from the first station and back.'))}>
      {scale > 0 && (
        <svg
          role="img"
          aria-label={t('The way round in {room}, {stops, plural, one {one stop} other {# stops}}', {
            room: room.name,
            stops: here.length,
          })}
          width={wide * scale + 2 * PAD_PX}
          height={deep * scale + 2 * PAD_PX}
          className="block select-none"
        >
          <g transform={`translate(${PAD_PX} ${PAD_PX})`}>
            <PlanShell room={spec} frame={frame} />
            {listPieces(household, tree, room.id).map((piece) => (
              <PlanPiece
                key={piece.id}
                {...{ room: spec, frame, piece, scale }}
                isChosen={false}
                isFault={undefined}
                grip={undefined}
              />
            ))}
            <path d={frame.path(walk, false)} fill="none" stroke={INK.woad} strokeWidth="2.5" strokeDasharray="7 5" />
            {here.map(({ point, turn }) => {
              const [x, y] = frame.at(point);
              return (
                <g key={turn} transform={`translate(${x} ${y})`}>
                  <circle
                    r={DOT_PX}
                    fill={turn === 1 ? INK.woad : 'var(--color-paper)'}
                    stroke={INK.woad}
                    strokeWidth="2"
                  />
                  <text
                    y="5"
                    textAnchor="middle"
                    fontSize="14"
                    fontWeight="700"
                    fill={turn === 1 ? 'var(--color-paper)' : INK.ink}
                  >
                    {turn}
                  </text>
                </g>
              );
            })}
          </g>
        </svg>
      )}
    </div>
  );
}
