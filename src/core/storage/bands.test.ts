import { describe, expect, it } from 'vitest';
import { computeBands } from './bands.ts';

const edges = (bands: ReturnType<typeof computeBands>) =>
  bands.map(({ reach, fromMm, toMm }) => [reach, Math.round(fromMm), Math.round(toMm)]);

describe('bands of reach', () => {
  const people = { statureMm: 2000, smallStatureMm: 1000 };

  it('of one who stands are shares of stature', () => {
    expect(edges(computeBands(people, 'standing', 2500))).toEqual([
      ['kneel', 0, 570],
      ['bend', 570, 840],
      ['easy', 840, 1640],
      ['stretch', 1640, 2400],
      ['stool', 2400, 2500],
    ]);
  });

  it('of a small member end lower', () => {
    expect(edges(computeBands(people, 'small', 2400)).at(-1)).toEqual(['stool', 1200, 2400]);
  });

  it('from the chair begin at its seat, and end where one gets up', () => {
    // Seat 0.285 × 2000 - 40 = 530; shoulder 580 over it, grip 1340 over it; the arm is 880.
    expect(edges(computeBands(people, 'seated', 2400))).toEqual([
      ['getUp', 0, 230],
      ['bend', 230, 530],
      ['easy', 530, 1110],
      ['stretch', 1110, 1870],
      ['getUp', 1870, 2400],
    ]);
  });

  it('end under a low ceiling', () => {
    expect(edges(computeBands(people, 'standing', 1000))).toEqual([
      ['kneel', 0, 570],
      ['bend', 570, 840],
      ['easy', 840, 1000],
    ]);
  });
});
