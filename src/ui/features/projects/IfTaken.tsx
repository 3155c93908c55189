import { useMemo } from 'react';
import { completeSketch, parseLine } from '../../../core/catalog/index.ts';
import { getMatch } from '../../../core/colour/index.ts';
import { computePackage } from '../../../core/measure/index.ts';
import type { Household, Item, ItemId, Lot, LotId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatVolume } from '../../../core/units/index.ts';
import { explained } from '../../components/explained.ts';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { findClothsFor, findThreadsFor } from '../../state/threads.ts';
import { useAnswer } from '../../state/useAnswer.ts';
import { getUsualStations } from '../../state/usualStations.ts';
import { wordMatch, wordShift, wordThing } from '../../text/index.ts';
import { getLineLanguage, t } from '../../language/index.ts';

const SUPPOSED = { item: 'supposed' as ItemId, lot: 'supposed' as LotId };
const MOST = 3;

/** The household with the thing that one thinks of; null where its line says too little. */
function suppose(
  household: Household,
  line: string,
  colour: string,
): { household: Household; item: Item; lot: Lot } | null {
  const { sketch } = parseLine(line, {
    kind: 'fabric',
    units: household.settings.units,
    spelling: getLineLanguage()?.line,
  });
  const read = completeSketch(
    { ...sketch, name: sketch.name ?? line.trim(), ...(colour !== '' && { colours: [colour] }) },
    {
      itemId: SUPPOSED.item,
      lotId: SUPPOSED.lot,
      nowMs: world.nowMs(),
      stationId: getUsualStations(household)(sketch.kind, sketch.type),
      settings: household.settings,
    },
  );
  if (!read.ok) return null;
  const { item, lot } = read.value;
  return {
    item,
    lot,
    household: {
      ...household,
      items: new Map(household.items).set(item.id, item),
      lots: new Map(household.lots).set(lot.id, lot),
    },
  };
}

/** What a thing would be like at home: the room it takes, where it would live, and what it goes with. */
export function IfTaken({ line, colour }: { line: string; colour: string }) {
  const household = useHousehold();
  const supposed = useMemo(() => suppose(household, line, colour), [household, line, colour]);
  if (!supposed) return <p className="mt-2">{t('Say what it is and how much, such as red ribbing 1 m.')}</p>;
  return <Taken key={line} {...supposed} />;
}

function Taken({ household, item, lot }: { household: Household; item: Item; lot: Lot }) {
  const { units } = household.settings;
  const { answer: homes, again } = useAnswer(household, 'homes', SUPPOSED.lot);
  const tree = getTree(household);
  const pkg = computePackage(item, lot, lot.form, household.settings);
  const litres = pkg ? formatVolume(pkg.alongMm * pkg.acrossMm * pkg.heightMm, units) : null;
  const threads = useMemo(() => findThreadsFor(household, item, 1), [household, item]);
  const cloths = useMemo(() => findClothsFor(household, item, MOST), [household, item]);
  return (
    <section aria-label={t('If you took it')} className="mt-2 border-l-4 border-woad bg-linen px-3 py-2">
      <p {...explained(t('Read from your line; what it does not say is what is usual for such a thing.'))}>
        <span className="font-semibold">{item.name}</span>, {wordThing(item, units)}
        {litres && t(': takes about {litres}.', { litres })}
      </p>
      {again ? (
        <button type="button" className="underline" onClick={again}>
          {t('Where it would live could not be worked out. Try again')}
        </button>
      ) : homes === null ? (
        <p className="text-stone">{t('Trying every place …')}</p>
      ) : homes.length === 0 ? (
        <p className="font-semibold text-madder">{t('There is no room for it anywhere.')}</p>
      ) : (
        <p {...explained(t('Every place was packed with it and priced like a plan; the cheapest comes first.'))}>
          {t('It would live in {placeName}', { placeName: formatPlaceName(tree, homes[0]!.placeId) })}
          {homes.length > 1 && t(', or in {placeName}', { placeName: formatPlaceName(tree, homes[1]!.placeId) })}.
        </p>
      )}
      <ul aria-label={t('What it goes with')}>
        {[...cloths, ...threads].map(({ of, deltaE, shifts }) => (
          <li key={of.id} className="dotted-row flex flex-wrap items-center gap-x-2 py-1">
            <Swatch item={of} className="size-6 shrink-0" />
            <span data-name className="min-w-40 flex-1 break-words">
              {of.name}
            </span>
            <span className="text-sm text-stone" {...explained(t('How far the colours are apart, ΔE00.'))}>
              {wordShift(deltaE, shifts)}; {wordMatch(getMatch(deltaE))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
