import { memo } from 'react';
import type { Step } from '../../../core/moves/index.ts';
import type { LotId } from '../../../core/records/index.ts';
import type { PlaceTree } from '../../../core/storage/index.ts';
import { formatMass, formatMinutes } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold } from '../../state/app.ts';
import { wordDeed, wordWay } from '../../text/moves.ts';
import { perLanguage, t } from '../../language/index.ts';

export const HOW_SECONDS = perLanguage(() =>
  t(
    'Each thing by what carrying one costs, twice where it is folded anew; the way on foot; bending, opening and pulling out at both ends: all by the figures in House.',
  ),
);

interface StepLineProps {
  readonly step: Step;
  /** Its turn in the whole list, from 0. */
  readonly at: number;
  /** The places as they stand when its turn comes. */
  readonly tree: PlaceTree;
  readonly lots: readonly LotId[];
  /** The minutes one has end with this step; null where they do not. */
  readonly reach: number | null;
}

/** A step of the list: what is carried, from where to where, how heavy, how long. */
export const StepLine = memo(function StepLine({ step, at, tree, lots, reach }: StepLineProps) {
  const household = useHousehold();
  const { units } = household.settings;
  const items = lots.flatMap((id) => {
    const lot = household.lots.get(id);
    return lot ? (household.items.get(lot.itemId) ?? []) : [];
  });
  const names = items.map((item) => item.name);
  return (
    <li
      className={`${reach === null ? 'dotted-row' : 'border-b-2 border-dashed border-woad'} flex flex-wrap gap-x-3 py-2 [content-visibility:auto] [contain-intrinsic-size:auto_56px]`}
    >
      <span
        className="tabular w-6 shrink-0 text-right md:w-9 font-display font-semibold"
        {...explained(t('Its turn in the whole list.'))}
      >
        {at + 1}
      </span>
      {/* A phone has no room beside the words. */}
      <span className="flex w-24 shrink-0 flex-wrap content-start gap-0.5 pt-1 max-md:order-1 max-md:w-full max-md:pl-9">
        {items.slice(0, 10).map((item, i) => (
          <Swatch key={`${item.id} ${i}`} item={item} className="size-4" />
        ))}
      </span>
      <span
        className="min-w-0 flex-1"
        {...explained(t('What goes from one place to one other, as much of it as one person lifts and holds at once.'))}
      >
        <strong className="font-semibold">{wordDeed(step, names, tree)}</strong> {wordWay(step, tree)}
        {items.length > 1 && (
          <span className="block truncate text-sm text-stone print:whitespace-normal">{names.join(', ')}</span>
        )}
      </span>
      <span
        className="tabular hidden w-32 shrink-0 text-right text-sm text-stone sm:block"
        {...explained(t('{how} The weight is that of all that is carried at once.', { how: HOW_SECONDS() }))}
      >
        {formatMass(step.massG, units)}, {formatMinutes(step.seconds)}
      </span>
      {reach !== null && (
        <span
          className="order-1 w-full pt-1 text-center text-sm font-semibold text-woad"
          {...explained(t('As many steps as the time you have allows and that leave the table clear.'))}
        >
          {t('{minutes} reach to here, with the table clear', { minutes: formatMinutes(reach * 60) })}
        </span>
      )}
    </li>
  );
});
