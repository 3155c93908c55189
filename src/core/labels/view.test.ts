import { describe, expect, it } from 'vitest';
import { GONE_MS, CameraView } from './view.ts';

describe('what the camera has in view', () => {
  it('is told once, however many labels lie in one picture and however long', () => {
    const view = new CameraView();
    const told: string[] = [];
    for (let ms = 0; ms < 20_000; ms += 200) told.push(...view.look(ms % 400 === 0 ? ['a', 'b'] : ['b', 'a'], ms));
    expect(told).toEqual(['a', 'b']);
  });

  it('is not told again where a look misses it, and is once it was away', () => {
    const view = new CameraView();
    expect(view.look(['a'], 0)).toEqual(['a']);
    expect(view.look([], 200)).toEqual([]);
    expect(view.look(['a'], 400)).toEqual([]);
    expect(view.look([], 400 + GONE_MS)).toEqual([]);
    expect(view.look(['a'], 401 + GONE_MS)).toEqual(['a']);
  });
});
