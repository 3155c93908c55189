import { useEffect, useRef, useState } from 'react';
import { createWallPhoto, scaleByPoints } from '../../../../core/room/index.ts';
import type { Place, WallPhoto } from '../../../../core/records/index.ts';
import { formatSize, parseLengthMm } from '../../../../core/units/index.ts';
import { Button } from '../../../components/Button.tsx';
import { Form } from '../../../components/Form.tsx';
import { CheckField, TextField } from '../../../components/fields.tsx';
import { useApp, useHousehold } from '../../../state/app.ts';
import { developPhotos } from '../../../state/developing.ts';
import { wordAmountFault } from '../../../text/index.ts';
import { findWallPhoto, saveWallPhoto, stopSetting, useWallPhoto } from './wallPhoto.ts';
import { FileInput } from '../../../components/FileInput.tsx';
import { t } from '../../../language/index.ts';
import { isPhone } from '../../../components/phone.ts';

const STEP_MM = 10;

interface PhotoPanelProps {
  readonly room: Place;
  readonly wall: { readonly id: string; readonly name: string };
  readonly widthMm: number;
}

/** A photo that lies behind the wall as a guide: taken in, set to scale by two points, shifted, hidden or taken away. */
export function PhotoPanel({ room, wall, widthMm }: PhotoPanelProps) {
  const household = useHousehold();
  const tell = useApp((state) => state.tell);
  const photo = findWallPhoto(room, wall.id);
  const isHidden = useWallPhoto((state) => state.isHidden);
  const [isReading, setReading] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  useEffect(() => stopSetting, []);
  // A phone shows the wall above the panel: what is to be pressed comes into view.
  const isSetting = useWallPhoto((state) => state.isSetting);
  useEffect(() => {
    if (isSetting && isPhone()) document.querySelector('[data-testid=wall-frame]')?.scrollIntoView({ block: 'center' });
  }, [isSetting]);

  const read = async (files: readonly File[]) => {
    setReading(true);
    const { photos, trouble } = await developPhotos(files.slice(0, 1));
    setReading(false);
    const [taken] = photos;
    if (!taken) return tell({ tone: 'fault', text: trouble ?? '', canUndo: false });
    const picture = await createImageBitmap(new Blob([taken.bytes.slice().buffer], { type: taken.type }));
    const behind = createWallPhoto(wall.id, taken.id, widthMm, picture);
    picture.close();
    if (
      await saveWallPhoto(
        household,
        room,
        wall.id,
        behind,
        t('The photo lies behind {wall}. Press two points in it whose distance you can measure.', { wall: wall.name }),
      )
    )
      useWallPhoto.setState({ isSetting: true, points: [], isHidden: false });
  };
  return (
    <details className="mt-2" open={photo !== null || undefined}>
      <summary className="min-h-11 cursor-pointer py-1 font-semibold text-woad md:min-h-0">
        {t('A photo behind the wall')}
      </summary>
      <p className="mt-1 text-sm text-stone">{t('A guide to draw by. It stays in this browser and in your files.')}</p>
      <div className="mt-2 flex flex-wrap gap-x-3 gap-y-1">
        <Button disabled={isReading} onClick={() => file.current?.click()}>
          {isReading ? t('Developing …') : photo ? t('Another photo') : t('Choose a photo')}
        </Button>
        {photo && (
          <Button
            look="quiet"
            onClick={() =>
              void saveWallPhoto(
                household,
                room,
                wall.id,
                null,
                t('No photo behind {wall} any more.', { wall: wall.name }),
              )
            }
          >
            {t('Take it away')}
          </Button>
        )}
      </div>
      <FileInput
        ref={file}
        label={t('Photo of {wall}', { wall: wall.name })}
        accept="image/*"
        onFiles={(chosen) => void read(chosen)}
      />
      {photo && (
        <>
          <CheckField
            label={t('Hide it for now')}
            checked={isHidden}
            onChange={() => useWallPhoto.setState({ isHidden: !isHidden })}
          />
          <ScaleForm room={room} wall={wall} photo={photo} />
          <Shift room={room} wall={wall} photo={photo} />
        </>
      )}
    </details>
  );
}

