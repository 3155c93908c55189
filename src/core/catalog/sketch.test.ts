import { describe, expect, it } from 'vitest';
import { CUTTING } from '../../../tests/household.ts';
import { computePackage } from '../measure/index.ts';
import { DEFAULT_SETTINGS, type ItemId, type LotId, type StowForm } from '../records/index.ts';
import { findType, TYPE_FIGURES } from './figures.ts';
import { parseLine } from './line.ts';
import { addMonths, completeSketch, computeSheetsThickness, type Sketch } from './sketch.ts';

const birth = {
  itemId: 'i' as ItemId,
  lotId: 'l' as LotId,
  nowMs: Date.UTC(2026, 0, 31),
  stationId: CUTTING,
  settings: DEFAULT_SETTINGS,
};
const make = (sketch: Sketch) => {
  const made = completeSketch(sketch, birth);
  if (!made.ok) throw new Error(JSON.stringify(made.fault));
  return made.value;
};
const size = (sketch: Sketch, form: StowForm) => {
  const { item, lot } = make(sketch);
  const pkg = computePackage(item, lot, form, DEFAULT_SETTINGS)!;
  return [pkg.alongMm, pkg.acrossMm, pkg.heightMm, pkg.massG];
};

describe('how a new thing is kept when nobody said', () => {
  it('is the usual way where that suits, else the next that does', () => {
    const wool = { kind: 'fabric', name: 'Rust coating', cloth: 'coating', widthMm: 1500, lengthMm: 2100 } as const;
    expect(make(wool).lot).toMatchObject({ form: 'stack', homeForm: 'stack' });
    expect(make({ ...wool, cloth: 'poplin' }).lot).toMatchObject({ form: 'board', homeForm: 'board' });
    expect(make({ ...wool, form: 'hanger', forms: ['board', 'hanger'] }).lot.form).toBe('hanger');
  });
});

