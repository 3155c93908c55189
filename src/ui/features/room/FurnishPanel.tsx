import { useState } from 'react';
import type { Place } from '../../../core/records/index.ts';
import { BIN_SIZES, listPartSizes, PARTS, type Part } from '../../../core/storage/index.ts';
import { formatSizes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { explained } from '../../components/explained.ts';
import { useHousehold } from '../../state/app.ts';
import { capitalise } from '../../text/index.ts';
import { wordBinSize, wordPart } from '../../text/room.ts';
import { furnishRoom, ON_SIDE, type FurnishDone, type WantedBinsBySize, type WantedParts } from './furnishing.ts';
import { PartPicture } from './PartPicture.tsx';
import { perLanguage, t } from '../../language/index.ts';
import { joinSentences } from '../../text/grammar.ts';

/** The parts shelf, as one goes through a room. */
const SHELVES = perLanguage((): readonly (readonly [name: string, ids: readonly string[]])[] => [
  [t('Shelves'), ['cube-shelf', 'bookcase', 'cupboard', 'wall-shelf', 'door-rack', 'cart']],
  [t('Drawers'), ['dresser', 'drawer-tower', 'under-bed', 'chest', 'trolley']],
  [t('Tables'), ['table', 'table-below', 'cutting-table']],
  [t('Hanging'), ['rail', 'closet', 'peg-round', 'peg-slotted', 'free-hooks']],
  [t('For small things'), ['spool-rack', 'ribbon-bar', 'jar-shelf']],
]);
/** What can hang on the side of something tall as well. */
const HUNG: ReadonlySet<string> = new Set(['peg-round', 'peg-slotted', 'free-hooks']);
const MOST = 20;
const MOST_BINS = 60;
const selectClass = 'h-11 min-w-0 flex-1 rounded border border-thread bg-paper px-1 text-sm text-ink md:h-8';

interface FurnishPanelProps {
  readonly room: Place;
  readonly onDone: () => void;
}

/** What stands in the room: tapped together from the parts shelf, and stood along the walls at once. */
export function FurnishPanel({ room, onDone }: FurnishPanelProps) {
  const household = useHousehold();
  const [parts, setParts] = useState<WantedParts>({});
  const [bins, setBins] = useState<WantedBinsBySize>({});
  const [step, setStep] = useState<readonly [number, number] | null>(null);
  const [done, setDone] = useState<FurnishDone | null>(null);
  const count = [...Object.values(parts), ...Object.values(bins)].reduce((sum, one) => sum + one.count, 0);
  const stand = async () => {
    setStep([0, 1]);
    const told = await furnishRoom(household, room, parts, bins, (now, all) => setStep([now, all]));
    setStep(null);
    setDone(told);
    if (!told) return;
    setParts({});
    setBins({});
  };
  return (
    <section aria-label={t('What stands in it')}>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{t('What stands in it?')}</h2>
      <p className="mt-1 text-sm text-stone">
        {t(
          'How many of each. They are stood along the walls, and put right by dragging. Sizes are common ones; exact measures can wait.',
        )}
      </p>
      {SHELVES().map(([name, ids]) => (
        <section key={name} aria-label={name} className="mt-3">
          <h3 className="font-bold">{name}</h3>
          <ul>
            {ids.map((id) => (
              <PartRow
                key={id}
                part={PARTS.find((one) => one.id === id)!}
                room={room}
                wanted={parts[id]}
                onChange={(wanted) => setParts({ ...parts, [id]: wanted })}
              />
            ))}
          </ul>
        </section>
      ))}
      <BinRows bins={bins} onChange={setBins} />
      <div className="stitched-t sticky bottom-0 mt-3 bg-paper py-3">
        <p role="status" className="text-sm">
          {step
            ? t('Standing them in the room: {step} of {all} …', { step: step[0], all: step[1] })
            : done && <Told done={done} />}
        </p>
        <Button
          look="strong"
          className="mt-1 w-full"
          disabled={count === 0 || step !== null}
          onClick={() => void stand()}
        >
          {count === 0
            ? t('Nothing chosen yet')
            : t('{count, plural, one {Stand it in the room} other {Stand all # in the room}}', { count })}
        </Button>
        <Button className="mt-2 w-full" onClick={onDone}>
          {t('That is all of it')}
        </Button>
      </div>
    </section>
  );
}

/** What became of it. */
function Told({ done: { stood, left, bins, idle, unfit } }: { done: FurnishDone }) {
  const said = [
    stood > 0 ? t('{stood, plural, one {# piece stands} other {# pieces stand}} in the room.', { stood }) : '',
    bins > 0 ? t('{bins, plural, one {# bin stands} other {# bins stand}} in a compartment.', { bins }) : '',
    idle > 0 ? t('{idle, plural, one {# bin is} other {# bins are}} idle.', { idle }) : '',
    unfit.length > 0 ? t('No compartment takes {unfit}.', { unfit: unfit.join(', ') }) : '',
  ];
  return (
    <>
      {joinSentences(said)}{' '}
      {left.length > 0 && (
        <span
          className="font-semibold text-madder"
          {...explained(
            t(
              'Every spot along the walls, 15 cm apart and beside what stands there, was tried with doors, windows and ways.',
            ),
          )}
        >
          {t('No room for {left}: take a smaller size, another wall, or move something.', { left: left.join(', ') })}
        </span>
      )}
    </>
  );
}

interface PartRowProps {
  readonly part: Part;
  readonly room: Place;
  readonly wanted: WantedParts[string] | undefined;
  readonly onChange: (wanted: WantedParts[string]) => void;
}

function PartRow({ part, room, wanted = { count: 0, size: 0, wallId: '' }, onChange }: PartRowProps) {
  const { units } = useHousehold().settings;
  const sizes = listPartSizes(part);
  const name = wordPart(part.id);
  const wordSize = ({ widthMm, heightMm, columns, rows }: (typeof sizes)[number]) =>
    `${part.kind === 'cubes' ? `${columns} × ${rows}, ` : ''}${formatSizes([widthMm, heightMm], units)}`;
  return (
    <li className="dotted-row py-1">
      <div className="flex items-center gap-2">
        <PartPicture kind={part.kind} size={sizes[wanted.size] ?? part.unit} />
        <span className="min-w-0 flex-1 leading-tight">{capitalise(name)}</span>
        <Stepper name={name} count={wanted.count} most={MOST} onChange={(count) => onChange({ ...wanted, count })} />
      </div>
      {wanted.count > 0 && (
        <div className="mt-1 flex gap-2 pb-1">
          <select
            aria-label={t('Size of the {name}', { name })}
            className={selectClass}
            value={wanted.size}
            onChange={({ target }) => onChange({ ...wanted, size: Number(target.value) })}
          >
            {sizes.map((size, i) => (
              <option key={i} value={i}>
                {wordSize(size)}
              </option>
            ))}
          </select>
          <select
            aria-label={t('Wall for the {name}', { name })}
            className={selectClass}
            value={wanted.wallId}
            onChange={({ target }) => onChange({ ...wanted, wallId: target.value })}
          >
            <option value="">{t('any wall')}</option>
            {HUNG.has(part.id) && <option value={ON_SIDE}>{t('the side of a cupboard')}</option>}
            {room.room!.walls.map((wall) => (
              <option key={wall.id} value={wall.id}>
                {wall.name}
              </option>
            ))}
          </select>
        </div>
      )}
    </li>
  );
}

interface BinRowsProps {
  readonly bins: WantedBinsBySize;
  readonly onChange: (bins: WantedBinsBySize) => void;
}

function BinRows({ bins, onChange }: BinRowsProps) {
  const { units } = useHousehold().settings;
  return (
    <section aria-label={t('Bins and boxes')} className="mt-3">
      <h3 className="font-bold">{t('Bins and boxes')}</h3>
      <ul>
        {BIN_SIZES.map(({ id, container: { outerWidthMm, outerDepthMm, outerHeightMm } }) => {
          const wanted = bins[id] ?? { count: 0, isIdle: false };
          const name = wordBinSize(id);
          return (
            <li key={id} className="dotted-row py-1">
              <div className="flex items-center gap-2">
                <span className="min-w-0 flex-1 leading-tight">
                  {capitalise(name)}
                  <span className="block text-sm text-stone">
                    {formatSizes([outerWidthMm, outerDepthMm, outerHeightMm], units)}
                  </span>
                </span>
                <Stepper
                  name={name}
                  count={wanted.count}
                  most={MOST_BINS}
                  onChange={(count) => onChange({ ...bins, [id]: { ...wanted, count } })}
                />
              </div>
              {wanted.count > 0 && (
                <select
                  aria-label={t('Where each {name} stands', { name })}
                  className={`${selectClass} mt-1 mb-1 w-full`}
                  value={wanted.isIdle ? 'idle' : 'in'}
                  onChange={({ target }) => onChange({ ...bins, [id]: { ...wanted, isIdle: target.value === 'idle' } })}
                >
                  <option value="in">{t('where they go in')}</option>
                  <option value="idle">{t('idle: a plan may put them somewhere')}</option>
                </select>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

interface StepperProps {
  readonly name: string;
  readonly count: number;
  readonly most: number;
  readonly onChange: (count: number) => void;
}

/** One more, one less. */
function Stepper({ name, count, most, onChange }: StepperProps) {
  const button =
    'size-11 shrink-0 rounded border border-stone/60 bg-field text-lg leading-none md:size-8 disabled:text-thread';
  return (
    <span className="flex items-center gap-1">
      {count > 0 && (
        <button
          type="button"
          className={button}
          aria-label={t('One {name} less', { name })}
          onClick={() => onChange(count - 1)}
        >
          −
        </button>
      )}
      {count > 0 && <output className="tabular w-6 text-center font-semibold">{count}</output>}
      <button
        type="button"
        className={button}
        aria-label={t('One {name} more', { name })}
        disabled={count >= most}
        onClick={() => onChange(count + 1)}
      >
        +
      </button>
    </span>
  );
}
