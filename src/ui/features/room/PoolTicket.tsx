import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { dropAbsent, parseRecord, type Place, type PlaceId } from '../../../core/records/index.ts';
import { formatPlaceName } from '../../../core/storage/index.ts';
import { formatSizes } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { act, edit } from '../../state/hands.ts';
import { getTree } from '../../state/derived.ts';
import { useRebuild } from '../../state/rebuild.ts';
import { capitalise } from '../../text/index.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import { wordContainerKind } from '../../text/roomFaults.ts';
import { BinFieldset } from './BinFieldset.tsx';
import { createBinFields, readBinFields, type BinFields } from './binFields.ts';
import { SaveFoot } from './SaveFoot.tsx';
import { createSavePlaces } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

/** A first guess at a bin of which nothing is known, mm. */
const USUAL_OPENING = [330, 370, 250] as const;

/** Every bin of the household: those that stand idle, those in use and where, those that are retired. */
export function PoolTicket() {
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const show = useApp((state) => state.show);
  const [isAdding, setAdding] = useState(false);
  const save = (bin: Place) => edit(household, (from) => createSavePlaces(from, bin.name, [bin], [], world.nowMs()));
  const remove = (bin: Place) => act((now) => createSavePlaces(now, bin.name, [], [bin], world.nowMs()));
  const setRetired = (bin: Place, isRetired: boolean) => {
    const { isRetired: _old, ...plain } = bin.container!;
    void save({ ...bin, container: isRetired ? { ...plain, isRetired } : plain });
  };
  const idle = tree.pool.filter((bin) => !bin.container!.isRetired);
  const retired = tree.pool.filter((bin) => bin.container!.isRetired);
  const used = tree.leaves.filter((place) => place.container);
  const describe = ({ container }: Place) => {
    const { kind, outerWidthMm, outerDepthMm, outerHeightMm } = container!;
    return `${capitalise(wordContainerKind(kind))}, ${formatSizes([outerWidthMm, outerDepthMm, outerHeightMm], units)}`;
  };
  if (isAdding) return <NewBin order={tree.pool.length} onDone={() => setAdding(false)} onSave={save} />;
  return (
    <>
      <h2 className="font-display text-[21px] font-semibold">{t('All bins')}</h2>
      <h3 className="mt-3 font-bold">{t('Idle')}</h3>
      {idle.length === 0 && <p className="text-stone">{t('None. A bin that is taken out of its place waits here.')}</p>}
      <ul>
        {idle.map((bin) => (
          <li key={bin.id} className="dotted-row py-1">
            <span className="font-semibold">{bin.name}</span>
            <span className="block text-sm text-stone">{describe(bin)}</span>
            <span className="flex gap-x-4">
              <Button
                look="quiet"
                onClick={() => useRebuild.setState({ isOn: true, carriedId: bin.id, words: '', isGood: true })}
              >
                {t('Put it somewhere')}
              </Button>
              <Button look="quiet" onClick={() => setRetired(bin, true)}>
                {t('Retire it')}
              </Button>
            </span>
          </li>
        ))}
      </ul>
      <Button className="mt-2 w-full" onClick={() => setAdding(true)}>
        {t('Add a bin to the idle ones')}
      </Button>
      <h3 className="mt-4 font-bold">{t('In use')}</h3>
      {used.length === 0 && <p className="text-stone">{t('None yet.')}</p>}
      <ul>
        {used.map((bin) => (
          <li key={bin.id} className="dotted-row">
            <button
              type="button"
              className="min-h-11 w-full py-1 text-left hover:bg-linen md:min-h-9"
              onClick={() => show({ type: 'place', id: bin.id })}
            >
              {formatPlaceName(tree, bin.id)}
              <span className="block text-sm text-stone">{describe(bin)}</span>
            </button>
          </li>
        ))}
      </ul>
      {retired.length > 0 && (
        <>
          <h3 className="mt-4 font-bold">{t('Retired')}</h3>
          <ul>
            {retired.map((bin) => (
              <li key={bin.id} className="dotted-row py-1">
                <s>{bin.name}</s>
                <span className="block text-sm text-stone">{describe(bin)}</span>
                <span className="flex gap-x-4">
                  <Button look="quiet" onClick={() => setRetired(bin, false)}>
                    {t('It is good again')}
                  </Button>
                  <Button look="quiet" onClick={() => void remove(bin)}>
                    {t('Strike it off')}
                  </Button>
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

interface NewBinProps {
  readonly order: number;
  readonly onDone: () => void;
  readonly onSave: (bin: Place) => Promise<boolean>;
}

function NewBin({ order, onDone, onSave }: NewBinProps) {
  const { units } = useHousehold().settings;
  const [isTried, setTried] = useState(false);
  const { register, watch, handleSubmit } = useForm<{ bins: BinFields[] }>({
    defaultValues: { bins: [createBinFields(world.createId(), USUAL_OPENING, units)] },
  });
  const fields = watch('bins.0');
  const { container, faults } = readBinFields(fields, undefined, units);
  const bin: Place = {
    id: fields.placeId as PlaceId,
    parentId: undefined,
    level: 'container',
    name: fields.name.trim(),
    order,
    container,
  };
  const isRead = Object.keys(faults).length === 0;
  const broken = isRead ? parseRecord('places', dropAbsent(bin)) : null;
  const problem = broken && !broken.ok ? wordRecordFaults(broken.fault, units) : null;
  const save = async () => {
    setTried(true);
    if (isRead && problem === null && (await onSave(bin))) onDone();
  };
  return (
    <Form aria-label={t('New bin')} className="space-y-3" onSend={() => handleSubmit(save)()}>
      <h2 className="font-display text-[21px] font-semibold">{t('A bin that stands idle')}</h2>
      <BinFieldset index={0} register={register} faultOf={(field) => (isTried ? faults[field] : undefined)} />
      <SaveFoot problem={problem} warned={null} leave={t('Leave it')} onLeave={onDone} isLeftByEscape />
    </Form>
  );
}