describe('a sketch filled up', () => {
  it('takes what was not said of a cloth from its class', () => {
    const { item, lot } = make({ kind: 'fabric', name: 'Oat', cloth: 'linen', lengthMm: 3400 });
    expect(item.fabric).toMatchObject({ fibre: 'linen', widthMm: 1400, grammageGsm: 185, layerMm: 0.4, stacking: 1.2 });
    expect(lot).toMatchObject({ lengthMm: 3400, state: 'out', form: 'board' });
    // Half as heavy a linen is half as thick.
    expect(make({ kind: 'fabric', name: 'Thin', cloth: 'linen', grammageGsm: 92.5 }).item.fabric!.layerMm).toBe(0.2);
  });

  it('knows how large a zip, a button and a folder of sheets is', () => {
    // 20 cm of zip lie 10 mm longer, 9 mm wide, 4 mm high.
    expect(size({ kind: 'notion', name: 'Zip', type: 'zips', size: '20 cm' }, 'box').slice(0, 3)).toEqual([9, 4, 210]);
    // A 20 mm button: π/4 × 0.2 × 20³ mm³ × 0.0012 g = 1.5 g.
    expect(make({ kind: 'notion', name: 'B', type: 'buttons', size: '20 mm', units: 24 }).item.box!.unitG).toBe(1.5);
    expect(computeSheetsThickness(46)).toBeCloseTo(5.1, 9);
    expect(
      size({ kind: 'pattern', name: 'P', number: 5, format: 'sheets', sheets: 46 }, 'envelope').slice(0, 3),
    ).toEqual([computeSheetsThickness(46), 230, 330]);
  });

  it('gives a ribbon the size that its length makes', () => {
    // 4.5 m of 0.35 mm on a 20 mm core: D = √(20² + 4 × 0.35 × 4500 / π) = 49.04 mm; 25 mm wide and 3 mm of flange.
    const [along, across, height] = size(
      { kind: 'notion', name: 'R', type: 'ribbon', tapeWidthMm: 25, lengthMm: 4500 },
      'box',
    );
    expect(along).toBeCloseTo(49.04, 2);
    expect([across, height]).toEqual([along, 28]);
  });

  it('lets a digital pattern take no room, and knows when glue is past its best', () => {
    const { item, lot } = make({ kind: 'pattern', name: 'P', number: 7, format: 'digital' });
    expect(lot.state).toBe('digital');
    expect(computePackage(item, lot, 'envelope', DEFAULT_SETTINGS)).toBeNull();
    expect(make({ kind: 'notion', name: 'Glue', type: 'glue' }).lot.expiresOn).toBe('2027-07-31');
    expect(addMonths(Date.UTC(2026, 5, 15), 18)).toBe('2027-12-15');
  });

  it('weighs scraps and counts strips', () => {
    const { item, lot } = make({ kind: 'scrap', name: 'S', cloth: 'linen', areaMm2: 1.2e6 });
    expect(computePackage(item, lot, 'loose', DEFAULT_SETTINGS)).toMatchObject({ massG: 222, isSoft: true });
    // 14 strips of 63.5 mm over 1120 mm of cloth fold in four to 280 mm: 56 layers of 0.26 × 1.25 mm.
    expect(size({ kind: 'scrap', name: 'S', cloth: 'poplin', cut: 'strip', cutMm: 63.5, count: 14 }, 'stack')).toEqual([
      63.5,
      280,
      56 * 0.26 * 1.25,
      (14 * 63.5 * 1120 * 132) / 1e6,
    ]);
  });

  it('keeps a bobbin of a thread as a lot of the same thread', () => {
    const { item } = make({ kind: 'thread', name: 'Rust', tex: 27 });
    const bobbin = completeSketch({ kind: 'thread', holder: 'bobbin', count: 2 }, birth, {
      item,
      lot: { ...make({ kind: 'thread', name: 'Rust' }).lot, id: 'b' as LotId },
    });
    if (!bobbin.ok) throw new Error();
    expect(bobbin.value.lot.holder).toBe('bobbin');
    expect(computePackage(item, bobbin.value.lot, 'box', DEFAULT_SETTINGS)).toMatchObject({
      alongMm: 21,
      heightMm: 10.5,
      pieces: 2,
    });
  });

  it('says what it cannot take, by path', () => {
    const made = completeSketch({ kind: 'fabric', name: '', lengthMm: 2000, widthMm: -5 }, birth);
    expect(made.ok ? [] : made.fault.map((fault) => fault.path).toSorted()).toEqual(['fabric.widthMm', 'name']);
  });

  it.each([
    'linen twill oat 3.4m x 140 185gsm board',
    'machine needles 90/14 5 pcs used 3h',
    'overlocker 34 x 29 x 31 cm 7.6kg 90W',
    'poplin squares 5in 30',
    'kit for the rowing smock',
    'pattern 88 jacket printed 46 sheets made',
    'bobbin rust x4',
  ])('makes records of “%s” that pass their own check', (text) => {
    const { sketch } = parseLine(text, { kind: 'fabric', units: 'metric' });
    expect(make(sketch).item.name).not.toBe('');
  });

  it.each(TYPE_FIGURES.map((one) => [one.type, one] as const))(
    'knows %s: it fits in the hand and passes its check',
    (type, one) => {
      const { item, lot } = make({
        kind: one.kind,
        name: type,
        type,
        ...(one.sizeIs === 'tapeWidth' && { lengthMm: 3000 }),
      });
      expect(item.box!.type).toBe(type);
      for (const word of one.words) expect(findType(word, one.kind)).toBe(one);
      const pkg = computePackage(item, lot, item.forms[0]!, DEFAULT_SETTINGS)!;
      expect(Math.min(pkg.alongMm, pkg.acrossMm, pkg.heightMm)).toBeGreaterThan(0);
      expect(pkg.massG).toBeLessThan(20_000);
      expect(item.care).toEqual([...(one.care ?? [])]);
    },
  );
});
