import { useEffect, useState, type ReactNode } from 'react';
import { useForm, type UseFormRegister } from 'react-hook-form';
import type { Household, OwnPart, Place, PlaceId, Station, UnitSpec } from '../../../core/records/index.ts';
import { isTippy } from '../../../core/room/index.ts';
import { findFreeX, findWall, isWholeUnit, fromOwnPart, toOwnPart, PARTS } from '../../../core/storage/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { CheckField, Row, SelectField, TextField } from '../../components/fields.tsx';
import { useApp, world } from '../../state/app.ts';
import { act, edit } from '../../state/hands.ts';
import { follow } from '../../state/follow.ts';
import { useBegan } from '../../state/began.ts';
import { getTree, getWalls } from '../../state/derived.ts';
import { StationChecks } from '../../components/StationChecks.tsx';
import { InnerMeasures } from './InnerMeasures.tsx';
import { SaveFoot } from './SaveFoot.tsx';
import { capitalise } from '../../text/index.ts';
import { wordDisturbance } from '../../text/roomFaults.ts';
import { wordPart } from '../../text/room.ts';
import { computeUnitChange } from './unitChange.ts';
import { createUnitFields, readUnitFields, toUnitFields, type UnitFields } from './unitFields.ts';
import { createSavePlaces, createSaveSettings, findDisturbance } from '../../../core/acts/index.ts';
import { t } from '../../language/index.ts';

