import { getColour } from '../../../core/colour/index.ts';
import { useMemo, useState } from 'react';
import { createCutUp, type CutUp as Made } from '../../../core/acts/index.ts';
import type { Household, Item, ItemId, Lot, LotId } from '../../../core/records/index.ts';
import { type Region, type ScrapPlan, type ScrapSize } from '../../../core/scraps/index.ts';
import { formatMass, formatSize, type UnitSystem } from '../../../core/units/index.ts';
import { startScrapper } from '../../../workers/client.ts';
import type { ScrapAsk, ScrapFound } from '../../../workers/protocol.ts';
import { explained } from '../../components/explained.ts';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { CheckField } from '../../components/fields.tsx';
import { world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { useSearch, type Searched } from '../../state/useSearch.ts';
import { nameCloth } from '../../text/scraps.ts';
import { CutPicture } from './CutPicture.tsx';
import { GoesTo } from './GoesTo.tsx';
import { OnPaper } from './OnPaper.tsx';
import { ScrapFields } from './ScrapFields.tsx';
import { listSizes, SizesForm } from './SizesForm.tsx';
import { useScrapShape } from './useScrapShape.ts';
import { t } from '../../language/index.ts';

interface CutUpProps {
  readonly household: Household;
  readonly item: Item;
  readonly lot: Lot;
  readonly onDone: () => void;
}

const SECONDS = 3;

const count = (plan: ScrapPlan, size: ScrapSize) => plan.pieces.filter((piece) => piece.size.id === size.id).length;

/** What is cut of each size, in all layers, with a name and ids where there is none of it yet. */
function listMade(item: Item, plan: ScrapPlan, sizes: readonly ScrapSize[], times: number, units: UnitSystem): Made[] {
  return sizes.flatMap((size) => {
    const pieces = count(plan, size) * times;
    if (pieces === 0) return [];
    const name = `${nameCloth(item)}, ${formatSize(size.sideMm, units)} ${size.kind === 'square' ? t('squares') : t('strips')}`;
    const ids = { itemId: world.createId() as ItemId, lotId: world.createId() as LotId };
    return [{ cut: size.kind, cutMm: size.sideMm, count: pieces, name, ...ids }];
  });
}

/** A scrap is cut up into squares and strips: its shape is typed or drawn, the best cuts are shown, what was cut is counted. */
export function CutUp({ household, item, lot, onDone }: CutUpProps) {
  const { units } = household.settings;
  const shape = useScrapShape(item, lot, units);
  const { outline, region, times, faults } = shape;
  const [isOneWay, setOneWay] = useState(item.fabric?.hasNap ?? false);
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const all = useMemo(() => listSizes(household), [household]);
  const sizes = useMemo(() => all.filter((size) => !off.has(size.id)), [all, off]);
  const searched = useSearch<ScrapAsk, ScrapFound>(
    startScrapper,
    region && sizes.length > 0 ? { region, sizes, isOneWay, seconds: SECONDS } : null,
  );
  const plan = searched.found?.plan ?? null;
  const [isStuffing, setStuffing] = useState(false);
  const { areaMm2 } = shape;
  const pieces = plan ? plan.pieces.length * times : 0;
  const cutMm2 = plan ? plan.pieces.reduce((sum, one) => sum + one.widthMm * one.heightMm, 0) * times : 0;
  const leftG = (Math.max(0, areaMm2 - cutMm2) / 1e6) * (item.fabric?.grammageGsm ?? 0);
  const made = useMemo(
    () => (plan && !searched.isRunning ? listMade(item, plan, sizes, times, units) : []),
    [plan, searched.isRunning, item, sizes, times, units],
  );
  const keep = () => {
    if (!plan || !outline || faults.layers) return undefined;
    const all = made.length > 0 ? made : listMade(item, plan, sizes, times, units);
    const leavings = isStuffing
      ? {
          massG: leftG,
          name: t('Stuffing from scraps'),
          itemId: world.createId() as ItemId,
          lotId: world.createId() as LotId,
        }
      : null;
    return act(
      (now) => createCutUp(now, lot.id, areaMm2, all, leavings, world.nowMs()),
      pieces > 0
        ? t('{pieces, plural, one {# piece} other {# pieces}} cut from {name}. They wait on the Bench for a home.', {
            pieces,
            name: item.name,
          })
        : t('{name} is with the stuffing.', { name: item.name }),
    ).then((isDone) => isDone && onDone());
  };
  return (
    <div>
      <Form
        opensBelow
        aria-label={t('Cut it up')}
        className="scroll-mb-4 border-l-4 border-woad bg-linen p-3"
        onSend={keep}
        onKeyDown={(event) => event.key === 'Escape' && onDone()}
      >
        <h3 className="font-bold">{t('Cut it up into squares and strips')}</h3>
        <ScrapFields shape={shape} units={units} />
        <CheckField
          label={t('Strips only along the grain')}
          checked={isOneWay}
          onChange={({ target }) => setOneWay(target.checked)}
        />
        <Sizes all={all} off={off} plan={plan} times={times} units={units} onChange={setOff} />
        <Cuts searched={searched} region={region} colour={getColour(item)} name={nameCloth(item)} units={units} />
        {plan && made.length > 0 && <GoesTo household={household} lot={lot} areaMm2={areaMm2} made={made} />}
        {plan && leftG >= 0.5 && (
          <label className="mt-1 flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-woad"
              checked={isStuffing}
              onChange={({ target }) => setStuffing(target.checked)}
            />
            <span {...explained(t('Its area without the pieces, by the weight of its cloth.'))}>
              {t('What is left, {mass}, goes with the stuffing', { mass: formatMass(leftG, units) })}
            </span>
          </label>
        )}
        <FormFoot save={pieces > 0 ? t('It is cut') : t('It is stuffing')} onDone={onDone} />
      </Form>
      <SizesForm household={household} />
    </div>
  );
}

interface CutsProps {
  readonly searched: Searched<ScrapFound>;
  readonly region: Region | null;
  readonly colour: string;
  readonly name: string;
  readonly units: UnitSystem;
}

/** The cuts that were found, and how near they come to what no cutting can beat. */
function Cuts({ searched: { found, isRunning }, region, colour, name, units }: CutsProps) {
  const { plan = null, mostWorth = 0 } = found ?? {};
  return (
    <>
      {isRunning && !plan && <p className="mt-2 text-stone">{t('Looking for the best cuts …')}</p>}
      {plan && region && (
        <>
          <CutPicture plan={plan} region={region} colour={colour} units={units} />
          <p
            className="text-sm text-stone"
            {...explained(
              t(
                'What its pieces are worth, of the most that any way of cutting could give: by its area, and by what a piece can cover at all.',
              ),
            )}
          >
            {plan.pieces.length === 0
              ? t('Too small for any of these: it is stuffing.')
              : t('{mostWorth} % of what no cutting can beat.', {
                  mostWorth: Math.round((100 * plan.worth) / Math.max(mostWorth, 1e-9)),
                })}
            {isRunning && t(' Still looking …')}
          </p>
          {plan.pieces.length > 0 && <OnPaper plan={plan} region={region} name={name} units={units} />}
        </>
      )}
    </>
  );
}

interface SizesProps {
  readonly all: readonly ScrapSize[];
  readonly off: ReadonlySet<string>;
  readonly plan: ScrapPlan | null;
  readonly times: number;
  readonly units: UnitSystem;
  readonly onChange: (off: ReadonlySet<string>) => void;
}

/** Which sizes are cut, and how many of each it gives. */
function Sizes({ all, off, plan, times, units, onChange }: SizesProps) {
  return (
    <ul aria-label={t('Sizes')} className="mt-3">
      {all.map((size) => {
        const words =
          size.kind === 'square' ? t('squares') : t('strips from {size} on', { size: formatSize(size.leastMm, units) });
        return (
          <li key={size.id} className="flex items-center gap-3">
            <label className="flex min-h-9 flex-1 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-woad"
                checked={!off.has(size.id)}
                onChange={({ target }) => {
                  const next = new Set(off);
                  if (target.checked) next.delete(size.id);
                  else next.add(size.id);
                  onChange(next);
                }}
              />
              <span
                {...explained(
                  t('Its side with seams; a larger piece is worth more than the small ones that it could be.'),
                )}
              >
                {formatSize(size.sideMm, units)} {words}
              </span>
            </label>
            <strong className="tabular" {...explained(t('Counted on the cuts below, times the layers.'))}>
              {plan && !off.has(size.id) ? count(plan, size) * times : ''}
            </strong>
          </li>
        );
      })}
    </ul>
  );
}
