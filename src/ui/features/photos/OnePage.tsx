import { useEffect, useMemo, useRef } from 'react';
import { useNavigate } from 'react-router';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { createSaveItem } from '../../../core/acts/index.ts';
import { getColourFamily } from '../../../core/colour/index.ts';
import { KINDS, type Kind } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { Page } from '../../components/Page.tsx';
import { useApp, useHousehold } from '../../state/app.ts';
import { rememberHabits, useHabits } from '../../state/habits.ts';
import { act } from '../../state/hands.ts';
import { withNewIds } from '../../state/newThing.ts';
import { usePhotoUrl } from '../../state/photos.ts';
import { photoStore } from '../../state/store.ts';
import { capitalise, wordAmount, wordKind, wordStoreFault } from '../../text/index.ts';
import { inSession, Session } from '../stash/Session.tsx';
import { draftOf, NO_DRAFT } from './draft.ts';
import { usePhotos, type Shot } from './usePhotos.ts';
import { FileInput } from '../../components/FileInput.tsx';
import { t, wordTerm } from '../../language/index.ts';

/** What all of them are while one goes through a heap or a bin; it holds until something else is said. */
const useWalk = create<{ readonly kind: Kind; readonly words: string }>()(
  persist((): { readonly kind: Kind; readonly words: string } => ({ kind: 'fabric', words: '' }), {
    name: 'yardmist-walk',
  }),
);

const fieldClass = 'h-12 w-full min-w-0 rounded border border-thread bg-paper px-2';

/** The words of a shot as a line: its colour gives it a name of its own, for no two pieces of a heap are called the same. */
function lineOf(shot: Shot, words: string, kind: Kind, amount: string): string {
  const colour = shot.findings?.colours[shot.colour] ?? shot.findings?.colours[0];
  const name = colour ? wordTerm(getColourFamily(colour.hex)) : '';
  return `${name} ${words.trim() || wordKind(kind)} ${amount}`.trim();
}

/** One thing after the other with the thumb: photo, amount, next. */
export function OnePage() {
  const household = useHousehold();
  const { units } = household.settings;
  const tell = useApp((state) => state.tell);
  const navigate = useNavigate();
  const habits = useHabits();
  const { kind, words } = useWalk();
  const { shots, add, change, drop } = usePhotos();
  const file = useRef<HTMLInputElement>(null);
  const amount = useRef<HTMLInputElement>(null);
  const keeping = useRef(new Set<string>());
  const shot = shots.at(-1);
  const shotId = shot?.id;
  useEffect(() => {
    if (shotId !== undefined) amount.current?.focus();
  }, [shotId]);
  const draft = useMemo(
    () =>
      shot && shot.text.trim() !== ''
        ? draftOf({ ...shot, text: lineOf(shot, words, kind, shot.text) }, { kind, household, habits })
        : NO_DRAFT,
    [shot, words, kind, household, habits],
  );

  const takeIn = async () => {
    if (!shot?.photo || !draft.thing) return;
    const { item, lot: made } = withNewIds(draft.thing);
    const lot = inSession(household, made);
    // The camera opens for the next one while this one is still being kept: the tap allows it only now.
    keeping.current.add(shot.id);
    file.current?.click();
    const kept = await photoStore.savePhotos([shot.photo]);
    if (!kept.ok) return tell({ tone: 'fault', text: wordStoreFault(kept.fault), canUndo: false });
    if (draft.sketch) rememberHabits(draft.sketch);
    const told = t('{name} is in: {amount}.', { name: item.name, amount: wordAmount(item, lot, units) });
    if (await act((now) => createSaveItem(now, item, [lot]), told)) drop([shot.id]);
  };

  return (
    <Page title={t('One by one')}>
      <Form
        aria-label={t('One by one')}
        isEndless
        className="flex min-h-0 flex-1 flex-col gap-3 px-4 py-3 md:px-5"
        onSend={takeIn}
      >
        <WhatTheyAre />
        <Picture shot={shot} onColour={(colour) => shot && change(shot.id, { colour })} />
        <p role="status" className={draft.problem ? 'font-semibold text-madder' : 'text-stone'}>
          {draft.problem ??
            (draft.thing
              ? `${draft.thing.item.name}, ${wordAmount(draft.thing.item, draft.thing.lot, units)}`
              : '\u00a0')}
        </p>
        <div className="flex max-w-xl items-center gap-2">
          <Button look={shot ? 'plain' : 'strong'} className="h-14 flex-1" onClick={() => file.current?.click()}>
            {shot ? t('Again') : t('Photo')}
          </Button>
          <input
            ref={amount}
            aria-label={kind === 'fabric' ? t('How long it is') : t('How many')}
            inputMode="decimal"
            maxLength={40}
            autoComplete="off"
            placeholder={kind === 'fabric' ? (units === 'metric' ? 'm' : 'yd') : t('how many')}
            disabled={!shot}
            className="h-14 min-w-0 flex-1 rounded border border-thread bg-paper px-3 text-xl disabled:bg-linen"
            value={shot?.text ?? ''}
            onChange={({ target }) => shot && change(shot.id, { text: target.value })}
          />
          <Button look="strong" type="submit" className="h-14 flex-1" disabled={!draft.thing}>
            {t('Next')}
          </Button>
        </div>
        <FileInput
          ref={file}
          label={t('Photo of it')}
          accept="image/*"
          capture="environment"
          onFiles={(chosen) => {
            // One that could not be kept comes back after the next.
            if (shot && !keeping.current.has(shot.id)) drop([shot.id]);
            add(chosen);
          }}
        />
        <div>
          <Button look="quiet" onClick={() => void navigate('/photos')}>
            {t('Many photos at once')}
          </Button>{' '}
          <Button look="quiet" onClick={() => void navigate('/stash')}>
            {t('Back to the stash')}
          </Button>
        </div>
      </Form>
    </Page>
  );
}

