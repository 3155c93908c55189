import { lazy, Suspense, useState } from 'react';
import { getAmountUnit } from '../../../core/measure/index.ts';
import {
  createLooseLot,
  createLotAlike,
  HOLDERS,
  type Holder,
  type Household,
  type Item,
  type Lot,
  type LotId,
  type StowForm,
} from '../../../core/records/index.ts';
import { parseCount, parseAmountIn } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { useApp, world } from '../../state/app.ts';
import { act, edit } from '../../state/hands.ts';
import { getLotsByItem } from '../../state/derived.ts';
import { FormFrame } from './FormFrame.tsx';
import { capitalise, wordAmount, wordAmountFault, wordForm, wordHolder } from '../../text/index.ts';
import { createSaveItem, createWrap } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

const LeaveForm = lazy(async () => ({ default: (await import('./LeaveForm.tsx')).LeaveForm }));
const ReserveForm = lazy(async () => ({ default: (await import('./ReserveForm.tsx')).ReserveForm }));
const LotShapeForm = lazy(async () => ({ default: (await import('./LotShapeForm.tsx')).LotShapeForm }));
const CutUp = lazy(async () => ({ default: (await import('../scraps/CutUp.tsx')).CutUp }));
const ChoresForm = lazy(async () => ({ default: (await import('./ChoresForm.tsx')).ChoresForm }));
const Makeables = lazy(async () => ({ default: (await import('./Makeables.tsx')).Makeables }));
const MergeForm = lazy(async () => ({ default: (await import('./MergeForm.tsx')).MergeForm }));

export interface LotProps {
  readonly household: Household;
  readonly item: Item;
  readonly lot: Lot;
}

export type Asked =
  'chores' | 'reserve' | 'lot' | 'wrap' | 'alike' | 'merge' | 'leave' | 'shape' | 'makeable' | 'cutUp';

/** The form of what is being asked. */
export function LotAsked({ household, item, lot, asked, onDone }: LotProps & { asked: Asked; onDone: () => void }) {
  return (
    <>
      {asked === 'reserve' && (
        <Suspense>
          <ReserveForm household={household} item={item} lot={lot} onDone={onDone} />
        </Suspense>
      )}
      {asked === 'lot' && <AnotherLot household={household} item={item} lot={lot} onDone={onDone} />}
      {asked === 'wrap' && <WrapForm household={household} item={item} lot={lot} onDone={onDone} />}
      {asked === 'leave' && (
        <Suspense>
          <LeaveForm household={household} item={item} lot={lot} onDone={onDone} />
        </Suspense>
      )}
      {asked === 'merge' && (
        <Suspense>
          <MergeForm household={household} item={item} onDone={onDone} />
        </Suspense>
      )}
      {asked === 'shape' && (
        <Suspense>
          <LotShapeForm household={household} item={item} lot={lot} onDone={onDone} />
        </Suspense>
      )}
      {asked === 'cutUp' && (
        <Suspense>
          <CutUp household={household} item={item} lot={lot} onDone={onDone} />
        </Suspense>
      )}
      {asked === 'chores' && (
        <Suspense>
          <ChoresForm household={household} item={item} lot={lot} onDone={onDone} />
        </Suspense>
      )}
      {asked === 'makeable' && (
        <Suspense>
          <Makeables household={household} item={item} lot={lot} onDone={onDone} />
        </Suspense>
      )}
      {asked === 'alike' && <AlikeForm household={household} item={item} lot={lot} onDone={onDone} />}
    </>
  );
}

