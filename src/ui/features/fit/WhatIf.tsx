import { useState } from 'react';
import type { PlaceId } from '../../../core/records/index.ts';
import { formatClothLength, parseLengthMm } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { SelectField, TextField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { useGroups } from '../../state/groups.ts';
import { wordAmountFault, wordGroup } from '../../text/index.ts';
import { useFitRun } from './fitRun.ts';
import { withMoreCloth, withoutPlace } from '../../../core/suppose/index.ts';
import { t } from '../../language/index.ts';

/** More cloth than this is no question of where to put it. */
const MOST_MM = 500_000;

/** Asks how things would fit in a household that is not: without a piece, or with more of a cloth. */
export function WhatIf() {
  const household = useHousehold();
  const startSupposed = useFitRun((state) => state.startSupposed);
  const startFree = useFitRun((state) => state.startFree);
  const tree = getTree(household);
  const groups = useGroups(household).filter((group) => group.kind === 'fabric');
  const pieces = tree.rooms.flatMap((room) => [
    { value: room.id as string, label: t('everything in {room}', { room: room.name }) },
    ...tree.getChildren(room.id).map((unit) => ({ value: unit.id as string, label: unit.name })),
  ]);
  const { units } = household.settings;
  const example = units === 'metric' ? t('20 m') : t('20 yd');
  const [piece, setPiece] = useState('');
  const [group, setGroup] = useState('');
  const [amount, setAmount] = useState(example);
  const length = parseLengthMm(amount, units === 'metric' ? 'm' : 'yd');
  const fault = !length.ok
    ? wordAmountFault(length.fault, example)
    : length.value <= 0 || length.value > MOST_MM
      ? t('More than 0 and at most {clothLength}, please.', { clothLength: formatClothLength(MOST_MM, units) })
      : undefined;
  const kin = groups.find((one) => one.id === group) ?? groups[0];
  const gone = pieces.some((one) => one.value === piece) ? piece : pieces[1]?.value;
  if (!gone) return null;
  return (
    <section aria-label={t('What if')} className="stitched-t mt-4 pt-3">
      <h3 className="font-bold">{t('What if')}</h3>
      <p className="text-sm text-stone">{t('Found from how things are, with few moves. Nothing is changed.')}</p>
      <div className="mt-1 grid grid-cols-[1fr_auto] items-end gap-2">
        <SelectField label={t('this were gone')} value={gone} onChange={(event) => setPiece(event.target.value)}>
          {pieces.map((one) => (
            <option key={one.value} value={one.value}>
              {one.label}
            </option>
          ))}
        </SelectField>
        <Button
          onClick={() => {
            const name = pieces.find((one) => one.value === gone)!.label;
            startSupposed(withoutPlace(household, gone as PlaceId), t('Without {name}', { name }));
          }}
        >
          {t('Try')}
        </Button>
      </div>
      {kin && (
        <div className="mt-2 grid grid-cols-[6.5rem_1fr_auto] items-end gap-2">
          <TextField
            label={t('so much more')}
            value={amount}
            aria-invalid={fault !== undefined}
            aria-describedby={fault === undefined ? undefined : 'more-fault'}
            onChange={(event) => setAmount(event.target.value)}
          />
          <SelectField label={t('of cloth like')} value={kin.id} onChange={(event) => setGroup(event.target.value)}>
            {groups.map((one) => (
              <option key={one.id} value={one.id}>
                {wordGroup(one, household)}
              </option>
            ))}
          </SelectField>
          <Button
            aria-label={t('Try with more cloth')}
            disabled={!length.ok || fault !== undefined}
            onClick={() => {
              const more = length.ok ? withMoreCloth(household, kin, length.value) : null;
              if (more)
                startSupposed(more, t('With {amount} more of {group}', { amount, group: wordGroup(kin, household) }));
            }}
          >
            {t('Try')}
          </Button>
          {fault !== undefined && (
            <p id="more-fault" role="alert" className="col-span-3 text-sm font-semibold text-madder">
              {fault}
            </p>
          )}
        </div>
      )}
      <Button className="mt-3 w-full" onClick={() => startFree(household)}>
        {t('Which containers could be freed?')}
      </Button>
    </section>
  );
}