/** What holds for all that is gone through: the kind, the words, the place. */
function WhatTheyAre() {
  const { units } = useHousehold().settings;
  const { kind, words } = useWalk();
  return (
    <div className="flex max-w-xl flex-wrap gap-2">
      <select
        aria-label={t('What it is')}
        className={`${fieldClass} flex-1 text-lg font-semibold`}
        value={kind}
        onChange={({ target }) => useWalk.setState({ kind: target.value as Kind })}
      >
        {KINDS.map((one) => (
          <option key={one} value={one}>
            {capitalise(wordKind(one))}
          </option>
        ))}
      </select>
      <input
        aria-label={t('What all of them are')}
        maxLength={200}
        autoComplete="off"
        placeholder={units === 'metric' ? t('poplin x 112') : t('poplin x 44')}
        className={`${fieldClass} flex-1`}
        value={words}
        onChange={({ target }) => useWalk.setState({ words: target.value })}
      />
      <Session />
    </div>
  );
}

/** The picture with the colours found in it; the thing goes by one of them. */
function Picture({ shot, onColour }: { shot: Shot | undefined; onColour: (nth: number) => void }) {
  const url = usePhotoUrl(shot?.photo?.id, 'full');
  return (
    <>
      <div className="relative min-h-40 max-w-xl flex-1 border border-dashed border-thread bg-linen">
        {url ? (
          <img src={url} alt={t('What was photographed')} className="absolute inset-0 size-full object-contain" />
        ) : (
          <p className="grid h-full place-items-center p-4 text-stone">
            {shot ? (shot.trouble ?? t('Developing …')) : t('Lay it flat in good light, and take its photo.')}
          </p>
        )}
      </div>
      {shot?.findings && (
        <div className="flex gap-2">
          {shot.findings.colours.map(({ hex, share }, i) => (
            <button
              key={hex}
              type="button"
              aria-label={t('Goes by {hex}, {share} % of it', { hex, share: Math.round(share * 100) })}
              aria-pressed={i === shot.colour}
              className={`size-11 border border-thread ${i === shot.colour ? 'outline-2 outline-offset-1 outline-ink' : ''}`}
              onClick={() => onColour(i)}
            >
              <svg aria-hidden className="block size-full">
                <rect width="100%" height="100%" fill={hex} />
              </svg>
            </button>
          ))}
        </div>
      )}
    </>
  );
}