/** Adds a piece of furniture to a wall, resizes or removes one; its compartments follow from its measures. */
export function UnitForm({ unitId, wallId }: { unitId: PlaceId | null; wallId: string }) {
  const [household, restart] = useBegan();
  const { units } = household.settings;
  const tree = getTree(household);
  const show = useApp((state) => state.show);
  const findX = (id: string) => (piece: Pick<UnitSpec, 'yMm' | 'widthMm' | 'heightMm'>) => {
    const at = findWall(tree, id);
    if (!at) return null;
    const standing = tree.getChildren(at.room.id).flatMap(({ unit }) => (unit?.wallId === at.wall.id ? [unit] : []));
    const { from, to } = at.wall;
    return findFreeX(standing, piece, Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm));
  };
  const old = unitId ? (tree.places.get(unitId) ?? null) : null;
  const [newId] = useState(() => world.createId() as PlaceId);
  /** Compartments of a new piece that is built like one of one's own. */
  const [ownSlots, setOwnSlots] = useState<readonly Place[]>([]);
  const [warned, setWarned] = useState<string | null>(null);
  const [isTried, setTried] = useState(false);
  const { register, watch, reset, setValue, setFocus, handleSubmit } = useForm<UnitFields>({
    defaultValues: old?.unit ? toUnitFields(old, units) : createUnitFields(PARTS[0]!, wallId, units, findX(wallId)),
  });
  const fields = watch();
  useEffect(() => setFocus('name'), [setFocus]);
  const wall = findWall(tree, fields.wall);
  if (unitId && !old) return <p className="text-stone">{t('That piece is no longer in the room.')}</p>;
  if (!wall) return <p className="text-stone">{t('That wall is no longer in the room.')}</p>;

  const own = household.settings.parts ?? [];
  const ownPart = old ? undefined : own.find((one) => one.id === fields.part);
  const present = old ? tree.getChildren(old.id) : ownPart ? ownSlots : [];
  const at = { roomId: wall.room.id, wallId: wall.wall.id };
  const order = old?.order ?? tree.getChildren(wall.room.id).length;
  const read = readUnitFields(fields, units, old, at, old?.id ?? newId, order);
  const { change, problem, inside } = read.ok
    ? computeUnitChange(
        { unit: read.value, old, from: old?.unit ?? ownPart?.unit ?? null, present, partId: fields.part },
        tree,
        wall.wall,
        units,
      )
    : { change: null, problem: null, inside: null };
  const faults = read.ok ? {} : read.fault;
  const faultOf = (name: keyof UnitFields) => (isTried || fields[name] !== '' ? faults[name] : undefined);

  const save = async () => {
    setTried(true);
    if (!change || problem !== null) return;
    const { unit, saved, removed } = change;
    const words = wordDisturbance(findDisturbance(household, saved, removed), tree);
    if (words !== null && warned !== words) {
      setWarned(words);
      return;
    }
    const kept = edit(household, (from) => createSavePlaces(from, unit.name, saved, removed, world.nowMs()));
    if (await follow(kept, { type: 'editUnit', id: unit.id })) restart();
  };
  // Its measures say something before it has a name.
  const measured = readUnitFields(
    { ...fields, name: fields.name.trim() || '-' },
    units,
    old,
    at,
    old?.id ?? newId,
    order,
  );
  const unitSpec = measured.ok ? measured.value.unit! : null;
  const isTall = unitSpec !== null && isTippy(unitSpec);

  const pick = (id: string) => {
    const mine = own.find((one) => one.id === id);
    const chosen = PARTS.find((one) => one.id === id);
    const like = mine ? { id: mine.id, kind: mine.unit.kind, unit: mine.unit } : chosen!;
    setOwnSlots(mine ? fromOwnPart(mine, newId, world.createId) : []);
    const next = createUnitFields(like, fields.wall, units, findX(fields.wall));
    reset({ ...next, name: mine ? mine.name : fields.name, isAnchored: mine?.unit.isAnchored ?? false });
  };
  const text = (name: keyof UnitFields, label: string, hint?: string) => (
    <TextField
      label={label}
      hint={hint}
      of={name === 'name' ? 'places.name' : undefined}
      fault={faultOf(name)}
      {...register(name)}
    />
  );
  return (
    <Form
      aria-label={old ? t('Edit {old}', { old: old.name }) : t('New piece')}
      className="space-y-3"
      onSend={() => handleSubmit(save)()}
    >
      <h2 className="font-display text-[21px] font-semibold">{old ? t('Edit the piece') : t('New piece')}</h2>
      {!old && <PartPicker own={own} value={fields.part} onPick={pick} />}
      {text('name', t('Name'))}
      <SelectField label={t('Wall')} {...register('wall')}>
        {getWalls(household).map(({ id, room, wall: one }) => (
          <option key={id} value={id}>
            {`${room.name}: ${one.name}`}
          </option>
        ))}
      </SelectField>
      <UnitMeasures kind={fields.kind} text={text} register={register} />
      <RolledTo fields={fields} stations={wall.room.room!.stations} onIds={(ids) => setValue('stationIds', ids)} />
      {inside && (
        <dl className="border-l-4 border-woad bg-linen px-3 py-1">
          <Row name={isWholeUnit(fields.kind) ? t('Its field') : t('Inside each')}>{inside}</Row>
        </dl>
      )}
      {unitSpec && !isWholeUnit(unitSpec.kind) && unitSpec.kind !== 'closet' && (
        <InnerMeasures unit={unitSpec} units={units} onOuter={(side, outer) => setValue(side, outer)} />
      )}
      {isTall && <Tips hasWheels={unitSpec.hasWheels ?? false} />}
      <SaveFoot problem={problem} warned={warned} leave={old ? t('Close') : t('Leave it')} onLeave={() => show(null)} />
      {old && <UnitPlaces unit={old} present={present} household={household} />}
    </Form>
  );
}

interface RolledToProps {
  readonly fields: UnitFields;
  readonly stations: readonly Station[];
  readonly onIds: (ids: string[]) => void;
}

function RolledTo({ fields, stations, onIds }: RolledToProps) {
  if (!fields.hasWheels || stations.length === 0) return null;
  return <StationChecks legend={t('Rolled to')} stations={stations} ids={fields.stationIds} onIds={onIds} />;
}

function Tips({ hasWheels }: { hasWheels: boolean }) {
  return (
    <p className="border-l-4 border-weld bg-linen p-3 text-sm">
      {hasWheels
        ? t(
            'So tall a piece can tip, and nothing holds what rolls: fill it from the bottom, brake its wheels, and let no child climb on it.',
          )
        : t(
            'So tall a piece can tip: anchor it to the structure of the wall and fill it from the bottom. The maker’s instructions and your local code decide how.',
          )}
    </p>
  );
}

interface PartPickerProps {
  readonly own: readonly OwnPart[];
  readonly value: string;
  readonly onPick: (id: string) => void;
}

