import { useMemo, useState } from 'react';
import type { Household, Item, ItemId } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { act } from '../../state/hands.ts';
import { getLotsByItem } from '../../state/derived.ts';
import { twinFinder } from '../../state/twins.ts';
import { wordAmount, wordLikeness, wordThing } from '../../text/index.ts';
import { createMerge } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

/** Things much like this one, side by side with it; one of them can be made of the two. */
export function MergeForm({ household, item, onDone }: { household: Household; item: Item; onDone: () => void }) {
  const { units } = household.settings;
  const [chosen, setChosen] = useState<ItemId | null>(null);
  const finder = twinFinder.use(household.items);
  const twins = useMemo(() => finder.find(item, 4), [finder, item]);
  const other = household.items.get(chosen ?? twins[0]?.itemId ?? ('' as ItemId));
  const lotsOf = (id: ItemId) =>
    (getLotsByItem(household).get(id) ?? []).flatMap((lotId) => household.lots.get(lotId) ?? []);
  const rows: readonly [string, (one: Item) => string][] = [
    [t('Name'), (one) => one.name],
    [t('It is'), (one) => wordThing(one, units)],
    [
      t('There is'),
      (one) =>
        lotsOf(one.id)
          .map((lot) => wordAmount(one, lot, units))
          .join(', '),
    ],
    [t('Uses a month'), (one) => String(one.usesPerMonth)],
    [t('Tags'), (one) => (one.tags ?? []).join(', ')],
    [t('Notes'), (one) => one.notes],
  ];
  return (
    <section aria-label={t('Do I have it twice?')} className="space-y-2 border-l-4 border-woad bg-linen p-3">
      <h3 className="font-bold">{t('Do I have it twice?')}</h3>
      {!other && <p>{t('Nothing else is much like it.')}</p>}
      {twins.length > 1 && (
        <select
          aria-label={t('Compare with')}
          className="h-9 w-full rounded border border-stone/60 bg-field px-1"
          value={other?.id}
          onChange={(event) => setChosen(event.target.value as ItemId)}
        >
          {twins.map((twin) => (
            <option key={twin.itemId} value={twin.itemId}>
              {household.items.get(twin.itemId)?.name}
            </option>
          ))}
        </select>
      )}
      {other && (
        <>
          <table className="w-full table-fixed text-sm">
            <thead>
              <tr>
                <th className="w-16">
                  <span className="sr-only">{t('What')}</span>
                </th>
                {[item, other].map((one, i) => (
                  <th key={one.id} scope="col" className="p-1">
                    <span className="sr-only">{i === 0 ? t('This one') : t('The other')}</span>
                    <Swatch item={one} className="h-8 w-full" />
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(([name, tell]) => {
                const [a, b] = [tell(item), tell(other)];
                return a === '' && b === '' ? null : (
                  <tr key={name} className="dotted-row align-top">
                    <th scope="row" className="py-1 text-left font-normal text-stone">
                      {name}
                    </th>
                    <td className={`px-1 break-words ${a === b ? '' : 'font-semibold'}`}>{a}</td>
                    <td className={`px-1 break-words ${a === b ? '' : 'font-semibold'}`}>{b}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <p className="text-sm text-stone">
            {t('Alike in:')}{' '}
            {twins
              .find((twin) => twin.itemId === other.id)
              ?.alike.map((one) => wordLikeness(one, units))
              .join(', ')}
            {t('. Made one, this name stays; what there is of both is kept, with their notes, tags, photos and costs.')}
          </p>
          <Button
            look="strong"
            onClick={() =>
              void act(
                (now) => createMerge(now, item.id, other.id),
                t('{name}: one of two.', { name: item.name }),
              ).then((isDone) => isDone && onDone())
            }
          >
            {t('Make one of them')}
          </Button>{' '}
        </>
      )}
      <Button onClick={onDone}>{t('Leave it')}</Button>
    </section>
  );
}