/** A further physical piece of the same thing: a bolt elsewhere, a remnant, a bobbin of the same thread. */
function AnotherLot({ household, item, lot, onDone }: LotProps & { onDone: () => void }) {
  const { units } = household.settings;
  const show = useApp((state) => state.show);
  const unit = getAmountUnit(item, lot);
  const [text, setText] = useState('');
  const [holder, setHolder] = useState<Holder>('bobbin');
  const [form, setForm] = useState<StowForm>(item.forms[0]!);
  const [isTried, setTried] = useState(false);
  const isCounted = unit === 'count' || item.thread !== undefined;
  const parsed = parseAmountIn(text, isCounted ? 'count' : unit, units);
  const fault = parsed.ok
    ? parsed.value > 0
      ? undefined
      : t('It must be more than nothing.')
    : wordAmountFault(parsed.fault, isCounted ? '2' : units === 'metric' ? '0.6' : '1/2');
  return (
    <FormFrame
      title={t('Another piece of it')}
      save={t('Add')}
      onDone={onDone}
      onSave={() => {
        setTried(true);
        if (!parsed.ok || fault !== undefined) return undefined;
        const id = world.createId() as LotId;
        const lengthMm = !isCounted && unit === 'length' ? parsed.value : undefined;
        const made: Lot = {
          ...createLooseLot(id, item, isCounted ? parsed.value : 1, lengthMm, world.nowMs()),
          form,
          homeForm: form,
        };
        if (unit === 'area') made.areaMm2 = parsed.value;
        if (item.thread) made.holder = holder;
        return edit(
          household,
          (from) => createSaveItem(from, item, [made]),
          t('Another piece of {name} is in.', { name: item.name }),
        ).then((isDone) => {
          if (isDone) show({ type: 'lot', id });
        });
      }}
    >
      {item.thread && (
        <SelectField label={t('Wound on')} value={holder} onChange={(event) => setHolder(event.target.value as Holder)}>
          {HOLDERS.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordHolder(one))}
            </option>
          ))}
        </SelectField>
      )}
      <TextField
        label={isCounted ? t('How many') : t('How much')}
        autoFocus
        value={text}
        fault={isTried || (text !== '' && !parsed.ok) ? fault : undefined}
        onChange={(event) => setText(event.target.value)}
      />
      {item.forms.length > 1 && (
        <SelectField label={t('Kept')} value={form} onChange={(event) => setForm(event.target.value as StowForm)}>
          {item.forms.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordForm(one))}
            </option>
          ))}
        </SelectField>
      )}
    </FormFrame>
  );
}

/** Wraps a remnant with a lot of its own cloth, or of the cloth it was cut from. */
function WrapForm({ household, item, lot, onDone }: LotProps & { onDone: () => void }) {
  const byItem = getLotsByItem(household);
  const kin = [item.id, item.scrap?.parentItemId].flatMap((id) => (id ? (byItem.get(id) ?? []) : []));
  const offered = kin
    .flatMap((id) => household.lots.get(id) ?? [])
    .filter((one) => one.id !== lot.id && one.state !== 'with');
  return (
    <section aria-label={t('Wrap it with another')} className="border-l-4 border-woad bg-linen p-3">
      <h3 className="font-bold">{t('Wrap it with')}</h3>
      {offered.length === 0 && (
        <p className="mt-1">{t('There is no other piece of this cloth. Put it in a place instead.')}</p>
      )}
      <ul>
        {offered.map((one) => {
          const other = household.items.get(one.itemId)!;
          return (
            <li key={one.id} className="dotted-row">
              <button
                type="button"
                className="min-h-11 w-full py-1 text-left hover:bg-paper md:min-h-9"
                onClick={() =>
                  void act((now) => createWrap(now, lot.id, one.id, world.nowMs())).then((isDone) => isDone && onDone())
                }
              >
                {other.name}, {wordAmount(other, one, household.settings.units)}, {wordForm(one.form)}
              </button>
            </li>
          );
        })}
      </ul>
      <Button look="quiet" onClick={onDone}>
        {t('Leave it')}
      </Button>
    </section>
  );
}

function AlikeForm({ household, item, lot, onDone }: LotProps & { onDone: () => void }) {
  const [text, setText] = useState('10');
  const parsed = parseCount(text);
  const fault = parsed.ok
    ? parsed.value >= 1 && parsed.value <= 200
      ? undefined
      : t('Between 1 and 200.')
    : wordAmountFault(parsed.fault, '10');
  return (
    <FormFrame
      title={t('More of the same')}
      save={t('Add them')}
      onDone={onDone}
      onSave={() => {
        if (!parsed.ok || fault !== undefined) return undefined;
        const made = Array.from({ length: parsed.value }, () =>
          createLotAlike(world.createId() as LotId, lot, world.nowMs()),
        );
        return edit(
          household,
          (from) => createSaveItem(from, item, made),
          t('{count} more of {name} added.', { count: parsed.value, name: item.name }),
        ).then((isDone) => isDone && onDone());
      }}
    >
      <TextField
        label={t('How many more')}
        autoFocus
        value={text}
        fault={fault}
        hint={t('Each as large as this one')}
        onChange={(event) => setText(event.target.value)}
      />
    </FormFrame>
  );
}
