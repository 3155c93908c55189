import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { ROOM_SHAPES, shapeRoom, type RoomShape, type ShapeMeasures } from '../../../core/room/index.ts';
import { createSavePlaces } from '../../../core/acts/index.ts';
import type { Place, RoomSpec } from '../../../core/records/index.ts';
import { formatSize, parseLengthMm, type UnitSystem } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { TextField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { wordAmountFault } from '../../text/index.ts';
import { SHAPE_WORDS } from '../../text/setout.ts';
import { listFreed } from './listFreed.ts';
import { useTapInView } from './useTapInView.ts';
import { ShapePicture } from './ShapePicture.tsx';
import { perLanguage, t } from '../../language/index.ts';

/** What the next tap on the plan puts into a wall. */
export type Tapped = 'door' | 'window' | null;

interface ShapePanelProps {
  readonly room: Place;
  /** As it is typed, drawn on the plan at once; null where nothing was changed. */
  readonly onDraft: (room: RoomSpec | null) => void;
  readonly tapped: Tapped;
  readonly onTapped: (next: Tapped) => void;
  readonly onDone: () => void;
}

type Measure = keyof ShapeMeasures;

/** What is measured of each shape, with words for it and a usual size, mm. */
const ASKED = perLanguage((): Readonly<Record<RoomShape, readonly (readonly [Measure, string, number])[]>> => ({
  rectangle: [
    ['widthMm', t('Wide'), 4000],
    ['depthMm', t('Deep'), 3000],
    ['heightMm', t('Ceiling'), 2400],
  ],
  ell: [
    ['widthMm', t('Wide'), 5000],
    ['depthMm', t('Deep'), 4000],
    ['heightMm', t('Ceiling'), 2400],
    ['missingWidthMm', t('Missing corner, wide'), 2000],
    ['missingDepthMm', t('Missing corner, deep'), 1500],
  ],
  roof: [
    ['widthMm', t('Wide'), 4000],
    ['depthMm', t('Deep'), 3500],
    ['heightMm', t('Highest'), 2300],
    ['kneeMm', t('Lowest, at the far wall'), 1000],
  ],
  corner: [
    ['widthMm', t('Wide'), 2000],
    ['depthMm', t('Deep'), 1800],
    ['heightMm', t('Ceiling'), 2400],
  ],
  closet: [
    ['widthMm', t('Wide'), 1200],
    ['depthMm', t('Deep inside'), 600],
    ['heightMm', t('High inside'), 2200],
  ],
}));

/** No room is smaller, nor larger. */
const LEAST_MM = 300;
const MOST_MM = 30_000;

function readMeasures(shape: RoomShape, typed: Readonly<Record<string, string>>, units: UnitSystem) {
  const isMetric = units === 'metric';
  const faults: Partial<Record<Measure, string>> = {};
  const measures: Partial<Record<Measure, number>> = {};
  for (const [measure, , usualMm] of ASKED()[shape]) {
    const text = typed[measure] ?? formatSize(usualMm, units);
    const read = parseLengthMm(text, isMetric ? 'cm' : 'in');
    if (!read.ok) faults[measure] = wordAmountFault(read.fault, isMetric ? t('3.4 m') : t('11 ft'));
    else if (read.value < LEAST_MM || read.value > MOST_MM)
      faults[measure] = t('From {least} to {most}.', {
        least: formatSize(LEAST_MM, units),
        most: formatSize(MOST_MM, units),
      });
    else measures[measure] = read.value;
  }
  const { widthMm = 0, depthMm = 0, heightMm = 0, missingWidthMm, missingDepthMm, kneeMm } = measures;
  if (missingWidthMm !== undefined && missingWidthMm > widthMm - LEAST_MM)
    faults.missingWidthMm = t('Wider than the room.');
  if (missingDepthMm !== undefined && missingDepthMm > depthMm - LEAST_MM)
    faults.missingDepthMm = t('Deeper than the room.');
  if (kneeMm !== undefined && kneeMm > heightMm) faults.kneeMm = t('Higher than the highest.');
  return { faults, measures: measures as ShapeMeasures, isGood: Object.keys(faults).length === 0 };
}

/** A room in a minute: its shape, its measures, and a tap each for the door and the window. */
export function ShapePanel({ room, onDraft, tapped, onTapped, onDone }: ShapePanelProps) {
  const household = useHousehold();
  const { units } = household.settings;
  const [params] = useSearchParams();
  const wanted = ROOM_SHAPES.find((one) => one === params.get('shape'));
  const [shape, setShape] = useState<RoomShape | null>(wanted ?? null);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const read = useMemo(() => (shape ? readMeasures(shape, typed, units) : null), [shape, typed, units]);
  const draft = useMemo(
    () => (shape && read?.isGood ? shapeRoom(room.room!, shape, read.measures) : null),
    [shape, read, room],
  );
  useEffect(() => onDraft(draft), [draft, onDraft]);
  useEffect(() => () => onDraft(null), [onDraft]);
  useTapInView(tapped);
  const draw = async () => {
    if (!draft) return;
    const freed = listFreed(getTree(household), room, draft);
    const saved = [{ ...room, room: draft }, ...freed];
    const words =
      draft.doors.length > 0
        ? t('{room} is drawn.', { room: room.name })
        : t('{room} is drawn. Where is the door?', { room: room.name });
    if (!(await edit(household, (from) => createSavePlaces(from, room.name, saved, [], world.nowMs()), words))) return;
    setShape(null);
    onTapped(draft.doors.length > 0 ? 'window' : 'door');
  };
  return (
    <section aria-label={t('The room in a minute')}>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{t('The room in a minute')}</h2>
      <p className="mt-1 text-sm text-stone">
        {t('Seen from above, with the far wall at the top. A few centimetres more or less do not matter yet.')}
      </p>
      <Form aria-label={t('Shape of the room')} onSend={draw}>
        <ul className="mt-3 grid grid-cols-3 gap-2">
          {ROOM_SHAPES.map((one) => (
            <li key={one}>
              <button
                type="button"
                aria-pressed={shape === one}
                className={`w-full rounded border px-1 py-2 text-sm leading-tight ${shape === one ? 'border-ink bg-linen font-semibold' : 'border-thread bg-paper hover:bg-linen'}`}
                onClick={() => {
                  setShape(one);
                  setTyped({});
                  onTapped(null);
                }}
              >
                <ShapePicture shape={one} />
                {SHAPE_WORDS()[one]}
              </button>
            </li>
          ))}
        </ul>
        {shape && read && (
          <>
            <div className="mt-3 grid grid-cols-2 items-start gap-3">
              {ASKED()[shape].map(([measure, label, usualMm], i) => (
                <TextField
                  key={measure}
                  label={label}
                  maxLength={20}
                  autoFocus={i === 0}
                  value={typed[measure] ?? formatSize(usualMm, units)}
                  fault={read.faults[measure]}
                  onFocus={(event) => event.target.select()}
                  onChange={(event) => setTyped({ ...typed, [measure]: event.target.value })}
                />
              ))}
            </div>
            <Button look="strong" type="submit" className="mt-3 w-full" disabled={!draft}>
              {t('Draw it')}
            </Button>
          </>
        )}
      </Form>
      <h3 className="stitched-t mt-4 pt-3 font-bold">{t('Door and window')}</h3>
      <p className="text-sm text-stone">{t('Choose one, then tap the wall where it is. U takes the last one back.')}</p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        {(['door', 'window'] as const).map((one) => (
          <Button
            key={one}
            aria-pressed={tapped === one}
            className={tapped === one ? 'bg-linen outline-2 outline-woad' : ''}
            onClick={() => onTapped(tapped === one ? null : one)}
          >
            {one === 'door' ? t('A door') : t('A window')}
          </Button>
        ))}
      </div>
      <WallButtons room={room} tapped={tapped} />
      <Button className="mt-4 w-full" onClick={onDone}>
        {t('The room is right')}
      </Button>
    </section>
  );
}

/** The same without a pointer: a door or a window in the middle of a wall. */
function WallButtons({ room, tapped }: { room: Place; tapped: Tapped }) {
  if (tapped === null) return null;
  return (
    <p className="mt-2 text-sm text-stone">
      {t('Or in the middle of:')}{' '}
      {room.room!.walls.map(({ id, name }, i) => (
        <span key={id}>
          {i > 0 && ', '}
          <Button look="quiet" data-wall={id} onClick={() => void open(room, tapped, id)}>
            {name}
          </Button>
        </span>
      ))}
    </p>
  );
}

async function open(room: Place, what: 'door' | 'window', wallId: string): Promise<void> {
  const { putOpening } = await import('./putOpening.ts');
  await putOpening(room, what, wallId, null);
}
