import type { ReactNode } from 'react';
import type { UseFormRegister, UseFormSetValue } from 'react-hook-form';
import { ENVELOPES, TYPE_FIGURES } from '../../../core/catalog/index.ts';
import { CLOTHS, convertThread, HOLDER_FIGURES, THREAD_NUMBERS } from '../../../core/measure/index.ts';
import { PATTERN_FORMATS, PRINTS, SCRAP_CUTS } from '../../../core/records/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { AreaField, CheckField, SelectField, TextField } from '../../components/fields.tsx';
import { capitalise, wordCloth, wordHolder, wordPatternFormat, wordPrint, wordScrapCut } from '../../text/index.ts';
import { findTypedType, goesByLength, type ItemFields } from './itemFields.ts';
import { toTable } from '../../../core/words/index.ts';
import { formatShort, perLanguage, t, wordTerm } from '../../language/index.ts';

const ENVELOPE_WORDS = perLanguage(() =>
  toTable<string>({
    small: t('small envelope'),
    large: t('large envelope'),
    a5: 'A5',
    a4: 'A4',
    folder: t('folder 23 × 33 cm'),
  }),
);
const NUMBER_WORDS = perLanguage(() => ({ tex: 'tex', ticket: t('ticket number'), weight: t('weight number') }));

export function Pair({ children }: { children: ReactNode }) {
  return <div className="grid grid-cols-2 items-start gap-3">{children}</div>;
}

export function Options({ of, words }: { of: readonly string[]; words: (one: never) => string }) {
  return of.map((one) => (
    <option key={one} value={one}>
      {capitalise(words(one as never))}
    </option>
  ));
}

/** What the fields of a form need of it. */
export interface FormOf {
  readonly register: UseFormRegister<ItemFields>;
  readonly setValue: UseFormSetValue<ItemFields>;
  readonly faultOf: (name: keyof ItemFields) => string | undefined;
  readonly units: UnitSystem;
}

interface KindFieldsProps {
  readonly of: FormOf;
  readonly fields: ItemFields;
}

/** Fields whose text is kept as it is, and where. */
const TEXT_OF: Partial<Record<keyof ItemFields, string>> = {
  name: 'items.name',
  source: 'items.source',
  fibre: 'items.fabric.fibre',
  weave: 'items.fabric.weave',
  garment: 'items.pattern.garment',
  publisher: 'items.pattern.publisher',
  era: 'items.pattern.era',
  sizes: 'items.pattern.sizes',
  use: 'items.thread.use',
  type: 'items.box.type',
  size: 'items.box.size',
};

/** Makers of the fields that most kinds are asked by. */
export function createFieldMakers({ register, faultOf, units }: FormOf) {
  const text = (name: keyof ItemFields, label: string, hint?: string, list?: string) => (
    <TextField label={label} of={TEXT_OF[name]} hint={hint} fault={faultOf(name)} list={list} {...register(name)} />
  );
  const select = (name: keyof ItemFields, label: string, of: readonly string[], words: (one: never) => string) => (
    <SelectField label={label} {...register(name)}>
      <Options of={of} words={words} />
    </SelectField>
  );
  const hint = (metric: string, imperial: string) =>
    t('Such as {example}', { example: units === 'metric' ? metric : imperial });
  return { text, select, hint };
}

/** What matters for the kind of a thing, and no more. */
export function KindFields({ of, fields, isFromNothing }: KindFieldsProps & { isFromNothing: boolean }) {
  switch (fields.kind) {
    case 'fabric':
      return <LengthFields of={of} fields={fields} />;
    case 'scrap':
      return <ScrapFields of={of} fields={fields} />;
    case 'pattern':
      return <PatternFields of={of} fields={fields} isFromNothing={isFromNothing} />;
    case 'thread':
      return <ThreadFields of={of} fields={fields} />;
    case 'kit':
      return (
        <>
          <BoxFields of={of} fields={fields} />
        </>
      );
    default:
      return (
        <>
          <TypeFields of={of} fields={fields} />
          <BoxFields of={of} fields={fields} />
        </>
      );
  }
}

function LengthFields({ of, fields }: KindFieldsProps) {
  const { text, hint } = createFieldMakers(of);
  return (
    <>
      <Pair>
        {text('length', t('Length'), hint(t('3.4 m'), t('2 1/2 yd')))}
        {text('width', t('Width'), hint(t('140 cm'), t('54 in')))}
      </Pair>
      <ClothFields of={of} fields={fields} />
    </>
  );
}

