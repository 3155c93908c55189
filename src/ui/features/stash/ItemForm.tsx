import { useEffect, useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ENVELOPES, findType, TYPE_FIGURES } from '../../../core/catalog/index.ts';
import { CLOTHS, computePackage, convertThread, HOLDER_FIGURES, THREAD_NUMBERS } from '../../../core/measure/index.ts';
import {
  CARE_FLAGS,
  createLotAlike,
  KINDS,
  KIT_STATES,
  PATTERN_FORMATS,
  PRINTS,
  SCRAP_CUTS,
  STOW_FORMS,
  type CareFlag,
  type Household,
  type ItemId,
  type Kind,
  type LotId,
  type StationId,
  type StowForm,
} from '../../../core/records/index.ts';
import { getRoomSpec } from '../../../core/storage/index.ts';
import { createRemoveItem, createSaveItem } from '../../../core/tracking/index.ts';
import { Button } from '../../components/Button.tsx';
import { AreaField, CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world, type Thing } from '../../state/app.ts';
import { getLotsByItem, getTree } from '../../state/derived.ts';
import {
  capitalise,
  wordCare,
  wordCloth,
  wordCount,
  wordForm,
  wordHolder,
  wordKind,
  wordKitState,
  wordMeasures,
  wordPackage,
  wordPatternFormat,
  wordPrint,
  wordScrapCut,
} from '../../text/index.ts';
import { TwinHint } from './TwinHint.tsx';
import { createFields, goesByLength, listUsualForms, toFields, type ItemFields } from './itemFields.ts';
import { readFields } from './itemForm.ts';

const ENVELOPE_WORDS: Record<string, string> = {
  small: 'small envelope',
  large: 'large envelope',
  a5: 'A5',
  a4: 'A4',
  folder: 'folder 23 × 33 cm',
};
const NUMBER_WORDS = { tex: 'tex', ticket: 'ticket number', weight: 'weight number' };
/** What can be kept so at all, by kind. */
const FORMS_OF_KIND: Record<Kind, readonly StowForm[]> = {
  fabric: ['board', 'stack', 'file', 'roll', 'loose'],
  scrap: ['stack', 'loose'],
  pattern: ['envelope'],
  thread: ['spool', 'box'],
  notion: ['box', 'loose'],
  tool: ['peg', 'box', 'loose'],
  kit: ['loose', 'box'],
  other: ['box', 'loose'],
};

function Pair({ children }: { children: ReactNode }) {
  return <div className="grid grid-cols-2 items-start gap-3">{children}</div>;
}

/** A new thing with everything that a lot and its item are known by. */
function createAnother(household: Household, like: LotId, ids: { itemId: ItemId; lotId: LotId }): Thing | null {
  const lot = household.lots.get(like);
  const item = lot && household.items.get(lot.itemId);
  if (!item) return null;
  return {
    item: { ...item, id: ids.itemId },
    lot: { ...createLotAlike(ids.lotId, lot, world.nowMs()), itemId: ids.itemId },
  };
}

function Options({ of, words }: { of: readonly string[]; words: (one: never) => string }) {
  return of.map((one) => (
    <option key={one} value={one}>
      {capitalise(words(one as never))}
    </option>
  ));
}

/** Adds a thing, or changes one: it asks only what matters for the kind, and shows at once what follows. */
interface ItemFormProps {
  /** The lot to change, with its item; null for a new thing. */
  readonly base: LotId | null;
  readonly kind: Kind;
  /** A new thing begins as this one is. */
  readonly like?: LotId;
  /** A new thing that was said in another way, to be gone over. */
  readonly draft?: Thing;
}

