import { useContext, useEffect } from 'react';
import type { WallDrawing } from '../../../../core/drawing/index.ts';
import type { Place } from '../../../../core/records/index.ts';
import type { WallLine } from '../../../../core/storage/index.ts';
import { formatSizes } from '../../../../core/units/index.ts';
import { ScaleContext } from '../../../drawing/scale.ts';
import { useApp, useHousehold } from '../../../state/app.ts';
import { getTree } from '../../../state/derived.ts';
import { useRebuild } from '../../../state/rebuild.ts';
import { Bins } from './Bins.tsx';
import { Boards } from './Boards.tsx';
import { HookField } from './HookField.tsx';
import { UnitHandle } from './UnitHandle.tsx';
import { useHeld } from './useHeld.ts';

interface WallBuildProps {
  readonly room: Place;
  readonly wall: WallLine;
  readonly drawing: WallDrawing;
}

/** Narrower than this no measure is written in a compartment. */
const LEAST_PX = 56;

/** What lies over a wall that is rebuilt in place: handles of pieces, boards and bins, holes, and free measures. */
export function WallBuild({ room, wall, drawing }: WallBuildProps) {
  const scale = useContext(ScaleContext);
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const holding = useHeld();
  const ticket = useApp((state) => state.ticket);
  useEffect(() => () => useRebuild.setState({ words: '', isGood: true, carriedId: null }), []);
  const { heightMm } = drawing;
  const pieces = tree.getChildren(room.id).filter((one) => one.unit?.wallId === wall.id);
  const changed = new Map(holding.held?.saved.map((place) => [place.id, place]));
  const slots = pieces.flatMap((unit) =>
    tree.getChildren(unit.id).map((slot) => {
      const spec = changed.get(slot.id)?.slot ?? slot.slot!;
      const box = {
        x: unit.unit!.xMm + spec.xMm,
        y: heightMm - unit.unit!.yMm - spec.yMm - spec.heightMm,
        width: spec.widthMm,
        height: spec.heightMm,
      };
      return { unit, place: slot, box };
    }),
  );
  const bins = drawing.figures.flatMap((figure) => {
    const place = figure.kind === 'place' ? tree.places.get(figure.id as Place['id']) : undefined;
    return place?.container ? [{ place, box: figure }] : [];
  });
  const chosenId = ticket?.type === 'place' || ticket?.type === 'editSlot' ? ticket.id : null;
  return (
    <g>
      <Bins {...{ slots, bins, scale, holding }} />
      <g pointerEvents="none">
        {slots
          .filter(({ unit }) => ['cubes', 'bookcase', 'closet'].includes(unit.unit!.kind))
          .map(({ place, box }) =>
            box.width * scale < LEAST_PX || box.height * scale < 16 ? null : (
              <text
                key={place.id}
                x={(box.x + box.width / 2) * scale}
                y={(box.y + box.height) * scale - 5}
                textAnchor="middle"
                fontSize="14"
                fontWeight="600"
                fill="var(--color-woad)"
                stroke="var(--color-paper)"
                strokeWidth="4"
                paintOrder="stroke"
              >
                {formatSizes([box.width, box.height], units).replace(/ [a-z]+$/, '')}
              </text>
            ),
          )}
      </g>
      {slots.map(({ unit, place, box }) =>
        place.slot?.peg && place.id === chosenId ? (
          <HookField
            key={place.id}
            place={place}
            left={unit.unit!.xMm + place.slot.xMm}
            top={box.y}
            scale={scale}
            holding={holding}
          />
        ) : null,
      )}
      {pieces.map((unit) => (
        <g key={unit.id}>
          <Boards unit={unit} slots={tree.getChildren(unit.id)} {...{ scale, heightMm, holding }} />
          {!unit.unit!.stand && !unit.unit!.isFixed && (
            <UnitHandle {...{ room, wall, unit, scale, heightMm, holding }} />
          )}
        </g>
      ))}
    </g>
  );
}
