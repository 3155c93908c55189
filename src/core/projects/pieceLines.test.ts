import { describe, expect, it } from 'vitest';
import { formatPieceLine, parsePieceLine } from './index.ts';

const read = (text: string, units: 'metric' | 'imperial' = 'metric') => parsePieceLine(text, units, 'p');

describe('pieces as they are written', () => {
  it.each([
    ['2 sleeves 38 x 62', { name: 'sleeves', count: 2, widthMm: 380, heightMm: 620, part: 'main' }],
    ['front 30x65 cm on the fold', { name: 'front', count: 1, widthMm: 300, heightMm: 650, isOnFold: true }],
    ['pocket 15 x 15 x4 either way of lining', { name: 'pocket', count: 4, mayTurn: true, part: 'lining' }],
    ['cuff, 24 × 8, 4 pieces', { name: 'cuff', count: 4, widthMm: 240, heightMm: 80 }],
    ['back yoke 420mm x 180mm, fold', { name: 'back yoke', widthMm: 420, heightMm: 180, isOnFold: true }],
    ['waistband 1.2 m x 8 cm', { name: 'waistband', widthMm: 1200, heightMm: 80 }],
    ['collar 16,5 x 9 times 2', { name: 'collar times', widthMm: 165 }],
  ])('reads “%s”', (text, want) => {
    expect(read(text)).toMatchObject({ ok: true, value: want });
  });

  it('reads inches where one measures in inches', () => {
    expect(read('square 5 1/2 x 5 1/2 x12', 'imperial')).toMatchObject({
      value: { name: 'square', count: 12, widthMm: 139.7, heightMm: 139.7 },
    });
  });

  it.each([
    ['sleeves, two', 'no-size'],
    ['30 x 40', 'no-name'],
    ['sail 9000 x 20 m', 'size'],
    ['patch 10 x 10 x900', 'count'],
    ['patch 0 x 10', 'size'],
  ])('says of “%s” what is missing', (text, fault) => {
    expect(read(text)).toEqual({ ok: false, fault });
  });

  it('may have a shape, written by its corners', () => {
    const read = parsePieceLine('2 flaps 20 x 12 on the fold corners 0 0, 20 0, 16,5 12, 0 12', 'metric', 'p');
    expect(read).toMatchObject({
      ok: true,
      value: {
        name: 'flaps',
        count: 2,
        isOnFold: true,
        outline: [{ xMm: 0 }, { xMm: 200 }, { xMm: 165 }, { yMm: 120 }],
      },
    });
    if (!read.ok) return;
    expect(formatPieceLine(read.value, 'metric')).toMatch(/ corners 0 0, 20 0, 16\.5 12, 0 12$/);
    for (const bad of ['0 0, 20 0', '0 0, 20 12, 20 0, 0 12', '0 0, 40 0, 20 12', 'round'])
      expect(parsePieceLine(`flap 20 x 12 corners ${bad}`, 'metric', 'p')).toMatchObject({ ok: false, fault: 'shape' });
  });
});
