import { afterEach, describe, expect, it } from 'vitest';
import type { EventId, DaybookEvent, Holder, Item, Lot } from '../../core/records/index.ts';
import { createSampleHousehold } from '../../sample/index.ts';
import type { HomeOffer } from '../../workers/protocol.ts';
import { speak } from '../language/choose.ts';
import type { Language } from '../language/index.ts';
import { wordCompany, wordSince } from './bench.ts';
import { wordChange } from './change.ts';
import { wordEvent } from './events.ts';
import { wordConflicts } from './gateFaults.ts';
import { joinAnd, joinSentences } from './grammar.ts';
import { wordAmount } from './things.ts';
import { wordStanding } from './where.ts';

afterEach(() => speak('en'));

/** Sentences that count, compare or leave something out, each as it is read in either language. */
const both = (cases: readonly (readonly [say: () => string, english: string, german: string])[]) => async () => {
  for (const [language, nth] of [
    ['en', 1],
    ['de', 2],
  ] as const satisfies readonly (readonly [Language, number])[]) {
    await speak(language);
    expect(cases.map(([say]) => say())).toEqual(cases.map((one) => one[nth]));
  }
};

const { household } = createSampleHousehold();
const findLot = (fits: (item: Item, lot: Lot) => boolean): readonly [Item, Lot] => {
  for (const lot of household.lots.values()) {
    const item = household.items.get(lot.itemId)!;
    if (fits(item, lot)) return [item, lot];
  }
  throw new Error('the sample has none');
};

describe('how much there is', () => {
  const [thread, spool] = findLot((item) => item.thread !== undefined);
  const spools = (count: number, holder: Holder) => () =>
    wordAmount(thread, { ...spool, lengthMm: undefined, holder, count } as Lot, 'metric');
  it(
    'of thread is told in what it is wound on',
    both([
      [spools(1, 'small'), '1 spool', '1 Spule'],
      [spools(2, 'small'), '2 spools', '2 Spulen'],
      [spools(1, 'large'), '1 large spool', '1 große Spule'],
      [spools(12, 'cone'), '12 cones', '12 Konen'],
      [spools(1200, 'bobbin'), '1,200 bobbins', '1.200 Unterspulen'],
    ]),
  );

  const [scrap, cut] = findLot((item) => item.scrap?.cut !== undefined);
  const pieces = (kind: 'strip' | 'square', count: number) => () =>
    wordAmount({ ...scrap, scrap: { ...scrap.scrap!, cut: kind } } as Item, { ...cut, count }, 'metric');
  it(
    'of what was cut to size is counted by its shape',
    both([
      [pieces('strip', 1), '1 strip', '1 Streifen'],
      [pieces('strip', 40), '40 strips', '40 Streifen'],
      [pieces('square', 1), '1 square', '1 Quadrat'],
      [pieces('square', 40), '40 squares', '40 Quadrate'],
    ]),
  );
});

describe('where it stands', () => {
  const row = { kind: 'row', nth: 4, of: 9, from: 'left', row: 1, rows: 1 } as const;
  it(
    'is counted from a side that has its name in the language',
    both([
      [() => wordStanding(row), '4th of 9 from the left', '4. von 9 von links'],
      [
        () => wordStanding({ ...row, from: 'front', rows: 2 }),
        'lane 1 of 2, 4th of 9 from the front',
        'Spur 1 von 2, 4. von 9 von vorn',
      ],
      [() => wordStanding({ ...row, of: 1, rows: 3 }), 'row 1 of 3, alone', 'Reihe 1 von 3, allein'],
      [
        () => wordStanding({ kind: 'pile', nth: 1, of: 1, pile: 2, piles: 2 }),
        'pile 2 of 2, alone on its pile',
        'Stapel 2 von 2, allein auf seinem Stapel',
      ],
      [() => wordStanding({ kind: 'hook', nth: 2, of: 3 }), '2nd of 3 on its hook', '2. von 3 an seinem Haken'],
    ]),
  );
});

describe('what is said of a place', () => {
  const company = (kin: number, others: number) => () => wordCompany({ kin, others, fill: 0.42 } as HomeOffer);
  it(
    'names who is there and how full it is then',
    both([
      [company(0, 0), 'on its own; then 42 % full', 'für sich; dann zu 42 % voll'],
      [company(1, 0), 'with 1 other of its group; then 42 % full', 'mit 1 anderen seiner Gruppe; dann zu 42 % voll'],
      [company(0, 2), 'beside 2 other groups; then 42 % full', 'neben 2 anderen Gruppen; dann zu 42 % voll'],
      [
        company(3, 1),
        'with 3 others of its group and 1 other group; then 42 % full',
        'mit 3 anderen seiner Gruppe und 1 anderen Gruppe; dann zu 42 % voll',
      ],
    ]),
  );
  it(
    'tells more from less',
    both([
      [() => wordChange(90), '1.5 min a month more', '1,5 min im Monat mehr'],
      [() => wordChange(-90), '1.5 min a month less', '1,5 min im Monat weniger'],
    ]),
  );
});

describe('lines', () => {
  const now = Date.UTC(2026, 9, 20, 12);
  const day = 86_400_000;
  const event = (type: DaybookEvent['type'], forWhat?: string) => () =>
    wordEvent(
      { id: 'e1' as EventId, type, subject: 'Oat linen', amount: 1200, ...(forWhat && { forWhat }) } as DaybookEvent,
      'metric',
    );
  it(
    'say since when, for what, and what else',
    both([
      [() => wordSince(now, now), 'since today', 'seit heute'],
      [() => wordSince(now - day, now), 'for 1 day', 'seit 1 Tag'],
      [() => wordSince(now - 59 * day, now), 'for 59 days', 'seit 59 Tagen'],
      [() => wordSince(now - 61 * day, now), 'for 2 months', 'seit 2 Monaten'],
      [event('cut'), 'Cut 1.20 m from Oat linen', '1,20 m von Oat linen abgeschnitten'],
      [
        event('cut', 'the smock'),
        'Cut 1.20 m from Oat linen for the smock',
        '1,20 m von Oat linen für the smock abgeschnitten',
      ],
      [
        event('reserved', 'the smock'),
        'Promised 1.20 m of Oat linen to the smock',
        '1,20 m von Oat linen für the smock vorgemerkt',
      ],
    ]),
  );
  it(
    'join what there is',
    both([
      [() => joinAnd([]), '', ''],
      [() => joinAnd(['Zips']), 'Zips', 'Zips'],
      [() => joinAnd(['Zips', 'Wool']), 'Zips and Wool', 'Zips und Wool'],
      [() => joinAnd(['Zips', 'Wool', 'Knit']), 'Zips, Wool and Knit', 'Zips, Wool und Knit'],
      [() => joinSentences(['One.', '', 'Two.']), 'One. Two.', 'One. Two.'],
    ]),
  );
  it(
    'say what changed meanwhile, three at most by name',
    both([
      [
        () => wordConflicts(['a', 'b'].map((field) => ({ field }) as never)),
        '“a”, “b” changed meanwhile, elsewhere.',
        '“a”, “b” unterdessen anderswo geändert.',
      ],
      [
        () => wordConflicts(['a', 'b', 'c', 'd'].map((field) => ({ field }) as never)),
        '“a”, “b”, “c” and more changed meanwhile, elsewhere.',
        '“a”, “b”, “c” und mehr unterdessen anderswo geändert.',
      ],
    ]),
  );
});
