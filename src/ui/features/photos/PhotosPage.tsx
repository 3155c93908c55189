import { memo, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { PRINTS, type Print } from '../../../core/records/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Figure, Page } from '../../components/Page.tsx';
import { takeShared } from '../../state/handed.ts';
import { useApp, useHousehold } from '../../state/app.ts';
import { photoStore } from '../../state/store.ts';
import { act } from '../../state/hands.ts';
import { withNewIds } from '../../state/newThing.ts';
import { useChoices } from '../../state/choices.ts';
import { rememberHabits, useHabits } from '../../state/habits.ts';
import { usePhotoUrl } from '../../state/photos.ts';
import { capitalise, wordAmount, wordKind, wordPrint, wordStoreFault } from '../../text/index.ts';
import { inSession, Session } from '../stash/Session.tsx';
import { draftOf, NO_DRAFT, type Draft } from './draft.ts';
import { usePhotos, type Shot } from './usePhotos.ts';
import { createImport } from '../../../core/acts/index.ts';
import { FileInput } from '../../components/FileInput.tsx';
import { t } from '../../language/index.ts';

/** Things by their pictures: many at once, a line under each says what it is, all taken in together. */
export function PhotosPage() {
  const household = useHousehold();
  const { units } = household.settings;
  const tell = useApp((state) => state.tell);
  const navigate = useNavigate();
  const kind = useChoices((choices) => choices.stashKind);
  const habits = useHabits();
  const { shots, done, add, change, drop } = usePhotos();
  const [isSaving, setSaving] = useState(false);
  const brought = (useLocation().state as { files?: readonly File[] } | null)?.files;
  const began = useRef(false);
  useEffect(() => {
    if (began.current || !brought) return;
    began.current = true;
    add(brought);
  });
  const drafts = useMemo(
    () => new Map(shots.map((shot) => [shot.id, draftOf(shot, { kind, household, habits })])),
    [shots, kind, household, habits],
  );
  const ready = shots.filter((shot) => drafts.get(shot.id)?.thing);
  const isReading = done.read < done.of;

  const takeIn = async () => {
    setSaving(true);
    const things = ready.map((shot) => {
      const { thing, sketch } = drafts.get(shot.id)!;
      const { item, lot } = withNewIds(thing!);
      if (sketch) rememberHabits(sketch);
      return { item, lots: [inSession(household, lot)] };
    });
    const kept = await photoStore.savePhotos(ready.flatMap((shot) => shot.photo ?? []));
    if (!kept.ok) tell({ tone: 'fault', text: wordStoreFault(kept.fault), canUndo: false });
    else {
      const words = t('{n, plural, one {# thing} other {# things}}', { n: things.length });
      if (
        await act(
          (now) => createImport(now, t('{words} by their photos', { words }), things),
          t('{words} came in.', { words }),
        )
      ) {
        drop(ready.map((shot) => shot.id));
        if (ready.length === shots.length) void navigate('/stash');
      }
    }
    setSaving(false);
  };

  return (
    <Page
      title={t('Things by their photos')}
      foot={
        <>
          <Figure
            value={String(shots.length)}
            label={t('photos')}
            how={t('The pictures that were dropped or taken here, counted.')}
          />
          <Figure
            value={String(ready.length)}
            label={t('ready')}
            how={t('Those whose line is understood; they can be taken in.')}
          />
          {isReading && (
            <p role="status" className="flex items-center gap-2">
              <progress aria-label={t('Developing')} value={done.read} max={done.of} />{' '}
              {t('{read} of {all}', { read: done.read, all: done.of })}
            </p>
          )}
          <Session />
          <div className="ml-auto flex gap-2">
            <Button onClick={() => void navigate('/stash')}>{t('Back to the stash')}</Button>
            <Button look="strong" disabled={ready.length === 0 || isSaving} onClick={() => void takeIn()}>
              {ready.length === 0 ? t('Take in') : t('Take in {ready}', { ready: ready.length })}
            </Button>
          </div>
        </>
      }
    >
      <div
        className="min-h-0 flex-1 overflow-y-auto px-4 py-3 md:px-5"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          add([...event.dataTransfer.files]);
        }}
      >
        <PhotoSources add={add} isFirst={shots.length === 0} />
        <ul className="mt-4 grid grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-x-5 gap-y-6">
          {shots.map((shot, i) => (
            <ShotCard
              key={shot.id}
              shot={shot}
              draft={drafts.get(shot.id) ?? NO_DRAFT}
              units={units}
              isFirst={i === 0}
              onChange={change}
              onDrop={drop}
            />
          ))}
        </ul>
      </div>
    </Page>
  );
}

interface PhotoSourcesProps {
  readonly add: (files: readonly File[]) => void;
  readonly isFirst: boolean;
}

