import { useRef, useState } from 'react';
import type { Item, PhotoId } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { useHousehold } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { developPhotos } from '../../state/developing.ts';
import { usePhotoUrl } from '../../state/photos.ts';
import { createSaveItem } from '../../../core/acts/index.ts';
import { FileInput } from '../../components/FileInput.tsx';
import { t } from '../../language/index.ts';

const MOST_PHOTOS = 12;

/** The photos of a thing: the first is its swatch everywhere. */
export function PhotoRow({ item }: { item: Item }) {
  const household = useHousehold();
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isReading, setReading] = useState(false);
  const photos = item.photos ?? [];
  const save = (next: readonly PhotoId[], done: string) => {
    const changed: Item = { ...item, photos: [...next] };
    if (next.length === 0) delete changed.photos;
    return edit(household, (from) => createSaveItem(from, changed, []), done);
  };
  const add = async (files: readonly File[]) => {
    setReading(true);
    const developed = await developPhotos(files);
    setReading(false);
    setTrouble(developed.trouble);
    if (developed.photos.length === 0) return;
    const ids = [...new Set([...photos, ...developed.photos.map((photo) => photo.id)])].slice(0, MOST_PHOTOS);
    await save(ids, t('{name} has a photo.', { name: item.name }));
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      {photos.map((id, i) => (
        <Thumb
          key={id}
          id={id}
          name={i === 0 ? t('Its swatch') : t('Photo {n}; make it the swatch', { n: i + 1 })}
          isFirst={i === 0}
          onChoose={() => void save([id, ...photos.filter((one) => one !== id)], t('That is its swatch now.'))}
        />
      ))}
      <Button look="quiet" disabled={isReading || photos.length >= MOST_PHOTOS} onClick={() => input.current?.click()}>
        {isReading ? t('Developing…') : t('Add a photo')}
      </Button>
      {photos.length > 0 && (
        <Button look="quiet" onClick={() => void save(photos.slice(1), t('The photo is off.'))}>
          {t('Take this photo away')}
        </Button>
      )}
      <FileInput
        ref={input}
        label={t('Photos of {name}', { name: item.name })}
        multiple
        accept="image/*"
        onFiles={(chosen) => void add(chosen)}
      />
      {trouble !== null && (
        <p role="alert" className="w-full text-sm font-semibold text-madder">
          {trouble}
        </p>
      )}
    </div>
  );
}

function Thumb({ id, name, isFirst, onChoose }: { id: PhotoId; name: string; isFirst: boolean; onChoose: () => void }) {
  const url = usePhotoUrl(id);
  return (
    <button
      type="button"
      aria-label={name}
      aria-pressed={isFirst}
      className={`size-11 border border-thread ${isFirst ? 'outline-2 outline-offset-1 outline-ink' : ''}`}
      onClick={onChoose}
    >
      {url ? <img src={url} alt="" className="size-full object-cover" /> : <span className="text-sm">–</span>}
    </button>
  );
}
