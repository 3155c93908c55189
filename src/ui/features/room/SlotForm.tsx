import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import {
  LIGHTS,
  OPENINGS,
  dropAbsent,
  parseRecord,
  type ContainerSpec,
  type Light,
  type Opening,
  type Place,
  type PlaceId,
} from '../../../core/records/index.ts';
import { checkContainers, formatPlaceName } from '../../../core/storage/index.ts';
import { formatMass, formatSizes, parseMassG } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { useApp, world } from '../../state/app.ts';
import { useBegan } from '../../state/began.ts';
import { getTree } from '../../state/derived.ts';
import { SaveFoot } from './SaveFoot.tsx';
import { BinFieldset } from './BinFieldset.tsx';
import { createBinFields, readBinFields, toBinFields, type BinFields } from './binFields.ts';
import { WhichBins } from './WhichBins.tsx';
import { capitalise, wordAmountFault, wordLight, wordOpening, wordRecordFault } from '../../text/index.ts';
import { wordContainerFault, wordDisturbance } from '../../text/roomFaults.ts';
import { createSavePlaces, findDisturbance } from '../../../core/acts/index.ts';

interface SlotFields {
  name: string;
  opening: Opening;
  light: Light;
  load: string;
  isDustProof: boolean;
  isPetProof: boolean;
  isChildSafe: boolean;
  isNearHeat: boolean;
  isSeeThrough: boolean;
  bins: BinFields[];
}

