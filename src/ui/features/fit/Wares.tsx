import { useState } from 'react';
import { PARTS } from '../../../core/storage/index.ts';
import { formatSizes, type UnitSystem } from '../../../core/units/index.ts';
import type { Ware } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { explained } from '../../components/explained.ts';
import { CheckField, SelectField, TextField } from '../../components/fields.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { capitalise } from '../../text/index.ts';
import { wordPart } from '../../text/room.ts';
import { useFitRun } from './fitRun.ts';
import { createWareFields, readWareFields, type WareFields } from './wareFields.ts';
import { createDropWare, createSaveWare } from '../../../core/acts/index.ts';
import { formatFixed, t } from '../../language/index.ts';

const MOST_WARES = 40;

function wordSizes({ container, piece }: Ware, units: UnitSystem): string {
  const sizes = container
    ? [container.outerWidthMm, container.outerDepthMm, container.outerHeightMm]
    : [piece!.unit.widthMm, piece!.unit.depthMm, piece!.unit.heightMm];
  return formatSizes(sizes, units);
}

/** What the sewist could get, and the question which of it she needs. */
export function Wares() {
  const household = useHousehold();
  const { units, wares = [] } = household.settings;
  const startGet = useFitRun((state) => state.startGet);
  const [isAdding, setAdding] = useState(false);
  return (
    <section aria-label={t('What to get')} className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">{t('What to get')}</h3>
      <p className="text-sm text-stone">
        {t('List the bins and pieces you could get; Yardmist finds the cheapest of them with which all has a home.')}
      </p>
      <ul>
        {wares.map((ware) => (
          <li key={ware.id} className="dotted-row flex items-baseline gap-2 py-1">
            <span className="min-w-0 flex-1">
              {ware.name}{' '}
              <span className="text-sm text-stone" {...explained(t('As you typed it, width × depth × height.'))}>
                {t('{sizes}, at most {most}', { sizes: wordSizes(ware, units), most: ware.most })}
              </span>
            </span>
            <span className="tabular" {...explained(t('What one costs, as you typed it, in your own money.'))}>
              {formatFixed(ware.cost, 2)}
            </span>
            <Button
              look="quiet"
              aria-label={t('Take {ware} off the list', { ware: ware.name })}
              onClick={() =>
                void act((now) => createDropWare(now, ware.id), t('{ware} is off the list.', { ware: ware.name }))
              }
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      {isAdding ? (
        <WareForm onDone={() => setAdding(false)} />
      ) : (
        <div className="mt-2 flex flex-wrap gap-2">
          <Button disabled={wares.length >= MOST_WARES} onClick={() => setAdding(true)}>
            {t('Something I could get')}
          </Button>
          {wares.length > 0 && <Button onClick={() => startGet(household)}>{t('Which of it do I need?')}</Button>}
        </div>
      )}
    </section>
  );
}

function WareForm({ onDone }: { onDone: () => void }) {
  const household = useHousehold();
  const { units, parts: own = [] } = household.settings;
  const [fields, setFields] = useState(() => createWareFields('bin', own, units));
  const [isTried, setTried] = useState(false);
  const [id] = useState(() => world.createId());
  const read = readWareFields(fields, id, own, units);
  const faults = isTried && !read.ok ? read.fault : {};
  const isOwn = own.some((one) => one.id === fields.what);
  const text = (field: 'name' | 'width' | 'depth' | 'height' | 'cost' | 'most', label: string) => (
    <TextField
      label={label}
      of={field === 'name' ? 'settings.wares.name' : undefined}
      value={fields[field]}
      disabled={isOwn && (field === 'width' || field === 'depth' || field === 'height')}
      fault={faults[field]}
      onChange={(event) => setFields({ ...fields, [field]: event.target.value } satisfies WareFields)}
    />
  );
  return (
    <Form
      aria-label={t('Something I could get')}
      className="mt-2 space-y-2 border-l-4 border-woad bg-linen p-3"
      onSend={() => {
        setTried(true);
        if (!read.ok) return undefined;
        return act(
          (now) => createSaveWare(now, read.value),
          t('{read} is on the list.', { read: read.value.name }),
        ).then((isDone) => isDone && onDone());
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <SelectField
        label={t('What')}
        autoFocus
        value={fields.what}
        onChange={(event) => setFields(createWareFields(event.target.value, own, units))}
      >
        <option value="bin">{t('Bin or box')}</option>
        {PARTS.map((part) => (
          <option key={part.id} value={part.id}>
            {capitalise(wordPart(part.id))}
          </option>
        ))}
        {own.map((part) => (
          <option key={part.id} value={part.id}>
            {part.name}
          </option>
        ))}
      </SelectField>
      {text('name', t('Called'))}
      <div className="grid grid-cols-3 items-start gap-2">
        {text('width', t('Width'))}
        {text('depth', t('Depth'))}
        {text('height', t('Height'))}
      </div>
      <div className="grid grid-cols-2 items-start gap-2">
        {text('cost', t('One costs'))}
        {text('most', t('At most'))}
      </div>
      {fields.what === 'bin' && (
        <>
          <CheckField
            label={t('With a lid others can stand on')}
            checked={fields.hasLid}
            onChange={(event) => setFields({ ...fields, hasLid: event.target.checked })}
          />
          <CheckField
            label={t('See-through')}
            checked={fields.isSeeThrough}
            onChange={(event) => setFields({ ...fields, isSeeThrough: event.target.checked })}
          />
        </>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Button look="strong" type="submit">
          {t('Put it on the list')}
        </Button>
        <Button onClick={onDone}>{t('Leave it')}</Button>
      </div>
    </Form>
  );
}
