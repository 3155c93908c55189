import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import {
  LIGHTS,
  OPENINGS,
  parseRecord,
  type ContainerSpec,
  type Light,
  type Opening,
  type Place,
  type PlaceId,
} from '../../../core/records/index.ts';
import { checkContainers, formatPlaceName } from '../../../core/storage/index.ts';
import { USUAL_BIN } from '../../../core/storage/parts.ts';
import { createSavePlaces, findDisturbance } from '../../../core/tracking/placeActs.ts';
import { formatMass, formatSize, formatSizes, parseLengthMm, parseMassG } from '../../../core/units/index.ts';
import { Button } from '../../components/Button.tsx';
import { CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { useApp, useHousehold, world } from '../../state/app.ts';
import { getTree } from '../../state/derived.ts';
import { SaveFoot } from './SaveFoot.tsx';
import { WhichBins } from './WhichBins.tsx';
import { capitalise, wordAmountFault, wordLight, wordOpening, wordRecordFault } from '../../text/index.ts';
import { wordContainerFault, wordDisturbance } from '../../text/roomFaults.ts';

interface BinFields {
  placeId: string;
  name: string;
  width: string;
  depth: string;
  height: string;
  load: string;
  hasLid: boolean;
  isSeeThrough: boolean;
  at: ContainerSpec['at'];
}

interface SlotFields {
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
  const household = useHousehold();
  const { units } = household.settings;
  const tree = getTree(household);
  const slotPlace = tree.places.get(slotId);
  const act = useApp((state) => state.act);
  const show = useApp((state) => state.show);
  const [warned, setWarned] = useState<string | null>(null);
  const [isTried, setTried] = useState(false);
  const size = (mm: number) => formatSize(mm, units);
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
          bins: present.map((bin) => ({
            placeId: bin.id,
            name: bin.name,
            width: size(bin.container!.outerWidthMm),
            depth: size(bin.container!.outerDepthMm),
            height: size(bin.container!.outerHeightMm),
            load: formatMass(bin.container!.loadG, units),
            hasLid: bin.container!.hasLid,
            isSeeThrough: bin.container!.isSeeThrough,
            at: bin.container!.at ?? null,
          })),
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
  const readSize = (path: string, text: string, before: number | undefined): number => {
    if (before !== undefined && text === size(before)) return before;
    const parsed = parseLengthMm(text, isMetric ? 'cm' : 'in');
    const example = isMetric ? '31 cm' : '12 in';
    if (!parsed.ok) faults.set(path, wordAmountFault(parsed.fault, example));
    else if (parsed.value === 0) faults.set(path, wordAmountFault({ code: 'zero', text }, example));
    return parsed.ok ? parsed.value : 0;
  };
  const { bins: typed, load, ...marks } = fields;
  const nextSlot: Place = { ...slotPlace, slot: { ...slot, ...marks, loadG: readMass('load', load, slot.loadG) } };
  const nextBins = typed.map((bin, i): Place => {
    const before = present.find((one) => one.id === bin.placeId);
    const box = before?.container;
    if (bin.name.trim() === '') faults.set(`bins.${i}.name`, 'Give it a name, such as Lining bin.');
    return {
      ...(before ?? { id: bin.placeId as PlaceId, parentId: slotId, level: 'container' }),
      name: bin.name.trim(),
      order: i,
      container: {
        ...(box ?? USUAL_BIN),
        outerWidthMm: readSize(`bins.${i}.width`, bin.width, box?.outerWidthMm),
        outerDepthMm: readSize(`bins.${i}.depth`, bin.depth, box?.outerDepthMm),
        outerHeightMm: readSize(`bins.${i}.height`, bin.height, box?.outerHeightMm),
        loadG: readMass(`bins.${i}.load`, bin.load, box?.loadG),
        hasLid: bin.hasLid,
        isSeeThrough: bin.isSeeThrough,
        ...(bin.at && { at: bin.at }),
      },
    };
  });
  let problem: string | null = null;
  if (faults.size === 0) {
    const tight = checkContainers(
      nextSlot.slot!,
      nextBins.map((bin) => bin.container!),
    );
    const broken = [nextSlot, ...nextBins].flatMap((place) => {
      const parsed = parseRecord('places', place);
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
      kinds.map((box, i) => ({
        placeId: typed[i]?.placeId ?? world.createId(),
        name: typed[i]?.name ?? `Bin ${i + 1}`,
        width: size(box.outerWidthMm),
        depth: size(box.outerDepthMm),
        height: size(box.outerHeightMm),
        load: formatMass(box.loadG, units),
        hasLid: box.hasLid,
        isSeeThrough: box.isSeeThrough,
        at: box.at ?? null,
      })),
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
    const isDone = await act((now) => createSavePlaces(now, name, saved, removed, world.nowMs()));
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
          <TextField label="Name of the bin" fault={faultOf(`bins.${i}.name`)} {...register(`bins.${i}.name`)} />
          <div className="grid grid-cols-2 items-start gap-2">
            <TextField label="Outer width" fault={faultOf(`bins.${i}.width`)} {...register(`bins.${i}.width`)} />
            <TextField label="Outer depth" fault={faultOf(`bins.${i}.depth`)} {...register(`bins.${i}.depth`)} />
            <TextField label="Outer height" fault={faultOf(`bins.${i}.height`)} {...register(`bins.${i}.height`)} />
            <TextField label="Carries" fault={faultOf(`bins.${i}.load`)} {...register(`bins.${i}.load`)} />
          </div>
          <CheckField label="Has a lid" {...register(`bins.${i}.hasLid`)} />
          <CheckField label="See-through" {...register(`bins.${i}.isSeeThrough`)} />
          <Button look="quiet" onClick={() => bins.remove(i)}>
            Take this bin away
          </Button>
        </fieldset>
      ))}
      <Button
        className="w-full"
        onClick={() =>
          bins.append({
            placeId: world.createId(),
            name: '',
            width: size(Math.max(50, slot.widthMm - 12)),
            depth: size(Math.max(50, slot.depthMm - 12)),
            height: size(Math.max(50, slot.heightMm - 20)),
            load: formatMass(USUAL_BIN.loadG, units),
            hasLid: false,
            isSeeThrough: false,
            at: null,
          })
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
