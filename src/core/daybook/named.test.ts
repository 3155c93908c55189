import { expect, it } from 'vitest';
import { undo } from '../../../tests/acts.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { createSaveItem } from '../acts/index.ts';
import type { PhotoId } from '../records/index.ts';
import { listNamedPhotos, passGate, stampEvent, type Draft } from './index.ts';

it('names photos that were taken off too, for an undo brings them back', () => {
  const start = createSampleHousehold(2, 30);
  let { household } = start;
  const events = [...start.events];
  const world = { nowMs: () => 1, createId: () => `line-${events.length}` };
  const write = (draft: Draft) => {
    const step = passGate(household, stampEvent(draft, events.length, world));
    if (!step.ok) throw new Error(JSON.stringify(step.fault));
    ({ household } = step.value);
    events.push(step.value.event);
  };
  const photo = 'ab'.repeat(16) as PhotoId;
  const item = household.items.values().next().value!;
  const save = (photos?: PhotoId[]) => {
    const draft = createSaveItem(household, { ...household.items.get(item.id)!, photos }, []);
    if (!draft.ok) throw new Error(draft.fault.code);
    write(draft.value);
  };
  const before = listNamedPhotos({ household, events });
  expect(before.has(photo)).toBe(false);
  save([photo]);
  expect(listNamedPhotos({ household, events: [] }).has(photo)).toBe(true);
  save();
  expect(listNamedPhotos({ household, events: [] }).has(photo)).toBe(false);
  expect(listNamedPhotos({ household, events }).has(photo)).toBe(true);
  write(undo(household, events));
  expect(household.items.get(item.id)!.photos).toEqual([photo]);
});
