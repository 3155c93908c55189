import { describe, expect, it } from 'vitest';
import { createCloth } from '../../../tests/household.ts';
import { completeWord, createWordBook, forget, listMeanings, NO_HABITS, parseLine, recall, remember } from './index.ts';

const read = (text: string, meant: [string, Parameters<typeof listMeanings>[0]['means']][] = []) =>
  parseLine(text, { kind: 'fabric', units: 'metric', meant: new Map(meant) });

describe('a word of the reading', () => {
  it('can be said to mean something else', () => {
    expect(read('lockside 6204').sketch).toMatchObject({ lengthMm: 6_204_000 });
    const number = read('lockside 6204 gauze', [['6204', 'name']]);
    expect(number.sketch.lengthMm).toBeUndefined();
    expect(number.sketch.name).toBe('Lockside 6204 gauze');
    expect(number.parts).toContainEqual({ from: 9, to: 13, text: '6204', means: 'name' });
    const wide = read('linen 3 140', [
      ['3', 'width'],
      ['140', 'length'],
    ]);
    expect(wide.sketch).toMatchObject({ widthMm: 30, lengthMm: 140_000 });
    expect(read('coral silk 2m', [['coral', 'name']]).sketch.colours).toBeUndefined();
  });

  it('is offered what it can mean for its kind', () => {
    const [length] = read('3.4m').parts;
    expect(listMeanings(length!, 'fabric')).toEqual(['width', 'grammage', 'mass', 'number', 'name']);
    expect(listMeanings({ from: 0, to: 5, text: 'coral', means: 'colour' }, 'fabric')).toEqual(['name']);
  });
});

describe('a word that is begun', () => {
  const book = createWordBook([
    createCloth('a', { name: 'Harbour stripe', source: 'Market hall' }),
    createCloth('b', { name: 'Harvest check' }),
    createCloth('c', { name: 'Harvest plain' }),
  ]);
  it('is ended as the household calls most things, then as lines are read', () => {
    expect(completeWord('2m har', book)).toBe('vest');
    expect(completeWord('2m harb', book)).toBe('our');
    expect(completeWord('Cordu', book)).toBe('roy');
    expect(completeWord('linen from mar', book)).toBe('ket hall');
  });
  it('is left where it is whole, too short, or unknown', () => {
    for (const text of ['harvest', 'h', '', '3.4', 'zzq', 'linen ']) expect(completeWord(text, book)).toBeNull();
  });
});

describe('what was said last', () => {
  it('holds for what says nothing of it: the width for the same class, the form for the same kind, the shop for all', () => {
    const first = read('poplin 2m x 110 board from Market hall').sketch;
    const habits = remember(NO_HABITS, first);
    expect(recall(read('poplin 3m').sketch, habits)).toEqual({ widthMm: 1100, source: 'Market hall', form: 'board' });
    expect(recall(read('coating 3m').sketch, habits)).toEqual({ source: 'Market hall', form: 'board' });
    expect(recall({ kind: 'thread' }, habits)).toEqual({ source: 'Market hall' });
    expect(recall(read('poplin 3m x 140 from gran').sketch, habits)).toEqual({ form: 'board' });
    expect(recall(first, forget(habits, first))).toEqual({});
    expect(recall(read('poplin 3m').sketch, forget(habits, first))).toEqual({});
  });
});
