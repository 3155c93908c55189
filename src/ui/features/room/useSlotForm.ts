import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import {
  dropAbsent,
  parseRecord,
  type ContainerSpec,
  type Light,
  type Opening,
  type Place,
  type PlaceId,
  type SlotSpec,
} from '../../../core/records/index.ts';
import { checkContainers, formatPlaceName, standTogether } from '../../../core/storage/index.ts';
import { formatMass, parseMassG, type UnitSystem } from '../../../core/units/index.ts';
import { useApp, world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { follow } from '../../state/follow.ts';
import { useBegan } from '../../state/began.ts';
import { getTree } from '../../state/derived.ts';
import { readBinFields, toBinFields, type BinFields } from './binFields.ts';
import { wordAmountFault } from '../../text/index.ts';
import { wordRecordFaults } from '../../text/recordFaults.ts';
import { wordContainerFault, wordDisturbance } from '../../text/roomFaults.ts';
import { createSavePlaces, findDisturbance } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

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

function toSlotFields(place: Place, slot: SlotSpec, bins: readonly Place[], units: UnitSystem): SlotFields {
  return {
    opening: slot.opening,
    light: slot.light,
    load: formatMass(slot.loadG, units),
    isDustProof: slot.isDustProof,
    isPetProof: slot.isPetProof,
    isChildSafe: slot.isChildSafe,
    isNearHeat: slot.isNearHeat,
    isSeeThrough: slot.isSeeThrough,
    name: place.name,
    bins: bins.map((bin) => toBinFields(bin.id, bin.name, bin.container!, units)),
  };
}

/** The compartment and its bins as typed; what does not read, by its field; what else is wrong, in words. */
function readSlotFields(
  { bins: typed, load, name, ...marks }: SlotFields,
  place: Place,
  slot: SlotSpec,
  present: readonly Place[],
  units: UnitSystem,
) {
  const faults = new Map<string, string>();
  const isMetric = units === 'metric';
  const readMass = (path: string, text: string, before: number): number => {
    if (text === formatMass(before, units)) return before;
    const parsed = parseMassG(text, isMetric ? 'kg' : 'oz');
    if (!parsed.ok) faults.set(path, wordAmountFault(parsed.fault, isMetric ? '9 kg' : '20 lb'));
    return parsed.ok ? parsed.value : 0;
  };
  if (name.trim() === '') faults.set('name', t('Give it a name, such as Top shelf.'));
  const next: Place & { slot: SlotSpec } = {
    ...place,
    name: name.trim(),
    slot: { ...slot, ...marks, loadG: readMass('load', load, slot.loadG) },
  };
  const bins = typed.map((bin, i): Place & { container: ContainerSpec } => {
    const before = present.find((one) => one.id === bin.placeId);
    const { container, faults: wrong } = readBinFields(bin, before, units);
    for (const [field, words] of Object.entries(wrong)) faults.set(`bins.${i}.${field}`, words);
    return {
      ...(before ?? { id: bin.placeId as PlaceId, parentId: place.id, level: 'container' }),
      name: bin.name.trim(),
      order: i,
      container,
    };
  });
  const stood = standTogether(
    next.slot,
    bins.map((bin) => bin.container),
  );
  // What only goes in turned, or in another corner, stands so.
  const standing = bins.map((bin, i) => ({ ...bin, container: stood?.[i] ?? bin.container }));
  const turned = standing.filter(({ container }, i) => container.at?.isTurned && !bins[i]!.container.at?.isTurned);
  return {
    slot: next,
    bins: standing,
    turned: turned.map(({ name: bin }) => bin),
    faults,
    problem: faults.size === 0 ? findProblem(next, standing, place.name, units) : null,
  };
}

/** Bins that do not stand in it together, or a record that breaks a rule. */
function findProblem(
  next: Place & { slot: SlotSpec },
  bins: readonly (Place & { container: ContainerSpec })[],
  slotName: string,
  units: UnitSystem,
): string | null {
  const tight = checkContainers(
    next.slot,
    bins.map((bin) => bin.container),
  );
  if (tight)
    return wordContainerFault(
      tight,
      bins.map((bin) => bin.name),
      slotName,
      units,
    );
  const broken = [next, ...bins].flatMap((one) => {
    const parsed = parseRecord('places', dropAbsent(one));
    return parsed.ok ? [] : [wordRecordFaults(parsed.fault, units)];
  });
  return broken[0] ?? null;
}

/** A compartment as its form has it: what is typed, what of it does not read, and how it is saved. */
export function useSlotForm(slotId: PlaceId) {
  const [household] = useBegan();
  const { units } = household.settings;
  const tree = getTree(household);
  const slotPlace = tree.places.get(slotId);
  const show = useApp((state) => state.show);
  const [warned, setWarned] = useState<string | null>(null);
  const [isTried, setTried] = useState(false);
  const present = slotPlace ? tree.getChildren(slotPlace.id) : [];
  const { register, control, watch, handleSubmit } = useForm<SlotFields>({
    defaultValues: slotPlace?.slot ? toSlotFields(slotPlace, slotPlace.slot, present, units) : undefined,
  });
  const bins = useFieldArray({ control, name: 'bins' });
  const fields = watch();
  if (!slotPlace?.slot) return null;
  const {
    slot: next,
    bins: nextBins,
    turned,
    faults,
    problem,
  } = readSlotFields(fields, slotPlace, slotPlace.slot, present, units);

  /** Bins that stand there already keep their names and what is in them; the rest are new. */
  const take = (kinds: readonly ContainerSpec[]) =>
    bins.replace(
      kinds.map((box, i) =>
        toBinFields(
          fields.bins[i]?.placeId ?? world.createId(),
          fields.bins[i]?.name ?? t('Bin {number}', { number: i + 1 }),
          box,
          units,
        ),
      ),
    );
  const save = async () => {
    setTried(true);
    if (faults.size > 0 || problem !== null) return;
    const removed = present.filter((bin) => !fields.bins.some((one) => one.placeId === bin.id));
    const saved = [next, ...nextBins];
    const words = wordDisturbance(findDisturbance(household, saved, removed), tree);
    if (words !== null && warned !== words) {
      setWarned(words);
      return;
    }
    const name = formatPlaceName(tree, slotId);
    await follow(
      edit(household, (from) => createSavePlaces(from, name, saved, removed, world.nowMs())),
      { type: 'place', id: nextBins[0]?.id ?? slotId },
    );
  };
  return {
    slotPlace,
    slot: slotPlace.slot,
    title: formatPlaceName(tree, slotId),
    units,
    bins,
    register,
    take,
    problem,
    turned,
    warned,
    faultOf: (path: string) => (isTried ? faults.get(path) : undefined),
    leave: () => show({ type: 'place', id: present[0]?.id ?? slotId }),
    onSend: () => handleSubmit(save)(),
  };
}
