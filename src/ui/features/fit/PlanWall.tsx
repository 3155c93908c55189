import { type ReactNode } from 'react';
import type { Household } from '../../../core/records/index.ts';
import { explained } from '../../components/explained.ts';
import { WallView } from '../../drawing/WallView.tsx';
import { useApp, useOpen } from '../../state/app.ts';
import { useChoices } from '../../state/choices.ts';
import { findWallOrMain, getTree, getWalls } from '../../state/derived.ts';
import { getWallDrawing } from '../../drawing/wallDrawing.ts';
import { CarryWall } from './CarryWall.tsx';
import type { Disagreement } from './disagreement.ts';
import { perLanguage, t } from '../../language/index.ts';

interface PlanWallProps {
  readonly household: Household;
  readonly state: 'today' | 'best' | 'plan';
  /** Null where nothing can be said against it. */
  readonly disagree: Disagreement | null;
  readonly children: ReactNode;
}

const AS = perLanguage(
  () => ({ today: t('As it is today'), best: t('The best so far, not packed yet'), plan: t('As planned') }) as const,
);

/** A wall of a household that is looked at: as it is today, as the best so far has it, or as planned. */
export function PlanWall({ household, state, disagree, children }: PlanWallProps) {
  const open = useOpen();
  const chosenOne = useApp((state) => state.looked ?? state.ticket);
  const lastWall = useChoices((state) => state.wallId);
  const tree = getTree(household);
  const chosen = findWallOrMain(household, lastWall);
  const drawing = chosen && getWallDrawing(household, chosen.id);
  if (!chosen || !drawing) return null;
  const draw = (overlay?: ReactNode) => (
    <WallView
      drawing={drawing}
      label={`${chosen.wall.name}, ${state === 'today' ? t('as it is today') : t('as planned')}`}
      units={household.settings.units}
      chosenPlace={chosenOne?.type === 'place' ? chosenOne.id : null}
      chosenLot={chosenOne?.type === 'lot' ? chosenOne.id : null}
      tree={tree}
      onPlace={(id) => open({ type: 'place', id })}
      onLot={(id) => open({ type: 'lot', id })}
      isHeld={disagree !== null}
      overlay={overlay}
    />
  );
  const over = [...drawing.places.values()].filter((one) => one.isOverFull).length;
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-5 pt-2">
        <label className="flex max-w-full items-center gap-2 text-stone">
          {t('Wall')}
          <select
            className="h-11 rounded border border-thread bg-paper px-2 text-ink md:h-8"
            value={chosen.id}
            onChange={(event) => useChoices.setState({ wallId: event.target.value })}
          >
            {getWalls(household).map(({ id, room, wall }) => (
              <option key={id} value={id}>
                {`${room.name}: ${wall.name}`}
              </option>
            ))}
          </select>
        </label>
        {children}
        <span
          className="text-stone"
          {...explained(
            t(
              'Places of this wall whose things do not lie in them without overlapping, or take more than they measure.',
            ),
          )}
        >
          {t('{state}: {over, plural, one {# place} other {# places}} over full on this wall.', {
            state: AS()[state],
            over,
          })}
        </span>
        {disagree && (
          <span className="hidden text-stone pointer-fine:inline">
            {t('Drag a group to where you would rather have it.')}
          </span>
        )}
      </div>
      {disagree ? (
        <CarryWall household={household} disagree={disagree}>
          {(overlay) => draw(overlay(drawing))}
        </CarryWall>
      ) : (
        draw()
      )}
    </>
  );
}