/** Where pictures come from: files, the camera, what is pasted. */
function PhotoSources({ add, isFirst }: PhotoSourcesProps) {
  const [isCameraOff, setCameraOff] = useState(false);
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const shoot = async () => {
    try {
      const reply = await fetch('/devices/camera/shot', { cache: 'no-store' });
      if (!reply.ok || !reply.headers.get('content-type')?.startsWith('image/')) throw new Error(reply.statusText);
      add([new File([await reply.blob()], t('from the camera'))]);
      setCameraOff(false);
    } catch {
      setCameraOff(true);
    }
  };
  const take = useEffectEvent(add);
  useEffect(() => {
    void takeShared().then((files) => files.length > 0 && take(files));
  }, []);
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length > 0) add(files);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  });

  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button look={isFirst ? 'strong' : 'plain'} onClick={() => input.current?.click()}>
        {t('Choose photos')}
      </Button>
      <Button onClick={() => void shoot()}>{t('Take one with the camera')}</Button>
      <FileInput ref={input} label={t('Photo files')} multiple accept="image/*" onFiles={add} />
      <Button look="quiet" onClick={() => void navigate('/photos/one')}>
        {t('One by one: photo, amount, next')}
      </Button>
      <p className="text-stone">
        {isCameraOff
          ? t('No camera answers. Choose photos, drop them here or paste them.')
          : t('Or drop them here. They stay in this browser, made small, without place or date.')}
      </p>
    </div>
  );
}

interface ShotCardProps {
  readonly shot: Shot;
  readonly draft: Draft;
  readonly units: UnitSystem;
  readonly isFirst: boolean;
  readonly onChange: (id: string, news: Partial<Shot>) => void;
  readonly onDrop: (ids: readonly string[]) => void;
}

const ShotCard = memo(function ShotCard({ shot, draft, units, isFirst, onChange, onDrop }: ShotCardProps) {
  const url = usePhotoUrl(shot.photo?.id, 'full');
  const { thing, problem } = draft;
  const name = shot.fileName || t('photo');
  if (shot.trouble !== null)
    return (
      <li className="border-l-4 border-madder bg-linen p-3" role="alert">
        <p className="font-semibold break-words">{name}</p>
        <p className="mt-1">{shot.trouble}</p>
        <Button look="quiet" className="mt-2" onClick={() => onDrop([shot.id])}>
          {t('Leave it out')}
        </Button>
      </li>
    );
  // Nothing can be said of a picture before it is seen; a hundred of them are on the page in no time.
  if (!shot.photo)
    return (
      <li className="bg-linen p-3 text-stone">
        <p>{t('Developing…')}</p>
      </li>
    );
  return (
    <li>
      <div className="relative aspect-[4/3] bg-linen">
        {url && (
          <img
            src={url}
            alt={name}
            decoding="async"
            loading="lazy"
            className="absolute inset-0 size-full object-cover"
          />
        )}
      </div>
      <div className="mt-1.5 flex items-center gap-1.5">
        {shot.findings?.colours.map(({ hex, share }, i) => (
          <button
            key={hex}
            type="button"
            aria-label={t('Goes by {hex}, {share} % of it', { hex, share: Math.round(share * 100) })}
            aria-pressed={i === shot.colour}
            className={`size-11 border border-thread md:size-7 ${i === shot.colour ? 'outline-2 outline-offset-1 outline-ink' : ''}`}
            onClick={() => onChange(shot.id, { colour: i })}
          >
            <svg aria-hidden className="block size-full">
              <rect width="100%" height="100%" fill={hex} />
            </svg>
          </button>
        ))}
        <select
          aria-label={t('Print of {name}', { name })}
          className="ml-auto h-11 rounded border border-thread bg-paper px-1 md:h-8"
          value={shot.print}
          onChange={(event) => onChange(shot.id, { print: event.target.value as Print })}
        >
          {PRINTS.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordPrint(one))}
            </option>
          ))}
        </select>
      </div>
      <input
        maxLength={300}
        type="text"
        aria-label={t('What is {name}', { name })}
        autoComplete="off"
        autoFocus={isFirst}
        placeholder={units === 'metric' ? t('linen twill 3.4m x 140') : t('linen twill 3 3/4 yd x 54')}
        aria-invalid={problem !== null || undefined}
        className="mt-1.5 h-11 w-full border-b-2 border-dashed border-walnut bg-linen px-2 placeholder:text-stone aria-invalid:border-madder"
        value={shot.text}
        onChange={(event) => onChange(shot.id, { text: event.target.value })}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          // On to the next picture.
          const all = [...document.querySelectorAll<HTMLInputElement>('input[aria-label^="What is "]')];
          (all[all.indexOf(event.currentTarget) + 1] ?? event.currentTarget).focus();
        }}
      />
      <p className="mt-1 flex justify-between gap-2 text-sm">
        <span className={problem === null ? 'text-stone' : 'font-semibold text-madder'} role="status">
          {problem ??
            (thing
              ? `${thing.item.name}: ${wordKind(thing.item.kind)}, ${wordAmount(thing.item, thing.lot, units)}`
              : t('Say what it is'))}
        </span>
        <Button look="quiet" onClick={() => onDrop([shot.id])}>
          {t('Leave out')}
        </Button>
      </p>
    </li>
  );
});
