import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import type { DaybookEvent, LotId, PlaceId } from '../../core/records/index.ts';
import { createPlaceTree } from '../../core/storage/index.ts';
import { parseCount, parseLengthMm } from '../../core/units/index.ts';
import { wordActFault, wordAmountFault, wordEvent, wordHomeOffer, wordLotReason, wordStoreFault } from './index.ts';
import { wordBundleFault } from './bundleFaults.ts';
import { wordContainerFault, wordDisturbance, wordUnitFault } from './roomFaults.ts';

const tool = createThing('tool');
const household = createHousehold(createUnit('cube', {}), [tool], [createLot(tool, 'cube-A1')]);
const tree = createPlaceTree(household.places);

describe('an amount that does not read', () => {
  it.each([
    ['', 'Type an amount, such as 3.4 m.'],
    ['abc', '“abc” is not an amount. Try 3.4 m.'],
    ['3 ells', 'The unit “ells” is not known. Try 3.4 m.'],
    ['-3 m', '“-3 m” is below zero. Try 3.4 m.'],
    ['99999999 m', '“99999999 m” is more than any room holds. Try 3.4 m.'],
  ])('“%s” is answered with an example', (text, words) => {
    const parsed = parseLengthMm(text, 'm');
    expect(parsed.ok ? '' : wordAmountFault(parsed.fault, '3.4 m')).toBe(words);
  });

  it('half a spool is no whole number', () => {
    const parsed = parseCount('1.5');
    expect(parsed.ok ? '' : wordAmountFault(parsed.fault, '3')).toBe('“1.5” is not a whole number. Try 3.');
  });
});

describe('a fault', () => {
  it('of an act says what was kept', () => {
    for (const code of [
      'no-such-lot',
      'not-in-place',
      'no-home',
      'home-gone',
      'home-waits',
      'more-than-there-is',
      'no-such-place',
      'no-room',
      'cannot-become',
      'stale-plan',
      'nothing-changed',
    ] as const)
      expect(wordActFault({ code, available: 1500 }, 'metric')).toMatch(/^[A-Z].+\.$/);
    expect(wordActFault({ code: 'more-than-there-is', available: 1500 }, 'metric')).toContain('1.50 m');
    expect(wordActFault({ code: 'more-than-there-is', available: 914.4 }, 'imperial')).toContain('1.00 yd');
  });

  it('of the store says what to do', () => {
    for (const code of ['denied', 'full', 'behind', 'damaged', 'unknown'] as const)
      expect(wordStoreFault({ code, note: 'x' })).toMatch(/^[A-Z].+\.$/);
    expect(wordStoreFault({ code: 'full', note: '' })).toContain('All that was done before is kept');
  });

  it('of a file says which and where', () => {
    expect(wordBundleFault({ code: 'empty', path: '', note: '' })).toBe('The file is empty.');
    expect(wordBundleFault({ code: 'record', path: 'lots.3.count', note: 'must be an integer' })).toBe(
      'lots.3.count: must be an integer',
    );
    expect(wordBundleFault({ code: 'duplicate', path: 'lots.3.id', note: 'l1' })).toContain('l1 stands there twice');
    expect(wordBundleFault({ code: 'too-new', path: 'version', note: 'version 9' })).toContain('Update this one first');
  });

  it('of furniture names the missing measure', () => {
    expect(wordUnitFault({ code: 'beyond-wall', availableMm: 450 }, 'metric')).toContain('45 cm');
    expect(wordUnitFault({ code: 'above-ceiling', availableMm: -5 }, 'metric')).toContain('0 mm');
    expect(wordUnitFault({ code: 'no-inner-height', availableMm: 3 }, 'metric')).toContain('fewer rows');
    const tight = { code: 'too-high', index: 0, neededMm: 310, availableMm: 281 } as const;
    expect(wordContainerFault(tight, ['Batting'], 'A1', 'metric')).toBe('Batting: 31 cm high, but A1 has 28.1 cm.');
    expect(wordContainerFault(tight, ['Batting'], 'A1', 'imperial')).toBe(
      'Batting: 12 1/4 in high, but A1 has 11 1/8 in.',
    );
    const wide = { code: 'too-wide', index: 1, neededMm: 636, availableMm: 330 } as const;
    expect(wordContainerFault(wide, ['One', 'Two', 'Three'], 'A1', 'metric')).toContain('One and Two: 63.6 cm wide');
    expect(wordContainerFault({ ...wide, code: 'in-each-other' }, ['One', 'Two'], 'A1', 'metric')).toContain(
      'Two stands',
    );
    expect(wordContainerFault({ ...wide, code: 'in-the-air' }, ['One', 'Two'], 'A1', 'metric')).toContain('on no lid');
  });
});

