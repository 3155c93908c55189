import { LIGHTS, OPENINGS, type PlaceId } from '../../../core/records/index.ts';
import { formatSizes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { world } from '../../state/app.ts';
import { SaveFoot } from './SaveFoot.tsx';
import { BinFieldset } from './BinFieldset.tsx';
import { createBinFields } from './binFields.ts';
import { useSlotForm } from './useSlotForm.ts';
import { WhichBins } from './WhichBins.tsx';
import { capitalise, wordLight, wordOpening } from '../../text/index.ts';
import { t } from '../../language/index.ts';
import { joinAnd } from '../../text/grammar.ts';

/** What a compartment is like, what it carries, and the bins that stand in it. */
export function SlotForm({ slotId }: { slotId: PlaceId }) {
  const form = useSlotForm(slotId);
  if (!form) return <p className="text-stone">{t('That place is no longer in the room.')}</p>;
  const { slotPlace, slot, title, units, bins, register, faultOf } = form;
  return (
    <Form aria-label={t('Edit {slotPlace}', { slotPlace: slotPlace.name })} className="space-y-3" onSend={form.onSend}>
      <h2 className="font-display text-[21px] leading-tight font-semibold">{title}</h2>
      <dl>
        <Row name={t('Inside')}>{formatSizes([slot.widthMm, slot.depthMm, slot.heightMm], units)}</Row>
      </dl>
      <TextField label={t('Name')} of="places.name" fault={faultOf('name')} {...register('name')} />
      <div className="grid grid-cols-2 items-start gap-3">
        <SelectField label={t('Opens')} {...register('opening')}>
          {OPENINGS.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordOpening(one))}
            </option>
          ))}
        </SelectField>
        <SelectField label={t('Light')} {...register('light')}>
          {LIGHTS.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordLight(one))}
            </option>
          ))}
        </SelectField>
      </div>
      <TextField label={t('Carries')} fault={faultOf('load')} {...register('load')} />
      <div>
        <CheckField label={t('See-through')} {...register('isSeeThrough')} />
        <CheckField label={t('Keeps dust out')} {...register('isDustProof')} />
        <CheckField label={t('Keeps pets out')} {...register('isPetProof')} />
        <CheckField label={t('Out of reach of children')} {...register('isChildSafe')} />
        <CheckField label={t('Next to something hot')} {...register('isNearHeat')} />
      </div>
      <h3 className="stitched-t pt-3 font-bold">{t('Bins in it')}</h3>
      <WhichBins slot={slot} onTake={form.take} />
      {bins.fields.map((bin, i) => (
        <fieldset key={bin.id} className="space-y-2 border-l-4 border-thread pl-3">
          <legend className="sr-only">{t('Bin {number}', { number: i + 1 })}</legend>
          <BinFieldset index={i} register={register} faultOf={(field) => faultOf(`bins.${i}.${field}`)} />
          <Button look="quiet" onClick={() => bins.remove(i)}>
            {t('Take this bin away')}
          </Button>
        </fieldset>
      ))}
      <Button
        className="w-full"
        onClick={() =>
          bins.append(createBinFields(world.createId(), [slot.widthMm, slot.depthMm, slot.heightMm], units))
        }
      >
        {t('Put a bin in')}
      </Button>
      {form.problem === null && form.turned.length > 0 && (
        <p role="status" className="border-l-4 border-woad bg-linen px-3 py-1 text-sm">
          {t('{bins} only {count, plural, one {goes} other {go}} in turned, the narrow side to the front.', {
            bins: joinAnd(form.turned),
            count: form.turned.length,
          })}
        </p>
      )}
      <SaveFoot problem={form.problem} warned={form.warned} leave={t('Leave it')} onLeave={form.leave} />
    </Form>
  );
}
