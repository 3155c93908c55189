import type { ReactNode } from 'react';
import type { UseFormRegister, UseFormSetValue } from 'react-hook-form';
import { ENVELOPES, findType, TYPE_FIGURES } from '../../../core/catalog/index.ts';
import { CLOTHS, convertThread, HOLDER_FIGURES, THREAD_NUMBERS } from '../../../core/measure/index.ts';
import { PATTERN_FORMATS, PRINTS, SCRAP_CUTS } from '../../../core/records/index.ts';
import type { UnitSystem } from '../../../core/units/index.ts';
import { AreaField, CheckField, SelectField, TextField } from '../../components/fields.tsx';
import { capitalise, wordCloth, wordHolder, wordPatternFormat, wordPrint, wordScrapCut } from '../../text/index.ts';
import { goesByLength, type ItemFields } from './itemFields.ts';
import { toTable } from '../../../core/words/index.ts';

const ENVELOPE_WORDS = toTable<string>({
  small: 'small envelope',
  large: 'large envelope',
  a5: 'A5',
  a4: 'A4',
  folder: 'folder 23 × 33 cm',
});
const NUMBER_WORDS = { tex: 'tex', ticket: 'ticket number', weight: 'weight number' };

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
  const hint = (metric: string, imperial: string) => `Such as ${units === 'metric' ? metric : imperial}`;
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
        {text('length', 'Length', hint('3.4 m', '2 1/2 yd'))}
        {text('width', 'Width', hint('140 cm', '54 in'))}
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
      <SelectField label="Class of cloth" {...of.register('cloth')}>
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
}

function ScrapFields({ of, fields }: KindFieldsProps) {
  const { text, select, hint } = createFieldMakers(of);
  const isOdd = fields.cut === 'odd';
  return (
    <>
      <Pair>
        {select('cut', 'Cut', SCRAP_CUTS, wordScrapCut)}
        {isOdd
          ? text('area', 'How much', hint('0.6 m²', '0.7 sq yd'))
          : text('cutSize', fields.cut === 'strip' ? 'Strip width' : 'Side', hint('6.35 cm', '2 1/2 in'))}
      </Pair>
      {!isOdd && text('count', 'How many')}
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
        {text('number', 'Number')}
        {text('garment', 'Garment')}
      </Pair>
      {select('format', 'It is', PATTERN_FORMATS, wordPatternFormat)}
      <Pair>
        {fields.format === 'sheets' ? text('sheets', 'Sheets', 'Such as 46') : text('sizes', 'Sizes', 'Such as 34-44')}
      </Pair>
      {fields.format !== 'digital' && (
        <>
          <Pair>
            <SelectField label="Envelope" {...register('envelope')}>
              {isFromNothing ? (
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
  );
}

function ThreadFields({ of, fields }: KindFieldsProps) {
  const { setValue } = of;
  const { text, select } = createFieldMakers(of);
  const holders = HOLDER_FIGURES.map((one) => one.id);
  return (
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
        {select('spool', 'Wound on', holders, wordHolder)}
        {text('count', 'How many')}
      </Pair>
      {text('length', 'Length on all of them', 'Empty: not measured; the ticket weighs it')}
    </>
  );
}

/** Of a notion, a tool or anything else: what it is, and how much of it. */
function TypeFields({ of, fields }: KindFieldsProps) {
  const { text, hint } = createFieldMakers(of);
  const isTape = goesByLength(fields);
  const isNotion = fields.kind === 'notion';
  const figures = findType(fields.type, fields.kind);
  const sizeHint = figures?.sizeIs === 'length' ? hint('20 cm', '8 in') : 'As it is called by';
  return (
    <>
      <datalist id="types">
        {TYPE_FIGURES.filter((one) => one.kind === fields.kind).map((one) => (
          <option key={one.type} value={one.type} />
        ))}
      </datalist>
      <Pair>
        {text('type', 'Type', fields.kind === 'tool' ? 'Such as ruler' : 'Such as zips', 'types')}
        {isTape ? text('tapeWidth', 'Width', hint('25 mm', '1 in')) : text('size', 'Size', sizeHint)}
      </Pair>
      <Pair>
        {isTape ? text('length', 'Length', hint('3.4 m', '2 1/2 yd')) : null}
        {text('count', isTape ? 'Reels' : isNotion ? 'Packets' : 'Pieces')}
        {isNotion && !isTape && text('units', 'Pieces in all', 'Empty: not counted')}
      </Pair>
    </>
  );
}

/** What is as large as its box: the outer size, the weight, and whether it gives way. */
function BoxFields({ of, fields }: KindFieldsProps) {
  const { text, hint } = createFieldMakers(of);
  const isTape = goesByLength(fields);
  const isUsual = findType(fields.type, fields.kind) !== null;
  const size = (metric: string, imperial: string) => (isUsual ? 'Empty: as usual' : hint(metric, imperial));
  return (
    <>
      {!isTape && (
        <Pair>
          {text('boxWidth', 'Width', size('12 cm', '4 3/4 in'))}
          {text('boxDepth', 'Depth', size('3 cm', '1 1/4 in'))}
          {text('boxHeight', 'Height', size('20 cm', '8 in'))}
          {text('mass', 'Weight of one', `${hint('120 g', '4 oz')}; empty: as usual`)}
        </Pair>
      )}
      {fields.kind === 'tool' && text('hole', 'Hang hole', `${hint('8 mm', '3/8 in')}; empty: as usual`)}
      {!isTape && <CheckField label="Soft, takes any shape" {...of.register('isSoft')} />}
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
    </>
  );
}