interface PlacedPhoto {
  readonly room: Place;
  readonly wall: PhotoPanelProps['wall'];
  readonly photo: WallPhoto;
}

/** Two points that one presses on the photo, and how far they are apart on the wall. */
function ScaleForm({ room, wall, photo }: PlacedPhoto) {
  const household = useHousehold();
  const { units } = household.settings;
  const { isSetting, points } = useWallPhoto();
  const [typed, setTyped] = useState('');
  if (!isSetting)
    return (
      <Button
        look="quiet"
        className="mt-1"
        onClick={() => useWallPhoto.setState({ isSetting: true, points: [], isHidden: false })}
      >
        {t('Set its scale by two points')}
      </Button>
    );
  const [a, b] = points;
  const parsed = parseLengthMm(typed, units === 'metric' ? 'cm' : 'in');
  const scaled = a && b && parsed.ok ? scaleByPoints(photo, a, b, parsed.value) : null;
  const send = async () => {
    if (!scaled) return;
    const told = t('The two points are {size} apart now.', { size: formatSize(parsed.ok ? parsed.value : 0, units) });
    if (!(await saveWallPhoto(household, room, wall.id, scaled, told))) return;
    setTyped('');
    stopSetting();
  };
  return (
    <Form
      aria-label={t('Scale of the photo')}
      isEndless
      className="mt-2 space-y-2 border-l-4 border-woad bg-linen px-3 py-2"
      onSend={send}
    >
      <p role="status">
        {!a
          ? t('Press a point in the photo that you can measure from, such as a corner of the door.')
          : !b
            ? t('Now another one: the farther away, the truer.')
            : t('How far apart are the two on the real wall?')}
      </p>
      {b && (
        <TextField
          label={t('Distance')}
          autoFocus
          value={typed}
          fault={
            typed === ''
              ? undefined
              : !parsed.ok
                ? wordAmountFault(parsed.fault, units === 'metric' ? t('80 cm') : t('32 in'))
                : scaled
                  ? undefined
                  : t('So large or small no wall is.')
          }
          onChange={({ target }) => setTyped(target.value)}
        />
      )}
      <div className="flex gap-3">
        {b && (
          <Button type="submit" look="strong" disabled={!scaled}>
            {t('Set the scale')}
          </Button>
        )}
        <Button look="quiet" onClick={stopSetting}>
          {t('Leave it')}
        </Button>
      </div>
    </Form>
  );
}

/** Shifts the photo by a centimetre, or ten with Shift. */
function Shift({ room, wall, photo }: PlacedPhoto) {
  const household = useHousehold();
  const { units } = household.settings;
  const shift = (x: number, y: number) => (event: { readonly shiftKey: boolean }) => {
    const step = STEP_MM * (event.shiftKey ? 10 : 1);
    const next = { ...photo, xMm: photo.xMm + x * step, yMm: photo.yMm + y * step };
    void saveWallPhoto(household, room, wall.id, next, t('The photo was shifted.'));
  };
  return (
    <div
      role="group"
      aria-label={t('Shift the photo')}
      className="mt-2 flex flex-wrap items-center gap-1 text-sm text-stone"
    >
      <span>{t('Shift it')}</span>
      <Button aria-label={t('Left')} onClick={shift(-1, 0)}>
        ←
      </Button>
      <Button aria-label={t('Right')} onClick={shift(1, 0)}>
        →
      </Button>
      <Button aria-label={t('Up')} onClick={shift(0, 1)}>
        ↑
      </Button>
      <Button aria-label={t('Down')} onClick={shift(0, -1)}>
        ↓
      </Button>
      <span>{t('{size}; with Shift ten times that', { size: formatSize(STEP_MM, units) })}</span>
    </div>
  );
}
