import { describe, expect, it } from 'vitest';
import { createCloth, createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createChronicle } from '../../sample/index.ts';
import type { Change, DaybookEvent, EventId, LotId } from '../records/index.ts';
import { passGate, passWhole, type GateFault } from './index.ts';

const cloth = createCloth('cloth');
const scrap = createCloth('bits', { kind: 'scrap', forms: ['loose'], scrap: { cut: 'odd', parentItemId: cloth.id } });
const tool = createThing('tool');
const lot = createLot(cloth, 'cube-A1');
const start = createHousehold(createUnit('cube', {}), [cloth, scrap, tool], [lot, createLot(tool, 'cube-A1')]);
const ID = 'lot-cloth' as LotId;

const line = (changes: Change[], more: Partial<DaybookEvent> = {}): DaybookEvent => ({
  id: 'e1' as EventId,
  seq: 1,
  atMs: 1,
  type: 'changed',
  subject: 'cloth',
  changes,
  ...more,
});
const tell = (faults: readonly GateFault[]) =>
  faults.map((fault) => ('path' in fault ? `${fault.rule} ${fault.path}` : `${fault.code} ${fault.table} ${fault.id}`));
const refusal = (changes: Change[], more: Partial<DaybookEvent> = {}) => {
  const step = passGate(start, line(changes, more));
  return step.ok ? [] : tell(step.fault);
};
const change = (after: Record<string, unknown>, before: Record<string, unknown> = {}): Change => ({
  table: 'lots',
  id: ID,
  before,
  after,
});

describe('the gate', () => {
  it('lets through what keeps every rule', () => {
    const step = passGate(start, line([change({ lengthMm: 1500 }, { lengthMm: 2000 })]));
    expect(step.ok && step.value.household.lots.get(ID)?.lengthMm).toBe(1500);
  });

  it.each<[string, Change[], string]>([
    [
      'a promise of 130 letters',
      [change({ reserved: [{ id: 'r', forWhat: 'x'.repeat(130), note: '', amount: 1 }] })],
      'maxLength event.changes.0.after.reserved.0.forWhat',
    ],
    ['a field without a value', [change({ lentTo: null })], 'absent event.changes.0.after.lentTo'],
    ['a field that is none', [change({ more: 1 })], 'whitelistValidation event.changes.0.after.more'],
    [
      'more promised than there is',
      [change({ reserved: [{ id: 'r', forWhat: 'x', note: '', amount: 9e6 }] })],
      'over-reserved lots.lot-cloth.reserved',
    ],
    ['what was made from another state', [change({ count: 2 }, { count: 9 })], 'conflict lots lot-cloth'],
    ['a lot in two states', [change({ state: 'out' }, { state: 'in' })], 'onePlace lots.lot-cloth.placeId'],
    ['a change of nothing into nothing', [{ table: 'lots', id: 'x' }], 'change event.changes.0'],
    [
      'a cloth that goes while a scrap says it was cut from it',
      [
        { table: 'lots', id: ID, before: { ...lot } },
        { table: 'items', id: cloth.id, before: { ...cloth } },
      ],
      'dangling items.bits.scrap.parentItemId',
    ],
    [
      'a place that goes while something lies in it',
      [{ table: 'places', id: 'cube-A1', before: { ...start.places.get('cube-A1' as never)! } }],
      'dangling lots.lot-cloth.placeId',
    ],
  ])('refuses %s, and says where', (_, changes, fault) => expect(refusal(changes)).toContain(fault));

  it('refuses a cut after which another length is missing', () => {
    const cut = [change({ lengthMm: 1500 }, { lengthMm: 2000 })];
    expect(refusal(cut, { type: 'cut', amount: 500, amountUnit: 'length' })).toEqual([]);
    expect(refusal(cut, { type: 'cut', amount: 300, amountUnit: 'length' })).toEqual(['not-conserved event.amount']);
  });

  it('does not hold an old fault against an act that has nothing to do with it', () => {
    const broken = { ...start, items: new Map([...start.items].filter(([id]) => id !== tool.id)) };
    const step = passGate(broken, line([change({ lengthMm: 1500 }, { lengthMm: 2000 })]));
    expect(step.ok).toBe(true);
  });
});

describe('the gate for a whole household', () => {
  const whole = createChronicle(start);

  it('lets in what its daybook tells, and refuses a line that was altered', () => {
    expect(passWhole(whole).ok).toBe(true);
    const [first] = whole.events;
    const altered = first!.changes.map((one) =>
      one.id === ID ? { ...one, after: { ...one.after, lengthMm: 9000 } } : one,
    );
    const told = passWhole({ ...whole, events: [{ ...first!, changes: altered }] });
    expect(told.ok ? [] : tell(told.fault)).toContain('differs lots.lot-cloth');
  });

  it('refuses an id that is given away again', () => {
    const gone = line([{ table: 'lots', id: ID, before: { ...lot } }], { type: 'removed' });
    const again = line([{ table: 'lots', id: ID, after: { ...lot } }], {
      id: 'e2' as EventId,
      seq: 2,
      type: 'received',
    });
    const told = passWhole({ ...whole, events: [...whole.events, gone, again] });
    expect(told.ok ? [] : tell(told.fault)).toContain('id-again events.2.changes.0');
    const back = passWhole({ ...whole, events: [...whole.events, gone, { ...again, type: 'undone' }] });
    expect(back.ok ? [] : tell(back.fault)).toEqual([]);
  });
});
