import { useState } from 'react';
import { createBecome, createRemoveItem } from '../../../core/acts/index.ts';
import { computePackage } from '../../../core/measure/index.ts';
import {
  CARE_FLAGS,
  KINDS,
  STOW_FORMS,
  type CareFlag,
  type Item,
  type Kind,
  type Settings,
  type StowForm,
} from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { AreaField, CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { StationChecks } from '../../components/StationChecks.tsx';
import { useApp, world } from '../../state/app.ts';
import { act } from '../../state/hands.ts';
import { follow } from '../../state/follow.ts';
import type { Thing } from '../../state/appState.ts';
import { capitalise, wordCare, wordForm, wordKind, wordPackage } from '../../text/index.ts';
import { wordMeasures } from '../../text/measures.ts';
import { createFieldMakers, KindFields, MoreKindFields, Options, Pair } from './KindFields.tsx';
import { findTypedType } from './itemFields.ts';
import { TwinHint } from './TwinHint.tsx';
import { useItemForm, type ItemFormProps } from './useItemForm.ts';
import { t } from '../../language/index.ts';

/** What can be kept so at all, by kind. */
const FORMS_OF_KIND: Record<Kind, readonly StowForm[]> = {
  fabric: ['board', 'stack', 'file', 'roll', 'hanger', 'bag', 'loose'],
  scrap: ['stack', 'bag', 'loose'],
  pattern: ['envelope'],
  thread: ['spool', 'box'],
  notion: ['box', 'bag', 'loose'],
  tool: ['peg', 'box', 'flat', 'loose'],
  kit: ['loose', 'bag', 'hanger', 'box'],
  other: ['box', 'hanger', 'bag', 'flat', 'loose'],
};

/** Adds a thing, or changes one: it asks only what matters for the kind, and shows at once what follows. */
export function ItemForm(props: ItemFormProps) {
  const { register, setValue, fields, result, old, stations, machines, forms, form, ...typed } = useItemForm(props);
  const { text } = createFieldMakers(form);
  const figures = findTypedType(fields);
  const show = useApp((state) => state.show);
  const { base } = props;
  const isNew = old === null;
  return (
    <Form
      aria-label={old ? t('Edit {name}', { name: old.item.name }) : t('New {kind}', { kind: wordKind(fields.kind) })}
      className="space-y-3"
      onSend={() => typed.handleSubmit(typed.save)()}
    >
      <h2 className="font-display text-[21px] font-semibold">
        {isNew ? t('New {kind}', { kind: wordKind(fields.kind) }) : t('Edit {kind}', { kind: wordKind(fields.kind) })}
      </h2>
      {old ? (
        <BecomeOther item={old.item} onDone={() => base && show({ type: 'lot', id: base })} />
      ) : (
        <SelectField
          label={t('What is it')}
          value={fields.kind}
          onChange={(event) => typed.become(event.target.value as Kind)}
        >
          <Options of={KINDS} words={wordKind} />
        </SelectField>
      )}
      {text('name', t('Name'))}
      <KindFields of={form} fields={fields} isFromNothing={typed.from === null} />
      {result.ok && <Follows thing={result.value} settings={typed.settings} />}
      {isNew && result.ok && <TwinHint item={result.value.item} />}
      <Pair>
        <TextField label={t('Colour')} type="color" {...register('colour')} />
        {text('usesPerMonth', t('Uses a month'))}
      </Pair>
      {(fields.kind === 'fabric' || fields.kind === 'scrap') && (
        <SelectField label={t('Washed')} {...register('washed')}>
          <option value="">{t('does not matter')}</option>
          <option value="yes">{t('yes')}</option>
          <option value="no">{t('not yet')}</option>
        </SelectField>
      )}
      {(fields.kind === 'notion' || fields.kind === 'other') && (
        <Pair>
          <TextField
            label={t('Good until')}
            type="date"
            fault={typed.faultOf('expiresOn')}
            {...register('expiresOn')}
          />
          {(figures?.lastsHours !== undefined || fields.usedHours !== '') &&
            text(
              'usedHours',
              t('Hours sewn with it'),
              t('Blunt after about {lastsHours}', { lastsHours: figures?.lastsHours ?? 8 }),
            )}
        </Pair>
      )}
      <SelectField label={t('Used at')} {...register('stationId')}>
        {stations.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </SelectField>
      <CareFields care={fields.care} onCare={(care) => setValue('care', care)} />
      {fields.kind !== 'pattern' && (
        <FormFields
          kind={fields.kind}
          forms={forms}
          made={result.ok ? result.value : null}
          settings={typed.settings}
          onForms={(next) => setValue('forms', next)}
        />
      )}
      {old?.lot.state !== 'in' && forms.length > 1 && (
        <SelectField label={t('Kept now')} {...register('form')}>
          {isNew && <option value="">{t('{form}, as preferred', { form: capitalise(wordForm(forms[0]!)) })}</option>}
          <Options of={forms} words={wordForm} />
        </SelectField>
      )}
      <details className="stitched-t pt-2">
        <summary className="min-h-9 cursor-pointer text-woad underline underline-offset-4">
          {t('More about it')}
        </summary>
        <div className="space-y-3 pt-1">
          <MoreKindFields of={form} fields={fields} />
          {stations.length > 1 && (
            <StationChecks
              legend={t('Also used at')}
              stations={stations.filter((one) => one.id !== fields.stationId)}
              ids={fields.otherStationIds}
              onIds={(ids) => setValue('otherStationIds', ids)}
            />
          )}
          <Pair>
            {text('restock', t('Buy again below'), t('All of it together'))}
            {text('cost', t('Cost'), t('In your own money'))}
          </Pair>
          {machines.length > 0 && (
            <SelectField label={t('Belongs to machine')} {...register('belongsToId')}>
              <option value="">{t('Nothing')}</option>
              {machines.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </SelectField>
          )}
          {text('source', t('Where from'))}
          {text('tags', t('Tags'), t('With commas between'))}
        </div>
      </details>
      <AreaField label={t('Notes')} of="items.notes" {...register('notes')} />
      <div className="grid grid-cols-2 gap-2 pt-1">
        <Button look="strong" type="submit" disabled={typed.isSaving}>
          {t('Save')}
        </Button>
        <Button onClick={() => show(base ? { type: 'lot', id: base } : null)}>{t('Leave it')}</Button>
      </div>
      {old && <RemoveItem item={old.item} lots={typed.lotsOfItem} />}
    </Form>
  );
}

/** What follows from what is typed: how large and heavy it is, each with how that was made. */
function Follows({ thing, settings }: { thing: Thing; settings: Settings }) {
  return (
    <dl aria-label={t('What follows')} className="border-l-4 border-woad bg-linen px-3 py-1">
      {wordMeasures(thing.item, thing.lot, settings).map(({ name, words, how }) => (
        <Row key={name} name={name} how={how}>
          {words}
        </Row>
      ))}
      {thing.lot.state === 'digital' && <Row name={t('Room')}>{t('takes none')}</Row>}
    </dl>
  );
}

function CareFields({ care, onCare }: { care: readonly CareFlag[]; onCare: (care: CareFlag[]) => void }) {
  return (
    <fieldset>
      <legend className="text-sm text-stone">{t('Take care')}</legend>
      <div className="grid grid-cols-2">
        {CARE_FLAGS.map((flag) => (
          <CheckField
            key={flag}
            label={wordCare(flag)}
            checked={care.includes(flag)}
            onChange={(event) => {
              const rest = care.filter((one) => one !== flag);
              onCare(event.target.checked ? [...rest, flag] : rest);
            }}
          />
        ))}
      </div>
    </fieldset>
  );
}

interface FormFieldsProps {
  readonly kind: Kind;
  readonly forms: readonly StowForm[];
  /** The thing as typed, where it reads. */
  readonly made: Thing | null;
  readonly settings: Settings;
  readonly onForms: (forms: StowForm[]) => void;
}

/** How it may be kept, each with the package that it makes. */
function FormFields({ kind, forms, made, settings, onForms }: FormFieldsProps) {
  const { units } = settings;
  return (
    <fieldset>
      <legend className="text-sm text-stone">{t('May be kept (the first ticked is preferred)')}</legend>
      {STOW_FORMS.filter((form) => FORMS_OF_KIND[kind].includes(form)).map((form) => {
        const pkg = made && computePackage(made.item, made.lot, form, settings);
        return (
          <CheckField
            key={form}
            label={`${capitalise(wordForm(form))}${pkg ? `: ${wordPackage(pkg, units)}` : made ? t(': does not suit it') : ''}`}
            checked={forms.includes(form)}
            onChange={(event) => {
              const rest = forms.filter((one) => one !== form);
              if (event.target.checked || rest.length > 0) onForms(event.target.checked ? [...rest, form] : rest);
            }}
          />
        );
      })}
    </fieldset>
  );
}

function RemoveItem({ item, lots }: { item: Item; lots: number }) {
  return (
    <p className="stitched-t pt-3 text-sm text-stone">
      {t(
        'Taking it out of the catalogue takes {lots, plural, one {# thing} other {# things}} with it; Undo brings all back.',
        { lots },
      )}{' '}
      <Button
        look="quiet"
        onClick={() =>
          void follow(
            act((now) => createRemoveItem(now, item, world.nowMs())),
            null,
          )
        }
      >
        {t('Remove {name}', { name: item.name })}
      </Button>
    </p>
  );
}

const aKind = (kind: Kind) => `${kind === 'other' ? t('an') : 'a'} ${wordKind(kind)}`;

/** It was taken for something else: what it is then is said first, and done by a button. Its lots stay where they are. */
function BecomeOther({ item, onDone }: { item: Item; onDone: () => void }) {
  const [wanted, setWanted] = useState<Kind>(item.kind);
  const become = async () => {
    const told = t('{name}: {kind} from now on.', { name: item.name, kind: wordKind(wanted) });
    if (await act((now) => createBecome(now, item.id, wanted, world.nowMs()), told)) onDone();
  };
  return (
    <>
      <SelectField label={t('What is it')} value={wanted} onChange={({ target }) => setWanted(target.value as Kind)}>
        <Options of={KINDS} words={wordKind} />
      </SelectField>
      {wanted !== item.kind && (
        <p className="border-l-4 border-woad bg-linen px-3 py-2 text-sm">
          {t('What it says as {aKind} goes; what there is of it stays where it is, and Undo brings all back.', {
            aKind: aKind(item.kind),
          })}{' '}
          <Button look="quiet" onClick={() => void become()}>
            {t('Change it to {aKind}', { aKind: aKind(wanted) })}
          </Button>
        </p>
      )}
    </>
  );
}