/** What a new piece is, of the parts there are and those of one's own. */
function PartPicker({ own, value, onPick }: PartPickerProps) {
  return (
    <SelectField label={t('What is it')} value={value} onChange={(event) => onPick(event.target.value)}>
      {own.length > 0 && (
        <optgroup label={t('Your own')}>
          {own.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </optgroup>
      )}
      {PARTS.map(({ id }) => (
        <option key={id} value={id}>
          {capitalise(wordPart(id))}
        </option>
      ))}
    </SelectField>
  );
}

interface UnitMeasuresProps {
  readonly kind: UnitSpec['kind'];
  readonly text: (name: keyof UnitFields, label: string, hint?: string) => ReactNode;
  readonly register: UseFormRegister<UnitFields>;
}

/** Where it stands, its measures, and how one comes to it. */
function UnitMeasures({ kind, text, register }: UnitMeasuresProps) {
  return (
    <>
      <div className="grid grid-cols-2 items-start gap-3">
        {text('x', t('From the left'), t('As you face the wall'))}
        {text('y', t('Above the floor'))}
        {text('width', t('Width'))}
        {text('height', t('Height'))}
        {text('depth', t('Depth'))}
        {!isWholeUnit(kind) && text('board', t('Board thickness'))}
        {!isWholeUnit(kind) && text('columns', t('Columns'))}
        {!isWholeUnit(kind) && kind !== 'closet' && text('rows', kind === 'drawers' ? t('Drawers in each') : t('Rows'))}
        {text('load', t('Carries in all'))}
      </div>
      <div>
        {!isWholeUnit(kind) && <CheckField label={t('Anchored to the wall')} {...register('isAnchored')} />}
        {kind === 'table' && <CheckField label={t('Things stand below it')} {...register('hasBelow')} />}
        {kind === 'floor' && (
          <CheckField label={t('A heap: things lie here until they are put away')} {...register('isHeap')} />
        )}
        <CheckField
          label={kind === 'table' ? t('One walks round it, as for cutting') : t('Reached from either side')}
          {...register('isFromAround')}
        />
        <CheckField label={t('On wheels')} {...register('hasWheels')} />
      </div>
    </>
  );
}

interface UnitPlacesProps {
  readonly unit: Place;
  readonly present: readonly Place[];
  readonly household: Household;
}

/** The places of a piece that is there; how it becomes a part for others, and how it goes. */
function UnitPlaces({ unit: old, present, household }: UnitPlacesProps) {
  const show = useApp((state) => state.show);
  const tree = getTree(household);
  const everything = [...present.flatMap((slot) => tree.getChildren(slot.id)), ...present, old];
  const lying = wordDisturbance(findDisturbance(household, [], everything), tree);
  return (
    <>
      <h3 className="stitched-t pt-3 font-bold">{t('Its places')}</h3>
      <ul>
        {present.map((slot) => (
          <li key={slot.id} className="dotted-row">
            <button
              type="button"
              className="flex min-h-11 w-full items-center justify-between text-left hover:bg-linen md:min-h-8"
              onClick={() => show({ type: 'editSlot', id: slot.id })}
            >
              <span>{slot.name}</span>
              <span className="text-sm text-stone">
                {tree
                  .getChildren(slot.id)
                  .map((bin) => bin.name)
                  .join(', ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <Button
        className="w-full"
        onClick={() =>
          void act(
            (now) =>
              createSaveSettings(now, {
                ...now.settings,
                parts: [
                  ...(now.settings.parts ?? []).filter((one) => one.name !== old.name),
                  toOwnPart(world.createId(), old, present),
                ],
              }),
            t('{old} is kept among the parts for new pieces.', { old: old.name }),
          )
        }
      >
        {t('Keep it as a part for re-use')}
      </Button>
      <p className="stitched-t pt-3 text-sm text-stone">
        {t('{lying} Undo brings all back.', {
          lying:
            lying ??
            t('{present, plural, one {# place} other {# places}}, nothing in them.', { present: present.length }),
        })}{' '}
        <Button
          look="quiet"
          onClick={() =>
            void follow(
              act((now) => createSavePlaces(now, old.name, [], everything, world.nowMs())),
              null,
            )
          }
        >
          {t('Remove {old}', { old: old.name })}
        </Button>
      </p>
    </>
  );
}