function ClothFields({ of, fields }: KindFieldsProps) {
  const { text, select, hint } = createFieldMakers(of);
  const cloth = CLOTHS.find((one) => one.id === fields.cloth);
  return (
    <>
      <SelectField label={t('Class of cloth')} {...of.register('cloth')}>
        {CLOTHS.map(({ id, grammageGsm }) => (
          <option key={id} value={id}>
            {`${capitalise(wordCloth(id))} (${grammageGsm} g/m²)`}
          </option>
        ))}
      </SelectField>
      <Pair>
        {text(
          'grammage',
          t('Weight class'),
          t('{hint}; empty: as its class', { hint: hint(t('185 gsm'), t('5.5 oz')) }),
        )}
        {text(
          'fibre',
          t('Fibre'),
          fields.fibre === '' ? t('Empty: {fibre}', { fibre: wordTerm(cloth?.fibre ?? 'cotton') }) : undefined,
        )}
      </Pair>
      {select('print', t('Its print'), PRINTS, wordPrint)}
    </>
  );
}

function ScrapFields({ of, fields }: KindFieldsProps) {
  const { text, select, hint } = createFieldMakers(of);
  const isOdd = fields.cut === 'odd';
  return (
    <>
      <Pair>
        {select('cut', t('How it is cut'), SCRAP_CUTS, wordScrapCut)}
        {isOdd
          ? text('area', t('How much'), hint(t('0.6 m²'), t('0.7 sq yd')))
          : text('cutSize', fields.cut === 'strip' ? t('Strip width') : t('Side'), hint(t('6.35 cm'), t('2 1/2 in')))}
      </Pair>
      {!isOdd && text('count', t('How many'))}
      <ClothFields of={of} fields={fields} />
    </>
  );
}

function PatternFields({ of, fields, isFromNothing }: KindFieldsProps & { isFromNothing: boolean }) {
  const { register } = of;
  const { text, select, hint } = createFieldMakers(of);
  return (
    <>
      <Pair>
        {text('number', t('Number'))}
        {text('garment', t('Garment'))}
      </Pair>
      {select('format', t('It is'), PATTERN_FORMATS, wordPatternFormat)}
      <Pair>
        {fields.format === 'sheets'
          ? text('sheets', t('Sheets'), t('Such as 46'))
          : text('sizes', t('Sizes'), t('Such as 34-44'))}
      </Pair>
      {fields.format !== 'digital' && (
        <>
          <Pair>
            <SelectField label={t('Envelope')} {...register('envelope')}>
              {isFromNothing ? (
                <option value="usual">{t('as usual')}</option>
              ) : (
                !ENVELOPES[fields.envelope] && <option value="own">{t('its own size')}</option>
              )}
              {Object.keys(ENVELOPES).map((one) => (
                <option key={one} value={one}>
                  {ENVELOPE_WORDS()[one]}
                </option>
              ))}
            </SelectField>
            {text('thickness', t('Thickness'), t('{hint}; empty: as usual', { hint: hint(t('5 mm'), t('1/4 in')) }))}
          </Pair>
          {text('count', t('Copies'))}
        </>
      )}
      <CheckField label={t('Made already')} {...register('isMade')} />
    </>
  );
}

function ThreadFields({ of, fields }: KindFieldsProps) {
  const { setValue } = of;
  const { text, select } = createFieldMakers(of);
  const holders = HOLDER_FIGURES.map((one) => one.id);
  return (
    <>
      <Pair>
        {text('use', t('For'), t('Such as general'))}
        {text('fibre', t('Fibre'), fields.fibre === '' ? t('Empty: polyester') : undefined)}
      </Pair>
      <Pair>
        {text('threadNumber', t('Thickness'))}
        <SelectField
          label={t('By')}
          value={fields.threadSystem}
          onChange={(event) => {
            // The number follows, so that it still says the same thread.
            const to = event.target.value as ItemFields['threadSystem'];
            const value = Number(fields.threadNumber.replace(',', '.'));
            if (value > 0) setValue('threadNumber', formatShort(convertThread(value, fields.threadSystem, to), 1));
            setValue('threadSystem', to);
          }}
        >
          <Options of={THREAD_NUMBERS} words={(one: keyof ReturnType<typeof NUMBER_WORDS>) => NUMBER_WORDS()[one]} />
        </SelectField>
      </Pair>
      <Pair>
        {select('spool', t('Wound on'), holders, wordHolder)}
        {text('count', t('How many'))}
      </Pair>
      {text('length', t('Length on all of them'), t('Empty: not measured; the ticket weighs it'))}
    </>
  );
}

