import type { UseFormRegister } from 'react-hook-form';
import { CONTAINER_KINDS } from '../../../core/records/index.ts';
import { CheckField, SelectField, TextField } from '../../components/fields.tsx';
import { capitalise } from '../../text/index.ts';
import { wordContainerKind } from '../../text/roomFaults.ts';
import type { BinFields } from './binFields.ts';
import { t } from '../../language/index.ts';

interface BinFieldsetProps<T extends { bins: BinFields[] }> {
  readonly index: number;
  readonly register: UseFormRegister<T>;
  readonly faultOf: (field: keyof BinFields) => string | undefined;
}

/** The fields of one bin in a form of several. */
export function BinFieldset<T extends { bins: BinFields[] }>({ index, register, faultOf }: BinFieldsetProps<T>) {
  const at = (field: keyof BinFields) => register(`bins.${index}.${field}` as Parameters<typeof register>[0]);
  const text = (field: keyof BinFields, label: string) => (
    <TextField label={label} fault={faultOf(field)} {...at(field)} />
  );
  return (
    <>
      {text('name', t('Name of the bin'))}
      <div className="grid grid-cols-2 items-start gap-2">
        <SelectField label={t('What it is')} {...at('kind')}>
          {CONTAINER_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {capitalise(wordContainerKind(kind))}
            </option>
          ))}
        </SelectField>
        {text('load', t('Carries'))}
        {text('width', t('Outer width'))}
        {text('depth', t('Outer depth'))}
        {text('height', t('Outer height'))}
        <div className="grid grid-cols-2 gap-2">
          {text('across', t('Cells across'))}
          {text('deep', t('Cells deep'))}
        </div>
      </div>
      <CheckField label={t('Has a lid')} {...at('hasLid')} />
      <CheckField label={t('See-through')} {...at('isSeeThrough')} />
    </>
  );
}
