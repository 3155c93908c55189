import type { KeyboardEvent } from 'react';
import type { Figure } from '../../../../core/drawing/index.ts';
import type { Place, PlaceId } from '../../../../core/records/index.ts';
import { formatPlaceName } from '../../../../core/storage/index.ts';
import { useApp, useHousehold } from '../../../state/app.ts';
import { follow } from '../../../state/follow.ts';
import { getTree } from '../../../state/derived.ts';
import { useRebuild } from '../../../state/rebuild.ts';
import { wordPut } from '../../../text/rebuild.ts';
import { useCarry } from './useCarry.ts';
import type { Holding } from './useHeld.ts';
import { putBin } from '../../../../core/suppose/index.ts';
import { t } from '../../../language/index.ts';

interface BinsProps {
  /** Every compartment of the wall, and where it is drawn; mm. */
  readonly slots: readonly { readonly place: Place; readonly box: Pick<Figure, 'x' | 'y' | 'width' | 'height'> }[];
  /** Every bin of the wall, and where it is drawn. */
  readonly bins: readonly { readonly place: Place; readonly box: Pick<Figure, 'x' | 'y' | 'width' | 'height'> }[];
  readonly scale: number;
  readonly holding: Holding;
}

/** Bins are carried from place to place; of one that was picked up by key, the places that take it are offered. */
export function Bins({ slots, bins, scale, holding }: BinsProps) {
  const household = useHousehold();
  const carriedId = useRebuild((state) => state.carriedId);
  const tree = getTree(household);
  const carried = carriedId ? tree.places.get(carriedId) : undefined;
  return (
    <>
      {bins.map(({ place, box }) => (
        <BinHandle key={place.id} {...{ place, box, slots, scale, holding }} />
      ))}
      {carried &&
        slots.map(({ place, box }) => <Target key={place.id} {...{ bin: carried, place, box, scale, holding }} />)}
    </>
  );
}

type Box = BinsProps['bins'][number]['box'];

/** A bin is dragged with the mouse or finger, or picked up with M and put down at one of the places offered. */
function BinHandle({ place, box, slots, scale, holding }: Omit<BinsProps, 'bins'> & { place: Place; box: Box }) {
  const household = useHousehold();
  const show = useApp((state) => state.show);
  const { units } = household.settings;
  const tree = getTree(household);
  const key = `bin ${place.id}`;
  const mine = holding.held?.key === key ? holding.held : null;
  const target = mine?.saved[0]?.parentId;
  const over = target ? slots.find((slot) => slot.place.id === target) : undefined;
  const carry = useCarry(scale, {
    onCancel: holding.drop,
    onCarry: (rightMm, downMm) => {
      const [x, y] = [box.x + box.width / 2 + rightMm, box.y + box.height / 2 + downMm];
      const at = slots.find(
        ({ box: one }) => x >= one.x && x <= one.x + one.width && y >= one.y && y <= one.y + one.height,
      );
      if (!at || at.place.id === place.parentId) {
        holding.drop();
        return;
      }
      const put = putBin(household, tree, place, at.place);
      const words = wordPut(put, place.name, at.place.name, units);
      holding.hold({
        key,
        subject: place.name,
        // A refusal still says where it is held.
        saved: [put.ok ? put.bin : { ...place, parentId: at.place.id }],
        refusal: put.ok ? null : words,
        words,
        isGood: put.ok,
      });
    },
    onDrop: (isMoved) => (isMoved ? holding.keep() : show({ type: 'place', id: place.id })),
  });
  const colour = mine?.refusal === null ? 'var(--color-moss)' : 'var(--color-madder)';
  const [x, y, width, height] = [box.x * scale, box.y * scale, box.width * scale, box.height * scale];
  return (
    <g className="group cursor-grab" {...carry}>
      <rect {...{ x, y, width, height }} fill="transparent" stroke="var(--color-woad)" strokeDasharray="3 3" />
      {over && (
        <rect
          x={over.box.x * scale}
          y={over.box.y * scale}
          width={over.box.width * scale}
          height={over.box.height * scale}
          fill={colour}
          fillOpacity="0.25"
          stroke={colour}
          strokeWidth="2.5"
          pointerEvents="none"
        />
      )}
    </g>
  );
}

/** A place that would take the bin that was picked up. */
function Target({
  bin,
  place,
  box,
  scale,
  holding,
}: Pick<BinsProps, 'scale' | 'holding'> & { bin: Place; place: Place; box: Box }) {
  const household = useHousehold();
  const tree = getTree(household);
  if (place.id === bin.parentId) return null;
  const put = putBin(household, tree, bin, place);
  if (!put.ok) return null;
  const words = wordPut(put, bin.name, formatPlaceName(tree, place.id), household.settings.units);
  const take = () => {
    useRebuild.setState({ carriedId: null, words, isGood: true });
    void follow(holding.change(bin.name, [put.bin]), { type: 'place', id: bin.id as PlaceId });
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    take();
    event.preventDefault();
  };
  return (
    <g
      role="button"
      tabIndex={0}
      data-hold=""
      aria-label={t('Put it here. {words}', { words })}
      className="group cursor-pointer outline-none"
      onClick={take}
      onKeyDown={onKey}
      onFocus={() => useRebuild.setState({ words, isGood: true })}
      onPointerEnter={() => useRebuild.setState({ words, isGood: true })}
    >
      <rect
        x={box.x * scale + 2}
        y={box.y * scale + 2}
        width={box.width * scale - 4}
        height={box.height * scale - 4}
        fill="var(--color-moss)"
        fillOpacity="0.22"
        stroke="var(--color-moss)"
        strokeWidth="2"
        strokeDasharray="6 4"
        className="group-focus-visible:stroke-[4px]"
      />
    </g>
  );
}
