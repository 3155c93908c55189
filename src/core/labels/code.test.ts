import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createHousehold, createLot, createThing, createUnit } from '../../../tests/household.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import { assignCodes, createCode, createLabelled, findByCode, formatCode, parseCode } from './index.ts';
import type { LotId, PlaceId } from '../records/index.ts';
import { applyChanges } from '../daybook/fold.ts';

const LETTERS = '23456789BCDFGHJKLMNPQRSTVWXYZ';
const none = new Set<string>();
const codes = fc.string({ minLength: 1, maxLength: 30 }).map((id) => createCode('first', id, none));

describe('a code', () => {
  it('reads as it was written, in any case, with spaces or dashes anywhere', () => {
    fc.assert(
      fc.property(codes, (code) => {
        expect(parseCode(code)).toEqual({ ok: true, value: code });
        expect(parseCode(` ${formatCode(code).toLowerCase()} `)).toEqual({ ok: true, value: code });
        expect(parseCode(code.replace(/(....)/, '$1-'))).toEqual({ ok: true, value: code });
      }),
    );
  });

  it('is never mistaken for another by one wrong letter or two that changed places', () => {
    fc.assert(
      fc.property(codes, fc.nat(8), fc.nat(8), fc.nat(28), (code, i, j, letter) => {
        const wrong = [...code];
        wrong[i] = LETTERS[letter]!;
        if (wrong.join('') !== code) expect(parseCode(wrong.join(''))).toMatchObject({ fault: { code: 'mistyped' } });
        const swapped = [...code];
        [swapped[i], swapped[j]] = [swapped[j]!, swapped[i]!];
        if (swapped.join('') !== code)
          expect(parseCode(swapped.join(''))).toMatchObject({ fault: { code: 'mistyped' } });
      }),
    );
  });

  it('says what is wrong with what is none', () => {
    expect(parseCode('wool')).toMatchObject({ fault: { code: 'no-code' } });
    expect(parseCode('')).toMatchObject({ fault: { code: 'no-code' } });
    expect(parseCode('K7M2Q9XT0')).toMatchObject({ fault: { code: 'no-such-letter' } });
    expect(parseCode('K7M/Q9XTB')).toMatchObject({ fault: { code: 'no-code' } });
  });

  it('is the same for a record everywhere, and another where it is taken', () => {
    const code = createCode('first', 'lot-1', none);
    expect(createCode('first', 'lot-1', none)).toBe(code);
    const next = createCode('first', 'lot-1', new Set([code]));
    expect(next).not.toBe(code);
    expect(parseCode(next)).toEqual({ ok: true, value: next });
    expect(createCode('other', 'lot-1', none).slice(0, 2)).not.toBe(code.slice(0, 2));
  });

  it('hardly ever meets another among twenty thousand', () => {
    const all = Array.from({ length: 20_000 }, (_, i) => createCode('first', `lot-${i}`, none));
    expect(new Set(all).size).toBeGreaterThan(19_996);
  });
});

describe('what a code means', () => {
  const tool = createThing('tool');
  const lot = createLot(tool, 'cube-A1');
  const household = createHousehold(createUnit('cube', {}), [tool], [lot]);
  const ofs = [
    { kind: 'place', id: 'cube-A1' as PlaceId },
    { kind: 'lot', id: lot.id },
  ] as const;
  const act = createLabelled(
    household,
    'first',
    ofs.map((of) => ({ of, says: [], swatches: [] })),
    '2 labels',
    5,
  );
  const next = act.ok ? applyChanges(household, act.value.changes) : act;
  const labelled = next.ok ? next.value : household;
  const [ofPlace, ofLot] = assignCodes(household, 'first', ofs);

  it('is the place or the lot that bears it', () => {
    expect(findByCode(labelled, ofPlace!)).toEqual({ kind: 'place', id: 'cube-A1' });
    expect(findByCode(labelled, ofLot!)).toEqual({ kind: 'lot', id: lot.id });
    expect(assignCodes(labelled, 'first', ofs)).toEqual([ofPlace, ofLot]);
  });

  it('needs the mark that came with the first label', () => {
    expect(labelled.settings.mark).toBe('first');
    const again = createLabelled(labelled, 'later', [{ of: ofs[0], says: [], swatches: [] }], '1 label', 9);
    expect(again).toMatchObject({ ok: true, value: { changes: [{ table: 'places' }] } });
  });

  it('is told apart from one that nothing bears, of this household or another', () => {
    expect(findByCode(labelled, createCode('first', 'ghost', none))).toEqual({ kind: 'unknown' });
    expect(findByCode(labelled, createCode('elsewhere', lot.id, none))).toEqual({ kind: 'other-household' });
    const gone = new Map([[lot.id, { ...labelled.lots.get(lot.id)!, state: 'gone' as const }]]);
    expect(findByCode({ ...labelled, lots: gone }, ofLot!)).toEqual({ kind: 'gone', id: lot.id });
  });

  it('is one for each thing of the sample', () => {
    const { household: loft } = createSampleHousehold();
    const all = [...loft.lots.keys()].map((id) => ({ kind: 'lot', id: id as LotId }) as const);
    expect(new Set(assignCodes(loft, 'fresh', all)).size).toBe(all.length);
  });
});