export function ItemForm({ base, kind, like, draft }: ItemFormProps) {
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
  const [another] = useState(() => (like ? createAnother(household, like, ids) : null));
  const begin = old ?? draft ?? another;
  const station = (stations[0]?.id ?? '') as StationId;
  const { register, watch, setValue, handleSubmit, setFocus } = useForm<ItemFields>({
    defaultValues: begin ? toFields(begin.item, begin.lot, units) : createFields(kind, station),
  });
  const [isOther, setOther] = useState(false);
  const [isTried, setTried] = useState(false);
  useEffect(() => setFocus('name'), [setFocus]);
  const [isSaving, setSaving] = useState(false);
  const fields = watch();
  // What a new thing begins with keeps its exact figures, until it becomes a thing of another kind.
  const from = isOther ? null : begin;
  const result = readFields(fields, units, from, { ...ids, nowMs: world.nowMs(), stationId: station });
  const faults = result.ok ? {} : result.fault;
  // Before the first try only what was typed and does not read is pointed out.
  const faultOf = (name: keyof ItemFields) =>
    faults[name] && (isTried || (typeof fields[name] === 'string' && fields[name] !== '')) ? faults[name] : undefined;
  const isNew = old === null;
  const lotsOfItem = old ? (getLotsByItem(household).get(old.item.id) ?? []).length : 0;
  const forms = fields.forms.length > 0 ? fields.forms : listUsualForms(fields);

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

  const text = (name: keyof ItemFields, label: string, hint?: string, list?: string) => (
    <TextField label={label} hint={hint} fault={faultOf(name)} list={list} {...register(name)} />
  );
  const select = (name: keyof ItemFields, label: string, of: readonly string[], words: (one: never) => string) => (
    <SelectField label={label} {...register(name)}>
      <Options of={of} words={words} />
    </SelectField>
  );
  const isMetric = units === 'metric';
  const hint = (metric: string, imperial: string) => `Such as ${isMetric ? metric : imperial}`;
  const figures = findType(fields.type, fields.kind);
  const isTape = goesByLength(fields);
  const cloth = CLOTHS.find((one) => one.id === fields.cloth);

  const clothFields = (
    <>
      <SelectField label="Class of cloth" {...register('cloth')}>
        {CLOTHS.map(({ id, grammageGsm }) => (
          <option key={id} value={id}>
            {`${capitalise(wordCloth(id))} (${grammageGsm} g/m²)`}
          </option>
        ))}
      </SelectField>
      <Pair>
        {text('grammage', 'Weight class', `${hint('185 gsm', '5.5 oz')}; empty: as its class`)}
        {text('fibre', 'Fibre', fields.fibre === '' ? `Empty: ${cloth?.fibre ?? 'cotton'}` : undefined)}
      </Pair>
      {select('print', 'Print', PRINTS, wordPrint)}
    </>
  );

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
            setOther(true);
          }}
        >
          <Options of={KINDS} words={wordKind} />
        </SelectField>
      )}
      {text('name', 'Name')}
      {fields.kind === 'fabric' && (
        <>
          <Pair>
            {text('length', 'Length', hint('3.4 m', '2 1/2 yd'))}
            {text('width', 'Width', hint('140 cm', '54 in'))}
          </Pair>
          {clothFields}
        </>
      )}
      {fields.kind === 'scrap' && (
        <>
          <Pair>
            {select('cut', 'Cut', SCRAP_CUTS, wordScrapCut)}
            {fields.cut === 'odd'
              ? text('area', 'How much', hint('0.6 m²', '0.7 sq yd'))
              : text('cutSize', fields.cut === 'strip' ? 'Strip width' : 'Side', hint('6.35 cm', '2 1/2 in'))}
          </Pair>
          {fields.cut !== 'odd' && text('count', 'How many')}
          {clothFields}
        </>
      )}
      {fields.kind === 'pattern' && (
        <>
          <Pair>
            {text('number', 'Number')}
            {text('garment', 'Garment')}
          </Pair>
          {select('format', 'It is', PATTERN_FORMATS, wordPatternFormat)}
          <Pair>
            {fields.format === 'sheets'
              ? text('sheets', 'Sheets', 'Such as 46')
              : text('sizes', 'Sizes', 'Such as 34-44')}
          </Pair>
          {fields.format !== 'digital' && (
            <>
              <Pair>
                <SelectField label="Envelope" {...register('envelope')}>
                  {!from ? (
                    <option value="usual">as usual</option>
                  ) : (
                    !ENVELOPES[fields.envelope] && <option value="own">its own size</option>
                  )}
                  {Object.keys(ENVELOPES).map((one) => (
                    <option key={one} value={one}>
                      {ENVELOPE_WORDS[one]}
                    </option>
                  ))}
                </SelectField>
                {text('thickness', 'Thickness', `${hint('5 mm', '1/4 in')}; empty: as usual`)}
              </Pair>
              {text('count', 'Copies')}
            </>
          )}
          <CheckField label="Made already" {...register('isMade')} />
        </>
      )}
      {fields.kind === 'thread' && (
        <>
          <Pair>
            {text('use', 'For', 'Such as general')}
            {text('fibre', 'Fibre', fields.fibre === '' ? 'Empty: polyester' : undefined)}
          </Pair>
          <Pair>
            {text('threadNumber', 'Thickness')}
            <SelectField
              label="By"
              value={fields.threadSystem}
              onChange={(event) => {
                // The number follows, so that it still says the same thread.
                const to = event.target.value as ItemFields['threadSystem'];
                const value = Number(fields.threadNumber.replace(',', '.'));
                if (value > 0)
                  setValue('threadNumber', String(Number(convertThread(value, fields.threadSystem, to).toFixed(1))));
                setValue('threadSystem', to);
              }}
            >
              <Options of={THREAD_NUMBERS} words={(one: keyof typeof NUMBER_WORDS) => NUMBER_WORDS[one]} />
            </SelectField>
          </Pair>
          <Pair>
            {select(
              'spool',
              'Wound on',
              HOLDER_FIGURES.map((one) => one.id),
              wordHolder,
            )}
            {text('count', 'How many')}
          </Pair>
          {text('length', 'Length on all of them', 'Empty: not measured; the ticket weighs it')}
        </>
      )}
      {(fields.kind === 'notion' || fields.kind === 'tool' || fields.kind === 'other') && (
        <>
          <datalist id="types">
            {TYPE_FIGURES.filter((one) => one.kind === fields.kind).map((one) => (
              <option key={one.type} value={one.type} />
            ))}
          </datalist>
          <Pair>
            {text('type', 'Type', fields.kind === 'tool' ? 'Such as ruler' : 'Such as zips', 'types')}
            {isTape
              ? text('tapeWidth', 'Width', hint('25 mm', '1 in'))
              : text('size', 'Size', figures?.sizeIs === 'length' ? hint('20 cm', '8 in') : 'As it is called by')}
          </Pair>
          <Pair>
            {isTape ? text('length', 'Length', hint('3.4 m', '2 1/2 yd')) : null}
            {text('count', isTape ? 'Reels' : fields.kind === 'notion' ? 'Packets' : 'Pieces')}
            {fields.kind === 'notion' && !isTape && text('units', 'Pieces in all', 'Empty: not counted')}
          </Pair>
        </>
      )}
      {fields.kind === 'kit' && (
        <>
          <Pair>
            {text('forWhat', 'For', 'What it will be')}
            {select('kitState', 'How far', KIT_STATES, wordKitState)}
          </Pair>
          <AreaField label="What belongs in it, one a line" {...register('parts')} />
          {text('count', 'How many')}
        </>
      )}
      {(fields.kind === 'notion' || fields.kind === 'tool' || fields.kind === 'kit' || fields.kind === 'other') && (
        <>
          {!isTape && (
            <Pair>
              {text('boxWidth', 'Width', figures ? 'Empty: as usual' : hint('12 cm', '4 3/4 in'))}
              {text('boxDepth', 'Depth', figures ? 'Empty: as usual' : hint('3 cm', '1 1/4 in'))}
              {text('boxHeight', 'Height', figures ? 'Empty: as usual' : hint('20 cm', '8 in'))}
              {text('mass', 'Weight of one', `${hint('120 g', '4 oz')}; empty: as usual`)}
            </Pair>
          )}
          {fields.kind === 'tool' && text('hole', 'Hang hole', `${hint('8 mm', '3/8 in')}; empty: as usual`)}
          {!isTape && <CheckField label="Soft, takes any shape" {...register('isSoft')} />}
        </>
      )}
      {result.ok && (
        <dl aria-label="What follows" className="border-l-4 border-woad bg-linen px-3 py-1">
          {wordMeasures(result.value.item, result.value.lot, settings).map(({ name, words, how }) => (
            <Row key={name} name={name} how={how}>
              {words}
            </Row>
          ))}
          {result.value.lot.state === 'digital' && <Row name="Room">takes none</Row>}
        </dl>
      )}
      {isNew && result.ok && <TwinHint item={result.value.item} />}
      <Pair>
        <TextField label="Colour" type="color" {...register('colour')} />
        {text('usesPerMonth', 'Uses a month')}
      </Pair>
      {(fields.kind === 'fabric' || fields.kind === 'scrap') && (
        <SelectField label="Washed" {...register('washed')}>
          <option value="">does not matter</option>
          <option value="yes">yes</option>
          <option value="no">not yet</option>
        </SelectField>
      )}
      {(fields.kind === 'notion' || fields.kind === 'other') && (
        <Pair>
          <TextField label="Good until" type="date" fault={faultOf('expiresOn')} {...register('expiresOn')} />
          {(figures?.lastsHours !== undefined || fields.usedHours !== '') &&
            text('usedHours', 'Hours sewn with it', `Blunt after about ${figures?.lastsHours ?? 8}`)}
        </Pair>
      )}
      <SelectField label="Used at" {...register('stationId')}>
        {stations.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </SelectField>
      <fieldset>
        <legend className="text-sm text-stone">Mind</legend>
        <div className="grid grid-cols-2">
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
        </div>
      </fieldset>
      {fields.kind !== 'pattern' && (
        <fieldset>
          <legend className="text-sm text-stone">May be kept (the first ticked is preferred)</legend>
          {STOW_FORMS.filter((form) => FORMS_OF_KIND[fields.kind].includes(form)).map((form) => {
            const made = result.ok ? result.value : null;
            const pkg = made && computePackage(made.item, made.lot, form, settings);
            return (
              <CheckField
                key={form}
                label={`${capitalise(wordForm(form))}${pkg ? `: ${wordPackage(pkg, units)}` : made ? ': does not suit it' : ''}`}
                checked={forms.includes(form)}
                onChange={(event) => {
                  const rest = forms.filter((one) => one !== form);
                  if (event.target.checked || rest.length > 0)
                    setValue('forms', event.target.checked ? [...rest, form] : rest);
                }}
              />
            );
          })}
        </fieldset>
      )}
      {(isNew || old.lot.state !== 'in') && forms.length > 1 && (
        <SelectField label="Kept now" {...register('form')}>
          {isNew && <option value="">{`${capitalise(wordForm(forms[0]!))}, as preferred`}</option>}
          <Options of={forms} words={wordForm} />
        </SelectField>
      )}
      <details className="stitched-t pt-2">
        <summary className="min-h-9 cursor-pointer text-woad underline underline-offset-4">More about it</summary>
        <div className="space-y-3 pt-1">
          {(fields.kind === 'fabric' || fields.kind === 'scrap') && (
            <>
              <Pair>
                {text('weave', 'Weave', 'Such as twill')}
                {text('stretch', 'Stretch, %')}
              </Pair>
              <CheckField label="Has a nap or a way up" {...register('hasNap')} />
            </>
          )}
          {fields.kind === 'pattern' && (
            <>
              <Pair>
                {text('publisher', 'Publisher')}
                {text('era', 'Era')}
              </Pair>
              {fields.format === 'sheets' && text('sizes', 'Sizes', 'Such as 34-44')}
              <AreaField
                label="Cloth it needs, one a line"
                hint={hint('M, lining: 1.2 m x 140 cm', 'M, lining: 1 3/8 yd x 54 in')}
                fault={faultOf('needs')}
                {...register('needs')}
              />
            </>
          )}
          {fields.kind === 'notion' && (
            <Pair>
              {isTape
                ? text('tapeThickness', 'Thickness of one turn')
                : text('unitMass', 'Weight of one piece', 'The ticket finds it from ten')}
            </Pair>
          )}
          {(fields.kind === 'tool' || fields.kind === 'other') && text('watts', 'Watts')}
          {stations.length > 1 && (
            <fieldset>
              <legend className="text-sm text-stone">Also used at</legend>
              {stations
                .filter((one) => one.id !== fields.stationId)
                .map((one) => (
                  <CheckField
                    key={one.id}
                    label={one.name}
                    checked={fields.otherStationIds.includes(one.id)}
                    onChange={(event) => {
                      const rest = fields.otherStationIds.filter((id) => id !== one.id);
                      setValue('otherStationIds', event.target.checked ? [...rest, one.id] : rest);
                    }}
                  />
                ))}
            </fieldset>
          )}
          <Pair>
            {text('restock', 'Buy again below', 'All lots together')}
            {text('cost', 'Cost', 'In your own money')}
          </Pair>
          {text('source', 'Where from')}
          {text('tags', 'Tags', 'With commas between')}
        </div>
      </details>
      <AreaField label="Notes" {...register('notes')} />
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
            onClick={() =>
              void act((now) => createRemoveItem(now, old.item, world.nowMs())).then((isDone) => isDone && show(null))
            }
          >
            Remove {old.item.name}
          </Button>
        </p>
      )}
    </form>
  );
}
