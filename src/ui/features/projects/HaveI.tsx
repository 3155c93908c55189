import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { findNearest, getLab, toLabColour, type Candidate, UNDYED } from '../../../core/colour/index.ts';
import type { Item, Lot } from '../../../core/records/index.ts';
import { startPhotographer } from '../../../workers/client.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { FileInput } from '../../components/FileInput.tsx';
import { Swatch } from '../../drawing/Swatch.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { useFound } from '../../state/finder.ts';
import { wordAmount } from '../../text/index.ts';
import { t } from '../../language/index.ts';

const IfTaken = lazy(async () => ({ default: (await import('./IfTaken.tsx')).IfTaken }));

/** So many answers do for a look. */
const MOST = 6;

/** Do I have it already? By words, or the nearest by colour, chosen or photographed; and what it would be like at home. */
export function HaveI() {
  const household = useHousehold();
  const { units } = household.settings;
  const [text, setText] = useState('');
  const [colour, setColour] = useState('');
  const [taken, setTaken] = useState('');
  const camera = useRef<HTMLInputElement>(null);
  const hits = useFound(household, text, colour === '' ? MOST : 200);
  const found = useMemo((): { lot: Lot; item: Item }[] => {
    const toThing = (lot: Lot | undefined) => {
      const item = lot && household.items.get(lot.itemId);
      return lot && item && lot.state !== 'gone' ? [{ lot, item }] : [];
    };
    const byWords = text.trim() === '' ? null : hits.flatMap(({ lotId }) => toThing(household.lots.get(lotId)));
    const lab = colour === '' ? null : toLabColour(colour);
    if (!lab) return byWords ?? [];
    const among = (byWords ?? [...household.lots.values()].flatMap(toThing)).flatMap(
      (thing): Candidate<typeof thing>[] => {
        const own = getLab(thing.item);
        return own ? [{ of: thing, lab: own }] : [];
      },
    );
    return findNearest(lab, among, MOST).map(({ of }) => of);
  }, [household, hits, text, colour]);
  return (
    <section aria-label={t('Do I have it already?')} className="no-print max-w-3xl">
      <div className="flex flex-wrap items-center gap-2">
        <input
          aria-label={t('Do I have it already?')}
          placeholder={t('Do I have a red ribbing already?')}
          maxLength={120}
          autoComplete="off"
          className="h-11 min-w-0 flex-1 basis-full rounded md:basis-0 border border-stone/60 bg-field px-2"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <label className="flex min-h-11 items-center gap-2 text-sm text-stone">
          {t('by colour')}
          <input
            type="color"
            aria-label={t('Nearest to this colour')}
            className="size-11 rounded border border-stone/60 bg-field"
            value={colour === '' ? UNDYED : colour}
            onChange={(event) => setColour(event.target.value)}
          />
        </label>
        <Button onClick={() => camera.current?.click()}>{t('Photograph it')}</Button>
        <FileInput
          ref={camera}
          label={t('A photo of its colour')}
          accept="image/*"
          capture="environment"
          onFiles={([file]) => readColour(file!, setColour)}
        />
        {colour !== '' && (
          <Button look="quiet" onClick={() => setColour('')}>
            {t('Any colour')}
          </Button>
        )}
      </div>
      {(text.trim() !== '' || colour !== '') && (
        <ul aria-label={t('What is there')}>
          {found.length === 0 && <li className="py-1.5">{t('Nothing like it is in the stash.')}</li>}
          {found.map(({ lot, item }) => (
            <li key={lot.id} className="dotted-row flex items-center gap-3 py-1">
              <Swatch item={item} className="size-8 shrink-0" />
              <span data-name className="min-w-0 flex-1 break-words">
                {item.name}
              </span>
              <span className="tabular text-sm text-stone" {...explained(t('As its ticket says.'))}>
                {wordAmount(item, lot, units)}
              </span>
            </li>
          ))}
        </ul>
      )}
      {text.trim() !== '' && taken !== text && (
        <Button look="quiet" onClick={() => setTaken(text)}>
          {t('What if I took it?')}
        </Button>
      )}
      {text.trim() !== '' && taken === text && (
        <Suspense>
          <IfTaken line={text} colour={colour} />
        </Suspense>
      )}
    </section>
  );
}

/** The colour that most of a photo has. */
function readColour(file: File, onColour: (hex: string) => void): void {
  startPhotographer([file], (news) => {
    const [found] = news.type === 'developed' ? news.findings.colours : [];
    if (found) onColour(found.hex);
    else
      useApp.getState().tell({ tone: 'fault', text: t('That is no picture that this browser reads.'), canUndo: false });
  });
}
