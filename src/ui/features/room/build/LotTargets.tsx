import { useContext, useEffect, useState, type KeyboardEvent } from 'react';
import type { Figure, WallDrawing } from '../../../../core/drawing/index.ts';
import type { LotId, PlaceId } from '../../../../core/records/index.ts';
import { ScaleContext } from '../../../drawing/scale.ts';
import { TargetRect } from '../../../drawing/TargetRect.tsx';
import { useHousehold, world } from '../../../state/app.ts';
import { act } from '../../../state/hands.ts';
import { getTree } from '../../../state/derived.ts';
import { getGroups } from '../../../state/groups.ts';
import { useRebuild } from '../../../state/rebuild.ts';
import { useAnswer } from '../../../state/useAnswer.ts';
import { wordGroup } from '../../../text/index.ts';
import { wordGroupVerdict, wordVerdict } from '../../../text/verdicts.ts';
import type { GroupVerdict, Verdict } from '../../../../workers/protocol.ts';
import { useCarry } from './useCarry.ts';
import { createMove, createMoveTogether } from '../../../../core/acts/index.ts';

type Place = Figure & { readonly id: PlaceId };
type AnyVerdict = Verdict | GroupVerdict;

/** Where a thing could go: every place of the wall says what would come of it, under the pointer or the focus. */
export function LotTargets({ lotId, drawing }: { lotId: LotId; drawing: WallDrawing }) {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const { answer: verdicts } = useAnswer(household, 'verdicts', lotId);
  const lot = household.lots.get(lotId);
  if (!lot || !verdicts) return null;
  return (
    <Targets
      drawing={drawing}
      verdicts={verdicts}
      own={drawing.figures.find((figure) => figure.kind === 'lot' && figure.id === lotId) ?? null}
      wordOf={(verdict) =>
        wordVerdict(verdict, tree.places.get(verdict.placeId)?.name ?? '', lot.homeId === undefined, units)
      }
      onTake={(verdict) => {
        useRebuild.setState({ lotId: null });
        if (verdict.isGood) void act((now) => createMove(now, lotId, verdict.placeId, verdict.form, world.nowMs()));
      }}
    />
  );
}

/** Where a whole group could go; it is taken by its first thing that lies on this wall. */
export function GroupTargets({ groupId, drawing }: { groupId: string; drawing: WallDrawing }) {
  const household = useHousehold();
  const tree = getTree(household);
  const { answer: verdicts } = useAnswer(household, 'groupVerdicts', groupId);
  const group = getGroups(household).find((one) => one.id === groupId);
  if (!group || !verdicts) return null;
  const ids = new Set<string>(group.lots.map((lot) => lot.id));
  return (
    <Targets
      drawing={drawing}
      verdicts={verdicts}
      own={drawing.figures.find((figure) => figure.kind === 'lot' && ids.has(figure.id)) ?? null}
      wordOf={(verdict) => wordGroupVerdict(verdict, tree.places.get(verdict.placeId)?.name ?? '', household)}
      onTake={(verdict) => {
        useRebuild.setState({ groupId: null });
        if (verdict.isGood)
          void act((now) =>
            createMoveTogether(now, verdict.forms, verdict.placeId, wordGroup(group, household), world.nowMs()),
          );
      }}
    />
  );
}

interface TargetsProps<V extends AnyVerdict> {
  readonly drawing: WallDrawing;
  readonly verdicts: readonly V[];
  /** What is carried, where it lies on this wall. */
  readonly own: Figure | null;
  readonly wordOf: (verdict: V) => string;
  readonly onTake: (verdict: V) => void;
}

function Targets<V extends AnyVerdict>({ drawing, verdicts, own, wordOf, onTake }: TargetsProps<V>) {
  const scale = useContext(ScaleContext);
  useEffect(() => () => useRebuild.setState({ words: '', isGood: true }), []);
  const byPlace = new Map(verdicts.map((verdict) => [verdict.placeId, verdict]));
  const places = drawing.figures.filter((figure): figure is Place => figure.kind === 'place');
  const say = (verdict: V | undefined) =>
    useRebuild.setState(verdict ? { words: wordOf(verdict), isGood: verdict.isGood } : { words: '', isGood: true });
  const take = (verdict: V | undefined) => {
    if (verdict?.isGood) onTake(verdict);
  };
  const findAt = (x: number, y: number) =>
    places.findLast((one) => x >= one.x && x <= one.x + one.width && y >= one.y && y <= one.y + one.height);
  return (
    <g>
      {places.map((figure) => {
        const verdict = byPlace.get(figure.id);
        if (!verdict) return null;
        const isHere = !verdict.isGood && verdict.code === 'here';
        const onKey = (event: KeyboardEvent) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          take(verdict);
          event.preventDefault();
        };
        return (
          <g
            key={figure.id}
            role="button"
            tabIndex={0}
            data-hold=""
            aria-disabled={!verdict.isGood}
            aria-label={wordOf(verdict)}
            className={`group outline-none ${verdict.isGood ? 'cursor-pointer' : 'cursor-not-allowed'}`}
            onPointerEnter={() => say(verdict)}
            onFocus={() => say(verdict)}
            onClick={() => take(verdict)}
            onKeyDown={onKey}
          >
            <TargetRect {...{ figure, scale }} state={verdict.isGood ? 'good' : isHere ? 'here' : 'no'} />
          </g>
        );
      })}
      {own && (
        <Dragged
          {...{ own, scale }}
          onOver={(x, y) => say(byPlace.get(findAt(x, y)?.id ?? ('' as PlaceId)))}
          onDrop={(x, y) => take(byPlace.get(findAt(x, y)?.id ?? ('' as PlaceId)))}
        />
      )}
    </g>
  );
}

interface DraggedProps {
  readonly own: Figure;
  readonly scale: number;
  readonly onOver: (x: number, y: number) => void;
  readonly onDrop: (x: number, y: number) => void;
}

/** The thing itself, to be dragged to where it should go. */
function Dragged({ own, scale, onOver, onDrop }: DraggedProps) {
  /** Where its middle is carried to; null while it lies where it is. */
  const [to, setTo] = useState<{ x: number; y: number } | null>(null);
  const middle = { x: own.x + own.width / 2, y: own.y + own.height / 2 };
  const carry = useCarry(scale, {
    onCarry: (rightMm, downMm) => {
      const next = { x: middle.x + rightMm, y: middle.y + downMm };
      setTo(next);
      onOver(next.x, next.y);
    },
    onDrop: () => {
      if (to) onDrop(to.x, to.y);
      setTo(null);
    },
    onCancel: () => useRebuild.setState({ lotId: null, groupId: null }),
  });
  return (
    <rect
      {...carry}
      data-testid="carried"
      className="cursor-grab"
      x={(to ? to.x - own.width / 2 : own.x) * scale}
      y={(to ? to.y - own.height / 2 : own.y) * scale}
      width={own.width * scale}
      height={own.height * scale}
      fill="var(--color-paper)"
      fillOpacity="0.5"
      stroke="var(--color-ink)"
      strokeWidth="3"
    />
  );
}