/** Of a notion, a tool or anything else: what it is, and how much of it. */
function TypeFields({ of, fields }: KindFieldsProps) {
  const { text, hint } = createFieldMakers(of);
  const isTape = goesByLength(fields);
  const isNotion = fields.kind === 'notion';
  const figures = findTypedType(fields);
  const sizeHint = figures?.sizeIs === 'length' ? hint(t('20 cm'), t('8 in')) : t('As it is called by');
  return (
    <>
      <datalist id="types">
        {TYPE_FIGURES.filter((one) => one.kind === fields.kind).map((one) => (
          <option key={one.type} value={wordTerm(one.type)} />
        ))}
      </datalist>
      <Pair>
        {text('type', t('Type'), fields.kind === 'tool' ? t('Such as ruler') : t('Such as zips'), 'types')}
        {isTape ? text('tapeWidth', t('Width'), hint(t('25 mm'), t('1 in'))) : text('size', t('Size'), sizeHint)}
      </Pair>
      <Pair>
        {isTape ? text('length', t('Length'), hint(t('3.4 m'), t('2 1/2 yd'))) : null}
        {text('count', isTape ? t('Reels') : isNotion ? t('Packets') : t('Pieces'))}
        {isNotion && !isTape && text('units', t('Pieces in all'), t('Empty: not counted'))}
      </Pair>
    </>
  );
}

/** What is as large as its box: the outer size, the weight, and whether it gives way. */
function BoxFields({ of, fields }: KindFieldsProps) {
  const { text, hint } = createFieldMakers(of);
  const isTape = goesByLength(fields);
  const isUsual = findTypedType(fields) !== null;
  const size = (metric: string, imperial: string) => (isUsual ? t('Empty: as usual') : hint(metric, imperial));
  return (
    <>
      {!isTape && (
        <Pair>
          {text('boxWidth', t('Width'), size(t('12 cm'), t('4 3/4 in')))}
          {text('boxDepth', t('Depth'), size(t('3 cm'), t('1 1/4 in')))}
          {text('boxHeight', t('Height'), size(t('20 cm'), t('8 in')))}
          {text('mass', t('Weight of one'), t('{hint}; empty: as usual', { hint: hint(t('120 g'), t('4 oz')) }))}
        </Pair>
      )}
      {fields.kind === 'tool' &&
        text('hole', t('Hang hole'), t('{hint}; empty: as usual', { hint: hint(t('8 mm'), t('3/8 in')) }))}
      {!isTape && <CheckField label={t('Soft, takes any shape')} {...of.register('isSoft')} />}
    </>
  );
}

/** What of the kind matters now and then. */
export function MoreKindFields({ of: form, fields }: KindFieldsProps) {
  const { register, faultOf } = form;
  const { text, hint } = createFieldMakers(form);
  const isTape = goesByLength(fields);
  return (
    <>
      {(fields.kind === 'fabric' || fields.kind === 'scrap') && (
        <>
          <Pair>
            {text('weave', t('Weave'), t('Such as twill'))}
            {text('stretch', t('Stretch, %'))}
          </Pair>
          <CheckField label={t('Has a nap or a way up')} {...register('hasNap')} />
        </>
      )}
      {fields.kind === 'pattern' && (
        <>
          <Pair>
            {text('publisher', t('Publisher'))}
            {text('era', t('Era'))}
          </Pair>
          {fields.format === 'sheets' && text('sizes', t('Sizes'), t('Such as 34-44'))}
          <AreaField
            label={t('Cloth it needs, one a line')}
            hint={hint(t('M, lining: 1.2 m x 140 cm'), t('M, lining: 1 3/8 yd x 54 in'))}
            fault={faultOf('needs')}
            {...register('needs')}
          />
        </>
      )}
      {fields.kind === 'notion' && (
        <Pair>
          {isTape
            ? text('tapeThickness', t('Thickness of one turn'))
            : text('unitMass', t('Weight of one piece'), t('The ticket finds it from ten'))}
        </Pair>
      )}
      {(fields.kind === 'tool' || fields.kind === 'other') && text('watts', t('Watts'))}
    </>
  );
}
