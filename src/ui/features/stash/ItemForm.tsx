import { useEffect, useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { CLOTHS } from '../../../core/measure/index.ts';
import {
  CARE_FLAGS,
  KINDS,
  PRINTS,
  type CareFlag,
  type ItemId,
  type Kind,
  type LotId,
} from '../../../core/records/index.ts';
import { getRoomSpec } from '../../../core/storage/index.ts';
import { createRemoveItem, createSaveItem } from '../../../core/tracking/index.ts';
import { Button } from '../../components/Button.tsx';
import { CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { getLotsByItem, getTree } from '../../state/derived.ts';
import { capitalise, wordCare, wordCloth, wordCount, wordKind, wordMeasures, wordPrint } from '../../text/index.ts';
import { createFields, ENVELOPES, readFields, SPOOLS, toFields, type ItemFields } from './itemForm.ts';

const ENVELOPE_WORDS: Record<string, string> = {
  small: 'small envelope',
  large: 'large envelope',
  a5: 'A5',
  a4: 'A4',
  folder: 'folder 23 × 33 cm',
};
const SPOOL_WORDS: Record<string, string> = { small: 'small spool', large: 'large spool', cone: 'cone' };

/** Adds a thing, or changes one: it asks only what matters for the kind, and shows at once what follows. */
export function ItemForm({ base, kind }: { base: LotId | null; kind: Kind }) {
  const household = useHousehold();
  const { settings } = household;
  const { units } = settings;
  const act = useApp((state) => state.act);
  const show = useApp((state) => state.show);
  const stations = getTree(household).rooms.flatMap((room) => getRoomSpec(room).stations);
  const baseLot = base ? household.lots.get(base) : undefined;
  const baseItem = baseLot && household.items.get(baseLot.itemId);
  const old = baseLot && baseItem ? { item: baseItem, lot: baseLot } : null;
  const [ids] = useState(() => ({ itemId: world.createId() as ItemId, lotId: world.createId() as LotId }));
  const station = stations[0]?.id ?? '';
  const { register, watch, setValue, handleSubmit, setFocus } = useForm<ItemFields>({
    defaultValues: old ? toFields(old.item, old.lot, units) : createFields(kind, station),
  });
  const [isTried, setTried] = useState(false);
  useEffect(() => setFocus('name'), [setFocus]);
  const [isSaving, setSaving] = useState(false);
  const fields = watch();
  const result = readFields(fields, units, old, () => ({ ...ids, nowMs: world.nowMs() }));
  const faults = result.ok ? {} : result.fault;
  // Before the first try only what was typed and does not read is pointed out.
  const faultOf = (name: keyof ItemFields) =>
    faults[name] && (isTried || (typeof fields[name] === 'string' && fields[name] !== '')) ? faults[name] : undefined;
  const isNew = old === null;
  const lotsOfItem = old ? (getLotsByItem(household).get(old.item.id) ?? []).length : 0;

  const save = async () => {
    setTried(true);
    if (!result.ok) {
      setFocus(Object.keys(result.fault)[0] as keyof ItemFields);
      return;
    }
    const { item, lot } = result.value;
    setSaving(true);
    const isDone = await act((now) => createSaveItem(now, item, [lot]));
    setSaving(false);
    if (isDone) show({ type: 'lot', id: lot.id });
  };

  const text = (name: keyof ItemFields, label: string, hint?: string) => (
    <TextField label={label} hint={hint} fault={faultOf(name)} {...register(name)} />
  );
  const pair = (left: ReactNode, right: ReactNode) => (
    <div className="grid grid-cols-2 items-start gap-3">
      {left}
      {right}
    </div>
  );
  const isMetric = units === 'metric';
  const hint = (metric: string, imperial: string) => `Such as ${isMetric ? metric : imperial}`;

  return (
    <form
      noValidate
      aria-label={isNew ? `New ${wordKind(fields.kind)}` : `Edit ${old.item.name}`}
      className="space-y-3"
      onSubmit={(event) => void handleSubmit(save)(event)}
    >
      <h2 className="font-display text-[21px] font-semibold">
        {isNew ? `New ${wordKind(fields.kind)}` : `Edit ${wordKind(fields.kind)}`}
      </h2>
      {isNew && (
        <SelectField
          label="What is it"
          value={fields.kind}
          onChange={(event) => {
            const next = createFields(event.target.value as Kind, fields.stationId);
            for (const [name, value] of Object.entries({ ...next, name: fields.name, notes: fields.notes }))
              setValue(name as keyof ItemFields, value as never);
            setTried(false);
          }}
        >
          {KINDS.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordKind(one))}
            </option>
          ))}
        </SelectField>
      )}
      {text('name', 'Name')}
      {fields.kind === 'fabric' && (
        <>
          {pair(text('length', 'Length', hint('3.4 m', '2 1/2 yd')), text('width', 'Width', hint('140 cm', '54 in')))}
          <SelectField label="Class of cloth" {...register('cloth')}>
            {CLOTHS.map(({ id, grammageGsm }) => (
              <option key={id} value={id}>
                {`${capitalise(wordCloth(id))} (${grammageGsm} g/m²)`}
              </option>
            ))}
          </SelectField>
          {pair(
            text('grammage', 'Weight class', `${hint('185 gsm', '5.5 oz')}; empty: as its class`),
            text('fibre', 'Fibre'),
          )}
          <SelectField label="Print" {...register('print')}>
            {PRINTS.map((one) => (
              <option key={one} value={one}>
                {capitalise(wordPrint(one))}
              </option>
            ))}
          </SelectField>
        </>
      )}
      {fields.kind === 'pattern' && (
        <>
          {pair(text('number', 'Number'), text('garment', 'Garment'))}
          {pair(
            <SelectField label="Envelope" {...register('envelope')}>
              {Object.keys(ENVELOPES).map((one) => (
                <option key={one} value={one}>
                  {ENVELOPE_WORDS[one]}
                </option>
              ))}
            </SelectField>,
            text('thickness', 'Thickness', hint('5 mm', '1/4 in')),
          )}
          {text('count', 'Copies')}
          <CheckField label="Made already" {...register('isMade')} />
        </>
      )}
      {fields.kind === 'thread' && (
        <>
          {pair(text('use', 'For', 'Such as general'), text('fibre', 'Fibre'))}
          {pair(text('tex', 'Tex'), text('count', 'Spools'))}
          <SelectField label="Spool" {...register('spool')}>
            {Object.keys(SPOOLS).map((one) => (
              <option key={one} value={one}>
                {SPOOL_WORDS[one]}
              </option>
            ))}
          </SelectField>
        </>
      )}
      {(fields.kind === 'notion' || fields.kind === 'tool') && (
        <>
          {pair(
            text('type', 'Type', fields.kind === 'tool' ? 'Such as cutting' : 'Such as zips'),
            text('count', 'Pieces'),
          )}
          {pair(
            text('boxWidth', 'Width', hint('12 cm', '4 3/4 in')),
            text('boxDepth', 'Depth', hint('3 cm', '1 1/4 in')),
          )}
          {pair(
            text('boxHeight', 'Height', hint('20 cm', '8 in')),
            text('mass', 'Weight of one', hint('120 g', '4 oz')),
          )}
          {fields.kind === 'tool' && text('hole', 'Hang hole', `${hint('8 mm', '3/8 in')}; empty: none`)}
          <CheckField label="Soft, takes any shape" {...register('isSoft')} />
        </>
      )}
      {result.ok && (
        <dl aria-label="What follows" className="border-l-4 border-woad bg-linen px-3 py-1">
          {wordMeasures(result.value.item, result.value.lot, settings).map(([name, words]) => (
            <Row key={name} name={name}>
              {words}
            </Row>
          ))}
        </dl>
      )}
      {pair(<TextField label="Colour" type="color" {...register('colour')} />, text('usesPerMonth', 'Uses a month'))}
      <SelectField label="Used at" {...register('stationId')}>
        {stations.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </SelectField>
      <fieldset>
        <legend className="text-sm text-stone">Mind</legend>
        {CARE_FLAGS.map((flag) => (
          <CheckField
            key={flag}
            label={wordCare(flag)}
            checked={fields.care.includes(flag)}
            onChange={(event) => {
              const rest = fields.care.filter((one) => one !== flag);
              setValue('care', event.target.checked ? ([...rest, flag] as CareFlag[]) : rest);
            }}
          />
        ))}
      </fieldset>
      <label className="block">
        <span className="block text-sm text-stone">Notes</span>
        <textarea
          rows={2}
          className="w-full rounded border border-stone/60 bg-white px-2 py-1"
          {...register('notes')}
        />
      </label>
      <div className="grid grid-cols-2 gap-2 pt-1">
        <Button look="strong" type="submit" disabled={isSaving}>
          Save
        </Button>
        <Button onClick={() => show(base ? { type: 'lot', id: base } : null)}>Leave it</Button>
      </div>
      {old && (
        <p className="stitched-t pt-3 text-sm text-stone">
          Taking it out of the catalogue takes {wordCount(lotsOfItem, 'lot')} with it; Undo brings all back.{' '}
          <Button
            look="quiet"
            onClick={() => void act((now) => createRemoveItem(now, old.item)).then((isDone) => isDone && show(null))}
          >
            Remove {old.item.name}
          </Button>
        </p>
      )}
    </form>
  );
}
