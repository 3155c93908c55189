import { useContext, useMemo, useState, type ReactNode } from 'react';
import type { WallDrawing } from '../../../core/drawing/index.ts';
import type { Household, LotId, PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatMinutes } from '../../../core/units/index.ts';
import type { GroupVerdict } from '../../../workers/protocol.ts';
import { useDrag } from '../../components/useDrag.ts';
import { ScaleContext } from '../../drawing/scale.ts';
import { TargetRect } from '../../drawing/TargetRect.tsx';
import { getTree } from '../../state/derived.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { wordGroup } from '../../text/index.ts';
import { wordGroupVerdict } from '../../text/verdicts.ts';
import type { Disagreement } from './disagreement.ts';
import { getPieces, type GroupPiece } from './pieces.ts';
import { t } from '../../language/index.ts';

/** Nothing is asked while nothing is carried. */
const NO_LOTS: readonly LotId[] = [];

function getHit(target: Element | null | undefined): { lotId?: LotId; placeId?: PlaceId } {
  const { lot, place } = target?.closest<SVGElement>('[data-lot], [data-place]')?.dataset ?? {};
  return { lotId: lot as LotId | undefined, placeId: place as PlaceId | undefined };
}

const getPlaceOf = (household: Household, { lotId, placeId }: ReturnType<typeof getHit>): PlaceId | null =>
  (lotId ? household.lots.get(lotId)?.placeId : placeId) ?? null;

/** What the group of the thing under the pointer has in its place, or the group that has most in the place there. */
function findPiece(household: Household, target: Element): GroupPiece | null {
  const hit = getHit(target);
  const from = getPlaceOf(household, hit);
  const pieces = (from && getPieces(household).get(from)) || [];
  if (hit.lotId) return pieces.find(({ lotIds }) => lotIds.includes(hit.lotId!)) ?? null;
  return pieces.toSorted((a, b) => b.lotIds.length - a.lotIds.length)[0] ?? null;
}

const findUnder = (household: Household, { clientX, clientY }: { clientX: number; clientY: number }) =>
  getPlaceOf(household, getHit(document.elementFromPoint(clientX, clientY)));

interface CarryWallProps {
  /** The household as planned. */
  readonly household: Household;
  readonly disagree: Disagreement;
  /** Draws the wall, with what lies over it. */
  readonly children: (overlay: (drawing: WallDrawing) => ReactNode) => ReactNode;
}

/** A planned wall on which what a group has in a place is carried to another one, which says first what it would cost. */
export function CarryWall({ household, disagree, children }: CarryWallProps) {
  const [piece, setPiece] = useState<GroupPiece | null>(null);
  const [at, setAt] = useState<{ x: number; y: number; placeId: PlaceId | null } | null>(null);
  const isCarried = piece !== null && at !== null;
  // It is asked from the moment it is taken up, so that every place has its answer when it is let go.
  const { answer } = useAnswer(household, 'lotsVerdicts', piece?.lotIds ?? NO_LOTS);
  const tree = getTree(household);
  const verdicts = useMemo(() => new Map(answer?.map((one) => [one.placeId, one])), [answer]);
  const isElsewhere = Boolean(at?.placeId) && at!.placeId !== piece?.placeId;
  const over = isElsewhere ? verdicts.get(at!.placeId!) : undefined;
  const letGo = () => {
    setPiece(null);
    setAt(null);
  };
  const name = piece ? wordGroup(piece.group, household) : '';
  const nameOf = (id: PlaceId) => formatPlaceName(tree, id);
  const drag = useDrag({
    isOver: true,
    onTake: (event) => {
      const found = event.pointerType === 'touch' ? null : findPiece(household, event.target as Element);
      setPiece(found);
      return found !== null;
    },
    onDrag: (_right, _down, event) =>
      setAt({ x: event.clientX, y: event.clientY, placeId: findUnder(household, event) }),
    onDrop: () => {
      if (over?.isGood) disagree.send(over, t('{name}: to {place}.', { name, place: nameOf(over.placeId) }), null);
      letGo();
    },
    onCancel: letGo,
  });
  const said = over
    ? wordGroupVerdict(over, nameOf(over.placeId), household)
    : isElsewhere
      ? t('Trying it …')
      : t('Carry it to another place; Esc lets go.');
  return (
    <div className={`flex min-h-0 flex-1 flex-col ${isCarried ? 'cursor-grabbing' : ''}`} {...drag}>
      {children((drawing) => isCarried && <Marks drawing={drawing} verdicts={verdicts} overId={at.placeId} />)}
      {isCarried && (
        <p
          role="status"
          className="pointer-events-none fixed z-50 max-w-xs border border-thread bg-paper px-2 py-1 text-sm shadow"
          style={{
            left: Math.min(at.x + 14, window.innerWidth - 330),
            top: Math.min(at.y + 14, window.innerHeight - 90),
          }}
        >
          <strong>{name}</strong> {said}
        </p>
      )}
    </div>
  );
}

interface MarksProps {
  readonly drawing: WallDrawing;
  readonly verdicts: ReadonlyMap<PlaceId, GroupVerdict>;
  readonly overId: PlaceId | null;
}

/** What every place of the wall would cost, or that it does not take it. */
function Marks({ drawing, verdicts, overId }: MarksProps) {
  const scale = useContext(ScaleContext);
  return (
    <g pointerEvents="none">
      {drawing.figures.map((figure) => {
        const verdict = figure.kind === 'place' ? verdicts.get(figure.id as PlaceId) : undefined;
        if (!verdict) return null;
        const isHere = !verdict.isGood && verdict.code === 'here';
        const state = verdict.isGood ? 'good' : isHere ? 'here' : 'no';
        return (
          <g key={figure.id}>
            <TargetRect {...{ figure, scale, state }} isOver={figure.id === overId} />
            {verdict.isGood && figure.height * scale > 16 && figure.width * scale > 40 && (
              <text
                x={(figure.x + figure.width / 2) * scale}
                y={(figure.y + figure.height / 2) * scale + 5}
                textAnchor="middle"
                fontSize="14"
                fontWeight="600"
                fill="var(--color-ink)"
                stroke="var(--color-paper)"
                strokeWidth="4"
                paintOrder="stroke"
              >
                {wordChange(verdict.moreSeconds)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

function wordChange(seconds: number): string {
  if (Math.abs(seconds) < 3) return t('as good');
  return `${seconds > 0 ? '+' : '−'}${formatMinutes(Math.abs(seconds))}`;
}