describe('a change of the room', () => {
  const lot = household.lots.get('lot-tool' as LotId)!;
  it('that disturbs nothing has nothing to say', () =>
    expect(wordDisturbance({ ousted: [], burst: [] }, tree)).toBeNull());
  it('counts what would lie out, and names what would burst', () => {
    expect(wordDisturbance({ ousted: [lot], burst: [] }, tree)).toBe('1 thing in it would lie out, without a home.');
    const cube = 'cube-A1' as PlaceId;
    expect(wordDisturbance({ ousted: [], burst: [cube] }, tree)).toContain('What is in A1 would no longer fit');
    expect(wordDisturbance({ ousted: [], burst: [cube, cube, cube, cube, cube] }, tree)).toContain('and 2 more');
    expect(wordDisturbance({ ousted: [], burst: ['new' as PlaceId] }, tree)).toContain('the new bin');
  });
});

describe('the daybook', () => {
  const event = (over: Partial<DaybookEvent>) =>
    wordEvent(
      { id: 'e' as never, seq: 1, atMs: 0, type: 'tookOut', subject: 'Oat twill', changes: [], ...over },
      'metric',
    );
  it.each<[Partial<DaybookEvent>, string]>([
    [{}, 'Took out Oat twill'],
    [{ type: 'cut', amount: 800, amountUnit: 'length' }, 'Cut 0.80 m from Oat twill'],
    [{ type: 'undone' }, 'Took back: Oat twill'],
    [{ type: 'adopted', subject: '38 min a month' }, 'Adopted a plan: 38 min a month'],
    [{ type: 'carried', subject: '12 things' }, 'Carried home: 12 things'],
    [{ type: 'usedUp' }, 'Used up Oat twill'],
    [{ type: 'roomChanged', subject: 'Tall cubes' }, 'Changed the room: Tall cubes'],
    [{ type: 'settingsChanged' }, 'Changed settings'],
  ])('words %o', (change, words) => expect(event(change)).toBe(words));
});

describe('why here, and where else', () => {
  const cube = 'cube-A1' as PlaceId;
  it.each([
    [{ code: 'kin', count: 1 }, 'With 1 other of its group.'],
    [{ code: 'alone' }, 'The only one of its group here.'],
    [{ code: 'reach', reach: 'easy', usesPerMonth: 3.2 }, 'Height: easy reach; used 3 times a month.'],
    [{ code: 'reach', reach: 'stool', usesPerMonth: 0 }, 'Height: step stool; not used lately.'],
    [{ code: 'reach', reach: 'easy', usesPerMonth: 1.2 }, 'Height: easy reach; used once a month.'],
    [{ code: 'reach', reach: 'bend', usesPerMonth: 0.4 }, 'Height: bend; used less than once a month.'],
    [{ code: 'dark' }, 'Dark, so it does not fade.'],
    [{ code: 'seen' }, 'In sight, so it is not forgotten.'],
    [{ code: 'on-table', seconds: 30 }, 'On the table: in the way of the work, 0.5 min a month.'],
    [{ code: 'spare', spareMm: 110 }, '11 cm to spare.'],
    [{ code: 'elsewhere', placeId: cube, moreSeconds: 90 }, 'Next best: cube › A1, 1.5 min a month more.'],
    [{ code: 'elsewhere', placeId: cube, moreSeconds: -90 }, 'cube › A1 would save 1.5 min a month.'],
    [{ code: 'elsewhere', placeId: cube, moreSeconds: 1 }, 'cube › A1 would do as well.'],
  ] as const)('%o', (reason, words) => expect(wordLotReason(reason, tree, 'metric')).toBe(words));

  it('prices a home', () => {
    const offer = (moreSeconds: number, isHomeless = false) => wordHomeOffer({ moreSeconds }, isHomeless);
    expect(offer(1)).toBe('as quick as now');
    expect(offer(120)).toBe('2 min a month more');
    expect(offer(-120)).toBe('saves 2 min a month');
    expect(offer(-120, true)).toBe('saves 2 min a month of looking for it');
    expect(offer(2, true)).toBe('hardly any time a month');
  });
});
