import { useEffect, useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import { createSaveItem } from '../../../core/acts/index.ts';
import {
  createLotAlike,
  type Household,
  type ItemId,
  type Kind,
  type LotId,
  type StationId,
} from '../../../core/records/index.ts';
import { isMachine } from '../../../core/sense/index.ts';
import { getRoomSpec } from '../../../core/storage/index.ts';
import { world } from '../../state/app.ts';
import { edit } from '../../state/hands.ts';
import { follow } from '../../state/follow.ts';
import type { Thing } from '../../state/appState.ts';
import { useBegan } from '../../state/began.ts';
import { getLotsByItem, getTree } from '../../state/derived.ts';
import { createFields, listUsualForms, toFields, type ItemFields } from './itemFields.ts';
import { readFields } from './itemForm.ts';

export interface ItemFormProps {
  /** The lot to change, with its item; null for a new thing. */
  readonly base: LotId | null;
  readonly kind: Kind;
  /** A new thing begins as this one is. */
  readonly like?: LotId;
  /** A new thing that was said in another way, to be gone over. */
  readonly draft?: Thing;
}

/** A new thing with everything that a lot and its item are known by. */
function createAnother(household: Household, like: LotId, ids: { itemId: ItemId; lotId: LotId }): Thing | null {
  const lot = household.lots.get(like);
  const item = lot && household.items.get(lot.itemId);
  if (!item) return null;
  return {
    item: { ...item, id: ids.itemId },
    lot: { ...createLotAlike(ids.lotId, lot, world.nowMs()), itemId: ids.itemId },
  };
}

/** What is typed into the form, what it makes, and how it is saved. */
export function useItemForm({ base, kind, like, draft }: ItemFormProps) {
  const [household] = useBegan();
  const { settings } = household;
  const { units } = settings;
  const stations = getTree(household).rooms.flatMap((room) => getRoomSpec(room).stations);
  const baseLot = base ? household.lots.get(base) : undefined;
  const baseItem = baseLot && household.items.get(baseLot.itemId);
  const ownId = baseItem?.id;
  const machines = useMemo(
    () => [...household.items.values()].filter((item) => item.id !== ownId && isMachine(item)),
    [household, ownId],
  );
  const old = baseLot && baseItem ? { item: baseItem, lot: baseLot } : null;
  const [ids] = useState(() => ({ itemId: world.createId() as ItemId, lotId: world.createId() as LotId }));
  const [another] = useState(() => (like ? createAnother(household, like, ids) : null));
  const begin = old ?? draft ?? another;
  const station = (stations[0]?.id ?? '') as StationId;
  const { register, watch, setValue, handleSubmit, setFocus } = useForm<ItemFields>({
    defaultValues: begin ? toFields(begin.item, begin.lot, units) : createFields(kind, station),
  });
  const [isOther, setOther] = useState(false);
  const [isTried, setTried] = useState(false);
  useEffect(() => setFocus('name'), [setFocus]);
  const [isSaving, setSaving] = useState(false);
  const fields = watch();
  // What a new thing begins with keeps its exact figures, until it becomes a thing of another kind.
  const from = isOther ? null : begin;
  const result = readFields(fields, units, from, {
    ...ids,
    nowMs: world.nowMs(),
    stationId: station,
    settings: household.settings,
  });
  const faults = result.ok ? {} : result.fault;
  // Before the first try only what was typed and does not read is pointed out.
  const faultOf = (name: keyof ItemFields) =>
    faults[name] && (isTried || (typeof fields[name] === 'string' && fields[name] !== '')) ? faults[name] : undefined;
  const lotsOfItem = old ? (getLotsByItem(household).get(old.item.id) ?? []).length : 0;
  const forms = fields.forms.length > 0 ? fields.forms : listUsualForms(fields);

  const save = async () => {
    setTried(true);
    if (!result.ok) {
      setFocus(Object.keys(result.fault)[0] as keyof ItemFields);
      return;
    }
    const { item, lot } = result.value;
    setSaving(true);
    await follow(
      edit(household, (from) => createSaveItem(from, item, [lot])),
      { type: 'lot', id: lot.id },
    );
    setSaving(false);
  };

  const become = (next: Kind) => {
    const begun = { ...createFields(next, fields.stationId), name: fields.name, notes: fields.notes };
    for (const [name, value] of Object.entries(begun)) setValue(name as keyof ItemFields, value as never);
    setTried(false);
    setOther(true);
  };
  const form = { register, setValue, faultOf, units };
  return {
    settings,
    register,
    setValue,
    handleSubmit,
    fields,
    stations,
    machines,
    old,
    from,
    result,
    faultOf,
    lotsOfItem,
    forms,
    form,
    save,
    become,
    isSaving,
  };
}