/** What a compartment is like, what it carries, and the bins that stand in it. */
export function SlotForm({ slotId }: { slotId: PlaceId }) {
  const [household] = useBegan();
  const { units } = household.settings;
  const tree = getTree(household);
  const slotPlace = tree.places.get(slotId);
  const edit = useApp((state) => state.edit);
  const show = useApp((state) => state.show);
  const [warned, setWarned] = useState<string | null>(null);
  const [isTried, setTried] = useState(false);
  const slot = slotPlace?.slot;
  const present = slotPlace ? tree.getChildren(slotPlace.id) : [];
  const { register, control, watch, handleSubmit } = useForm<SlotFields>({
    defaultValues: slot
      ? {
          opening: slot.opening,
          light: slot.light,
          load: formatMass(slot.loadG, units),
          isDustProof: slot.isDustProof,
          isPetProof: slot.isPetProof,
          isChildSafe: slot.isChildSafe,
          isNearHeat: slot.isNearHeat,
          isSeeThrough: slot.isSeeThrough,
          name: slotPlace?.name ?? '',
          bins: present.map((bin) => toBinFields(bin.id, bin.name, bin.container!, units)),
        }
      : undefined,
  });
  const bins = useFieldArray({ control, name: 'bins' });
  const fields = watch();
  if (!slotPlace || !slot) return <p className="text-stone">That place is no longer in the room.</p>;

  const faults = new Map<string, string>();
  const isMetric = units === 'metric';
  const readMass = (path: string, text: string, before: number | undefined): number => {
    if (before !== undefined && text === formatMass(before, units)) return before;
    const parsed = parseMassG(text, isMetric ? 'kg' : 'oz');
    if (!parsed.ok) faults.set(path, wordAmountFault(parsed.fault, isMetric ? '9 kg' : '20 lb'));
    return parsed.ok ? parsed.value : 0;
  };
  const { bins: typed, load, name: slotName, ...marks } = fields;
  if (slotName.trim() === '') faults.set('name', 'Give it a name, such as Top shelf.');
  const nextSlot: Place = {
    ...slotPlace,
    name: slotName.trim(),
    slot: { ...slot, ...marks, loadG: readMass('load', load, slot.loadG) },
  };
  const nextBins = typed.map((bin, i): Place => {
    const before = present.find((one) => one.id === bin.placeId);
    const { container, faults: wrong } = readBinFields(bin, before, units);
    for (const [field, words] of Object.entries(wrong)) faults.set(`bins.${i}.${field}`, words);
    return {
      ...(before ?? { id: bin.placeId as PlaceId, parentId: slotId, level: 'container' }),
      name: bin.name.trim(),
      order: i,
      container,
    };
  });
  let problem: string | null = null;
  if (faults.size === 0) {
    const tight = checkContainers(
      nextSlot.slot!,
      nextBins.map((bin) => bin.container!),
    );
    const broken = [nextSlot, ...nextBins].flatMap((place) => {
      const parsed = parseRecord('places', dropAbsent(place));
      return parsed.ok ? [] : parsed.fault.map(wordRecordFault);
    });
    if (tight)
      problem = wordContainerFault(
        tight,
        nextBins.map((bin) => bin.name),
        slotPlace.name,
        units,
      );
    else problem = broken[0] ?? null;
  }
  const faultOf = (path: string) => (isTried ? faults.get(path) : undefined);

  /** Bins that stand there already keep their names and what is in them; the rest are new. */
  const take = (kinds: readonly ContainerSpec[]) =>
    bins.replace(
      kinds.map((box, i) =>
        toBinFields(typed[i]?.placeId ?? world.createId(), typed[i]?.name ?? `Bin ${i + 1}`, box, units),
      ),
    );

  const save = async () => {
    setTried(true);
    if (faults.size > 0 || problem !== null) return;
    const removed = present.filter((bin) => !typed.some((one) => one.placeId === bin.id));
    const saved = [nextSlot, ...nextBins];
    const words = wordDisturbance(findDisturbance(household, saved, removed), tree);
    if (words !== null && warned !== words) {
      setWarned(words);
      return;
    }
    const name = formatPlaceName(tree, slotId);
    const isDone = await edit(household, (from) => createSavePlaces(from, name, saved, removed, world.nowMs()));
    const leaf = nextBins[0]?.id ?? slotId;
    if (isDone) show({ type: 'place', id: leaf });
  };

  return (
    <form
      noValidate
      aria-label={`Edit ${slotPlace.name}`}
      className="space-y-3"
      onSubmit={(event) => void handleSubmit(save)(event)}
    >
      <h2 className="font-display text-[21px] leading-tight font-semibold">{formatPlaceName(tree, slotId)}</h2>
      <dl>
        <Row name="Inside">{formatSizes([slot.widthMm, slot.depthMm, slot.heightMm], units)}</Row>
      </dl>
      <TextField label="Name" of="places.name" fault={faultOf('name')} {...register('name')} />
      <div className="grid grid-cols-2 items-start gap-3">
        <SelectField label="Opens" {...register('opening')}>
          {OPENINGS.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordOpening(one))}
            </option>
          ))}
        </SelectField>
        <SelectField label="Light" {...register('light')}>
          {LIGHTS.map((one) => (
            <option key={one} value={one}>
              {capitalise(wordLight(one))}
            </option>
          ))}
        </SelectField>
      </div>
      <TextField label="Carries" fault={faultOf('load')} {...register('load')} />
      <div>
        <CheckField label="See-through" {...register('isSeeThrough')} />
        <CheckField label="Keeps dust out" {...register('isDustProof')} />
        <CheckField label="Keeps pets out" {...register('isPetProof')} />
        <CheckField label="Out of reach of children" {...register('isChildSafe')} />
        <CheckField label="Next to something hot" {...register('isNearHeat')} />
      </div>
      <h3 className="stitched-t pt-3 font-bold">Bins in it</h3>
      <WhichBins slot={slot} onTake={take} />
      {bins.fields.map((bin, i) => (
        <fieldset key={bin.id} className="space-y-2 border-l-4 border-thread pl-3">
          <legend className="sr-only">{`Bin ${i + 1}`}</legend>
          <BinFieldset index={i} register={register} faultOf={(field) => faultOf(`bins.${i}.${field}`)} />
          <Button look="quiet" onClick={() => bins.remove(i)}>
            Take this bin away
          </Button>
        </fieldset>
      ))}
      <Button
        className="w-full"
        onClick={() =>
          bins.append(createBinFields(world.createId(), [slot.widthMm, slot.depthMm, slot.heightMm], units))
        }
      >
        Put a bin in
      </Button>
      <SaveFoot
        problem={problem}
        warned={warned}
        leave="Leave it"
        onLeave={() => show({ type: 'place', id: present[0]?.id ?? slotId })}
      />
    </form>
  );
}
