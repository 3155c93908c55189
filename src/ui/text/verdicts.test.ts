import { describe, expect, it } from 'vitest';
import type { PlaceId } from '../../core/records/index.ts';
import { wordVerdict } from './verdicts.ts';

const placeId = 'p' as PlaceId;

describe('a verdict in words', () => {
  it('tells the minutes, or what is missing', () => {
    const good = (moreSeconds: number) => ({ placeId, isGood: true, form: 'board', moreSeconds }) as const;
    expect(wordVerdict(good(-144), 'B3', false, 'metric')).toMatch(/^B3: .*; 2\.4 min a month less than now\.$/);
    expect(wordVerdict(good(1), 'B3', false, 'metric')).toContain('as quick as now');
    expect(wordVerdict(good(-300), 'B3', true, 'metric')).toContain('of looking for it');
    const bad = (code: 'too-high' | 'full', needed: number, available: number) =>
      ({ placeId, isGood: false, code, needed, available }) as const;
    expect(wordVerdict(bad('too-high', 352, 330), 'B3', false, 'metric')).toBe(
      'B3: no, it is 35.2 cm high and there are 33 cm.',
    );
    expect(wordVerdict(bad('full', 0.4, 0.1), 'B3', false, 'metric')).toBe(
      'B3: no, it takes 40 % of it and 10 % is free.',
    );
  });
});
